namespace Ystrata.Core.Tests;

/// <summary>The bread cut through off the pan, and later.</summary>
public class OffPanTests
{
    // Ghee between halves: three contacts, all greased.
    private static readonly FoldStep[] Folded = [Breads.Half, Breads.Ghee(2), Breads.Half, new RestStep(new(10))];

    private static BatchSheet Roasted(params int[] seconds) =>
        Breads.Plan(Breads.White(Folded) is var b ? b with { Pan = b.Pan with { Own = [.. seconds.Select(s => new Stay(new(s), new(0)))] } } : b);

    [Fact]
    public void What_is_open_stands_open_and_what_is_welded_does_not()
    {
        // The first half lies dry, dough on dough.
        var sheet = Breads.Plan(Breads.White(Folded) is var b ? b with { Sheet = b.Sheet with { FatMass = default, DustMass = default } } : b);
        var opens = sheet.Off!.Fresh.Opens;

        Assert.Equal(sheet.Section.Contacts.Count, opens.Count);
        Assert.Contains(sheet.Section.Contacts, c => c.State == ContactState.Fused);
        Assert.Contains(sheet.Section.Contacts, c => c.State == ContactState.Open);
        Assert.All(sheet.Section.Contacts.Zip(opens), pair => Assert.Equal(pair.First.State == ContactState.Fused, pair.Second.Value == 0));
    }

    [Fact]
    public void The_longer_it_roasts_the_further_it_opens_and_the_deeper_it_dries()
    {
        BakedCut[] off = [.. new[] { 20, 40, 80, 160 }.Select(s => Roasted(s, s).Off!.Fresh)];

        Assert.All(off.Zip(off.Skip(1)), pair =>
        {
            Assert.True(pair.First.Opens[0].Value < pair.Second.Opens[0].Value, $"{pair.First.Opens[0]} {pair.Second.Opens[0]}");
            Assert.True(pair.First.Second.Crust.Value <= pair.Second.Second.Crust.Value);
            Assert.True(pair.First.Second.Dark <= pair.Second.Second.Dark);
        });
    }

    [Fact]
    public void It_opens_by_the_water_it_lost()
    {
        var sheet = Roasted(60, 60, 60);

        // What is gone as a layer, 1.6 times: 1 g on 100 cm² is 0.1 mm.
        var layer = sheet.Piece.Out.Steam.Value / (Math.PI * 9 * 9) * 10;
        Assert.All(sheet.Section.Contacts, c => Assert.Equal(ContactState.Open, c.State));
        Assert.Equal(1.6 * layer, sheet.Off!.Fresh.Opens.Sum(o => o.Value) / 1000, 0.02 * layer);
    }

    [Fact]
    public void A_bread_is_never_dry_deeper_than_it_is_thick()
    {
        var sheet = Roasted(300, 300);

        Assert.InRange(sheet.Off!.Fresh.First.Crust.Value, 0.1, sheet.Section.Thickness.Value);
        Assert.InRange(sheet.Off.Fresh.Second.Crust.Value, 0.1, sheet.Section.Thickness.Value);
    }

    [Fact]
    public void Its_faces_are_as_dark_as_the_pan_bench_says()
    {
        var sheet = Roasted(60, 60, 60);

        Assert.Equal(sheet.Pan.Done.First, sheet.Off!.Fresh.First.Dark);
        Assert.Equal(sheet.Pan.Done.Second, sheet.Off.Fresh.Second.Dark);
    }

    [Fact]
    public void Held_it_sinks_the_more_the_longer_and_keeps_its_colour()
    {
        OffPan[] off = [.. new[] { 0, 10, 30, 90 }.Select(minutes =>
            Breads.Plan(Breads.White(Folded) is var b ? b with { Pan = b.Pan with { Hold = HoldIn.Plate, HoldFor = new(minutes) } } : b).Off!)];
        BakedCut[] held = [.. off.Select(o => o.Held)];

        Assert.Equal(off[0].Fresh.Opens, held[0].Opens);
        Assert.All(off, o => Assert.Equal((o.Fresh.First, o.Fresh.Second), (o.Held.First, o.Held.Second)));
        Assert.All(held.Zip(held.Skip(1)), pair => Assert.True(pair.First.Thickness.Value >= pair.Second.Thickness.Value));
        Assert.True(held[3].Opens[0].Value < held[0].Opens[0].Value && held[3].Opens[0].Value > held[0].Opens[0].Value / 2);
    }

    [Fact]
    public void It_stands_as_high_as_it_was_with_what_opened_in_it()
    {
        var sheet = Roasted(60, 60, 60);

        Assert.Equal(sheet.Section.Thickness.Value + sheet.Off!.Fresh.Opens.Sum(o => o.Value) / 1000, sheet.Off.Fresh.Thickness.Value, 1e-9);
        Assert.True(sheet.Off.Fresh.Thickness.Value > 1.1 * sheet.Section.Thickness.Value);
    }

    [Fact]
    public void Filling_lies_where_it_lay_and_opens_nothing()
    {
        var sheet = Breads.Plan(Fillings.Stuffed(Fillings.Of(Fillings.Part("radish", 600, Fillings.Cloth))));

        Assert.All(sheet.Section.Filling!.At, at => Assert.Equal(0, sheet.Off!.Fresh.Opens[at].Value));
    }

    [Fact]
    public void Rings_part_sideways_one_gap_for_each_contact_of_theirs()
    {
        var sheet = Breads.Plan(Breads.Ghee(3), new AccordionStep(10), Breads.Coil, new RestStep(new(15)));

        Assert.NotNull(sheet.Section.Rings);
        Assert.Equal(sheet.Section.Rings.Contacts.Count, sheet.Off!.Fresh.Opens.Count);
    }

    [Fact]
    public void A_ball_is_cut_as_wide_as_it_is_and_its_parts_weigh_what_it_weighs()
    {
        var sheet = Breads.Plan(Folded);

        Assert.True(sheet.Ball!.Ball);
        Assert.Equal(sheet.Balls.Across, sheet.Ball.Across);
        Assert.Equal(sheet.Dough.Start.Ball.Value, sheet.Dough.Portions.Sum(p => p.InBall.Value), 1e-9);
        Assert.Equal(sheet.Dough.Portions.Select(p => p.Hue), sheet.Dough.Portions.Select(p => Breads.Larder[p.Id].Hue ?? UsualHues.Of(Breads.Larder[p.Id].Kind)));
    }
}
