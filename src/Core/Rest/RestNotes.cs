namespace Ystrata.Core.Rest;

public static class RestNotes
{
    // Dough that warms back longer than this is better divided cold (empirical).
    private static readonly Minutes LongWarming = new(90);

    internal static IEnumerable<Note> Of(CheckedBatch batch, RestSheet rest)
    {
        var (spec, poured) = (batch.Spec, batch.Route.Poured);
        Quantity[] window = [Quantity.Of(QuantityName.Rest, rest.Time), Quantity.Of(QuantityName.Least, rest.Least), Quantity.Of(QuantityName.Best, rest.Best), Quantity.Of(QuantityName.Longest, rest.Longest)];
        Quantity[] costs = [Quantity.Of(QuantityName.Back, rest.Now.PullsBack), Quantity.Of(QuantityName.Thinnest, rest.Now.Thinnest)];
        if (rest.Longest.Value < rest.Least.Value)
        {
            yield return new(
                rest.End == RestEnd.Skin ? NoteCode.RestNeedsCover : NoteCode.RestTooWarm, Stage.Rest, Severity.Wrong, window,
                Mends: rest.End == RestEnd.Skin ? [Cover(spec.Rest)] : null);
        }
        else if (rest.Time.Value > rest.Longest.Value)
        {
            var code = rest.End switch
            {
                RestEnd.Skin => NoteCode.RestSkin,
                RestEnd.Safety => NoteCode.RestUnsafe,
                RestEnd.Gas => NoteCode.RestGas,
                _ => NoteCode.RestSours,
            };
            yield return new(
                code, Stage.Rest, rest.End == RestEnd.Safety ? Severity.Caution : Severity.Wrong, window,
                Mends: rest.End == RestEnd.Skin && !spec.Rest.Covered ? [Cover(spec.Rest)] : [To(spec.Rest, rest.Best.Value <= rest.Longest.Value ? rest.Best : rest.Longest)]);
        }
        else if (poured)
        {
            yield return rest.Time.Value < rest.Least.Value
                ? new(NoteCode.BatterStandLonger, Stage.Rest, Severity.Watch, window)
                : new(NoteCode.BatterStood, Stage.Rest, Severity.Right, window);
        }
        else if (rest.Time.Value < rest.Least.Value)
        {
            yield return new(
                NoteCode.RestShort, Stage.Rest, Severity.Watch, [.. window, .. costs], Mends: [To(spec.Rest, rest.Best.Value <= rest.Longest.Value ? rest.Best : rest.Least)]);
        }
        else
        {
            yield return new(rest.Time.Value < rest.Best.Value ? NoteCode.RestEnough : NoteCode.RestBest, Stage.Rest, Severity.Right, [.. window, .. costs]);
        }

        if (rest is { WarmsAsOne: { } one, WarmsAsBalls: { } balls } && !poured)
        {
            yield return new(one.Value > LongWarming.Value ? NoteCode.DivideCold : NoteCode.WarmFirst, Stage.Rest, Severity.Watch, [Quantity.Of(QuantityName.One, one), Quantity.Of(QuantityName.Balls, balls)]);
        }
    }

    private static Mend To(RestSpec spec, Minutes time)
    {
        var to = new Minutes(Math.Floor(time.Value));
        return new(MendCode.DoughRestTo, [Quantity.Of(QuantityName.Rest, to)], Rest: spec with { Time = to });
    }

    private static Mend Cover(RestSpec spec) => new(MendCode.CoverIt, [], Rest: spec with { Covered = true });
}
