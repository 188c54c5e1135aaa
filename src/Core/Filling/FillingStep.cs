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

    /// <summary>Every number of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, double Value)> Figures => [];

    /// <summary>Every larder id of it by the name of its field.</summary>
    internal virtual IEnumerable<(string Name, string Id)> Ids => [];
}

public enum ChopBy
{
    Chop,
    Grate,
    Mash,
}

/// <param name="Grain">How big the biggest bits are.</param>
public sealed record ChopStep(ChopBy By, Millimetres Grain) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("grain", Grain.Value)];
}

/// <summary>Salted and left to let its water go; the water lies loose until it is drained or squeezed out.</summary>
/// <param name="Share">Percent of what is salted.</param>
public sealed record SaltStep(string Salt, Percent Share, Minutes Time) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("share", Share.Value), ("time", Time.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("salt", Salt)];
}

public enum SqueezeBy
{
    /// <summary>Only what lies loose runs off.</summary>
    Drain,
    Hand,
    Cloth,
}

public sealed record SqueezeStep(SqueezeBy By) : FillingStep;

public sealed record BlanchStep(Minutes Time) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}

public sealed record BoilStep(Minutes Time) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}

public sealed record SoakStep(Minutes Time) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}

public sealed record PressureStep(Minutes Time) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}

/// <summary>Stirred in an open pan, which drives water off.</summary>
/// <param name="Pan">Across.</param>
/// <param name="To">Until it weighs so much, however long that takes; nothing for a fixed time.</param>
public sealed record SauteStep(Minutes Time, Millimetres Pan, string Fat, Grams FatMass, Grams? To = null) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value), ("pan", Pan.Value), ("fatMass", FatMass.Value), ("to", To?.Value ?? 1)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("fat", Fat)];
}

/// <summary>Sugar melted into it and stirred until it leaves the side of the pan.</summary>
public sealed record SweetenStep(string Sugar, Grams Mass, Minutes Time, Millimetres Pan) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value), ("time", Time.Value), ("pan", Pan.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("sugar", Sugar)];
}

/// <summary>Spread on a tray.</summary>
public sealed record CoolStep(Minutes Time, RestPlace Place) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("time", Time.Value)];
}

/// <summary>Something dry that drinks what is free.</summary>
public sealed record BindStep(string Binder, Grams Mass) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("binder", Binder)];
}

public sealed record SeasonStep(string Item, Grams Mass) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];
}

/// <summary>Something wet or fat for a filling that crumbles.</summary>
public sealed record MoistenStep(string Item, Grams Mass) : FillingStep
{
    internal override IEnumerable<(string Name, double Value)> Figures => [("mass", Mass.Value)];

    internal override IEnumerable<(string Name, string Id)> Ids => [("item", Item)];
}
