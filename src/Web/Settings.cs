using System.Net;

namespace Ystrata.Web;

/// <summary>What the program can be told: by a file, over that by the environment (YSTRATA_…), over that on the command line.</summary>
internal sealed record Settings
{
    private const string Prefix = "YSTRATA_", FileKey = "settings", UsualFile = "ystrata.json";

    private static readonly Dictionary<string, string> Switches = new()
    {
        ["--backup-to"] = nameof(BackupTo),
        ["--lan-port"] = nameof(LanPort),
        ["--cert-key"] = nameof(CertKey),
        ["--set-passphrase"] = nameof(SetPassphrase),
    };

    /// <summary>The kitchen's folder.</summary>
    public string Data { get; init; } = "data";

    /// <summary>On this machine alone; 0 takes any that is free.</summary>
    public int Port { get; init; } = 5180;

    /// <summary>Fills an empty kitchen with the demo.</summary>
    public bool Demo { get; init; }

    /// <summary>A scale on a serial line; nothing for the stand-in.</summary>
    public string? Scale { get; init; }

    /// <summary>A pan probe on a serial line; nothing for the stand-in.</summary>
    public string? Probe { get; init; }

    /// <summary>A folder of another disk that gets the daily backup too.</summary>
    public string? BackupTo { get; init; }

    /// <summary>Listens on the network too, for the screens it lets in.</summary>
    public bool Lan { get; init; }

    /// <summary>Of the network; 0 takes any that is free.</summary>
    public int LanPort { get; init; } = 5443;

    /// <summary>The one address of this machine that listens on the network; nothing for all.</summary>
    public string? Bind { get; init; }

    /// <summary>Names by which this machine is asked besides its own, with commas between.</summary>
    public string? Host { get; init; }

    /// <summary>A certificate for the network; nothing for one of the kitchen's own making.</summary>
    public string? Cert { get; init; }

    /// <summary>Its key, where that is not in the same file.</summary>
    public string? CertKey { get; init; }

    /// <summary>The addresses, with commas between, of proxies whose word on who asks is taken; they speak TLS, this does not.</summary>
    public string? Proxy { get; init; }

    /// <summary>No TLS on the network.</summary>
    public bool Plain { get; init; }

    /// <summary>A folder with catalogues of other languages, for what the server words itself; nothing for English alone.</summary>
    public string? Words { get; init; }

    /// <summary>Every request on the console too.</summary>
    public bool Verbose { get; init; }

    /// <summary>Reads a passphrase, keeps it and ends.</summary>
    public bool SetPassphrase { get; init; }

    /// <summary>A file that says by how many seconds the clock is ahead. For tests alone.</summary>
    public string? Shift { get; init; }

    internal IReadOnlyList<string> Names => Parts(Host);

    internal IReadOnlyList<IPAddress> Proxies => [.. Parts(Proxy).Select(IPAddress.Parse)];

    /// <summary>Whether the network is spoken to in TLS.</summary>
    internal bool Tls => Lan && !Plain && Proxies.Count == 0;

    /// <summary>Reads them into the program's configuration.</summary>
    /// <exception cref="SettingsException">Something in them cannot be; its message is for whoever started the program.</exception>
    public static Settings Read(ConfigurationManager configuration, string[] args)
    {
        var told = new ConfigurationBuilder().AddEnvironmentVariables(Prefix).AddCommandLine(args, Switches).Build()[FileKey];
        if (told is not null && !System.IO.File.Exists(told))
        {
            throw new SettingsException($"There is no settings file {told}.");
        }

        // Nothing else of this machine's environment is meant for this program.
        configuration.Sources.Clear();
        var file = Path.GetFullPath(told ?? UsualFile);
        try
        {
            Known(new ConfigurationBuilder().AddJsonFile(file, optional: true).Build(), file);
            configuration.AddJsonFile(file, optional: true);
        }
        catch (InvalidDataException)
        {
            throw new SettingsException($"{file} is no JSON.");
        }

        configuration.AddEnvironmentVariables(Prefix).AddCommandLine(args, Switches);
        try
        {
            var settings = configuration.Get<Settings>() ?? new();
            Check(settings);
            return settings;
        }
        catch (InvalidOperationException)
        {
            throw new SettingsException("A port has to be a whole number; demo, lan, plain and verbose true or false.");
        }
    }

    private static void Check(Settings settings)
    {
        foreach (var port in new[] { settings.Port, settings.LanPort })
        {
            if (port is < 0 or > 65_535)
            {
                throw new SettingsException($"The port has to be from 0 to 65535, not {port}.");
            }
        }

        if (Parts(settings.Proxy).Append(settings.Bind ?? "127.0.0.1").FirstOrDefault(a => !IPAddress.TryParse(a, out _)) is { } odd)
        {
            throw new SettingsException($"'{odd}' is no address of a machine, such as 192.168.1.7.");
        }

        if (settings.Names.FirstOrDefault(n => Uri.CheckHostName(n) is UriHostNameType.Unknown) is { } name)
        {
            throw new SettingsException($"'{name}' is no name of a machine, such as kitchen.local.");
        }

        if (!settings.Lan && (settings.Plain || settings.Bind is not null || settings.Cert is not null || settings.Proxy is not null || settings.Host is not null))
        {
            throw new SettingsException("--plain, --bind, --cert, --proxy and --host are for the network: say --lan too.");
        }

        if (settings.Cert is not null && !settings.Tls)
        {
            throw new SettingsException("A certificate is of no use with --plain or --proxy: this program speaks no TLS then.");
        }

        if (settings.CertKey is not null && settings.Cert is null)
        {
            throw new SettingsException("--cert-key is the key of a certificate: say --cert too.");
        }
    }

    private static string[] Parts(string? list) => (list ?? "").Split(',', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);

    private static void Known(IConfiguration file, string path)
    {
        var names = typeof(Settings).GetProperties(System.Reflection.BindingFlags.Public | System.Reflection.BindingFlags.Instance).Select(p => p.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        if (file.GetChildren().FirstOrDefault(c => !names.Contains(c.Key)) is { } odd)
        {
            throw new SettingsException($"{path} says '{odd.Key}', which is no setting. There are {string.Join(", ", names.Order().Select(System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName))}.");
        }
    }
}

/// <summary>What stands in the settings cannot be.</summary>
internal sealed class SettingsException(string message) : Exception(message);
