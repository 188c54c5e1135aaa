namespace Ystrata.Core.Planning;

/// <summary>What a first batch is asked.</summary>
/// <param name="Flour">Nothing for the school's own.</param>
/// <param name="Pan">Nothing for a usual one.</param>
public sealed record FirstBatch(int Pieces, string? Flour = null, PanKind? Pan = null);

/// <summary>From a school to a batch: the first one of it, or one that was begun otherwise and is to be made its way.</summary>
public static class SchoolMove
{
    /// <summary>The school's usual batch with three things answered; or why it cannot be worked.</summary>
    public static Answer<BatchSpec> First(School school, FirstBatch answers, Kitchen kitchen)
    {
        var spec = school.Spec with { Start = StartSpec.Of(answers.Pieces) with { Each = school.Spec.Start.Each } };
        if (answers.Pan is { } pan)
        {
            spec = spec with { Pan = spec.Pan with { On = Cookware.Of(pan) with { Flame = spec.Pan.Cookware.Flame } } };
        }

        if (answers.Flour is { } flour)
        {
            // Its flour on the bench and between the leaves is the dough's own.
            var own = spec.Dough.Flours[0].Id;
            var dust = spec.Sheet.Dust == own ? flour : spec.Sheet.Dust;
            spec = spec with
            {
                Dough = spec.Dough with { Flours = [new(flour, 100)] },
                Sheet = spec.Sheet with { Dust = dust },
                Fold = new([.. spec.Fold.Steps.Select(s => s.With(spec.Sheet.Fat, dust))]),
            };
            if (kitchen.Larder.TryGet(flour, out var line) && line!.Kind == IngredientKind.Flour)
            {
                spec = spec with { Dough = Thirsty(spec.Dough, school.Spec.Dough, kitchen) };
            }
        }

        return Workable(spec, kitchen);
    }

    /// <summary>
    /// A batch made the way of a school. How many, of what flours, with what liquid, salt, seeds and fats, on which pan and by whom stays; the feel of the dough, its rest,
    /// ball, sheet, fold, last roll, filling or none, and how it is roasted are the school's. Its water follows the thirst of the batch's own flours.
    /// </summary>
    public static Answer<BatchSpec> To(BatchSpec spec, School school, Kitchen kitchen) => Planner.Check(spec, kitchen).Then<BatchSpec>(_ =>
    {
        var its = school.Spec;
        var dust = its.Sheet.Dust == BatchSpec.Plain.Sheet.Dust || its.Sheet.Dust == its.Dough.Flours[0].Id ? spec.Sheet.Dust : its.Sheet.Dust;
        return Workable(
            spec with
            {
                Start = spec.Start.By == StartBy.Filling && its.Filling is null ? spec.Start with { By = StartBy.Pieces } : spec.Start,
                Dough = DoughOf(spec.Dough, its.Dough, kitchen),
                Rest = its.Rest with { Air = spec.Rest.Air },
                Balls = its.Balls with { Cutting = spec.Balls.Cutting ?? its.Balls.Cutting },
                Ladle = its.Ladle,
                Sheet = its.Sheet with { Fat = spec.Sheet.Fat, Dust = dust },
                Fold = new([.. its.Fold.Steps.Select(s => s.With(spec.Sheet.Fat, dust))]),
                Roll = its.Roll,
                Pan = spec.Pan with
                {
                    Temperature = its.Pan.Temperature,
                    FatPerSide = its.Pan.FatPerSide,
                    Colour = its.Pan.Colour,
                    Roasting = its.Pan.Roasting,
                    Own = null,
                },
                Filling = its.Filling is null ? null : spec.Filling ?? its.Filling,
            },
            kitchen);
    });

    private static DoughSpec DoughOf(DoughSpec own, DoughSpec its, Kitchen kitchen)
    {
        var liquids = own.Liquids.Count == 0 || its.Liquids.Any(l => kitchen[l.Id].Kind != IngredientKind.Liquid) ? its.Liquids : own.Liquids;
        if (!liquids.Any(l => l.Amount.By == AmountBy.Rest))
        {
            liquids = [liquids[0] with { Amount = liquids[0].Amount with { By = AmountBy.Rest } }, .. liquids.Skip(1)];
        }

        return Thirsty(
            own with
            {
                Feel = its.Feel,
                WaterBy = its.WaterBy,
                Hydration = its.Hydration,
                Liquids = liquids,
                Fat = own.Fat with { Amount = its.Fat.Amount, When = its.Fat.When },
                Mix = own.Mix with { Kneading = its.Mix.Kneading, WentIn = null },
            },
            its,
            kitchen);
    }

    // Points of water that its flours drink more, or less, than those the school reckons with (models.md B).
    private static DoughSpec Thirsty(DoughSpec dough, DoughSpec its, Kitchen kitchen) => dough with
    {
        Hydration = new(Math.Round(its.Hydration.Value + FlourMix.Of(dough.Flours, kitchen).Absorption.Value - FlourMix.Of(its.Flours, kitchen).Absorption.Value)),
    };

    private static Answer<BatchSpec> Workable(BatchSpec spec, Kitchen kitchen) => Planner.Check(spec, kitchen).Then<BatchSpec>(_ => spec);
}
