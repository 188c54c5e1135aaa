using static Ystrata.Core.Tests.Fillings;

namespace Ystrata.Core.Tests;

/// <summary>What a cook says of a filling in the hand, and until when (models.md E).</summary>
public class VerdictTests
{
    private const FillingFeel Loose = FillingFeel.Loose, Holds = FillingFeel.Holds, Flour = FillingFeel.RollInFlour, Weeps = FillingFeel.Weeps;

    private static readonly FillingStep Chop = new ChopStep(ChopBy.Chop, new(5)), Shred = new ChopStep(ChopBy.Chop, new(3));

    private static SauteStep Pan26(double minutes, Flame flame = Flame.Medium) => new(new(minutes), new(260), "ghee", new(0), null, flame);

    private static FillingSpec Sweet(double minutes, params FillingStep[] after) => Of(Part("lentil-paste", 400), [new SweetenStep("sugar", new(200), new(minutes), new(260)), .. after]);

    [Fact]
    public void How_much_water_binds_a_paste_is_worked_out_and_no_more_than_that()
    {
        var dry = Of([Part("sugar-brown", 200), Part("flour-cake", 150), Part("ghee", 40)]);
        var made = FillingStage.Make(dry, Breads.Kitchen);
        var mend = Assert.Single(new FillingMends(dry, made, Breads.Kitchen).AgainstLoose());
        var water = mend.Quantities[0].Value;

        Assert.InRange(water, 5, 40);
        Assert.Equal(Holds, FillingStage.FeelOf(FillingStage.Make(mend.Filling!, Breads.Kitchen).End));
        var less = dry with { Together = [new MoistenStep("water", new(water * 0.7))] };
        Assert.Equal(Loose, FillingStage.FeelOf(FillingStage.Make(less, Breads.Kitchen).End));
    }

    [Fact]
    public void Lumps_of_sugar_count_as_grain_until_they_are_crushed()
    {
        double Grain(params FillingStep[] steps) => FillingStage.Make(Of([Part("jaggery", 200, steps), Part("seed-sesame", 100)]), Breads.Kitchen).End.Grain.Value;
        Assert.Equal(8, Grain());
        Assert.Equal(2, Grain(new ChopStep(ChopBy.Mash, new(1))));
    }

