namespace Ystrata.Core.Tests;

public class LogCheckTests
{
    private static readonly Outcome Nothing = new(new(null, null, null, null, null, null), new(null, null, null, null), new(null, null, null, null), "");

    [Fact]
    public void A_cook_who_only_writes_a_line_is_heard() => Assert.Empty(LogCheck.Check(Nothing with { Note = "good" }));

    [Fact]
    public void Every_figure_out_of_range_is_named()
    {
        var refusals = LogCheck.Check(Nothing with
        {
            Used = Nothing.Used with { Flour = new(-1) },
            Timed = Nothing.Timed with { Pan = new(900) },
            Judged = Nothing.Judged with { Soft = 6, Taste = 0 },
        });

        Assert.Equal(["used.flour", "timed.pan", "judged.soft", "judged.taste"], refusals.Select(r => r.Field));
    }

    [Fact]
    public void A_note_has_an_end() =>
        Assert.Equal(RefusalCode.TooLong, Assert.Single(LogCheck.Check(Nothing with { Note = new string('a', LogCheck.LongestNote + 1) })).Code);

    [Fact]
    public void Limits_stand_in_the_order_of_the_figures()
    {
        var all = new Outcome(new(-1, new(-1), new(-1), new(-1), new(-1), new(-1)), new(new(-1), new(-1), new(-1), new(-1)), new(-1, -1, -1, -1), "");

        Assert.Equal(LogCheck.Limits.Select(l => l.Field), LogCheck.Check(all).Select(r => r.Field));
    }
}
