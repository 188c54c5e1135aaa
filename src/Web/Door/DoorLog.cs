using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>What is written down of the door: never what was typed.</summary>
internal static partial class DoorLog
{
    [LoggerMessage(Level = LogLevel.Information, Message = "A screen was let in ({Kind}) from {Address}")]
    public static partial void LetIn(ILogger log, ScreenKind kind, string address);

    [LoggerMessage(Level = LogLevel.Warning, Message = "A wrong passphrase or code from {Address}, {Count} by now")]
    public static partial void Wrong(ILogger log, string address, int count);

    [LoggerMessage(Level = LogLevel.Information, Message = "A screen was sent away")]
    public static partial void SentAway(ILogger log);

    [LoggerMessage(Level = LogLevel.Information, Message = "The passphrase was set")]
    public static partial void PassphraseSet(ILogger log);
}
