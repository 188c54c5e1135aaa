using System.Globalization;
using System.Reflection;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store.Tests;

/// <summary>What is read straight from its words says what the general reader says, and whatever is worded otherwise is left to that.</summary>
public sealed class OwnWordsTests
{
    private static readonly Random Random = new(8);

    private static byte[] Bytes(string text) => Encoding.UTF8.GetBytes(text);

    private static BatchSpec Wetter(double hydration) => BatchSpec.Plain with { Dough = BatchSpec.Plain.Dough with { Hydration = new(hydration) } };

    private static StoveEvent[] Events()
    {
        T? Maybe<T>(T value)
            where T : struct => Random.Next(3) == 0 ? null : value;
        return
        [
            .. Enumerable.Range(0, 400).Select(i => new StoveEvent(
                Guid.NewGuid(), new(Random.Next(2) == 0 ? Random.Next(9000) : Random.NextDouble() / 7e5), (StoveAct)(i % Enum.GetValues<StoveAct>().Length), Maybe(Random.Next(-2, 4)), Maybe(i),
                Maybe(int.MaxValue), Maybe(7), Maybe((ClockWork)(i % Enum.GetValues<ClockWork>().Length)), Maybe(1e12 * Random.NextDouble()), Maybe(Guid.NewGuid()))),
        ];
    }

    [Fact]
    public void Events_are_read_as_they_were_written()
    {
        var events = Events();
        Assert.Equal(events, OwnWords.Read<IReadOnlyList<StoveEvent>>(JsonSerializer.SerializeToUtf8Bytes(events, SpecJson.Options))!);
    }

    [Fact]
    public void An_event_that_others_worded_is_left_to_the_general_reader_and_says_the_same() => Assert.All(Events().Take(60), e =>
    {
        var node = JsonSerializer.SerializeToNode(e, SpecJson.Options)!.AsObject();
        // From the end, spaced out, in capitals, with something of their own, without what is not told.
        var theirs = new JsonObject([KeyValuePair.Create<string, JsonNode?>("theirs", new JsonArray(1, 2)), .. node.Reverse().Where(p => p.Value is not null).Select(p => KeyValuePair.Create(p.Key.ToUpperInvariant(), p.Value?.DeepClone()))]);
        var words = theirs.ToJsonString(new JsonSerializerOptions { WriteIndented = true });
        Assert.Null(OwnWords.Read<StoveEvent>(Bytes(words)));
        Assert.Equal(e, SpecJson.Read<StoveEvent>(words));
    });

    [Fact]
    public void What_was_not_known_when_it_was_written_is_read_as_nothing()
    {
        var e = Events()[0] with { Value = null, Undoes = null };
        var older = JsonSerializer.Serialize(e, SpecJson.Options).Replace(",\"value\":null,\"undoes\":null", "", StringComparison.Ordinal);
        Assert.DoesNotContain("undoes", older, StringComparison.Ordinal);
        Assert.Equal(e, OwnWords.Read<StoveEvent>(Bytes(older)));
    }

    [Theory]
    [InlineData("id", "null")]
    [InlineData("id", "\"7\"")]
    [InlineData("at", "null")]
    [InlineData("at", "\"7\"")]
    [InlineData("act", "null")]
    [InlineData("act", "3")]
    [InlineData("act", "\"juggled\"")]
    [InlineData("pan", "1.5")]
    [InlineData("pan", "1e2")]
    [InlineData("pan", "99999999999")]
    [InlineData("work", "\"\"")]
    [InlineData("work", "{}")]
    [InlineData("value", "\"\"")]
    [InlineData("undoes", "true")]
    public void What_is_no_event_is_none(string name, string value)
    {
        var node = JsonSerializer.SerializeToNode(Events()[0], SpecJson.Options)!;
        node[name] = JsonNode.Parse(value);
        Assert.Null(OwnWords.Read<StoveEvent>(Bytes(node.ToJsonString())));
        Assert.Throws<JsonException>(() => SpecJson.Read<StoveEvent>(node.ToJsonString()));
    }

    [Theory]
    [InlineData("0")]
    [InlineData("-0")]
    [InlineData("7")]
    [InlineData("-12")]
    [InlineData("1.8")]
    [InlineData("0.0625")]
    [InlineData("999999999999")]
    [InlineData("57.452051514504504")]
    [InlineData("2.732050807568877")]
    [InlineData("5E-05")]
    [InlineData("2.7320508075688772", false)]
    [InlineData("1.10", false)]
    [InlineData("80.0", false)]
    [InlineData("1e2", false)]
    [InlineData("0.00005", false)]
    [InlineData("0.84444577286226941234", false)]
    public void A_number_is_the_nearest_there_is_and_known_for_the_stores_own_wording(string word, bool own = true)
    {
        var words = new Words(Bytes(word + ","));
        Assert.True(words.Number(out double value));
        Assert.Equal(BitConverter.DoubleToInt64Bits(double.Parse(word, CultureInfo.InvariantCulture)), BitConverter.DoubleToInt64Bits(value));
        Assert.Equal(own, words.Own);
        Assert.Equal(own, JsonSerializer.Serialize(value) == word);
        Assert.True(words.Next(","u8));
    }

