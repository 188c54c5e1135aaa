namespace Ystrata.Core.Tests.Filling;

/// <summary>What was cut is filled: slices of a log, strips wound one by one; filling, wall, thickness and pan are of that piece.</summary>
public sealed class CutThenFilledTests
{
    private static readonly FillingSpec Paste = FillingSpec.Usual with { Parts = [new("date-paste", new(600), default, [])], Wall = new(ParcelShape.Laminated, new(70)) };

    private static BatchSpec School(string id) => Schools.All.Single(s => s.Id == id).Spec;

    public static TheoryData<string, BatchSpec, int> Cut => new()
    {
        { "slices of a log with starch", School("starchLog"), 4 },
        { "slices of enclosed dough", School("enclosed"), 2 },
        { "strips wound one by one", School("strips") with { Fold = new([new StripsStep(4, Gathered: false), new CoilStep(), new RestStep(new(15))]) }, 4 },
    };

    private static BatchSpec Filled(BatchSpec spec) => spec with { Filling = Paste, Roll = spec.Roll with { Diameter = new(100) }, Start = StartSpec.Of(3) };

    [Theory]
    [MemberData(nameof(Cut))]
    public void Each_piece_has_a_filling_a_wall_and_a_thickness_of_its_own(string what, BatchSpec spec, int pieces)
    {
        var sheet = Breads.Plan(Filled(spec));
        var (parcel, ball) = (sheet.Filling!.Parcel, sheet.Dough.Ball);

        Assert.True(sheet.Fold.Pieces == pieces, what);
        Assert.Equal(ball.Value / pieces, parcel.Dough.Value, 6);
        Assert.Equal(0.7 * ball.Value / pieces, parcel.Filling.Value, 6);
        Assert.InRange(parcel.Thickness.Value, 2, 16);
        Assert.Equal(parcel.Thickness.Value, sheet.Roll.Thickness.Value, 6);
        Assert.Equal(parcel.Filling.Value, sheet.Piece.Raw.Filling.Value, 6);
        Assert.Equal(3 * pieces * parcel.Filling.Value, sheet.Filling.Balance.Needed.Value, 4);
        Assert.Null(sheet.Pan.Program.Failure);
    }

    [Theory]
    [MemberData(nameof(Cut))]
    public void By_its_thickness_a_ball_is_as_heavy_as_all_its_pieces(string what, BatchSpec spec, int pieces)
    {
        var by = Filled(spec) with { Balls = spec.Balls with { By = BallBy.Thickness, Thickness = new(8) } };
        var sheet = Breads.Plan(by);
        Assert.True(Math.Abs(sheet.Filling!.Parcel.Thickness.Value - 8) < 0.2, $"{what}: {sheet.Filling.Parcel.Thickness}, {pieces}");
    }

    [Fact]
    public void A_seed_coat_lies_on_every_slice()
    {
        var coated = Filled(School("starchLog"));
        coated = coated with { Fold = new([.. coated.Fold.Steps, new SeedsStep("seed-sesame", new(2), LaidOn.Top)]) };
        var sheet = Breads.Plan(coated);
        Assert.Equal(2, sheet.Piece.Raw.Bits.Value, 6);
        Assert.Null(sheet.Pan.Program.Failure);
    }

    [Fact]
    public void Drops_of_fat_inside_the_disc_are_in_every_piece_and_counted_with_all_that_is_used()
    {
        BatchSpec With(FatDrops? drops) => Filled(School("starchLog")) is var s ? s with { Filling = Paste with { Wall = Paste.Wall with { Drops = drops } } } : null!;
        var (bare, dropped) = (Breads.Plan(With(null)), Breads.Plan(With(new(Staples.Ghee, new(1.5)))));

        Assert.Equal(bare.Piece.Raw.Fat.Value + 1.5, dropped.Piece.Raw.Fat.Value, 6);
        double Ghee(BatchSheet sheet) => sheet.Used.Where(u => u is { Id: Staples.Ghee, Part: CostPart.Inside }).Sum(u => u.Mass.Value);
        Assert.Equal(Ghee(bare) + 12 * 1.5, Ghee(dropped), 6);
        Assert.Equal("filling.wall.drops.mass", Assert.Single(Planner.Check(With(new(Staples.Ghee, new(-1))), Kitchen.Shipped).Refusals).Field);
        Assert.Equal("filling.wall.drops.fat", Assert.Single(Planner.Check(With(new("water", new(1))), Kitchen.Shipped).Refusals).Field);
    }
}
