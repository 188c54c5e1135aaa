using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Ystrata.Store;

namespace Ystrata.Web.Files;

/// <summary>A timetable as iCalendar (RFC 5545): what begins when, with alarms where somebody has to come.</summary>
internal static class TimetableCalendar
{
    /// <param name="alarmsOnly">Only the moments at which something begins; else every stretch of hands and pans as well.</param>
    public static string Of(Batch batch, ClockView clock, bool alarmsOnly)
    {
        var calendar = new Calendar { ProductId = "-//Ystrata//Timetable//EN" };
        foreach (var (at, what, key) in Alarms(clock))
        {
            calendar.Events.Add(Event(batch, clock, at, at, what, key, alarm: true));
        }

        if (!alarmsOnly)
        {
            foreach (var slot in clock.Sheet.Hands.Where(h => h.Parts.Count > 0 && h.Pan is null))
            {
                calendar.Events.Add(Event(
                    batch, clock, slot.Parts[0].From, slot.Parts[^1].To, Say(slot, clock), $"hand-{slot.Work}-{slot.Bread}-{slot.Number}-{slot.Chore}".ToLowerInvariant(), alarm: false));
            }

            foreach (var stay in clock.Sheet.Pans)
            {
                var what = $"Pan {stay.Pan + 1}: {clock.Names[stay.Bread]} {string.Join(", ", stay.Pieces)}{(stay.Fry ? ", fried" : "")}";
                calendar.Events.Add(Event(batch, clock, stay.Laid, stay.Lifted, what, $"pan-{stay.Bread}-{stay.Pieces[0]}-{stay.Fry}".ToLowerInvariant(), alarm: false));
            }
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? "";
    }

    // The moments somebody must come back for.
    private static IEnumerable<(Seconds At, string What, string Key)> Alarms(ClockView clock)
    {
        foreach (var stage in clock.Sheet.Stages)
        {
            var name = clock.Names[stage.Bread];
            var what = stage.Stage switch
            {
                Stage.Dough => $"Mix the dough: {name}",
                Stage.Rest => $"Cover the dough, it rests: {name}",
                Stage.Balls => $"Divide: {name}",
                Stage.Filling => $"Make the filling: {name}",
                Stage.Fold => $"Fold: {name}",
                Stage.Roll => $"Roll the first: {name}",
                Stage.Pan => $"First on the pan: {name}",
                _ => null,
            };
            if (what is not null)
            {
                yield return (stage.At, what, $"{stage.Stage}-{stage.Bread}".ToLowerInvariant());
            }
        }

        yield return (clock.Sheet.Lead, $"Table: {string.Join(", ", clock.Names)}", "table");
    }

    private static string Say(HandSlot slot, ClockView clock)
    {
        var name = clock.Names[slot.Bread];
        return slot.Work switch
        {
            ClockWork.Mix => $"Mix bowl {slot.Number}: {name}",
            ClockWork.Divide => $"Divide trayful {slot.Number}: {name}",
            ClockWork.Filling => $"Filling, step {slot.Number}: {name}",
            ClockWork.Roll => $"Roll {slot.Number}: {name}",
            _ => $"Fold {slot.Number}: {name}",
        };
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
