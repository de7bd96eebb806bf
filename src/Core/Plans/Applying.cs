using System.Collections.Immutable;
using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>What came of an edit: the new plan, or what is wrong with the edit.</summary>
/// <param name="Plan">The plan after the edit; the old one if there are problems.</param>
/// <param name="Problems">Values that can't be taken; none if the edit was applied.</param>
/// <param name="Lost">Panels whose paint found no place after a new cut or on the other side.</param>
public sealed record Applied(Plan Plan, IReadOnlyList<Problem> Problems, IReadOnlyList<string> Lost)
{
    /// <summary>Whether the edit was applied.</summary>
    public bool Succeeded => Problems.Count == 0;
}

/// <summary>The one door for change.</summary>
public static class Applying
{
    /// <summary>Most edits in one step.</summary>
    public const int MostTogether = 200;

    /// <summary>Applies an edit to a plan.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="edit">The change.</param>
    /// <param name="cutting">The head it is planned on.</param>
    public static Applied Apply(this Plan plan, PlanEdit edit, Cutting cutting)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(edit);
        ArgumentNullException.ThrowIfNull(cutting);
        bool Exists(PanelKey key)
        {
            var row = cutting.Cut(plan, key.Zone);
            return row.Panels.Any(p => p.Key == key);
        }

        if (edit is Together together)
        {
            return OneByOne(plan, together, cutting);
        }

        var problems = EditChecks.Of(plan, cutting.Hair, edit, Exists);
        if (problems.Count > 0)
        {
            return new Applied(plan, problems, []);
        }

