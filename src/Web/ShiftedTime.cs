using System.Globalization;

namespace Ystrata.Web;

/// <summary>
/// The machine's clock, ahead by as many seconds as a file says. Tests and pictures push a running service on by it (<c>--shift FILE</c>); nothing else uses it.
/// </summary>
internal sealed class ShiftedTime(string file) : TimeProvider
{
    public override DateTimeOffset GetUtcNow() => System.GetUtcNow().AddSeconds(Shift());

    public override long GetTimestamp() => System.GetTimestamp() + (long)(Shift() * System.TimestampFrequency);

    private double Shift() => File.Exists(file) && double.TryParse(File.ReadAllText(file), NumberStyles.Float, CultureInfo.InvariantCulture, out var seconds) ? seconds : 0;
}
