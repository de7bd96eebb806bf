using CsCheck;
using Wendro.Scheduling;

namespace Wendro.Tests.Scheduling;

public sealed class ChairTests
{
    private static PanelGroup Group(
        string id,
        int panels,
        double each,
        double from,
        double to,
        params string[] after
    ) => new(id, Enumerable.Repeat(new ScheduledPanel(each, from, to), panels).ToArray(), after);

    /// <summary>The same group, of which each panel takes so many minutes to be freed after its wave.</summary>
    private static PanelGroup Freeing(double minutes, PanelGroup group) =>
        group with
        {
            Panels = group.Panels.Select(p => p with { Frees = minutes }).ToArray(),
        };

    private static Gen<ScheduleProblem> Small { get; } =
        from groups in Gen.Int[1, 3]
        from sizes in Gen.Int[1, 3].Array[groups]
        from each in Gen.Int[1, 6].Array[groups]
        from start in Gen.Int[0, 12].Array[groups]
        from width in Gen.Int[0, 10].Array[groups]
        from given in Gen.Int[0, 3]
        from after in Gen.Int[0, 4]
        from rinse in Gen.Int[0, 6]
        from step in Gen.Int[0, 4]
        from frees in Gen.Int[0, 5].Array[groups]
        select new ScheduleProblem(
            Enumerable
                .Range(0, groups)
                .Select(i =>
                    Freeing(
                        Math.Max(0, frees[i] - 2) * 0.5,
                        Group(
                            $"{(char)('a' + i)}",
                            groups == 3 ? Math.Min(2, sizes[i]) : sizes[i],
                            each[i] * 0.5,
                            start[i],
                            start[i] + width[i] * 0.75,
                            after == 0 && i == 0 && groups > 1 && given > 0 ? ["b"] : []
                        )
                    )
                )
                .ToArray(),
            given == 0,
            rinse,
            step * 0.5
        );

    [Fact]
    public void Three_hundred_small_cases_come_out_as_every_sequence_tried_by_hand_does()
    {
        var (fits, not) = (0, 0);
        Small.Sample(
            problem =>
            {
                var found = SchedulePlanner.Of(problem);
                var byHand = ChairByHand.Best(problem);
                Assert.True(found.Proven);
                Assert.Equal(byHand is not null, found.Feasible);
                if (byHand is not { } best)
                {
                    Interlocked.Increment(ref not);
                    Assert.Null(found.EndsAt);
                    Assert.NotEmpty(found.Conflicts);
                    return;
                }

                Interlocked.Increment(ref fits);
                ChairCheck.Holds(problem, found);
                Assert.Equal(best.End, found.EndsAt!.Value, 1e-5);
                Assert.Equal(best.Rinses, found.Rinses.Count);
                Assert.Equal(best.Order, string.Concat(found.Order));
            },
            iter: 300
        );
        Assert.True(fits > 40 && not > 40, $"{fits} fit, {not} don't");
    }

    /// <summary>
    /// More panels than are tried in every way at once, in groups with narrow windows or wide ones, some in the given
    /// order; in twentieths of a minute.
    /// </summary>
    private static ScheduleProblem Middling(int seed)
    {
        var any = new Random(seed);
        double Any(double low, double high) => Math.Round((low + (high - low) * any.NextDouble()) * 20) / 20;
        var groups = any.Next(2, 5);
        var (narrow, given) = (any.Next(3), any.Next(3) == 0);
        // Just more than every way is tried of at once: a solver takes seconds for these.
        var panels = BranchAndBound.SmallPanels / groups + 1;
        return new(
            Enumerable
                .Range(0, groups)
                .Select(g =>
                {
                    var from = Any(5, 30);
                    var to = from + (narrow == 0 ? Any(2, 8) : Any(5, 25));
                    var after = g > 0 && any.Next(5) == 0 ? new[] { $"{(char)('a' + any.Next(g))}" } : [];
                    return Group($"{(char)('a' + g)}", panels, Any(0.3, 1.8), from, to, after);
                })
                .ToArray(),
            given
        );
    }

    [Fact]
    public void What_is_proven_of_more_panels_a_solver_that_knows_nothing_of_chairs_finds_too()
    {
        var (proven, fits) = (0, 0);
        for (var seed = 0; seed < SolvedCases; seed++)
        {
            var problem = Middling(seed);
            var found = SchedulePlanner.Of(problem);
            var best = ChairBySolver.Best(problem);
            Assert.True(best is null || found.LowerBound <= best.Value.End + Closely, $"{seed}: the bound");
            if (found.Proven)
            {
                proven++;
                Assert.True(found.Feasible == best is not null, $"{seed}: whether it fits");
            }

            if (found.EndsAt is { } end)
            {
                fits++;
                ChairCheck.Holds(problem, found);
                Assert.True(end >= best!.Value.End - Closely, $"{seed}: no sooner than can be");
                Assert.True(!found.Proven || Math.Abs(end - best.Value.End) < Closely, $"{seed}: {end} {best}");
                Assert.True(!found.Proven || found.Rinses.Count == best.Value.Rinses, $"{seed}: the waves of {best}");
            }
        }

        Assert.True(proven >= SolvedCases * 0.9 && fits > SolvedCases / 2, $"{proven} proven, {fits} fit");
    }