        var (after, lost) = Change(plan, edit, cutting);
        return new Applied(after, [], lost);
    }

    /// <summary>All of them or none.</summary>
    private static Applied OneByOne(Plan plan, Together together, Cutting cutting)
    {
        if (together.Edits is not { Count: > 0 and <= MostTogether })
        {
            return new Applied(plan, [new("edits", $"Between 1 and {MostTogether} edits.")], []);
        }

        var after = plan;
        var lost = new List<string>();
        for (var i = 0; i < together.Edits.Count; i++)
        {
            var edit = together.Edits[i];
            IReadOnlyList<Problem> problems = edit is null or Together
                ? [new(string.Empty, "An edit that is not itself several.")]
                : [];
            var next = problems.Count > 0 ? new Applied(plan, problems, []) : after.Apply(edit!, cutting);
            if (!next.Succeeded)
            {
                return new Applied(
                    plan,
                    next.Problems.Select(p => p with { Field = $"edits[{i}].{p.Field}".TrimEnd('.') }).ToArray(),
                    []
                );
            }

            after = next.Plan;
            lost.AddRange(next.Lost);
        }

        return new Applied(after, [], lost);
    }

    private static (Plan Plan, IReadOnlyList<string> Lost) Change(Plan plan, PlanEdit edit, Cutting cutting) =>
        edit switch
        {
            CutZone e => HandOver.To(plan, plan.With(e.Zone, z => z with { Sections = e.ToSections() }), cutting),
            MovePart e => HandOver.To(
                plan,
                plan with
                {
                    Part = new PartLine(e.FrontCm, e.BackCm, e.ZigzagMm ?? plan.Part.ZigzagMm),
                },
                cutting
            ),
            SetFrame e => HandOver.To(plan, plan with { Frame = e.Frame, Order = null }, cutting),
            LeaveOut e => HandOver.To(
                plan,
                plan with
                {
                    LeftOut =
                    [
                        .. plan.Regions.Where(r => r.Region != e.Region),
                        new LeftOut(e.Region, e.SizeCm, e.Reason.Trim(), e.By),
                    ],
                },
                cutting
            ),
            TakeIn e => HandOver.To(
                plan,
                plan with
                {
                    LeftOut = plan.Regions.Where(r => r.Region != e.Region).ToArray(),
                },
                cutting
            ),
            MirrorSide e => Mirroring.From(plan, e.From, cutting),
            ThinHairline e => HandOver.To(plan, WholeHead.Thinned(plan, e.ThicknessMm), cutting),
            _ => (Simple(plan, edit, cutting), []),
        };

    private static Plan Simple(Plan plan, PlanEdit edit, Cutting cutting) =>
        edit switch
        {
            ExcludeZone e => plan.With(e.Zone, z => z with { Excluded = e.Reason.Trim(), ExcludedBy = e.By }),
            IncludeZone e => plan.With(e.Zone, z => z.TakenIn()),
            PaintZone e => plan.With(
                e.Zone,
                z =>
                    z.TakenIn() with
                    {
                        Usual = e.Paint,
                        Paint = z
                            .Paint.Clear()
                            .AddRange(
                                cutting
                                    .Cut(plan, e.Zone)
                                    .Panels.Select(p => KeyValuePair.Create(p.Key.ToString(), e.Paint))
                            ),
                    }
            ),
            PaintPanels e => Each(plan, e.Panels, _ => e.Paint),
            ClearZone e => plan.With(e.Zone, z => z with { Usual = null, Paint = z.Paint.Clear() }),
            ClearPanels e => Each(plan, e.Panels, _ => null),
            SetShape e => Coat(plan, e.Panels, e.Coat, p => Shapes.In(p, e.Shape) with { Flip = e.Flip ?? p.Flip }),
            SetHeights e => Coat(plan, e.Panels, e.Coat, p => Heights(p, e)),
            SetStrokes e => Coat(
                plan,
                e.Panels,
                e.Coat,
                p =>
                    p with
                    {
                        Strokes = e.Strokes ?? p.Strokes,
                        StrokeShare = e.StrokeShare ?? p.StrokeShare,
                        MergeCm = e.MergeCm ?? p.MergeCm,
                        CentreU = e.CentreU ?? p.CentreU,
                    }
            ),
            SetBand e => Coat(plan, e.Panels, e.Coat, p => p with { BandCm = e.BandCm }),
            SetBlur e => Coat(plan, e.Panels, e.Coat, p => p with { BlurCm = e.BlurCm }),
            SetDepth e => Coat(plan, e.Panels, e.Coat, p => p with { MidsMm = e.MidsMm, EndsMm = e.EndsMm }),
            SetFace e => Coat(plan, e.Panels, e.Coat, p => p with { Face = e.Face }),
            SetCovering e => Coat(plan, e.Panels, e.Coat, p => p with { Covering = e.Covering }),
            SetHandling e => Coat(
                plan,
                e.Panels,
                e.Coat,
                p =>
                    p with
                    {
                        Pressure = e.Pressure ?? p.Pressure,
                        Tension = e.Tension ?? p.Tension,
                        Teasing = e.Teasing ?? p.Teasing,
                    }
            ),
            UseFormula e => Coat(plan, e.Panels, e.Coat, p => p with { Formula = e.Formula }),
            AddCoat e => Each(plan, e.Panels, p => PanelPaint.Of([.. p.Coats(), e.Paint with { Next = null }])),
            TakeCoat e => Each(plan, e.Panels, p => PanelPaint.Of([.. p.Coats().Where((_, i) => i != e.Coat)])),
            SwapCoats e => Each(plan, e.Panels, p => Swapped(p, e.Coat)),
            SetFormula e => plan with
            {
                Formulas =
                [
                    .. plan
                        .Formulas.Where(f => f.Id != e.Formula.Id)
                        .Append(e.Formula.After(plan.FormulaOf(e.Formula.Id)).Told())
                        .OrderBy(f => f.Id, StringComparer.Ordinal),
                ],
            },
            SpreadHeights e => Each(plan, e.Panels, p => p with { SpreadCm = e.SpreadCm }),
            AlternateRows e => Alternate(plan, e, cutting),
            SetWish e => plan with { Wish = e.Wish },
            SetWears e => plan with { Wears = [.. e.Wears.Order()] },
            SetStyling e => plan with { Styled = e.Styling },
            SetOrder e => plan with { Order = e.Zones.ToArray() },
            SetLimits e => plan with { Limits = e.Limits },
            Dismiss e => plan with
            {
                Dismissed =
                [
                    .. plan.SetAside.Where(d => d.Finding != e.Finding),
                    new Dismissed(e.Finding, e.At, e.Reason.Trim()),
                ],
            },
            Heed e => plan with { Dismissed = plan.SetAside.Where(d => d.Finding != e.Finding).ToArray() },
            AlternatePanels
            or Taper
            or RaiseFaceFrame
            or DropCrown
            or MatchPart
            or FollowOldPieces
            or TouchUpRegrowth => WholeHead.Move(plan, edit, cutting),
            SetReach e => ZoneFacts.All.Aggregate(plan, (p, zone) => p.With(zone, z => Reached(z, zone, e.Reach))),
            _ => throw new InvalidOperationException($"No rule for {edit.GetType().Name}."),
        };

    /// <summary>A zone as a reach has it; what was left out for another reason stays out.</summary>
    private static ZonePlan Reached(ZonePlan planned, Zone zone, Reach reach)
    {
        return planned.Excluded is not null && planned.ExcludedBy != LeftOutBy.Reach ? planned
            : Frames.Has(reach, zone) ? planned.TakenIn()
            : planned with { Excluded = Frames.Words(reach), ExcludedBy = LeftOutBy.Reach };
    }

    /// <summary>A start set by hand stands: it is not spread any further.</summary>
    private static PanelPaint Heights(PanelPaint p, SetHeights e) =>
        p with
        {
            StartCm = e.StartCm ?? p.StartCm,
            StartShare = e.StartCm is not null ? null : e.StartShare ?? p.StartShare,
            SpreadCm = e.StartCm is null && e.StartShare is null ? p.SpreadCm : 0,
            DropCm = e.DropCm ?? p.DropCm,
            SlopeCm = e.SlopeCm ?? p.SlopeCm,
            CentreCm = e.CentreCm ?? p.CentreCm,
        };

    private static PanelPaint Swapped(PanelPaint paint, int coat)
    {
        var coats = paint.Coats().ToList();
        (coats[coat], coats[coat + 1]) = (coats[coat + 1], coats[coat]);
        return PanelPaint.Of(coats)!;
    }

    private static Plan Coat(Plan plan, IReadOnlyList<string> panels, int coat, Func<PanelPaint, PanelPaint> change) =>
        Each(plan, panels, p => p.With(coat, change));

    internal static Plan Each(Plan plan, IReadOnlyList<string> panels, Func<PanelPaint, PanelPaint?> change)
    {
        foreach (var group in panels.Distinct(StringComparer.Ordinal).GroupBy(p => PanelKey.Parse(p)!.Value.Zone))
        {
            plan = plan.With(
                group.Key,
                zone =>
                {
                    var paint = zone.Paint.ToBuilder();
                    foreach (var key in group)
                    {
                        var now = paint.GetValueOrDefault(key) ?? zone.Usual ?? UsualPaint(plan, group.Key);
                        if (change(now) is { } next)
                        {
                            paint[key] = next;
                        }
                        else
                        {
                            paint.Remove(key);
                        }
                    }

                    return zone with
                    {
                        Paint = paint.ToImmutable(),
                    };
                }
            );
        }

        return plan;
    }

    /// <summary>What a panel is painted with when only one thing about it was said.</summary>
    private static PanelPaint UsualPaint(Plan plan, Zone zone)
    {
        var formula = plan.FirstLight().Id;

        // Other layers come to lie on what is painted low on the head.
        var covering = plan.LowerFilm && zone is Zone.Nape or Zone.LowerBack ? Covering.Film : Covering.Open;
        return ZoneFacts.IsFaceFrame(zone)
            ? new PanelPaint(Shape.Full, 2.5, 0, 5, 12, 20, Formula: formula)
            : new PanelPaint(Formula: formula, Covering: covering);
    }

    private static Plan Alternate(Plan plan, AlternateRows e, Cutting cutting) =>
        plan.With(
            e.Zone,
            zone =>
            {
                var paint = zone.Paint.ToBuilder();
                foreach (var panel in cutting.Cut(plan, e.Zone).Panels)
                {
                    var key = panel.Key.ToString();
                    if (paint.TryGetValue(key, out var now))
                    {
                        paint[key] = now with
                        {
                            StartCm = panel.Key.Row % 2 == 0 ? e.HighCm : e.LowCm,
                            StartShare = null,
                        };
                    }
                }

                return zone with
                {
                    Paint = paint.ToImmutable(),
                };
            }
        );
}
