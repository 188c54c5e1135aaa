using System.Diagnostics;
using System.Text;

namespace Ystrata.Web.Tests;

/// <summary>The real program in processes of its own, over real sockets and a folder that goes with them.</summary>
public sealed class RealServers : IDisposable
{
    /// <summary>Far longer than anything takes on the slowest machine.</summary>
    public static readonly TimeSpan Patience = TimeSpan.FromMinutes(2);

    // As it was published, where it was: that starts sooner.
    private static readonly string Built = Environment.GetEnvironmentVariable("YSTRATA_APP") ?? typeof(Program).Assembly.Location;

    /// <summary>Where the program itself lies.</summary>
    public static string Lies { get; } = Path.GetDirectoryName(Built)!;

    private readonly List<Process> started = [];

    /// <summary>What the environment says to those that are started from now on.</summary>
    public Dictionary<string, string> Told { get; } = [];

    public string Folder { get; } = Directory.CreateTempSubdirectory("ystrata-kill-").FullName;

    public void Dispose()
    {
        foreach (var server in started)
        {
            server.Kill();
            server.WaitForExit();
            server.Dispose();
        }

        Directory.Delete(Folder, recursive: true);
    }

    /// <summary>Asks a server over a socket, as its pages do.</summary>
    public static HttpClient Client(Uri address, HttpMessageHandler? handler = null)
    {
        var client = handler is null ? new HttpClient() : new HttpClient(handler);
        client.BaseAddress = address;
        client.DefaultRequestHeaders.Add(OwnPagesOnly.Header, "here");
        return client;
    }

    public async Task<(Process Server, Uri Address)> Start(params string[] more)
    {
        var server = Process.Start(With(more))!;
        started.Add(server);
        while (await server.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("Ystrata is at ", StringComparison.Ordinal))
            {
                return (server, new(line["Ystrata is at ".Length..]));
            }
        }

        throw new InvalidOperationException("the server did not start");
    }

    /// <summary>Starts one that listens to the network too.</summary>
    /// <returns>Where the machine itself asks, and where the network does.</returns>
    public async Task<(Process Server, Uri Here, Uri There)> StartOnNetwork(params string[] more)
    {
        const string says = "On the network it is at ", listens = "listens to the network on port ";
        var (server, here) = await Start(more);
        Uri? there = null;
        while (await server.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith(says, StringComparison.Ordinal))
            {
                there = new(line[says.Length..]);
            }
            else if (line.StartsWith(listens, StringComparison.OrdinalIgnoreCase))
            {
                NetworkPort = int.Parse(line[listens.Length..], System.Globalization.CultureInfo.InvariantCulture);
                return (server, here, there!);
            }
        }

        throw new InvalidOperationException("the server did not start");
    }

    /// <summary>Of the one that was started last.</summary>
    public int NetworkPort { get; private set; }

    /// <summary>Starts one that is told something on its input and ends by itself, and gives what it says.</summary>
    public async Task<string> Say(string input, params string[] more)
    {
        var info = With(more);
        (info.RedirectStandardError, info.RedirectStandardInput) = (true, true);
        using var server = Process.Start(info)!;
        await server.StandardInput.WriteAsync(input);
        server.StandardInput.Close();
        var said = await server.StandardError.ReadToEndAsync().WaitAsync(Patience);
        await server.WaitForExitAsync().WaitAsync(Patience);
        return said;
    }

    /// <summary>Starts one at a terminal, where somebody answers each of its questions as it is asked, and gives all that stood there.</summary>
    public async Task<string> AtTerminal(string[] answers, params string[] more)
    {
        var told = With(more);
        var info = new ProcessStartInfo("script") { RedirectStandardOutput = true, RedirectStandardInput = true };
        info.ArgumentList.Add("-qefc");
        info.ArgumentList.Add($"'{told.FileName}' {string.Join(' ', told.ArgumentList.Select(word => $"'{word}'"))}");
        info.ArgumentList.Add("/dev/null");
        using var terminal = Process.Start(info)!;
        var there = new StringBuilder();
        var letter = new char[1];
        foreach (var answer in answers)
        {
            // A question ends with a colon and a space.
            var from = there.Length;
            while (!there.ToString(from, there.Length - from).EndsWith(": ", StringComparison.Ordinal))
            {
                Assert.Equal(1, await terminal.StandardOutput.ReadAsync(letter.AsMemory()).AsTask().WaitAsync(Patience));
                there.Append(letter[0]);
            }

            await terminal.StandardInput.WriteAsync(answer + "\r");
            await terminal.StandardInput.FlushAsync();
        }

        there.Append(await terminal.StandardOutput.ReadToEndAsync().WaitAsync(Patience));
        await terminal.WaitForExitAsync().WaitAsync(Patience);
        return there.ToString();
    }

    /// <summary>Asks one to end, and waits until it has.</summary>
    public static async Task End(Process server)
    {
        using var asked = Process.Start("kill", ["-TERM", server.Id.ToString(System.Globalization.CultureInfo.InvariantCulture)]);
        await server.WaitForExitAsync().WaitAsync(Patience);
    }

    /// <summary>Starts one that will not, and gives its one sentence why.</summary>
    public async Task<string> Refused(params string[] more)
    {
        var info = With(more);
        info.RedirectStandardError = true;
        using var server = Process.Start(info)!;
        var said = await server.StandardError.ReadToEndAsync().WaitAsync(Patience);
        await server.WaitForExitAsync().WaitAsync(Patience);
        Assert.Equal(1, server.ExitCode);
        return Assert.Single(said.Split('\n', StringSplitOptions.RemoveEmptyEntries));
    }

    // What is said last counts.
    private ProcessStartInfo With(string[] more)
    {
        var info = new ProcessStartInfo("dotnet") { ArgumentList = { Built, "--port", "0", "--data", Folder, "--environment", "Testing" }, RedirectStandardOutput = true, WorkingDirectory = Folder };
        Array.ForEach(more, info.ArgumentList.Add);
        foreach (var (name, value) in Told)
        {
            info.Environment[name] = value;
        }

        return info;
    }
}
