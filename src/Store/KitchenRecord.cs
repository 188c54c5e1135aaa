using System.Text.Json.Serialization;

namespace Ystrata.Store;

/// <summary>One thing of a kitchen, as a file carries it. What others hang on comes before them.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind", UnknownDerivedTypeHandling = JsonUnknownDerivedTypeHandling.FailSerialization)]
[JsonDerivedType(typeof(UnitsRecord), "units")]
[JsonDerivedType(typeof(HandRecord), "hand")]
[JsonDerivedType(typeof(VesselRecord), "vessel")]
[JsonDerivedType(typeof(IngredientRecord), "ingredient")]
[JsonDerivedType(typeof(BreadRecord), "bread")]
[JsonDerivedType(typeof(BatchRecord), "batch")]
[JsonDerivedType(typeof(ServiceRecord), "service")]
[JsonDerivedType(typeof(PhotoRecord), "photo")]
[JsonDerivedType(typeof(LogRecord), "log")]
[JsonDerivedType(typeof(LearnedRecord), "learned")]
[JsonDerivedType(typeof(PracticeRecord), "practice")]
[JsonDerivedType(typeof(DayRecord), "day")]
public abstract record KitchenRecord
{
    /// <summary>No figure of a kitchen is larger, whatever its unit.</summary>
    public const double MostNumber = 1e12;
}

/// <summary>What the kitchen reads and writes in.</summary>
public sealed record UnitsRecord(Units Units) : KitchenRecord;

/// <summary>How long one kind of work takes these hands.</summary>
public sealed record HandRecord(HandWork Work, Seconds Time, DateTimeOffset ChangedAt) : KitchenRecord;

public sealed record VesselRecord(Vessel Vessel, DateTimeOffset ChangedAt, DateTimeOffset? DeletedAt = null) : KitchenRecord;

/// <summary>A line of the larder that was put right or added; what is shipped and untouched is in every kitchen.</summary>
public sealed record IngredientRecord(Ingredient Ingredient, DateTimeOffset ChangedAt, DateTimeOffset? DeletedAt = null) : KitchenRecord;

/// <param name="DeletedAt">When it was put in the trash.</param>
public sealed record BreadRecord(Bread Bread, DateTimeOffset? DeletedAt = null) : KitchenRecord;

public sealed record BatchRecord(Batch Batch, DateTimeOffset? DeletedAt = null) : KitchenRecord;

/// <param name="Events">In the order they were taken.</param>
public sealed record ServiceRecord(KeptService Service, IReadOnlyList<StoveEvent> Events) : KitchenRecord;

/// <param name="Body">WebP, in base64.</param>
public sealed record PhotoRecord(Guid Id, byte[] Body, DateTimeOffset MadeAt) : KitchenRecord;

/// <param name="Lessons">What it taught when it was kept: a larder that is put right later does not change that.</param>
public sealed record LogRecord(LogEntry Entry, IReadOnlyList<Lesson> Lessons, DateTimeOffset? DeletedAt = null) : KitchenRecord;

/// <summary>What the cook has said of a figure the record teaches.</summary>
public sealed record LearnedRecord(LessonKind Lesson, string Of, bool Used, DateTimeOffset? ForgottenAt) : KitchenRecord;

public sealed record PracticeRecord(PracticeScore Score) : KitchenRecord;

/// <summary>What was said of one day.</summary>
public sealed record DayRecord(DateOnly Day, DaySpec Spec, DateTimeOffset ChangedAt) : KitchenRecord;
