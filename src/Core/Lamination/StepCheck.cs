using static Ystrata.Core.Planning.SpecPlaces;

namespace Ystrata.Core.Lamination;

/// <summary>Decides whether a fold program can be worked at all.</summary>
public static class StepCheck
{
    public const int MostSteps = 24;

    /// <summary>Ystrata follows a piece up to this many leaves.</summary>
    public const int MostLeaves = 1024;

    /// <summary>Pieces one ball can become.</summary>
    public const int MostOfOne = 100;

    /// <summary>Every figure of every step by itself.</summary>
    public static void Figures(IReadOnlyList<FoldStep> steps, Kitchen kitchen, List<Refusal> refusals)
    {
        if (steps.Count > MostSteps)
        {
            refusals.Add(new("fold.steps", RefusalCode.TooMany, steps.Count, 0, MostSteps));
            return;
        }

        for (var i = 0; i < steps.Count; i++)
        {
            var at = $"fold.steps[{i}]";
            if (Stands(steps[i], at, refusals))
            {
                foreach (var (name, value) in steps[i].Figures)
                {
                    InRange($"{at}.{name}", value, refusals);
                }

                foreach (var (name, id) in steps[i].Ids)
                {
                    OfKind($"{at}.{name}", id, kitchen, refusals);
                }
            }
        }
    }

    /// <returns>Why hands cannot do this step on this piece; nothing when they can.</returns>
    public static Refusal? Workable(FoldStep step, Form piece, string at)
    {
        // None can ask for millions of leaves.
        var leaves = (double)piece.Piles.Max(p => p.Pile.Count) * step.Copies(piece);
        return leaves > MostLeaves ? new(at, RefusalCode.TooManyLeaves, leaves, null, MostLeaves) : step.Unworkable(piece, at);
    }
}
