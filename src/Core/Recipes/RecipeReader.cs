using System.Globalization;
using System.Text.RegularExpressions;

namespace Ystrata.Core.Recipes;

/// <summary>Makes a bread of a recipe in words: amounts become shares of the flour, and whatever the words do not say stays as a plain round has it.</summary>
public static partial class RecipeReader
{
    public const int MostLines = 100, MostSteps = 200;

    // A vegetable or something sweet of more than this share of the flour is no addition to the dough but what it is filled with (empirical).
    private const double FillingFrom = 0.25;

    // As much as most walls hold, percent of the dough: a filling that is still wet weighs more than it will (empirical).
    private const double LeastFilling = 5, MostFilling = 100;

    // From so much water on it is a batter, percent of flour (models.md B).
    private const double PoursFrom = 150;

    // What pieces weigh where nothing says how many there are, g.
    private const double UsualPiece = 80;

    /// <param name="settled">What the cook has said of lines that were not understood.</param>
    public static RecipeRead Read(RecipeText recipe, Kitchen kitchen, IReadOnlyList<SettledLine> settled)
    {
        if (recipe.Ingredients.Count > MostLines || recipe.Steps.Count > MostSteps)
        {
            var (field, count, most) = recipe.Ingredients.Count > MostLines ? ("lines", recipe.Ingredients.Count, MostLines) : ("steps", recipe.Steps.Count, MostSteps);
            return new(recipe.Name, recipe.About, recipe.Tags, null, [], [], [new(field, RefusalCode.TooMany, count, 0, most)]);
        }

        recipe = recipe with { Ingredients = [.. recipe.Ingredients.Select(Digits.Plain)], Steps = [.. recipe.Steps.Select(Digits.Plain)], Yield = kitchen.Words.Read(Digits.Plain(recipe.Yield)) };
        var reader = new LineReader(kitchen);
        var written = RecipeLines.Of(recipe.Ingredients, kitchen.Words);
        var lines = written.Select((line, i) => Settle(reader.Read(line.Text), settled.LastOrDefault(s => s.Line == i), reader, kitchen)).ToList();
        lines = [.. lines.Select(l => Loosened(l, kitchen))];
        var steps = StepReader.Read(recipe.Steps, kitchen.Words);
        var flour = lines.Zip(written).Where(l => l.First.Trouble == LineTrouble.None && kitchen[l.First.Item!].Kind == IngredientKind.Flour && l.Second.For != LineFor.Filling && !IsBeside(l.First.Text, kitchen.Words)).Sum(l => l.First.Mass!.Value.Value);
        if (flour <= 0)
        {
            return new(recipe.Name, recipe.About, recipe.Tags, null, lines, steps, [new("dough.flours", RefusalCode.Missing)]);
        }

        var spec = Laid(lines, [.. written.Select(w => w.For)], flour, recipe, steps, kitchen);
        spec = steps.Aggregate(spec, Told);
        var refusals = Planner.Check(spec, kitchen).Refusals;
        return new(recipe.Name, recipe.About, recipe.Tags, spec, lines, steps, refusals);
    }

    private static RecipeLine Settle(RecipeLine line, SettledLine? settled, LineReader reader, Kitchen kitchen)
    {
        if (settled is null)
        {
            return line;
        }

        if (settled.Item is null)
        {
            return line with { Item = null, Mass = null, Trouble = LineTrouble.LeftOut };
        }

        if (!kitchen.TryGet(settled.Item, out var item))
        {
            return line with { Item = null, Trouble = LineTrouble.NoIngredient };
        }

        var (mass, packing) = settled.Mass is { Value: > 0 and <= AmountReader.MostGrams } given ? (given, null) : reader.MassOf(line.Text, item!);
        return line with { Item = item!.Id, Mass = mass, Trouble = mass is null ? LineTrouble.NoAmount : LineTrouble.None, Packing = packing };
    }

    // Fat without an amount is what the pan is greased with, salt without one is as usual, water goes in by feel, spice as the cook likes; which flour the board is dusted with is nothing to be asked.
    private static RecipeLine Loosened(RecipeLine line, Kitchen kitchen) => line switch
    {
        { Trouble: LineTrouble.Several, Could: [var dust, ..] } when kitchen[dust].Kind == IngredientKind.Flour && IsBeside(line.Text, kitchen.Words) => line with { Item = dust, Trouble = LineTrouble.KindOnly },
        { Trouble: LineTrouble.NoAmount, Item: { } item } when kitchen[item].Kind is IngredientKind.Fat or IngredientKind.Salt or IngredientKind.Liquid
            || (Loosely().IsMatch(kitchen.Words.Read(line.Text)) && kitchen[item].Kind is IngredientKind.Seasoning or IngredientKind.Addition) => line with { Trouble = LineTrouble.KindOnly },
        _ => line,
    };

