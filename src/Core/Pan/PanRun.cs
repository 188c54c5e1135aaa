namespace Ystrata.Core.Pan;

public enum Face
{
    /// <summary>The face that goes down first.</summary>
    First,
    Second,
}

/// <summary>A piece on a pan from second to second: heat and water through its thickness, the pan that cools under it and comes back (models.md F).</summary>
/// <remarks>
/// One-dimensional finite volumes with the enthalpy of ice and water in every cell, stepped forward in time implicitly,
/// so that it is stable with any step. A copy goes its own way, so that what would happen later can be tried out.
/// </remarks>
public sealed class PanRun
{
    private const double WaterHeat = 4180, IceHeat = 2100, Latent = 2.257e6, Melting = 334_000; // J/(kg·K), J/kg
    private const double DryContact = 200, FatContact = 350; // W/(m²·K), models.md F
    private const double AirContact = 18; // W/(m²·K)
    private const double SpoonedContact = 90; // W/(m²·K), hot fat spooned over the top now and then (empirical)
    private const double SpoonedUnderPan = 25; // K, that fat against the pan it comes from (empirical)
    private const double StackContact = 3; // W/(m²·K), between pieces as warm as itself (empirical)
    internal const double Losses = 35; // W/(m²·K)
    private const double Dried = 0.22, Moist = 0.78, VapourCarries = 0.8; // shares, share more at 100 °C (models.md F)
    private const double SkinEvaporation = 0.08, RoomVapour = 0.012; // -, kg/m³
    private const double CrustDepth = 0.00025; // m
    private const double GasConstant = 8.314, ColourEnergy = 80_000, GoldSeconds = 45, GoldKelvin = 408.15;
    private const double ColoursFrom = 110, BoilsDry = 25, LastWater = Slab.LastOfWater, DryingTo = 0.02;
    private const double AtBoil = 1e-6; // K
    private const double LeastMoist = 0.02; // of a cell: two dry ones do not touch
    private const double FrozenShare = 0.8;

    private const double RisesDry = BoilsDry / (LastWater - DryingTo); // K, by so many more a cell boils when it is dry (models.md F)
    private static readonly double KitchenAir = Air.Kitchen.Value, PanAir = Air.AtPan.Value;

    private readonly Slab slab;
    private readonly double[] temperature, water, ice, hottest;
    private readonly double[] under, over, conducts, eliminated, solved;
    private readonly double panHeat, burner, ring, pace, boils, browns, steams;
    private readonly bool[] fatted = new bool[2];
    private readonly double[] colour = new double[2];
    private readonly int stepsASecond;
    private double pan, panHigh;
    private int turns;

    /// <param name="pan">The pan as the piece goes on.</param>
    /// <param name="ring">Pan round the bread, as a ratio: pan area for each piece over the area of one.</param>
    /// <param name="learned">How much longer everything takes on this cook's pan, how fast it browns and how much it drives off; nothing for the estimates.</param>
    /// <param name="stepsASecond">How finely time is cut.</param>
    public PanRun(Slab slab, Celsius pan, Cookware on, double ring = RingOfPan, Learned? learned = null, int stepsASecond = 2)
    {
        var own = learned ?? Learned.Nothing;
        (this.slab, this.pan, this.ring, boils) = (slab, pan.Value, ring, slab.Boils.Value);
        (pace, browns, steams) = (own.PanTime, own.BrowningOn(on.Kind), own.SteamOn(on.Kind));
        (panHeat, burner, panHigh) = (on.HeatPerArea, Cookware.Burner(on.Flame), pan.Value);
        var n = slab.Cells;
        (temperature, water, ice, hottest) = (new double[n], (double[])slab.Water0.Clone(), new double[n], new double[n]);
        (under, over, conducts, eliminated, solved) = (new double[n], new double[n], new double[n], new double[n], new double[n]);
        slab.From.CopyTo(temperature, 0);
        slab.From.CopyTo(hottest, 0);
        Freeze(slab.Frozen);
        this.stepsASecond = stepsASecond;
    }

