namespace Ystrata.Core.Pan;

/// <summary>How warm dough and filling are as the piece goes on the pan.</summary>
internal readonly record struct PieceHeat(Celsius Dough, Celsius Filling)
{
    /// <summary>Straight from freezer or fridge; else what was cold is workable by the last roll, and a filling has come towards the kitchen while the piece rested.</summary>
    public static PieceHeat Of(CheckedBatch batch, DoughSheet dough, FillingState? filling)
    {
        var spec = batch.Spec;
        if (spec.Pan.Frozen || spec.Pan.Chilled)
        {
            var cold = spec.Pan.Frozen ? Air.Freezer : Air.Fridge;
            return new(cold, cold);
        }

        var overnight = spec.Clock?.Ahead == Ahead.Fridge && !batch.Route.Poured;
        if (overnight)
        {
            return new(RestStage.Workable, RestStage.Workable);
        }

        var rested = spec.Rest.Place == RestPlace.Fridge ? batch.Route.Poured ? Air.Fridge : RestStage.Workable : Air.Kitchen;
        return new(rested, filling is null ? rested : Towards(filling.Temperature, batch.Shape.Rest, RestStage.Lag(dough.Ball, dough.Density)));
    }

    /// <summary>What of it was cold must be hot to the safe core: chilled, frozen or a night in the fridge.</summary>
    public static bool WasCold(BatchSpec spec) => spec.Pan.Frozen || spec.Pan.Chilled || spec.Clock is { Ahead: not Ahead.None };

    private static Celsius Towards(Celsius from, Minutes time, Minutes lag) => new(Air.Kitchen.Value + (from.Value - Air.Kitchen.Value) * Math.Exp(-time.Value / lag.Value));
}
