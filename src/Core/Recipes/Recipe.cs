namespace Ystrata.Core.Recipes;

/// <summary>A recipe as it is written down anywhere: words, in the order they stand.</summary>
/// <param name="Yield">How many it makes, as written.</param>
public sealed record RecipeText(string Name, string About, IReadOnlyList<string> Ingredients, IReadOnlyList<string> Steps, string Yield, IReadOnlyList<string> Tags);

/// <summary>What keeps a line of a recipe from being understood.</summary>
public enum LineTrouble
{
    None,

    /// <summary>No amount, or one that nobody can weigh.</summary>
    NoAmount,

    /// <summary>Two amounts: from so much to so much, or a comma that can be read in two ways.</summary>
    TwoWays,

    /// <summary>Nothing in the kitchen is called so.</summary>
    NoIngredient,

    /// <summary>Several things in the kitchen could be meant.</summary>
    Several,

    /// <summary>Understood, but only its kind counts: how much is set at the pan and at the fold.</summary>
    KindOnly,

    /// <summary>Understood, and there is no place for it in a bread like this.</summary>
    NoPlace,

    /// <summary>Left out by the cook.</summary>
    LeftOut,
}

/// <summary>One line of the ingredients, as far as it was understood.</summary>
/// <param name="Could">Larder ids it may mean, the likeliest first.</param>
/// <param name="Packing">Of a powder by the cup, where nobody has said how cups are filled: what was taken for it.</param>
public sealed record RecipeLine(string Text, string? Item, Grams? Mass, LineTrouble Trouble, IReadOnlyList<string> Could, double? Packing = null);

/// <summary>What a step told.</summary>
public enum StepTold
{
    Nothing,
    Rest,
    Across,
    Heat,

    /// <summary>So long on each side, turned once.</summary>
    Sides,

    /// <summary>How many it is divided into.</summary>
    Pieces,
}

/// <param name="Told">What of it is in the bread; nothing where it is only words.</param>
public sealed record RecipeStep(string Text, StepTold Told, Quantity? Figure = null);

/// <summary>How the cook settles a line.</summary>
/// <param name="Line">From 0.</param>
/// <param name="Item">Nothing leaves the line out.</param>
/// <param name="Mass">Nothing keeps what was read.</param>
public sealed record SettledLine(int Line, string? Item = null, Grams? Mass = null);

/// <summary>A recipe as a bread: what it says, and what is left to settle.</summary>
/// <param name="Spec">Nothing while too little is known.</param>
/// <param name="Refusals">Why it cannot be worked as it is.</param>
public sealed record RecipeRead(
    string Name, string About, IReadOnlyList<string> Tags, BatchSpec? Spec, IReadOnlyList<RecipeLine> Lines, IReadOnlyList<RecipeStep> Steps, IReadOnlyList<Refusal> Refusals);
