using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Paint;

namespace Wendro.Core.Plans;

/// <summary>Moves over the whole head: what an artist says in one sentence.</summary>
internal static class WholeHead
{
    /// <summary>How far above old light pieces a touch-up begins, as a share of what has grown. Model assumption.</summary>
    private const double BeginsAbove = 0.25;

    /// <summary>Zones of her left that meet at the part.</summary>
    private static IReadOnlyList<Zone> AtPart { get; } = [Zone.TopLeft, Zone.FringeLeft];

    public static Plan Move(Plan plan, PlanEdit edit, Cutting cutting) =>
        edit switch
        {
            AlternatePanels e => Alternate(plan, e),
            Taper e => Tapered(plan, e, cutting),
            RaiseFaceFrame e => Shift(plan, ZoneFacts.IsFaceFrame, -e.ByCm, cutting),
            DropCrown e => Shift(plan, z => z == Zone.Crown, e.ByCm, cutting),
            MatchPart e => Matched(plan, e.From, cutting),
            FollowOldPieces => Followed(plan, cutting),
            _ => TouchedUp(plan, cutting),
        };

    /// <summary>Thinner sections at the hairline.</summary>
    public static Plan Thinned(Plan plan, double thicknessMm) =>
        ZoneFacts
            .All.Where(ZoneFacts.IsHairline)
            .Aggregate(
                plan,
                (p, zone) => p.With(zone, z => z with { Sections = z.Sections with { ThicknessMm = thicknessMm } })
            );

    /// <summary>Where hair is light already, from the scalp; null where none is.</summary>
    public static Band? OldLight(HairProfile hair) => hair.Bands.FirstOrDefault(b => b.State == BandState.Lightened);

    private static IEnumerable<(Panel Panel, PanelPaint Paint)> Painted(
        Plan plan,
        Cutting cutting,
        Func<Zone, bool> which
    ) =>
        ZoneFacts
            .All.Where(which)
            .SelectMany(z => cutting.Cut(plan, z).Panels)
            .Select(p => (p, plan.Zones[p.Key.Zone].Of(p.Key)!))
            .Where(p => p.Item2 is not null);

    private static PanelPaint At(PanelPaint paint, double startCm) =>
        paint with
        {
            StartCm = Math.Clamp(startCm, 0, PanelPaint.MostStartCm),
            StartShare = null,
            SpreadCm = 0,
        };

    private static Plan Each(
        Plan plan,
        IEnumerable<(Panel Panel, PanelPaint Paint)> painted,
        Func<Panel, PanelPaint, PanelPaint?> change
    ) => painted.Aggregate(plan, (p, x) => Applying.Each(p, [x.Panel.Key.ToString()], _ => change(x.Panel, x.Paint)));

    private static Plan Alternate(Plan plan, AlternatePanels e) =>
        e
            .Panels.Select(k => PanelKey.Parse(k)!.Value)
            .Aggregate(
                plan,
                (p, key) =>
                    Applying.Each(
                        p,
                        [key.ToString()],
                        paint => At(paint, (key.Row + key.Column) % 2 == 0 ? e.HighCm : e.LowCm)
                    )
            );

    private static Plan Tapered(Plan plan, Taper e, Cutting cutting)
    {
        var painted = Painted(plan, cutting, _ => true).ToArray();
        if (painted.Length == 0)
        {
            return plan;
        }

        var (front, back) = (painted.Max(p => p.Panel.Centre.Map.Y), painted.Min(p => p.Panel.Centre.Map.Y));
        return Each(
            plan,
            painted,
            (panel, paint) =>
                At(paint, e.FrontCm + (e.BackCm - e.FrontCm) * (front - panel.Centre.Map.Y) / Math.Max(front - back, 1))
        );
    }

    private static Plan Shift(Plan plan, Func<Zone, bool> which, double byCm, Cutting cutting) =>
        Each(plan, Painted(plan, cutting, which), (panel, paint) => paint.Lowered(byCm, panel.LengthCm));

    private static Plan Matched(Plan plan, Side from, Cutting cutting)
    {
        foreach (var left in AtPart)
        {
            var (source, target) = from == Side.Left ? (left, ZoneFacts.Other(left)) : (ZoneFacts.Other(left), left);
            var given = Painted(plan, cutting, z => z == source).ToArray();
            foreach (
                var panel in cutting
                    .Cut(plan, target)
                    .Panels.Where(_ => given.Length > 0 && plan.Zones[target].Excluded is null)
            )
            {
                var (pair, paint) = given.MinBy(g =>
                    Math.Abs(g.Panel.Key.Row - panel.Key.Row) * 8 + Math.Abs(g.Panel.Key.Column - panel.Key.Column)
                );
                plan = Applying.Each(
                    plan,
                    [panel.Key.ToString()],
                    _ => At(paint, paint.StartOn(pair.Key, pair.LengthCm, plan.Seed))
                );
            }
        }

        return plan;
    }

    private static Plan Followed(Plan plan, Cutting cutting)
    {
        var old = OldLight(cutting.Hair)!;
        var painted = Painted(plan, cutting, _ => true).ToArray();
        var seen = 0;
        return Each(
            plan,
            painted,
            (_, paint) =>
            {
                // As many as were light before, evenly among all.
                var keep = Math.Floor((seen + 1) * old.Share) > Math.Floor(seen * old.Share);
                seen++;
                return keep ? Above(paint, old) : null;
            }
        );
    }

    private static PanelPaint Above(PanelPaint paint, Band old) =>
        At(paint, old.FromCm * BeginsAbove) with
        {
            SpreadCm = Math.Min(paint.SpreadCm, old.FromCm * BeginsAbove),
        };

    private static Plan TouchedUp(Plan plan, Cutting cutting)
    {
        var old = OldLight(cutting.Hair)!;
        return Each(
            plan,
            Painted(plan, cutting, _ => true),
            (panel, paint) =>
                PanelPaint.Of(
                    paint
                        .Coats()
                        .Select(coat =>
                        {
                            if (plan.FormulaOf(coat.Formula)!.IsDeposit)
                            {
                                return coat;
                            }

                            // It may only fade out on hair that is light already.
                            var start = coat.StartOn(panel.Key, panel.LengthCm, plan.Seed);
                            var next = start > old.FromCm * 0.7 ? Above(coat, old) : coat;
                            var begins = next.StartOn(panel.Key, panel.LengthCm, plan.Seed);
                            return next with
                            {
                                DropCm = Math.Min(next.DropCm, Math.Max(0, (old.FromCm - begins) * 0.6)),
                                BlurCm = Math.Min(next.BlurCm, Math.Max(0.5, old.FromCm - begins)),
                                BandCm = Math.Max(0.5, old.FromCm + plan.LimitsOf().OverlapCm - begins),
                            };
                        })
                        .ToArray()
                )
        );
    }
}
