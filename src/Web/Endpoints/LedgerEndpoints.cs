namespace Ystrata.Web.Endpoints;

/// <summary>A move in the ledger of a dough, and the batch it is made on.</summary>
/// <param name="Stands">The batch as it last could be worked out, to go by where <paramref name="Spec"/> cannot be.</param>
public sealed record LedgerBody(BatchSpec Spec, LedgerMove Move, BatchSpec? Stands = null);

public static class LedgerEndpoints
{
    public static void MapLedger(this RouteGroupBuilder ledger) =>
        ledger.MapPost("", Move).WithName("moveInLedger").Produces<BatchSpec>().WithSummary("What a batch becomes when one figure of its ledger is given and others give way; keeps nothing.");

    private static IResult Move(LedgerBody body, Kitchen kitchen) => Problems.Or(Ledger.Move(body.Move, body.Spec, body.Stands, kitchen));
}
