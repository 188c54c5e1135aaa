using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ystrata.Web.Tests;

/// <summary>What the program is told by a file, over that by the environment, over that on the command line.</summary>
public sealed class SettingsTests : IDisposable
{
    private readonly RealServers servers = new();

    public void Dispose() => servers.Dispose();

    private string FolderOf(string name) => Directory.CreateDirectory(Path.Combine(servers.Folder, name)).FullName;

    private string Settings(string json)
    {
        var path = Path.Combine(servers.Folder, "said.json");
        File.WriteAllText(path, json);
        return path;
    }

    private static async Task<string?> Elsewhere(Uri address)
    {
        using var client = RealServers.Client(address);
        return (string?)(await client.GetFromJsonAsync<JsonNode>("/api/keeping"))!["elsewhere"]?["folder"];
    }

    [Fact]
    public async Task The_command_line_counts_over_the_environment_and_that_over_the_file()
    {
        var (first, second, third) = (FolderOf("first"), FolderOf("second"), FolderOf("third"));
        var file = Settings($$"""{"backupTo":"{{first}}"}""");
        var (one, address) = await servers.Start("--settings", file);
        Assert.Equal(first, await Elsewhere(address));
        one.Kill();
        await one.WaitForExitAsync();

        servers.Told["YSTRATA_BACKUPTO"] = second;
        var (two, there) = await servers.Start("--settings", file);
        Assert.Equal(second, await Elsewhere(there));
        two.Kill();
        await two.WaitForExitAsync();

        var (_, last) = await servers.Start("--settings", file, "--backup-to", third);
        Assert.Equal(third, await Elsewhere(last));
    }

    [Fact]
    public async Task Another_programs_environment_is_not_meant_for_this_one()
    {
        servers.Told["PORT"] = "1";
        servers.Told["DATA"] = "/nowhere";
        servers.Told["ASPNETCORE_URLS"] = "http://0.0.0.0:1";
        var (_, address) = await servers.Start();
        Assert.Equal("127.0.0.1", address.Host);
        Assert.Null(await Elsewhere(address));
    }

    [Theory]
    [InlineData("""{"ports":5180}""", "'ports', which is no setting")]
    [InlineData("{", "is no JSON")]
    [InlineData("""{"demo":"perhaps"}""", "whole number")]
    public async Task A_file_that_cannot_be_meant_is_said_in_one_sentence(string json, string words) =>
        Assert.Contains(words, await servers.Refused("--settings", Settings(json)), StringComparison.Ordinal);

    [Theory]
    [InlineData("--port", "70000", "from 0 to 65535")]
    [InlineData("--port", "-1", "from 0 to 65535")]
    [InlineData("--port", "1e3", "whole number")]
    [InlineData("--settings", "/no/such.json", "There is no settings file")]
    public async Task A_word_on_the_command_line_that_cannot_be_meant_is_said_in_one_sentence(string name, string value, string words) =>
        Assert.Contains(words, await servers.Refused(name, value), StringComparison.Ordinal);

    [Fact]
    public async Task A_clock_is_pushed_only_where_tests_ask_for_it() =>
        Assert.Contains("is for tests", await servers.Refused("--shift", "shift", "--environment", "Production"), StringComparison.Ordinal);

    [Fact]
    public async Task The_daily_backup_lies_in_the_folder_elsewhere_too_and_one_that_is_not_there_is_said()
    {
        var (gone, there) = (Path.Combine(servers.Folder, "not-plugged-in"), FolderOf("second-disk"));
        var (server, address) = await servers.Start("--demo", "true", "--backup-to", gone);
        using var client = RealServers.Client(address);
        JsonNode? said = null;
        for (; (string?)said?["trouble"] != "notThere"; said = (await client.GetFromJsonAsync<JsonNode>("/api/keeping"))!["elsewhere"])
        {
            await Task.Delay(20);
        }

        Assert.True((bool)said["old"]!);
        Assert.False(Directory.Exists(gone));
        Assert.StartsWith("the newest backup in the folder elsewhere is old\n", await client.GetStringAsync("/healthz"), StringComparison.Ordinal);
        server.Kill();
        await server.WaitForExitAsync();

        var (_, again) = await servers.Start("--backup-to", there);
        using var second = RealServers.Client(again);
        var name = $"ystrata-{DateTime.UtcNow.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}.db";
        while (!File.Exists(Path.Combine(there, name)))
        {
            await Task.Delay(20);
        }

        Assert.Equal(File.ReadAllBytes(Path.Combine(servers.Folder, "backups", name)), File.ReadAllBytes(Path.Combine(there, name)));
        while (!(await second.GetStringAsync("/healthz")).StartsWith("well", StringComparison.Ordinal))
        {
            await Task.Delay(20);
        }
    }
}
