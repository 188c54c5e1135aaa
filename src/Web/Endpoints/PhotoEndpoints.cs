using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;

namespace Ystrata.Web.Endpoints;

public sealed record PhotoView(Guid Id);

public static class PhotoEndpoints
{
    public static void MapPhotos(this RouteGroupBuilder photos)
    {
        photos.MapPost("", Add)
            .IsDear()
            .WithName("addPhoto")
            .Accepts<byte[]>("image/png", "image/jpeg", "image/webp")
            .Produces<PhotoView>(201)
            .Produces<PhotoView>()
            .WithMetadata(new RequestSizeLimitAttribute(PhotoFile.MostBytes))
            .WithSummary("A PNG, JPEG or WebP, made anew without anything the camera wrote into it; with an id from whoever sends it, the same sent twice counts once.");
        photos.MapGet("{id:guid}", Find).WithName("photo").Produces<Stream>(200, "image/webp");
    }

    private static async Task<IResult> Add(HttpRequest request, Photos photos, TimeProvider clock, Guid? id = null)
    {
        if (request.ContentLength > PhotoFile.MostBytes)
        {
            return Results.StatusCode(413);
        }

        using var bytes = new MemoryStream();
        await request.Body.CopyToAsync(bytes, request.HttpContext.RequestAborted);
        if (PhotoFile.Anew(bytes.ToArray()) is not var (body, small))
        {
            return Problems.From([new("photo", FileRefusals.NotAPhoto)])!;
        }

        // Nobody changes a photo: one by this id is this one, sent again.
        var photo = new Photo(id ?? Guid.CreateVersion7(), PhotoFile.Kind, body, small, clock.GetUtcNow());
        return photos.Add(photo) ? Results.Created($"/api/photos/{photo.Id}", new PhotoView(photo.Id)) : Results.Ok(new PhotoView(photo.Id));
    }

    private static IResult Find(Guid id, Photos photos, bool small = false) =>
        photos.Find(id, small) is var (body, kind) ? Results.File(body, kind) : Results.NotFound();
}