    [Fact]
    public void Of_what_ends_as_soon_fewer_rinses_are_taken()
    {
        var problem = new ScheduleProblem([
            Group("crown", 5, 1, 31.15, 36.5),
            Group("side", 4, 1.5, 27.45, 30.35),
            Group("nape", 4, 0.8, 12.25, 15.6),
            Group("low", 3, 0.7, 10.8, 16.8, "nape"),
            Group("top", 2, 1.7, 28.7, 33.4),
        ]);
        var found = SchedulePlanner.Of(problem);
        ChairCheck.Holds(problem, found);
        Assert.Equal(41.85, found.EndsAt!.Value, 1e-6);
        Assert.True(found.Proven);
        Assert.Single(found.Rinses);
    }

    [Fact]
    public void A_group_that_can_t_be_rinsed_in_time_is_told_at_once_however_many_others_there_are()
    {
        var others = Enumerable.Range(0, 11).Select(i => Group($"{i}", 10, 0.5 + i * 0.03, 25 + i, 40 + i));
        var found = SchedulePlanner.Of(new([.. others, Group("long", 8, 3, 5, 9)]));
        Assert.False(found.Feasible);
        Assert.True(found.Proven);
        Assert.Equal(["long"], Assert.Single(found.Conflicts).Groups);
    }

    [Fact]
    public void Row_by_row_there_may_be_more_groups_than_a_visit_has_zones()
    {
        var rows = Enumerable.Range(0, 28).Select(i => Group($"{i}", 3, 0.5, 25, 45)).ToArray();
        var problem = new ScheduleProblem(rows, InGivenOrder: true);
        var found = SchedulePlanner.Of(problem);
        ChairCheck.Holds(problem, found);
        Assert.True(found.LowerBound <= found.EndsAt);
    }

    [Fact]
    public void Where_a_rinse_begins_sooner_than_the_next_panel_of_one_follows_each_panel_has_its_own()
    {
        var problem = new ScheduleProblem([Group("all", 16, 1, 0, 100)], false, 0.5, 2);
        var found = SchedulePlanner.Of(problem);
        ChairCheck.Holds(problem, found);
        Assert.Equal(16 + 16 * 0.5, found.EndsAt!.Value, 1e-9);
        Assert.Equal(16, found.Rinses.Count);
        Assert.True(found.Proven);
    }

    private const int SolvedCases = 12;
    private const double Closely = 0.01;

    private static Gen<ScheduleProblem> Head { get; } =
        from groups in Gen.Int[4, 12]
        from sizes in Gen.Int[3, 16].Array[groups]
        from each in Gen.Double[0.35, 0.9].Array[groups]
        from start in Gen.Double[15, 42].Array[groups]
        from width in Gen.Double[5, 26].Array[groups]
        from given in Gen.Int[0, 4]
        from frees in Gen.Double[-0.3, 0.3].Array[groups]
        select new ScheduleProblem(
            Enumerable
                .Range(0, groups)
                .Select(i =>
                    Freeing(
                        Math.Max(0, frees[i]),
                        Group($"{(char)('a' + i)}", sizes[i], each[i], start[i], start[i] + width[i])
                    )
                )
                .ToArray(),
            given == 0
        );

    [Fact]
    public void A_hundred_heads_end_no_later_than_by_three_plain_rules()
    {
        var sooner = 0;
        Head.Sample(
            problem =>
            {
                var found = SchedulePlanner.Of(problem);
                var plain = PlainRules.Ends(problem).Where(e => !problem.InGivenOrder || e > 0).ToArray();
                if (problem.InGivenOrder)
                {
                    plain = [plain[0], plain[2]];
                }

                if (found.EndsAt is { } end)
                {
                    ChairCheck.Holds(problem, found);
                    Assert.True(end <= plain.Min() + 1e-6, $"{end} against {plain.Min()}");
                    Interlocked.Add(ref sooner, end < plain.Min() - 0.01 ? 1 : 0);
                }
                else
                {
                    Assert.True(double.IsPositiveInfinity(plain.Min()));
                    Assert.NotEmpty(found.Conflicts);
                }
            },
            iter: 100
        );
        Assert.True(sooner > 50, $"{sooner} of a hundred end sooner than by any plain rule");
    }

    [Fact]
    public void The_same_question_has_the_same_answer()
    {
        Head.Sample(
            problem =>
            {
                var (one, other) = (SchedulePlanner.Of(problem), SchedulePlanner.Of(problem));
                Assert.Equal(one.Order, other.Order);
                Assert.Equal(one.EndsAt, other.EndsAt);
                Assert.Equal(one.Proven, other.Proven);
            },
            iter: 8
        );
    }

