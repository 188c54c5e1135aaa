namespace Ystrata.Core.Filling;

/// <summary>How a filling behaves in the hand (models.md E).</summary>
public enum FillingFeel
{
    /// <summary>Dry, and nothing in it sticks: it falls apart in a gathered ball.</summary>
    Loose,
    Holds,

    /// <summary>It holds once the dumpling is rolled in dry flour.</summary>
    RollInFlour,
    Weeps,
}

/// <summary>A part from the raw thing to what is joined.</summary>
/// <param name="Start">As it goes in.</param>
/// <param name="Buy">To buy for this, peel and trimmings included.</param>
/// <param name="Hue">Its own, or that of its kind.</param>
public sealed record FillingPartSheet(string Id, FillingState Start, IReadOnlyList<FillingRow> Rows, Grams Buy, string Hue);

/// <summary>Salt counted once.</summary>
/// <param name="Added">Put in by any step or part.</param>
/// <param name="Left">Gone with the liquor.</param>
/// <param name="Stayed">In the finished filling.</param>
/// <param name="Good">What most find right, percent of the filling.</param>
/// <param name="ToAdd">Wanting to the salt asked for; negative when there is more than that.</param>
public sealed record FillingSalt(Grams Added, Grams Left, Grams Stayed, Percent Share, Grams ToAdd, Range<Percent> Good);

/// <summary>What was drained.</summary>
/// <param name="Used">Of it, what the dough takes.</param>
/// <param name="SaltShare">Percent of its mass.</param>
public sealed record LiquorSheet(Grams Mass, Grams Used, Percent SaltShare);

/// <summary>Filling against pieces.</summary>
/// <param name="Made">All of it.</param>
/// <param name="Each">In one piece.</param>
/// <param name="Needed">For all pieces.</param>
/// <param name="Over">Left when every piece is filled; negative when it runs short.</param>
/// <param name="Pieces">Pieces it fills.</param>
/// <param name="Dough">Dough for as many, less bowl and hands.</param>
/// <param name="Times">Everything so many times makes it come out; nothing where no quantity does.</param>
/// <param name="Buy">Raw, for the pieces there are.</param>
public sealed record FillingBalance(Grams Made, Grams Each, Grams Needed, Grams Over, int Pieces, Grams Dough, double? Times, IReadOnlyList<LaidMass> Buy);

/// <param name="Together">What the parts make once they are joined, before the steps that follow.</param>
/// <param name="End">As it goes into the dough.</param>
/// <param name="Warm">Minutes it is warm, from the first step to the last roll; nothing where nothing in it spoils.</param>
/// <param name="FeelFrom">Water that runs, percent of mass, from which it holds, wants flour outside, weeps.</param>
/// <param name="HoldsFor">From when it is ready, until the salt in it has drawn so much that it weeps; nothing where it never does, or does already.</param>
public sealed record FillingSheet(
    IReadOnlyList<FillingPartSheet> Parts,
    FillingState Together,
    IReadOnlyList<FillingRow> Rows,
    FillingState End,
    Percent FreeShare,
    FillingFeel Feel,
    IReadOnlyList<Percent> FeelFrom,
    Minutes? HoldsFor,
    FillingSalt Salt,
    LiquorSheet Liquor,
    FillingBalance Balance,
    ParcelSheet Parcel,
    Minutes? Warm);

/// <summary>A filling made, before any dough is there.</summary>
public sealed record FillingMade(IReadOnlyList<FillingPartSheet> Parts, FillingState Together, IReadOnlyList<FillingRow> Rows, FillingState End, Liquor Liquor);

/// <summary>Stage 6: water and salt followed through every step (models.md E).</summary>
public static class FillingStage
{
    // Free water, percent of mass, from which nothing sticks is loose, wants flour, weeps; so much more where all of it sticks (models.md E, empirical).
    private const double HoldsFrom = -6, FlourFrom = 1.5, WeepsFrom = 4, StickyFlour = 5, StickyWeeps = 6;

    // Of its solids so much has to stick, that it holds however dry it is (empirical).
    private const double StickEnough = 0.12;

    // Salt most find right in a filling, percent of mass (empirical).
    private static readonly Range<Percent> UsualSalt = new(new(0.8), new(1.6));

    /// <summary>Water that runs, percent of mass, from which this one holds, wants flour outside, weeps.</summary>
    public static IReadOnlyList<Percent> FeelFrom(FillingState state) =>
        [new(HoldsFrom), new(FlourFrom + StickyFlour * state.Stickiness), new(WeepsFrom + StickyWeeps * state.Stickiness)];

