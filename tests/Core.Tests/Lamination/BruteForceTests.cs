namespace Ystrata.Core.Tests;

/// <summary>Strips and piles agree with a grid of points pushed through the same folds one by one.</summary>
public class BruteForceTests
{
    private const double Across = 288;

    // Shares of the plan; a grid of 144 points across knows an area to about a hundredth.
    private const double Close = 0.012;

    private static readonly FoldStep Ghee = Breads.Ghee(2), Board = new BrushStep("ghee", new(2), LaidOn.Board);

    public static TheoryData<string, double?, FoldStep[]> Programs { get; } = new()
    {
        { "half, half", null, [Breads.Half, Ghee, Breads.Half] },
        { "letter", null, [Breads.Letter] },
        { "letter, letter", null, [Breads.Letter, Breads.Letter] },
        { "letter, ghee, letter", null, [Breads.Letter, Ghee, Breads.Letter] },
        { "gate", null, [new GateStep()] },
        { "gate, ghee, letter", null, [new GateStep(), Ghee, Breads.Letter] },
        { "envelope that meets", null, [new EnvelopeStep(false)] },
        { "envelope that overlaps", null, [new EnvelopeStep(true)] },
        { "six pleats", null, [new AccordionStep(6)] },
        { "twelve pleats on an oiled board", null, [Board, new AccordionStep(12)] },
        { "four pleats, ghee, letter", null, [new AccordionStep(4), Ghee, Breads.Letter] },
        { "letter, half", null, [Breads.Letter, Ghee, Breads.Half] },
        { "half-moon in a letter", null, [Breads.Half, Ghee, Breads.Letter] },
        { "rectangle, letter, letter", 144, [Breads.Letter, Breads.Letter] },
        { "rectangle, envelope, ghee, gate", 192, [new EnvelopeStep(false), Ghee, new GateStep()] },
        { "rectangle, five folds", 96, [Breads.Letter, Board, new GateStep(), Ghee, new AccordionStep(4)] },
    };

    [Theory]
    [MemberData(nameof(Programs))]
    public void The_quick_fold_agrees_with_points_pushed_through_one_by_one(string name, double? width, FoldStep[] program)
    {
        var grid = new PointGrid(Across, width);
        grid.Spread(6000, below: false);
        var piece = Form.Sheet(new(80), new(Across), width: width is { } w ? new(w) : null);
        piece = piece.Coated(Coat.OfFat(new(6), Breads.Larder["ghee"], piece.Area));
        for (var i = 0; i < program.Length; i++)
        {
            piece = program[i].Apply(piece, i, Breads.Kitchen);
            Push(grid, program[i], first: i == 0, round: width is null);
        }

        var (leaves, open, bare) = grid.Count(OpenLoad);
        var area = piece.Area.Value;
        Assert.True(Math.Abs(grid.Area / area - 1) < Close, $"{name}: {grid.Area} cm² by points, {area} by strips");
        Assert.All(leaves.Keys.Union(piece.Piles.Select(p => p.Pile.Count)), n =>
            Assert.Equal(leaves.GetValueOrDefault(n), piece.Piles.Where(p => p.Pile.Count == n).Sum(p => p.Area.Value) / area, Close));
        Assert.Equal(open, PerArea(piece, s => s != ContactState.Fused), Close * piece.Fullest.Count);
        Assert.Equal(bare, PerArea(piece, s => s == ContactState.Fused), Close * piece.Fullest.Count);
    }

    // 5 µm of ghee, in mg/cm²: below it a contact is fused.
    private static double OpenLoad => Contacts.PatchyFilm.Value / 10_000 * Breads.Larder["ghee"].Density.Value * 1000;

    private static double PerArea(Form piece, Func<ContactState, bool> which) =>
        piece.Piles.Sum(p => p.Pile.Contacts.Count(c => which(c.State)) * p.Area.Value) / piece.Area.Value;

    private static void Push(PointGrid grid, FoldStep step, bool first, bool round)
    {
        switch (step)
        {
            case BrushStep s:
                grid.Spread(s.Mass.Value * 1000, s.On == LaidOn.Board);
                break;
            case HalfStep:
                grid.Half(alongX: !(first && round), beyond: false);
                break;
            case LetterStep:
                grid.Letter();
                break;
            case GateStep:
                grid.Gate();
                break;
            case EnvelopeStep s:
                grid.Envelope(s.Overlap ? 1 / 3.0 : 1 / 4.0);
                break;
            case AccordionStep s:
                grid.Accordion(s.Pleats);
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(step));
        }
    }
}
