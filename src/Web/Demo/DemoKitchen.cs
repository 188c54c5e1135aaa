using Ystrata.Store;

namespace Ystrata.Web.Demo;

/// <summary>How much of the demo is in the kitchen.</summary>
/// <param name="Breads">Of it, on the shelf.</param>
/// <param name="Untouched">What would go when it is taken out: breads, batches, entries of the log and lines of the larder.</param>
/// <param name="Changed">Breads, batches and entries of the log that the cook has changed since: they stay.</param>
public sealed record DemoView(int Breads, int Untouched, int Changed);

/// <summary>Fills a kitchen with the demo and takes it out again: what was changed since is the cook's and stays.</summary>
public sealed class DemoKitchen(Breads breads, Batches batches, Logbook log, Photos photos, CurrentKitchen current, TimeProvider clock)
{
    /// <summary>Fills a kitchen in which nothing has ever been kept; any other is left alone.</summary>
    public void FillIfEmpty()
    {
        if (breads.NeverUsed())
        {
            Fill();
        }
    }

    /// <summary>Lays the demo beside what there is: what lies in the trash of it comes back, and lines of the larder that the cook has put right stay so.</summary>
    public DemoView Fill()
    {
        current.Change((pantry, at) =>
        {
            pantry.Keep(MarrowQuayLarder.Lines.Where(i => !current.Now.Larder.TryGet(i.Id, out var line) || line!.Origin is Origin.Shipped or Origin.Gone), at);
            foreach (var vessel in MarrowQuayLarder.Vessels.Where(v => pantry.Vessels().All(own => own.Id != v.Id)))
            {
                pantry.Keep(vessel, at);
            }

            if (pantry.Units() is { Coin: "" } units)
            {
                pantry.Keep(units with { Coin = MarrowQuayLarder.Coin });
            }

            foreach (var bread in MarrowQuay.Breads)
            {
                _ = breads.Add(bread) || breads.Restore(bread.Id);
            }

            foreach (var cooked in MarrowQuay.Cookings)
            {
                _ = batches.Add(cooked.Batch) || batches.Restore(cooked.Batch.Id);
                if (cooked.Photo is { } photo)
                {
                    photos.Add(photo);
                }

                _ = log.Add(cooked.Entry, cooked.Lessons) || log.Restore(cooked.Entry.Id);
            }

            foreach (var batch in ToMake())
            {
                // What comes back from the trash is for tomorrow, whenever it was made for before.
                if (!batches.Add(batch) && batches.Restore(batch.Id) && batches.Find(batch.Id)?.ChangedAt == batch.ChangedAt)
                {
                    batches.Change(batch, Meant.Whatever);
                }
            }
        });
        return View();
    }

    /// <summary>Puts what nobody has changed since into the trash, and the larder back to what it was.</summary>
    public DemoView TakeOut()
    {
        current.Change((pantry, at) =>
        {
            foreach (var cooked in MarrowQuay.Cookings.Where(c => log.Find(c.Entry.Id)?.ChangedAt == c.Entry.ChangedAt))
            {
                log.Delete(cooked.Entry.Id, at, Meant.Whatever);
            }

            foreach (var batch in Batches().Where(b => batches.Find(b.Id)?.ChangedAt == b.ChangedAt))
            {
                batches.Delete(batch.Id, at, Meant.Whatever);
            }

            foreach (var bread in MarrowQuay.Breads.Where(b => breads.Find(b.Id)?.ChangedAt == b.ChangedAt))
            {
                breads.Delete(bread.Id, at, Meant.Whatever);
            }

            foreach (var line in MarrowQuayLarder.Lines.Where(IsAsFilled))
            {
                pantry.Delete(line.Id, at);
            }

            foreach (var vessel in MarrowQuayLarder.Vessels.Where(v => pantry.Vessels().Contains(v)))
            {
                pantry.DeleteVessel(vessel.Id, at);
            }

            if (pantry.Units() is { Coin: MarrowQuayLarder.Coin } units)
            {
                pantry.Keep(units with { Coin = Units.Usual.Coin });
            }
        });
        return View();
    }

    public DemoView View()
    {
        var kept = MarrowQuay.Breads.Select(b => (Was: b.ChangedAt, Now: breads.Find(b.Id)?.ChangedAt))
            .Concat(Batches().Select(b => (Was: b.ChangedAt, Now: batches.Find(b.Id)?.ChangedAt)))
            .Concat(MarrowQuay.Cookings.Select(c => (Was: c.Entry.ChangedAt, Now: log.Find(c.Entry.Id)?.ChangedAt)))
            .Where(k => k.Now is not null)
            .ToList();
        return new(
            MarrowQuay.Breads.Count(b => breads.Find(b.Id) is not null),
            kept.Count(k => k.Was == k.Now) + MarrowQuayLarder.Lines.Count(IsAsFilled),
            kept.Count(k => k.Was != k.Now));
    }

    private IEnumerable<Batch> Batches() => MarrowQuay.Cookings.Select(c => c.Batch).Concat(ToMake());

    // Tomorrow, where the server stands.
    private IEnumerable<Batch> ToMake()
    {
        var zone = clock.LocalTimeZone;
        var day = TimeZoneInfo.ConvertTime(clock.GetUtcNow(), zone).Date.AddDays(1);
        return MarrowQuay.ToMake(new(day, zone.GetUtcOffset(day)));
    }

    private bool IsAsFilled(Ingredient line) =>
        current.Now.Larder.TryGet(line.Id, out var now) && Versions.Of(now) == Versions.Of(MarrowQuay.Its.Larder[line.Id]);
}
