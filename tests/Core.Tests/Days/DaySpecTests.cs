namespace Ystrata.Core.Tests.Days;

/// <summary>What can be said of a day, and what not.</summary>
public class DaySpecTests
{
    public static TheoryData<DaySpec, string> Wrong => new()
    {
        { new(People: 0), "people" },
        { new(People: 13), "people" },
        { new(Pans: -1), "pans" },
        { new(AtHand: [new("ghee", new(-1))]), "atHand[0].mass" },
        { new(AtHand: [new("ghee", new(2_000_000))]), "atHand[0].mass" },
        { new(AtHand: [new("ghee", new(double.NaN))]), "atHand[0].mass" },
        { new(AtHand: [new("ghee", new(5)), new("ghee", new(6))]), "atHand[1].id" },
        { new(AtHand: [new("", new(5))]), "atHand[0].id" },
        { new(AtHand: [new(new('x', 300), new(5))]), "atHand[0].id" },
        { new(AtHand: [null!]), "atHand[0].id" },
        { new(AtHand: [.. Enumerable.Range(0, 401).Select(i => new AtHand($"i{i}", new(1)))]), "atHand" },
    };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_no_day_has_is_refused_by_its_field(DaySpec spec, string field) => Assert.Equal(field, Assert.Single(spec.Check()).Field);

    [Fact]
    public void What_a_day_has_is_taken()
    {
        Assert.Empty(DaySpec.Nothing.Check());
        Assert.Empty(new DaySpec(12, 1, [new("ghee", new(0)), new("own-thing", new(1_000_000))]).Check());
    }
}
