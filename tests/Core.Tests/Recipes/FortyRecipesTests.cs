using System.Globalization;
using Xunit.Abstractions;

namespace Ystrata.Core.Tests.Recipes;

/// <summary>Forty made-up recipes in ten ways of writing them down: lists, headings, one breath, name before amount, capitals, ticks, marks, inline parts, loose cooks.</summary>
public sealed class FortyRecipesTests(ITestOutputHelper output)
{
    private sealed record Expected(string Item, double? Grams, bool Asked);

    private static List<(string Text, List<Expected> Lines)> All { get; } =
    [
        .. File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "Recipes", "recipes.txt")).Split("####\n", StringSplitOptions.RemoveEmptyEntries).Select(r => r.Split("=>\n")).Select(r => (
            r[0],
            r[1].Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(l => l.Split(' ')).Select(l => new Expected(l[0], double.TryParse(l[1], CultureInfo.InvariantCulture, out var grams) ? grams : null, l[1] == "?")).ToList())),
    ];

    private static RecipeRead Read(string text, params SettledLine[] settled) => RecipeReader.Read(PlainRecipe.Read(text, Lexicon.Own), Kitchen.Shipped, settled);

    private static bool IsAsked(RecipeLine line) => line.Trouble is LineTrouble.NoAmount or LineTrouble.NoIngredient or LineTrouble.Several or LineTrouble.TwoWays;

    private static bool IsRight(RecipeLine line, Expected expected) => !IsAsked(line) && line.Item == expected.Item
        && (expected.Grams is not { } grams || line.Mass is { } mass && Math.Abs(mass.Value - grams) <= 0.06 * grams + 0.3);

    [Fact]
    public void Of_their_lines_nineteen_in_twenty_are_understood_as_they_were_meant()
    {
        Assert.Equal(40, All.Count);
        var (right, all) = (0, 0);
        foreach (var (text, expected) in All)
        {
            var lines = Read(text).Lines;
            if (lines.Count != expected.Count)
            {
                output.WriteLine($"{text.Split('\n')[0]}: {lines.Count} lines for {expected.Count}: {string.Join(" | ", lines.Select(l => l.Text))}");
            }

            foreach (var (line, meant) in lines.Zip(expected))
            {
                right += IsRight(line, meant) ? 1 : 0;
                if (!IsRight(line, meant))
                {
                    output.WriteLine($"{line.Text} -> {line.Item} {line.Mass} {line.Trouble}, not {meant}");
                }
            }

            all += expected.Count;
        }

        output.WriteLine($"{right} of {all}");
        Assert.True(right >= 0.95 * all, $"{right} of {all}");
    }

    [Fact]
    public void What_is_not_is_asked_and_settled_with_a_press_each_and_the_bread_is_planned()
    {
        foreach (var (text, expected) in All)
        {
            var read = Read(text);
            Assert.Equal(expected.Count, read.Lines.Count);
            // The one it is meant to be is among those that are offered, or is said; a mass is said where there is none.
            var settled = read.Lines.Select((l, i) => (Line: l, i)).Where(l => IsAsked(l.Line)).Select(l => new SettledLine(l.i, expected[l.i].Item, l.Line.Mass is null && expected[l.i].Asked ? new Grams(250) : null)).ToArray();
            var done = Read(text, settled);
            Assert.True(done.Spec is not null && done.Refusals.Count == 0, $"{text}\n{string.Join(", ", done.Refusals.Select(r => $"{r.Field} {r.Code} {r.Given} {r.Least} {r.Most}"))}");
            Assert.NotNull(Planner.Plan(done.Spec!, Kitchen.Shipped).Value);
        }
    }

    [Fact]
    public void Flour_alone_is_asked_with_the_commonest_first()
    {
        var line = Read("Rounds\n3 cups flour\n1 cup water").Lines[0];
        Assert.Equal(LineTrouble.Several, line.Trouble);
        Assert.Equal(["flour-white", "flour-atta", "flour-whole"], line.Could.Take(3));
    }

    [Fact]
    public void Steps_tell_rest_round_pieces_flame_and_minutes_a_side()
    {
        var read = Read(All[0].Text);
        Assert.Equal((30, 177.8, 8), (read.Spec!.Rest.Time.Value, read.Spec.Roll.Diameter.Value, DoughSolverPieces(read.Spec)));
        Assert.Equal((Roasting.OneTurn, 120.0), (read.Spec.Pan.Roasting, read.Spec.Pan.Own![0].Time.Value));
        Assert.NotNull(read.Spec.Dough.Cups);
    }

    private static int DoughSolverPieces(BatchSpec spec) => Breads.Plan(spec).Balls.Count;

    [Theory]
    [InlineData("")]
    [InlineData("   \n\n ")]
    [InlineData("How are you? See you at the landing at six.")]
    public void What_is_no_recipe_has_no_lines(string text) => Assert.Empty(PlainRecipe.Read(text, Lexicon.Own).Ingredients);
}
