namespace Ystrata.Core.Planning;

/// <summary>A batch that can be worked in this kitchen: only <see cref="Planner.Check"/> makes one. What checking had to work out goes on to the plan.</summary>
public sealed class CheckedBatch
{
    internal CheckedBatch(BatchSpec spec, Kitchen kitchen, Route route, FlourMix mix, Stuffing? stuffing, DoughSolution dough, Shaping shape, Form sheet, IReadOnlyList<Form> folded) =>
        (Spec, Kitchen, Route, Mix, Stuffing, Dough, Shape, Sheet, Folded) = (spec, kitchen, route, mix, stuffing, dough, shape, sheet, folded);

    public BatchSpec Spec { get; }

    public Kitchen Kitchen { get; }

    /// <summary>Balls, or ladlefuls, it makes.</summary>
    public int Balls => Dough.Count;

    internal Route Route { get; }

    internal FlourMix Mix { get; }

    /// <summary>Nothing for a bread that is not stuffed.</summary>
    internal Stuffing? Stuffing { get; }

    internal DoughSolution Dough { get; }

    /// <summary>Egg or meat is in it, cooked or not.</summary>
    internal bool HoldsRaw => Dough.InIt.Concat((Route.Filling?.In ?? []).Select(id => Kitchen[id])).Any(i => i.Is(Trait.RawRisk));

    internal Shaping Shape { get; }

    /// <summary>The ball rolled out, with what is laid on it.</summary>
    internal Form Sheet { get; }

    /// <summary>After every step of the fold program.</summary>
    internal IReadOnlyList<Form> Folded { get; }
}
