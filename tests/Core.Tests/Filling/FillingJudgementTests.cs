using static Ystrata.Core.Tests.Fillings;

namespace Ystrata.Core.Tests;

/// <summary>What is said of a filling, and whether the mends mend.</summary>
public class FillingJudgementTests
{
    [Fact]
    public void A_wet_filling_is_mended_by_each_of_its_mends()
    {
        var wet = Of(Part("radish", 800, Grate, Salt(1.5, 5), Hand), Saute(5));
        var mends = Plan(wet).The(NoteCode.FillingWeeps).Mends!;

        Assert.Equal([MendCode.SqueezeHarder, MendCode.SaltLonger, MendCode.StirLonger], mends.Select(m => m.Code));
        Assert.All(mends, m => Assert.True(End(m.Filling!).Free < End(wet).Free));
        Assert.Equal(FillingFeel.Holds, FillingStage.FeelOf(End(mends[2].Filling!)));
    }

    [Fact]
    public void A_filling_without_a_pan_is_bound()
    {
        var tubers = Of(Part("sweet-potato-boiled", 1500, Mash));
        var mends = Plan(tubers).The(NoteCode.FillingRollInFlour).Mends!;

        Assert.Equal(["gram-flour-roasted", "oats-rolled"], mends.Select(m => m.Item));
        Assert.All(mends, m => Assert.Equal(FillingFeel.Holds, FillingStage.FeelOf(End(m.Filling!))));
        // Free water over what a gram drinks, up to a whole gram.
        Assert.Equal(Math.Ceiling(End(tubers).Free.Value / 1.1), mends[0].Figure(QuantityName.Mass));
    }

    [Fact]
    public void A_loose_one_gets_some_water()
    {
        var dry = Of(Part("lamb-mince-cooked", 1500), Bind(25, "crumbs-dry"));
        var mends = Plan(dry).The(NoteCode.FillingLoose).Mends!;

        var mend = Assert.Single(mends);
        Assert.Equal(MendCode.Moisten, mend.Code);
        Assert.Equal(FillingFeel.Holds, FillingStage.FeelOf(End(mend.Filling!)));
    }

    [Fact]
    public void Salt_is_counted_from_what_stayed()
    {
        var radish = Of(Part("radish", 3000, Grate, Salt(), Cloth));
        var salty = Plan(radish with { SaltWanted = new(2) });
        var note = salty.The(NoteCode.FillingSalt);
        var mended = End(note.Mends!.Single().Filling!);

        Assert.Equal(45, note.Figure(QuantityName.Stayed) + note.Figure(QuantityName.Left), 6);
        Assert.Equal(2, mended.SaltShare.Value, 0.01);
        Assert.True(Plan(Of(Part("feta", 1500, Mash))).Has(NoteCode.FillingSalty));
        Assert.True(Plan(Of(Part("pea-mash", 1500, Mash))).Has(NoteCode.FillingBland));
    }

    [Fact]
    public void Lumps_warmth_and_a_tight_gather_are_mended()
    {
        var lumpy = Of(Part("cabbage", 2000, Salt(), Cloth));
        var chopped = Plan(lumpy).The(NoteCode.LumpsTear).Mends!.Single().Filling!;
        Assert.False(Plan(chopped).Has(NoteCode.LumpsTear));

        var warm = Of(Part("leek", 1500, Grate), Saute(20));
        Assert.False(Plan(Plan(warm).The(NoteCode.FillingWarm).Mends!.Single().Filling!).Has(NoteCode.FillingWarm));

        var tight = Of(Part("paneer", 6000, Mash)) with { Wall = new(ParcelShape.Gathered, new(250)) };
        Assert.False(Plan(Plan(tight).The(NoteCode.FillingTight).Mends!.Single().Filling!).Has(NoteCode.FillingTight));
    }

    [Fact]
    public void A_binder_that_is_there_already_is_taken_more_of()
    {
        var bound = Of(Part("sweet-potato-boiled", 1500, Mash), Bind(2, "potato-flake"));
        var mend = Plan(bound).The(NoteCode.FillingRollInFlour).Mends![0];

        Assert.Equal("potato-flake", mend.Item);
        Assert.Equal(2 + mend.Figure(QuantityName.Mass), Assert.IsType<BindStep>(Assert.Single(mend.Filling!.Together)).Mass.Value, 9);
        Assert.True(End(mend.Filling).Free.Value <= 1e-9);
    }

    [Fact]
    public void What_was_weighed_is_not_mended_away()
    {
        // The scale has said how the squeezing went: neither a cloth nor more salt can change that any more.
        var weighed = Of(Part("radish", 800, Grate, Salt(1.5, 5) with { After = new(812) }, Hand with { After = new(680) }));
        var codes = Plan(weighed).The(NoteCode.FillingWeeps).Mends!.Select(m => m.Code);

        Assert.All(codes, c => Assert.Equal(MendCode.BindMore, c));
    }

    [Fact]
    public void A_full_ledger_takes_no_more_steps()
    {
        var full = Of(Part("pea-mash", 1500, Mash), [.. Enumerable.Repeat<FillingStep>(new SeasonStep("spice-ground", new(1)), FillingCheck.MostSteps)]);
        var mends = Plan(full).Notes.SelectMany(n => n.Mends ?? []);

        Assert.DoesNotContain(mends, m => m.Filling is { } f && f.Together.Count > FillingCheck.MostSteps);
        Assert.Equal("filling.together", Assert.Single(Refusals(full with { Together = [.. full.Together, Mash] })).Field);
    }

