using System.Text.Json.Serialization;

namespace Ystrata.Core.Lamination;

/// <summary>One step of a fold program, in the order of the work. Everything there is to say of a kind of step stands in its own file; here, what any of them may say.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(RollStep), "roll")]
[JsonDerivedType(typeof(RollLongStep), "rollLong")]
[JsonDerivedType(typeof(PressStep), "press")]
[JsonDerivedType(typeof(StretchStep), "stretch")]
[JsonDerivedType(typeof(BrushStep), "brush")]
[JsonDerivedType(typeof(PasteStep), "paste")]
[JsonDerivedType(typeof(DustStep), "dust")]
[JsonDerivedType(typeof(ScatterStep), "scatter")]
[JsonDerivedType(typeof(HalfStep), "half")]
[JsonDerivedType(typeof(LetterStep), "letter")]
[JsonDerivedType(typeof(GateStep), "gate")]
[JsonDerivedType(typeof(EnvelopeStep), "envelope")]
[JsonDerivedType(typeof(AccordionStep), "accordion")]
[JsonDerivedType(typeof(EncloseStep), "enclose")]
[JsonDerivedType(typeof(StripsStep), "strips")]
[JsonDerivedType(typeof(SlitStep), "slit")]
[JsonDerivedType(typeof(MatRollStep), "matRoll")]
[JsonDerivedType(typeof(CutLogStep), "cutLog")]
[JsonDerivedType(typeof(CoilStep), "coil")]
[JsonDerivedType(typeof(ConeStep), "cone")]
[JsonDerivedType(typeof(PinchStep), "pinch")]
[JsonDerivedType(typeof(SeedsStep), "seeds")]
[JsonDerivedType(typeof(RestStep), "rest")]
public abstract record FoldStep
{
    /// <summary>Every kind of step as a cook would begin it, with the fat and flour already in hand (masses and counts empirical).</summary>
    internal static IReadOnlyList<FoldStep> Beginnings(BatchSpec spec) =>
    [
        BrushStep.Begun(spec),
        PasteStep.Begun(spec),
        DustStep.Begun(spec),
        ScatterStep.Begun(),
        SeedsStep.Begun(),
        HalfStep.Begun(),
        LetterStep.Begun(),
        GateStep.Begun(),
        EnvelopeStep.Begun(),
        AccordionStep.Begun(),
        EncloseStep.Begun(spec),
        MatRollStep.Begun(),
        CoilStep.Begun(),
        ConeStep.Begun(),
        StripsStep.Begun(),
        SlitStep.Begun(),
        CutLogStep.Begun(),
        RollStep.Begun(spec),
        RollLongStep.Begun(spec),
        PressStep.Begun(spec),
        StretchStep.Begun(),
        RestStep.Begun(),
        PinchStep.Begun(),
    ];

    /// <summary>What it does to the piece.</summary>
    /// <param name="index">Its place in the program, from 0.</param>
    internal abstract Form Apply(Form piece, int index, Kitchen kitchen);

    /// <summary>How many times the leaves it makes of the fullest place.</summary>
    internal virtual int Copies(Form piece) => 1;

    /// <summary>The creases it folds, in order, on the piece before it.</summary>
    internal virtual IReadOnlyList<Crease> Creases(Form piece) => [];

    /// <summary>Pieces it makes of one.</summary>
    internal virtual int Makes => 1;

    /// <summary>It is a fold, and leaves can be one too many by it.</summary>
    internal virtual bool Folds => false;

    /// <summary>Only a dough that stretches takes it: without gluten it cracks.</summary>
    internal virtual bool NeedsGluten => false;

    /// <summary>It closes the rim.</summary>
    internal virtual bool Seals => false;

    /// <summary>So long the piece rests, and hands do nothing; nothing for what hands do.</summary>
    internal virtual Minutes? Rests => null;

    /// <summary>What it is to the hands; nothing for a rest.</summary>
    internal virtual HandUse? Hands => null;

    /// <summary>What it adds to how hard a program is (empirical); a kind counts once, however often it comes.</summary>
    internal virtual double Difficulty => 0.1;

    /// <summary>Why hands cannot do it on this piece; nothing when they can.</summary>
    internal virtual Refusal? Unworkable(Form piece, string at) => null;

    /// <summary>Every number of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, double Value)> Figures => [];

    /// <summary>Every larder id of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, string Id)> Ids => [];

    /// <summary>What it lays in, on one piece.</summary>
    internal virtual IEnumerable<FoldInput> Inputs(string at) => [];

    /// <summary>The same with another fat and another flour, where it lays any.</summary>
    internal virtual FoldStep With(string fat, string flour) => this;

    /// <summary>The same with another mass of fat; the same where it lays none.</summary>
    internal virtual FoldStep WithFat(Func<Grams, Grams> change) => this;

    /// <summary>The lines it cuts, on the piece before it.</summary>
    internal virtual IReadOnlyList<PlanMark> Marks(Form piece) => [];

    /// <summary>The flat piece as it is drawn after it.</summary>
    internal virtual PlanView.Papers Draw(Form before, Form after, PlanView.Papers papers) => papers.Folded(Creases(before));

    /// <summary>What to watch of it, once the piece has been rolled out; nothing where nothing is.</summary>
    internal virtual Note? Watch(StepAt at) => null;

    private protected static Refusal? NeedsFlat(Form piece, string at) => piece.Flat ? null : new(at, RefusalCode.NeedsFlat);

    private protected Refusal? TooManyPieces(Form piece, string field) => Makes > 1 && piece.Count * Makes > StepCheck.MostOfOne
        ? new(field, RefusalCode.TooManyPiecesOfOne, piece.Count * Makes, null, StepCheck.MostOfOne)
        : null;
}

/// <summary>A step in the program it was worked in.</summary>
/// <param name="Leaf">The thinnest leaf once it is rolled out.</param>
internal sealed record StepAt(FoldSpec Program, int Index, StepSheet Sheet, Millimetres Leaf, Kitchen Kitchen)
{
    /// <summary>The program without it.</summary>
    public FoldSpec Without => new([.. Program.Steps.Where((_, i) => i != Index)]);

    /// <summary>The program with another step in its place.</summary>
    public FoldSpec With(FoldStep step) => new([.. Program.Steps.Select((s, i) => i == Index ? step : s)]);
}

/// <summary>Which face something is laid on.</summary>
public enum LaidOn
{
    /// <summary>The face that is up.</summary>
    Top,

    /// <summary>The face that lies on an oiled or strewn board.</summary>
    Board,
}
