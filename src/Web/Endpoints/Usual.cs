using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Web.Door;

namespace Ystrata.Web.Endpoints;

/// <summary>What is so of every endpoint, and told in the description.</summary>
internal static class Usual
{
    private static readonly string[] Reads = [HttpMethods.Get], ReadsOrAsks = [HttpMethods.Get, HttpMethods.Head];

    /// <summary>HEAD is answered wherever GET is; the answers that any endpoint of its kind may give are described.</summary>
    public static RouteGroupBuilder AsUsual(this RouteGroupBuilder group)
    {
        group.AlsoHead();
        ((IEndpointConventionBuilder)group).Finally(endpoint =>
        {
            var writes = !endpoint.Metadata.OfType<IHttpMethodMetadata>().Any(m => m.HttpMethods.Contains(HttpMethods.Get));
            WhoMay.Guard(endpoint, writes);
            var takes = endpoint.Metadata.OfType<IAcceptsMetadata>().Any();
            Add(400, typeof(KitchenProblem));
            Add(404);
            Add(StatusCodes.Status401Unauthorized);
            Add(StatusCodes.Status403Forbidden);
            if (writes)
            {
                Add(StatusCodes.Status507InsufficientStorage);
            }

            if (takes)
            {
                Add(StatusCodes.Status413PayloadTooLarge);
                Add(StatusCodes.Status415UnsupportedMediaType);
            }

            void Add(int status, Type? type = null)
            {
                if (!endpoint.Metadata.OfType<IProducesResponseTypeMetadata>().Any(p => p.StatusCode == status))
                {
                    endpoint.Metadata.Add(new ProducesResponseTypeMetadata(status, type ?? typeof(ProblemDetails), [Problems.ContentType]));
                }
            }
        });
        return group;
    }

    public static void AlsoHead(this IEndpointConventionBuilder endpoints) => endpoints.Finally(endpoint =>
    {
        foreach (var get in endpoint.Metadata.OfType<HttpMethodMetadata>().Where(m => m.HttpMethods.SequenceEqual(Reads)).ToList())
        {
            endpoint.Metadata.Remove(get);
            endpoint.Metadata.Add(new HttpMethodMetadata(ReadsOrAsks));
        }
    });
}