    // Lays every line where its kind has a place, and says of a line when it has none.
    private static BatchSpec Laid(List<RecipeLine> lines, IReadOnlyList<LineFor> uses, double flour, RecipeText recipe, IReadOnlyList<RecipeStep> steps, Kitchen kitchen)
    {
        var (flours, liquids, additions, parts, spices) = (new List<FlourShare>(), new List<LiquidSpec>(), new List<AdditionSpec>(), new List<FillingPart>(), new List<FillingStep>());
        (string Id, double Mass)? fat = null, salt = null;
        string? panFat = null;
        var (whole, carried, inFilling) = (0.0, 0.0, 0.0);
        var (saltToTaste, byFeel) = (false, false);
        for (var i = 0; i < lines.Count; i++)
        {
            if (lines[i] is not { Trouble: LineTrouble.None, Item: { } id, Mass: { } mass })
            {
                if (lines[i] is { Trouble: LineTrouble.KindOnly, Item: { } unweighed } && kitchen[unweighed].Kind is var kind)
                {
                    panFat ??= kind == IngredientKind.Fat ? unweighed : null;
                    saltToTaste |= kind == IngredientKind.Salt && uses[i] != LineFor.Filling;
                    byFeel |= kind == IngredientKind.Liquid && unweighed == Staples.Water;
                }

                continue;
            }

            var share = Percent.FromFraction(mass.Value / flour);
            var filled = parts.Count;
            var (trouble, inside, beside) = (LineTrouble.None, uses[i] == LineFor.Filling, uses[i] == LineFor.Pan || IsBeside(lines[i].Text, kitchen.Words));
            switch (kitchen[id].Kind)
            {
                case IngredientKind.Mash or IngredientKind.Dairy or IngredientKind.Meat:
                case IngredientKind.Vegetable or IngredientKind.Sweet when share.Fraction > FillingFrom && uses[i] != LineFor.Dough:
                case IngredientKind.Vegetable or IngredientKind.Sweet or IngredientKind.Addition or IngredientKind.Binder or IngredientKind.Flour or IngredientKind.Liquid when inside:
                case IngredientKind.Seasoning when inside && kitchen[id].Is(Trait.Sticky):
                    parts.Add(new(id, mass, default, []));
                    break;
                case IngredientKind.Salt when inside:
                    inFilling += mass.Value * kitchen[id].Salt.Fraction;
                    break;
                case IngredientKind.Seasoning when inside:
                    spices.Add(new SeasonStep(id, mass));
                    break;
                case not IngredientKind.Fat when inside:
                    trouble = LineTrouble.NoPlace;
                    break;
                case IngredientKind.Flour or IngredientKind.Fat or IngredientKind.Separator when beside:
                case IngredientKind.Fat when fat is not null || inside:
                    panFat ??= kitchen[id].Kind == IngredientKind.Fat ? id : null;
                    trouble = LineTrouble.KindOnly;
                    break;
                case IngredientKind.Flour when flours.FindIndex(f => f.Id == id) is >= 0 and var at:
                    flours[at] = flours[at] with { Parts = Rounded(flours[at].Parts + share.Value) };
                    break;
                case IngredientKind.Flour when flours.Count < SpecCheck.MostFlours:
                    flours.Add(new(id, Rounded(share.Value)));
                    break;
                case IngredientKind.Fat:
                    fat = (id, mass.Value);
                    break;
                case IngredientKind.Salt when salt is null:
                    salt = (id, mass.Value);
                    break;
                case IngredientKind.Liquid or IngredientKind.Puree when liquids.Count < SpecCheck.MostLiquids && liquids.All(l => l.Id != id):
                    liquids.Add(new(id, Amount.OfFlour(Rounded(share.Value))));
                    break;
                case IngredientKind.Seasoning or IngredientKind.Leaven or IngredientKind.Addition or IngredientKind.Vegetable or IngredientKind.Binder or IngredientKind.Sweet
                    when additions.Count < SpecCheck.MostAdditions && additions.All(a => a.Id != id):
                    additions.Add(new(id, Amount.OfFlour(Rounded(share.Value))));
                    break;
                default:
                    trouble = LineTrouble.NoPlace;
                    break;
            }

            if (trouble == LineTrouble.None && parts.Count == filled && !inside)
            {
                whole += mass.Value;
                // A share of salt is of salt from every source.
                carried += kitchen[id].Kind == IngredientKind.Salt ? 0 : mass.Value * kitchen[id].Salt.Fraction;
            }

            lines[i] = lines[i] with { Trouble = trouble };
        }

        // Spice and salt of a filling of which nothing else is there have no place.
        if (parts.Count == 0)
        {
            for (var i = 0; i < lines.Count; i++)
            {
                lines[i] = uses[i] == LineFor.Filling && lines[i].Trouble == LineTrouble.None ? lines[i] with { Trouble = LineTrouble.NoPlace } : lines[i];
            }
        }

        var plain = BatchSpec.Plain;
        // With so much water it is ladled and not rolled.
        var poured = liquids.Sum(l => l.Amount.Share.Value * kitchen[l.Id].Water.Fraction) >= PoursFrom;
        var pieces = PiecesOf(recipe.Yield) ?? steps.Where(s => s.Told == StepTold.Pieces).Select(s => (int?)s.Figure!.Value).FirstOrDefault() ?? Math.Clamp((int)Math.Round(whole / UsualPiece), 1, DoughSolver.MostPieces);
        var fats = fat is { } f ? (f.Id, Amount.OfFlour(Rounded(100 * f.Mass / flour))) : (panFat ?? plain.Dough.Fat.Id, Amount.OfFlour(0));
        return plain with
        {
            // The recipe's own amounts are what is begun with.
            Start = StartSpec.Of(pieces) with { By = StartBy.Flour, Flour = new(flour), Makes = pieces },
            Dough = plain.Dough with
            {
                Flours = flours,
                Feel = poured ? Feel.Batter : plain.Dough.Feel,
                WaterBy = byFeel && liquids.Count == 0 ? WaterBy.Feel : WaterBy.Liquids,
                Liquids = liquids.Count > 0 ? liquids : [new(Staples.Water, byFeel ? Amount.TheRest : Amount.OfFlour(0))],
                Cups = lines.Where(l => l is { Trouble: LineTrouble.None, Item: { } item, Packing: not null } && kitchen[item].Kind == IngredientKind.Flour).Select(l => new FlourCups(l.Packing!.Value, AllMeasured: true)).FirstOrDefault(),
                Fat = new(fats.Item1, fats.Item2, FatWhen.RubbedIn),
                Salt = salt is { } s ? new(s.Id, Amount.OfFlour(Rounded(100 * (s.Mass * kitchen[s.Id].Salt.Fraction + carried) / flour))) : new(plain.Dough.Salt.Id, saltToTaste ? plain.Dough.Salt.Amount : Amount.OfFlour(Rounded(100 * carried / flour))),
                Additions = additions,
            },
            Balls = plain.Balls with { Mass = new(Rounded(whole / pieces)) },
            Pan = plain.Pan with { Fat = panFat ?? fats.Item1 },
            Sheet = plain.Sheet with { Fat = panFat ?? fats.Item1, Dust = flours[0].Id },
            Filling = parts.Count == 0 ? null : FillingSpec.Usual with
            {
                Parts = parts,
                Together = inFilling > 0 ? [.. spices, new SaltStep(Staples.Salt, new(Math.Clamp(Rounded(100 * inFilling / parts.Sum(p => p.Mass.Value)), 0.1, 4)), new(0))] : spices,
                Wall = new(ParcelShape.Gathered, new(Math.Clamp(Rounded(100 * parts.Sum(p => p.Mass.Value) / whole), LeastFilling, MostFilling))),
            },
        };
    }

