using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Changes that may mend a finding, mildest first: one list a kind.</summary>
public static partial class FixesToTry
{
    private static readonly Dictionary<
        FindingKind,
        Func<Finding, PlannedHead, IEnumerable<(Sentence Label, PlanEdit Edit)>>
    > ByKind = new()
    {
        [BlendFault.HardLine] = (finding, head) => Soften(finding, head),
        [BlendFault.FrontNotBrighter] = (finding, head) => Raise(head),
        [BlendFault.Stripes] = (finding, head) => Spread(finding, head),
        [BlendFault.DriesFirst] = (finding, head) => KeepMoist(finding, head),
        [BlendFault.DarkBehindHairline] = (finding, head) => Underside(head),
        [BlendFault.DarkNape] = (finding, head) => PaintNape(head),
        [BlendFault.SolidBlock] = (finding, head) => LetThrough(finding, head),
        [BlendFault.NothingDarkLeft] = (finding, head) => Lower(finding, head),
        [BlendFault.WeakSide] = (finding, head) => Even(finding, head),
        [BlendFault.PartMismatch] = (finding, head) =>
            [("Match right to left", new MatchPart(Side.Left)), ("Match left to right", new MatchPart(Side.Right))],
        [BlendFault.CrownTooHigh] = (finding, head) =>
            ByCm(finding, 0.2)
                .Select(cm => ((Sentence)$"Drop the crown {Quantity.Cm(cm)}", (PlanEdit)new DropCrown(cm))),
        [BlendFault.BleedThrough] = (finding, head) => LessDeep(finding, head),
        [BlendFault.ScalpContact] = (finding, head) => Away(finding, head),
        [BlendFault.HotRoot] = (finding, head) => Milder(finding, head),
        [BlendFault.OutOfReach] = (finding, head) => Stronger(finding, head),
        [BlendFault.Overlap] = (finding, head) => [("End it at the light hair", new TouchUpRegrowth())],
        [BlendFault.BabyHairPainted] = (finding, head) =>
            [
                (
                    $"Leave out {Quantity.Cm(head.Plan.LimitsOf().BabyHairCm, "0.0")} of baby hair",
                    new LeaveOut(
                        Region.BabyHair,
                        Math.Max(LeftOut.LeastCm, head.Plan.LimitsOf().BabyHairCm),
                        "new short hair"
                    )
                ),
            ],
        [BlendFault.BreakingHairPainted] = (finding, head) =>
            [
                (
                    "Leave it all natural",
                    new Together(
                        head.Plan.Zones.Where(z => z.Value.Paint.Count > 0)
                            .Select(z => (PlanEdit)new ClearZone(z.Key))
                            .ToArray()
                    )
                ),
            ],
        [BlendFault.SkinAtRisk] = (finding, head) =>
            [("Lay film under the face panels", new SetHandling(KeysOf(finding), LiesOn: LiesOn.Film))],
        [BlendFault.MoreThanHands] = (_, head) => Coarser(head),
        [BlendFault.FlatOrGreen] = Repigment,
        [BlendFault.WarmRoot] = WeakerRoot,
        [BlendFault.LowlightOnTop] = (finding, head) => LowerDeposit(finding, head),
        [BlendFault.HiddenWork] = (finding, head) =>
            [($"Leave {finding.Panels.Count} hidden panels natural", new ClearPanels(KeysOf(finding)))],
    };

    public static IEnumerable<(Sentence Label, PlanEdit Edit)> For(Finding finding, PlannedHead head) =>
        ByKind.TryGetValue(finding.Kind, out var fixes) ? fixes(finding, head) : [];

    /// <summary>
    /// Coarser sections, the face as it is: first thicker alone, then wider too, each a little more; paint follows
    /// where
    /// a zone is painted alike.
    /// </summary>
    public static IEnumerable<(Sentence Label, PlanEdit Edit)> Coarser(PlannedHead head)
    {
        foreach (
            var (thicker, wider) in new[] { (1.25, 1.0), (1.25, 1.25), (1.5, 1.25), (1.8, 1.4), (2.2, 1.6), (2.8, 2) }
        )
        {
            var cuts = head
                .Plan.Zones.Where(z => z.Value.Paint.Count > 0 && !ZoneFacts.IsFaceFrame(z.Key))
                .Select(z =>
                    (PlanEdit)
                        CutZone.As(
                            z.Key,
                            z.Value.Sections with
                            {
                                ThicknessMm = Math.Min(
                                    Sections.ThickestMm,
                                    Math.Round(z.Value.Sections.ThicknessMm * thicker)
                                ),
                                WidthCm = Math.Min(
                                    Sections.WidestCm,
                                    Math.Round(z.Value.Sections.WidthCm * wider * 2) / 2
                                ),
                            }
                        )
                )
                .ToArray();
            if (cuts.Length > 0)
            {
                yield return (
                    wider > 1
                        ? $"Sections {thicker - 1:P0} thicker, {wider - 1:P0} wider"
                        : $"Sections {thicker - 1:P0} thicker",
                    new Together(cuts)
                );
            }
        }
    }

