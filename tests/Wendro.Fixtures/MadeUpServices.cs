using Wendro.Apply;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Review;
using Wendro.Section;
using Wendro.Units;
using Depth = Wendro.Review.Depth;
using Painted = Wendro.Apply.Painted;

namespace Wendro.Fixtures;

/// <summary>
/// Made-up services, each with a hidden cause (or two) of what came out otherwise. They leave what a real one would: taps,
/// looks, waves, readings by half levels with an eye's error; the review has to find the cause from these.
/// </summary>
public sealed class MadeUpServices
{
    private static readonly DateTimeOffset Start = new(2031, 5, 6, 12, 0, 0, TimeSpan.Zero);

    /// <summary>How far an eye's reading lies from the truth before it is told by halves, levels.</summary>
    private const double Eye = 0.17;

    private readonly PlannedHead head;
    private readonly Depths depths;
    private readonly IReadOnlyList<StepToDo> steps;
    private readonly Zone[] zones;
    private readonly Random random;

    private readonly OwnLift? truth;

    /// <summary>Services on one head.</summary>
    /// <param name="seed">Of chance.</param>
    /// <param name="known">What is known of how her hair lifts; null for nothing.</param>
    /// <param name="truth">How it really lifts; null as tabled.</param>
    public MadeUpServices(int seed, OwnLift? known = null, OwnLift? truth = null)
    {
        random = new(seed);
        this.truth = truth;
        var usual = FittingClient.Medium;
        var client = usual with { Hair = usual.Hair with { Own = known } };
        var looks = new HairViews(HeadForm.Usual, client.Hair, PartLine.Central, ViewCache.For(6, 24), 3_500);
        var cutting = new Cutting(HeadForm.Usual, client.Hair, _ => looks.OnHead.LengthAt);
        var paint = PanelPaint.Usual with { StartCm = 8 };
        zones = [Zone.Nape, Zone.LowerBack, Zone.SideLeft, Zone.SideRight, Zone.TopLeft, Zone.FaceFrameLeft];
        var plan = client
            .Fresh()
            .Apply(new Together(zones.Select(z => (PlanEdit)new PaintZone(z, paint)).ToArray()), cutting);
        head = PlannedHead.Of(looks, cutting, plan.Plan);
        depths = new(head);
        steps = ServiceClock.StepsOf(PlannedMix.Of(head, BenchRules.Usual, GenericProducts.All, []));
    }

    /// <summary>What is hidden: a cause in a zone, or in all hair.</summary>
    private sealed record Hidden(CauseKind Kind, Zone Zone, double Size);

    private static readonly CauseKind[] Kinds =
    [
        CauseKind.RinsedSoon,
        CauseKind.Dried,
        CauseKind.ThinCoat,
        CauseKind.Slack,
        CauseKind.Lump,
        CauseKind.CameThrough,
        CauseKind.StartLower,
        CauseKind.StartHigher,
        CauseKind.LessPorous,
        CauseKind.MorePorous,
        CauseKind.SlowerHair,
        CauseKind.QuickerHair,
        CauseKind.LowerCap,
    ];

    /// <summary>At which place the true cause of the first zone was told, from 1, for so many services.</summary>
    /// <param name="count">How many services.</param>
    /// <param name="causes">How many causes each hides, in zones of their own.</param>
    public IReadOnlyList<(CauseKind Kind, int Place)> Found(int count, int causes = 1)
    {
        var found = new List<(CauseKind, int)>();
        while (found.Count < count)
        {
            var hidden = Enumerable
                .Range(0, causes)
                .Select(n => new Hidden(
                    Kinds[random.Next(Kinds.Length)],
                    zones[(random.Next(zones.Length / causes) * causes + n) % zones.Length],
                    random.NextDouble()
                ))
                .ToArray();
            var (service, readings) = Live(hidden);
            var review = ReviewInHand.Of([]);
            var marks = ReviewMarks.Of(head, service, depths, review, []);
            var told = new Causes(head, service, depths, readings, marks: marks).Of(hidden[0].Zone);
            if (told.Count == 0)
            {
                // It made no difference that anybody would look into.
                continue;
            }

            var truth = CauseWords.ToldAs(hidden[0].Kind);
            found.Add((truth, told.ToList().FindIndex(c => c.Kind == truth) + 1));
        }

        return found;
    }

