using Wendro.Care;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Care;

public sealed class CautionsTests
{
    private static readonly LiftCase Mild = new(
        new Level(5),
        Diameter.Medium,
        Porosity.Normal,
        false,
        Lightener.Clay,
        new Volume(20),
        Covering.Open,
        false,
        1
    );

    private static IReadOnlyList<string> Of(params PlanEdit[] edits) => PlanCautions.Of(Given.Bare.Apply(edits));

    [Fact]
    public void The_leaflet_always_has_the_last_word() =>
        CsCheck.Check.Sample(Given.AnyLift, of => Assert.Equal(Cautions.LeafletFirst, Cautions.For(of, 30)[^1]));

    [Fact]
    public void Longer_than_the_leaflet_allows_comes_first()
    {
        Assert.Contains("Longer", Cautions.For(Mild, 50.1)[0], StringComparison.Ordinal);
        Assert.DoesNotContain(Cautions.For(Mild, 50), c => c.Contains("Longer", StringComparison.Ordinal));
        Assert.DoesNotContain(Cautions.For(Mild, null), c => c.Contains("Longer", StringComparison.Ordinal));
    }

    [Fact]
    public void Strong_developer_and_off_scalp_product_are_two_cautions()
    {
        var strong = Cautions.For(Mild with { Volume = new Volume(30), Lightener = Lightener.Powder }, null);
        Assert.Contains("Developer over 20 vol stays off the scalp.", strong);
        Assert.Contains(Cautions.OffScalp, strong);
        Assert.DoesNotContain("Developer over 20 vol stays off the scalp.", Cautions.For(Mild, null));
    }

    [Fact]
    public void Coloured_hair_asks_for_a_strand_test() =>
        Assert.Contains(
            Cautions.For(Mild with { Coloured = true }, null),
            c => c.Contains("strand test", StringComparison.Ordinal)
        );

    [Fact]
    public void Clay_in_foil_is_an_airtight_covering() =>
        Assert.Contains(
            Cautions.For(Mild with { Covering = Covering.Foil }, null),
            c => c.Contains("airtight", StringComparison.Ordinal)
        );

    [Fact]
    public void A_plan_with_nothing_painted_says_only_that_the_leaflet_comes_first() =>
        Assert.Equal([Cautions.LeafletFirst], Of());

    [Theory]
    [InlineData(0.2, true, true)]
    [InlineData(1.0, false, true)]
    [InlineData(9.0, false, false)]
    public void What_is_said_of_the_scalp_grows_as_paint_comes_near(double start, bool touches, bool near)
    {
        var said = Of(new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), start)));
        Assert.Equal(touches, said.Any(c => c.Contains("within 5 mm", StringComparison.Ordinal)));
        Assert.Equal(near, said.Contains(Cautions.OffScalp));
        Assert.Equal(["Burning or stinging: rinse now.", Cautions.LeafletFirst], said.TakeLast(2));
        Assert.Single(said, Cautions.LeafletFirst);
    }

    [Fact]
    public void Paint_at_the_hairline_asks_for_a_barrier()
    {
        static bool Barrier(IEnumerable<string> said) => said.Any(c => c.Contains("barrier", StringComparison.Ordinal));
        Assert.True(Barrier(Of(new PaintZone(Zone.FaceFrameLeft, PanelPaint.Usual))));
        Assert.False(Barrier(Of(new PaintZone(Zone.UpperBack, PanelPaint.Usual))));
    }

    [Fact]
    public void Nothing_is_said_twice()
    {
        var said = Of([
            .. ZoneFacts.All.Select(z => new PaintZone(
                z,
                PanelPaint.Usual with
                {
                    StartCm = 0.1,
                    Covering = Covering.Foil,
                }
            )),
        ]);
        Assert.Equal(said.Distinct(), said);
    }
}
