using System.Globalization;
using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Finds in the steps of a recipe the three figures most of them have: the rest, how wide the round is, how hot the pan.</summary>
internal static partial class StepReader
{
    private const int LongestStep = 600;

    /// <summary>Step by step; each figure counts where it stands first.</summary>
    public static IReadOnlyList<RecipeStep> Read(IEnumerable<string> steps)
    {
        var read = new List<RecipeStep>();
        foreach (var text in steps)
        {
            var line = (text.Length > LongestStep ? text[..LongestStep] : text).ToLowerInvariant();
            var told = new[] { Rest(text, line), Across(text, line), Heat(text, line) }.FirstOrDefault(s => s is not null && read.All(r => r.Told != s.Told));
            read.Add(told ?? new(text, StepTold.Nothing));
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

    private static double Number(string text) => double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture);

    [GeneratedRegex(@"\b(?:rest|stand|set aside)\b[^.;]{0,60}?(\d{1,4}(?:[.,]\d)?) ?(minutes?|mins?|min|hours?|hrs?|h)\b")]
    private static partial Regex RestTime();

    [GeneratedRegex(@"\b(?:roll|round|circle|dis[ck]|flatten|pat|across|diameter)")]
    private static partial Regex Round();

    [GeneratedRegex(@"(\d{1,3}(?:[.,]\d)?)[ -]?(cm|mm|inch|inches|in)\b")]
    private static partial Regex Length();

    [GeneratedRegex(@"(\d{2,3}) ?°? ?(c|f)\b")]
    private static partial Regex Degrees();
}
