namespace Ystrata.Core.Filling;

/// <summary>Something that goes into a filling, for the whole batch.</summary>
/// <param name="Field">Where the spec has it; nothing for a share of what it is put on.</param>
public sealed record FillingInput(string? Field, string Id, Grams Mass);

public static class FillingInputs
{
    public static IEnumerable<FillingInput> Of(FillingSpec spec, FillingMade made) =>
    [
        .. spec.Parts.Zip(made.Parts).SelectMany((p, i) => Of(p.First.Steps, p.Second.Rows, $"filling.parts[{i}].steps").Prepend(new(null, p.First.Id, p.Second.Buy))),
        .. Of(spec.Together, made.Rows, "filling.together"),
    ];

    private static IEnumerable<FillingInput> Of(IReadOnlyList<FillingStep> steps, IReadOnlyList<FillingRow> rows, string at) =>
        steps.Select((step, i) => step.Input(rows[i], $"{at}[{i}]")).OfType<FillingInput>();
}
