namespace Ystrata.Core.Lamination;

/// <summary>A contact as it is drawn.</summary>
/// <param name="Step">Of the fold program, that laid it, from 0; nothing for what no step laid.</param>
public sealed record SectionContact(Micrometres Film, Load Dust, Load Bits, ContactState State, int? Step = null);

/// <summary>Rings of a bread whose leaves stand upright, from the middle to the rim.</summary>
/// <param name="Each">Along the radius.</param>
/// <param name="Contacts">Outside each ring but the last.</param>
public sealed record SectionRings(IReadOnlyList<Millimetres> Each, IReadOnlyList<SectionContact> Contacts);

/// <summary>Filling between leaves, as it is drawn.</summary>
/// <param name="At">Contacts it lies in, counted from the bottom.</param>
/// <param name="Thickness">Of one layer.</param>
/// <param name="Rim">Dough without filling at the edge.</param>
public sealed record SectionFilling(IReadOnlyList<int> At, Millimetres Thickness, Millimetres Grain, Millimetres Rim, FillingFeel Feel);

/// <summary>The bread cut through where it is fullest, from the bottom up, ready to draw to scale.</summary>
/// <param name="Leaves">Thickness of each leaf.</param>
/// <param name="Contacts">Between neighbours: one fewer than leaves.</param>
/// <param name="Rings">Nothing unless the leaves stand upright.</param>
/// <param name="Windings">Windings of a rope across the radius; nothing without.</param>
/// <param name="Filling">Nothing without.</param>
/// <param name="Look">Its own colours; nothing for a piece of no bread in particular.</param>
public sealed record Section(
    Millimetres Across,
    Millimetres Thickness,
    IReadOnlyList<Millimetres> Leaves,
    IReadOnlyList<SectionContact> Contacts,
    Micrometres TopFilm,
    Micrometres BottomFilm,
    SectionRings? Rings,
    double? Windings,
    SectionFilling? Filling = null,
    BreadLook? Look = null)
{
    // Dough pressed together at the edge, without filling, mm (empirical).
    private static readonly Millimetres Seam = new(6);

    public static Section Of(Rolled rolled) => Of(rolled.Length, rolled.Fullest, rolled.Rings);

    public static Section Of(Form piece) => Of(piece.Length, piece.Fullest, piece.Rings);

    /// <summary>The same, its contacts judged as they will be once it is rolled out: films thin until then, and leaves weld there.</summary>
    /// <param name="rolled">The pile it becomes.</param>
    public static Section Of(Form piece, Pile rolled)
    {
        // What one step laid thins alike wherever it lies.
        var (now, then) = (Mean(piece.Fullest), Mean(rolled));
        Coat Rolled(Contact c) => now[c.Step].First() is var from && then[c.Step].FirstOrDefault() is var to && Share(from, to) is { } left ? c.Coat * left : c.Coat;
        var raw = Of(piece);
        return raw with { Contacts = [.. raw.Contacts.Zip(piece.Fullest.Contacts, (drawn, c) => drawn with { State = Lamination.Contacts.StateOf(Rolled(c)) })] };

        static ILookup<int, Coat> Mean(Pile pile) => pile.Kinds.GroupBy(k => k.Contact.Step)
            .Select(g => (Step: g.Key, Coat: g.Aggregate(default(Coat), (sum, k) => sum + k.Contact.Coat * k.Count) / g.Sum(k => k.Count)))
            .ToLookup(m => m.Step, m => m.Coat);
        static double? Share(Coat from, Coat to) => from.Film.Value > 0 && to.Film.Value > 0 ? to.Film.Value / from.Film.Value
            : from.Dust.Value > 0 && to.Dust.Value > 0 ? to.Dust.Value / from.Dust.Value
            : null;
    }

    /// <summary>A ball.</summary>
    public static Section OfBall(Millimetres across) => new(across, across, [across], [], default, default, null, null) { Ball = true };

    /// <summary>Seeds and leaves pressed on its upper face.</summary>
    public Load TopBits { get; private init; }

    public Load BottomBits { get; private init; }

    /// <summary>It is as round as it is high.</summary>
    public bool Ball { get; private init; }

    private static Section Of(Millimetres across, Pile pile, Rings? rings) => new(
        across,
        pile.Thickness,
        pile.Leaves,
        [.. pile.Contacts.Select(Drawn)],
        pile.Top.Film,
        pile.Bottom.Film,
        rings is { Face.Value: > 0 } ? Drawn(rings, across) : null,
        rings is { Face.Value: <= 0 } ? rings.Count : null)
    {
        TopBits = pile.Top.Bits,
        BottomBits = pile.Bottom.Bits,
    };

    /// <summary>A stuffed piece: the dough over the filling lies turned over, so that both walls show the same face outside.</summary>
    public static Section Of(Rolled rolled, ParcelSheet parcel, FillingState filling, FillingFeel feel)
    {
        var dough = Of(rolled);
        SectionFilling In(IReadOnlyList<int> at) => new(at, parcel.Layer, filling.Grain, Seam, feel);
        return parcel.Shape == ParcelShape.Coil
            ? dough with
            {
                Thickness = parcel.Thickness,
                Filling = In([.. Enumerable.Range(0, dough.Contacts.Count)]),
                Contacts = [.. dough.Contacts.Select(c => c with { State = ContactState.Open })],
            }
            : dough with
            {
                Across = parcel.Across,
                Thickness = parcel.Thickness,
                Leaves = [.. dough.Leaves, .. dough.Leaves.Reverse()],
                Contacts = [.. dough.Contacts, new(default, default, default, ContactState.Open), .. dough.Contacts.Reverse()],
                TopFilm = dough.BottomFilm,
                TopBits = dough.BottomBits,
                Filling = In([dough.Contacts.Count]),
            };
    }

    private static SectionContact Drawn(Contact contact) => new(contact.Coat.Film, contact.Coat.Dust, contact.Coat.Bits, contact.State, contact.Step);

    // The rings fill the radius exactly: their number is whole, so each is drawn a touch wider or narrower than it is.
    private static SectionRings Drawn(Rings rings, Millimetres across)
    {
        var count = Math.Max((int)Math.Round(rings.Count), 1);
        var each = Enumerable.Range(0, count).Select(i => rings.Leaves[i % rings.Leaves.Count].Value).ToList();
        var fit = across.Value / 2 / each.Sum();
        return new([.. each.Select(e => new Millimetres(e * fit))], [.. Enumerable.Range(0, count - 1).Select(i => Drawn(rings.Contacts[i % rings.Contacts.Count]))]);
    }
}