    public static TheoryData<string, FillingSpec, FillingFeel[]> Table => new()
    {
        { "cauliflower grated 3 mm, raw, no salt, at once", Of(Part("cauliflower", 400, Grate)), [Holds, Flour] },
        { "the same salted 1.2 % in the bowl, 20 min", Of(Part("cauliflower", 400, Grate, Salt(1.2, 20))), [Weeps] },
        { "the same unsalted, 3 min in a 26 cm pan, salted after", Of(Part("cauliflower", 400, Grate, Pan26(3)), new SeasonStep("salt-fine", new(4.8))), [Holds] },
        { "white radish grated, raw", Of(Part("radish", 400, Grate)), [Weeps] },
        { "courgette grated, raw", Of(Part("courgette", 400, Grate)), [Weeps] },
        { "white radish salted 1.5 %, 15 min, cloth", Of(Part("radish", 400, Grate, Salt(), Cloth)), [Holds] },
        { "white radish salted 1.5 %, 15 min, by hand", Of(Part("radish", 400, Grate, Salt(), Hand)), [Flour] },
        { "cabbage shredded, salted 10 min, by hand", Of(Part("cabbage", 400, Shred, Salt(1.5, 10), Hand)), [Flour, Weeps] },
        { "leek chopped, 6 min in a 26 cm pan", Of(Part("leek", 400, Chop, Pan26(6))), [Holds] },
        { "mushroom chopped, high flame, 26 cm, 4 min", Of(Part("mushroom", 400, Chop, Pan26(4, Flame.High))), [Weeps] },
        { "mushroom chopped, high flame, 26 cm, 14 min", Of(Part("mushroom", 400, Chop, Pan26(14, Flame.High))), [Holds] },
        { "chard wilted, as it is", Of(Part("chard-wilted", 400)), [Weeps] },
        { "chard wilted, squeezed by hand", Of(Part("chard-wilted", 400, Hand)), [Holds, Flour] },
        { "boiled tuber mashed, a tenth of raw chopped leek, spice", Of([Part("potato-boiled", 360, Mash), Part("leek", 40, Chop)], new SeasonStep("spice-ground", new(4))), [Holds] },
        { "mashed peas", Of(Part("pea-mash", 400)), [Holds] },
        { "date paste", Of(Part("date-paste", 400)), [Holds] },
        { "fresh cheese", Of(Part("paneer", 400, Mash)), [Holds] },
        { "brined cheese", Of(Part("feta", 400, Mash)), [Holds] },
        { "grated melting cheese", Of(Part("cheese-melting", 400, Grate)), [Holds] },
        { "cooked mince", Of(Part("lamb-mince-cooked", 400)), [Loose] },
        { "brown sugar 200 g, soft flour 150 g, 40 g fat, with 35 g water", Of([Part("sugar-brown", 200), Part("flour-cake", 150), Part("ghee", 40), Part("water", 35)]), [Holds] },
        { "the same with none", Of([Part("sugar-brown", 200), Part("flour-cake", 150), Part("ghee", 40)]), [Loose] },
        { "walnut 150 g and sugar 100 g, with a spoon of water", Of([Part("walnut", 150), Part("sugar", 100), Part("water", 15)]), [Holds] },
        { "sesame 150 g and sugar 100 g, dry", Of([Part("seed-sesame", 150), Part("sugar", 100)]), [Loose] },
        { "sesame and sugar with a spoon of water", Of([Part("seed-sesame", 150), Part("sugar", 100), Part("water", 18)]), [Holds] },
        { "sugar and nothing else, a lot of water", Of([Part("sugar", 200), Part("water", 150)]), [Weeps] },
        { "cooked pulse 400 g with 200 g sugar, at once", Sweet(0), [Weeps] },
        { "the same, 4 min in a 26 cm pan", Sweet(4), [Holds] },
        { "then cooled 15 min", Sweet(4, new CoolStep(new(15), RestPlace.Room)), [Holds] },
        { "the same after 2 min with 15 g gram flour", Sweet(2, Bind(15, "gram-flour")), [Holds] },
    };

    [Theory]
    [MemberData(nameof(Table))]
    public void A_filling_behaves_as_cooks_say(string what, FillingSpec filling, FillingFeel[] verdicts)
    {
        var end = End(filling);

        Assert.True(verdicts.Contains(FillingStage.FeelOf(end)), $"{what}: {FillingStage.FeelOf(end)}, {end.Runs.Value:0.0} % runs, sticks {end.Stickiness:0.00}, cells {end.Cells.Water.Value:0} g");
    }

    // More of the kind that stand in no table.
    public static TheoryData<string, FillingSpec, FillingFeel[]> Alike => new()
    {
        { "carrot grated, raw", Of(Part("carrot", 400, Grate)), [Holds, Flour] },
        { "courgette salted 1.5 %, 15 min, cloth", Of(Part("courgette", 400, Grate, Salt(), Cloth)), [Holds] },
        { "cabbage salted 20 min, cloth", Of(Part("cabbage", 400, Shred, Salt(1.5, 20), Cloth)), [Holds] },
        { "cabbage shredded, 8 min in a 26 cm pan", Of(Part("cabbage", 400, Shred, Pan26(8))), [Holds] },
        { "spinach-like leaf wilted, cloth", Of(Part("chard-wilted", 400, Cloth)), [Holds] },
        { "ricotta as it is", Of(Part("ricotta", 400)), [Flour, Weeps, Holds] },
        { "chicken shredded", Of(Part("chicken-cooked", 400)), [Loose, Holds] },
        { "beetroot grated, salted, by hand", Of(Part("beetroot", 400, Grate, Salt(), Hand)), [Holds, Flour, Weeps] },
        { "radish salted and left in its water", Of(Part("radish", 400, Grate, Salt())), [Weeps] },
        { "radish raw bound with 60 g of crumbs", Of(Part("radish", 400, Grate), Bind(60, "crumbs-dry")), [Holds, Loose] },
    };

