using CsCheck;
using Wendro.Core.Apply.Chair;

namespace Wendro.Core.Tests.Apply;

public sealed class ChairTests
{
    private static ChairGroup Group(
        string id,
        int panels,
        double each,
        double from,
        double to,
        params string[] after
    ) => new(id, Enumerable.Repeat(new ChairPanel(each, from, to), panels).ToArray(), after);

    private static Gen<ChairProblem> Small { get; } =
        from groups in Gen.Int[1, 3]
        from sizes in Gen.Int[1, 3].Array[groups]
        from each in Gen.Int[1, 6].Array[groups]
        from start in Gen.Int[0, 12].Array[groups]
        from width in Gen.Int[0, 10].Array[groups]
        from given in Gen.Int[0, 3]
        from after in Gen.Int[0, 4]
        from wave in Gen.Int[0, 6]
        from step in Gen.Int[0, 4]
        select new ChairProblem(
            Enumerable
                .Range(0, groups)
                .Select(i =>
                    Group(
                        $"{(char)('a' + i)}",
                        groups == 3 ? Math.Min(2, sizes[i]) : sizes[i],
                        each[i] * 0.5,
                        start[i],
                        start[i] + width[i] * 0.75,
                        after == 0 && i == 0 && groups > 1 && given > 0 ? ["b"] : []
                    )
                )
                .ToArray(),
            given == 0,
            wave,
            step * 0.5
        );

    [Fact]
    public void Three_hundred_small_cases_come_out_as_every_sequence_tried_by_hand_does()
    {
        var (fits, not) = (0, 0);
        Small.Sample(
            problem =>
            {
                var found = ChairPlanner.Of(problem);
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
                Assert.Equal(best.Waves, found.Waves.Count);
                Assert.Equal(best.Order, string.Concat(found.Order));
            },
            iter: 300
        );
        Assert.True(fits > 40 && not > 40, $"{fits} fit, {not} don't");
    }
}
