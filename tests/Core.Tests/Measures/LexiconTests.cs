namespace Ystrata.Core.Tests;

/// <summary>Amounts and recipes in the words of another language: a made-up one.</summary>
public class LexiconTests
{
    private static readonly Lexicon Words = new(
    [
        ("kopa", "cup"), ("kopas", "cup"), ("gran lusi", "big spoon"), ("lusi", "spoon"), ("mel", "flour"), ("mel blan", "white flour"), ("akva", "water"), ("sal", "salt"), ("du", "two"), ("e mezo", "and half"),
        ("por la farso", "for the filling"), ("reposu", "rest"), ("minutos", "minutes"), ("fas", "makes"), ("rolu", "roll"), ("cup", "cup"),
    ]);

    private static readonly Kitchen Kitchen = Breads.Kitchen with { Words = Words };

    private static double? Grams(string text, string item = "flour-white") => AmountReader.Read(text, Kitchen[item], Kitchen).Mass?.Value;

    [Theory]
    [InlineData("2 kopas", "2 cups")]
    [InlineData("du kopa", "two cups")]
    [InlineData("1½ KOPA", "1½ cup")]
    [InlineData("3 gran lusi", "3 big spoons")]
    [InlineData("250 g", "250 g")]
    [InlineData("2 cups", "2 cups")]
    public void An_amount_is_read_in_its_words(string theirs, string ours) =>
        Assert.Equal(AmountReader.Read(ours, Breads.Kitchen["flour-white"], Breads.Kitchen).Mass!.Value.Value, Grams(theirs));

    [Fact]
    public void The_longer_phrase_is_meant_and_no_part_of_a_word()
    {
        Assert.Equal("big spoon spoon", Words.Read("gran lusi lusi"));
        Assert.Equal("melon salma", Words.Read("melon salma"));
        Assert.Equal("untouched (cup)", Words.Read("untouched (kopa)"));
    }

    [Fact]
    public void Without_words_of_its_own_a_text_stays_as_it_is() => Assert.Equal("2 kopas", Lexicon.Own.Read("2 kopas"));

    [Fact]
    public void A_recipe_is_read_in_its_words_and_its_lines_stay_as_they_are_written()
    {
        var text = PlainRecipe.Read("Rondos\nfas 12\n500 g mel blan\n300 g akva\n9 g sal\n1. Reposu 40 minutos.\n2. Rolu 18 cm.", Words);
        var read = RecipeReader.Read(text, Kitchen, []);

        Assert.Empty(read.Refusals);
        Assert.Equal("Rondos", read.Name);
        Assert.Equal(["500 g mel blan", "300 g akva", "9 g sal"], read.Lines.Select(l => l.Text));
        Assert.Equal(["flour-white", "water", "salt-fine"], read.Lines.Select(l => l.Item));
        var sheet = Breads.Plan(read.Spec!);
        Assert.Equal((12, 500, 60), (sheet.Balls.Count, Math.Round(sheet.Dough.Flour.Value), Math.Round(sheet.Dough.Water.Hydration.Value)));
        Assert.Equal(40, read.Spec!.Rest.Time.Value);
        Assert.Equal(180, read.Spec.Roll.Diameter.Value);
    }
}