    private static PanelKey[] KeysOf(Finding finding) => [.. finding.Panels];

    private static IEnumerable<PlannedPanel> PanelsOf(Finding finding, PlannedHead head) =>
        head.Panels.Where(p => p.Coats.Count > 0 && finding.Panels.Contains(p.Panel.Key));

    /// <summary>Steps up to a little more than what a finding is out by, cm.</summary>
    private static IEnumerable<double> ByCm(Finding finding, double more) =>
        new[] { 1, 1.5, 2, 3, 4, 6, 8 }
            .Where(cm => cm >= finding.Evidence[0].Value - 1)
            .Append(Math.Round(finding.Evidence[0].Value + more, 1))
            .Where(cm => cm <= 20);

    /// <summary>One change of many panels, each by its own paint.</summary>
    private static Together? Each(IEnumerable<PlannedPanel> panels, Func<PlannedPanel, PanelPaint?> change)
    {
        var edits = panels
            .Select(p => (p.Panel.Key, Paint: change(p)))
            .Where(p => p.Paint is not null)
            .GroupBy(p => p.Paint!)
            .Select(g => (PlanEdit)new PaintPanels(g.Select(p => p.Key).ToArray(), g.Key))
            .ToArray();
        return edits.Length is 0 or > Together.Most ? null : new Together(edits);
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Labelled(string label, Together? edit) =>
        edit is null ? [] : [(label, edit)];

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> LessDeep(Finding finding, PlannedHead head)
    {
        // To just under the limit with what runs and swells taken off, each panel by its own section.
        foreach (var share in new[] { 0.85, 0.75, 0.65 })
        {
            foreach (
                var fix in Labelled(
                    $"No deeper than {share * head.Plan.LimitsOf().BleedShare:P0} of the section",
                    Each(
                        PanelsOf(finding, head),
                        p =>
                        {
                            var most = Math.Round(
                                share
                                    * head.Plan.LimitsOf().BleedShare
                                    * p.Panel.ThicknessMm
                                    / p.Painted!.PressedFactor,
                                1
                            );
                            var paint = p.Painted.Paint;
                            return paint with
                            {
                                MidsMm = Math.Min(paint.MidsMm, most),
                                EndsMm = Math.Min(paint.EndsMm, most),
                                Tension = Tension.Taut,
                            };
                        }
                    )
                )
            )
            {
                yield return fix;
            }
        }

        // As deep as it was, and the hair below stays clean.
        yield return ("Lay film beneath it", new SetHandling(KeysOf(finding), LiesOn: LiesOn.Film));
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Away(Finding finding, PlannedHead head)
    {
        foreach (var cm in new[] { 0.6, 1, 1.5, 2, 3 }.Where(cm => cm >= head.Plan.LimitsOf().ScalpCm))
        {
            // The spread would carry some of them back.
            yield return (
                $"Start {Quantity.Cm(cm, "0.0")} from the scalp",
                new SetHeights(KeysOf(finding), StartCm: cm)
            );
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Milder(Finding finding, PlannedHead head)
    {
        var ids = PanelsOf(finding, head)
            .SelectMany(p => p.Coats)
            .Where(c => c.Formula.Volume > LiftTables.ScalpVolume)
            .Select(c => c.Formula)
            .Distinct()
            .ToArray();
        foreach (var volume in new[] { 20.0, 10 })
        {
            yield return (
                $"{string.Join(", ", ids.Select(f => f.Id))}: {volume:0} vol",
                new Together(ids.Select(f => (PlanEdit)new SetFormula(f with { Volume = new(volume) })).ToArray())
            );
        }

        yield return ($"Start {Quantity.Cm(1.5)} from the scalp", new SetHeights(KeysOf(finding), StartCm: 1.5));
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Stronger(Finding finding, PlannedHead head)
    {
        var formula = PanelsOf(finding, head).First(p => p.Light is not null).Light!.Formula;
        foreach (var volume in new[] { 20.0, 30, 40 }.Where(v => v > formula.Volume))
        {
            yield return ($"{formula.Id}: {volume:0} vol", new SetFormula(formula with { Volume = new(volume) }));
        }

        foreach (
            var (lightener, volume) in from lightener in Enum.GetValues<Lightener>()
            where LiftTables.Of(lightener).RatedLevels > LiftTables.Of(formula.Light!.Lightener).RatedLevels
            from volume in new[] { 20.0, 30, 40 }
            orderby volume
            select (lightener, volume)
        )
        {
            yield return (
                $"{formula.Id}: {Remedies.Words(lightener)}, {volume:0} vol",
                new SetFormula(
                    formula.Lightened(l => new(lightener, Additive: l.Additive)) with
                    {
                        Volume = new(volume),
                    }
                )
            );
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> LowerDeposit(Finding finding, PlannedHead head)
    {
        foreach (var cm in new[] { 2.0, 3, 4 })
        {
            foreach (
                var fix in Labelled(
                    $"Start the deposit {Quantity.Cm(cm, "0")} from the scalp",
                    Each(
                        PanelsOf(finding, head),
                        p =>
                            PanelPaint.Of(
                                p.Coats.Select(c =>
                                        c.Formula.IsDeposit
                                            ? c.Painted.Paint with
                                            {
                                                StartCm = cm,
                                                StartShare = null,
                                                SpreadCm = 0,
                                            }
                                            : c.Painted.Paint
                                    )
                                    .ToArray()
                            )
                    )
                )
            )
            {
                yield return fix;
            }
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Soften(Finding finding, PlannedHead head)
    {
        var painted = Painted(head, p => finding.Zones.Contains(p.Zone));
        var keys = Keys(painted);
        var now = painted.Max(p => p.Painted!.Paint.BlurCm);
        foreach (var blur in new[] { 3.0, 4, 5, 6, 8, 10, 12 }.Where(b => b > now))
        {
            yield return ($"Blur {Quantity.Cm(blur, "0")}", new SetBlur(keys, blur));
        }

        // Where blur alone is not enough, the same paint at different heights is.
        foreach (var spread in new[] { 2.0, 3, 4, 6 })
        {
            yield return ($"Spread heights {Quantity.Cm(spread, "0")}", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> Spread(Finding finding, PlannedHead head)
    {
        var keys = Keys(Painted(head, p => finding.Zones.Contains(p.Zone)));
        foreach (var spread in new[] { 1.0, 1.5, 2, 3, 4 })
        {
            yield return ($"Spread heights {Quantity.Cm(spread)}", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(Sentence Label, PlanEdit Edit)> KeepMoist(Finding finding, PlannedHead head)
    {
        var panels = PanelsOf(finding, head).ToArray();
        var keys = Keys(panels);
        var now = panels[0].Light!.Painted.Paint.Covering;
        var formula = panels[0].Light!.Formula;
        (double Harshness, Sentence Label, PlanEdit Edit) Way(
            Covering covering,
            double volume,
            Sentence label,
            PlanEdit edit
        ) => (new Way(formula.Light!.FiguresOf(), new(volume), covering, formula.LowHeat).Harshness, label, edit);

        // Of two ways that reach, the milder one.
        var ways = new[] { Covering.Film, Covering.Foil }
            .Where(c => c > now)
            .Select(c => Way(c, formula.Volume.Value, $"Cover with {Remedies.Words(c)}", new SetCovering(keys, c)))
            .Concat(
                new[] { 20.0, 30, 40 }
                    .Where(v => v > formula.Volume.Value)
                    .Select(v =>
                        Way(now, v, $"{formula.Id}: {v:0} vol", new SetFormula(formula with { Volume = new(v) }))
                    )
            );
        foreach (var (_, label, edit) in ways.OrderBy(w => w.Harshness))
        {
            yield return (label, edit);
        }
    }

    /// <summary>
    /// How the first of some panels that anything lightens is painted, by itself; null where nothing does.
    /// </summary>
    private static PanelPaint? LightOf(IEnumerable<PlannedPanel> panels) =>
        panels.Select(p => p.Light).FirstOrDefault(l => l is not null) is { } light
            ? light.Painted.Paint with
            {
                Next = null,
            }
            : null;

    private static PlannedPanel[] Painted(PlannedHead head, Func<PanelKey, bool> which) =>
        head.Panels.Where(p => p.Painted is not null && which(p.Panel.Key)).ToArray();

    private static PanelKey[] Keys(IEnumerable<PlannedPanel> panels) => panels.Select(p => p.Panel.Key).ToArray();
}
