using Ystrata.Core;

namespace Ystrata.Web.Endpoints;

/// <summary>A vessel by one weighing: what it held, and what that weighed.</summary>
public sealed record VesselBody(string Name, string Item, PowderFill Fill, Grams Mass);

/// <param name="Ounces">What a bare number means here: ounces, or grams.</param>
public sealed record MeasureBody(string Text, string Item, bool Ounces = false);

public static class VesselEndpoints
{
    public const int LongestName = 24;

    private const int LongestText = 60, MostVessels = 40;

    private static readonly Limit Mass = new("mass", 1, 20_000, Grams.Unit), Volume = new("mass", 3, 10_000, Millilitres.Unit);

    public static void MapVessels(this RouteGroupBuilder vessels)
    {
        vessels.MapPost("", Add).WithName("addVessel").Produces<Vessel>(201).WithSummary("A cup, glass, ladle or handful of the cook's own, from one weighing.");
        vessels.MapPut("{id}", Change).WithName("changeVessel").Produces<Vessel>();
        vessels.MapDelete("{id}", (string id, KitchenLarder kitchen) => Common.Done(kitchen.Change((p, at) => p.DeleteVessel(id, at)))).WithName("deleteVessel").Produces(204);
        vessels.MapPost("{id}/restore", (string id, KitchenLarder kitchen) => Common.Done(kitchen.Change((p, _) => p.RestoreVessel(id)))).WithName("restoreVessel").Produces(204);
    }

    public static void MapMeasure(this RouteGroupBuilder measure) =>
        measure.MapPost("", Read).WithName("readAmount").WithSummary("Reads what people type: 1½ cup scooped, 3 tbsp, a glass, 7 oz.");

    private static AmountRead Read(MeasureBody body, Larder larder) =>
        body.Text.Length > LongestText ? new(null, AmountTrouble.NotRead)
        : larder.TryGet(body.Item, out var item) ? AmountReader.Read(body.Text, item!, larder.Measuring, body.Ounces)
        : new(null, AmountTrouble.NotRead, body.Item);

    private static IResult Add(VesselBody body, KitchenLarder kitchen)
    {
        var vessel = ToVessel(Guid.CreateVersion7().ToString("N"), body, kitchen.Now, out var refusals);
        if (kitchen.Now.Measuring.Own.Count >= MostVessels)
        {
            refusals.Add(new("name", RefusalCode.TooMany, MostVessels + 1, 0, MostVessels));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        kitchen.Change((p, at) => p.Keep(vessel, at));
        return Results.Created($"/api/vessels/{vessel.Id}", vessel);
    }

    private static IResult Change(string id, VesselBody body, KitchenLarder kitchen)
    {
        if (kitchen.Now.Measuring.Own.All(v => v.Id != id))
        {
            return Results.NotFound();
        }

        var vessel = ToVessel(id, body, kitchen.Now, out var refusals);
        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        kitchen.Change((p, at) => p.Keep(vessel, at));
        return Results.Ok(vessel);
    }

    private static Vessel ToVessel(string id, VesselBody body, Larder larder, out List<Refusal> refusals)
    {
        refusals = [.. Common.CheckText("name", body.Name, 1, LongestName)];
        if (larder.Measuring.Own.Any(v => v.Id != id && v.Name.Equals(body.Name.Trim(), StringComparison.OrdinalIgnoreCase)))
        {
            refusals.Add(new("name", RefusalCode.NameTaken, Item: body.Name.Trim()));
        }

        if (!larder.TryGet(body.Item, out var item))
        {
            refusals.Add(new("item", RefusalCode.UnknownIngredient, Item: body.Item));
            return new(id, body.Name, default);
        }

        var volume = Vessels.VolumeOf(body.Mass, item!.Density, Measuring.IsPowder(item) ? body.Fill : PowderFill.Spooned);
        if (!(body.Mass.Value >= Mass.Least && body.Mass.Value <= Mass.Most))
        {
            refusals.Add(new("mass", RefusalCode.OutOfRange, body.Mass.Value, Mass.Least, Mass.Most, Mass.Unit));
        }
        else if (!(volume.Value >= Volume.Least && volume.Value <= Volume.Most))
        {
            refusals.Add(new("mass", RefusalCode.OutOfRange, volume.Value, Volume.Least, Volume.Most, Volume.Unit));
        }

        return new(id, body.Name.Trim(), volume);
    }
}