    private PanRun(PanRun other)
    {
        (slab, pan, panHigh, ring, pace, panHeat, burner, stepsASecond, boils, browns, steams) =
            (other.slab, other.pan, other.panHigh, other.ring, other.pace, other.panHeat, other.burner, other.stepsASecond, other.boils, other.browns, other.steams);
        (temperature, water, ice, hottest) = ([.. other.temperature], [.. other.water], [.. other.ice], [.. other.hottest]);
        var n = slab.Cells;
        (under, over, conducts, eliminated, solved) = (new double[n], new double[n], new double[n], new double[n], new double[n]);
        (colour, fatted) = ([.. other.colour], [.. other.fatted]);
        (turns, Time, Spooned, Taken, Evaporated, VapourHeat, AirHeat) = (other.turns, other.Time, other.Spooned, other.Taken, other.Evaporated, other.VapourHeat, other.AirHeat);
    }

    /// <summary>Pan that takes part round a bread of usual size, models.md F.</summary>
    public const double RingOfPan = 1.7;

    public Seconds Time { get; private set; }

    public Celsius Pan => new(pan);

    /// <summary>The hottest the pan has been under it.</summary>
    internal Celsius PanHigh => new(panHigh);

    /// <summary>Hot fat is spooned over the upper face.</summary>
    public bool Spooned { get; set; }

    // It lies in a stack on other pieces, off the pan.
    private bool Stacked { get; set; }

    /// <summary>Water in it.</summary>
    internal Celsius Boils => new(boils);

    /// <summary>As it was laid.</summary>
    internal Millimetres Thickness => slab.Thickness;

    /// <summary>The face that lies on the pan.</summary>
    public Face Down => turns % 2 == 0 ? Face.First : Face.Second;

    /// <summary>It has not been turned yet.</summary>
    internal bool IsFirstStay => turns == 0;

    /// <summary>Writes down every second on the pan; a copy is not written down.</summary>
    internal PanTape? Tape { get; init; }

    /// <summary>The coldest place inside.</summary>
    public Celsius Middle => new(temperature.Min());

    /// <summary>A square metre of it as it is, kg.</summary>
    internal double MassPerArea => slab.MassPerArea - Gone;

    // Water gone, kg, as this kitchen's scale has taught it; the heat it took along is the model's.
    private double Gone => Math.Min(Evaporated * steams, slab.WaterPerArea);

    /// <summary>The coldest that any of the dough has been at its hottest.</summary>
    public Celsius DoughPassed => Passed(filling: false);

    /// <summary>The same of the filling; of the dough where there is none.</summary>
    public Celsius FillingPassed => slab.Stuffed ? Passed(filling: true) : DoughPassed;

    /// <summary>A face has charred.</summary>
    public bool Charred => Math.Max(colour[0], colour[1]) > DarkestFace;

    /// <summary>Darker than this no face should be (models.md F).</summary>
    public const double DarkestFace = 2.5;

    /// <summary>Water gone, percent of the raw piece.</summary>
    public Percent Lost => Percent.FromFraction(Gone / slab.MassPerArea);

    /// <summary>Share of its water that has gone, 0 to 1.</summary>
    internal double Steamed => slab.WaterPerArea > 0 ? Gone / slab.WaterPerArea : 0;

    /// <summary>Water that is left, percent of the piece as it is.</summary>
    public Percent WaterShare => Percent.FromFraction((slab.WaterPerArea - Gone) / MassPerArea);

    // A square metre's: heat from the pan and from the air, J; water gone, kg; heat it took along, J. Counted at the faces, not from the cells.
    internal double Taken { get; private set; }

    internal double AirHeat { get; private set; }

    internal double Evaporated { get; private set; }

    internal double VapourHeat { get; private set; }

    /// <summary>How dark a face is: 0.3 pale, 1 gold, 1.8 brown, 3 charred.</summary>
    public double ColourOf(Face face) => colour[(int)face];

    /// <summary>Water in the outer quarter of a millimetre of a face, kg per kg of raw dough.</summary>
    internal double CrustWater(Face face) => Crust(face == Face.First ? 0 : water.Length - 1).Water;

