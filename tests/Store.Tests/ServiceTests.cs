using Dapper;
using Microsoft.Data.Sqlite;

namespace Ystrata.Store.Tests;

public sealed class ServiceTests : IDisposable
{
    private readonly TempKitchen temp = new();

    public void Dispose() => temp.Dispose();

    private static KeptService Some(int minutes = 0) => new(
        Guid.CreateVersion7(), Guid.CreateVersion7(), "Leek rounds",
        new([new("Leek rounds", BatchSpec.Plain)], new(People: 2, Beside: [new(Guid.CreateVersion7(), 6)]), new(9000)), TempKitchen.Noon.AddMinutes(minutes), null);

    private static StoveEvent Laid(double at) => new(Guid.CreateVersion7(), new(at), StoveAct.Laid, Pan: 1, Place: 0, Bread: 0, Number: 3);

    [Fact]
    public void A_service_and_its_events_come_back_as_they_were_in_their_order()
    {
        var kept = Some();
        var services = new Services(temp.Open());
        services.Add(kept);
        List<StoveEvent> events = [Laid(10), new(Guid.CreateVersion7(), new(12), StoveAct.Done, Bread: 0, Number: 1, Work: ClockWork.Fold), new(Guid.CreateVersion7(), new(12), StoveAct.Undo, Undoes: Guid.CreateVersion7())];
        events.ForEach(e => services.Append(kept.Id, e, TempKitchen.Noon));

        var again = new Services(temp.Open());
        var found = again.Find(kept.Id)!;
        Assert.Equal((kept.Name, kept.BatchId, kept.OpenedAt, kept.ClosedAt), (found.Name, found.BatchId, found.OpenedAt, found.ClosedAt));
        Assert.Equal(SpecJson.Write(BatchSpec.Plain), SpecJson.Write(found.Service.Breads[0].Spec));
        Assert.Equal((2, 6, 9000.0), (found.Service.Clock.People, found.Service.Clock.Beside![0].Pieces, found.Service.Table.Value));
        Assert.Equal(events, again.Events(kept.Id));
    }

    [Fact]
    public void The_same_event_is_kept_once_and_the_second_changes_nothing()
    {
        var kept = Some();
        var services = new Services(temp.Open());
        services.Add(kept);
        var e = Laid(10);
        services.Append(kept.Id, e, TempKitchen.Noon);

        Assert.Throws<SqliteException>(() => services.Append(kept.Id, e, TempKitchen.Noon));
        Assert.Equal([e], services.Events(kept.Id));
    }

    [Fact]
    public void A_closed_service_is_no_longer_among_the_open_ones()
    {
        var services = new Services(temp.Open());
        var (early, late) = (Some(), Some(5));
        services.Add(early);
        services.Add(late);
        Assert.Equal([late.Id, early.Id], services.Open().Select(s => s.Id));

        services.Append(late.Id, new(Guid.CreateVersion7(), new(60), StoveAct.End), TempKitchen.Noon.AddHours(1));
        Assert.Equal([early.Id], services.Open().Select(s => s.Id));
        Assert.Equal(TempKitchen.Noon.AddHours(1), services.Find(late.Id)!.ClosedAt);
    }

    [Fact]
    public void What_an_ended_service_was_taken_through_lies_in_one_row()
    {
        var kitchen = temp.Open();
        var services = new Services(kitchen);
        var (ended, running) = (Some(), Some(5));
        List<StoveEvent> events = [Laid(10), Laid(1.0 / 3), new(Guid.CreateVersion7(), new(12), StoveAct.End)];
        services.Add(ended);
        services.Add(running);
        events.ForEach(e => services.Append(ended.Id, e, TempKitchen.Noon));
        services.Append(running.Id, events[0], TempKitchen.Noon);

        Assert.Equal(events, services.Events(ended.Id));
        using var db = kitchen.Connect();
        Assert.Equal([running.Id.ToString()], db.Query<string>("select service_id from service_event"));
    }

    [Fact]
    public void A_service_that_came_with_events_has_those_after_them_last()
    {
        var kitchen = temp.Open();
        var kept = Some();
        List<StoveEvent> events = [Laid(10), Laid(11), Laid(12), Laid(13)];
        using (var db = kitchen.Connect())
        {
            Services.Put(db, [new(kept, events[..2])]);
        }

        var services = new Services(kitchen);
        services.Append(kept.Id, events[2], TempKitchen.Noon);
        services.Append(kept.Id, events[3], TempKitchen.Noon);
        Assert.Equal(events, services.Events(kept.Id));
        services.Append(kept.Id, events[0] with { Act = StoveAct.End, Id = Guid.CreateVersion7() }, TempKitchen.Noon);
        Assert.Equal(events, services.Events(kept.Id).Take(4));
        Assert.Equal(StoveAct.End, services.Events(kept.Id)[4].Act);
    }

    [Fact]
    public void Nothing_is_found_by_a_name_nobody_gave()
    {
        var services = new Services(temp.Open());
        Assert.Null(services.Find(Guid.NewGuid()));
        Assert.Empty(services.Events(Guid.NewGuid()));
    }
}
