namespace Ystrata.Core.Planning;

/// <summary>Everything that follows from a <see cref="BatchSpec"/>, one part a stage, and what to watch.</summary>
/// <param name="Stages">The stages this batch goes through, in order: a batter is neither balled nor folded.</param>
/// <param name="Piece">One piece as it goes on the pan and as it comes off.</param>
/// <param name="Section">One piece cut through as it goes on the pan.</param>
/// <param name="Ball">As it is divided; nothing for a batter.</param>
/// <param name="Off">What the pan makes of the section; nothing where nothing cooks it.</param>
/// <param name="Allergens">In anything that goes in or on it.</param>
/// <param name="Undeclared">What goes in or on it of which nobody has said what allergens it holds.</param>
/// <param name="Used">What is used up beside the dough.</param>
/// <param name="Filling">Nothing for a bread that is not stuffed.</param>
/// <param name="Measures">Spoons for the masses of the spec, by their field.</param>
/// <param name="NewSteps">Every kind of fold step as a cook would begin it here.</param>
public sealed record BatchSheet(
    IReadOnlyList<Stage> Stages,
    DoughSheet Dough,
    RestSheet Rest,
    BallsSheet Balls,
    FirstSheet Sheet,
    FoldSheet Fold,
    RollSheet Roll,
    PanSheet Pan,
    PieceSheet Piece,
    Section Section,
    Section? Ball,
    OffPan? Off,
    CostSheet Cost,
    IReadOnlyList<Spent> Used,
    IReadOnlyList<Allergen> Allergens,
    IReadOnlyList<string> Undeclared,
    IReadOnlyDictionary<string, KitchenMeasure> Measures,
    IReadOnlyList<FoldStep> NewSteps,
    IReadOnlyList<Note> Notes,
    FillingSheet? Filling = null)
{
    /// <summary>Pieces the whole batch makes: a ball may become several.</summary>
    public int Pieces() => Balls.Count * Fold.Pieces;

    /// <summary>What could be found wrong with it at the table, the likeliest first.</summary>
    public IReadOnlyList<Risk> Risks { get; } = FaultStage.Ahead(Notes);

    /// <summary>Its filling is at least likely to come out on the pan.</summary>
    public bool Bursts => Risks.Any(r => r is { Symptom: Symptom.Burst, Sure: not Sureness.Possible });
}

/// <summary>One piece on its way.</summary>
/// <param name="Raw">As it goes on the pan.</param>
/// <param name="Out">As it comes off, with the fat that stays on it.</param>
public sealed record PieceSheet(Piece Raw, Piece Out);