    /// <summary>Prints how often the true cause is told first, and among the first two.</summary>
    public static void Print()
    {
        foreach (var (causes, count) in new[] { (1, 100), (2, 20) })
        {
            var found = new MadeUpServices(7 + causes).Found(count, causes);
            Console.WriteLine(
                $"{count} made-up services with {causes} hidden cause{(causes > 1 ? "s" : "")}: the true one first in "
                    + $"{found.Count(f => f.Place == 1) * 100 / count} %, among the first two in "
                    + $"{found.Count(f => f.Place is 1 or 2) * 100 / count} %"
            );
            foreach (var kind in found.GroupBy(f => f.Kind).OrderBy(k => k.Key))
            {
                Console.WriteLine(
                    $"  {kind.Key, -12} {kind.Count(f => f.Place == 1), 3} of {kind.Count()} first, "
                        + $"{kind.Count(f => f.Place is 1 or 2)} among two"
                );
            }
        }
    }

    private (ServiceInHand Service, ZoneReading[] Readings) Live(Hidden[] hidden)
    {
        var facts = new List<(double Minute, ServiceFact Fact)> { (0, new Seated()) };
        var at = 5.0;
        foreach (var zone in steps[0].Panels.GroupBy(p => p.Zone))
        {
            var panels = zone.ToArray();
            var coat = CoatOf(zone.Key);
            var minutes = coat.Formula.Minutes.Value;
            var soon = hidden.FirstOrDefault(h => h.Kind == CauseKind.RinsedSoon && h.Zone == zone.Key);
            var works = soon is null ? minutes : minutes * (0.45 + 0.2 * soon.Size);
            foreach (var panel in panels)
            {
                at += 0.5;
                facts.Add((at, new Painted(panel)));
            }

            var lifting = Really(zone.Key, hidden);
            foreach (var look in new[] { 12.0, 24 }.Where(l => l < works - 2))
            {
                var seen = Halves(lifting.After(new(look)).Value + Normal(Eye));
                facts.Add(
                    (at - 0.5 * (panels.Length - 1) + look, new Looked(panels[0], Level.Clamp(seen), Again: false))
                );
            }

            // Each panel is rinsed its minutes after it was painted: as many slots as panels.
            facts.Add((at - 0.5 * (panels.Length - 1) + works - 4, new RinseBegun(panels)));
            facts.Add((at + works + 1, new RinseEnded()));
            at += works + 2;
        }

        // Whoever sees it come through says so, seven times of ten.
        foreach (var through in hidden.Where(h => h.Kind == CauseKind.CameThrough && random.NextDouble() < 0.7))
        {
            var panel = steps[0].Panels.First(p => p.Zone == through.Zone);
            facts.Add((at - 10, new Marked(panel, Trouble.CameThrough)));
        }

        facts.Add((at + 20, new Washed()));
        var looks = zones.ToDictionary(z => z, z => Looks(z, hidden));
        var kept = facts
            .OrderBy(f => f.Minute)
            .Select((f, i) => new RecordedFact<ServiceFact>(i + 1, Start.AddMinutes(f.Minute), f.Fact))
            .ToArray();
        var readings =
            from zone in zones
            from depth in Enum.GetValues<Depth>()
            select new ZoneReading(
                zone,
                depth,
                0,
                Halves(Truth(zone, depth, hidden) + Normal(Eye)),
                looks[zone],
                Start.AddMinutes(at)
            );
        return (ServiceInHand.Of(steps, kept), readings.ToArray());
    }

    /// <summary>How even a zone looks: what was laid unevenly mostly shows it, and now and then what was not.</summary>
    private Evenness Looks(Zone zone, Hidden[] hidden)
    {
        var (patchy, spots) = hidden.FirstOrDefault(h => h.Zone == zone)?.Kind switch
        {
            CauseKind.ThinCoat => (0.45, 0),
            CauseKind.Slack => (0.7, 0.1),
            CauseKind.Dried => (0.25, 0),
            CauseKind.Lump or CauseKind.CameThrough => (0.15, 0.65),
            _ => (0.08, 0.02),
        };
        var drawn = random.NextDouble();
        return drawn < patchy ? Evenness.Patchy
            : drawn < patchy + spots ? Evenness.Spots
            : Evenness.Even;
    }

