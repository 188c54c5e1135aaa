using CsCheck;

namespace Ystrata.Core.Tests;

/// <summary>No step of any program makes or loses dough, fat or flour.</summary>
public class ConservationTests
{
    private static readonly Gen<FoldStep> Step = Gen.OneOf<FoldStep>(
        Gen.Double[80, 400].Select(d => (FoldStep)new RollStep(new(d))),
        Gen.Double[0.1, 20].Select(Gen.OneOfConst("ghee", "oil-sunflower", "lard"), (m, fat) => (FoldStep)new BrushStep(fat, new(m))),
        Gen.Double[0.1, 5].Select(m => (FoldStep)new DustStep("flour-white", new(m))),
        Gen.Const<FoldStep>(new HalfStep()),
        Gen.Const<FoldStep>(new LetterStep()),
        Gen.Int[2, 12].Select(n => (FoldStep)new AccordionStep(n)),
        Gen.Const<FoldStep>(new MatRollStep()));

    [Fact]
    public void Dough_fat_and_flour_are_kept_through_every_step() =>
        Gen.Select(Step.Array[0, 8], Gen.Double[20, 300], Gen.Double[150, 600]).Sample((program, ball, across) =>
        {
            var piece = Piece.Sheet(new(ball), new(across));
            double fat = 0, dust = 0;
            for (var i = 0; i < program.Length; i++)
            {
                if ((double)piece.Leaves.Length * Folding.CopiesOf(program[i], piece) > Folding.MostLeaves)
                {
                    break;
                }

                piece = Folding.Apply(program[i], piece, i, Breads.Larder);
                fat += program[i] is BrushStep b ? b.Mass.Value : 0;
                dust += program[i] is DustStep d ? d.Mass.Value : 0;

                AssertClose(ball, DoughOf(piece));
                AssertClose(fat, CoatsOf(piece, c => c.Fat));
                AssertClose(dust, CoatsOf(piece, c => c.Dust));
                Assert.Equal(piece.Leaves.Length - 1, piece.Contacts.Length);
            }
        });

    [Fact]
    public void Rolling_out_divides_every_thickness_by_the_same_factor() =>
        Gen.Double[1, 20].Sample(k =>
        {
            var piece = FoldStage.Work(Breads.White(Breads.Letter, Breads.Ghee(2), Breads.Letter).Fold, Piece.Sheet(new(80), new(300)), Breads.Larder)[^1];
            var spread = piece.Spread(k);

            AssertClose(piece.Thickness.Value / k, spread.Thickness.Value);
            AssertClose(piece.Contacts[5].Coat.Film.Value / k, spread.Contacts[5].Coat.Film.Value);
            AssertClose(piece.Area.Value * k, spread.Area.Value);
        });

    private static double DoughOf(Piece piece) =>
        piece.Leaves.Sum(l => l.Metres) * piece.Area.SquareMetres * Round.DoughDensity.KilogramsPerCubicMetre * 1000;

    private static double CoatsOf(Piece piece, Func<Coat, Load> of) =>
        piece.Contacts.Select(c => c.Coat).Append(piece.Top).Append(piece.Bottom).Sum(c => of(c).Over(piece.Area).Value);

    private static void AssertClose(double expected, double actual) =>
        Assert.InRange(actual, expected * (1 - 1e-9) - 1e-9, expected * (1 + 1e-9) + 1e-9);
}