    /// <summary>How deep a face has dried through: as far as a cell has boiled down to its last water, with the part of the next one that has.</summary>
    internal Millimetres DriedThrough(Face face)
    {
        var (depth, step) = (0.0, face == Face.First ? 1 : -1);
        for (var i = face == Face.First ? 0 : water.Length - 1; i >= 0 && i < water.Length; i += step)
        {
            var dried = slab.PerBoiled[i] == 0 ? 1 : Math.Clamp((slab.Water0[i] - water[i]) * slab.PerBoiled[i], 0, 1);
            depth += dried * slab.Thick[i];
            if (dried < 1)
            {
                break;
            }
        }

        return new(depth * 1000);
    }

    public PanRun Copy() => new(this);

    /// <summary>The same piece once it has cooled, laid on a pan again.</summary>
    public PanRun Again(Celsius piece, Celsius on)
    {
        var again = new PanRun(this) { pan = on.Value, panHigh = on.Value, Time = default };
        Array.Fill(again.temperature, piece.Value);
        Array.Fill(again.hottest, piece.Value);
        again.Freeze(piece.Value < 0);
        return again;
    }

    private void Freeze(bool frozen)
    {
        for (var i = 0; i < ice.Length; i++)
        {
            ice[i] = frozen ? water[i] * FrozenShare : 0;
        }
    }

    /// <summary>The other face goes down.</summary>
    public void Turn() => turns++;

    /// <summary>Fat goes on a face and stays there.</summary>
    public void Fatten(Face face) => fatted[(int)face] = true;

    /// <summary>The temperature so deep over the face that went down first, from the outer cells' middles inwards.</summary>
    /// <param name="share">Of the thickness, 0 to 1.</param>
    public Celsius At(double share)
    {
        var depth = share * slab.Thick.Sum();
        var (below, at) = (0.0, 0);
        while (at < temperature.Length - 1 && below + slab.Thick[at] / 2 + (slab.Thick[at] + slab.Thick[at + 1]) / 2 <= depth)
        {
            below += slab.Thick[at++];
        }

        var middle = below + slab.Thick[at] / 2;
        if (at == temperature.Length - 1 || depth <= middle)
        {
            return new(temperature[at]);
        }

        var step = (slab.Thick[at] + slab.Thick[at + 1]) / 2;
        return new(temperature[at] + (temperature[at + 1] - temperature[at]) * (depth - middle) / step);
    }

    /// <summary>Goes on for so many whole seconds.</summary>
    public void Go(int seconds)
    {
        var dt = 1.0 / stepsASecond / pace;
        for (var second = 0; second < seconds; second++)
        {
            for (var i = 0; i < stepsASecond; i++)
            {
                Step(dt);
            }

            if (!Stacked)
            {
                Time = new(Time.Value + 1);
                Tape?.Take(this);
            }
        }
    }

    /// <summary>Lies for so long in a stack of pieces as warm as itself, while others have the pan; its own time on the pan stands still.</summary>
    public void Wait(int seconds)
    {
        Stacked = true;
        Go(seconds);
        Stacked = false;
    }

    /// <summary>What the cells hold, J/m² over 0 °C with all water thawed.</summary>
    internal double Stored()
    {
        var heat = 0.0;
        for (var i = 0; i < temperature.Length; i++)
        {
            heat += slab.Mass[i] * (Heat(i) * temperature[i] - Melting * ice[i]);
        }

        return heat;
    }

    internal double WaterLeft => Enumerable.Range(0, water.Length).Sum(i => water[i] * slab.Mass[i]);

    /// <summary>Saturated vapour, kg/m³: Magnus over water, and the gas law.</summary>
    internal static double Vapour(double celsius) => 610.94 * Math.Exp(17.625 * celsius / (celsius + 243.04)) / (461.5 * (celsius + 273.15));

