namespace Ystrata.Core.Lamination;

/// <summary>The leaves at one place of a piece, from the bottom up, a contact between neighbours, a coat on each outer face.</summary>
/// <remarks>
/// Immutable; places of a piece that were folded alike share one pile. Laying, turning and spreading take the same time
/// whatever the number of leaves: a pile remembers what it was laid from, and writes its leaves out only when asked for them.
/// </remarks>
public sealed class Pile
{
    private readonly Inside inside;
    private readonly bool turned;
    private readonly double thinned;
    private Millimetres[]? leaves;
    private Contact[]? contacts;

    private Pile(Inside inside, bool turned, double thinned, Coat top, Coat bottom)
    {
        (this.inside, this.turned, this.thinned, Top, Bottom) = (inside, turned, thinned, top, bottom);
        Dough = inside.Dough / thinned;
    }

    public Coat Top { get; }

    public Coat Bottom { get; }

    /// <summary>How many leaves; at least one.</summary>
    public int Count => inside.Count;

    /// <summary>Dough alone.</summary>
    public Millimetres Dough { get; }

    public IReadOnlyList<Millimetres> Leaves => leaves ?? Written().Leaves;

    /// <summary>One fewer than leaves.</summary>
    public IReadOnlyList<Contact> Contacts => contacts ?? Written().Contacts;

    /// <summary>The same contacts, each kind once with how many there are: few, however many leaves there are. In no order.</summary>
    public IEnumerable<(Contact Contact, int Count)> Kinds => inside.Kinds.Select(k => (k.Key with { Coat = k.Key.Coat / thinned }, k.Value));

    /// <summary>Contacts of which something is so.</summary>
    public int CountOf(Func<Contact, bool> so) => Kinds.Where(k => so(k.Contact)).Sum(k => k.Count);

    /// <summary>Dough and films together, raw.</summary>
    public Millimetres Thickness => new(Dough.Value + Coats.Film.Value / 1000);

    /// <summary>Everything that lies on and between the leaves.</summary>
    public Coat Coats => inside.Between / thinned + Top + Bottom;

    /// <summary>One bare leaf.</summary>
    public static Pile Of(Millimetres leaf) => new(new([leaf], []), false, 1, default, default);

    public Pile Turned() => new(inside, !turned, thinned, Bottom, Top);

    /// <summary>Another pile laid on this one.</summary>
    /// <param name="step">The step of the fold program that lays it.</param>
    public Pile Under(Pile upper, int step) => new(new(this, upper, new(Top + upper.Bottom, step)), false, 1, upper.Top, Bottom);

    /// <summary>Copies of this pile laid on each other.</summary>
    /// <param name="flips">For each copy, from the bottom up, whether it lies on its top face. At least one.</param>
    public Pile Piled(ReadOnlySpan<bool> flips, int step)
    {
        var flipped = Turned();
        var pile = flips[0] ? flipped : this;
        foreach (var flip in flips[1..])
        {
            pile = pile.Under(flip ? flipped : this, step);
        }

        return pile;
    }

    /// <summary>More laid on one of its faces.</summary>
    public Pile Coated(Coat more, LaidOn on = LaidOn.Top) => on == LaidOn.Top
        ? new(inside, turned, thinned, Top + more, Bottom)
        : new(inside, turned, thinned, Top, Bottom + more);

    /// <summary>Spread over k times its area: every thickness and film ÷ k.</summary>
    public Pile Spread(double k) => new(inside, turned, thinned * k, Top / k, Bottom / k);

