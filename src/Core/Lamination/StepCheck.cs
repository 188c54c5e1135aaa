using static Ystrata.Core.Planning.SpecPlaces;

namespace Ystrata.Core.Lamination;

/// <summary>Decides whether a fold program can be worked at all.</summary>
public static class StepCheck
{
    public const int MostSteps = 24;

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
                FiguresOf(steps[i], at, kitchen, refusals);
            }
        }
    }

    private static void FiguresOf(FoldStep step, string at, Kitchen kitchen, List<Refusal> refusals)
    {
        void Range(string name, double value) => InRange($"{at}.{name}", value, refusals);
        void Kind(string name, string id) => OfKind($"{at}.{name}", id, kitchen, refusals);
        switch (step)
        {
            case RollStep s:
                Range("diameter", s.Diameter.Value);
                break;
            case PressStep s:
                Range("diameter", s.Diameter.Value);
                break;
            case RollLongStep s:
                Range("length", s.Length.Value);
                Range("width", s.Width.Value);
                break;
            case StretchStep s:
                Range("times", s.Times);
                break;
            case BrushStep s:
                Range("mass", s.Mass.Value);
                Range("rim", s.Rim?.Value ?? 0);
                Kind("fat", s.Fat);
                break;
            case PasteStep s:
                Range("mass", s.Mass.Value);
                Range("flourMass", s.FlourMass.Value);
                Kind("fat", s.Fat);
                Kind("flour", s.Flour);
                break;
            case EncloseStep s:
                Range("mass", s.Mass.Value);
                Range("flourMass", s.FlourMass.Value);
                Kind("fat", s.Fat);
                Kind("flour", s.Flour);
                break;
            case DustStep s:
                Range("mass", s.Mass.Value);
                Kind("flour", s.Flour);
                break;
            case ScatterStep s:
                Range("mass", s.Mass.Value);
                Range("grain", s.Grain.Value);
                Kind("item", s.Item);
                break;
            case SeedsStep s:
                Range("mass", s.Mass.Value);
                Kind("item", s.Item);
                break;
            case AccordionStep s:
                Range("pleats", s.Pleats);
                break;
            case StripsStep s:
                Range("count", s.Count);
                break;
            case SlitStep s:
                Range("ribbons", s.Ribbons);
                break;
            case CutLogStep s:
                Range("slices", s.Slices);
                break;
            case ConeStep s:
                Range("turns", s.Turns);
                break;
            case RestStep s:
                Range("time", s.Time.Value);
                break;
        }
    }

    /// <returns>Why hands cannot do this step on this piece; nothing when they can.</returns>
    public static Refusal? Workable(FoldStep step, Form piece, string at)
    {
        var leaves = (double)piece.Piles.Max(p => p.Pile.Count) * Folding.CopiesOf(step, piece);
        if (leaves > Folding.MostLeaves)
        {
            return new(at, RefusalCode.TooManyLeaves, leaves, null, Folding.MostLeaves);
        }

        var rope = piece.Outline == Outline.Rope;
        switch (step)
        {
            case CutLogStep when !rope:
                return new(at, RefusalCode.NeedsRope);
            case CoilStep when !rope && !piece.Flat:
            case StretchStep when !rope && !piece.Flat:
                return new(at, RefusalCode.NeedsFlat);
            case CoilStep when !rope && Winding.StripWidth(piece).Value > Winding.WidestOnEdge.Value:
                return new(at, RefusalCode.NeedsStrip, Math.Round(Winding.StripWidth(piece).Value), null, Winding.WidestOnEdge.Value, Millimetres.Unit);
            case HalfStep or LetterStep or GateStep or EnvelopeStep or AccordionStep or EncloseStep or StripsStep or SlitStep or MatRollStep or ConeStep when !piece.Flat:
                return new(at, RefusalCode.NeedsFlat);
            case StripsStep s when Winding.StripWidth(piece).Value / s.Count < Winding.NarrowestStrip.Value:
                return TooNarrow(at + ".count", s.Count, piece);
            case SlitStep s when Winding.StripWidth(piece).Value / s.Ribbons < Winding.NarrowestStrip.Value:
                return TooNarrow(at + ".ribbons", s.Ribbons, piece);
            case BrushStep { Rim: { } rim } when rim.Value * 2 >= Math.Min(piece.Layout.Length, piece.Layout.Width):
                return new(at + ".rim", RefusalCode.RimTooWide, rim.Value, 0, Math.Floor(Math.Min(piece.Layout.Length, piece.Layout.Width) / 2), Millimetres.Unit);
            case StripsStep { Gathered: false } s when piece.Count * s.Count > MostOfOne:
                return new(at + ".count", RefusalCode.TooManyPiecesOfOne, piece.Count * s.Count, null, MostOfOne);
            case CutLogStep s when piece.Count * s.Slices > MostOfOne:
                return new(at + ".slices", RefusalCode.TooManyPiecesOfOne, piece.Count * s.Slices, null, MostOfOne);
            default:
                return null;
        }
    }

    private static Refusal TooNarrow(string field, int count, Form piece) => new(
        field, RefusalCode.StripsTooNarrow, count, 2, Math.Floor(Winding.StripWidth(piece).Value / Winding.NarrowestStrip.Value));
}
