using System.Text.Json;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Words;

namespace Ystrata.Web.Endpoints;

/// <param name="File">JSON-LD, or a web page with it.</param>
/// <param name="Settled">What the cook has said of lines that were not understood.</param>
public sealed record RecipeBody(string File, IReadOnlyList<SettledLine>? Settled = null);

/// <summary>Breads as schema.org Recipe, out and in.</summary>
public static class RecipeEndpoints
{
    public static void MapRecipes(this RouteGroupBuilder recipes)
    {
        recipes.MapGet("{id:guid}", Write).WithName("exportRecipe").Produces<Stream>(200, "application/ld+json").WithSummary("A bread as schema.org Recipe, but for the steps in words.");
        recipes.MapPost("", Read).WithName("readRecipe").Produces<RecipeRead>().WithSummary("A recipe as a bread, with what could not be understood; keeps nothing.");
    }

    private static IResult Write(Guid id, Breads breads, Kitchen kitchen, Said said)
    {
        if (breads.Find(id) is not { } bread)
        {
            return Results.NotFound();
        }

        var plan = Planner.Plan(bread.Spec, kitchen);
        return plan.Value is { } sheet
            ? Results.File(JsonSerializer.SerializeToUtf8Bytes(RecipeFile.Write(bread, sheet, kitchen, said)), "application/ld+json; charset=utf-8", $"{ItemIds.FileName(bread.Name)}.jsonld")
            : Problems.From(plan.Refusals)!;
    }

    private static IResult Read(RecipeBody body, Kitchen kitchen)
    {
        try
        {
            var (text, own) = RecipeFile.Read(body.File, kitchen.Words);
            return Results.Ok(own is not null && Planner.Check(own, kitchen).Value is not null
                ? new RecipeRead(text.Name, text.About, text.Tags, own, [], [], [])
                : RecipeReader.Read(text, kitchen, body.Settled ?? []));
        }
        catch (FileException e)
        {
            return Problems.From([e.Refusal])!;
        }
    }
}
