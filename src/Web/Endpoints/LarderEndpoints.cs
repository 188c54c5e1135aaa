using System.Text;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Words;

namespace Ystrata.Web.Endpoints;

/// <summary>The larder and the rules of what goes where: everything a screen needs to offer only what can be worked.</summary>
/// <param name="Within">By id, the short name of a shipped line as it is written within a sentence; a line that a cook named has none.</param>
/// <param name="Kinds">For each place in a spec, the kinds of ingredient it takes.</param>
/// <param name="UsualTraits">Of each kind of ingredient, where a line says nothing of its own.</param>
/// <param name="Water">The id of plain water.</param>
/// <param name="FillingPart">How much of another part of a filling a cook would begin with.</param>
/// <param name="FillingSteps">Every kind of step of a filling as a cook would begin it.</param>
/// <param name="Limits">For each number in a spec, its range.</param>
/// <param name="Plain">What a new bread starts from.</param>
/// <param name="PlainFilling">What a filling starts from.</param>
/// <param name="PlainClock">Hands and pans where nothing was said of them.</param>
/// <param name="MostBeside">Breads beside one in the same service.</param>
/// <param name="MostFileBytes">A CSV file may have so many.</param>
/// <param name="WallSchools">Filling to dough: a spoonful, even, plenty.</param>
/// <param name="Pans">Every kind as it is usually made.</param>
/// <param name="Looks">What a face is called, from which darkness on.</param>
/// <param name="MostParts">Parts of a filling.</param>
/// <param name="MostFillingSteps">Steps of a part, or after joining.</param>
/// <param name="Schools">What else it can start from.</param>
/// <param name="LogLimits">For each number in a log entry or of a packet, its range.</param>
/// <param name="WantedLimits">For each figure of a bread that is wanted, its range.</param>
/// <param name="FoldSchools">Ids of the fold programs to compare by.</param>
/// <param name="MostCompared">Programs side by side.</param>
/// <param name="ItemLimits">For each number of a line of the larder, and for the board, its range.</param>
/// <param name="ItemVersions">By the line's id, its ETag, for If-Match.</param>
/// <param name="VesselVersions">By the vessel's id.</param>
/// <param name="UnitsVersion">Of the units.</param>
public sealed record LarderView(
    IReadOnlyCollection<Ingredient> Ingredients,
    IReadOnlyDictionary<string, string> Within,
    IReadOnlyDictionary<string, IReadOnlyList<IngredientKind>> Kinds,
    IReadOnlyList<KindTraits> UsualTraits,
    string Water,
    Grams FillingPart,
    IReadOnlyList<FillingStep> FillingSteps,
    IReadOnlyList<Limit> Limits,
    IReadOnlyList<Limit> LogLimits,
    IReadOnlyList<Limit> ItemLimits,
    IReadOnlyList<Limit> WantedLimits,
    int MostSteps,
    int MostCompared,
    IReadOnlyList<string> FoldSchools,
    BatchSpec Plain,
    FillingSpec PlainFilling,
    ClockSpec PlainClock,
    int MostBeside,
    long MostFileBytes,
    IReadOnlyList<Percent> WallSchools,
    IReadOnlyList<Cookware> Pans,
    IReadOnlyList<LookFrom> Looks,
    int MostParts,
    int MostFillingSteps,
    IReadOnlyList<School> Schools,
    IReadOnlyList<Vessel> Vessels,
    Units Units,
    IReadOnlyDictionary<string, string> ItemVersions,
    IReadOnlyDictionary<string, string> VesselVersions,
    string UnitsVersion);

/// <summary>What a line of a kind usually is, where nobody has said.</summary>
public sealed record KindTraits(IngredientKind Kind, IReadOnlyList<Trait> Traits);

/// <summary>What a larder file would do, or did.</summary>
/// <param name="Taken">True when it was taken whole.</param>
public sealed record ImportView(bool Taken, IReadOnlyList<string> Added, IReadOnlyList<string> Changed, int Same, IReadOnlyList<BadLine> Bad);

