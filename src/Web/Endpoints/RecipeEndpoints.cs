using System.Text.Json;
using Ystrata.Core;
using Ystrata.Store;
using Ystrata.Web.Files;

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

    private static IResult Write(Guid id, Breads breads, Larder larder)
    {
        if (breads.Find(id) is not { } bread)
        {
            return Results.NotFound();
        }

        return SpecCheck.Check(bread.Spec, larder) is { Count: > 0 } refusals
            ? Problems.From(refusals)!
            : Results.File(
                JsonSerializer.SerializeToUtf8Bytes(RecipeFile.Write(bread, Planner.Plan(bread.Spec, larder, larder.Learned), larder)),
                "application/ld+json; charset=utf-8",
                $"{ItemIds.FileName(bread.Name)}.jsonld");
    }

    private static IResult Read(RecipeBody body, Larder larder)
    {
        try
        {
            var (text, own) = RecipeFile.Read(body.File);
            return Results.Ok(own is not null && SpecCheck.Check(own, larder).Count == 0
                ? new RecipeRead(text.Name, text.About, text.Tags, own, [], [], [])
                : RecipeReader.Read(text, larder, body.Settled ?? []));
        }
        catch (FileException e)
        {
            return Problems.From([e.Refusal])!;
        }
    }
}