    /// <summary>What a visit forecasts of each zone, how wide, and what really comes out.</summary>
    public IReadOnlyList<(double Forecast, double Half, double Truth)> Forecasts() =>
        zones
            .Select(zone =>
            {
                var coat = CoatOf(zone);
                var of = coat.LiftingOf(head.Hair, zone, HairState.Of(head.Hair.In(zone))[0])!.Case;
                var forecast = Forecast.Of(of, coat.Formula.Minutes.Value);
                return (
                    forecast.Level,
                    forecast.HalfWidth,
                    Really(zone, []).After(new(coat.Formula.Minutes.Value)).Value + Normal(0.08)
                );
            })
            .ToArray();

    /// <summary>What a visit without anything hidden teaches of her hair; null for nothing.</summary>
    public OwnLift? Teaches()
    {
        var (service, readings) = Live([]);
        return LiftCalibration.Of(head, service, depths, readings);
    }

    /// <summary>The level that really came out at a place.</summary>
    private double Truth(Zone zone, Depth depth, Hidden[] hidden)
    {
        var coat = CoatOf(zone);
        var minutes = coat.Formula.Minutes.Value;
        var soon = hidden.FirstOrDefault(h => h.Kind == CauseKind.RinsedSoon && h.Zone == zone);
        var works = soon is null ? minutes : minutes * (0.45 + 0.2 * soon.Size);
        var shift = hidden.FirstOrDefault(h =>
            h.Zone == zone && h.Kind is CauseKind.StartLower or CauseKind.StartHigher
        );
        var natural = depths.Natural(zone, depth);
        var planned = depths.Planned(zone, depth);
        if (shift is not null && shift.Zone == zone)
        {
            var by = (2 + 3 * shift.Size) * (shift.Kind == CauseKind.StartLower ? 1 : -1) / depths.LengthOf(zone);
            var curve = depths.Along(head.Levels, zone, 60);
            planned = curve[(int)(Math.Clamp(Depths.Middle(depth) - by, 0, 0.999) * 60)];
        }

        var usual = coat.LiftingOf(head.Hair, zone, HairState.Of(head.Hair.In(zone))[0])!;
        var gain = Really(zone, hidden).Gain(works) / usual.Gain(minutes);
        var added = hidden.FirstOrDefault(h => h.Zone == zone && h.Kind is CauseKind.Lump or CauseKind.CameThrough);
        var more = added is not null && added.Zone == zone && depth != Depth.Root ? 0.3 + 0.5 * added.Size : 0;
        return natural + (planned - natural) * gain + more + Normal(0.08);
    }

    /// <summary>How a zone's hair really lifts.</summary>
    private Lifting Really(Zone zone, Hidden[] hidden)
    {
        var of = CoatOf(zone).LiftingOf(head.Hair, zone, HairState.Of(head.Hair.In(zone))[0])!.Case with
        {
            Own = truth,
        };
        foreach (var h in hidden)
        {
            var here = h.Zone == zone;
            var figures = of.FiguresOf();
            of = h.Kind switch
            {
                CauseKind.Dried when here => of with
                {
                    Figures = figures with { DryingMinutes = figures.DryingMinutes * (0.2 + 0.25 * h.Size) },
                },
                CauseKind.ThinCoat when here => of with { Coverage = 0.45 + 0.25 * h.Size },
                CauseKind.Slack when here => of with { Coverage = 0.5 + 0.3 * h.Size },
                CauseKind.LessPorous when here => of with { Porosity = Porosity.Low },
                CauseKind.MorePorous when here => of with { Porosity = Porosity.High, Mixture = 1.1 + 0.2 * h.Size },
                CauseKind.SlowerHair => of with { Own = OwnLift.Unread with { Speed = 0.6 + 0.2 * h.Size } },
                CauseKind.LowerCap => of with { Own = OwnLift.Unread with { CapLevels = -0.6 - 0.7 * h.Size } },
                CauseKind.QuickerHair => of with { Own = OwnLift.Unread with { Speed = 1.3 + 0.4 * h.Size } },
                _ => of,
            };
        }

        return new(of);
    }

    private Coat CoatOf(Zone zone)
    {
        var panels = head.Panels.Where(p => p.Panel.Key.Zone == zone && p.Coats.Count > 0).ToArray();
        return panels[panels.Length / 2].Coats[0];
    }

    private static double Halves(double level) => Math.Clamp(Math.Round(level * 2) / 2, 1, 10);

    private double Normal(double spread) =>
        spread * Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
}
