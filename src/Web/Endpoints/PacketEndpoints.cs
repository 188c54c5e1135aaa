
namespace Ystrata.Web.Endpoints;

public sealed record PacketBody(BatchSpec Spec, PacketSpec Packet);

public static class PacketEndpoints
{
    // Calendars end there; so does any sense in a label.
    private static readonly DateOnly First = new(2000, 1, 1), Last = new(2199, 12, 31);

    public static void MapPackets(this RouteGroupBuilder packets) =>
        packets.MapPost("", Of).WithName("packets").Produces<PacketSheet>().WithSummary("What stands on the packets of a batch: pieces, weight, use by, how it is cooked from there, allergens.");

    private static IResult Of(PacketBody body, Kitchen kitchen)
    {
        var (each, made, limit) = (body.Packet.Each, body.Packet.Made, PacketSpec.EachLimit);
        List<Refusal> refusals =
        [
            .. Common.CheckSpec(body.Spec, kitchen),
            .. each < limit.Least || each > limit.Most ? [new(limit.Field, RefusalCode.OutOfRange, each, limit.Least, limit.Most)] : Array.Empty<Refusal>(),
            .. made < First || made > Last ? [new("packet.made", RefusalCode.OutOfRange, made.Year, First.Year, Last.Year)] : Array.Empty<Refusal>(),
            // A batter cannot be put away raw.
            .. body.Spec.Dough.Feel == Feel.Batter && body.Packet.State is PacketState.RawChilled or PacketState.RawFrozen ? [new("packet.state", RefusalCode.FrozenBatter)] : Array.Empty<Refusal>(),
        ];
        return Problems.From(refusals) ?? Problems.Or(PacketStage.Of(body.Spec, body.Packet, kitchen));
    }
}
