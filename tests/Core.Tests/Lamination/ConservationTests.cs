using CsCheck;

namespace Ystrata.Core.Tests;

/// <summary>No step of any program makes or loses dough, fat, flour or what is scattered.</summary>
public class ConservationTests
{
    private static readonly Gen<double> Few = Gen.Double[0.1, 10];

    private static readonly Gen<FoldStep> Step = Gen.OneOf<FoldStep>(
        Gen.Double[80, 400].Select(d => (FoldStep)new RollStep(new(d))),
        Gen.Double[80, 400].Select(d => (FoldStep)new PressStep(new(d))),
        Gen.Select(Gen.Double[80, 500], Gen.Double[60, 400], (l, w) => (FoldStep)new RollLongStep(new(l), new(w))),
        Gen.Double[1, 3].Select(t => (FoldStep)new StretchStep(t)),
        Gen.Select(Few, Gen.OneOfConst("ghee", "oil-sunflower", "lard"), Gen.OneOfConst(LaidOn.Top, LaidOn.Board), Gen.Double[0, 15], (m, fat, on, rim) => (FoldStep)new BrushStep(fat, new(m), on, new(rim))),
        Gen.Select(Few, Few, (m, f) => (FoldStep)new PasteStep("ghee", new(m), "flour-white", new(f))),
        Gen.Select(Few, Few, (m, f) => (FoldStep)new EncloseStep("ghee", new(m), "flour-white", new(f))),
        Few.Select(m => (FoldStep)new DustStep("flour-white", new(m))),
        Few.Select(m => (FoldStep)new ScatterStep("seed-nigella", new(m), new(1))),
        Few.Select(m => (FoldStep)new SeedsStep("seed-nigella", new(m), LaidOn.Board)),
        Gen.OneOfConst<FoldStep>(new HalfStep(), new LetterStep(), new GateStep(), new EnvelopeStep(false), new EnvelopeStep(true), new MatRollStep(), new CoilStep(), new PinchStep(), new RestStep(new(10))),
        Gen.Int[2, 12].Select(n => (FoldStep)new AccordionStep(n)),
        Gen.Select(Gen.Int[2, 8], Gen.Bool, (n, gathered) => (FoldStep)new StripsStep(n, gathered)),
        Gen.Int[2, 8].Select(n => (FoldStep)new SlitStep(n)),
        Gen.Int[2, 6].Select(n => (FoldStep)new CutLogStep(n)),
        Gen.Int[2, 6].Select(n => (FoldStep)new ConeStep(n)));

    [Fact]
    public void Everything_laid_in_is_kept_through_every_step_and_the_last_roll() =>
        Gen.Select(Step.Array[0, 10], Gen.Double[20, 300], Gen.Double[150, 600], Gen.Bool, Gen.Double[80, 300]).Sample((program, ball, across, round, last) =>
        {
            var piece = Form.Sheet(new(ball), new(across), width: round ? null : new(across / 2));
            double fat = 0, dust = 0, bits = 0;
            for (var i = 0; i < program.Length; i++)
            {
                if (StepCheck.Workable(program[i], piece, "") is not null)
                {
                    continue;
                }

                var (f, d, b) = Laid(program[i]);
                (fat, dust, bits) = (fat + f * piece.Count, dust + d * piece.Count, bits + b * piece.Count);
                piece = program[i].Apply(piece, i, Breads.Kitchen);

                AssertKept(piece.Piles, piece.Rings, piece.Count);
                Assert.All(piece.Piles, p => Assert.Equal(p.Pile.Leaves.Count - 1, p.Pile.Contacts.Count));
            }

            var rolled = Rolled.To(piece, new(last));
            AssertKept(rolled.Places, rolled.Rings, piece.Count);
            Assert.InRange(rolled.Area.Value, SquareCentimetres.OfRound(new(last)).Value * (1 - 1e-9), double.PositiveInfinity);

            void AssertKept(IReadOnlyList<(Pile Pile, SquareCentimetres Area)> piles, Rings? rings, int count)
            {
                AssertClose(ball, count * piles.Sum(p => p.Pile.Dough.Metres * p.Area.SquareMetres) * Round.DoughDensity.KilogramsPerCubicMetre * 1000);
                AssertClose(fat, count * Coats(piles, rings, c => c.Fat));
                AssertClose(dust, count * Coats(piles, rings, c => c.Dust));
                AssertClose(bits, count * Coats(piles, rings, c => c.Bits));
            }
        }, iter: 2000);

