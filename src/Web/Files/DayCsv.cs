using CsvHelper.Configuration.Attributes;

namespace Ystrata.Web.Files;

/// <summary>What a day takes, as CSV (RFC 4180, UTF-8): a line for each thing in each bread, with what there is of it and what is to be bought in all.</summary>
internal static class DayCsv
{
    public static string Write(DaySheet day, Kitchen kitchen) => Csv.Write<Row>(day.Goods.SelectMany(g => g.Each.Select((mass, i) => (Mass: mass, Bread: day.Breads[i])).Where(e => e.Mass.Value > 0).Select(e => new Row(g, kitchen[g.Id].Name, e.Bread, e.Mass))));

    /// <summary>One thing in one bread.</summary>
    private sealed class Row(DayGood good, string name, DayBread bread, Grams mass)
    {
        [Name("id")]
        public string Id => Csv.Plain(good.Id);

        [Name("ingredient")]
        public string Name => Csv.Plain(name);

        [Name("bread")]
        public string Bread => Csv.Plain(bread.Name);

        [Name("pieces")]
        public int? Pieces => bread.Pieces;

        [Name("mass_g")]
        public double? Mass => Rounded(mass);

        [Name("needed_g")]
        public double? Needed => Rounded(good.Needed);

        [Name("at_hand_g")]
        public double? AtHand => good.AtHand is { } there ? Rounded(there) : null;

        [Name("to_buy_g")]
        public double? ToBuy => Rounded(good.ToBuy);

        [Name("packs")]
        public int? Packs => good.Packs;

        [Name("cost")]
        public double? Cost => good.Cost is { } cost ? Math.Round(cost.Value, 2) : null;

        private static double Rounded(Grams mass) => Math.Round(mass.Value, 1);
    }
}
