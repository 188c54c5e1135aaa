using Ystrata.Core.Tests.Clock;

namespace Ystrata.Core.Tests.Pan;

public sealed class OneTurnTests
{
    private static readonly PanSpec Medium = BatchSpec.Plain.Pan with { Roasting = Roasting.OneTurn, Temperature = new(190), Colour = Colour.Gold };

    public static TheoryData<string> Breads => ["round", "frozen", "pressed", "batter", "disc"];

    [Theory]
    [MemberData(nameof(Breads))]
    public void The_first_face_has_its_colour_before_the_only_turn(string bread)
    {
        var sheet = Sheet(bread, Medium);
        var pan = sheet.Pan;

        Assert.Null(pan.Program.Failure);
        Assert.Equal([Face.First, Face.Second], pan.Program.Turns.Select(t => t.Face));
        Assert.InRange(pan.Done.First, 0.9, 1.4);
        Assert.InRange(pan.Done.Second, 0.9, 2.1);
        Assert.NotNull(pan.Done.CookedAt);
        Assert.InRange(pan.Program.Turns[0].Time.Value, 60, 240);
    }

    [Theory]
    [InlineData("round")]
    [InlineData("frozen")]
    [InlineData("pressed")]
    [InlineData("batter")]
    public void It_is_not_turned_at_the_blisters_but_long_after(string bread)
    {
        var pan = Sheet(bread, Medium).Pan;
        Assert.True(pan.Program.Turns[0].Time.Value > pan.Done.Blisters!.Value.Value + 10, $"{pan.Done.Blisters} and {pan.Program.Turns[0].Time}");
    }

    [Fact]
    public void Fat_under_the_first_face_hastens_it_and_none_is_as_good_a_way()
    {
        var (fat, dry) = (Sheet("round", Medium).Pan, Sheet("round", Medium with { FatPerSide = new(0) }).Pan);

        Assert.True(fat.Program.Turns[0].Time.Value < dry.Program.Turns[0].Time.Value);
        Assert.All(dry.Program.Turns, t => Assert.Equal(0, t.Fat.Value));
        Assert.Null(dry.Program.Failure);
    }

    [Fact]
    public void The_clock_gives_it_one_touch_between_laying_and_lifting()
    {
        var visit = ClockJobs.Of(ClockKitchens.Bread(Spec("round", Medium)), ClockSpec.Usual).Pan;

        Assert.Equal(2, visit.Stays.Count);
        Assert.Equal(3, visit.Touches.Count);
    }

    private static BatchSheet Sheet(string bread, PanSpec pan) => Planner.Plan(Spec(bread, pan), Kitchen.Shipped).Value ?? throw new InvalidOperationException(bread);

    private static BatchSpec Spec(string bread, PanSpec pan)
    {
        BatchSpec School(string id) => Schools.All.Single(s => s.Id == id).Spec;
        return bread switch
        {
            "frozen" => BatchSpec.Plain with { Pan = pan with { Frozen = true } },
            "pressed" => BatchSpec.Plain with { Roll = BatchSpec.Plain.Roll with { By = RollBy.Hand }, Pan = pan },
            "batter" => School("batter") with { Pan = pan },
            "disc" => School("stuffed") with { Roll = School("stuffed").Roll with { Diameter = new(110) }, Balls = School("stuffed").Balls with { Mass = new(40) }, Pan = pan with { Temperature = new(180) } },
            _ => BatchSpec.Plain with { Pan = pan },
        };
    }
}
