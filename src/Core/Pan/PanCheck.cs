namespace Ystrata.Core.Pan;

/// <summary>Whether a pan can be worked with at all.</summary>
internal static class PanCheck
{
    public static readonly Limit FloorThickness = new("pan.on.thickness", 0.8, 30, Millimetres.Unit), FloorAcross = new("pan.on.across", 100, 900, Millimetres.Unit);

    public static IReadOnlyList<Limit> Limits { get; } =
    [
        new("pan.temperature", 120, 320, Celsius.Unit),
        new("pan.measured", 60, 400, Celsius.Unit),
        new("pan.fatPerSide", 0, 60, Grams.Unit),
        new("pan.second.share", 1, 99, Percent.Unit),
        FloorThickness,
        FloorAcross,
        new("pan.together", 1, 12, ""),
        new("pan.stack", 2, 8, ""),
        new("pan.own[].time", 3, 900, Seconds.Unit),
        new("pan.own[].fat", 0, 60, Grams.Unit),
        new("pan.holdFor", 0, 240, Minutes.Unit),
    ];

    public static void Figures(BatchSpec spec, Kitchen kitchen, List<Refusal> refusals)
    {
        var pan = spec.Pan;
        void InRange(string field, double? value)
        {
            if (value is { } v)
            {
                SpecPlaces.InRange("pan." + field, v, refusals);
            }
        }

        InRange("temperature", pan.Temperature.Value);
        InRange("measured", pan.Measured?.Value);
        InRange("fatPerSide", pan.FatPerSide.Value);
        InRange("second.share", pan.Second?.Share.Value);
        refusals.AddRange(pan.On?.Check("pan.on") ?? []);
        InRange("together", pan.Together);
        InRange("stack", pan.Stack);
        InRange("holdFor", pan.HoldFor?.Value);
        SpecPlaces.OfKind("pan.fat", pan.Fat, kitchen, refusals);
        if (pan.Second is { } second)
        {
            SpecPlaces.OfKind("pan.second.id", second.Id, kitchen, refusals);
            if (second.Id == pan.Fat)
            {
                refusals.Add(new("pan.second.id", RefusalCode.NamedTwice, Item: second.Id));
            }
        }

        if (pan.Own is { } own)
        {
            if (own.Count is 0 or > PanSpec.MostStays)
            {
                refusals.Add(new("pan.own", RefusalCode.TooMany, own.Count, 1, PanSpec.MostStays));
            }

            for (var i = 0; i < Math.Min(own.Count, PanSpec.MostStays); i++)
            {
                if (SpecPlaces.Stands(own[i], $"pan.own[{i}]", refusals))
                {
                    InRange($"own[{i}].time", own[i].Time.Value);
                    InRange($"own[{i}].fat", own[i].Fat.Value);
                }
            }
        }

        if (pan.Frozen && spec.Dough.Feel == Feel.Batter)
        {
            refusals.Add(new("pan.frozen", RefusalCode.FrozenBatter));
        }
    }
}