    private void Step(double dt)
    {
        var (n, heat, t, turned) = (temperature.Length, slab.Mass, temperature, Down == Face.Second);
        Resist();
        var (down, up) = turned ? (n - 1, 0) : (0, n - 1);
        var (crustWet, crustWater) = Crust(down);
        var contact = Stacked ? StackContact : (fatted[(int)Down] ? FatContact : DryContact) * (0.35 + 0.65 * crustWet);
        var hearth = Stacked ? t[down] : pan;
        var inner = turned ? over[down] : under[down];
        var ofPan = 1 / (1 / contact + inner);
        var (h, air) = Stacked ? (StackContact, KitchenAir) : Spooned ? (SpoonedContact, Math.Max(pan - SpoonedUnderPan, PanAir)) : (AirContact, PanAir);
        var ofAir = 1 / (1 / h + (turned ? under[up] : over[up]));
        var skin = Spooned || Stacked ? 0 : SkinEvaporation * Math.Min(1, 1.5 * water[up] * slab.PerWater0[up]) * AirContact / 1100 * Math.Max(Vapour(t[up]) - RoomVapour, 0) * dt;

        var perStep = 1 / dt;
        // Backward Euler: from below upwards every cell is written in terms of the one over it, then solved from above down.
        var (low, lowAir) = turned ? (ofAir, air) : (ofPan, hearth);
        var (high, highAir) = turned ? (ofPan, hearth) : (ofAir, air);
        var (below, share, rest) = (low, 0.0, lowAir);
        for (var i = 0; i < n; i++)
        {
            var (at, wet) = (t[i], water[i]);
            var g = conducts[i] = i == n - 1 ? high : 1 / (over[i] + slab.Film[i] + under[i + 1]);
            if (at >= boils && wet > LastWater)
            {
                // It boils: whatever comes in takes water out, and its warmth stays where it is.
                (share, rest) = (0, boils);
            }
            else
            {
                // On the curve of its last water most of what comes in takes water out; under it, or dry, all of it warms the cell.
                var dries = at >= boils && wet > DryingTo && at >= Boiling(wet) - AtBoil;
                var capacity = heat[i] * perStep * (Heat(i) + (dries ? Latent / RisesDry : 0));
                var perDiagonal = 1 / (capacity + g + below * (1 - share));
                rest = (capacity * at + below * rest) * perDiagonal;
                share = g * perDiagonal;
            }

            (eliminated[i], solved[i], below) = (share, rest, g);
        }

        var next = highAir;
        for (var i = n - 1; i >= 0; i--)
        {
            next = solved[i] += eliminated[i] * next;
        }

        // The heat that went through every border, then what it does to each cell.
        var taken = ofPan * (hearth - solved[down]);
        var above = ofAir * (air - solved[up]);
        var into = low * (lowAir - solved[0]);
        for (var i = 0; i < n; i++)
        {
            var on = conducts[i] * (solved[i] - (i == n - 1 ? highAir : solved[i + 1]));
            if (t[i] < boils)
            {
                t[i] = solved[i];
            }
            else
            {
                t[i] += dt * (into - on) / (heat[i] * Heat(i));
            }

            into = on;
            if (t[i] > 0 && ice[i] > 0)
            {
                Thaw(i);
            }

            if (t[i] > boils && water[i] > 0)
            {
                Boil(i);
            }

            hottest[i] = Math.Max(hottest[i], t[i]);
        }

        Taken += taken * dt;
        AirHeat += above * dt;
        DryOut(up, Math.Min(skin / heat[up], water[up] - ice[up]), Latent / Heat(up));
        if (Stacked)
        {
            // Others lie on the pan meanwhile.
            return;
        }

        Darken(Down, solved[down] + taken * inner, crustWater, dt);
        pan += dt * (ring * (burner - Losses * (pan - KitchenAir)) - taken) / (ring * panHeat);
        panHigh = Math.Max(panHigh, pan);
    }

