using System.Reflection;

namespace Ystrata.Core.Tests;

public class ArchitectureTests
{
    private static readonly Assembly Core = typeof(Planner).Assembly;

    [Fact]
    public void Core_stands_on_the_framework_alone() =>
        Assert.All(
            Core.GetReferencedAssemblies(),
            a => Assert.True(a.Name!.StartsWith("System.", StringComparison.Ordinal) || a.Name == "netstandard", a.FullName));

    [Fact]
    public void Core_opens_no_file_no_socket_and_no_clock()
    {
        string[] outside = ["System.Net", "System.IO.FileSystem", "System.Console", "System.Diagnostics.Process", "System.Threading"];

        Assert.DoesNotContain(Core.GetReferencedAssemblies(), a => outside.Any(o => a.Name!.StartsWith(o, StringComparison.Ordinal)));
    }

    [Theory]
    [InlineData("Core")]
    [InlineData("Web")]
    public void A_namespace_is_the_name_of_its_room(string project)
    {
        var root = Path.GetFullPath(Path.Combine(AppContext.BaseDirectory, "../../../../../src", project));
        var files = Directory.EnumerateFiles(root, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/bin/", StringComparison.Ordinal)).ToList();

        Assert.True(files.Count > 50);
        Assert.All(files, f => Assert.All(
            File.ReadLines(f).Where(l => l.StartsWith("namespace ", StringComparison.Ordinal)),
            l => Assert.Equal($"namespace Ystrata.{project}{Room(Path.GetRelativePath(root, f))};", l)));
    }

    // The steps of a room are in it.
    private static string Room(string file) => Path.GetDirectoryName(file)!.Split('/') is [{ Length: > 0 } room, .. var within] && within.All(w => w == "Steps") ? $".{room}" : "";

    [Fact]
    public void No_public_figure_of_a_sheet_is_a_bare_mass_length_or_temperature()
    {
        // Ratios, counts and shares may be plain numbers; anything with a unit is a measure.
        string[] plain = ["Parts", "Springback", "White", "Weak", "PanTime", "CookOff", "Cut", "Tender", "Stickiness", "KcalPer100G", "Rings", "Value", "Given", "Least", "Most", "Each", "Holding", "FeelPerPoint",
            "Points", "Count", "Apart", "MeanEffective", "Windings", "Turns", "Times", "LumpPerWall", "Tear", "Dark", "First", "Second", "From", "Blisters", "Matt", "Smoke", "Directness", "Score", "Differs", "Mean", "Spread", "Seen", "Before", "After", "Red", "Green", "Blue", "Colour", "Done", "Turned", "Packing", "Packed"];
        // A plan is all in mm, as its docstring says.
        Type[] plans = [typeof(Layout), typeof(Strip), typeof(Span), typeof(Crease)];
        var bare = Core.GetExportedTypes()
            .Where(t => !t.GetInterfaces().Any(i => i.IsGenericType && i.GetGenericTypeDefinition() == typeof(IMeasure<>)))
            .Except(plans)
            .SelectMany(t => t.GetProperties())
            .Where(p => (Nullable.GetUnderlyingType(p.PropertyType) ?? p.PropertyType) == typeof(double) && !plain.Contains(p.Name))
            .Select(p => $"{p.DeclaringType!.Name}.{p.Name}");

        Assert.Empty(bare);
    }
}
