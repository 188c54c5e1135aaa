namespace Ystrata.Core.Tests;

/// <summary>Fillings to vary in a test.</summary>
internal static class Fillings
{
    public static readonly FillingStep Grate = new ChopStep(ChopBy.Grate, new(3));
    public static readonly FillingStep Cloth = new SqueezeStep(SqueezeBy.Cloth);
    public static readonly FillingStep Hand = new SqueezeStep(SqueezeBy.Hand);
    public static readonly FillingStep Mash = new ChopStep(ChopBy.Mash, new(1));

    public static FillingStep Salt(double share = 1.5, double minutes = 15) => new SaltStep("salt-fine", new(share), new(minutes));

    public static FillingStep Saute(double minutes, double fat = 10) => new SauteStep(new(minutes), new(240), "ghee", new(fat));

    public static FillingStep Bind(double grams, string id = "gram-flour-roasted") => new BindStep(id, new(grams));

    public static FillingPart Part(string id, double grams, params FillingStep[] steps) => new(id, new(grams), default, steps);

    public static FillingSpec Of(FillingPart part, params FillingStep[] together) => Of([part], together);

    public static FillingSpec Of(FillingPart[] parts, params FillingStep[] together) =>
        new(parts, together, new(1.2), LiquorToDough: false, new(ParcelShape.Gathered, new(80)));

    public static FillingMade Made(FillingSpec spec) => FillingStage.Make(spec, Breads.Kitchen);

    public static FillingState End(FillingSpec spec) => Made(spec).End;

    /// <summary>A white bread stuffed so, a piece for every 80 g of dough.</summary>
    public static BatchSpec Stuffed(FillingSpec filling) => Breads.White() with { Filling = filling };

    public static BatchSheet Plan(FillingSpec filling) => Breads.Plan(Stuffed(filling));

    public static IReadOnlyList<Refusal> Refusals(FillingSpec filling) => Breads.Refused(Stuffed(filling), Breads.Kitchen);
}
