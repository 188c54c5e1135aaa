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
        var all = new Outcome(
            new(-1, new(-1), new(-1), new(-1), new(-1), new(-1), -1, new(-1), new(-1), new(-1)), new(new(-1), new(-1), new(-1), new(-1)), new(-1, -1, -1, -1, -1, -1), "",
            [new("radish", "0-0", new(50), new(-1))], [new(HandWork.Roll, new(-1), 1)]);

        Assert.Equal(LogCheck.Limits.Select(l => l.Field.Replace("[]", "[0]", StringComparison.Ordinal)), LogCheck.Check(all).Select(r => r.Field));
    }

    [Fact]
    public void Lists_have_an_end_and_name_their_line()
    {
        var yield = new StepYield("radish", "0-1", new(60), new(55));

        Assert.Equal("yields", Assert.Single(LogCheck.Check(Nothing with { Yields = [.. Enumerable.Repeat(yield, LogCheck.MostYields + 1)] })).Field);
        Assert.Equal("yields[1].left", Assert.Single(LogCheck.Check(Nothing with { Yields = [yield, yield with { Left = new(400) }] })).Field);
        Assert.Equal("yields[0]", Assert.Single(LogCheck.Check(Nothing with { Yields = [yield with { Id = "" }] })).Field);
        Assert.Equal("hands[0].each", Assert.Single(LogCheck.Check(Nothing with { Hands = [new(HandWork.Roll, new(double.NaN), 1)] })).Field);
        Assert.Equal("faults", Assert.Single(LogCheck.Check(Nothing with { Faults = [Symptom.Stiff, Symptom.Stiff] })).Field);
    }
}
