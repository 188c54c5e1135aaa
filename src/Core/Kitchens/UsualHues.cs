namespace Ystrata.Core.Kitchens;

/// <summary>The colour a thing of a kind usually has, where its line says nothing (empirical).</summary>
public static class UsualHues
{
    /// <summary>Its own hue; that of its kind where nobody has given it one.</summary>
    public static string Of(Ingredient item) => item.Hue ?? Of(item.Kind);

    /// <returns><c>#rrggbb</c></returns>
    public static string Of(IngredientKind kind) => kind switch
    {
        IngredientKind.Flour or IngredientKind.Separator => "#efe3c8",
        IngredientKind.Binder => "#dfcba4",
        IngredientKind.Fat => "#f2d98a",
        IngredientKind.Liquid => "#f4efe4",
        IngredientKind.Puree => "#c98a4a",
        IngredientKind.Salt or IngredientKind.Leaven => "#fbfbfa",
        IngredientKind.Seasoning => "#a9622b",
        IngredientKind.Addition => "#8a7448",
        IngredientKind.Vegetable => "#b6cc86",
        IngredientKind.Mash => "#e3cf9a",
        IngredientKind.Dairy => "#fbf6e8",
        IngredientKind.Meat => "#8f5a45",
        _ => "#7a4a2c",
    };
}
