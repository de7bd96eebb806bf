using CsCheck;
using Wendro.Head;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>Work split into bowls: none outlived, nothing lost, no more of them than need be.</summary>
public sealed class BatchesTests
{
    private static readonly FormulaId[] Ids = [FormulaId.A, FormulaId.B];

    private static readonly Gen<PanelWork[]> AnyWork = Gen.Select(
            Gen.Double[0.5, 8],
            Gen.Int[0, 3],
            Gen.Double[0.2, 12],
            Gen.Double[0.2, 12]
        )
        .Array[0, 40]
        .Select(all =>
            all.Select(
                    (w, i) =>
                    {
                        var key = new PanelKey(Zone.UpperBack, i / 8, i % 8);
                        var takes = Ids.Where((_, f) => w.Item2 == 3 ? true : f == w.Item2 % 2)
                            .Select(f => new PanelGrams(
                                key,
                                f,
                                f == FormulaId.A ? w.Item3 / 2 : w.Item4 / 2,
                                f == FormulaId.A ? w.Item3 : w.Item4
                            ))
                            .ToArray();
                        return new PanelWork(key, w.Item1, takes);
                    }
                )
                .ToArray()
        );

    [Fact]
    public void Bowls_sum_to_the_work_and_none_is_painted_from_past_its_end() =>
        Gen.Select(AnyWork, Gen.Double[14, 40], Gen.Double[15, 40], Gen.Double[0, 5], Gen.Double[0.5, 6])
            .Sample(
                (work, windowA, windowB, mixing, least) =>
                {
                    var bowls = Batches
                        .Of(work, f => new BowlLimits(f == FormulaId.A ? windowA : windowB, least, 1000), mixing)
                        .Bowls;
                    foreach (var id in Ids)
                    {
                        var wanted = work.SelectMany(w => w.Takes).Where(t => t.Formula == id).Sum(t => t.Grams);
                        var mine = bowls.Where(b => b.Formula == id).ToArray();
                        Assert.Equal(wanted, mine.Sum(b => b.Grams - b.ExtraGrams), 0.001);
                        Assert.Equal(wanted, mine.Sum(b => b.TakenGrams), 0.001);
                        Assert.All(
                            mine,
                            b =>
                                Assert.True(
                                    b.Grams >= least - 1e-9 && (b.ExtraGrams == 0 || Math.Abs(b.Grams - least) < 1e-9)
                                )
                        );
                        Assert.Equal(
                            work.Where(w => w.Takes.Any(t => t.Formula == id)).Select(w => w.Panel),
                            mine.SelectMany(b => b.Panels)
                        );
                        Assert.Equal(Enumerable.Range(1, mine.Length), mine.Select(b => b.Ordinal));
                    }

                    // Two bowls mixed for one panel of 8 minutes fit into every window drawn here.
                    Assert.All(bowls, b => Assert.False(b.Outlived));
                    Assert.All(
                        bowls,
                        b => Assert.True(b.MixAt + mixing <= b.PaintedUntil && b.ReadyAt == b.MixAt + mixing)
                    );
                    Assert.Equal(
                        work.Sum(w => w.Minutes) + bowls.Count * mixing,
                        bowls.Count == 0 ? work.Sum(w => w.Minutes) : bowls.Max(b => b.PaintedUntil),
                        1e-6
                    );
                }
            );

    [Fact]
    public void For_one_formula_no_split_needs_fewer() =>
        AnyWork
            .Select(w => w.Take(9).ToArray())
            .Sample(all =>
            {
                var work = all.Select(w => w with { Takes = [new PanelGrams(w.Panel, FormulaId.A, 1, 1)] }).ToArray();
                const double window = 14;
                var bowls = Batches.Of(work, _ => new BowlLimits(window, 0, 1000), 3).Bowls;
                Assert.Equal(FewestByTrying(work, window), bowls.Count);
            });

    [Fact]
    public void A_window_shorter_than_one_panel_is_said_and_every_panel_is_still_served()
    {
        PanelWork[] work = [Work(0, 4), Work(1, 12), Work(2, 4)];
        var bowls = Batches.Of(work, _ => new BowlLimits(10, 0, 1000), 2).Bowls;
        Assert.Equal(3, bowls.Count);
        Assert.Equal([false, true, false], bowls.Select(b => b.Outlived));
    }

