using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Hair;

public sealed class StrandHistoryTests
{
    private static readonly Band[] Good =
    [
        new(0, 3, BandState.Natural, new(4)),
        new(3, 22, BandState.Coloured, new(5)),
        new(22, 34, BandState.Lightened, new(8), 0.4),
    ];

    private static PlannedHead HeadWith(HairProfile hair, params PlanEdit[] edits)
    {
        var looks = Given.Usual;
        var cutting = new Cutting(Given.Head, hair, _ => looks.OnHead.LengthAt);
        var head = PlannedHead.Of(looks, cutting, Plan.Fresh());
        return edits.Aggregate(head, (h, e) => h.After(h.Plan.Apply(e, cutting).Plan, looks, cutting));
    }

    [Fact]
    public void Bands_that_follow_one_another_are_taken() => Assert.Empty(StrandHistory.Problems(Good, 34));

    [Theory]
    [InlineData(1, 2.0, 22.0, "fromCm", "overlaps")]
    [InlineData(1, 5.0, 22.0, "fromCm", "gap")]
    [InlineData(0, 1.0, 3.0, "fromCm", "begins at the scalp")]
    [InlineData(2, 22.0, 40.0, "toCm", "Longer than the hair")]
    [InlineData(1, 3.0, 3.0, "toCm", "further down")]
    [InlineData(0, double.NaN, 3.0, "fromCm", "scalp")]
    [InlineData(0, 0.0, double.NaN, "toCm", "further down")]
    public void What_cannot_be_so_is_named_by_band_and_field(
        int band,
        double from,
        double to,
        string field,
        string words
    )
    {
        var bands = Good.ToArray();
        bands[band] = bands[band] with { FromCm = from, ToCm = to };
        Assert.Contains(
            StrandHistory.Problems(bands, 34),
            p => p.Band == band && p.Field == field && p.Words.Contains(words, StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1.2)]
    [InlineData(double.NaN)]
    public void Shares_have_their_range(double share) =>
        Assert.Contains(
            StrandHistory.Problems([new(0, 30, BandState.Natural, new(5), share)], 34),
            p => p.Field == "share"
        );

    [Fact]
    public void Growth_moves_every_band_outwards_and_leaves_no_gap() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[1, 10])
            .Sample(
                (weeks, level) =>
                {
                    var grown = StrandHistory.Grown(Good, new(level), weeks);
                    Assert.Empty(StrandHistory.Problems(grown, 200));
                    Assert.Equal(34 + StrandHistory.GrowthCm(weeks), grown[^1].ToCm, StrandHistory.Touching);
                }
            );

    [Fact]
    public void A_year_grows_fifteen_centimetres_and_regrowth_tells_its_months()
    {
        Assert.Equal(15, StrandHistory.GrowthCm(52), 1e-9);
        Assert.Equal(2, StrandHistory.MonthsOf(2.5), 1e-9);
    }

    [Fact]
    public void Before_anything_is_painted_the_head_shows_what_was_done()
    {
        var head = HeadWith(HairProfile.Usual with { NaturalLevel = new(4), History = Good });
        byte At(int strand, double s) =>
            head.Levels[
                strand * Places.Count
                    + Enumerable
                        .Range(0, Places.Count)
                        .MinBy(k => Math.Abs(Places.Share(k) * head.Looks.OnHead.Lengths[strand] - s))
            ];
        var longOnes = Enumerable
            .Range(0, head.Looks.OnHead.Lengths.Length)
            .Where(i => head.Looks.OnHead.Lengths[i] > 28)
            .ToArray();
        Each.Of(longOnes, i => Assert.Equal(Level.ToByte(4), At(i, 1)));
        Each.Of(longOnes, i => Assert.Equal(Level.ToByte(5), At(i, 12)));
        Each.Of(
            longOnes,
            i => Assert.Equal(HairState.IsTreated(i, 0.4) ? Level.ToByte(8) : Level.ToByte(4), At(i, 26))
        );
    }

    [Fact]
    public void Old_stripes_are_seen_as_stripes_neighbours_alike()
    {
        Assert.InRange(Enumerable.Range(0, 14_000).Count(i => HairState.IsTreated(i, 0.4)) / 14_000.0, 0.36, 0.44);
        var treated = Enumerable.Range(0, 3_000).Select(i => HairState.IsTreated(i, 0.4)).ToArray();
        var changes = treated.Zip(treated.Skip(1)).Count(p => p.First != p.Second);
        Assert.InRange(changes, 50, 300);
    }

    [Fact]
    public void Lift_starts_from_what_is_there_and_old_colour_holds_it_back()
    {
        var paint = new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), 4, 2, 30, 30));
        double Mean(BandState state) =>
            HeadWith(HairProfile.Usual with { History = [new(0, 34, state, new(5))] }, paint)
                .Panels.Where(p => p.Painted is not null)
                .Average(p =>
                    p.MeanLevel(HairProfile.Usual with { History = [new(0, 34, state, new(5))] }, Moment.Rinsed)
                );
        Assert.Equal(Mean(BandState.Natural), Mean(BandState.Lightened), 1e-9);
        Assert.True(Mean(BandState.Coloured) < Mean(BandState.Natural) - 0.5);
    }

    [Fact]
    public void A_panels_mean_agrees_with_its_strands_over_bands()
    {
        var hair = HairProfile.Usual with
        {
            NaturalLevel = new(4),
            History = [Good[0], Good[1], Good[2] with { Share = 1 }],
        };
        var head = HeadWith(hair, new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), 6, 4, 30, 30)));
        var (panels, strands) = head.MeansOf(Zone.UpperBack);
        Assert.Equal(panels, strands, 0.12);
    }

    [Fact]
    public void Hair_is_equal_when_its_bands_are()
    {
        var (a, b) = (
            HairProfile.Usual with
            {
                History = Good.ToArray(),
            },
            HairProfile.Usual with
            {
                History = Good.ToList(),
            }
        );
        Assert.Equal(a, b);
        Assert.Equal(a.GetHashCode(), b.GetHashCode());
        Assert.NotEqual(a, a with { History = [.. Good[..2]] });
        Assert.Equal(a.AsItFalls(), (b with { NaturalLevel = new(9), Coloured = true }).AsItFalls());
    }

    [Fact]
    public void Hair_can_be_written_out_for_people() =>
        Assert.Contains(
            "NaturalLevel = 5",
            (HairProfile.Usual with { History = Good }).ToString(),
            StringComparison.Ordinal
        );
}