    // From the middle of a cell's moist part to its borders. A cell dries from the outside in: the part that has boiled down to its
    // last water lies outside the part that has not, so that a front moves through a cell as it would through finer ones.
    private void Resist()
    {
        var n = temperature.Length;
        var (halfMoist, water0, perBoiled) = (slab.HalfMoist, slab.Water0, slab.PerBoiled);
        for (var i = 0; i < n; i++)
        {
            var (at, half) = (temperature[i], halfMoist[i]);
            if (perBoiled[i] == 0)
            {
                // Nothing in it ever boiled away: it is dry all through.
                under[i] = over[i] = half / (Dried + Moist * water[i] * slab.PerWater0[i]);
                continue;
            }

            var hot = at <= 60 ? 0 : at >= 100 ? VapourCarries : VapourCarries / 40 * (at - 60);
            var dried = Math.Min((water0[i] - water[i]) * perBoiled[i], 1);
            var moist = Math.Max(1 - dried, LeastMoist) * half * (hot == 0 ? 1 : hot == VapourCarries ? 1 / (1 + VapourCarries) : 1 / (1 + hot));
            var dry = 0.0;
            if (dried > 0)
            {
                var m = Math.Min(water[i] * slab.PerWater0[i], slab.LastWater[i]);
                dry = 2 * dried * half / ((Dried + Moist * m) * (1 + hot * m));
            }

            (under[i], over[i]) = i < n / 2 ? (dry + moist, moist) : (moist, dry + moist);
        }
    }

    // Ice thaws before a cell warms past 0 °C.
    private void Thaw(int i)
    {
        var thawed = Math.Min(ice[i], Heat(i) * temperature[i] / (Melting - (WaterHeat - IceHeat) * temperature[i]));
        var before = Heat(i) * temperature[i] - Melting * ice[i];
        ice[i] -= thawed;
        temperature[i] = (before + Melting * ice[i]) / Heat(i);
    }

    // Water boils off before a cell warms past its boiling point, which rises as the last of it goes.
    private void Boil(int i)
    {
        var over = temperature[i] - Boiling(water[i]);
        if (over > 0)
        {
            var cools = Latent / Heat(i);
            var rises = water[i] is < LastWater and > DryingTo ? RisesDry : 0;
            DryOut(i, Math.Min(over / (cools + rises), water[i]), cools);
            // The last digit of a double takes no cell off the boil.
            temperature[i] = Math.Max(temperature[i], boils);
        }
    }

    /// <param name="cools">K for all of its raw mass boiling away.</param>
    private void DryOut(int i, double share, double cools)
    {
        if (share <= 0)
        {
            return;
        }

        // What stays is cooled by what leaves, and what leaves takes its own warmth along.
        temperature[i] -= share * cools;
        water[i] -= share;
        var kilograms = share * slab.Mass[i];
        Evaporated += kilograms;
        VapourHeat += kilograms * (Latent + WaterHeat * temperature[i]);
    }

    private void Darken(Face face, double celsius, double crustWater, double dt)
    {
        if (celsius > ColoursFrom)
        {
            var dryness = Math.Clamp((0.30 - crustWater) / 0.20, 0, 1);
            colour[(int)face] += browns * dt * dryness / GoldSeconds * Math.Exp(ColourEnergy / GasConstant * (1 / GoldKelvin - 1 / (celsius + 273.15)));
        }
    }

    // Means over the outer 0.25 mm, so that nothing hangs on the grid: water left of what was there, and water per raw dough.
    private (double Wet, double Water) Crust(int at)
    {
        var (left, wet, sum, step) = (CrustDepth, 0.0, 0.0, at == 0 ? 1 : -1);
        for (var i = at; left > 1e-12 && i >= 0 && i < water.Length; i += step)
        {
            var part = Math.Min(left, slab.Thick[i]);
            wet += part * water[i] * slab.PerWater0[i];
            sum += part * water[i];
            left -= part;
        }

        var depth = CrustDepth - left;
        return (wet / depth, sum / depth);
    }

    private double Boiling(double water) => water >= LastWater ? boils : boils + Math.Min(RisesDry * (LastWater - water), BoilsDry);

    // J/(kg·K) of a cell, per kg of it raw.
    private double Heat(int i) => slab.DryHeat[i] + WaterHeat * water[i] - (WaterHeat - IceHeat) * ice[i];

    private Celsius Passed(bool filling)
    {
        var least = double.PositiveInfinity;
        for (var i = 0; i < hottest.Length; i++)
        {
            least = slab.Filling[i] == filling ? Math.Min(least, hottest[i]) : least;
        }

        return new(least);
    }
}