    [Theory]
    [InlineData("soak", "time", 3000)]
    [InlineData("saute", "pan", 50)]
    [InlineData("saute", "to", 0)]
    [InlineData("saute", "fatMass", -1)]
    [InlineData("sweeten", "mass", 0)]
    [InlineData("sweeten", "time", double.NaN)]
    [InlineData("chop", "grain", 400)]
    [InlineData("before", "before", 0)]
    public void Every_figure_of_every_step_has_its_range(string step, string name, double value)
    {
        double Or(string field, double usual) => field == name ? value : usual;
        FillingStep bad = step switch
        {
            "soak" => new SoakStep(new(value)),
            "saute" => new SauteStep(new(5), new(Or("pan", 240)), "ghee", new(Or("fatMass", 5)), name == "to" ? new Grams(value) : null),
            "sweeten" => new SweetenStep("jaggery", new(Or("mass", 50)), new(Or("time", 5)), new(240)),
            "chop" => new ChopStep(ChopBy.Chop, new(value)),
            _ => Grate with { Before = new(value) },
        };

        Assert.Equal($"filling.parts[0].steps[0].{name}", Assert.Single(Refusals(Of(Part("radish", 800, bad)))).Field);
        Assert.Equal($"filling.together[0].{name}", Assert.Single(Refusals(Of(Part("radish", 800), bad))).Field);
    }

    [Fact]
    public void Cautions_come_with_what_they_are_about()
    {
        var pressed = Of([Part("lentil-dry", 300, new PressureStep(new(12)), Mash), Part("lamb-mince-cooked", 300)], new SeasonStep("garlic", new(5)), Bind(10, "oats-rolled"));
        Assert.All(
            [NoteCode.CoreSafe, NoteCode.CoolFast, NoteCode.PulseCold, NoteCode.RawGarlic, NoteCode.PressurePot, NoteCode.OatsWait],
            code => Assert.True(Plan(pressed).Has(code), code.ToString()));

        Assert.True(Plan(Of(Part("radish", 1000, Grate, Salt(), Cloth), new CoolStep(new(60), RestPlace.Fridge))).Has(NoteCode.CoreSafe));

        var plain = Plan(Of(Part("radish", 1000, Grate, Salt(), Cloth)));
        Assert.DoesNotContain(plain.Notes, n => n.Stage == Stage.Filling && n.Severity == Severity.Caution);
    }

    [Theory]
    [InlineData("heavier", "filling.parts[0].steps[1].after", nameof(RefusalCode.Heavier), 1000.0)]
    [InlineData("no water", "filling.parts[0].steps[1].after", nameof(RefusalCode.NoWaterLeft), null)]
    [InlineData("salt of 20 %", "filling.parts[0].steps[1].share", nameof(RefusalCode.OutOfRange), 8.0)]
    [InlineData("wet binder", "filling.together[0].binder", nameof(RefusalCode.WetBinder), 25.0)]
    [InlineData("no filling at all", "filling.parts", nameof(RefusalCode.TooMany), 12.0)]
    [InlineData("no share", "filling.wall.share", nameof(RefusalCode.OutOfRange), 400.0)]
    [InlineData("too much for the disc", "filling.wall.share", nameof(RefusalCode.FillingTooBig), null)]
    [InlineData("unknown", "filling.parts[0].id", nameof(RefusalCode.UnknownIngredient), null)]
    [InlineData("a leaven for a filling", "filling.parts[0].id", nameof(RefusalCode.WrongKind), null)]
    public void What_cannot_be_is_refused_with_the_figure_that_cannot(string what, string field, string code, double? most)
    {
        FillingSpec radish(params FillingStep[] steps) => Of(Part("radish", 1000, [Grate, .. steps]));
        var refusal = Assert.Single(Refusals(what switch
        {
            "heavier" => radish(Cloth with { After = new(1200) }),
            "no water" => radish(Cloth with { After = new(20) }),
            "salt of 20 %" => radish(Salt(20)),
            "wet binder" => Of(Part("radish", 1000, Grate), Bind(20, "puree-pea")),
            "no filling at all" => Of([]),
            "no share" => radish() with { Wall = new(ParcelShape.Gathered, new(0)) },
            "too much for the disc" => radish() with { Wall = new(ParcelShape.Gathered, new(400)) },
            "unknown" => Of(Part("moon-cheese", 100)),
            _ => Of(Part("baking-powder", 100)),
        }));

        Assert.Equal((field, code), (refusal.Field, refusal.Code.Name));
        Assert.True(most is null ? refusal.Most is null or > 0 : refusal.Most == most, $"{refusal}");
    }

    [Fact]
    public void A_wall_of_nothing_is_refused()
    {
        var spec = Stuffed(Of(Part("radish", 1000, Grate))) is var s ? s with { Balls = s.Balls with { Mass = new(5) }, Roll = s.Roll with { Diameter = new(400) } } : s;

        Assert.Contains(Breads.Refused(spec, Breads.Kitchen), r => r.Field == "filling.wall.share" && r.Code == RefusalCode.NoWall);
    }
}
