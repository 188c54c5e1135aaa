namespace Ystrata.Core.Bread;

/// <summary>A face as it comes off the pan.</summary>
/// <param name="Dark">0.3 pale, 1 gold, 1.8 brown, 3 charred.</param>
/// <param name="Crust">Dried through, from the face inwards.</param>
public sealed record CrustSheet(double Dark, Millimetres Crust);

/// <summary>How a cut piece differs, off the pan and after its hold, from how it went on.</summary>
/// <param name="First">The face that went down first; drawn below.</param>
/// <param name="Opens">How far the leaves stand apart at each contact of the section; of what stands upright, at each contact of its rings.</param>
/// <param name="Held">The same at the table.</param>
public sealed record OffPan(CrustSheet First, CrustSheet Second, IReadOnlyList<Micrometres> Opens, HeldCut Held)
{
    // Room that steam opens between leaves, for the room that the same water took (empirical): a bread of 3 mm that loses a fifth stands a third higher.
    private const double SteamLifts = 1.6;

    // A contact that is greased in patches stands open by so much of one that is greased all over (empirical).
    private const double Patchy = 0.35;

    // Once the steam has gone leaves sink back by at most this share (empirical).
    private const double Sinks = 0.45;

    /// <param name="steam">Water gone, as a layer on the piece.</param>
    /// <returns>Nothing where nothing cooks it.</returns>
    internal static OffPan? Of(Section raw, PanSheet pan, Millimetres steam, PanRun run)
    {
        if (pan.Program.Turns.Count == 0)
        {
            return null;
        }

        // A layer of filling presses its walls together no more than it holds them apart: there is nothing there to open.
        var filled = raw.Filling?.At ?? [];
        var contacts = raw.Rings?.Contacts ?? raw.Contacts;
        var weights = contacts.Select((c, i) => raw.Rings is null && filled.Contains(i) ? 0 : c.State switch { ContactState.Open => 1, ContactState.Patchy => Patchy, _ => 0 }).ToList();
        // Each opens as the whole does, by its part of it: a single open contact among welded ones does not take the steam of all.
        var lifted = steam.Value * SteamLifts * (raw.Rings is null ? 1 : raw.Across.Value / 2 / raw.Thickness.Value);
        var share = weights.Count > 0 ? lifted * 1000 / weights.Count : 0;
        List<Micrometres> opens = [.. weights.Select(w => new Micrometres(Math.Round(share * w)))];
        return new(Face(Pan.Face.First), Face(Pan.Face.Second), opens, HeldCut.Of(pan.Hold, Sinks));

        CrustSheet Face(Face face) => new(run.ColourOf(face), run.DriedThrough(face));
    }
}

/// <summary>What time has made of it at the table.</summary>
/// <param name="Opens">Of how far the leaves stood apart.</param>
/// <param name="Crust">Of how deep it was dry: moisture comes back out to it.</param>
public sealed record HeldCut(Percent Opens, Percent Crust)
{
    internal static HeldCut Of(HoldSheet hold, double sinks)
    {
        var (time, crisp) = (hold.For.Value, hold.Here.Crisp.Value);
        // It is crisp no longer when its crust is half as deep (empirical); it sinks while it cools to what is no longer warm.
        var crust = time <= 0 ? 1 : crisp <= 0 ? 0 : Math.Max(1 - time / crisp / 2, 0);
        var cooled = hold.Here.Warm.Value <= 0 ? 1 : Math.Min(time / hold.Here.Warm.Value, 1);
        return new(new(100 * (1 - sinks * cooled)), new(100 * crust));
    }
}
