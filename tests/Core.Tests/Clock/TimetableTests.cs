namespace Ystrata.Core.Tests.Clock;

/// <summary>What must hold of every timetable, whatever is cooked by whoever on whatever.</summary>
public class TimetableTests
{
    private const int Services = 400;

    /// <summary>Told by its number alone when something does not hold.</summary>
    private sealed record Run(int Seed, IReadOnlyList<ClockJob> Jobs, ClockSpec Clock, Timetable Table)
    {
        public override string ToString() => $"service {Seed} by {Table.Policy}";
    }

    private static IEnumerable<Run> All()
    {
        for (var seed = 0; seed < Services; seed++)
        {
            var (jobs, clock) = ClockKitchens.Any(seed);
            foreach (var policy in new[] { new Policy(0, 1), new Policy(0.4, clock.RollAhead), new Policy(1, clock.RollAhead) })
            {
                yield return new(seed, jobs, clock, ClockRun.Play(jobs, clock, Floor.Empty(jobs, clock), policy));
            }
        }
    }

    private static readonly IReadOnlyList<Run> Tables = [.. All()];

    [Fact]
    public void Every_service_comes_to_its_end() =>
        Assert.All(Tables, t =>
        {
            Assert.False(t.Table.Stuck, $"service {t.Seed} by {t.Table.Policy}");
            Assert.All(t.Table.Breads, b => Assert.All(b.At, at => Assert.Equal(PieceAt.Hot, at)));
        });

    [Fact]
    public void No_pair_of_hands_does_two_things_at_once() =>
        Assert.All(Tables, t =>
        {
            foreach (var person in t.Table.Hands.GroupBy(h => h.Person))
            {
                Assert.InRange(person.Key, 0, t.Clock.People - 1);
                Apart(person.SelectMany(h => h.Parts).Select(p => (p.From.Value, p.To.Value)), $"service {t.Seed}");
            }
        });

    [Fact]
    public void No_place_has_two_pieces_at_once() =>
        Assert.All(Tables, t =>
        {
            foreach (var place in t.Table.Pans.GroupBy(p => (p.Pan, p.Place)))
            {
                Assert.InRange(place.Key.Pan, 0, t.Clock.Pans - 1);
                Assert.InRange(place.Key.Place, 0, t.Jobs.Max(j => j.OnPan) - 1);
                Apart(place.Select(p => (p.Laid.Value, p.Lifted.Value)), $"service {t.Seed}");
            }
        });

    [Fact]
    public void No_pan_ever_has_more_on_it_than_it_takes() =>
        Assert.All(Tables, t =>
        {
            foreach (var pan in t.Table.Pans.GroupBy(p => p.Pan))
            {
                // What is laid last of all that lie there at a moment makes it fullest.
                foreach (var moment in pan.Select(p => p.Laid.Value))
                {
                    Assert.InRange(pan.Where(p => p.Laid.Value <= moment && p.Lifted.Value > moment).Sum(p => 1.0 / t.Jobs[p.Bread].OnPan), 0, 1 + 1e-9);
                }
            }
        });

    [Fact]
    public void Every_touch_at_a_pan_has_a_hand_at_its_very_second() =>
        Assert.All(Tables, t =>
        {
            var hands = t.Table.Hands.Where(h => h.Pan is not null).Select(h => (h.Pan!.Value, h.Place!.Value, h.Parts[0].To.Value - h.Parts[0].From.Value > 0, h.Parts[0].From.Value)).ToHashSet();
            foreach (var stay in t.Table.Pans)
            {
                var job = t.Jobs[stay.Bread];
                Assert.All(stay.Turns.Append(stay.Lifted), at => Assert.Contains((stay.Pan, stay.Place, true, at.Value), hands));
                var visit = stay.Fry ? job.FryOf(stay.Pieces.Count) : job.Pan;
                Assert.Equal(visit.Cooks, stay.Lifted.Value - stay.Laid.Value);
                Assert.Equal(visit.Stays.SkipLast(1).Select((_, i) => stay.Laid.Value + visit.Stays.Take(i + 1).Sum()), stay.Turns.Select(s => s.Value));
            }
        });

    [Fact]
    public void All_work_is_done_and_no_more_than_that() =>
        Assert.All(Tables, t =>
        {
            foreach (var (job, b) in t.Jobs.Select((j, b) => (j, b)))
            {
                double Of(ClockWork work) => t.Table.Hands.Where(h => h.Bread == b && h.Work == work).Sum(h => h.Parts.Sum(p => p.To.Value - p.From.Value));
                Assert.Equal(job.Preps.Sum(p => p.Seconds), Of(ClockWork.Mix) + Of(ClockWork.Divide) + Of(ClockWork.Filling));
                Assert.Equal(job.Balls * job.Fold.Sum(f => f.Seconds), Of(ClockWork.Fold));
                Assert.Equal(job.Pieces * job.Roll, Of(ClockWork.Roll));
                Assert.Equal(job.Pieces, t.Table.Pans.Where(p => p.Bread == b && !p.Fry).Sum(p => p.Pieces.Count));
                Assert.Equal(job.Fry is null ? 0 : job.Pieces, t.Table.Pans.Where(p => p.Bread == b && p.Fry).Sum(p => p.Pieces.Count));
            }
        });

