using CsCheck;
using Wendro.Timing;

namespace Wendro.Tests.Timing;

public sealed class ExposureTests
{
    [Fact]
    public void It_works_from_when_it_was_laid_and_no_longer_than_it_is_left_on() =>
        Gen.Select(Gen.Double[0, 200], Gen.Double[0, 120], Gen.Double[0, 400])
            .Sample(
                (from, lasts, minute) =>
                {
                    var works = new Exposure(new(from), new(lasts));
                    Assert.Equal(from + lasts, works.RinsedAt, 1e-9);
                    Assert.Equal(minute <= from ? 0 : Math.Min(minute - from, lasts), works.At(minute), 1e-9);
                    Assert.Equal(Math.Min(minute, lasts), works.After(minute), 1e-9);
                    Assert.Equal(lasts, works.At(works.RinsedAt + minute), 1e-9);
                }
            );

    [Fact]
    public void One_that_counts_from_its_own_laying_begins_at_once() =>
        Assert.Equal((0, 35), (Exposure.Lasting(35).From.Value, Exposure.Lasting(35).RinsedAt));
}
