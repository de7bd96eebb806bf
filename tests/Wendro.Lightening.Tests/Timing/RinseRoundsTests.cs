using CsCheck;
using Wendro.Timing;

namespace Wendro.Tests.Timing;

public sealed class RinseRoundsTests
{
    private static readonly Gen<RinseWindow> AnyWindow = Gen.Select(Gen.Int[0, 30], Gen.Int[0, 12])
        .Select(w => new RinseWindow(w.Item1, w.Item1 + w.Item2));

    [Fact]
    public void Every_window_is_met_by_as_few_rinses_as_any_choice_has() =>
        AnyWindow
            .Array[0, 7]
            .Sample(windows =>
            {
                var rinses = RinseRounds.Fewest(windows);
                Assert.All(windows, w => Assert.Contains(rinses, t => t >= w.From && t <= w.To));
                Assert.Equal(Least(windows), rinses.Count);
                Assert.Equal(rinses.Order(), rinses);
            });

    /// <summary>
    /// By trying every set of the windows' ends: some best choice waits with each wave until something ends.
    /// </summary>
    private static int Least(RinseWindow[] windows)
    {
        var moments = windows.Select(w => w.To).Distinct().ToArray();
        return Enumerable
            .Range(0, 1 << moments.Length)
            .Where(set =>
                windows.All(w =>
                    Enumerable
                        .Range(0, moments.Length)
                        .Any(i => (set >> i & 1) == 1 && moments[i] >= w.From && moments[i] <= w.To)
                )
            )
            .Min(set => System.Numerics.BitOperations.PopCount((uint)set));
    }

    [Fact]
    public void Windows_that_touch_share_a_rinse_and_none_need_none()
    {
        Assert.Equal([20.0], RinseRounds.Fewest([new(10, 20), new(20, 30)]));
        Assert.Equal([20, 30.5], RinseRounds.Fewest([new(20.1, 30.5), new(10, 20)]));
        Assert.Empty(RinseRounds.Fewest([]));
    }
}
