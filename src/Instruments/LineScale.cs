namespace Ystrata.Instruments;

/// <summary>A scale that sends lines over a serial device. Reads only; its tare key is on the scale.</summary>
public sealed class LineScale(string path, TimeProvider clock) : IScale
{
    private readonly LineDevice<Reading> device = new(
        path, clock, line => ScaleLine.Read(line), Reading.Unplugged, Reading.Unreadable, r => r.State is ScaleState.Ready or ScaleState.Overload);

    public bool Tares => false;

    public void Tare() => throw new NotSupportedException("the tare key is on the scale");

    public IAsyncEnumerable<Reading> Readings(CancellationToken enough) => device.Readings(IScale.PerSecond, enough);
}
