using System.Reflection;
using CsvHelper;

namespace Ystrata.Web.Files;

/// <summary>A table that is read line by line.</summary>
/// <typeparam name="T">A line of it, with the columns' names.</typeparam>
internal sealed class CsvLines<T>(CsvReader csv) : IDisposable
    where T : class
{
    private PropertyInfo[]? lacking;

    /// <summary>What could not be read in this line.</summary>
    public List<Refusal> Refusals { get; } = [];

    public int Line => csv.Parser.RawRow;

    public bool Next()
    {
        Refusals.Clear();
        return csv.Read();
    }

    public T Row() => csv.GetRecord<T>();

    /// <summary>Of the columns this file does not have, a line gets what another one says.</summary>
    public void FillFrom(T other, T row)
    {
        var map = csv.Context.Maps[typeof(T)]!;
        lacking ??= [.. map.MemberMaps.Where(m => csv.GetFieldIndex(m.Data.Names.ToArray(), 0, isTryGet: true) < 0).Select(m => m.Data.Member).OfType<PropertyInfo>().Where(p => p.CanWrite)];
        foreach (var column in lacking)
        {
            column.SetValue(row, column.GetValue(other));
        }
    }

    public TWord? Choice<TWord>(string column, string word)
        where TWord : struct, Enum
    {
        if (!word.All(char.IsDigit) && Enum.TryParse<TWord>(word, ignoreCase: true, out var value) && Enum.IsDefined(value))
        {
            return value;
        }

        Refusals.Add(word.Length == 0 ? new(column, RefusalCode.Missing) : new(column, FileRefusals.NotInList, Item: word));
        return null;
    }

    /// <summary>Several words of one cell.</summary>
    public IReadOnlyList<TWord> Choices<TWord>(string column, string words)
        where TWord : struct, Enum => [.. words.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries).Select(w => Choice<TWord>(column, w)).OfType<TWord>()];

    public void Dispose() => csv.Dispose();
}
