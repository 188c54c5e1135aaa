namespace Ystrata.Web.Door;

/// <summary>Sets the passphrase at the machine's terminal.</summary>
internal static class FirstPassphrase
{
    /// <summary>Whether somebody sits at the terminal.</summary>
    public static bool SomebodyIsThere => !Console.IsInputRedirected && !Console.IsOutputRedirected;

    /// <summary>Reads it from a line that is piped in, or has it typed twice, unseen.</summary>
    /// <returns>What is wrong with it; nothing when it was set.</returns>
    public static string? Read(Passphrase passphrase)
    {
        var typed = Console.IsInputRedirected ? Console.ReadLine() ?? "" : Ask($"A passphrase for the kitchen's screens, {Passphrase.Least} characters or more: ");
        if (Passphrase.Check(typed) is { } refusal)
        {
            return $"A passphrase has {refusal.Least} to {refusal.Most} characters; that has {refusal.Given}.";
        }

        if (!Console.IsInputRedirected && Passphrase.Meant(Ask("The same once more: ")) != Passphrase.Meant(typed))
        {
            return "The two are not the same. Nothing was set.";
        }

        passphrase.Set(typed);
        return null;
    }

    private static string Ask(string question)
    {
        Console.Write(question);
        var typed = new System.Text.StringBuilder();
        for (ConsoleKeyInfo key; (key = Console.ReadKey(intercept: true)).Key != ConsoleKey.Enter;)
        {
            if (key.Key == ConsoleKey.Backspace)
            {
                typed.Length = Math.Max(typed.Length - 1, 0);
            }
            else if (!char.IsControl(key.KeyChar))
            {
                typed.Append(key.KeyChar);
            }
        }

        Console.WriteLine();
        return typed.ToString();
    }
}
