namespace Ystrata.Core.Tests;

/// <summary>From a school to a first batch, and from one school to another.</summary>
public class SchoolMoveTests
{
    private static School Of(string id) => Schools.All.Single(s => s.Id == id);

    private static BatchSpec To(BatchSpec spec, string school) => SchoolMove.To(spec, Of(school), Breads.Kitchen).Value!;

    [Fact]
    public void Every_school_makes_a_first_batch_with_any_usual_flour_and_pan()
    {
        foreach (var school in Schools.All)
        {
            foreach (var flour in new[] { null, "flour-white", "flour-atta", "flour-bread" })
            {
                foreach (var pan in Enum.GetValues<PanKind>())
                {
                    var first = SchoolMove.First(school, new(6, flour, pan), Breads.Kitchen);
                    Assert.True(first.Value is not null, $"{school.Id} {flour} {pan}: {string.Join(' ', first.Refusals)}");
                    var spec = first.Value!;
                    Assert.Equal((6, StartBy.Pieces), (spec.Start.Pieces, spec.Start.By));
                    Assert.Equal(flour ?? school.Spec.Dough.Flours[0].Id, spec.Dough.Flours.Single().Id);
                    Assert.Equal((pan, school.Spec.Pan.Cookware.Flame), (spec.Pan.On!.Kind, spec.Pan.On.Flame));
                    Assert.Equal(6, Planner.Plan(spec, Breads.Kitchen).Value!.Balls.Count);
                }
            }
        }
    }

    [Fact]
    public void Nothing_answered_is_the_school_itself()
    {
        foreach (var school in Schools.All)
        {
            var spec = SchoolMove.First(school, new(school.Spec.Start.Pieces), Breads.Kitchen).Value!;

            Assert.Equal((school.Spec.Dough.Hydration, school.Spec.Sheet.Dust, school.Spec.Pan), (spec.Dough.Hydration, spec.Sheet.Dust, spec.Pan));
            Assert.Equal(school.Spec.Fold.Steps, spec.Fold.Steps);
        }
    }

    [Fact]
    public void A_thirstier_flour_gets_the_water_it_drinks_more_and_is_on_the_bench_too()
    {
        var halves = Of("halves");

        var white = SchoolMove.First(halves, new(8, "flour-white"), Breads.Kitchen).Value!;

        var drinksLess = Breads.Larder["flour-atta"].Absorption!.Value.Value - Breads.Larder["flour-white"].Absorption!.Value.Value;
        Assert.InRange(drinksLess, 2, 20);
        Assert.Equal(halves.Spec.Dough.Hydration.Value - drinksLess, white.Dough.Hydration.Value, 0.51);
        Assert.Equal("flour-white", white.Sheet.Dust);
        Assert.Contains(white.Fold.Steps, s => s is DustStep { Flour: "flour-white" });
    }

    [Theory]
    [InlineData(0, "flour-white", "pieces")]
    [InlineData(-4, null, "pieces")]
    [InlineData(1_000_000, null, "pieces")]
    [InlineData(8, "no-such-flour", "dough.flours[0]")]
    [InlineData(8, "water", "dough.flours[0]")]
    public void What_cannot_be_is_refused_by_its_field(int pieces, string? flour, string field)
    {
        var first = SchoolMove.First(Of("halves"), new(pieces, flour), Breads.Kitchen);

        Assert.Null(first.Value);
        Assert.Contains(first.Refusals, r => r.Field.Contains(field, StringComparison.Ordinal));
    }

    [Fact]
    public void From_any_school_to_any_other_it_can_be_worked_and_keeps_what_is_the_cooks()
    {
        var tried = 0;
        foreach (var from in Schools.All)
        {
            var mine = from.Spec with
            {
                Start = from.Spec.Start with { By = StartBy.Pieces, Pieces = 14 },
                Dough = from.Spec.Dough with { Flours = [new("flour-white", 80), new("flour-atta", 20)], Additions = [new("seed-nigella", Amount.OfFlour(1))] },
                Sheet = from.Spec.Sheet with { Fat = "oil-sunflower" },
                Pan = from.Spec.Pan with { Fat = "oil-groundnut", On = Cookware.Of(PanKind.Clay), HoldFor = new(20) },
            };
            if (Planner.Check(mine, Breads.Kitchen).Value is null)
            {
                continue;
            }

            tried++;

            foreach (var school in Schools.All)
            {
                var moved = SchoolMove.To(mine, school, Breads.Kitchen);
                Assert.True(moved.Value is not null, $"{from.Id} to {school.Id}: {string.Join(' ', moved.Refusals)}");
                var spec = moved.Value!;

                Assert.Equal(14, Planner.Plan(spec, Breads.Kitchen).Value!.Balls.Count);
                Assert.Equal(mine.Dough.Flours, spec.Dough.Flours);
                Assert.Equal(mine.Dough.Additions, spec.Dough.Additions);
                Assert.Equal(("oil-groundnut", mine.Pan.On, mine.Pan.HoldFor), (spec.Pan.Fat, spec.Pan.On, spec.Pan.HoldFor));
                Assert.Equal(school.Spec.Fold.Steps.Select(s => s.GetType()), spec.Fold.Steps.Select(s => s.GetType()));
                Assert.DoesNotContain(spec.Fold.Steps, s => s is BrushStep { Fat: not "oil-sunflower" });
                Assert.Equal(school.Spec.Filling is not null, spec.Filling is not null);
                Assert.Equal((school.Spec.Balls.Mass, school.Spec.Roll, school.Spec.Pan.Roasting), (spec.Balls.Mass, spec.Roll, spec.Pan.Roasting));
            }
        }

        Assert.InRange(tried, Schools.All.Count - 2, Schools.All.Count);
    }

    [Fact]
    public void A_filling_of_its_own_goes_with_it_into_another_stuffed_bread()
    {
        var stuffed = Of("stuffed").Spec with { Filling = FillingSpec.Usual with { SaltWanted = new(1.1) } };

        Assert.Equal(stuffed.Filling, To(stuffed, "stuffed").Filling);
        Assert.Null(To(stuffed, "coils").Filling);
    }

    [Fact]
    public void To_its_own_school_nothing_changes_but_what_was_made_otherwise()
    {
        var letters = Of("letters");
        var wider = letters.Spec with { Roll = letters.Spec.Roll with { Diameter = new(210) }, Pan = letters.Spec.Pan with { Own = [new(new(40), new(2)), new(new(40), new(2))] } };

        var back = To(wider, "letters");

        Assert.Equal(letters.Spec.Roll, back.Roll);
        Assert.Null(back.Pan.Own);
        Assert.Equal(letters.Spec.Dough.Hydration, back.Dough.Hydration);
    }

    [Fact]
    public void Begun_from_what_filling_there_is_an_unfilled_bread_is_made_by_its_pieces()
    {
        var stuffed = Of("stuffed").Spec;
        stuffed = stuffed with { Start = stuffed.Start with { By = StartBy.Filling } };
        Assert.NotNull(Planner.Check(stuffed, Breads.Kitchen).Value);

        Assert.Equal(StartBy.Pieces, To(stuffed, "plain").Start.By);
    }

    [Fact]
    public void A_batch_that_cannot_be_worked_is_refused_for_what_it_is()
    {
        var broken = BatchSpec.Plain with { Roll = BatchSpec.Plain.Roll with { Diameter = new(-5) } };

        Assert.Contains(SchoolMove.To(broken, Of("coils"), Breads.Kitchen).Refusals, r => r.Field == "roll.diameter");
    }
}
