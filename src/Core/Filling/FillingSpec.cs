namespace Ystrata.Core.Filling;

/// <summary>What goes into a stuffed bread: parts that are made ready each for itself, then worked together.</summary>
/// <param name="Together">Steps after the parts are joined.</param>
/// <param name="SaltWanted">Salt in the finished filling, percent of its mass.</param>
/// <param name="LiquorToDough">Whether what was drained goes into the dough as a liquid, with its salt.</param>
public sealed record FillingSpec(IReadOnlyList<FillingPart> Parts, IReadOnlyList<FillingStep> Together, Percent SaltWanted, bool LiquorToDough, WallSpec Wall)
{
    /// <summary>Every step of every part, then those after joining.</summary>
    internal IEnumerable<FillingStep> Steps => Parts.SelectMany(p => p.Steps).Concat(Together);

    /// <summary>Everything that goes in, by its larder id.</summary>
    internal IEnumerable<string> In => Parts.Select(p => p.Id).Concat(Steps.SelectMany(s => s.Ids).Select(i => i.Id));

    /// <summary>Of that, what no step heats once it is in.</summary>
    internal IEnumerable<string> RawIn
    {
        get
        {
            static IEnumerable<string> After(IReadOnlyList<FillingStep> steps) => steps.Where((s, i) => !steps.Skip(i).Any(later => later.Heats)).SelectMany(s => s.Ids).Select(i => i.Id);
            var heated = Together.Any(s => s.Heats);
            return (heated ? [] : Parts.SelectMany(p => (p.Steps.Any(s => s.Heats) ? [] : new[] { p.Id }).Concat(After(p.Steps)))).Concat(After(Together));
        }
    }

    /// <summary>Of another part, to begin with (empirical).</summary>
    public static Grams NewPart => new(200);

    /// <summary>What a bread begins with once it is to be stuffed: wet radish, salted and squeezed.</summary>
    public static FillingSpec Usual { get; } = new(
        [
            new(Staples.WetVegetable, new(1200), new(12),
            [
                new ChopStep(ChopBy.Grate, new(3)),
                new SaltStep(Staples.Salt, new(1.5), new(15)),
                new SqueezeStep(SqueezeBy.Cloth),
            ]),
        ],
        [],
        new(1.2),
        LiquorToDough: false,
        new(ParcelShape.Gathered, new(80)));
}

/// <param name="Mass">As it goes in, peeled and trimmed, for the whole batch.</param>
/// <param name="Trim">Share of what was bought that peel and trimmings take.</param>
public sealed record FillingPart(string Id, Grams Mass, Percent Trim, IReadOnlyList<FillingStep> Steps);

/// <summary>How dough and filling become one piece.</summary>
public enum ParcelShape
{
    /// <summary>A disc gathered over the filling, pinched and rolled out.</summary>
    Gathered,

    /// <summary>A sheet of the finished diameter folded over the filling.</summary>
    HalfMoon,

    /// <summary>A sheet whose four sides meet over the filling.</summary>
    Envelope,

    /// <summary>Two discs, sealed at the rim.</summary>
    TwoDiscs,

    /// <summary>A disc pressed from the folded piece, gathered over the filling: the wall has leaves.</summary>
    Laminated,

    /// <summary>Filling spread on the sheet, which the fold program then rolls up and winds.</summary>
    Coil,
}

/// <param name="Share">Filling, percent of the dough round it.</param>
/// <param name="Drops">Fat inside the disc before the filling is laid on; nothing without.</param>
public sealed record WallSpec(ParcelShape Shape, Percent Share, FatDrops? Drops = null);

/// <summary>A few drops of fat inside the disc, so that wall and filling part.</summary>
/// <param name="Mass">In each piece.</param>
public sealed record FatDrops(string Fat, Grams Mass);
