using System.Reflection;

namespace Ystrata.Web;

/// <summary>Which version this is.</summary>
internal static class Release
{
    public static string Version { get; } = typeof(Release).Assembly.GetCustomAttribute<AssemblyInformationalVersionAttribute>()?.InformationalVersion.Split('+')[0] ?? "0";
}
