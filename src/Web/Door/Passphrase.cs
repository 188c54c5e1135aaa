using System.Text;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.Options;
using Ystrata.Store;

namespace Ystrata.Web.Door;

/// <summary>The kitchen's passphrase, kept as a slow hash of the platform's.</summary>
internal sealed class Passphrase(Screens kept)
{
    /// <summary>How long it has to be, and may be, characters.</summary>
    public const int Least = 8, Most = 200;

    // What OWASP asks of PBKDF2 with HMAC-SHA-512, the platform's way.
    private const int Rounds = 210_000;

    private static readonly PasswordHasher<Screens> Hasher = new(Options.Create(new PasswordHasherOptions { IterationCount = Rounds }));

    public bool IsSet => kept.Passphrase is not null;

    /// <summary>As it is meant: what was pasted often ends with a space or a new line.</summary>
    public static string Meant(string typed) => typed.Trim().Normalize(NormalizationForm.FormC);

    /// <returns>Why it cannot be; nothing when it can.</returns>
    public static Refusal? Check(string typed) =>
        Meant(typed).Length is var length and (< Least or > Most) ? new("passphrase", RefusalCode.OutOfRange, length, Least, Most) : null;

    public void Set(string typed) => kept.Passphrase = Hasher.HashPassword(kept, Meant(typed));

    /// <returns>False also where none is set.</returns>
    public bool Is(string typed) => kept.Passphrase is { } hash && Hasher.VerifyHashedPassword(kept, hash, Meant(typed)) != PasswordVerificationResult.Failed;
}
