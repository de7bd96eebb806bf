using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Fixtures;

/// <summary>Heads, hair and numbers that tests start from.</summary>
public static class Given
{
    public const int FewStrands = 3_500;

    private static readonly ViewCache Kept = ViewCache.For(6, 24);
    private static readonly Lazy<(HairViews, Cutting)> UsualLooks = new(() => Looks(HairProfile.Usual));

    public static HeadForm Head => HeadForm.Usual;

    public static HairViews Usual => UsualLooks.Value.Item1;

    public static Cutting Cutting => UsualLooks.Value.Item2;

    /// <summary>The usual head with nothing painted.</summary>
    public static PlannedHead Bare { get; } = PlannedHead.Of(Usual, Cutting, Plan.Fresh());

    /// <summary>A V from eight centimetres down, softly: paint of no school.</summary>
    public static PanelPaint Soft { get; } = new(new Shape.V(8), 8, 6, 6, 8);

    /// <summary>The usual formula of the shelf's own clay.</summary>
    public static Formula Clay { get; } = Formula.Usual.Lightened(l => l with { Product = "Clay lightener" });

    public static Gen<Zone> AnyZone { get; } = Gen.Enum<Zone>();

    public static Gen<Sections> AnySections { get; } =
        Gen.Select(Gen.Enum<Parting>(), Gen.Double[4, 40], Gen.Double[1, 10], Gen.Double[0, 20], Gen.Bool)
            .Select(s => new Sections(s.Item1, s.Item2, s.Item3, s.Item4, s.Item5));

    public static Gen<PartLine> AnyPart { get; } =
        Gen.Select(Gen.Double[-5, 5], Gen.Double[-3, 3]).Select(p => new PartLine(p.Item1, p.Item2));

    public static Gen<LiftCase> AnyLift { get; } =
        from level in Gen.Double[1, 10]
        from diameter in Gen.Enum<Diameter>()
        from porosity in Gen.Enum<Porosity>()
        from coloured in Gen.Bool
        from lightener in Gen.Enum<Lightener>()
        from volume in Gen.Double[5, 40]
        from covering in Gen.Enum<Covering>()
        from heat in Gen.Bool
        from coat in Gen.Double[0, 1]
        select new LiftCase(
            new Level(level),
            diameter,
            porosity,
            coloured,
            lightener,
            new Volume(volume),
            covering,
            heat,
            coat
        );

    public static Gen<PanelPaint> AnyPaint { get; } =
        from shape in Gen.Enum<ShapeKind>()
        from start in Gen.Double[0, 30]
        from drop in Gen.Double[0, 20]
        from blur in Gen.Double[0, 12]
        from mids in Gen.Double[0, 40]
        from ends in Gen.Double[0, 40]
        from face in Gen.Enum<Face>()
        from covering in Gen.Enum<Covering>()
        from spread in Gen.Double[0, 6]
        from flip in Gen.Bool
        from slope in Gen.Double[-20, 20]
        from centre in Gen.Select(Gen.Double[0.1, 0.9], Gen.Double[0, 40])
        from strokes in Gen.Select(Gen.Int[1, 9], Gen.Double[0.05, 1], Gen.Double[0, 60])
        from band in Gen.Select(Gen.Bool, Gen.Double[0.5, 75])
        from hand in Gen.Select(Gen.Enum<Pressure>(), Gen.Enum<Tension>(), Gen.Enum<Teasing>())
        select new PanelPaint(
            Of(shape, drop, flip, centre.Item1, centre.Item2, strokes.Item1, new(strokes.Item2, strokes.Item3)),
            start,
            blur,
            mids,
            ends,
            face,
            covering,
            spread,
            SlopeCm: slope,
            BandCm: band.Item1 ? band.Item2 : null,
            Pressure: hand.Item1,
            Tension: hand.Item2,
            Teasing: hand.Item3
        );

    private static Shape Of(
        ShapeKind kind,
        double dropCm,
        bool flip,
        double middle,
        double peakCm,
        int count,
        Stroke stroke
    )
    {
        var usual = Shape.Usual(kind, dropCm);
        var shape = usual.Counting(count) with
        {
            MiddleU = middle,
            PeakCm = peakCm,
            Stroked = usual.Stroked is null ? null : stroke,
        };
        return shape is Shape.Slant slant ? slant with { Flip = flip } : shape;
    }

    public static (HairViews Looks, Cutting Cutting) Looks(
        HairProfile hair,
        PartLine? part = null,
        int strands = FewStrands
    )
    {
        var looks = new HairViews(Head, hair, part ?? PartLine.Central, Kept, strands);
        return (looks, new Cutting(Head, hair, _ => looks.OnHead.LengthAt));
    }

    /// <summary>A panel on its own, for what paint does to it.</summary>
    public static Panel PanelOf(double thicknessMm, double lengthCm = 30)
    {
        var place = Head.Chart.At(new MapPoint(6, -5));
        return new Panel(new PanelKey(Zone.UpperBack, 0, 0), [], thicknessMm * 0.4, thicknessMm, 4, lengthCm, 2, place);
    }

    /// <summary>Edits a head of usual hair.</summary>
    public static PlannedHead Apply(this PlannedHead head, params PlanEdit[] edits)
    {
        Assert.Same(Usual, head.Looks);
        return head.Apply(Cutting, edits);
    }

    /// <summary>Edits a plan for usual hair.</summary>
    public static Plan Edited(this Plan plan, params PlanEdit[] edits) =>
        edits.Aggregate(
            plan,
            (p, edit) =>
            {
                var applied = p.Apply(edit, Cutting);
                Assert.True(applied.Succeeded, string.Join("; ", applied.Problems));
                return applied.Plan;
            }
        );

    /// <summary>Edits a head of whatever hair, cut as it is.</summary>
    public static PlannedHead Apply(this PlannedHead head, Cutting cutting, params PlanEdit[] edits)
    {
        foreach (var edit in edits)
        {
            var applied = head.Plan.Apply(edit, cutting);
            Assert.True(applied.Succeeded, string.Join("; ", applied.Problems));
            head = head.After(applied.Plan, head.Looks, cutting);
        }

        return head;
    }

    /// <summary>Mean level of a zone's hair by mass: as its panels say it, and counted over its strands.</summary>
    public static (double Panels, double Strands) MeansOf(this PlannedHead head, Zone zone)
    {
        double sum = 0,
            mass = 0,
            panels = 0,
            grams = 0;
        foreach (
            var (panel, p) in head.Panels.Select((panel, p) => (panel, p)).Where(x => x.panel.Panel.Key.Zone == zone)
        )
        {
            panels += panel.MeanLevel(head.Hair, Moment.Rinsed) * panel.Panel.HairGrams;
            grams += panel.Panel.HairGrams;
            foreach (var i in head.Map.StrandsOf[p])
            {
                for (var k = 1; k < Places.Count; k++)
                {
                    var length = head.Looks.OnHead.Lengths[i] * (Places.Share(k) - Places.Share(k - 1));
                    sum += Level.FromByte(head.Levels[i * Places.Count + k]) * length;
                    mass += length;
                }
            }
        }

        Assert.True(mass > 0 && grams > 0);
        return (panels / grams, sum / mass);
    }
}
