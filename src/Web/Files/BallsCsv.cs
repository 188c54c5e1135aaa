using System.Globalization;
using CsvHelper;
using Ystrata.Core;

namespace Ystrata.Web.Files;

/// <summary>Balls on a tray as they were read from a file, in the order of their numbers.</summary>
/// <param name="Problem">Why the file as a whole cannot be read, if it cannot.</param>
internal sealed record BallsFile(IReadOnlyList<Grams> Weighed, IReadOnlyList<BadLine> Bad, Refusal? Problem);

/// <summary>The tray as CSV (RFC 4180, UTF-8): one line a ball, what it should weigh and what it does.</summary>
internal static class BallsCsv
{
    private static readonly string[] Columns = ["number", "wanted_g", "weighed_g", "off_g"];

    private static readonly Limit Weighed = SpecPlaces.Limits.First(l => l.Field == "balls.weighed[]");

    public static string Write(BallsSheet balls)
    {
        using var text = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = new CsvWriter(text, Csv.Settings))
        {
            IEnumerable<object?[]> rows =
            [
                [.. Columns],
                .. balls.Tray.Balls.Select((b, i) => (object?[])[i + 1, Rounded(b.Wanted()), b.Mass.Value, Rounded(b.Deviation)]),
                .. Enumerable.Range(balls.Tray.Balls.Count + 1, balls.Tray.Left).Select(n => (object?[])[n, Rounded(balls.Tray.Next ?? balls.Tray.Each), null, null]),
            ];
            foreach (var row in rows)
            {
                foreach (var cell in row)
                {
                    csv.WriteField(Csv.Cell(cell));
                }

                csv.NextRecord();
            }
        }

        return text.ToString();
    }

    /// <summary>Reads the weights alone; a line without one is a ball that is still to be divided.</summary>
    public static BallsFile Read(ReadOnlySpan<byte> bytes)
    {
        var (lines, problem) = Csv.Open(bytes, ["weighed_g"]);
        using (lines)
        {
            var (weighed, bad) = (new List<(int Number, Grams Mass)>(), new List<BadLine>());
            while (lines is not null && lines.Next())
            {
                if (weighed.Count + bad.Count >= DoughSolver.MostPieces)
                {
                    return new([], [], new("file", RefusalCode.TooMany, lines.Line - 1, 0, DoughSolver.MostPieces));
                }

                var mass = lines.Figure("weighed_g");
                var number = lines.Count("number") ?? weighed.Count + 1;
                if (mass is { } m && !(m >= Weighed.Least && m <= Weighed.Most))
                {
                    lines.Refusals.Add(new("weighed_g", RefusalCode.OutOfRange, m, Weighed.Least, Weighed.Most, Weighed.Unit));
                }

                if (lines.Refusals.Count > 0)
                {
                    bad.Add(new(lines.Line, lines.Text("number"), lines.Refusals));
                }
                else if (mass is { } ball)
                {
                    weighed.Add((number, new(ball)));
                }
            }

            return new([.. weighed.OrderBy(w => w.Number).Select(w => w.Mass)], bad, problem);
        }
    }

    private static double Rounded(Grams mass) => Math.Round(mass.Value, 1);
}