    private static BatchSpec Told(BatchSpec spec, RecipeStep step) => step switch
    {
        { Told: StepTold.Rest, Figure.Value: var time } => spec with { Rest = spec.Rest with { Time = new(time) } },
        { Told: StepTold.Across, Figure.Value: var across } => spec with
        {
            Roll = spec.Roll with { Diameter = new(across) },
            Sheet = spec.Sheet with { Diameter = new(Math.Max(across, spec.Sheet.Diameter.Value)) },
        },
        { Told: StepTold.Heat, Figure.Value: var heat } => spec with { Pan = spec.Pan with { Temperature = new(heat) } },
        { Told: StepTold.Sides, Figure.Value: var side } => spec with
        {
            Pan = spec.Pan with { Roasting = Roasting.OneTurn, Own = [new(new(side), spec.Pan.FatPerSide), new(new(side), spec.Pan.FatPerSide)] },
        },
        _ => spec,
    };

    // What stands behind "plus extra" is beside; what stands before it is not.
    private static bool IsBeside(string text, Lexicon words) => Beside().IsMatch(Extra().Replace(words.Read(text), ""));

    private static int? PiecesOf(string yield) =>
        Count().Match(yield) is { Success: true } m && int.Parse(m.Value, CultureInfo.InvariantCulture) is >= 1 and <= DoughSolver.MostPieces and var n ? n : null;

    // Shares to a hundredth of a percent: finer than any scale.
    private static double Rounded(double value) => Math.Round(value, 2);

    [GeneratedRegex(@"\d{1,3}(?!\d)")]
    private static partial Regex Count();

    [GeneratedRegex(@"\b(?:brush|fry|frying|pan|cook|cooking|roast|roasting|griddle|between|layer|spread|smear|top|dust|dusting|rolling)", RegexOptions.IgnoreCase)]
    private static partial Regex Beside();

    [GeneratedRegex(@",? ?\(?(?:plus|and|with) (?:extra|more|some)\b.*$", RegexOptions.IgnoreCase)]
    private static partial Regex Extra();

    [GeneratedRegex(@"to taste|as needed|as required|if needed|\b(?:a little|some|a few|a bit)\b", RegexOptions.IgnoreCase)]
    private static partial Regex Loosely();
}