    [Fact]
    public void No_rest_is_short() =>
        Assert.All(Tables, t =>
        {
            foreach (var (job, b) in t.Jobs.Select((j, b) => (j, b)))
            {
                var bread = t.Table.Breads[b];
                foreach (var life in ClockLives.Of(job, bread, b))
                {
                    var ball = (life.Number - 1) / job.Each;
                    Assert.True(bread.Prep[job.BallFrom[ball]] >= bread.Prep[0] + job.Preps[1].After[0].Lag, $"first rest, service {t.Seed}");
                    if (job.Fold.Count > 0)
                    {
                        Assert.True(life.Opened!.Value.Value >= life.Rounded!.Value.Value + job.BallRest, $"ball {ball}, service {t.Seed}");
                        Assert.All(job.FoldAfter, f => Assert.True(life.Opened.Value.Value >= bread.Prep[f.Prep] + f.Lag, $"filling, service {t.Seed}"));
                        Assert.True(life.Folded!.Value.Value >= life.Opened.Value.Value + job.Fold.Sum(f => f.Seconds) + job.Fold.SkipLast(1).Sum(f => f.Rest), $"program, service {t.Seed}");
                        Assert.True(job.Roll == 0 || life.Rolled!.Value.Value >= life.Folded.Value.Value + job.Fold[^1].Rest + job.Roll, $"fold, service {t.Seed}");
                    }

                    Assert.True(job.Roll == 0 || life.Laid!.Value.Value >= life.Rolled!.Value.Value + job.Freeze, $"laid, service {t.Seed}");
                }
            }
        });

    [Fact]
    public void The_first_folded_is_the_first_rolled_and_the_first_laid() =>
        Assert.All(Tables, t =>
        {
            for (var b = 0; b < t.Jobs.Count; b++)
            {
                foreach (var work in new[] { ClockWork.Fold, ClockWork.Roll })
                {
                    var begins = t.Table.Hands.Where(h => h.Bread == b && h.Work == work && h.Chore == 0).OrderBy(h => h.Number).Select(h => h.Parts[0].From.Value).ToList();
                    Assert.Equal(begins.Order(), begins);
                }

                var laid = t.Table.Pans.Where(p => p.Bread == b && !p.Fry).OrderBy(p => p.Pieces[0]).Select(p => p.Laid.Value - (p.Wiped ? t.Jobs[b].Wiping.For : 0)).ToList();
                Assert.Equal(laid.Order(), laid);
            }
        });

    [Fact]
    public void No_more_rolled_pieces_wait_than_may() =>
        Assert.All(Tables, t =>
        {
            var lives = t.Jobs.SelectMany((j, b) => j.Freeze > 0 || j.Roll == 0 ? [] : ClockLives.Of(j, t.Table.Breads[b], b)).ToList();
            Assert.All(lives, life => Assert.InRange(
                lives.Count(o => o.Rolled!.Value.Value <= life.Rolled!.Value.Value && o.Laid!.Value.Value > life.Rolled.Value.Value), 0, t.Clock.RollAhead));
        });

    [Fact]
    public void No_more_balls_lie_open_than_may() =>
        Assert.All(Tables, t =>
        {
            for (var b = 0; b < t.Jobs.Count; b++)
            {
                var bread = t.Table.Breads[b];
                Assert.All(Enumerable.Range(0, t.Jobs[b].Fold.Count > 0 ? t.Jobs[b].Balls : 0), i => Assert.InRange(
                    Enumerable.Range(0, t.Jobs[b].Balls).Count(o => bread.Opened[o] <= bread.Opened[i] && bread.Folded[o] > bread.Opened[i]), 0, t.Clock.OpenBalls));
            }
        });

    [Fact]
    public void Nobody_is_quicker_than_the_bound() =>
        Assert.All(Tables, t =>
        {
            var (hands, pans, chain) = ClockStage.Bounds(t.Jobs, t.Clock);
            Assert.True(t.Table.Objectives.Ends >= hands, $"hands, service {t.Seed}");
            Assert.True(t.Table.Objectives.Ends >= pans, $"pans, service {t.Seed}");
            Assert.True(t.Table.Objectives.Ends >= chain, $"chain, service {t.Seed}");
        });

    [Fact]
    public void A_pan_is_wiped_before_it_has_had_too_many() =>
        Assert.All(Tables.Where(t => t.Jobs.Count == 1), t =>
        {
            foreach (var pan in t.Table.Pans.GroupBy(p => p.Pan))
            {
                var since = 0;
                foreach (var stay in pan.OrderBy(p => p.Laid.Value - (p.Wiped ? t.Jobs[0].Wiping.For : 0)).ThenBy(p => p.Place))
                {
                    since = (stay.Wiped ? 0 : since) + stay.Pieces.Count;
                    Assert.True(since - stay.Pieces.Count < t.Jobs[0].Wiping.Every, $"service {t.Seed}");
                }
            }
        });

    private static void Apart(IEnumerable<(double From, double To)> stretches, string where)
    {
        var last = double.NegativeInfinity;
        foreach (var (from, to) in stretches.OrderBy(s => s.From))
        {
            Assert.True(from >= last, $"{where}: {from} before {last}");
            last = to;
        }
    }
}
