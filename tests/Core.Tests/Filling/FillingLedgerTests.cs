using CsCheck;
using static Ystrata.Core.Tests.Fillings;

namespace Ystrata.Core.Tests;

/// <summary>Nothing comes from nowhere and nothing is lost, whatever is done and whatever the scale says.</summary>
public class FillingLedgerTests
{
    private static readonly string[] Stuff = ["radish", "cabbage", "leek", "mushroom", "pea-mash", "paneer", "lamb-mince-cooked", "date-paste", "lentil-dry"];

    private static readonly Gen<FillingStep> Step = Gen.OneOf<FillingStep>(
        Gen.Double[1, 12].Select(mm => (FillingStep)new ChopStep(ChopBy.Grate, new(mm))),
        Gen.Select(Gen.Double[0, 5], Gen.Double[0, 40]).Select((s, t) => (FillingStep)new SaltStep("salt-fine", new(s), new(t))),
        Gen.Enum<SqueezeBy>().Select(by => (FillingStep)new SqueezeStep(by)),
        Gen.Double[0, 20].Select(t => (FillingStep)new BlanchStep(new(t))),
        Gen.Double[0, 300].Select(t => (FillingStep)new SoakStep(new(t))),
        Gen.Double[0, 60].Select(t => (FillingStep)new BoilStep(new(t))),
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 30]).Select((t, f) => (FillingStep)new SauteStep(new(t), new(240), "butter", new(f))),
        Gen.Select(Gen.Double[0, 20], Gen.Double[1, 80]).Select((t, g) => (FillingStep)new SweetenStep("jaggery", new(g), new(t), new(240))),
        Gen.Double[1, 60].Select(g => (FillingStep)new BindStep("oats-rolled", new(g))),
        Gen.Double[0.1, 20].Select(g => (FillingStep)new SeasonStep("herb-chopped", new(g))),
        Gen.Double[1, 60].Select(g => (FillingStep)new MoistenStep("yogurt", new(g))));

    // One in three steps is weighed before and one in three after: some lost on the board, a few percent off what was planned.
    private static readonly Gen<(FillingStep Step, double Before, double After)> Weighed =
        Gen.Select(Step, Gen.Double[0, 3], Gen.Double[0, 3]).Select((step, before, after) => (step, before, after));

    private static readonly Gen<FillingSpec> Any = Gen.Select(Gen.Select(Gen.OneOfConst(Stuff), Gen.Double[50, 900], Weighed.Array[0, 4]).Array[1, 3], Weighed.Array[0, 4])
        .Select((parts, together) =>
        {
            var made = Of([.. parts.Select(p => Part(p.Item1, p.Item2, OnTheScale(p.Item3, steps => Made(Of(Part(p.Item1, p.Item2, steps))).Parts[0].Rows, p.Item2)))]);
            return made with { Together = OnTheScale(together, steps => Made(made with { Together = steps }).Rows, Made(made).Together.Mass.Value) };
        });

    /// <summary>What a scale could show at each step: it knows the mass there is, and no more comes off it than is water.</summary>
    private static FillingStep[] OnTheScale((FillingStep Step, double Before, double After)[] steps, Func<FillingStep[], IReadOnlyList<FillingRow>> work, double start)
    {
        var done = new List<FillingStep>();
        var there = start;
        foreach (var (step, before, after) in steps)
        {
            var weighed = before < 1 ? step with { Before = new Grams(there * (0.85 + 0.15 * before)) } : step;
            var row = work([.. done, weighed])[^1];
            if (after < 1)
            {
                var planned = row.State.Mass.Value;
                var heaviest = (weighed.Before?.Value ?? there) + row.Added.Value;
                var off = Math.Min(0.03, 0.5 * row.State.Water.Value / planned);
                weighed = weighed with { After = new Grams(Math.Min(planned * (1 - off + 2 * off * after), step is SqueezeStep or SauteStep or SweetenStep ? heaviest : double.MaxValue)) };
                row = work([.. done, weighed])[^1];
            }

            done.Add(weighed);
            there = row.State.Mass.Value;
        }

        return [.. done];
    }

    [Fact]
    public void Mass_is_what_went_in_less_what_went_out() => Any.Sample(spec =>
    {
        var made = Made(spec);
        var into = made.Parts.Sum(p => p.Start.Mass.Value) + made.AllRows().Sum(r => (r.Added + r.Taken).Value);
        var gone = made.AllRows().Sum(r => (r.Drained.Mass + r.Steam + r.Scrap).Value);

        Assert.Equal(into - gone, made.End.Mass.Value, 1e-9);
    });

    [Fact]
    public void The_weighings_these_laws_are_tried_with_are_a_kitchens() =>
        Any.Sample(spec => Assert.DoesNotContain(Refusals(spec), r => r.Field.EndsWith(".before", StringComparison.Ordinal) || r.Field.EndsWith(".after", StringComparison.Ordinal)));

    [Fact]
    public void Salt_stays_or_goes_with_the_liquor_when_nothing_is_lost_on_the_board() =>
        Gen.Select(Gen.OneOfConst(Stuff), Gen.Double[50, 900], Step.Array[0, 8]).Sample((id, grams, steps) =>
        {
            var made = Made(Of(Part(id, grams, steps)));
            var items = steps.Select((s, i) => s switch
            {
                SaltStep => made.Parts[0].Rows[i].Added.Value,
                SauteStep f => f.FatMass.Value * Breads.Larder["butter"].Salt.Fraction,
                SweetenStep s2 => s2.Mass.Value * Breads.Larder["jaggery"].Salt.Fraction,
                BindStep b => b.Mass.Value * Breads.Larder["oats-rolled"].Salt.Fraction,
                SeasonStep h => h.Mass.Value * Breads.Larder["herb-chopped"].Salt.Fraction,
                MoistenStep y => y.Mass.Value * Breads.Larder["yogurt"].Salt.Fraction,
                _ => 0,
            });

            Assert.Equal(grams * Breads.Larder[id].Salt.Fraction + items.Sum(), (made.End.Salt + made.Liquor.Salt).Value, 1e-9);
        });

    [Fact]
    public void No_step_makes_water_negative_or_lets_more_out_than_there_is() =>
        Gen.Select(Gen.OneOfConst(Stuff), Gen.Double[50, 900], Step.Array[0, 8]).Sample((id, grams, steps) =>
            Assert.All(Made(Of(Part(id, grams, steps))).AllRows(), r => Assert.True(r.State.Water.Value >= -1e-9 && r.Drained.Water.Value >= -1e-9 && r.Steam.Value >= -1e-9)));

    [Fact]
    public void What_was_fried_dry_and_is_boiled_holds_no_less_than_nothing_and_the_pan_takes_no_more_than_is_there() =>
        Assert.All(
            Made(Of(Part("cabbage", 196, new FillingStep[]
            {
                new SauteStep(new(37), new(240), "butter", new(13.3)), new BoilStep(new(56.6)), new SauteStep(new(7), new(240), "butter", new(18.5)), new BlanchStep(new(1.3)),
            }))).AllRows(),
            r => Assert.True(r.State.Water.Value >= -1e-9 && r.State.Holds.Value >= -1e-9));

    [Fact]
    public void More_binder_never_raises_free_water() => Gen.Select(Any, Gen.Double[1, 100], Gen.OneOfConst("gram-flour", "oats-rolled", "flour-semolina", "coconut-dry"))
        .Sample((spec, grams, binder) => Assert.True(End(spec with { Together = [.. spec.Together, new BindStep(binder, new(grams))] }).Free < End(spec).Free));

    [Fact]
    public void More_squeezing_never_raises_salt() => Gen.Select(Gen.OneOfConst(Stuff), Gen.Double[0, 5], Gen.Double[0, 30]).Sample((id, share, minutes) =>
    {
        double Salt(SqueezeBy by) => End(Of(Part(id, 400, new FillingStep[] { Grate, Fillings.Salt(share, minutes), new SqueezeStep(by) }))).Salt.Value;

        Assert.True(Salt(SqueezeBy.Drain) >= Salt(SqueezeBy.Hand) - 1e-12);
        Assert.True(Salt(SqueezeBy.Hand) >= Salt(SqueezeBy.Cloth) - 1e-12);
    });

    [Fact]
    public void A_weight_overrules_the_estimate_and_all_after_it_follows()
    {
        var made = Made(Of(Part("radish", 1000, Grate, Salt(), Cloth with { After = new(540) }), Bind(10)));
        var row = made.Parts[0].Rows[2];

        Assert.Equal(477.6, row.Planned.Value, 0.05);
        Assert.Equal(540, row.State.Mass.Value, 9);
        Assert.Equal(550, made.End.Mass.Value, 9);
        // What is heavier kept liquor, and salt with it.
        Assert.True(row.State.Salt > Made(Of(Part("radish", 1000, Grate, Salt(), Cloth))).Parts[0].Rows[2].State.Salt);
    }

    [Fact]
    public void Weighed_again_after_trimming_the_rest_is_of_the_same_make()
    {
        var made = Made(Of(Part("radish", 1000, Grate with { Before = new(900) })));

        Assert.Equal(100, made.Parts[0].Rows[0].Scrap.Value, 9);
        Assert.Equal(0.945 * 900, made.End.Water.Value, 9);
    }
}