    [Theory]
    [MemberData(nameof(Alike))]
    public void Others_of_the_kind_behave_alike(string what, FillingSpec filling, FillingFeel[] verdicts) => A_filling_behaves_as_cooks_say(what, filling, verdicts);

    [Fact]
    public void Salted_in_the_bowl_it_has_a_time()
    {
        // Cooked off, salted last: it holds, and weeps only after a while.
        var filling = Of(Part("cauliflower", 400, Grate, Pan26(5)), new SeasonStep("salt-fine", new(5)));
        var sheet = Plan(filling).Filling!;
        Assert.Equal(Holds, sheet.Feel);
        var until = sheet.HoldsFor!.Value;
        Assert.InRange(until.Value, 1, 60);

        FillingFeel After(double minutes) => FillingStage.FeelOf(End(filling).Stood(new(minutes)));
        Assert.NotEqual(Weeps, After(until.Value * 0.98));
        Assert.Equal(Weeps, After(until.Value * 1.02));
        // Without salt it never does.
        Assert.Null(Plan(filling with { Together = [] }).Filling!.HoldsFor);
    }

    [Fact]
    public void Salt_that_draws_is_mended_by_salting_last()
    {
        var salted = Of(Part("cauliflower", 1400, Grate, Salt(1.2, 20)));
        var mend = Plan(salted).The(NoteCode.FillingWeeps).Mends!.Single(m => m.Code == MendCode.SaltLast);

        Assert.NotEqual(Weeps, FillingStage.FeelOf(End(mend.Filling!)));
        Assert.Equal(End(salted).Salt.Value, End(mend.Filling!).Salt.Value, 0.1);
        // Where it is squeezed out afterwards, salting is what it is for.
        Assert.DoesNotContain(Plan(Of(Part("radish", 1400, Grate, Salt(1.5, 2), Hand))).Notes.SelectMany(n => n.Mends ?? []), m => m.Code == MendCode.SaltLast);
    }

    [Fact]
    public void What_is_loose_is_said_of_a_gathered_ball_and_not_of_a_folded_parcel()
    {
        var mince = Of(Part("lamb-mince-cooked", 1600));

        Assert.True(Plan(mince).Has(NoteCode.FillingLoose));
        Assert.False(Plan(mince with { Wall = new(ParcelShape.HalfMoon, new(80)) }).Has(NoteCode.FillingLoose));
    }

    [Fact]
    public void More_salt_more_time_finer_cuts_and_heat_never_lessen_what_has_come_out()
    {
        foreach (var id in new[] { "radish", "cauliflower", "cabbage", "leek", "courgette", "mushroom" })
        {
            double Free(params FillingStep[] steps) => End(Of(Part(id, 400, steps))).Free.Value;
            static void Rises(IEnumerable<double> all) => Assert.Equal(all.Order(), all);

            Rises(new double[] { 0, 2, 5, 10, 20, 40, 120 }.Select(t => Free(Grate, Salt(1.5, t))));
            Rises(new double[] { 0, 0.5, 1, 1.5, 3, 6 }.Select(s => Free(Grate, Salt(s, 15))));
            Rises(new double[] { 20, 12, 8, 5, 3, 1 }.Select(g => Free(new ChopStep(ChopBy.Chop, new(g)))));
            Rises(new double[] { 0, 1, 2, 4, 8 }.Select(t => Free(Grate, new BlanchStep(new(t)))));
            // Harder pressed, less of it stays.
            Rises(new FillingStep[] { Cloth, Hand, new SqueezeStep(SqueezeBy.Drain) }.Select(s => Free(Grate, Salt(), s)));
        }
    }
}