    [Fact]
    public void Contacts_counted_by_kind_are_those_that_are_written_out_and_a_program_folds_again_as_at_first() =>
        Gen.Select(Step.Array[0, 8], Gen.Double[20, 300], Gen.Double[150, 600], Gen.Bool, Few).Sample((program, ball, across, round, more) =>
        {
            var bare = Form.Sheet(new(ball), new(across), width: round ? null : new(across / 2));
            Form Folded(Form from)
            {
                for (var i = 0; i < program.Length; i++)
                {
                    from = StepCheck.Workable(program[i], from, "") is null ? program[i].Apply(from, i, Breads.Kitchen) : from;
                }

                return from;
            }

            var piece = Folded(bare);
            foreach (var (pile, _) in piece.Piles)
            {
                // By the step that laid them, and by what becomes of them.
                Assert.Equal(
                    pile.Contacts.GroupBy(c => c.Step).OrderBy(g => g.Key).Select(g => (g.Key, g.Count())),
                    pile.Kinds.GroupBy(k => k.Contact.Step, k => k.Count).OrderBy(g => g.Key).Select(g => (g.Key, g.Sum())));
                AssertClose(pile.Contacts.Sum(c => c.Coat.Film.Value), pile.Kinds.Sum(k => k.Contact.Coat.Film.Value * k.Count));
                Assert.Equal(pile.Contacts.Count(c => c.State == ContactState.Fused), pile.CountOf(c => c.State == ContactState.Fused));
            }

            var coat = Coat.OfFat(new(more), Breads.Larder["ghee"], bare.Area);
            var (again, anew) = (Folded(bare.Coated(coat)), Folded(Form.Sheet(new(ball), new(across), width: round ? null : new(across / 2)).Coated(coat)));
            Assert.Equal(anew.Piles.Select(p => (p.Pile.Count, p.Pile.Coats, p.Area)), again.Piles.Select(p => (p.Pile.Count, p.Pile.Coats, p.Area)));

            var (fullest, rings) = Rolled.FullestOf(again, new(300));
            var rolled = Rolled.To(again, new(300));
            Assert.Equal((rolled.Fullest.Count, rolled.Fullest.Thickness, rolled.Rings?.Count), (fullest.Count, fullest.Thickness, rings?.Count));
        }, iter: 500);

    [Fact]
    public void Rolling_out_divides_every_thickness_by_the_same_factor() =>
        Gen.Double[1, 20].Sample(k =>
        {
            var piece = FoldStage.Work(Breads.White(Breads.Letter, Breads.Ghee(2), Breads.Letter).Fold.Steps, Form.Sheet(new(80), new(300)), Breads.Kitchen).Folded[^1];
            var spread = piece.Spread(k);

            AssertClose(piece.Thickness.Value / k, spread.Thickness.Value);
            AssertClose(piece.Fullest.Contacts[5].Coat.Film.Value / k, spread.Fullest.Contacts[5].Coat.Film.Value);
            AssertClose(piece.Area.Value * k, spread.Area.Value);
        });

    private static (double Fat, double Dust, double Bits) Laid(FoldStep step) => step switch
    {
        BrushStep s => (s.Mass.Value, 0, 0),
        PasteStep s => (s.Mass.Value, s.FlourMass.Value, 0),
        EncloseStep s => (s.Mass.Value, s.FlourMass.Value, 0),
        DustStep s => (0, s.Mass.Value, 0),
        ScatterStep s => (0, 0, s.Mass.Value),
        SeedsStep s => (0, 0, s.Mass.Value),
        _ => default,
    };

    private static double Coats(IReadOnlyList<(Pile Pile, SquareCentimetres Area)> piles, Rings? rings, Func<Coat, Load> of) =>
        piles.Sum(p => of(p.Pile.Coats).Over(p.Area).Value)
        + (rings is { } r ? r.Contacts.Sum(c => of(c.Coat).Over(r.Face).Value) : 0);

    private static void AssertClose(double expected, double actual) =>
        Assert.InRange(actual, expected * (1 - 1e-6) - 1e-9, expected * (1 + 1e-6) + 1e-9);
}
