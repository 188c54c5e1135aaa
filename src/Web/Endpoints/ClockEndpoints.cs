using System.Text;
using Ystrata.Store;
using Ystrata.Web.Files;
using Ystrata.Web.Words;

namespace Ystrata.Web.Endpoints;

public static class ClockEndpoints
{
    public static void MapClock(this RouteGroupBuilder clock)
    {
        clock.MapPost("", Plan).WithName("clock").Produces<ClockView>().WithSummary("A batch and what is made beside it as a timetable; keeps nothing.");
        clock.MapPost("what-ifs", WhatIfs).IsDear().WithName("clockWhatIfs").Produces<IReadOnlyList<WhatIfSheet>>().WithSummary("The same planned anew with another pan, another pair of hands, other rests or another school.");
    }

    public static void MapTimetable(this RouteGroupBuilder batches) =>
        batches.MapGet("{id:guid}/timetable.ics", Calendar).WithName("timetable").Produces<Stream>(200, "text/calendar")
            .WithSummary("The timetable as iCalendar: the alarms alone, or the whole service.");

    private static IResult Plan(ClockBody body, Clocks clocks)
    {
        var breads = clocks.Resolve(body.Name, body.Spec);
        return Problems.From([.. breads.Refusals, .. Common.CheckDay("madeFor", body.MadeFor)]) ?? Results.Ok(clocks.View(breads.Value!, breads.Value!.Clock, body.MadeFor));
    }

    private static IResult WhatIfs(ClockBody body, Clocks clocks)
    {
        var breads = clocks.Resolve(body.Name, body.Spec);
        return Problems.From([.. breads.Refusals, .. Common.CheckDay("madeFor", body.MadeFor)]) ?? Results.Ok(clocks.WhatIfs(breads.Value!, body.MadeFor));
    }

    private static IResult Calendar(Guid id, Batches batches, Clocks clocks, Said said, bool alarms = false)
    {
        if (batches.Find(id) is not { } batch)
        {
            return Results.NotFound();
        }

        var found = clocks.Resolve(batch.Name, batch.Spec);
        return found.Value is { } breads
            ? Results.File(
                Encoding.UTF8.GetBytes(TimetableCalendar.Of([(batch, clocks.View(breads, breads.Clock, batch.MadeFor))], alarms, said)),
                "text/calendar; charset=utf-8",
                alarms ? "alarms.ics" : "timetable.ics")
            : Problems.From(found.Refusals)!;
    }
}
