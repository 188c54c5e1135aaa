namespace Ystrata.Web.Files;

/// <summary>What is wrong with a file or with a choice: what only whoever reads them can find.</summary>
public static class FileRefusals
{
    public static RefusalCode NotUtf8 { get; } = RefusalCode.Named();

    public static RefusalCode WrongColumns { get; } = RefusalCode.Named();

    public static RefusalCode NotInList { get; } = RefusalCode.Named();

    /// <summary>No PNG, JPEG or WebP.</summary>
    public static RefusalCode NotAPhoto { get; } = RefusalCode.Named();

    /// <summary>A file of something else.</summary>
    public static RefusalCode ForeignFile { get; } = RefusalCode.Named();

    /// <summary>A file made by a newer version.</summary>
    public static RefusalCode NewerFile { get; } = RefusalCode.Named();

    /// <summary>A file that is broken or cut short.</summary>
    public static RefusalCode BrokenFile { get; } = RefusalCode.Named();

    /// <summary>A file without a recipe in it.</summary>
    public static RefusalCode NoRecipe { get; } = RefusalCode.Named();

    /// <summary>Every code that an answer may carry.</summary>
    public static IReadOnlyList<RefusalCode> All { get; } = [.. RefusalCode.Of(typeof(RefusalCode)), .. RefusalCode.Of(typeof(FileRefusals))];
}
