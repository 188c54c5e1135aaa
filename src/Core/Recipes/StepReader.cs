using System.Globalization;
using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Finds in the steps of a recipe the three figures most of them have: the rest, how wide the round is, how hot the pan.</summary>
internal static partial class StepReader
{
    private const int LongestStep = 600;

    /// <summary>Step by step; each figure counts where it stands first. A step that tells several is there once for each.</summary>
    public static IReadOnlyList<RecipeStep> Read(IEnumerable<string> steps, Lexicon words)
    {
        var read = new List<RecipeStep>();
        foreach (var text in steps)
        {
            var line = words.Read(text.Length > LongestStep ? text[..LongestStep] : text).ToLowerInvariant();
            List<RecipeStep> told = [.. new[] { Sides(text, line), Rest(text, line), Across(text, line), Pieces(text, line), Heat(text, line), Flame(text, line) }.OfType<RecipeStep>().Where(s => read.All(r => r.Told != s.Told)).DistinctBy(s => s.Told)];
            read.AddRange(told.Count > 0 ? told : [new(text, StepTold.Nothing)]);
        }

        return read;
    }

    private static RecipeStep? Rest(string text, string line) => RestTime().Match(line) is { Success: true } m
        ? new(text, StepTold.Rest, Quantity.Of(QuantityName.Time, new Minutes(Number(m.Groups[1].Value) * (m.Groups[2].Value.StartsWith('h') ? 60 : 1))))
        : null;

    private static RecipeStep? Across(string text, string line) => Round().IsMatch(line) && Length().Match(line) is { Success: true } m
        ? new(text, StepTold.Across, Quantity.Of(QuantityName.Across, new Millimetres(Math.Round(Number(m.Groups[1].Value) * (m.Groups[2].Value switch { "cm" => 10, "mm" => 1, _ => Millimetres.FromInches(1).Value }), 1))))
        : null;

    private static RecipeStep? Heat(string text, string line) => Degrees().Match(line) is { Success: true } m
        ? new(text, StepTold.Heat, Quantity.Of(QuantityName.Heat, m.Groups[2].Value == "f" ? new(Math.Round(Celsius.FromFahrenheit(Number(m.Groups[1].Value)).Value)) : new Celsius(Number(m.Groups[1].Value))))
        : null;

    private static RecipeStep? Sides(string text, string line) => SideTime().Match(line) is { Success: true } m
        ? new(text, StepTold.Sides, Quantity.Of(QuantityName.Time, new Seconds(Math.Clamp(Between(m.Groups[1].Value, m.Groups[2].Value) * (m.Groups[3].Value.StartsWith('s') ? 1 : 60), 3, 900))))
        : null;

    private static RecipeStep? Pieces(string text, string line) => Divided().Match(line) is { Success: true } m && Number(m.Groups[1].Value) is >= 1 and <= 200 and var count
        ? new(text, StepTold.Pieces, Quantity.Count(QuantityName.Count, (int)count))
        : null;

    // Words for a flame stand for the pan that is meant by them (empirical).
    private static RecipeStep? Flame(string text, string line) => Flames().Match(line) is { Success: true } m
        ? new(text, StepTold.Heat, Quantity.Of(QuantityName.Heat, new Celsius(m.Groups[1].Value switch { "low" => 175, "medium" => 200, "high" => 230, _ => 215 })))
        : null;

    private static double Between(string from, string to) => to.Length > 0 ? (Number(from) + Number(to)) / 2 : Number(from);

    private static double Number(string text) => double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture);

    [GeneratedRegex(@"\b(?:rest|stand|set aside)\b[^.;]{0,60}?(\d{1,4}(?:[.,]\d)?) ?(minutes?|mins?|min|hours?|hrs?|h)\b")]
    private static partial Regex RestTime();

    [GeneratedRegex(@"(\d{1,3}(?:[.,]\d)?)(?: ?(?:-|–|to) ?(\d{1,3}(?:[.,]\d)?))? ?(seconds?|secs?|s|minutes?|mins?|min) (?:on |for |per |a |an )?(?:each|per|a|both|every|either)(?: sides?| of)?\b")]
    private static partial Regex SideTime();

    [GeneratedRegex(@"(?:\b(?:divide|cut|portion|split|shape)\b[^.;]{0,40}?\b(?:into|in)|\bmakes?) (\d{1,3})\b(?! ?(?:cm|mm|inch|min))")]
    private static partial Regex Divided();

    [GeneratedRegex(@"\b(low|medium|medium[- ]high|high)[- ](?:heat|flame)\b")]
    private static partial Regex Flames();

    [GeneratedRegex(@"\b(?:roll|round|circle|dis[ck]|flatten|pat|across|diameter)")]
    private static partial Regex Round();

    [GeneratedRegex(@"(\d{1,3}(?:[.,]\d)?)[ -]?(cm|mm|inch|inches|in)\b")]
    private static partial Regex Length();

    [GeneratedRegex(@"(\d{2,3}) ?°? ?(c|f)\b")]
    private static partial Regex Degrees();
}
