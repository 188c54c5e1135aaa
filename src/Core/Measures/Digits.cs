using System.Globalization;

namespace Ystrata.Core.Measures;

/// <summary>Digits of any script as the ones that are reckoned with.</summary>
public static class Digits
{
    /// <returns>The text with every decimal digit, whatever its script, as 0 to 9.</returns>
    public static string Plain(string text) => text.All(c => !char.IsDigit(c) || char.IsAsciiDigit(c))
        ? text
        : string.Concat(text.Select(c => char.IsDigit(c) ? (char)('0' + CharUnicodeInfo.GetDecimalDigitValue(c)) : c));
}
