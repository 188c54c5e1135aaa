using System.Globalization;
using Ystrata.Web.Files;

namespace Ystrata.Web;

/// <summary>A refusal in a sentence, for whoever calls the endpoints by hand; the interface words the codes itself.</summary>
public static class RefusalWords
{
    public static string Say(Refusal r)
    {
        var given = r.Given is { } g ? $"{Number(g)} {r.Unit}".TrimEnd() : "that";
        return r.Code.Name switch
        {
            nameof(RefusalCode.OutOfRange) => $"{r.Field}: {given} is not taken, {Range(r)}.",
            nameof(RefusalCode.NotANumber) => $"{r.Field}: give {(r.Unit.Length == 0 && !r.Field.EndsWith("parts", StringComparison.Ordinal) ? "a whole number" : "a number")}, {Range(r)}.",
            nameof(RefusalCode.Missing) => $"{r.Field} is missing.",
            nameof(RefusalCode.UnknownIngredient) => $"{r.Field}: the kitchen has no '{Short(r.Item)}'.",
            nameof(RefusalCode.WrongKind) => $"{r.Field}: {r.Item} cannot go there.",
            nameof(RefusalCode.TooMany) => $"{r.Field}: {given} are not taken, {Range(r)}.",
            nameof(RefusalCode.TooManyLeaves) => $"{r.Field} would make {given} leaves; Ystrata follows up to {Number(r.Most ?? 0)}.",
            nameof(RefusalCode.NeedsRope) => $"{r.Field}: slices are cut from a rope, so put a mat roll before them.",
            nameof(RefusalCode.NeedsFlat) => $"{r.Field}: coils, cones and slices cannot be folded or cut.",
            nameof(RefusalCode.NeedsStrip) => $"{r.Field}: a strip {given} wide does not stand on its edge; up to {Number(r.Most ?? 0)} {r.Unit} does. Pleat it or roll it up first.",
            nameof(RefusalCode.StripsTooNarrow) => $"{r.Field}: {given} would be narrower than a knife cuts; up to {Number(r.Most ?? 0)}.",
            nameof(RefusalCode.RimTooWide) => $"{r.Field}: a rim of {given} leaves nothing inside; less than {Number(r.Most ?? 0)} {r.Unit}.",
            nameof(RefusalCode.TooManyPiecesOfOne) => $"{r.Field} would make {given} pieces of one ball; Ystrata follows up to {Number(r.Most ?? 0)}.",
            nameof(RefusalCode.TooMuchWaterCarried) => $"{r.Field}: butter and additions already bring more water than {given}; {Number(r.Least ?? 0)} {r.Unit} is the least.",
            nameof(RefusalCode.TooMuchLiquid) => $"{r.Field}: {r.Item} is too thick to bring that much water.",
            nameof(RefusalCode.TooMuchSaltCarried) => $"{r.Field}: the other ingredients already bring {Number(r.Least ?? 0)} {r.Unit}.",
            nameof(RefusalCode.LiquidDoesNotFit) => $"{r.Field}: {given} of {r.Item} is more than the dough takes; {Number(r.Most ?? 0)} {r.Unit} fits.",
            nameof(RefusalCode.FixedOutweighs) => $"{r.Field}: what is fixed in grams already outweighs this dough.",
            nameof(RefusalCode.TooManyPieces) => $"{r.Field} would make {given} pieces; Ystrata follows up to {Number(r.Most ?? 0)}.",
            nameof(RefusalCode.TooManyPins) => $"{r.Field}: {r.Item}, every liquid and hydration are all fixed; keep two and let one go.",
            nameof(RefusalCode.TwoRests) => $"{r.Field}: only one liquid makes up the rest.",
            nameof(RefusalCode.NothingSetsWater) => $"{r.Field}: a liquid makes up the rest, so give a hydration or a feel.",
            nameof(RefusalCode.NamedTwice) => $"{r.Field}: {Short(r.Item)} stands there twice.",
            nameof(RefusalCode.NoSolids) => $"{r.Field}: {r.Item} has no solids to thicken.",
            nameof(RefusalCode.WetBinder) => $"{r.Field}: {r.Item} is {given} water itself; a binder has no more than {Number(r.Most ?? 0)} {r.Unit}.",
            nameof(RefusalCode.Heavier) => $"{r.Field}: {given} is more than the {Number(r.Most ?? 0)} {r.Unit} there were before.",
            nameof(RefusalCode.NoWaterLeft) => $"{r.Field}: at {given} more would be gone than there was water; {Number(r.Least ?? 0)} {r.Unit} is the least.",
            nameof(RefusalCode.NothingLeft) => $"{r.Field}: nothing is left of this filling.",
            nameof(RefusalCode.NoWall) => $"{r.Field}: this dough round would leave a wall of {given}; {Number(r.Least ?? 0)} {r.Unit} is the least.",
            nameof(RefusalCode.FillingTooBig) => $"{r.Field}: {given} of filling cannot be held; {Number(r.Most ?? 0)} {r.Unit} is the most.",
            nameof(RefusalCode.Together) => $"{r.Field}: water, fat, sugar and salt make {given} together; no more than 100 %.",
            nameof(RefusalCode.NameTaken) => $"{r.Field}: there is already a '{Short(r.Item)}'.",
            nameof(FileRefusals.NotUtf8) => "This file is not UTF-8 text. Save it as CSV UTF-8.",
            nameof(FileRefusals.WrongColumns) => $"These columns are missing: {r.Item}.",
            nameof(FileRefusals.NotInList) => $"{r.Field}: '{Short(r.Item)}' is none of those that can stand there.",
            nameof(FileRefusals.NotAPhoto) => "This is no photo that can be kept: PNG, JPEG or WebP of up to 10 MB and, as PNG, 12.6 million dots.",
            nameof(FileRefusals.ForeignFile) => "This is a file of something else, not of a kitchen.",
            nameof(FileRefusals.NewerFile) => "This file was made by a newer version. Bring this kitchen up to date first.",
            nameof(FileRefusals.BrokenFile) => $"This file is broken or cut short{(r.Given is { } at ? $" in line {Number(at)}" : "")}. Nothing was changed.",
            nameof(FileRefusals.NoRecipe) => "There is no recipe in this file: a schema.org Recipe in JSON-LD, alone or in a web page.",
            nameof(RefusalCode.TooLong) => $"{r.Field}: up to {Number(r.Most ?? 0)} letters.",
            _ => r.Field.Length == 0 ? $"This cannot be read as JSON{(r.Given is { } line ? $", from line {Number(line)} on" : "")}." : $"{r.Field}{(r.Item is null ? "" : $": '{Short(r.Item)}'")} cannot be read.",
        };
    }

    private static string Range(Refusal r) => $"{Number(r.Least ?? 0)} to {Number(r.Most ?? 0)} {r.Unit}".TrimEnd();

    private static string Number(double value) => value.ToString("0.##", CultureInfo.InvariantCulture);

    private static string Short(string? item) => item is { Length: > 40 } ? item[..40] + "…" : item ?? "";
}
