using CsCheck;
using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Logbook;

/// <summary>The record pays the cook back: what is learned, how far it is believed, and that it can be taken back.</summary>
public class LearningTests
{
    private static readonly Kitchen Kitchen = Breads.Kitchen;

    private static readonly BatchSpec Wet = Fillings.Stuffed(Fillings.Of(Fillings.Part("radish", 600, Fillings.Grate, Fillings.Salt(), Fillings.Cloth)));

    private static Outcome Poured(double liquid) => Outcome.Nothing with { Used = Outcome.Nothing.Used with { Liquid = new(liquid) } };

    /// <summary>A cook who adds water until the dough is right, for a flour that drinks so many points more than the kitchen says.</summary>
    private static List<double> CookedWithThirst(double points, int times, double wobble)
    {
        var spec = ClockKitchens.Squares;
        var planned = Planned.Of(spec, Breads.Plan(spec));
        return [.. Enumerable.Range(0, times).Select(i =>
        {
            var really = planned.Liquid.Value + planned.Flour.Value * (points + (i % 2 == 0 ? wobble : -wobble)) / 100;
            return Assert.Single(Lessons.Of(spec, Poured(really), Kitchen)).Value;
        })];
    }

    [Fact]
    public void A_planted_thirst_is_found_within_a_point_after_six_batches() =>
        Gen.Double[-3, 3].Sample(points =>
        {
            var learned = LearnedFigures.Of(LessonKind.Thirst, "flour-white", CookedWithThirst(points, 6, 0.4), used: true, Kitchen);
            Assert.InRange(learned.After - learned.Before, Math.Min(points, 0) - 1e-6, Math.Max(points, 0) + 1e-6);
            Assert.InRange(Math.Abs(learned.After - learned.Before - points), 0, 1 + 1e-9);
        }, iter: 40);

    [Fact]
    public void One_batch_moves_a_plan_a_quarter_of_the_way_and_twelve_most_of_it()
    {
        double Share(int n) => LearnedFigures.Of(LessonKind.PanTime, "", [.. Enumerable.Repeat(1.4, n)], used: true, Kitchen).After - 1;

        Assert.Equal(0.4 / 4, Share(1), 9);
        Assert.Equal(0.4 * 12 / 15, Share(12), 9);
        Assert.Equal(Share(12), Share(40), 9);
    }

    [Fact]
    public void It_says_from_how_many_cookings_and_how_spread()
    {
        var learned = LearnedFigures.Of(LessonKind.BowlLoss, "", [3, 5, 4], used: false, Kitchen);

        Assert.Equal((3, 4, 2, 3, false), (learned.N, learned.Mean, learned.Before, learned.After, learned.Used));
        Assert.Equal(1, learned.Spread, 9);
    }

    [Fact]
    public void A_thirsty_flour_gets_its_water_in_every_new_plan_and_loses_it_again()
    {
        var spec = ClockKitchens.Squares with { Dough = ClockKitchens.Squares.Dough with { WaterBy = WaterBy.Feel } };
        var figure = LearnedFigures.Of(LessonKind.Thirst, "flour-white", [3, 3, 3], used: true, Kitchen);
        double Hydration(Kitchen kitchen) => Breads.Plan(spec, kitchen).Dough.Water.Hydration.Value;

        Assert.Equal(Hydration(Kitchen) + 1.5, Hydration(LearnedFigures.Onto(Kitchen, [figure])), 6);
        Assert.Equal(Hydration(Kitchen), Hydration(LearnedFigures.Onto(Kitchen, [figure with { Used = false }])), 9);
        Assert.Same(Kitchen, LearnedFigures.Onto(Kitchen, []));
    }

    [Fact]
    public void A_bag_follows_its_flour_until_it_has_taught_something_itself()
    {
        var bag = Kitchen["flour-white"] with { Id = "bag", Name = "The new bag", Lot = new("flour-white", new(1)), Origin = Origin.Own };
        var kitchen = Kitchen.With(bag);
        var flour = LearnedFigures.Of(LessonKind.Thirst, "flour-white", [4, 4, 4], used: true, kitchen);
        var own = LearnedFigures.Of(LessonKind.Thirst, "bag", [-2, -2, -2], used: true, kitchen);
        double Drinks(Kitchen l, string id) => l[id].Absorption!.Value.Value;
        var before = Drinks(kitchen, "flour-white");

        Assert.Equal(before + 2 + 1, Drinks(LearnedFigures.Onto(kitchen, [flour]), "bag"), 9);
        Assert.Equal(before + 1 - 1, Drinks(LearnedFigures.Onto(kitchen, [flour, own]), "bag"), 9);
        Assert.Equal(before + 2, Drinks(LearnedFigures.Onto(kitchen, [flour, own]), "flour-white"), 9);
    }

