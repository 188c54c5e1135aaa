namespace Ystrata.Core.Filling;

/// <summary>What is wrapped, and what of its liquor the dough has taken.</summary>
internal sealed record Stuffing(FillingMade Made, Grams LiquorUsed);
