using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Ystrata.Store;
using Ystrata.Web.Words;

namespace Ystrata.Web.Files;

/// <summary>A timetable as iCalendar (RFC 5545): what begins when, with alarms where somebody has to come.</summary>
internal static class TimetableCalendar
{
    /// <param name="timetables">Of one batch, or of all of a day.</param>
    /// <param name="alarmsOnly">Only the moments at which something begins; else every stretch of hands and pans as well.</param>
    /// <param name="said">The language of its words.</param>
    public static string Of(IEnumerable<(Batch Batch, ClockView Clock)> timetables, bool alarmsOnly, Said said)
    {
        var calendar = new Ical.Net.Calendar { ProductId = $"-//Ystrata//Timetable//{said.Language.ToUpperInvariant()}" };
        foreach (var (batch, clock) in timetables)
        {
            calendar.Events.AddRange(Events(batch, clock, alarmsOnly, said));
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    private static IEnumerable<CalendarEvent> Events(Batch batch, ClockView clock, bool alarmsOnly, Said said)
    {
        foreach (var (at, what, key) in Alarms(clock, said))
        {
            yield return Event(batch, clock, at, at, what, key, alarm: true);
        }

        if (alarmsOnly)
        {
            yield break;
        }

        foreach (var slot in clock.Sheet.Hands.Where(h => h.Parts.Count > 0 && h.Pan is null))
        {
            yield return Event(
                batch, clock, slot.Parts[0].From, slot.Parts[^1].To, Say(slot, clock, said), $"hand-{slot.Work}-{slot.Bread}-{slot.Number}-{slot.Chore}".ToLowerInvariant(), alarm: false);
        }

        foreach (var stay in clock.Sheet.Pans)
        {
            var pieces = said.List(stay.Pieces);
            var what = said[stay.Fry ? "calendar_fried" : "calendar_pan", ("pan", stay.Pan + 1), ("bread", clock.Names[stay.Bread]), ("pieces", pieces)];
            yield return Event(batch, clock, stay.Laid, stay.Lifted, what, $"pan-{stay.Bread}-{stay.Pieces[0]}-{stay.Fry}".ToLowerInvariant(), alarm: false);
        }
    }

    // The moments somebody must come back for.
    private static IEnumerable<(Seconds At, string What, string Key)> Alarms(ClockView clock, Said said)
    {
        foreach (var stage in clock.Sheet.Stages)
        {
            var name = clock.Names[stage.Bread];
            var key = stage.Stage switch
            {
                Stage.Dough => "calendar_mix",
                Stage.Rest => "calendar_cover",
                Stage.Balls => "calendar_divide",
                Stage.Filling => "calendar_filling",
                Stage.Fold => "calendar_fold",
                Stage.Roll => "calendar_first_rolled",
                Stage.Pan => "calendar_first_on_pan",
                _ => null,
            };
            if (key is not null)
            {
                yield return (stage.At, said[key, ("bread", name)], $"{stage.Stage}-{stage.Bread}".ToLowerInvariant());
            }
        }

        yield return (clock.Sheet.Lead, said["calendar_table", ("breads", said.List(clock.Names))], "table");
    }

    private static string Say(HandSlot slot, ClockView clock, Said said)
    {
        var key = slot.Work switch
        {
            ClockWork.Mix => "calendar_bowl",
            ClockWork.Divide => "calendar_trayful",
            ClockWork.Filling => "calendar_fill",
            ClockWork.Roll => "calendar_roll_piece",
            _ => "calendar_fold_piece",
        };
        return said[key, ("number", slot.Number), ("bread", clock.Names[slot.Bread])];
    }

    private static CalendarEvent Event(Batch batch, ClockView clock, Seconds from, Seconds to, string what, string key, bool alarm)
    {
        CalDateTime At(Seconds s) => new(clock.Zero.UtcDateTime.AddSeconds(s.Value), "UTC");
        var entry = new CalendarEvent
        {
            // The same moment of the same batch keeps its id, so that a calendar takes a later file as a change.
            Uid = $"{batch.Id:N}-{key}@ystrata",
            Summary = what,
            Start = At(from),
            End = At(to.Value > from.Value ? to : new(from.Value + 60)),
            DtStamp = new CalDateTime(batch.ChangedAt.UtcDateTime, "UTC"),
        };
        if (alarm)
        {
            entry.Alarms.Add(new Alarm { Action = "DISPLAY", Description = what, Trigger = new Trigger(Duration.FromSeconds(0)) });
        }

        return entry;
    }
}
