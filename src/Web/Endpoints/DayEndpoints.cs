using System.Globalization;
using System.Text;
using Microsoft.AspNetCore.Mvc;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Words;

namespace Ystrata.Web.Endpoints;

public static class DayEndpoints
{
    // A day with an hour put in.
    private static readonly TimeSpan Longest = TimeSpan.FromHours(26);

    public static void MapDays(this RouteGroupBuilder days)
    {
        days.MapGet("{day}", Find).IsDear().WithName("day").Produces<DayView>()
            .WithSummary("Everything of one day: what to buy and weigh, what is mixed when, and where batches want the same hands and pans. Without from and until it is a day where the kitchen stands.");
        days.MapPut("{day}", Change).WithName("changeDay").Produces<DaySpec>().WantsVersion<DaySpec>().WithSummary("Keeps what is said of a day: hands, pans, and what is at hand.");
        days.MapGet("{day}/goods.csv", Goods).IsDear().WithName("dayGoods").Produces<Stream>(200, "text/csv").WithSummary("What the day takes, as CSV.");
        days.MapGet("{day}/day.ics", Calendar).IsDear().WithName("dayCalendar").Produces<Stream>(200, "text/calendar").WithSummary("The day as iCalendar: the alarms alone, or everything.");
    }

    private static IResult Find(DateOnly day, DayPlans plans, TimeProvider time, DateTimeOffset? from = null, DateTimeOffset? until = null)
    {
        if (Refused(day, from, until) is { } refused)
        {
            return refused;
        }

        var view = Plan(day, plans, time, from, until).View;
        return Conditions.Tagged(Results.Ok(view), view.Version);
    }

    private static IResult Change(DateOnly day, DaySpec body, [FromHeader(Name = Conditions.Header)] string? ifMatch, Days days, TimeProvider time) =>
        Conditions.Refuse(ifMatch, out var meant)
        ?? Refused(day, null, null)
        ?? Problems.From(body.Check())
        ?? Conditions.Changed(days.Change(new(day, body), time.GetUtcNow(), meant), d => d.Spec, d => d.Version);

    private static IResult Goods(DateOnly day, DayPlans plans, TimeProvider time, Kitchen kitchen, DateTimeOffset? from = null, DateTimeOffset? until = null) =>
        Refused(day, from, until) ?? Results.File(
            Encoding.UTF8.GetBytes(DayCsv.Write(Plan(day, plans, time, from, until).View.Sheet, kitchen)), "text/csv; charset=utf-8", $"{Name(day)}-goods.csv");

    private static IResult Calendar(DateOnly day, DayPlans plans, TimeProvider time, Said said, DateTimeOffset? from = null, DateTimeOffset? until = null, bool alarms = false) =>
        Refused(day, from, until) ?? Results.File(
            Encoding.UTF8.GetBytes(TimetableCalendar.Of(Plan(day, plans, time, from, until).Timetables, alarms, said)), "text/calendar; charset=utf-8", $"{Name(day)}{(alarms ? "-alarms" : "")}.ics");

    private static DayPlan Plan(DateOnly day, DayPlans plans, TimeProvider time, DateTimeOffset? from, DateTimeOffset? until) =>
        plans.Of(day, from ?? Midnight(day, time.LocalTimeZone), until ?? Midnight(day.AddDays(1), time.LocalTimeZone));

    private static DateTimeOffset Midnight(DateOnly day, TimeZoneInfo zone)
    {
        var midnight = day.ToDateTime(TimeOnly.MinValue);
        return new(midnight, zone.GetUtcOffset(midnight));
    }

    private static string Name(DateOnly day) => day.ToString("O", CultureInfo.InvariantCulture);

    // Both or none, in their order, and no longer than a day is.
    private static IResult? Refused(DateOnly day, DateTimeOffset? from, DateTimeOffset? until)
    {
        var hours = from is { } begins && until is { } ends ? (ends - begins).TotalHours : (double?)null;
        return Problems.From(
        [
            .. Common.CheckDay("day", new(day.ToDateTime(TimeOnly.MinValue), TimeSpan.Zero)),
            .. from is null != until is null ? [new(from is null ? "from" : "until", RefusalCode.Missing)]
                : hours is { } h && !(h > 0 && h <= Longest.TotalHours) ? [new Refusal("until", RefusalCode.OutOfRange, h, 0, Longest.TotalHours, "h")]
                : Array.Empty<Refusal>(),
        ]);
    }
}