    [Fact]
    public void Bowl_pan_and_hands_are_used_too()
    {
        LearnedFigure Of(LessonKind kind, string of, double value) => LearnedFigures.Of(kind, of, [value, value, value], used: true, Kitchen);
        var taught = LearnedFigures.Onto(Kitchen, [Of(LessonKind.BowlLoss, "", 6), Of(LessonKind.PanTime, "", 1.5), Of(LessonKind.HandTime, nameof(HandWork.LastRoll), 65), Of(LessonKind.Squeeze, "radish", 50)]);

        Assert.Equal((4.0, 1.25), (taught.Learned.BowlLoss.Value, taught.Learned.PanTime));
        Assert.Equal(45, taught.Hands[HandWork.LastRoll].Value);
        Assert.Equal((50 + Kitchen["radish"].Squeeze!.Value.Value) / 2, taught["radish"].Squeeze!.Value.Value, 9);
        var (slow, usual) = (Breads.Plan(ClockKitchens.Squares, taught), Breads.Plan(ClockKitchens.Squares));
        Assert.True(slow.Pan.Program.Total.Value > usual.Pan.Program.Total.Value);
        Assert.True(slow.Dough.Loss.Value > usual.Dough.Loss.Value);
    }

    [Fact]
    public void What_does_not_count_or_cannot_be_true_teaches_nothing()
    {
        var liquid = Planned.Of(ClockKitchens.Squares, Breads.Plan(ClockKitchens.Squares)).Liquid.Value;

        Assert.Empty(Lessons.Of(ClockKitchens.Squares, Poured(liquid + 40) with { Counts = false }, Kitchen));
        Assert.Empty(Lessons.Of(ClockKitchens.Squares, Poured(liquid * 3), Kitchen));
        Assert.Empty(Lessons.Of(ClockKitchens.Squares, Outcome.Nothing, Kitchen));
        Assert.Empty(Lessons.Of(ClockKitchens.Squares with { Roll = new(new(0), new(0)) }, Poured(liquid), Kitchen));
    }

    [Theory]
    [InlineData(LessonKind.BowlLoss, "", true)]
    [InlineData(LessonKind.BowlLoss, "anything", false)]
    [InlineData(LessonKind.HandTime, "LastRoll", true)]
    [InlineData(LessonKind.HandTime, "3", false)]
    [InlineData(LessonKind.Thirst, "water", false)]
    [InlineData(LessonKind.Squeeze, "radish", true)]
    public void Only_what_the_larder_knows_is_learned_of(LessonKind kind, string of, bool known) => Assert.Equal(known, LearnedFigures.Knows(kind, of, Kitchen));

    [Fact]
    public void Less_dough_than_was_mixed_stayed_in_the_bowl()
    {
        var mixed = Breads.Plan(ClockKitchens.Squares).Dough.Mass.Value;
        var lesson = Assert.Single(Lessons.Of(ClockKitchens.Squares, Outcome.Nothing with { Used = Outcome.Nothing.Used with { Dough = new(mixed * 0.95) } }, Kitchen));

        Assert.Equal(LessonKind.BowlLoss, lesson.Kind);
        Assert.Equal(5, lesson.Value, 6);
    }

    // Wilted leaves stirred in an open pan and weighed, by a pan that drives off so many times what is estimated.
    private static (BatchSpec Spec, Outcome Outcome) Stirred(double rate, double minutes, bool together = false, Grams? to = null)
    {
        SauteStep saute = new(new(minutes), new(240), "ghee", new(0), to);
        var part = Fillings.Part("chard-wilted", 1000);
        BatchSpec Of(FillingStep step) => Fillings.Stuffed(together ? Fillings.Of(part, step) : Fillings.Of(part with { Steps = [step] }));
        var weighed = Of(saute with { After = new(1000 - (rate * 3.5 * 60 * SquareCentimetres.OfRound(new(240)).SquareMetres * minutes)) });
        return (weighed, Gathered.Of(weighed, Breads.Plan(weighed), null, Kitchen));
    }

