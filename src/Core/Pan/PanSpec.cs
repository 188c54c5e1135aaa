namespace Ystrata.Core.Pan;

/// <summary>How dark each face should be.</summary>
public enum Colour
{
    Pale,
    Gold,
    Brown,
}

/// <summary>The schools of roasting, work.md 8.</summary>
public enum Roasting
{
    /// <summary>The first face dry, then fat on each before it goes down.</summary>
    FatEachSide,

    /// <summary>All rounds roasted dry first, then fried together in a stack.</summary>
    DryThenFry,

    /// <summary>Roasted dry; the fat goes on at the table.</summary>
    DryOnly,

    /// <summary>Turned every quarter of a minute.</summary>
    ManyTurns,

    /// <summary>In a pool of fat, spooned over the top so that the leaves open.</summary>
    ShallowFry,

    /// <summary>Fat under it, the first face all the way to its colour, one turn, fat again.</summary>
    OneTurn,
}

/// <summary>What opens the leaves once the piece is off the pan.</summary>
public enum Finish
{
    None,
    Clap,
    Shake,
    Beat,
    Crush,
}

/// <summary>Where the piece waits for the table.</summary>
public enum HoldIn
{
    Plate,
    Cloth,
    Pot,
    Paper,
}

/// <summary>What the bread is to be at the table; the clock judges by it.</summary>
public enum HoldWant
{
    Soft,
    Hot,

    /// <summary>With a crisp face, which no cover leaves it.</summary>
    Crisp,
}

/// <summary>One stay as the cook wants it, whatever the advice says.</summary>
/// <param name="Fat">Put on the face that goes down for it.</param>
public sealed record Stay(Seconds Time, Grams Fat);

/// <summary>A second fat in the pan.</summary>
/// <param name="Share">Of the pan's fat, percent.</param>
public sealed record SecondFat(string Id, Percent Share);

/// <param name="Temperature">The empty pan when the first piece goes on.</param>
/// <param name="FatPerSide">Fat on each face, per piece.</param>
/// <param name="On">Nothing for a usual pan.</param>
/// <param name="Frozen">Pieces go on straight from the freezer.</param>
/// <param name="Chilled">Pieces go on straight from the fridge; a frozen one is colder.</param>
/// <param name="Measured">What the probe last said; it counts instead of <paramref name="Temperature"/>.</param>
/// <param name="Together">Pieces on the pan at once, as many as it has room for; the clock lays as many.</param>
/// <param name="Stack">How many are fried on each other by the school that does.</param>
/// <param name="Own">The cook's own stays, in order, the faces by turns; nothing follows the advice.</param>
/// <param name="HoldFor">From pan to table.</param>
public sealed record PanSpec(
    Celsius Temperature,
    string Fat,
    Grams FatPerSide,
    Colour Colour,
    Roasting Roasting = Roasting.FatEachSide,
    Cookware? On = null,
    bool Frozen = false,
    Celsius? Measured = null,
    int Together = 1,
    int Stack = 4,
    IReadOnlyList<Stay>? Own = null,
    SecondFat? Second = null,
    Finish Finish = Finish.None,
    HoldIn Hold = HoldIn.Cloth,
    Minutes? HoldFor = null,
    bool Chilled = false,
    HoldWant Wants = HoldWant.Soft)
{
    public const int MostStays = 24;

    /// <summary>Where nothing is said, a usual pan on the flame that about holds this heat under one piece after the other.</summary>
    internal Cookware Cookware => On ?? Cookware.Usual with { Flame = Laid.Value >= HighFrom ? Flame.High : Laid.Value >= MediumFrom ? Flame.Medium : Flame.Low };

    private const double HighFrom = 195, MediumFrom = 165; // °C, from runs of twenty pieces

    /// <summary>The pan as the first piece goes on: measured where it was.</summary>
    internal Celsius Laid => Measured ?? Temperature;

    /// <summary>How dark both faces should be (models.md F).</summary>
    public double DarkWanted() => PanStage.Dark(Colour);

    /// <summary>What is put on or under one piece, of each fat.</summary>
    public IReadOnlyList<(string Id, Grams Mass)> Fats()
    {
        var all = Own is { } own ? new Grams(own.Sum(s => s.Fat.Value)) : FatPerSide * 2;
        return Second is { } second ? [(Fat, all * (1 - second.Share.Fraction)), (second.Id, all * second.Share.Fraction)] : [(Fat, all)];
    }
}
