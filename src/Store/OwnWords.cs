using System.Collections.Concurrent;
using System.Diagnostics.CodeAnalysis;
using System.Reflection;
using System.Reflection.Emit;
using System.Runtime.CompilerServices;
using System.Text;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ystrata.Core;

namespace Ystrata.Store;

/// <summary>
/// Reads what a kitchen wrote itself, several times as quickly as the general reader: member after member in the order they are written, with nothing between them.
/// Things are worded as <see cref="SpecJson.Options"/> words what has one constructor; whatever is worded otherwise is left to the general reader.
/// </summary>
internal static class OwnWords
{
    private static readonly ConcurrentDictionary<Type, Wording> Wordings = new();

    // Counts and places are mostly small: as objects, there are always the same few of them.
    private static readonly object[] Small = [.. Enumerable.Range(0, 256).Cast<object>()];

    /// <summary>What the words say; nothing when they are worded in any other way, or there is more than that.</summary>
    public static T? Read<T>(ReadOnlySpan<byte> json)
        where T : class
    {
        var words = new Words(json);
        try
        {
            return Of(typeof(T)).Read(ref words, out var value) && words.Left.IsEmpty ? (T?)value : null;
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException)
        {
            // Text that is none: the general reader says so.
            return null;
        }
    }

    private static Wording Of(Type type) => Wordings.GetOrAdd(type, Made);

    private static Wording Made(Type type)
    {
        // A cooking's batch, service and log line carry the same of these, word for word; and what was just read is often written next.
        var wording = New(type);
        return WordsKept.Types.Contains(type) ? new KeptWording(wording) : wording;
    }

    private static Wording New(Type type) =>
        type == typeof(bool) ? new PlainWording((ref Words w, out object? v) => (v = w.Next("true"u8) ? true : w.Next("false"u8) ? false : null) is not null)
        : type == typeof(int) ? new PlainWording((ref Words w, out object? v) => (v = w.Number(out int n) ? n >= 0 && n < Small.Length ? Small[n] : n : null) is not null)
        : type == typeof(double) ? new PlainWording((ref Words w, out object? v) => (v = w.Number(out double n) ? n : null) is not null)
        : type == typeof(string) ? new PlainWording((ref Words w, out object? v) => (v = w.Text(out var text) ? text : null) is not null)
        : type == typeof(Guid) ? new PlainWording((ref Words w, out object? v) => (v = w.Id(out var id) ? id : null) is not null)
        : type == typeof(DateTimeOffset) ? new PlainWording((ref Words w, out object? v) => (v = w.Moment(out var at) ? at : null) is not null)
        : MeasureConverterFactory.IsMeasure(type) ? Of(typeof(MeasureWording<>), type)
        : type.IsEnum ? new NameWording(type)
        : type.IsGenericType && type.GetGenericTypeDefinition() == typeof(IReadOnlyList<>) ? Of(typeof(ListWording<>), type.GetGenericArguments()[0])
        : type.GetCustomAttribute<JsonPolymorphicAttribute>(inherit: false) is { TypeDiscriminatorPropertyName: { } name } ? new KindWording(name, type.GetCustomAttributes<JsonDerivedTypeAttribute>(inherit: false))
        : Member.All(type) is { } members ? new ObjectWording(type.GetConstructors()[0], members)
        : new PlainWording((ref Words _, out object? v) => (v = null) is not null);

    private static Wording Of(Type generic, Type of) => (Wording)Activator.CreateInstance(generic.MakeGenericType(of))!;

    private static byte[] Name(string name) => Encoding.UTF8.GetBytes($"\"{JsonNamingPolicy.CamelCase.ConvertName(name)}\"");

    private delegate bool Reading(ref Words words, out object? value);

    /// <summary>How things of one type are worded.</summary>
    private abstract class Wording
    {
        public abstract bool Read(ref Words words, out object? value);
    }

    private sealed class PlainWording(Reading reading) : Wording
    {
        public override bool Read(ref Words words, out object? value) => reading(ref words, out value);
    }

    [SuppressMessage("Performance", "CA1812", Justification = "made for each measure there is")]
    private sealed class MeasureWording<T> : Wording
        where T : struct, IMeasure<T>
    {
        public override bool Read(ref Words words, out object? value)
        {
            var read = words.Number(out double number);
            value = T.From(number);
            return read;
        }
    }

    private sealed class NameWording(Type type) : Wording
    {
        private readonly (byte[] Words, object Value)[] names =
            [.. Enum.GetNames(type).Select(n => (Name(n), Enum.Parse(type, n)))];

        public override bool Read(ref Words words, out object? value)
        {
            foreach (var name in names)
            {
                if (words.Next(name.Words))
                {
                    value = name.Value;
                    return true;
                }
            }

            value = null;
            return false;
        }
    }

    [SuppressMessage("Performance", "CA1812", Justification = "made for each list there is")]
    private sealed class ListWording<T> : Wording
        where T : notnull
    {
        private Wording? one;

        public override bool Read(ref Words words, out object? value)
        {
            var list = new List<T>();
            value = list;
            one ??= Of(typeof(T));
            if (!words.Next("["u8))
            {
                return false;
            }

            if (!words.Next("]"u8))
            {
                do
                {
                    if (!one.Read(ref words, out var item))
                    {
                        return false;
                    }

                    list.Add((T)item!);
                }
                while (words.Next(","u8));
                if (!words.Next("]"u8))
                {
                    return false;
                }
            }

            return true;
        }
    }

    private sealed class ObjectWording(ConstructorInfo made, Member[] members) : Wording
    {
        private readonly Func<object?[], object> make = Maker(made, members);