public static class LarderEndpoints
{
    public static void MapLarder(this RouteGroupBuilder larder)
    {
        larder.MapGet("", All).WithName("larder").WithSummary("What there is, where it can go and in what range.");
        larder.MapPut("units", ChangeUnits).WithName("changeUnits").Produces<Units>().WantsVersion<Units>();
        larder.MapPost("items", Add).WithName("addItem").CountsOnce<Ingredient>().WithSummary("A new line; with a GUID as its id the same sent again counts once. The id it gets is made of its name.");
        larder.MapPut("items/{id}", Change).WithName("changeItem").Produces<Ingredient>().WantsVersion<Ingredient>().WithSummary("Puts a shipped line right, or changes an own one.");
        larder.MapDelete("items/{id}", Delete).WithName("deleteItem").Produces(204).WantsVersion<Ingredient>().WithSummary("An own line goes; a shipped one gets its shipped values back.");
        larder.MapPost("items/{id}/restore", Restore).WithName("restoreItem").Produces(204).WithSummary("Takes a delete back.");
        larder.MapGet("export", Export).WithName("exportLarder").Produces<Stream>(200, "text/csv");
        larder.MapPost("import", Import)
            .WithName("importLarder")
            .Accepts<string>("text/csv")
            .Produces<ImportView>()
            .WithMetadata(new RequestSizeLimitAttribute(Problems.MostFileBytes))
            .WithSummary("Reads a larder file. Without take=true it only says what would happen; with it, all lines are taken or none.");
    }

    private static LarderView All(CurrentKitchen current, Pantry pantry, Said said) => current.Alone(() => ViewOf(said.Kitchen(current.Now), said, current.Versions, pantry.Units()));

    private static LarderView ViewOf(Kitchen kitchen, Said said, IReadOnlyDictionary<string, string> versions, Units units) => new(
        kitchen.Larder.All,
        said.Within(kitchen.Larder),
        SpecPlaces.Kinds,
        [.. Enum.GetValues<IngredientKind>().Select(k => new KindTraits(k, Core.Kitchens.UsualTraits.Of(k)))],
        Larder.Water,
        FillingSpec.NewPart,
        FillingStep.Beginnings,
        SpecPlaces.Limits,
        [.. LogCheck.Limits, PacketSpec.EachLimit],
        [.. IngredientCheck.Limits, Units.BoardLimit, Units.FlourCupLimit],
        WantedLeaves.Limits,
        StepCheck.MostSteps,
        Compare.Most,
        FoldPrograms.Ids,
        BatchSpec.Plain,
        FillingSpec.Usual,
        ClockSpec.Usual,
        ClockSpec.MostBeside,
        Problems.MostFileBytes,
        Parcel.Schools,
        [.. Enum.GetValues<PanKind>().Select(Cookware.Of)],
        LookFrom.All,
        FillingCheck.MostParts,
        FillingCheck.MostSteps,
        Schools.All,
        kitchen.Measures.Own,
        units,
        versions,
        kitchen.Measures.Own.ToDictionary(v => v.Id, Versions.Of),
        Versions.Of(units));

    private static IResult ChangeUnits(Units body, [FromHeader(Name = Conditions.Header)] string? ifMatch, CurrentKitchen current, Pantry pantry)
    {
        if (Conditions.Refuse(ifMatch, out var meant) is { } unsaid)
        {
            return unsaid;
        }

        if (Problems.From([.. Common.CheckText("coin", body.Coin, 0, Units.LongestCoin), .. Common.Within(Units.BoardLimit, body.Board!.Value.Value), .. body.FlourCup is { } cup ? Common.Within(Units.FlourCupLimit, cup.Value) : []]) is { } problem)
        {
            return problem;
        }

        return current.Alone(() =>
        {
            var stands = pantry.Units();
            if (meant.For(Versions.Of(stands)))
            {
                current.Change((p, _) => p.Keep(body));
                return Conditions.Tagged(Results.Ok(body), Versions.Of(body));
            }

            return Conditions.Stale(stands, Versions.Of(stands));
        });
    }

