
namespace Ystrata.Store.Tests;

public sealed class PantryTests : IDisposable
{
    private readonly TempKitchen temp = new();
    private readonly Pantry pantry;

    public PantryTests() => pantry = new(temp.Open());

    public void Dispose() => temp.Dispose();

    private static Ingredient Ghee(double price) => Larder.Shipped["ghee"] with { Price = new(new(price), new(500)) };

    private static readonly Ingredient Sack = Larder.Shipped["flour-atta"] with { Id = "own-sack", Name = "Sack", Lot = new("flour-atta", new(3)), Origin = Origin.Own };

    [Fact]
    public void An_untouched_larder_is_the_shipped_one() => Assert.Equivalent(Larder.Shipped.All, pantry.Kitchen().Larder.All, strict: true);

    [Fact]
    public void What_was_put_right_stands_over_what_was_shipped_until_it_is_set_back()
    {
        pantry.Keep([Ghee(6)], TempKitchen.Noon);
        Assert.Equal((6, Origin.Changed), (pantry.Kitchen()["ghee"].Price!.Cost.Value, pantry.Kitchen()["ghee"].Origin));

        Assert.True(pantry.Delete("ghee", TempKitchen.Noon));
        Assert.Equal((null, Origin.Shipped), (pantry.Kitchen()["ghee"].Price, pantry.Kitchen()["ghee"].Origin));
        Assert.False(pantry.Delete("ghee", TempKitchen.Noon));

        Assert.True(pantry.Restore("ghee"));
        Assert.Equal(6, pantry.Kitchen()["ghee"].Price!.Cost.Value);
    }

    [Fact]
    public void An_own_line_that_is_deleted_still_plans_and_comes_back()
    {
        pantry.Keep([Sack], TempKitchen.Noon);
        Assert.Equal(73, pantry.Kitchen()["own-sack"].Absorption!.Value.Value);

        pantry.Delete("own-sack", TempKitchen.Noon);
        Assert.Equal(Origin.Gone, pantry.Kitchen()["own-sack"].Origin);
        Assert.Null(pantry.Kitchen().Larder.Called("Sack"));

        pantry.Restore("own-sack");
        Assert.Equal(Origin.Own, pantry.Kitchen()["own-sack"].Origin);
    }

    [Fact]
    public void Every_value_of_a_line_comes_back_as_it_went()
    {
        var whole = Larder.Shipped["radish"] with { Id = "own-radish", Name = "Long radish", Allergens = [Allergen.Mustard], Price = new(new(1.5), new(300)), SmokePoint = new(180), Origin = Origin.Own };
        pantry.Keep([whole], TempKitchen.Noon);

        Assert.Equivalent(whole, pantry.Kitchen()["own-radish"], strict: true);
    }

    [Fact]
    public void Vessels_and_units_are_kept()
    {
        pantry.Keep(new Vessel("a", "Glass", new(195)), TempKitchen.Noon);
        pantry.Keep(new Vessel("a", "Tall glass", new(210)), TempKitchen.Noon);
        pantry.Keep(Units.Usual with { Cup = CupKind.Us, Mass = MassUnit.Cups });

        Assert.Equal([new Vessel("a", "Tall glass", new(210))], pantry.Vessels());
        Assert.Equal(CupKind.Us, pantry.Kitchen().Measures.Cup);
        Assert.Equal(MassUnit.Cups, pantry.Units().Mass);
        Assert.True(pantry.DeleteVessel("a", TempKitchen.Noon));
        Assert.Empty(pantry.Kitchen().Measures.Own);
        Assert.True(pantry.RestoreVessel("a"));
        Assert.Single(pantry.Vessels());
    }

    [Fact]
    public void An_own_hand_time_is_kept_until_it_goes_back_to_the_usual()
    {
        pantry.Keep(HandWork.Coil, new Seconds(22), TempKitchen.Noon);
        pantry.Keep(HandWork.Coil, new Seconds(18), TempKitchen.Noon);
        Assert.Equal(18, pantry.Kitchen().Hands[HandWork.Coil].Value);

        pantry.Keep(HandWork.Coil, null, TempKitchen.Noon);
        Assert.Equal(HandTimes.Usual[HandWork.Coil], pantry.Kitchen().Hands[HandWork.Coil]);
    }
}
