namespace Ystrata.Core.Bread;

/// <summary>A face of a bread that was on the pan.</summary>
/// <param name="Dark">0.3 pale, 1 gold, 1.8 brown, 3 charred.</param>
/// <param name="Crust">Dried through on the pan, from the face inwards: so deep it is coloured.</param>
public sealed record CrustSheet(double Dark, Millimetres Crust);

/// <summary>How a cut piece that was on the pan differs from how it went on.</summary>
/// <param name="First">The face that went down first; drawn below.</param>
/// <param name="Opens">How far the leaves stand apart at each contact of the section; of what stands upright, at each contact of its rings.</param>
/// <param name="Thickness">With what stands open in it.</param>
public sealed record BakedCut(CrustSheet First, CrustSheet Second, IReadOnlyList<Micrometres> Opens, Millimetres Thickness);

/// <summary>What the pan makes of a section, and what time makes of that.</summary>
/// <param name="Fresh">As it comes off the pan.</param>
/// <param name="Held">At the table.</param>
public sealed record OffPan(BakedCut Fresh, BakedCut Held)
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

        var (warm, opens) = (pan.Hold.Here.Warm.Value, Opens(raw, steam));
        // It sinks while it cools to what is no longer warm.
        var cooled = warm <= 0 ? 1 : Math.Min(pan.Hold.For.Value / warm, 1);
        return new(Cut(1), Cut(1 - Sinks * cooled));

        BakedCut Cut(double open)
        {
            List<Micrometres> apart = [.. opens.Select(o => new Micrometres(Math.Round(o * open)))];
            var lifted = raw.Rings is null ? apart.Sum(a => a.Value) / 1000 : 0;
            return new(Face(Pan.Face.First), Face(Pan.Face.Second), apart, new(raw.Thickness.Value + lifted));
        }

        CrustSheet Face(Face face) => new(run.ColourOf(face), run.DriedThrough(face));
    }

    // µm. Each opens as the whole does, by its part of it: a single open contact among welded ones does not take the steam of all.
    private static List<double> Opens(Section raw, Millimetres steam)
    {
        // A layer of filling presses its walls together no more than it holds them apart: there is nothing there to open.
        var filled = raw.Filling?.At ?? [];
        var contacts = raw.Rings?.Contacts ?? raw.Contacts;
        var lifted = steam.Value * 1000 * SteamLifts * (raw.Rings is null ? 1 : raw.Across.Value / 2 / raw.Thickness.Value);
        return [.. contacts.Select((c, i) => lifted / contacts.Count * (raw.Rings is null && filled.Contains(i) ? 0 : c.State switch { ContactState.Open => 1, ContactState.Patchy => Patchy, _ => 0 }))];
    }
}