    // The id is the path's or made from the name, and where it comes from is the kitchen's to say.
    private static IResult Add(Ingredient body, CurrentKitchen current, Said said) => current.Alone(() =>
    {
        if (!Guid.TryParse(body.Id, out var sent))
        {
            return Keep(ItemIds.New(body.Name, taken => current.Now.TryGet(taken, out _)), body, current, said);
        }

        var id = ItemIds.From(body.Name, sent);
        return current.Now.TryGet(id, out var there)
            ? Conditions.Again(there!.Origin == Origin.Gone ? null : there, Versions.Of(Item(id, body, current.Now.Larder)), i => i, Versions.Of)
            : Keep(id, body, current, said);
    });

    private static IResult Change(string id, Ingredient body, [FromHeader(Name = Conditions.Header)] string? ifMatch, CurrentKitchen current, Said said) =>
        Conditions.Refuse(ifMatch, out var meant) ?? current.Alone(() =>
            !current.Now.TryGet(id, out var there) || there!.Origin == Origin.Gone ? Results.NotFound()
            : meant.For(Versions.Of(there)) ? Keep(id, said.AsShipped(body with { Id = id }), current, said, added: false)
            : Conditions.Stale(there, Versions.Of(there)));

    private static IResult Keep(string id, Ingredient body, CurrentKitchen current, Said said, bool added = true)
    {
        var item = Item(id, body, current.Now.Larder);
        if (Problems.From(IngredientCheck.Check(item, current.Now.Larder)) is { } problem)
        {
            return problem;
        }

        current.Change((pantry, at) => pantry.Keep([item], at));
        var (now, named) = (current.Now[id], said.Larder(current.Now.Larder)[id]);
        return Conditions.Tagged(added ? Results.Created($"/api/larder/items/{id}", named) : Results.Ok(named), Versions.Of(now));
    }

    private static Ingredient Item(string id, Ingredient body, Larder larder) =>
        larder.Settled(body with { Id = id, Name = body.Name.Trim(), Note = body.Note.Trim(), Allergens = [.. body.Allergens.Distinct()], NoAllergens = body.NoAllergens && body.Allergens.Count == 0, Origin = Origin.Own });

    private static IResult Delete(string id, [FromHeader(Name = Conditions.Header)] string? ifMatch, CurrentKitchen current) =>
        Conditions.Refuse(ifMatch, out var meant) ?? current.Alone(() =>
            !current.Now.TryGet(id, out var there) ? Results.NotFound()
            : meant.For(Versions.Of(there!)) ? Common.Done(current.Change((pantry, at) => pantry.Delete(id, at)))
            : Conditions.Stale(there!, Versions.Of(there!)));

    private static IResult Restore(string id, CurrentKitchen current) => Common.Done(current.Change((pantry, _) => pantry.Restore(id)));

    private static IResult Export(CurrentKitchen current, TimeProvider clock) => Results.File(
        Encoding.UTF8.GetBytes(LarderCsv.Write(current.Now.Larder.All.Where(i => i.Origin != Origin.Gone))),
        "text/csv; charset=utf-8",
        $"ystrata-larder-{clock.GetUtcNow():yyyy-MM-dd}.csv");

    private static async Task<IResult> Import(HttpRequest request, CurrentKitchen current, bool take = false)
    {
        if (await Common.FileOf(request) is not { } bytes)
        {
            return Results.StatusCode(413);
        }

        var file = LarderCsv.Read(bytes, current.Now.Larder);
        if (file.Problem is { } problem)
        {
            return Problems.From([problem])!;
        }

        var takes = take && file.Bad.Count == 0;
        if (takes)
        {
            current.Change((pantry, at) => pantry.Keep([.. file.Added, .. file.Changed], at));
        }

        return Results.Ok(new ImportView(takes, [.. file.Added.Select(i => i.Name)], [.. file.Changed.Select(i => i.Name)], file.Same, file.Bad));
    }
}