    /// <summary>What is wrapped on this way, made; nothing where nothing is. What stands in the way is added.</summary>
    internal static FillingMade? Make(Route route, Kitchen kitchen, List<Refusal> refusals)
    {
        if (route.Filling is not { } filling)
        {
            return null;
        }

        var made = Make(filling, kitchen);
        FillingCheck.Work(filling, made, refusals);
        return made;
    }

    public static FillingMade Make(FillingSpec spec, Kitchen kitchen)
    {
        var parts = new List<FillingPartSheet>(spec.Parts.Count);
        var (together, squeezable) = (FillingState.Nothing, 0.0);
        foreach (var part in spec.Parts)
        {
            var item = kitchen[part.Id];
            var start = FillingState.Part(item, part.Mass);
            var rows = FillingWork.Through(start, part.Steps, item.Squeeze ?? default, kitchen);
            var end = rows.Count > 0 ? rows[^1].State : start;
            together = parts.Count == 0 ? end : together + end;
            // What is squeezed after joining gives what its parts would, by the water they bring.
            squeezable += (item.Squeeze?.Fraction ?? 0) * end.Water.Value;
            parts.Add(new(part.Id, start, rows, part.Mass / (1 - part.Trim.Fraction), UsualHues.Of(item)));
        }

        var after = FillingWork.Through(together, spec.Together, Percent.FromFraction(squeezable / Math.Max(together.Water.Value, 1e-9)), kitchen);
        return new(
            parts,
            together,
            after,
            after.Count > 0 ? after[^1].State : together,
            parts.SelectMany(p => p.Rows).Concat(after).Aggregate(Liquor.None, (sum, r) => sum + r.Drained));
    }

    /// <summary>How it behaves in the hand.</summary>
    public static FillingFeel FeelOf(FillingState state)
    {
        var (from, runs) = (FeelFrom(state), state.Runs);
        return (runs.Value < from[0].Value || state.IsDryPaste) && state.Stickiness < StickEnough ? FillingFeel.Loose
            : runs.Value <= from[1].Value ? FillingFeel.Holds
            : runs.Value <= from[2].Value ? FillingFeel.RollInFlour : FillingFeel.Weeps;
    }

    /// <summary>From now, until the salt in it has drawn so much that it weeps; nothing where it never does, or does already.</summary>
    internal static Minutes? HoldsFor(FillingState state) => FeelOf(state) == FillingFeel.Weeps ? null : state.Until(FeelFrom(state)[^1].Value);

    // Each piece so much lighter is lighter by less than a hand tells (empirical).
    private const double SpreadOut = 0.005;

    /// <returns>Nothing where nothing is wrapped.</returns>
    internal static FillingSheet? Judge(CheckedBatch batch, DoughSheet dough, FoldSheet fold)
    {
        if (batch is not { Route.Filling: { } spec, Stuffing: var (made, liquorUsed) })
        {
            return null;
        }

        // Of what was cut, each piece is filled by itself.
        var (ball, count) = (dough.Ball / batch.Shape.Makes, batch.Dough.Count * batch.Shape.Makes);
        var parcel = Parcel.Of(spec.Wall, batch.Spec.Roll.Diameter, ball, dough.Density, made.End, batch.Mix, spec.Wall.Shape == ParcelShape.Coil ? fold.Nominal : 1);
        var end = made.End;
        var each = ball * spec.Wall.Share.Fraction;
        var needed = each * count;
        var pieces = (int)Math.Floor(end.Mass / each * (1 + SpreadOut));
        return new(
            made.Parts,
            made.Together,
            made.Rows,
            end,
            end.FreeShare,
            FeelOf(end),
            FeelFrom(end),
            HoldsFor(end),
            new(
                end.Salt + made.Liquor.Salt,
                made.Liquor.Salt,
                end.Salt,
                end.SaltShare,
                (end.Mass * spec.SaltWanted.Fraction - end.Salt) / (1 - spec.SaltWanted.Fraction),
                UsualSalt),
            new(made.Liquor.Mass, liquorUsed, made.Liquor.Mass.Value > 0 ? Percent.FromFraction(made.Liquor.Salt / made.Liquor.Mass) : default),
            Balance.Of(spec, end.Mass, each, count, pieces, ball, batch.Kitchen),
            parcel,
            spec.In.Any(id => batch.Kitchen[id].Is(Trait.Spoils)) ? new Minutes(Warm(made).Value + batch.Shape.Rest.Value) : null);
    }

    // Of the part that was warm longest, then of all together.
    private static Minutes Warm(FillingMade made)
    {
        static double Of(IReadOnlyList<FillingRow> rows) => rows.Sum(r => r.Warm.Value);
        return new(made.Parts.Max(p => Of(p.Rows)) + Of(made.Rows));
    }
}
