using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;

namespace Ystrata.Web.Endpoints;

public static class BreadEndpoints
{
    public static void MapBreads(this RouteGroupBuilder breads)
    {
        breads.MapGet("", All).WithName("breads").Produces<IReadOnlyList<BreadView>>().WithSummary("Breads by their names, in pages.");
        breads.MapPost("", Add).WithName("addBread").CountsOnce<BreadView>();
        breads.MapGet("{id:guid}", Find).WithName("bread").Produces<BreadView>();
        breads.MapPut("{id:guid}", Change).WithName("changeBread").Produces<BreadView>().WantsVersion<BreadView>();
        breads.MapDelete("{id:guid}", Delete).WithName("deleteBread").Produces(204).WantsVersion<BreadView>();
        breads.MapPost("{id:guid}/restore", Restore).WithName("restoreBread").Produces(204).WithSummary("Takes a delete back.");
    }

    private static IResult All(HttpContext http, Breads breads, ShelfGlances glances, Kitchen kitchen, Guid? after = null, int most = Pages.Most)
    {
        var shelf = breads.All();
        return Pages.OfAll(http, after?.ToString(), most, [.. shelf.Zip(glances.Of(shelf, kitchen))], b => b.First.Id.ToString(), b => BreadView.Of(b.First, b.Second));
    }

    private static IResult Find(Guid id, Breads breads, ShelfGlances glances, Kitchen kitchen) =>
        breads.Find(id) is { } b ? Conditions.Tagged(Results.Ok(BreadView.Of(b, glances.Of(b, kitchen))), b.Version) : Results.NotFound();

    private static IResult Add(BreadBody body, Breads breads, ShelfGlances glances, Kitchen kitchen, TimeProvider clock)
    {
        if (Problems.From(Check(body, kitchen)) is { } problem)
        {
            return problem;
        }

        var bread = ToBread(body.Id ?? Guid.CreateVersion7(), body, clock);
        return breads.Add(bread)
            ? Conditions.Tagged(Results.Created($"/api/breads/{bread.Id}", BreadView.Of(bread, glances.Of(bread, kitchen))), bread.Version)
            : Conditions.Again(breads.Find(bread.Id), bread.Version, b => BreadView.Of(b, glances.Of(b, kitchen)), b => b.Version);
    }

    private static IResult Change(Guid id, BreadBody body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Breads breads, ShelfGlances glances, Kitchen kitchen, TimeProvider clock) =>
        Conditions.Refuse(ifMatch, out var meant)
        ?? Problems.From(Check(body, kitchen))
        ?? Conditions.Changed(breads.Change(ToBread(id, body, clock), meant), b => BreadView.Of(b, glances.Of(b, kitchen)), b => b.Version);

    private static IResult Delete(Guid id, [FromHeader(Name = Conditions.Header)] string? ifMatch, Breads breads, ShelfGlances glances, Kitchen kitchen, TimeProvider clock) =>
        Conditions.Refuse(ifMatch, out var meant) ?? Conditions.Deleted(breads.Delete(id, clock.GetUtcNow(), meant), b => BreadView.Of(b, glances.Of(b, kitchen)), b => b.Version);

    private static IResult Restore(Guid id, Breads breads) => Common.Done(breads.Restore(id));

    private static Bread ToBread(Guid id, BreadBody body, TimeProvider clock) =>
        new(id, body.Name.Trim(), body.About.Trim(), TagsOf(body.Tags), body.Spec, clock.GetUtcNow());

    private static IReadOnlyList<string> TagsOf(IReadOnlyList<string>? tags) =>
        [.. (tags ?? []).Select(t => t.Trim()).Where(t => t.Length > 0).Distinct(StringComparer.OrdinalIgnoreCase)];

    /// <summary>What a bread is called and found by.</summary>
    internal static IEnumerable<Refusal> CheckWords(string name, string about, IReadOnlyList<string>? tags) =>
    [
        .. Common.CheckName(name),
        .. Common.CheckText("about", about, 0, Common.LongestAbout),
        .. TagsOf(tags) is { Count: > Common.MostTags and var count } ? [new Refusal("tags", RefusalCode.TooMany, count, 0, Common.MostTags)] : Array.Empty<Refusal>(),
        .. TagsOf(tags).SelectMany((t, i) => Common.CheckText($"tags[{i}]", t, 1, Common.LongestTag)),
    ];

    private static List<Refusal> Check(BreadBody body, Kitchen kitchen) => [.. CheckWords(body.Name, body.About, body.Tags), .. Common.CheckSpec(body.Spec, kitchen)];
}
