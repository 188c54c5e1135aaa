namespace Ystrata.Core.Days;

/// <summary>One batch of the day with its own timetable.</summary>
/// <param name="Breads">The batch and what is made beside it, as the timetable numbers them.</param>
/// <param name="Zero">When its first thing is done, on the day's own clock.</param>
/// <param name="Fixed">It begins now, whatever else there is: it is not moved.</param>
public sealed record DayBatch(IReadOnlyList<string> Names, IReadOnlyList<CheckedBatch> Breads, ClockSpec Clock, ClockSheet Sheet, Seconds Zero, bool Fixed);

/// <summary>One bread of the day.</summary>
/// <param name="Batch">From 0, in the order of their tables.</param>
/// <param name="Ready">When its last piece is off the pan, on the day's own clock.</param>
public sealed record DayBread(int Batch, string Name, int Pieces, Seconds Ready);

/// <summary>One thing that goes into the breads of the day.</summary>
/// <param name="Each">Of it in each bread of the day, in their order.</param>
/// <param name="AtHand">What there is; nothing where nobody has said.</param>
/// <param name="ToBuy">What is wanting.</param>
/// <param name="Packs">Whole packs that hold it; nothing where the larder has no pack of it, or none is wanted.</param>
/// <param name="Cost">Of those packs.</param>
public sealed record DayGood(string Id, IngredientKind Kind, IReadOnlyList<Grams> Each, Grams Needed, Grams? AtHand, Grams ToBuy, int? Packs, Money? Cost);

public sealed record DoughLine(string Id, Grams Mass);

/// <summary>One dough to mix.</summary>
/// <param name="Bread">From 0, of the day.</param>
/// <param name="At">When it is begun, on the day's own clock.</param>
/// <param name="Divided">When it is divided, or poured.</param>
/// <param name="Count">Balls, or ladlefuls.</param>
public sealed record DayDough(int Bread, Seconds At, Seconds Divided, Grams Mass, int Count, Grams Ball, IReadOnlyList<DoughLine> Lines);

/// <summary>One batch over the day, on the day's own clock.</summary>
/// <param name="Hands">Somebody is at it, breaks of a few minutes left out.</param>
/// <param name="Pans">From the first piece on a pan to the last one off it.</param>
public sealed record DayBar(int Batch, Seconds From, Seconds To, IReadOnlyList<Stretch> Hands, Stretch? Pans);

/// <summary>What is wanted at a time, over what there is.</summary>
public sealed record DayLoad(Seconds From, Seconds To, Percent Wanted);

public enum DayNeed
{
    Hands,
    Pans,
}

/// <summary>More is wanted than there is.</summary>
/// <param name="Wanted">At the worst moment, whole hands or pans.</param>
/// <param name="Batches">Who wants them.</param>
public sealed record DayClash(DayNeed Of, Seconds From, Seconds To, int Wanted, int There, IReadOnlyList<int> Batches);

/// <summary>A batch that is in the way of others, and how far it would have to move so that it is in nobody's.</summary>
/// <param name="Earlier">Nothing where no such move is found.</param>
/// <param name="Later">Nothing where no such move is found.</param>
public sealed record DayMove(int Batch, Seconds? Earlier, Seconds? Later);

/// <summary>Everything of one day: what to buy and weigh, what to mix when, who and what is wanted when. Times are seconds after the day's beginning, before it negative.</summary>
/// <param name="People">Pairs of hands it is reckoned with.</param>
/// <param name="Pans">Pans it is reckoned with.</param>
/// <param name="Cost">Of all that is to be bought, as far as the larder has prices.</param>
/// <param name="Unpriced">Ids of what is to be bought and has none.</param>
public sealed record DaySheet(
    int People,
    int Pans,
    IReadOnlyList<DayBread> Breads,
    IReadOnlyList<DayGood> Goods,
    Money Cost,
    IReadOnlyList<string> Unpriced,
    IReadOnlyList<DayDough> Doughs,
    IReadOnlyList<DayBar> Bars,
    IReadOnlyList<DayLoad> Hands,
    IReadOnlyList<DayLoad> OnPans,
    IReadOnlyList<DayClash> Clashes,
    IReadOnlyList<DayMove> Moves);