    [Theory]
    [InlineData("")]
    [InlineData("-")]
    [InlineData("+1")]
    [InlineData("01")]
    [InlineData("-01")]
    [InlineData("1.")]
    [InlineData(".5")]
    [InlineData("1e")]
    [InlineData("1e+")]
    [InlineData("NaN")]
    [InlineData("1e13")]
    [InlineData("9e999")]
    [InlineData("1000000000001")]
    public void What_is_no_number_or_beyond_all_measure_is_none(string word)
    {
        var words = new Words(Bytes(word));
        Assert.False(words.Number(out double _) && words.Left.IsEmpty);
    }

    [Fact]
    public void Any_number_the_store_writes_is_read_to_its_last_bit()
    {
        for (var i = 0; i < 20_000; i++)
        {
            var value = Math.ScaleB(Random.NextDouble() - 0.5, Random.Next(-30, 40));
            value = i % 3 == 0 ? Math.Round(value, Random.Next(9)) : value;
            var words = new Words(JsonSerializer.SerializeToUtf8Bytes(value));
            Assert.True(words.Number(out double read) && words.Left.IsEmpty && words.Own, $"{value:R}");
            Assert.Equal(value, read);
        }
    }

    [Theory]
    [InlineData("\"leek, two of them\"", true)]
    [InlineData("\"\"", true)]
    [InlineData("\"cook's \\\"own\\\"\"", false)]
    [InlineData("\"caf\u00e9 \\u00bd\\n\"", false)]
    public void A_text_is_read_whichever_way_it_is_worded(string word, bool own)
    {
        var words = new Words(Bytes(word + "]"));
        Assert.True(words.Text(out var text));
        Assert.Equal(JsonSerializer.Deserialize<string>(word), text);
        Assert.Equal(own, words.Own);
        Assert.True(words.Next("]"u8));
    }

    [Theory]
    [InlineData("\"never ends")]
    [InlineData("\"half a letter \\ud800\"")]
    [InlineData("\"line\nbreak\"")]
    [InlineData("7")]
    public void What_is_no_text_is_none(string word) => Assert.Null(OwnWords.Read<IReadOnlyList<string>>(Bytes($"[{word}]")));

    [Fact]
    public void A_spec_is_written_as_it_was_read_and_anew_when_it_was_worded_otherwise()
    {
        var spec = Wetter(61.25);
        var own = JsonSerializer.SerializeToUtf8Bytes(spec, SpecJson.Options);
        var read = OwnWords.Read<BatchSpec>(own)!;
        Assert.Equal(own, WordsKept.Of(read));
        Assert.Equal(own, SpecJson.Words(read).Utf8);

        var theirs = Bytes(Encoding.UTF8.GetString(own).Replace("61.25", "61.250", StringComparison.Ordinal));
        read = OwnWords.Read<BatchSpec>(theirs)!;
        Assert.Equal(61.25, read.Dough.Hydration.Value);
        Assert.Null(WordsKept.Of(read));
        Assert.Equal(own, SpecJson.Words(read).Utf8);
    }

    [Fact]
    public void The_same_words_are_the_same_spec_and_any_other_word_is_another()
    {
        byte[] Entry(double water) => JsonSerializer.SerializeToUtf8Bytes<KitchenRecord>(new BatchRecord(TempKitchen.SomeBatch() with { Spec = Wetter(water) }), SpecJson.Options);
        BatchSpec Read(double water) => Assert.IsType<BatchRecord>(KitchenRecord.Own(Entry(water))).Batch.Spec;
        Assert.Same(Read(63.5), Read(63.5));
        double[] waters = [.. Enumerable.Range(0, 300).Select(i => 50 + i / 32.0)];
        Parallel.For(0, 3000, i => Assert.Equal(waters[i % 300], Read(waters[i % 300]).Dough.Hydration.Value));
    }

    [Fact]
    public void Nothing_a_record_holds_holds_its_own_kind_or_reading_it_could_go_down_for_ever()
    {
        var seen = new HashSet<Type>();
        void Walk(Type type, Type[] above)
        {
            type = Nullable.GetUnderlyingType(type) ?? (type.IsGenericType ? type.GetGenericArguments()[0] : type);
            Assert.DoesNotContain(type, above);
            if (type.Assembly == typeof(object).Assembly || type.IsEnum || !seen.Add(type))
            {
                return;
            }

            foreach (var inner in type.GetCustomAttributes<JsonDerivedTypeAttribute>(inherit: false).Select(k => k.DerivedType).Concat(type.GetConstructors().SelectMany(c => c.GetParameters()).Select(p => p.ParameterType)))
            {
                Walk(inner, [.. above, type]);
            }
        }

        Walk(typeof(KitchenRecord), []);
        Assert.Contains(typeof(BatchSpec), seen);
    }
}
