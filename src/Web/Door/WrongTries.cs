using System.Net;

namespace Ystrata.Web.Door;

/// <summary>What came from one address that did not open the door.</summary>
public sealed record WrongTry(string Address, int Count, DateTimeOffset Last);

/// <summary>Counts them since the program began, for whoever looks after the kitchen.</summary>
internal sealed class WrongTries(TimeProvider time)
{
    private const int MostAddresses = 200;

    private readonly Lock counting = new();
    private readonly Dictionary<string, WrongTry> counted = [];

    /// <summary>The newest first.</summary>
    public IReadOnlyList<WrongTry> All
    {
        get
        {
            lock (counting)
            {
                return [.. counted.Values.OrderByDescending(w => w.Last).ThenBy(w => w.Address, StringComparer.Ordinal)];
            }
        }
    }

    /// <summary>By what a stranger is told from another: of the sixth version whoever has one address has a whole network of them.</summary>
    public static string Of(IPAddress? address)
    {
        const int network = 8;
        if (address is null)
        {
            return "?";
        }

        if (address.IsIPv4MappedToIPv6)
        {
            return address.MapToIPv4().ToString();
        }

        var bytes = address.GetAddressBytes();
        return bytes.Length <= 4 ? address.ToString() : $"{new IPAddress([.. bytes[..network], .. new byte[bytes.Length - network]])}/64";
    }

    public int Count(string address)
    {
        lock (counting)
        {
            var now = (counted.TryGetValue(address, out var before) ? before.Count : 0) + 1;
            counted[address] = new(address, now, time.GetUtcNow());
            if (counted.Count > MostAddresses)
            {
                counted.Remove(counted.Values.MinBy(w => w.Last)!.Address);
            }

            return now;
        }
    }
}
