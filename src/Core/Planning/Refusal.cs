using System.Reflection;
using System.Runtime.CompilerServices;

namespace Ystrata.Core.Planning;

/// <summary>What is wrong with a figure, by its name. The core's own stand here; whoever reads files or lists has more of its own.</summary>
public readonly record struct RefusalCode
{
    private RefusalCode(string name) => Name = name;

    public string Name { get; }

    public static RefusalCode OutOfRange { get; } = Named();

    public static RefusalCode NotANumber { get; } = Named();

    public static RefusalCode Missing { get; } = Named();

    public static RefusalCode UnknownIngredient { get; } = Named();

    public static RefusalCode WrongKind { get; } = Named();

    public static RefusalCode TooMany { get; } = Named();

    public static RefusalCode TooManyLeaves { get; } = Named();

    public static RefusalCode NeedsRope { get; } = Named();

    public static RefusalCode NeedsFlat { get; } = Named();

    public static RefusalCode NeedsStrip { get; } = Named();

    public static RefusalCode StripsTooNarrow { get; } = Named();

    public static RefusalCode RimTooWide { get; } = Named();

    public static RefusalCode TooManyPiecesOfOne { get; } = Named();

    public static RefusalCode TooMuchWaterCarried { get; } = Named();

    public static RefusalCode TooMuchLiquid { get; } = Named();

    public static RefusalCode TooMuchSaltCarried { get; } = Named();

    public static RefusalCode LiquidDoesNotFit { get; } = Named();

    public static RefusalCode FixedOutweighs { get; } = Named();

    public static RefusalCode TooManyPieces { get; } = Named();

    public static RefusalCode TooManyPins { get; } = Named();

    public static RefusalCode TwoRests { get; } = Named();

    public static RefusalCode NothingSetsWater { get; } = Named();

    public static RefusalCode NamedTwice { get; } = Named();

    public static RefusalCode NoSolids { get; } = Named();

    public static RefusalCode WetBinder { get; } = Named();

    public static RefusalCode Heavier { get; } = Named();

    public static RefusalCode NoWaterLeft { get; } = Named();

    public static RefusalCode NothingLeft { get; } = Named();

    public static RefusalCode NoWall { get; } = Named();

    public static RefusalCode FillingTooBig { get; } = Named();

    public static RefusalCode Together { get; } = Named();

    public static RefusalCode FrozenBatter { get; } = Named();

    public static RefusalCode NameTaken { get; } = Named();

    public static RefusalCode TooLong { get; } = Named();

    public static RefusalCode Unreadable { get; } = Named();

    /// <summary>A code of this name.</summary>
    public static RefusalCode Named([CallerMemberName] string name = "") => new(name);

    /// <summary>All that a class has as its static properties.</summary>
    public static IEnumerable<RefusalCode> Of(Type type) =>
        type.GetProperties(BindingFlags.Public | BindingFlags.Static).Where(p => p.PropertyType == typeof(RefusalCode)).Select(p => (RefusalCode)p.GetValue(null)!);

    public override string ToString() => Name;
}

/// <summary>Why a figure is not taken: the field, what was given and what is allowed. The words are the interface's.</summary>
/// <param name="Field">Path in the spec, such as <c>fold.steps[2].mass</c>.</param>
/// <param name="Given">The offending number, where there is one.</param>
/// <param name="Item">The offending id, where there is one.</param>
public sealed record Refusal(string Field, RefusalCode Code, double? Given = null, double? Least = null, double? Most = null, string Unit = "", string? Item = null);

/// <summary>What a number may be.</summary>
/// <param name="Field">Path in the spec, list places left empty: <c>fold.steps[].mass</c>.</param>
public sealed record Limit(string Field, double Least, double Most, string Unit);
