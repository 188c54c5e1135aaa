using System.Globalization;

namespace Ystrata.Bench;

/// <summary>The pan: how long its runs take, and the figures docs/models.md gives.</summary>
internal static class PanBench
{
    private static readonly Density Dough = new(1.15);

    private static Slab Round(double mm, double cell = 0.25, bool frozen = false) => Slab.Of([new(new(mm), Dough, new(42), [])], frozen, new Millimetres(cell));

    private static Slab Parcel(double cell = 0.25) => Slab.Of([new(new(2.2), Dough, new(42), []), new(new(3.6), new(1.05), new(72), [], IsFilling: true), new(new(2.2), Dough, new(42), [])], cell: new Millimetres(cell));

    public static void Speed(Func<Func<object>, int, double[]> measure, Action<string, double[], double> say)
    {
        object Go(Slab slab, double pan, params int[] stays)
        {
            var run = new PanRun(slab, new(pan), Cookware.Usual);
            foreach (var stay in stays)
            {
                run.Go(stay);
                run.Turn();
            }

            return run;
        }

        var quarters = Enumerable.Repeat(new PatchMean(200, 160, 100), FacePhoto.Quarters).ToList();
        FacePhoto[] photos = [.. Enum.GetValues<FaceIs>().Select(f => new FacePhoto(f, [.. Enumerable.Repeat(new PatchMean(240, 240, 238), FacePhoto.Quarters)], quarters))];
        say("photo: colour of three faces", measure(() => FaceColours.Of(photos, 0.9), 1000), 50);
        foreach (var level in new[] { 1, 5 })
        {
            say($"practice: every second of 3 turns, {level}", measure(() => Trainer.Play(7, level, [45, 100, 150], 200), 40), 150);
        }

        var plain = BatchSpec.Plain;
        var stuffed = Schools.All.Single(s => s.Id == "stuffed").Spec;
        say("pan: one run, 3 mm, 150 s", measure(() => Go(Round(3), 215, 45, 60, 45), 1000), 1);
        say("pan: one run, 8 mm parcel, 240 s", measure(() => Go(Parcel(), 200, 60, 60, 60, 60), 500), 4);
        foreach (var (name, spec) in new[] { ("a plain round", plain), ("a stuffed parcel", stuffed) })
        {
            foreach (var roasting in Enum.GetValues<Roasting>())
            {
                var stage = new PanStage(spec.Pan with { Roasting = roasting }, Piece(spec), Learned.Nothing);
                say($"pan: advice, {name}, {roasting}", measure(() => stage.Advise(), 200), 60);
            }

            var row = new PanStage(spec.Pan with { On = Cookware.Usual with { Flame = Flame.Low } }, Piece(spec), Learned.Nothing);
            var stays = row.Stays(row.Advise().Stays);
            say($"pan: twenty in a row, {name}", measure(() => row.RowOn(stays), 200), 60);
        }
    }

    /// <summary>The table in docs/models.md.</summary>
    public static void Figures()
    {
        Console.WriteLine();
        Console.WriteLine($"{"pan model",-34}{"blisters",10}{"finer cells",13}{"finer steps",13}{"cooked",9}");
        foreach (var (mm, pan) in new[] { (1.5, 230.0), (2.4, 230), (3, 215), (4, 200), (6, 190) })
        {
            var (usual, cells, steps) = (Cue(Round(mm), pan, 2), Cue(Round(mm, 0.125), pan, 2), Cue(Round(mm), pan, 4));
            Line($"{mm} mm at {pan} °C", usual, cells, steps, Through(Round(mm), pan));
        }

        Line("3 mm frozen at 215 °C", Cue(Round(3, frozen: true), 215, 2), Cue(Round(3, 0.125, true), 215, 2), Cue(Round(3, frozen: true), 215, 4), Through(Round(3, frozen: true), 215));
        Line("8 mm stuffed at 200 °C", Cue(Parcel(), 200, 2), Cue(Parcel(0.125), 200, 2), Cue(Parcel(), 200, 4), Through(Parcel(), 200));
        Console.WriteLine();
        Console.WriteLine($"{"advice: 80 g round of 18 cm, gold",-34}{"stays",24}{"in all",9}{"pan",12}{"gone",8}");
        foreach (var kind in Enum.GetValues<PanKind>())
        {
            var pan = Planner.Plan(BatchSpec.Plain with { Pan = BatchSpec.Plain.Pan with { On = Cookware.Of(kind) } }, Kitchen.Shipped).Value!.Pan;
            Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
                $"{kind + ", medium flame, 210 °C",-34}{string.Join(" + ", pan.Program.Turns.Select(t => t.Time.Value)),22} s{pan.Program.Total.Value,7:0} s{pan.Heat.Low.Value,5:0} to {pan.Heat.High.Value,3:0}{pan.Done.Lost.Value,6:0.0} %"));
        }

        static void Line(string name, double usual, double cells, double steps, double cooked) => Console.WriteLine(string.Create(CultureInfo.InvariantCulture,
            $"{name,-34}{usual,8:0.0} s{Math.Round(100 * (cells / usual - 1), 1),11:+0.0;-0.0} %{Math.Round(100 * (steps / usual - 1), 1),11:+0.0;-0.0} %{cooked,7:0} s"));
    }

    private static PanPiece Piece(BatchSpec spec)
    {
        var sheet = Planner.Plan(spec, Kitchen.Shipped).Value!;
        return sheet.Filling is { } f
            ? new(f.Parcel.Area, [new(f.Parcel.Wall, Dough, sheet.Dough.Content.Water, []), new(f.Parcel.Layer, f.End.Density, Percent.FromFraction(f.End.Water / f.End.Mass), [], IsFilling: true), new(f.Parcel.Wall, Dough, sheet.Dough.Content.Water, [])], Cooked.SafeCore, false, sheet.Roll.Across, Cooked.Boils)
            : new(SquareCentimetres.OfRound(sheet.Roll.Across), [new(sheet.Roll.Thickness, Dough, sheet.Dough.Content.Water, [])], Cooked.SafeCore, false, sheet.Roll.Across, Cooked.Boils);
    }

    // To a tenth of a second: between the last whole second before the cue and the first after.
    private static double Cue(Slab slab, double pan, int steps)
    {
        var run = new PanRun(slab, new(pan), Cookware.Usual, stepsASecond: steps);
        var before = 0.0;
        while (!Roast.Cue(run, batter: false))
        {
            before = run.At(0.35).Value;
            run.Go(1);
        }

        return run.Time.Value - 1 + (94 - before) / (run.At(0.35).Value - before);
    }

    // Turned every 40 s.
    private static double Through(Slab slab, double pan)
    {
        var run = new PanRun(slab, new(pan), Cookware.Usual);
        while (run.DoughPassed.Value < 92 || run.FillingPassed.Value < Cooked.SafeCore.Value)
        {
            run.Go(1);
            if (run.Time.Value % 40 == 0)
            {
                run.Turn();
            }
        }

        return run.Time.Value;
    }
}
