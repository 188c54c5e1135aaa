namespace Ystrata.Core.Tests;

/// <summary>What goes in is what comes off the pan, and steam, liquor, board and what stays in the pan: over the whole way, on every route.</summary>
public class MassTests
{
    private const int Batches = 3000;

    [Fact]
    public void Nothing_is_made_or_lost_from_the_bowl_to_the_table()
    {
        var (routes, worked) = (new HashSet<string>(), 0);
        for (var seed = 0; seed < Batches; seed++)
        {
            if (Planner.Check(AnyBatch.Of(seed), Breads.Kitchen).Value is not { } batch)
            {
                continue;
            }

            var sheet = Planner.Plan(batch);
            routes.Add($"{batch.Route.GetType().Name} {sheet.Filling?.Parcel.Shape}");
            worked++;
            Assert.True(Math.Abs(In(sheet) - Out(batch, sheet)) < 0.1, $"batch {seed}: {In(sheet)} g in, {Out(batch, sheet)} g out");
        }

        Assert.True(worked > Batches * 3 / 4);
        // A dough, a batter and every shape of parcel.
        Assert.Equal(2 + Enum.GetValues<ParcelShape>().Length, routes.Count);
    }

    private static double In(BatchSheet sheet) =>
        sheet.Dough.Mass.Value - (sheet.Filling?.Liquor.Used.Value ?? 0) + sheet.Used.Sum(u => u.Mass.Value) + Rows(sheet).Sum(r => r.Taken.Value);

    private static double Out(CheckedBatch batch, BatchSheet sheet)
    {
        var (piece, pieces) = (sheet.Piece.Out, sheet.Pieces());
        var atTable = piece.Mass.Value * pieces;
        var steam = piece.Steam.Value * pieces + Rows(sheet).Sum(r => r.Steam.Value);
        var liquor = sheet.Filling is { } f ? f.Liquor.Mass.Value - f.Liquor.Used.Value : 0;
        var left = sheet.Pan.Fat.Left.Value * pieces;
        return atTable + steam + liquor + OnTheBoard(batch, sheet) + left;
    }

    // What bowl and hands keep, peel and trimmings, what was spilt by the weights, and filling that is left; or wanting, where it does not fill all pieces.
    private static double OnTheBoard(CheckedBatch batch, BatchSheet sheet)
    {
        var trimmed = sheet.Filling?.Parts.Sum(p => p.Buy.Value - p.Start.Mass.Value) ?? 0;
        return sheet.Dough.Loss.Value + trimmed + Rows(sheet).Sum(r => r.Scrap.Value) + (sheet.Filling?.Balance.Over.Value ?? 0);
    }

    private static IEnumerable<FillingRow> Rows(BatchSheet sheet) => sheet.Filling is { } f ? f.Parts.SelectMany(p => p.Rows).Concat(f.Rows) : [];

    [Theory]
    [InlineData(80, 0)]
    [InlineData(80, 6)]
    [InlineData(300, 90)]
    public void A_piece_weighs_its_dough_and_what_is_laid_in_it(double ball, double fat)
    {
        var white = Breads.White(Breads.Letter, Breads.Letter);
        var plan = Breads.Plan(white with { Balls = white.Balls with { Mass = new(ball) }, Sheet = white.Sheet with { FatMass = new(fat) } });

        Assert.Equal(ball + fat, plan.Piece.Raw.Mass.Value, 6);
    }

    [Fact]
    public void A_leaven_of_which_there_is_none_changes_nothing()
    {
        var none = Breads.Plan(Breads.White(d => d.WithAdditions(("yeast-quick", 0))));

        Assert.Equal(Breads.Plan().Piece.Raw, none.Piece.Raw);
        Assert.Equal(Breads.Plan().Roll.Thickness, none.Roll.Thickness);
        Assert.True(Breads.Plan(Breads.White(d => d.WithAdditions(("yeast-quick", 0.3)))).Roll.Thickness.Value > none.Roll.Thickness.Value);
    }

    [Fact]
    public void A_log_cut_in_slices_shares_its_dough_its_fat_and_its_filling()
    {
        var whole = Breads.Plan(Breads.MatRoll).Piece.Raw;
        var slice = Breads.Plan(Breads.MatRoll, new CutLogStep(4)).Piece.Raw;

        Assert.Equal(whole.Mass.Value / 4, slice.Mass.Value, 9);
        Assert.Equal(whole.Water.Value / 4, slice.Water.Value, 9);
    }

    [Fact]
    public void What_spoils_counts_its_minutes_in_the_warm_and_what_does_not_counts_none()
    {
        var milk = Breads.Plan(Breads.White(d => d.WithLiquids(new("milk", Amount.OfFlour(20)), new("water", Amount.TheRest))) with { Rest = RestSpec.CoveredFor(30) });

        Assert.Null(Breads.Plan().Piece.Raw.Warm.Dough);
        // The dough's rest, the ball's, the folded piece's.
        Assert.Equal(30 + 40 + 20, milk.Piece.Raw.Warm.Dough!.Value.Value);
        Assert.Null(milk.Piece.Raw.Warm.Filling);
        Assert.Equal(15 + 20, Breads.Plan(Breads.White() with { Filling = FillingSpec.Usual }).Piece.Raw.Warm.Filling!.Value.Value);
    }
}
