using CsvHelper.Configuration.Attributes;

namespace Ystrata.Web.Files;

/// <summary>Balls on a tray as they were read from a file, in the order of their numbers.</summary>
/// <param name="Problem">Why the file as a whole cannot be read, if it cannot.</param>
internal sealed record BallsFile(IReadOnlyList<Grams> Weighed, IReadOnlyList<BadLine> Bad, Refusal? Problem);

/// <summary>The tray as CSV (RFC 4180, UTF-8): one line a ball, what it should weigh and what it does.</summary>
internal static class BallsCsv
{
    private static readonly Limit Weighed = SpecPlaces.Limits.First(l => l.Field == "balls.weighed[]");

    public static string Write(BallsSheet balls) => Csv.Write<Row>(
    [
        .. balls.Tray.Balls.Select((b, i) => new Row(i + 1, b.Wanted(), b.Mass.Value, b.Deviation)),
        .. Enumerable.Range(balls.Tray.Balls.Count + 1, balls.Tray.Left).Select(n => new Row(n, balls.Tray.Next ?? balls.Tray.Each, null, null)),
    ]);

    /// <summary>Reads the weights alone; a line without one is a ball that is still to be divided.</summary>
    public static BallsFile Read(ReadOnlySpan<byte> bytes)
    {
        var (lines, problem) = Csv.Open<Row>(bytes);
        using (lines)
        {
            var (weighed, bad) = (new List<(int Number, Grams Mass)>(), new List<BadLine>());
            while (lines is not null && lines.Next())
            {
                if (weighed.Count + bad.Count >= DoughSolver.MostPieces)
                {
                    return new([], [], new("file", RefusalCode.TooMany, lines.Line - 1, 0, DoughSolver.MostPieces));
                }

                var row = lines.Row();
                if (row.Mass is { } m && !(m >= Weighed.Least && m <= Weighed.Most))
                {
                    lines.Refusals.Add(new("weighed_g", RefusalCode.OutOfRange, m, Weighed.Least, Weighed.Most, Weighed.Unit));
                }

                if (lines.Refusals.Count > 0)
                {
                    bad.Add(new(lines.Line, $"{row.Number}", [.. lines.Refusals]));
                }
                else if (row.Mass is { } ball)
                {
                    weighed.Add((row.Number ?? weighed.Count + 1, new(ball)));
                }
            }

            return new([.. weighed.OrderBy(w => w.Number).Select(w => w.Mass)], bad, problem);
        }
    }

    /// <summary>A ball, g.</summary>
    private sealed class Row
    {
        private readonly Grams? wanted, off;

        public Row()
        {
        }

        public Row(int number, Grams wanted, double? mass, Grams? off) => (Number, this.wanted, Mass, this.off) = (number, wanted, mass, off);

        [Name("number"), Optional]
        public int? Number { get; init; }

        [Name("wanted_g"), Optional]
        public double? Wanted => Rounded(wanted);

        [Name("weighed_g")]
        public double? Mass { get; init; }

        [Name("off_g"), Optional]
        public double? Off => Rounded(off);

        private static double? Rounded(Grams? mass) => mass is { } m ? Math.Round(m.Value, 1) : null;
    }
}