        public override bool Read(ref Words words, out object? value)
        {
            value = null;
            return words.Next("{"u8) && Rest(ref words, first: true, out value);
        }

        /// <param name="first">Nothing of it has been read yet.</param>
        public bool Rest(ref Words words, bool first, out object? value)
        {
            value = null;
            var told = new object?[members.Length];
            for (var i = 0; i < members.Length; i++)
            {
                var member = members[i];
                if (words.Next(member.Words.AsSpan(first ? 1 : 0)))
                {
                    first = false;
                    if (!member.Read(ref words, out told[i]))
                    {
                        return false;
                    }
                }
                else if (member.MayLack)
                {
                    told[i] = member.Without;
                    words.Own = false;
                }
                else
                {
                    return false;
                }
            }

            value = words.Next("}"u8) ? make(told) : null;
            return value is not null;
        }
    }

    // Some hundred thousand are made at a time, for which a call by reflection is slow.
    private static Func<object?[], object> Maker(ConstructorInfo made, Member[] members)
    {
        var method = new DynamicMethod($"New{made.DeclaringType!.Name}", typeof(object), [typeof(object?[])], typeof(OwnWords), skipVisibility: true);
        var code = method.GetILGenerator();
        foreach (var parameter in made.GetParameters())
        {
            Load(members.First(m => m.Parameter?.Position == parameter.Position));
        }

        code.Emit(OpCodes.Newobj, made);
        foreach (var member in members.Where(m => m.Parameter is null && m.Property.SetMethod is not null))
        {
            code.Emit(OpCodes.Dup);
            Load(member);
            code.Emit(OpCodes.Callvirt, member.Property.SetMethod!);
        }

        code.Emit(OpCodes.Ret);
        return method.CreateDelegate<Func<object?[], object>>();

        void Load(Member member)
        {
            code.Emit(OpCodes.Ldarg_0);
            code.Emit(OpCodes.Ldc_I4, Array.IndexOf(members, member));
            code.Emit(OpCodes.Ldelem_Ref);
            code.Emit(OpCodes.Unbox_Any, member.Property.PropertyType);
        }
    }

    /// <summary>One member of an object: made with it, laid into it, or only shown.</summary>
    private sealed class Member(PropertyInfo property, ParameterInfo? parameter)
    {
        private readonly Type type = Nullable.GetUnderlyingType(property.PropertyType) ?? property.PropertyType;

        private readonly bool mayBeNothing = new NullabilityInfoContext().Create(property).ReadState == NullabilityState.Nullable;

        private Wording? wording;

        public PropertyInfo Property { get; } = property;

        public ParameterInfo? Parameter { get; } = parameter;

        /// <summary>What stands before it.</summary>
        public byte[] Words { get; } = [(byte)',', .. Name(property.Name), (byte)':'];

        public bool MayLack => Parameter is { HasDefaultValue: true };

        public object? Without { get; } = parameter is not { HasDefaultValue: true } ? null
            : parameter.DefaultValue is not { } value ? (parameter.ParameterType is { IsValueType: true } of && Nullable.GetUnderlyingType(of) is null ? RuntimeHelpers.GetUninitializedObject(of) : null)
            : (Nullable.GetUnderlyingType(parameter.ParameterType) ?? parameter.ParameterType) is { IsEnum: true } name ? Enum.ToObject(name, value)
            : value;

        /// <summary>In the order they are written; nothing for a type that is not made of just what it shows.</summary>
        public static Member[]? All(Type type)
        {
            if (!type.IsClass || type.GetConstructors() is not [var made])
            {
                return null;
            }

            var parameters = made.GetParameters();
            Member[] all = [.. type.GetProperties(BindingFlags.Instance | BindingFlags.Public).Where(p => !p.IsDefined(typeof(JsonIgnoreAttribute), inherit: false)).Select(p => new Member(p, parameters.FirstOrDefault(q => q.Name == p.Name)))];
            return all.Count(m => m.Parameter is not null) == parameters.Length ? all : null;
        }

        public bool Read(ref Words words, out object? value)
        {
            value = null;
            return (mayBeNothing && words.Next("null"u8)) || (wording ??= Of(type)).Read(ref words, out value);
        }
    }

    private sealed class KindWording(string name, IEnumerable<JsonDerivedTypeAttribute> of) : Wording
    {
        private readonly byte[] before = [(byte)'{', .. Name(name), (byte)':'];

        private readonly (byte[] Words, Type Type)[] kinds = [.. of.Select(k => (Name((string)k.TypeDiscriminator!), k.DerivedType))];

        public override bool Read(ref Words words, out object? value)
        {
            if (words.Next(before))
            {
                foreach (var kind in kinds)
                {
                    if (words.Next(kind.Words))
                    {
                        value = null;
                        return Of(kind.Type) is ObjectWording rest && rest.Rest(ref words, first: false, out value);
                    }
                }
            }

            value = null;
            return false;
        }
    }

    /// <summary>What is the same as last time is not read again, and what is worded as the store words it is kept to be written so.</summary>
    private sealed class KeptWording(Wording wording) : Wording
    {
        private Last? last;

        public override bool Read(ref Words words, out object? value)
        {
            if (last is { } here && words.Next(here.Words))
            {
                value = here.Value;
                return true;
            }

            var before = words.Left;
            var own = words.Own;
            words.Own = true;
            if (!wording.Read(ref words, out value))
            {
                return false;
            }

            if (words.Own)
            {
                var read = before[..^words.Left.Length].ToArray();
                WordsKept.Keep(value!, read);
                last = new(read, value!);
            }

            words.Own = words.Own && own;
            return true;
        }

        private sealed record Last(byte[] Words, object Value);
    }
}
