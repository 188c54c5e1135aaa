namespace Ystrata.Core.Bread;

/// <summary>The way a batch goes from the bowl to the pan. It is chosen once; what a stage has to know of it, it asks the route and not the spec.</summary>
public abstract class Route
{
    private protected Route(BatchSpec spec) => Spec = spec;

    /// <summary>In the order of the work.</summary>
    public abstract IReadOnlyList<Stage> Stages { get; }

    /// <summary>Poured and not rolled.</summary>
    public virtual bool Poured => false;

    /// <summary>Whether sheet and fold program are worked.</summary>
    public bool Folds => Stages.Contains(Stage.Fold);

    protected BatchSpec Spec { get; }

    /// <summary>What is wrapped; nothing on a way that wraps nothing.</summary>
    internal virtual FillingSpec? Filling => null;

    public static Route Of(BatchSpec spec) => spec.Dough.Feel == Feel.Batter ? new BatterRoute(spec)
        : spec.Filling is { } filling ? new ParcelRoute(spec, filling)
        : new DoughRoute(spec);

    /// <summary>The ball, or ladleful, that is wanted out of this bowl.</summary>
    internal abstract Grams BallOf(Bowl bowl, double[] grams, FillingMade? filling);

    internal virtual Density DensityOf(Bowl bowl, double[] grams) => bowl.DoughDensity;

    /// <summary>Of the raw round that this ball makes, with its filling.</summary>
    internal virtual Millimetres ThicknessOf(Grams ball, Density dough, FillingMade? filling) =>
        Round.ThicknessOf(ball, SquareCentimetres.OfRound(Spec.Roll.Diameter), dough);

    /// <summary>What hands do to a ball of this mass, from the first sheet to the last roll.</summary>
    internal abstract Shaping Shape(Grams ball, Density density);
}

/// <summary>Balled, rolled, folded, rolled again.</summary>
internal sealed class DoughRoute(BatchSpec spec) : Route(spec)
{
    private static readonly Stage[] All = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Sheet, Stage.Fold, Stage.Filling, Stage.Roll, Stage.Pan];

    public override IReadOnlyList<Stage> Stages => All;

    internal override Grams BallOf(Bowl bowl, double[] grams, FillingMade? filling) => Spec.Balls.By == BallBy.Mass
        ? Spec.Balls.Mass
        : Round.MassOf(Spec.Roll.Diameter, Spec.Balls.Thickness, bowl.DoughDensity);

    internal override Shaping Shape(Grams ball, Density density) => Shaping.Of(Spec.Sheet, Spec.Fold, Spec.Roll, Spec.Roll.Diameter);
}

/// <summary>Balled and wrapped round a filling; the wall is folded first where its shape has leaves.</summary>
internal sealed class ParcelRoute(BatchSpec spec, FillingSpec filling) : Route(spec)
{
    private static readonly Stage[] Plain = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Filling, Stage.Roll, Stage.Pan];
    private static readonly Stage[] Leaved = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Sheet, Stage.Fold, Stage.Filling, Stage.Roll, Stage.Pan];

    public override IReadOnlyList<Stage> Stages => Parcel.IsFolded(filling.Wall.Shape) ? Leaved : Plain;

    internal override FillingSpec Filling => filling;

    // What is cut is filled piece by piece, and each is as wide as the last roll.
    private int Makes => Folds ? Shaping.MadeBy(Spec.Fold.Steps) : 1;

    internal override Grams BallOf(Bowl bowl, double[] grams, FillingMade? made) => Spec.Balls.By == BallBy.Mass
        ? Spec.Balls.Mass
        : Parcel.DoughFor(filling.Wall, Spec.Roll.Diameter, Spec.Balls.Thickness, bowl.DoughDensity, made!.End.Density) * Makes;

    internal override Millimetres ThicknessOf(Grams ball, Density dough, FillingMade? made) =>
        Parcel.ThicknessOf(filling.Wall, Spec.Roll.Diameter, ball / Makes, dough, made!.End.Density);

    // All the dough of a piece, rolled as wide as makes it as thick as the wall. A wall without leaves is one bare disc.
    internal override Shaping Shape(Grams ball, Density density)
    {
        var round = Parcel.DoughRound(filling.Wall.Shape, Spec.Roll.Diameter);
        return Folds ? Shaping.Of(Spec.Sheet, Spec.Fold, Spec.Roll, round, filling.Wall.Drops) : Shaping.Bare(round, Spec.Roll, filling.Wall.Drops);
    }
}

/// <summary>Ladled onto the pan.</summary>
internal sealed class BatterRoute(BatchSpec spec) : Route(spec)
{
    private static readonly Stage[] All = [Stage.Dough, Stage.Rest, Stage.Balls, Stage.Pan];

    public override IReadOnlyList<Stage> Stages => All;

    public override bool Poured => true;

    internal override Grams BallOf(Bowl bowl, double[] grams, FillingMade? filling) => Vessels.Weigh(Spec.Ladle.Volume, bowl.DensityOf(grams));

    internal override Density DensityOf(Bowl bowl, double[] grams) => bowl.DensityOf(grams);

    // The round a ladleful makes, D = √(4V / (π·T)).
    internal override Shaping Shape(Grams ball, Density density) =>
        Shaping.Poured(Round.DiameterOf(ball, Spec.Ladle.Thickness, density), Spec.Roll.Rest);
}
