using System.Security.Cryptography;
using System.Text.Json;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store;

/// <summary>
/// The version of what is kept: a digest of what was decided in it. It needs no counting, so a backup that is laid back, a file that is taken in
/// and a change that is taken back all give the version that belongs to what then stands.
/// </summary>
public static class Versions
{
    /// <summary>Takes whatever stands.</summary>
    public const string Any = "*";

    // 96 bits of SHA-256: no two things of one kitchen are ever taken for each other.
    private const int Bytes = 12;

    /// <param name="content">All that a change of it can change, and its id.</param>
    /// <returns>24 small hexadecimal digits.</returns>
    public static string Of<T>(T content) => Convert.ToHexStringLower(SHA256.HashData(JsonSerializer.SerializeToUtf8Bytes(content, SpecJson.Options)).AsSpan(0, Bytes));
}

/// <summary>What became of a change or a delete that was meant for one version.</summary>
/// <param name="Done">True when it was made.</param>
/// <param name="Now">What stands now, or stood until it was deleted; nothing when there is no such thing.</param>
public readonly record struct Kept<T>(bool Done, T? Now)
    where T : class;

/// <summary>Which versions a change is meant for.</summary>
/// <param name="Versions">One of them has to stand; with <see cref="Store.Versions.Any"/> among them whatever stands.</param>
public sealed record Meant(IReadOnlyList<string> Versions)
{
    public static Meant Whatever { get; } = new([Store.Versions.Any]);

    public bool For(string version) => Versions.Contains(Store.Versions.Any) || Versions.Contains(version);

    /// <summary>Looks what stands and changes it, with nothing in between.</summary>
    /// <param name="write">Made only when one of the versions stands.</param>
    internal Kept<T> Change<T>(KitchenDb kitchen, Func<SqliteConnection, T?> find, Func<T, string> version, Action<SqliteConnection> write)
        where T : class
    {
        using var db = kitchen.Connect();
        using var work = db.BeginTransaction();
        if (find(db) is not { } stands)
        {
            return new(false, null);
        }

        if (!For(version(stands)))
        {
            return new(false, stands);
        }

        write(db);
        var now = find(db) ?? stands;
        work.Commit();
        return new(true, now);
    }
}
