namespace Ystrata.Core.Practice;

/// <summary>A sheet and a program by lot: where will it weld?</summary>
/// <param name="Fat">Brushed over the sheet before the first fold; nothing where it is bare.</param>
/// <param name="Dust">The same of flour.</param>
/// <param name="Across">The round it is rolled to in the end.</param>
/// <param name="Leaves">Thickness of each, from the bottom up, as they come to lie.</param>
public sealed record FoldTask(int Seed, int Level, Grams Fat, Grams Dust, IReadOnlyList<FoldStep> Steps, Millimetres Across, IReadOnlyList<Millimetres> Leaves);

/// <summary>What became of it.</summary>
/// <param name="Score">Out of 100: of those that weld and those that part, how many were told, beyond what guessing tells.</param>
/// <param name="Contacts">From the bottom up, with the step that laid each.</param>
public sealed record FoldEnd(int Score, IReadOnlyList<SectionContact> Contacts);

public sealed record FoldPlay(FoldTask Task, FoldEnd? End);

/// <summary>Practice at the fold: a program is shown, the cook marks where leaves will weld, then it is told.</summary>
public static class FoldTrainer
{
    public const int Levels = 3, MostMarks = 40;

    private const int MostContacts = 12, LeastContacts = 3;

    /// <param name="welds">Contacts the cook takes for welded, from 0 at the bottom; nothing while the cook still looks.</param>
    public static FoldPlay Play(int seed, int level, IReadOnlyList<int>? welds)
    {
        var (task, contacts) = Drawn(seed, level);
        return new(task, welds is null ? null : new(Score(contacts, welds), contacts));
    }

    // A lot that hands can fold and of which some leaves weld and some part; programs that hold neither teach nothing.
    private static (FoldTask Task, IReadOnlyList<SectionContact> Contacts) Drawn(int seed, int level)
    {
        var lot = new Draw(seed + 104729 * level);
        while (true)
        {
            var spec = Spec(lot, level);
            if (Planner.Check(spec, Kitchen.Shipped).Value is { Folded: [.., var folded] } batch && Section.Of(Rolled.To(folded, batch.Shape.RolledTo)) is { Rings: null, Contacts: var contacts } section
                && contacts.Count is >= LeastContacts and <= MostContacts && contacts.Any(c => c.State == ContactState.Fused) && contacts.Any(c => c.State == ContactState.Open))
            {
                return (new(seed, level, spec.Sheet.FatMass, spec.Sheet.DustMass, spec.Fold.Steps, spec.Roll.Diameter, section.Leaves), contacts);
            }
        }
    }

    private static BatchSpec Spec(Draw lot, int level)
    {
        var plain = BatchSpec.Plain;
        var (fat, dust) = (lot.OneIn(3) ? 0 : lot.One(2.0, 4, 6), lot.OneIn(2) ? 0 : 1.0);
        var steps = new List<FoldStep>();
        var folds = level == 1 ? 2 : 2 + lot.Of(2);
        for (var i = 0; i < folds; i++)
        {
            if (i > 0)
            {
                steps.AddRange(Between(lot, level, plain.Sheet));
            }

            steps.Add(level == 1 ? lot.One<FoldStep>(new HalfStep(), new LetterStep()) : lot.One<FoldStep>(new HalfStep(), new LetterStep(), new GateStep()));
        }

        return plain with
        {
            Sheet = plain.Sheet with { Diameter = new(240), FatMass = new(fat), DustMass = new(dust) },
            Fold = new(steps),
            Roll = plain.Roll with { Diameter = new(level == 3 ? lot.One(160, 190, 220) : 170) },
        };
    }

    // From the second level on fat may be too little to keep leaves apart, and flour does what fat does.
    private static IEnumerable<FoldStep> Between(Draw lot, int level, SheetSpec sheet) => lot.Of(level == 1 ? 2 : 4) switch
    {
        0 => [],
        1 => [new BrushStep(sheet.Fat, new(2), level == 1 || lot.OneIn(2) ? LaidOn.Top : LaidOn.Board)],
        2 => [new DustStep(sheet.Dust, new(0.5))],
        _ => [new BrushStep(sheet.Fat, new(lot.One(0.2, 0.5, 1.5)))],
    };

    // Those that are patchy may be called either.
    private static int Score(IReadOnlyList<SectionContact> contacts, IReadOnlyList<int> welds)
    {
        double Told(ContactState state) => contacts.Select((c, i) => (c.State, Marked: welds.Contains(i))).Where(c => c.State == state).Average(c => c.Marked == (state == ContactState.Fused) ? 1.0 : 0);
        return (int)Math.Round(100 * Math.Max(Told(ContactState.Fused) + Told(ContactState.Open) - 1, 0));
    }
}
