using System.Globalization;

namespace Ystrata.Core.Tests;

/// <summary>A bread in its own colours.</summary>
public class LookTests
{
    private static (int Red, int Green, int Blue) Of(string hue) =>
        (int.Parse(hue[1..3], NumberStyles.HexNumber, null), int.Parse(hue[3..5], NumberStyles.HexNumber, null), int.Parse(hue[5..7], NumberStyles.HexNumber, null));

    private static BreadLook Look(Func<DoughSpec, DoughSpec> change) => Breads.Plan(Breads.White(change)).Section.Look!;

    private static readonly BreadLook White = Breads.Plan(Breads.White()).Section.Look!;

    [Fact]
    public void White_dough_is_as_white_as_its_flour_and_has_no_flecks()
    {
        var (flour, dough) = (Of(Breads.Larder["flour-white"].Hue!), Of(White.Dough));

        Assert.InRange(Math.Abs(flour.Red - dough.Red) + Math.Abs(flour.Green - dough.Green), 0, 8);
        Assert.Empty(White.Flecks);
        Assert.Null(White.Filling);
    }

    [Fact]
    public void Beet_makes_it_red_peas_green_and_turmeric_like_spice_yellow_brown()
    {
        var beet = Of(Look(d => d.WithLiquids(new("puree-beet", Amount.OfFlour(40)), new("water", Amount.TheRest))).Dough);
        var pea = Of(Look(d => d.WithLiquids(new("puree-pea", Amount.OfFlour(40)), new("water", Amount.TheRest))).Dough);
        var spice = Of(Look(d => d.WithAdditions(("spice-ground", 3))).Dough);

        Assert.True(beet.Red > beet.Green + 40 && beet.Blue > beet.Green, $"{beet}");
        Assert.True(pea.Green > pea.Red - 20 && pea.Green > pea.Blue + 30, $"{pea}");
        Assert.True(spice.Red > spice.Blue + 40, $"{spice}");
    }

    [Fact]
    public void More_puree_is_deeper_and_never_darker_than_the_puree()
    {
        int[] green = [.. new[] { 5.0, 15, 30, 50 }.Select(share => Of(Look(d => d.WithLiquids(new("puree-beet", Amount.OfFlour(share)), new("water", Amount.TheRest))).Dough).Green)];

        Assert.Equal(green.OrderDescending(), green);
        Assert.True(green[^1] > Of(Breads.Larder["puree-beet"].Hue!).Green);
    }

    [Fact]
    public void Seeds_and_bran_are_flecks_and_colour_nothing()
    {
        var seeded = Look(d => d.WithAdditions(("seed-nigella", 2)));
        Assert.Equal(White.Dough, seeded.Dough);
        Assert.Equal(Breads.Larder["seed-nigella"].Hue, Assert.Single(seeded.Flecks).Hue);

        var bran = Assert.Single(Look(d => d with { Flours = [new("flour-atta", 100)] }).Flecks);
        Assert.True(Of(bran.Hue).Red < Of(Breads.Larder["flour-atta"].Hue!).Red - 30);
    }

    // Delesse 1847: of a cut, what is strewn through it takes the share it has of the volume.
    [Fact]
    public void Flecks_take_the_share_of_the_cut_that_they_have_of_the_dough()
    {
        var sheet = Breads.Plan(Breads.White(d => d.WithAdditions(("seed-nigella", 4))));
        var fleck = Assert.Single(sheet.Section.Look!.Flecks);
        var across = fleck.Size.Centimetres;
        var area = fleck.Count * (2.0 / 3) * Math.PI / 4 * across * across;
        var seeds = sheet.Dough.Portions.Single(p => p.Id == "seed-nigella").Mass.Value;

        Assert.Equal(seeds / (sheet.Dough.Mass.Value / sheet.Dough.Density.Value), area, 2);
        Assert.Equal(2, Look(d => d.WithAdditions(("seed-nigella", 4))).Flecks[0].Count / Look(d => d.WithAdditions(("seed-nigella", 2))).Flecks[0].Count, 1);
    }

    [Fact]
    public void Seeds_that_a_step_presses_on_lie_on_that_face_as_many_as_there_are()
    {
        var sheet = Breads.Plan(Breads.Half, new SeedsStep("seed-nigella", new(2)));
        var laid = Assert.Single(sheet.Section.Look!.Laid);

        Assert.Equal(Breads.Larder["seed-nigella"].Hue, laid.Hue);
        Assert.Equal(0, sheet.Section.BottomBits.Value);
        // All 2 g of them, each of its own mass, in strips one seed wide of the half-moon of 30 cm.
        var across = laid.Size.Centimetres;
        var strips = Math.PI * 225 / 2 / across;
        Assert.Equal(2000 / (1000 * Math.PI / 6 * across * across * across), laid.Count * sheet.Section.TopBits.Value * strips, 6.0);
        Assert.All(sheet.Section.Contacts, c => Assert.Equal(0, c.Bits.Value));
        Assert.Empty(White.Laid);
    }

    [Fact]
    public void Seeds_folded_in_lie_between_leaves() =>
        Assert.Contains(Breads.Plan(new SeedsStep("seed-nigella", new(2)), Breads.Half).Section.Contacts, c => c.Bits.Value > 0);

    [Fact]
    public void What_has_no_hue_of_its_own_has_that_of_its_kind()
    {
        var own = Breads.Larder["flour-atta"] with { Id = "own", Name = "Own", Hue = null, Origin = Origin.Own };
        var look = Breads.Plan(Breads.White(d => d with { Flours = [new("own", 100)] }), Breads.Kitchen.With(own)).Section.Look!;

        Assert.InRange(Of(look.Dough).Red, Of(UsualHues.Of(IngredientKind.Flour)).Red - 8, 255);
    }

    [Fact]
    public void Every_kind_has_a_hue() => Assert.All(Enum.GetValues<IngredientKind>(), kind => Assert.Matches("^#[0-9a-f]{6}$", UsualHues.Of(kind)));

    [Theory]
    [InlineData("radish")]
    [InlineData("cauliflower")]
    [InlineData("beetroot")]
    [InlineData("carrot")]
    public void A_filling_shows_the_hue_and_the_grain_of_what_is_in_it(string id)
    {
        var spec = Breads.White() with
        {
            Fold = new([]),
            Filling = FillingSpec.Usual with { Parts = [new(id, new(400), new(0), [new ChopStep(ChopBy.Grate, new(2)), new SqueezeStep(SqueezeBy.Cloth)])], Together = [] },
        };
        var bits = Assert.Single(Breads.Plan(spec).Section.Look!.Filling!.Bits);

        Assert.Equal((Breads.Larder[id].Hue, 2), (bits.Hue, bits.Size.Value));
        Assert.Equal(100, bits.Share.Value, 6);
    }
}
