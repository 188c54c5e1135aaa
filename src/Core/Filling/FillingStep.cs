using System.Text.Json.Serialization;

namespace Ystrata.Core.Filling;

/// <summary>One step of a filling. Where it was weighed, the weight overrules the estimate and everything after it follows.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(ChopStep), "chop")]
[JsonDerivedType(typeof(SaltStep), "salt")]
[JsonDerivedType(typeof(SqueezeStep), "squeeze")]
[JsonDerivedType(typeof(BlanchStep), "blanch")]
[JsonDerivedType(typeof(BoilStep), "boil")]
[JsonDerivedType(typeof(SoakStep), "soak")]
[JsonDerivedType(typeof(PressureStep), "pressure")]
[JsonDerivedType(typeof(SauteStep), "saute")]
[JsonDerivedType(typeof(SweetenStep), "sweeten")]
[JsonDerivedType(typeof(CoolStep), "cool")]
[JsonDerivedType(typeof(BindStep), "bind")]
[JsonDerivedType(typeof(SeasonStep), "season")]
[JsonDerivedType(typeof(MoistenStep), "moisten")]
public abstract record FillingStep
{
    /// <summary>What lay on the scale before the step; nothing when it was not weighed.</summary>
    public Grams? Before { get; init; }

    /// <summary>What lay on the scale after it; nothing when it was not weighed.</summary>
    public Grams? After { get; init; }

    /// <summary>Every kind of step as a cook would begin it, in the order a cook comes to them (masses and times empirical).</summary>
    public static IReadOnlyList<FillingStep> Beginnings { get; } =
    [
        ChopStep.Begun(),
        SaltStep.Begun(),
        SqueezeStep.Begun(),
        BlanchStep.Begun(),
        BoilStep.Begun(),
        SoakStep.Begun(),
        PressureStep.Begun(),
        SauteStep.Begun(),
        SweetenStep.Begun(),
        CoolStep.Begun(),
        BindStep.Begun(),
        SeasonStep.Begun(),
        MoistenStep.Begun(),
    ];

    /// <summary>What it does to the filling.</summary>
    internal abstract FillingRow Work(FillingState now, FillingAt at);

    /// <summary>A weight taken after it says how much went where it sends it: off with the liquor, off as steam, in from the pot; else it was left on the board.</summary>
    internal virtual FillingRow Weighed(FillingState before, FillingRow planned, Grams after) =>
        planned with { State = planned.State.Times(after / planned.State.Mass), Scrap = planned.State.Mass - after };

    /// <summary>A cloth takes more from then on.</summary>
    internal virtual bool OpensCells => false;

    /// <summary>It leaves no more than there was.</summary>
    internal virtual bool TakesAway => false;

    internal virtual bool Heats => false;

    /// <summary>How long salt draws while it is left alone; a pan that drives off what comes counts that itself.</summary>
    internal virtual Minutes Stands(FillingRow row) => row.Time;

    /// <summary>Water an open pan drives off in the time it is given, by the general estimate, g; nothing for what is no open pan or goes by weight.</summary>
    internal virtual double? CooksOff => null;

    internal virtual bool Chills => false;

    /// <summary>What wants hands all along, and what only wants time.</summary>
    /// <param name="mass">That it is done to.</param>
    internal virtual (HandUnit Unit, Seconds Waits) Hands(FillingRow row, Grams mass, HandTimes hands) => (HandUnit.Lasting(hands[HandWork.Season]), new(row.Time.Value * 60));

    /// <summary>What it puts in; nothing where it puts in nothing.</summary>
    internal virtual FillingInput? Input(FillingRow row, string at) => null;

    /// <summary>The same for so many times the filling; weights that were taken are let go.</summary>
    internal virtual FillingStep Times(double k) => this with { Before = null, After = null };

    /// <summary>What to watch of it, whatever it makes; nothing where nothing is.</summary>
    internal virtual Note? Caution(Kitchen kitchen) => null;

    /// <summary>Every number of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, double Value)> Figures => [];

    /// <summary>Every larder id of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, string Id)> Ids => [];

    // Hands stay with a pan that is stirred.
    private protected static (HandUnit Unit, Seconds Waits) Stirred(FillingRow row, HandTimes hands) =>
        (HandUnit.Lasting(new(Math.Max(row.Time.Value * 60, hands[HandWork.Season].Value))), default);
}

/// <summary>What a step is worked with.</summary>
/// <param name="Cloth">Share of the remaining water that a cloth takes, 0 to 1.</param>
internal sealed record FillingAt(double Cloth, Kitchen Kitchen);
