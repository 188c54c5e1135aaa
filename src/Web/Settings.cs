namespace Ystrata.Web;

/// <summary>What the program can be told: by a file, over that by the environment (YSTRATA_…), over that on the command line.</summary>
internal sealed record Settings
{
    private const string Prefix = "YSTRATA_", FileKey = "settings", UsualFile = "ystrata.json";

    private static readonly Dictionary<string, string> Switches = new() { ["--backup-to"] = nameof(BackupTo) };

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

    /// <summary>A file that says by how many seconds the clock is ahead. For tests alone.</summary>
    public string? Shift { get; init; }

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
            return settings.Port is >= 0 and <= 65_535 ? settings : throw new SettingsException($"The port has to be from 0 to 65535, not {settings.Port}.");
        }
        catch (InvalidOperationException)
        {
            throw new SettingsException("The port has to be a whole number, and demo true or false.");
        }
    }

    private static void Known(IConfiguration file, string path)
    {
        var names = typeof(Settings).GetProperties().Select(p => p.Name).ToHashSet(StringComparer.OrdinalIgnoreCase);
        if (file.GetChildren().FirstOrDefault(c => !names.Contains(c.Key)) is { } odd)
        {
            throw new SettingsException($"{path} says '{odd.Key}', which is no setting. There are {string.Join(", ", names.Order().Select(System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName))}.");
        }
    }
}

/// <summary>What stands in the settings cannot be.</summary>
internal sealed class SettingsException(string message) : Exception(message);