    [Theory]
    [InlineData(0.6, false)]
    [InlineData(1.9, false)]
    [InlineData(1.9, true)]
    public void What_a_pan_really_drives_off_is_learned_from_the_weights(double rate, bool together)
    {
        var (spec, outcome) = Stirred(rate, 8, together);
        var lesson = Assert.Single(Lessons.Of(spec, outcome, Kitchen), l => l.Kind == LessonKind.CookOff);
        // What is left is kept to a tenth of a percent: half a gram of a kilogram.
        Assert.Equal(rate, lesson.Value, 0.5 / (3.5 * 60 * SquareCentimetres.OfRound(new(240)).SquareMetres * 8) + 1e-9);
        Assert.True(Lessons.Stands(lesson));

        // Three such cookings are believed by half, and the next plan dries as much more.
        var figure = LearnedFigures.Of(LessonKind.CookOff, "", [lesson.Value, lesson.Value, lesson.Value], used: true, Kitchen);
        Assert.Equal((1 + lesson.Value) / 2, figure.After, 9);
        var taught = LearnedFigures.Onto(Kitchen, [figure]);
        Grams Steam(Kitchen kitchen) => FillingStage.Make(Fillings.Of(Fillings.Part("chard-wilted", 1000, new SauteStep(new(8), new(240), "ghee", new(0)))), kitchen).Parts[0].Rows[0].Steam;
        Assert.Equal(Steam(Kitchen).Value * figure.After, Steam(taught).Value, 9);
    }

    [Fact]
    public void A_pan_stirred_to_a_weight_or_dry_teaches_nothing_of_it_and_a_slip_neither()
    {
        static IEnumerable<Lesson> Taught((BatchSpec Spec, Outcome Outcome) cooked) => Lessons.Of(cooked.Spec, cooked.Outcome, Kitchen).Where(l => l.Kind == LessonKind.CookOff);

        Assert.Empty(Taught(Stirred(1.5, 8, to: new(900))));
        // The estimate alone would dry it as far as it is free.
        Assert.Empty(Taught(Stirred(0.9, 90)));
        Assert.Empty(Taught(Stirred(0.01, 8)));
        Assert.False(Lessons.Stands(new(LessonKind.CookOff, "", 40)));
    }

    [Fact]
    public void Sides_are_held_against_the_estimate_for_the_pan_as_it_was()
    {
        var sides = Planned.Of(ClockKitchens.Squares, Breads.Plan(ClockKitchens.Squares)).Sides;
        Timed Slower(double by, Celsius? pan) => new(pan, sides[0] * by, sides[1] * by, sides[2] * by);
        double Ratio(Timed timed) => Assert.Single(Lessons.Of(ClockKitchens.Squares, Outcome.Nothing with { Timed = timed }, Kitchen)).Value;

        Assert.Equal(1.2, Ratio(Slower(1.2, null)), 3);
        // On a cooler pan the estimate is longer: the same seconds are then no slowness of the cook's pan.
        Assert.True(Ratio(Slower(1.2, new(195))) < 1.15);
    }

    [Fact]
    public void A_squeezed_radish_teaches_how_much_it_gives()
    {
        var spec = Wet;
        var sheet = Breads.Plan(spec);
        var (part, at) = (spec.Filling!.Parts[0], spec.Filling.Parts[0].Steps.ToList().FindIndex(s => s is SqueezeStep));
        var before = at == 0 ? sheet.Filling!.Parts[0].Start.Mass : sheet.Filling!.Parts[0].Rows[at - 1].State.Mass;
        var gone = before - sheet.Filling.Parts[0].Rows[at].State.Mass;
        FillingStep[] steps = [.. part.Steps];
        steps[at] = steps[at] with { After = before - gone * 0.8 };
        var weighed = spec with { Filling = spec.Filling with { Parts = [part with { Steps = steps }, .. spec.Filling.Parts.Skip(1)] } };

        var outcome = Gathered.Of(weighed, Breads.Plan(weighed), null, Kitchen);
        var lesson = Assert.Single(Lessons.Of(weighed, outcome, Kitchen), l => l.Kind == LessonKind.Squeeze);

        Assert.Equal(part.Id, lesson.Of);
        Assert.Equal(0.8 * Kitchen[part.Id].Squeeze!.Value.Value, lesson.Value, 0);
    }
}