    [Fact]
    public void A_bowl_that_holds_less_is_followed_sooner_and_one_poured_larger_serves_more()
    {
        var work = Enumerable.Range(0, 6).Select(i => Work(i, 3)).ToArray();
        BowlLimits limits(FormulaId _) => new(60, 0, 30);
        Assert.Equal([3, 3], Batches.Of(work, limits, 0).Bowls.Select(b => b.Panels.Count));
        Assert.Equal(
            [5, 1],
            Batches
                .Of(work, limits, 0, new Dictionary<(FormulaId, int), double> { [(FormulaId.A, 1)] = 55 })
                .Bowls.Select(b => b.Panels.Count)
        );
        Assert.Equal(
            [1, 3, 2],
            Batches
                .Of(work, limits, 0, new Dictionary<(FormulaId, int), double> { [(FormulaId.A, 1)] = 12 })
                .Bowls.Select(b => b.Panels.Count)
        );
    }

    [Fact]
    public void Bowls_and_panels_lie_on_one_axis_without_gap_or_overlap() =>
        Gen.Select(AnyWork, Gen.Double[10, 60], Gen.Double[0, 5])
            .Sample(
                (work, window, mixing) =>
                {
                    var line = Batches.Of(work, _ => new BowlLimits(window, 0, 1000), mixing);
                    Assert.Equal(work.Select(w => w.Panel), line.Turns.Select(t => t.Panel));
                    var spans = line
                        .Bowls.Select(b => (From: b.MixAt, To: b.ReadyAt))
                        .Concat(line.Turns.Select(t => (t.From, t.To)))
                        .OrderBy(s => s.From)
                        .ThenBy(s => s.To)
                        .ToArray();
                    var clock = 0.0;
                    foreach (var (from, to) in spans)
                    {
                        Assert.Equal(clock, from, 1e-9);
                        clock = to;
                    }

                    Assert.Equal(clock, line.Minutes, 1e-9);
                    Assert.All(
                        line.Bowls,
                        b =>
                            Assert.True(
                                b.Panels.Count == 0
                                    || line.Turns.First(t => t.Panel == b.Panels[0]).From >= b.ReadyAt - 1e-9
                            )
                    );
                }
            );

    [Fact]
    public void A_bowl_weighed_a_little_short_still_serves_all_it_was_meant_for()
    {
        var work = Enumerable.Range(0, 3).Select(i => Work(i, 3)).ToArray();
        static BowlLimits Limits(FormulaId _) => new(60, 1, 1000);
        var meant = Assert.Single(Batches.Of(work, Limits, 3).Bowls);
        var weighed = new Dictionary<(FormulaId, int), double> { [(FormulaId.A, 1)] = meant.Grams - 0.6 };
        Assert.Equal(3, Assert.Single(Batches.Of(work, Limits, 3, weighed).Bowls).Panels.Count);
        weighed[(FormulaId.A, 1)] = meant.Grams - 4;
        Assert.Equal(2, Batches.Of(work, Limits, 3, weighed).Bowls.Count);
    }

    private static PanelWork Work(int i, double minutes)
    {
        var key = new PanelKey(Zone.UpperBack, 0, i);
        return new(key, minutes, [new PanelGrams(key, FormulaId.A, 5, 10)]);
    }

    /// <summary>All ways to cut the row of panels, tried out.</summary>
    private static int FewestByTrying(PanelWork[] work, double window)
    {
        if (work.Length == 0)
        {
            return 0;
        }

        return Enumerable
            .Range(0, 1 << (work.Length - 1))
            .Min(cuts =>
            {
                var (count, used) = (1, work[0].Minutes);
                for (var i = 1; i < work.Length; i++)
                {
                    if ((cuts >> (i - 1) & 1) == 1)
                    {
                        (count, used) = (count + 1, 0);
                    }

                    used += work[i].Minutes;
                    if (used > window)
                    {
                        return int.MaxValue;
                    }
                }

                return count;
            });
    }
}