    [Fact]
    public void What_is_alike_keeps_the_given_order()
    {
        var found = SchedulePlanner.Of(
            new([Group("b", 3, 1, 20, 60), Group("a", 3, 1, 20, 60), Group("c", 3, 1, 20, 60)])
        );
        Assert.Equal(["b", "a", "c"], found.Order);
        Assert.Single(found.Rinses);
        Assert.True(found.Proven);
    }

    [Fact]
    public void What_is_painted_later_but_over_sooner_is_rinsed_first()
    {
        var found = SchedulePlanner.Of(new([new("mixed", [new(1, 20, 40), new(1, 5, 6)])]));
        Assert.True(found.Feasible);
        Assert.Equal([1, 0], found.Rinses.SelectMany(w => w.Panels).Select(p => p.Index));
        ChairCheck.Holds(new([new("mixed", [new(1, 20, 40), new(1, 5, 6)])]), found);
    }

    /// <summary>Groups whose panels have windows of their own, as a real zone's.</summary>
    private static Gen<ScheduleProblem> Crossed { get; } =
        from groups in Gen.Int[1, 2]
        from sizes in Gen.Int[1, 3].Array[groups]
        from each in Gen.Int[1, 4].Array[groups * 3]
        from start in Gen.Int[0, 14].Array[groups * 3]
        from width in Gen.Int[1, 16].Array[groups * 3]
        from frees in Gen.Int[0, 6].Array[groups * 3]
        select new ScheduleProblem(
            Enumerable
                .Range(0, groups)
                .Select(g => new PanelGroup(
                    $"{(char)('a' + g)}",
                    Enumerable
                        .Range(g * 3, sizes[g])
                        .Select(i => new ScheduledPanel(
                            each[i] * 0.5,
                            start[i],
                            start[i] + width[i] * 0.75,
                            Math.Max(0, frees[i] - 4)
                        ))
                        .ToArray()
                ))
                .ToArray()
        );

    [Fact]
    public void Where_windows_cross_what_is_claimed_holds_against_every_sequence_tried_by_hand()
    {
        var (proven, best, short1) = (0, 0, 0);
        Crossed.Sample(
            problem =>
            {
                var found = SchedulePlanner.Of(problem);
                var byHand = ChairByHand.Best(problem);
                if (found.Feasible)
                {
                    ChairCheck.Holds(problem, found);
                    Assert.True(found.EndsAt >= byHand!.Value.End - 1e-6);
                }

                Assert.True(byHand is null || found.LowerBound <= byHand.Value.End + 1e-6);
                if (found.Proven)
                {
                    Interlocked.Increment(ref proven);
                    Assert.Equal(byHand is not null, found.Feasible);
                    Assert.Equal(byHand?.End ?? -1, found.EndsAt ?? -1, 1e-5);
                }

                var isBest =
                    found.Feasible == byHand is not null && (byHand is null || found.EndsAt <= byHand.Value.End + 1e-5);
                Interlocked.Increment(ref isBest ? ref best : ref short1);
            },
            iter: 200
        );
        Assert.True(proven > 60, $"{proven} proven");
        Assert.True(best > 150, $"{best} the best, {short1} not");
    }

    [Fact]
    public void A_group_that_outlasts_its_own_window_is_told_by_itself()
    {
        var found = SchedulePlanner.Of(new([Group("short", 20, 1, 5, 10), Group("long", 4, 1, 5, 60)]));
        Assert.False(found.Feasible);
        Assert.True(found.Proven);
        Assert.Null(found.EndsAt);
        var conflict = Assert.Single(found.Conflicts);
        Assert.Equal(["short"], conflict.Groups);
        Assert.Contains("20 min to paint", conflict.Words.ToString(), StringComparison.Ordinal);
        Assert.Contains("min longer", conflict.Words.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public void What_fits_group_by_group_fits_somehow_and_what_does_not_fit_names_those_that_don_t()
    {
        var fits = SchedulePlanner.Of(
            new([Group("one", 1, 10, 5, 5), Group("two", 1, 10, 5, 5), Group("three", 2, 9, 9, 14)])
        );
        Assert.True(fits.Feasible);
        var not = SchedulePlanner.Of(
            new([Group("one", 1, 2, 3, 4), Group("two", 6, 1, 6, 8, "one"), Group("three", 1, 1, 0, 90)], true, 3, 1.5)
        );
        Assert.False(not.Feasible);
        var conflict = Assert.Single(not.Conflicts);
        Assert.Equal(["two"], conflict.Groups);
        Assert.Contains("groups of up to", conflict.Words.ToString(), StringComparison.Ordinal);
    }

    [Fact]
    public void Hands_wait_before_a_group_where_its_window_would_end_too_soon()
    {
        // The first is not ready before minute 31; what comes second is over three minutes after it may be rinsed.
        var problem = new ScheduleProblem([Group("slow", 1, 1, 34, 40), Group("quick", 1, 1, 5, 8)], true, 4, 0.5);
        var found = SchedulePlanner.Of(problem);
        ChairCheck.Holds(problem, found);
        Assert.True(found.Groups[1].StartsAt > 20, "the second waits");
        Assert.Equal(35, found.EndsAt!.Value, 1e-9);
    }
}
