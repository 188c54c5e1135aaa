namespace Ystrata.Core.Tests;

/// <summary>A cook's own line gets what the shipped one of its sort gets: rules ask for traits and never for an id.</summary>
public class TraitTests
{
    // The same thing by another id and another name.
    private static Kitchen WithOwn(params string[] ids) =>
        ids.Aggregate(Breads.Kitchen, (kitchen, id) => kitchen.With(kitchen[id] with { Id = "own-" + id, Name = "Our " + id, Origin = Origin.Own }));

    private static readonly Kitchen Own = WithOwn("egg", "yeast-quick", "baking-powder", "garlic", "honey", "rice-cooked", "yogurt", "oats-rolled", "butter", "paste-leaf", "water");

    public static TheoryData<string, Func<string, BatchSpec>> Places => new()
    {
        { "egg", id => Breads.White(d => d.WithLiquids(new(id, Amount.OfFlour(10)), new("milk", Amount.TheRest))) },
        { "egg", id => Stuffed(new SeasonStep(id, new(30))) },
        { "yeast-quick", id => Breads.White(d => d.WithAdditions((id, 0.8))) with { Rest = RestSpec.CoveredFor(90) } },
        { "baking-powder", id => Breads.White(d => d.WithAdditions((id, 2))) },
        { "garlic", id => Stuffed(new SeasonStep(id, new(10))) },
        { "honey", id => Breads.White(d => d.WithAdditions((id, 3))) },
        { "rice-cooked", id => Stuffed() is var s ? s with { Filling = s.Filling! with { Parts = [new(id, new(800), default, [])] } } : s },
        { "yogurt", id => Breads.White(d => d.WithLiquids(new(id, Amount.OfFlour(20)), new("water", Amount.TheRest))) },
        { "oats-rolled", id => Stuffed(new BindStep(id, new(20))) },
        { "butter", id => Breads.White(d => d.WithFat(id, 6)) },
        { "paste-leaf", id => Breads.White(d => d.WithLiquids(new(id, Amount.OfFlour(10)), new("water", Amount.TheRest))) },
        { "water", id => Breads.White(d => d.WithLiquids(new LiquidSpec(id, Amount.TheRest))) },
    };

    private static BatchSpec Stuffed(params FillingStep[] together) => Breads.White() with { Filling = FillingSpec.Usual with { Together = together } };

    [Theory]
    [MemberData(nameof(Places))]
    public void An_own_line_is_treated_as_the_shipped_one_is(string shipped, Func<string, BatchSpec> of)
    {
        var (there, own) = (Breads.Plan(of(shipped), Own), Breads.Plan(of("own-" + shipped), Own));

        Assert.Equal(there.Notes.Select(n => (n.Code, n.Severity)), own.Notes.Select(n => (n.Code, n.Severity)));
        Assert.Equal(there.Rest.Least, own.Rest.Least);
        Assert.Equal((there.Rest.Longest, there.Rest.End), (own.Rest.Longest, own.Rest.End));
        Assert.Equal(there.Dough.Mixing.Water, own.Dough.Mixing.Water);
        Assert.Equal(there.Piece.Raw, own.Piece.Raw);
        Assert.Equal(there.Pan.Done.Needed, own.Pan.Done.Needed);
        Assert.Equal(there.Cost.Unpriced.Select(id => id.Replace("own-", "", StringComparison.Ordinal)).Order(), own.Cost.Unpriced.Select(id => id.Replace("own-", "", StringComparison.Ordinal)).Order());
    }

    [Theory]
    [InlineData("egg", NoteCode.RawEgg)]
    [InlineData("honey", NoteCode.HoneyInfants)]
    [InlineData("yeast-quick", NoteCode.MuchYeast)]
    [InlineData("baking-powder", NoteCode.MuchPowder)]
    public void And_what_is_said_of_the_dough_is_said(string shipped, NoteCode code)
    {
        var of = Places.First(p => (string)p[0] == shipped);

        Assert.True(Breads.Plan(((Func<string, BatchSpec>)of[1])("own-" + shipped), Own).Has(code));
    }

    [Fact]
    public void A_line_of_which_nobody_has_said_anything_is_what_its_kind_usually_is()
    {
        var own = Breads.Larder["leek"] with { Id = "own", Marks = null };

        Assert.True(own.Is(Trait.Spoils));
        Assert.False((own with { Marks = [] }).Is(Trait.Spoils));
        Assert.Equal([Trait.Spoils, Trait.RawRisk], UsualTraits.Of(IngredientKind.Meat));
    }

    [Fact]
    public void What_is_counted_has_a_mass_by_the_piece_whatever_it_is_called()
    {
        var kitchen = Breads.Kitchen.With(Breads.Larder["egg"] with { Id = "duck", Name = "Duck egg", Each = new(70), Origin = Origin.Own });
        var read = RecipeReader.Read(new("Rounds", "", ["300 g white wheat flour", "2 duck eggs", "120 ml milk"], [], "6", []), kitchen, []);

        Assert.Equal(140, read.Lines[1].Mass!.Value.Value, 6);
    }

    [Theory]
    [InlineData("#12345", false)]
    [InlineData("red", false)]
    [InlineData("#A1b2C3", true)]
    public void A_hue_is_six_digits_or_refused(string hue, bool stands) =>
        Assert.Equal(stands, IngredientCheck.Check(Breads.Larder["leek"] with { Hue = hue }, Breads.Larder).All(r => r.Field != "hue"));

    [Fact]
    public void Every_shipped_line_has_its_marks_and_its_hue() => Assert.All(Breads.Larder.All, i => Assert.True(i is { Marks: not null, Hue: not null }));

    [Fact]
    public void No_rule_names_an_ingredient()
    {
        var core = Path.GetFullPath(Path.Combine(AppContext.BaseDirectory, "../../../../../src/Core"));
        var named = Directory.EnumerateFiles(core, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/Kitchens/", StringComparison.Ordinal))
            .SelectMany(f => File.ReadLines(f).Where(l => Named(l, recipes: f.Contains("/Recipes/", StringComparison.Ordinal))).Select(l => $"{Path.GetFileName(f)}: {l.Trim()}"));

        Assert.Empty(named);
    }

    // A recipe is read by the words cooks write, and some ids are such words; elsewhere some are words of the work.
    private static bool Named(string line, bool recipes) => Breads.Larder.All.Select(i => i.Id)
        .Where(id => id.Contains('-', StringComparison.Ordinal) || (!recipes && id is "egg" or "garlic" or "honey" or "ghee" or "butter" or "yogurt" or "milk"))
        .Any(id => line.Contains($"\"{id}\"", StringComparison.Ordinal));
}
