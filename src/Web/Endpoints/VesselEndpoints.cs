using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;

namespace Ystrata.Web.Endpoints;

/// <summary>A vessel by one weighing: what it held, and what that weighed.</summary>
/// <param name="Id">For a new one: an id from whoever sends it, so that the same request sent twice makes one vessel.</param>
public sealed record VesselBody(string Name, string Item, PowderFill Fill, Grams Mass, Guid? Id = null);

/// <param name="Item">Of the larder; empty for dough itself.</param>
/// <param name="Ounces">What a bare number means here: ounces, or grams.</param>
public sealed record MeasureBody(string Text, string Item, bool Ounces = false);

public static class VesselEndpoints
{
    public const int LongestName = 24;

    private const int LongestText = 60, MostVessels = 40;

    private static readonly Limit Mass = new("mass", 1, 20_000, Grams.Unit), Volume = new("mass", 3, 10_000, Millilitres.Unit);

    public static void MapVessels(this RouteGroupBuilder vessels)
    {
        vessels.MapPost("", Add).WithName("addVessel").CountsOnce<Vessel>().WithSummary("A cup, glass, ladle or handful of the cook's own, from one weighing.");
        vessels.MapPut("{id}", Change).WithName("changeVessel").Produces<Vessel>().WantsVersion<Vessel>();
        vessels.MapDelete("{id}", Delete).WithName("deleteVessel").Produces(204).WantsVersion<Vessel>();
        vessels.MapPost("{id}/restore", (string id, CurrentKitchen current) => Common.Done(current.Change((p, _) => p.RestoreVessel(id)))).WithName("restoreVessel").Produces(204);
    }

    public static void MapMeasure(this RouteGroupBuilder measure) =>
        measure.MapPost("", Read).WithName("readAmount").WithSummary("Reads what people type: 1½ cup scooped, 3 tbsp, a glass, 7 oz.");

    private static AmountRead Read(MeasureBody body, Kitchen kitchen) =>
        body.Text.Length > LongestText ? new(null, AmountTrouble.NotRead)
        : body.Item.Length == 0 ? AmountReader.OfDough(body.Text, kitchen, body.Ounces)
        : kitchen.TryGet(body.Item, out var item) ? AmountReader.Read(body.Text, item!, kitchen, body.Ounces)
        : new(null, AmountTrouble.NotRead, body.Item);

    private static IResult Add(VesselBody body, CurrentKitchen current) => current.Alone(() =>
    {
        var vessel = ToVessel((body.Id ?? Guid.CreateVersion7()).ToString("N"), body, current.Now, out var refusals);
        var there = current.Now.Measures.Own.FirstOrDefault(v => v.Id == vessel.Id);
        if (there is null && current.Now.Measures.Own.Count >= MostVessels)
        {
            refusals.Add(new("name", RefusalCode.TooMany, MostVessels + 1, 0, MostVessels));
        }

        if (Problems.From(refusals) is { } problem)
        {
            return problem;
        }

        if (there is not null)
        {
            return Conditions.Again(there, Versions.Of(vessel), v => v, Versions.Of);
        }

        current.Change((p, at) => p.Keep(vessel, at));
        return Conditions.Tagged(Results.Created($"/api/vessels/{vessel.Id}", vessel), Versions.Of(vessel));
    });

    private static IResult Change(string id, VesselBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, CurrentKitchen current) =>
        Conditions.Refuse(ifMatch, out var meant) ?? current.Alone(() =>
        {
            if (current.Now.Measures.Own.FirstOrDefault(v => v.Id == id) is not { } there)
            {
                return Results.NotFound();
            }

            if (!meant.For(Versions.Of(there)))
            {
                return Conditions.Stale(there, Versions.Of(there));
            }

            var vessel = ToVessel(id, body, current.Now, out var refusals);
            if (Problems.From(refusals) is { } problem)
            {
                return problem;
            }

            current.Change((p, at) => p.Keep(vessel, at));
            return Conditions.Tagged(Results.Ok(vessel), Versions.Of(vessel));
        });

    private static IResult Delete(string id, [FromHeader(Name = Conditions.Header)] string? ifMatch, CurrentKitchen current) =>
        Conditions.Refuse(ifMatch, out var meant) ?? current.Alone(() =>
            current.Now.Measures.Own.FirstOrDefault(v => v.Id == id) is not { } there ? Results.NotFound()
            : meant.For(Versions.Of(there)) ? Common.Done(current.Change((p, at) => p.DeleteVessel(id, at)))
            : Conditions.Stale(there, Versions.Of(there)));

    private static Vessel ToVessel(string id, VesselBody body, Kitchen kitchen, out List<Refusal> refusals)
    {
        refusals = [.. Common.CheckText("name", body.Name, 1, LongestName)];
        if (kitchen.Measures.Own.Any(v => v.Id != id && v.Name.Equals(body.Name.Trim(), StringComparison.OrdinalIgnoreCase)))
        {
            refusals.Add(new("name", RefusalCode.NameTaken, Item: body.Name.Trim()));
        }

        if (!kitchen.TryGet(body.Item, out var item))
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