    /// <summary>The same leaves holding other masses: used when uneven places are worked into one.</summary>
    /// <param name="dough">Mean dough thickness to hold.</param>
    /// <param name="coats">Mean coats to hold in all.</param>
    public Pile Holding(Millimetres dough, Coat coats)
    {
        var (k, own) = (dough / Dough, Coats);
        static double Share(double wanted, double has) => has > 0 ? wanted / has : 0;
        var (film, fat) = (Share(coats.Film.Value, own.Film.Value), Share(coats.Fat.Value, own.Fat.Value));
        var (dust, bits) = (Share(coats.Dust.Value, own.Dust.Value), Share(coats.Bits.Value, own.Bits.Value));
        Coat Scaled(Coat c) => new(new(c.Film.Value * film), new(c.Fat.Value * fat), new(c.Dust.Value * dust), new(c.Bits.Value * bits));

        // What this pile has none of at all has nowhere to lie but on top.
        var rest = new Coat(
            new(own.Film.Value > 0 ? 0 : coats.Film.Value),
            new(own.Fat.Value > 0 ? 0 : coats.Fat.Value),
            new(own.Dust.Value > 0 ? 0 : coats.Dust.Value),
            new(own.Bits.Value > 0 ? 0 : coats.Bits.Value));
        return new(
            new([.. Leaves.Select(l => l * k)], [.. Contacts.Select(c => c with { Coat = Scaled(c.Coat) })]),
            false,
            1,
            Scaled(Top) + rest,
            Scaled(Bottom));
    }

    private (Millimetres[] Leaves, Contact[] Contacts) Written()
    {
        var (all, between) = (new Millimetres[Count], new Contact[Count - 1]);
        inside.Write(all, between, turned, thinned);
        (leaves, contacts) = (all, between);
        return (all, between);
    }

    // What lies between the two outer faces: leaves as they are, or two piles on each other.
    private sealed class Inside
    {
        private readonly Millimetres[] leaves = [];
        private readonly Contact[] contacts = [];
        private readonly Pile? lower;
        private readonly Pile? upper;
        private readonly Contact joint;
        private Dictionary<Contact, int>? kinds;

        public Inside(Millimetres[] leaves, Contact[] contacts)
        {
            (this.leaves, this.contacts, Count) = (leaves, contacts, leaves.Length);
            Dough = new(leaves.Sum(l => l.Value));
            Between = contacts.Aggregate(default(Coat), (sum, c) => sum + c.Coat);
        }

        public Inside(Pile lower, Pile upper, Contact joint)
        {
            (this.lower, this.upper, this.joint, Count) = (lower, upper, joint, lower.Count + upper.Count);
            Dough = lower.Dough + upper.Dough;
            Between = lower.inside.Between / lower.thinned + upper.inside.Between / upper.thinned + joint.Coat;
        }

        public int Count { get; }

        public Millimetres Dough { get; }

        public Coat Between { get; }

        public IReadOnlyDictionary<Contact, int> Kinds => kinds ??= Counted();

        private Dictionary<Contact, int> Counted()
        {
            var counted = new Dictionary<Contact, int>();
            void Add(Contact contact, int count) => counted[contact] = counted.GetValueOrDefault(contact) + count;
            if (lower is null || upper is null)
            {
                Array.ForEach(contacts, c => Add(c, 1));
                return counted;
            }

            foreach (var (contact, count) in lower.Kinds.Concat(upper.Kinds))
            {
                Add(contact, count);
            }

            Add(joint, 1);
            return counted;
        }

        public void Write(Span<Millimetres> into, Span<Contact> between, bool turned, double thinned)
        {
            if (lower is null || upper is null)
            {
                for (var i = 0; i < leaves.Length; i++)
                {
                    into[i] = leaves[turned ? leaves.Length - 1 - i : i] / thinned;
                }

                for (var i = 0; i < contacts.Length; i++)
                {
                    var contact = contacts[turned ? contacts.Length - 1 - i : i];
                    between[i] = contact with { Coat = contact.Coat / thinned };
                }

                return;
            }

            var (first, second) = turned ? (upper, lower) : (lower, upper);
            first.inside.Write(into[..first.Count], between[..(first.Count - 1)], first.turned ^ turned, first.thinned * thinned);
            between[first.Count - 1] = joint with { Coat = joint.Coat / thinned };
            second.inside.Write(into[first.Count..], between[first.Count..], second.turned ^ turned, second.thinned * thinned);
        }
    }
}
