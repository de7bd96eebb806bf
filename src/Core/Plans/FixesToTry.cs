using Wendro.Core.Blend;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;

namespace Wendro.Core.Plans;

/// <summary>Changes that may mend a finding, mildest first: one list a kind.</summary>
internal static class FixesToTry
{
    public static IEnumerable<(string Label, PlanEdit Edit)> For(Finding finding, PlannedHead head) =>
        finding.Kind switch
        {
            FindingKind.HardLine => Soften(finding, head),
            FindingKind.FrontNotBrighter => Raise(head),
            FindingKind.Stripes => Spread(finding, head),
            FindingKind.DriesFirst => KeepMoist(finding, head),
            FindingKind.DarkBehindHairline => Underside(head),
            FindingKind.DarkNape => PaintNape(head),
            FindingKind.SolidBlock => LetThrough(finding, head),
            FindingKind.NothingDarkLeft => Lower(finding, head),
            FindingKind.WeakSide => Even(finding, head),
            FindingKind.PartMismatch =>
            [
                ("Match her right to her left", new MatchPart(Side.Left)),
                ("Match her left to her right", new MatchPart(Side.Right)),
            ],
            FindingKind.CrownTooHigh => ByCm(finding, 0.2)
                .Select(cm => ($"Drop the crown {cm:0.#} cm", (PlanEdit)new DropCrown(cm))),
            FindingKind.BleedThrough => LessDeep(finding, head),
            FindingKind.ScalpContact => Away(finding, head),
            FindingKind.HotRoot => Milder(finding, head),
            FindingKind.OutOfReach => Stronger(finding, head),
            FindingKind.Overlap => [("End it at the light hair", new TouchUpRegrowth())],
            FindingKind.BabyHairPainted =>
            [
                (
                    $"Leave out {head.Plan.LimitsOf().BabyHairCm:0.0} cm of baby hair",
                    new LeaveOut(
                        Region.BabyHair,
                        Math.Max(LeftOut.LeastCm, head.Plan.LimitsOf().BabyHairCm),
                        "new short hair"
                    )
                ),
            ],
            FindingKind.BreakingHairPainted =>
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
            FindingKind.SkinAtRisk =>
            [
                ("Lay film under the face panels", new SetCovering(KeysOf(finding), Covering.Film)),
            ],
            FindingKind.LowlightOnTop => LowerDeposit(finding, head),
            FindingKind.HiddenWork =>
            [
                ($"Leave {finding.Panels.Count} hidden panels natural", new ClearPanels(KeysOf(finding))),
            ],
            _ => [],
        };

    private static string[] KeysOf(Finding finding) => finding.Panels.Select(p => p.ToString()).ToArray();

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
            .Select(g => (PlanEdit)new PaintPanels(g.Select(p => p.Key.ToString()).ToArray(), g.Key))
            .ToArray();
        return edits.Length is 0 or > Applying.MostTogether ? null : new Together(edits);
    }

    private static IEnumerable<(string, PlanEdit)> Labelled(string label, Together? edit) =>
        edit is null ? [] : [(label, edit)];

    private static IEnumerable<(string, PlanEdit)> LessDeep(Finding finding, PlannedHead head)
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

        yield return ("Lay film on it", new SetCovering(KeysOf(finding), Covering.Film));
    }

    private static IEnumerable<(string, PlanEdit)> Away(Finding finding, PlannedHead head)
    {
        foreach (var cm in new[] { 0.6, 1, 1.5, 2, 3 }.Where(cm => cm >= head.Plan.LimitsOf().ScalpCm))
        {
            // The spread would carry some of them back.
            yield return ($"Start {cm:0.0} cm from the scalp", new SetHeights(KeysOf(finding), StartCm: cm));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Milder(Finding finding, PlannedHead head)
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
                new Together(ids.Select(f => (PlanEdit)new SetFormula(f with { Volume = volume })).ToArray())
            );
        }

        yield return ("Start 1.5 cm from the scalp", new SetHeights(KeysOf(finding), StartCm: 1.5));
    }

    private static IEnumerable<(string, PlanEdit)> Stronger(Finding finding, PlannedHead head)
    {
        var formula = PanelsOf(finding, head).First(p => p.Light is not null).Light!.Formula;
        foreach (var volume in new[] { 20.0, 30, 40 }.Where(v => v > formula.Volume))
        {
            yield return ($"{formula.Id}: {volume:0} vol", new SetFormula(formula with { Volume = volume }));
        }

        foreach (
            var lightener in Enum.GetValues<Lightener>()
                .Where(l => LiftTables.Of(l).RatedLevels > LiftTables.Of(formula.Lightener).RatedLevels)
        )
        {
            yield return (
                $"{formula.Id}: {Remedies.Words(lightener)}, 40 vol",
                new SetFormula(
                    formula with
                    {
                        Lightener = lightener,
                        Volume = 40,
                        Product = null,
                        Figures = null,
                        Second = null,
                    }
                )
            );
        }
    }

    private static IEnumerable<(string, PlanEdit)> PaintNape(PlannedHead head)
    {
        if (head.Plan.Zones[Zone.Nape].Excluded is not null)
        {
            yield break;
        }

        var paint =
            LightOf(head.Panels.Where(p => p.Panel.Key.Zone is Zone.LowerBack or Zone.UpperBack))
            ?? new PanelPaint(Formula: head.Plan.FirstLight().Id);
        foreach (var start in new[] { 6.0, 4, 3, 2 })
        {
            yield return (
                $"Paint the nape's underside from {start:0} cm",
                new PaintZone(
                    Zone.Nape,
                    paint with
                    {
                        Face = Face.Both,
                        StartCm = start,
                        StartShare = null,
                        SpreadCm = 1,
                        DropCm = Math.Min(3, paint.DropCm),
                    }
                )
            );
        }
    }

    private static IEnumerable<(string, PlanEdit)> LetThrough(Finding finding, PlannedHead head)
    {
        foreach (
            var (name, pick) in new (string, Func<PanelKey, bool>)[]
            {
                ("every third panel", k => (k.Column + k.Row) % 3 == 2),
                ("every other panel", k => (k.Column + k.Row) % 2 == 1),
            }
        )
        {
            var left = PanelsOf(finding, head)
                .Where(p => pick(p.Panel.Key))
                .Select(p => p.Panel.Key.ToString())
                .ToArray();
            if (left.Length > 0)
            {
                yield return ($"Leave {name} natural", new ClearPanels(left));
            }
        }
    }

    private static IEnumerable<(string, PlanEdit)> Lower(Finding finding, PlannedHead head)
    {
        foreach (var fix in LetThrough(finding, head))
        {
            yield return fix;
        }

        foreach (var cm in new[] { 2.0, 4, 6, 8, 10 })
        {
            foreach (
                var fix in Labelled(
                    $"Start {cm:0} cm lower behind the face",
                    Each(PanelsOf(finding, head), p => p.Painted!.Paint.Lowered(cm, p.Panel.LengthCm))
                )
            )
            {
                yield return fix;
            }
        }
    }

    private static IEnumerable<(string, PlanEdit)> Even(Finding finding, PlannedHead head)
    {
        var left = head.Measures.Balance > 0;
        var (weak, bright) = left ? (Side.Right, Side.Left) : (Side.Left, Side.Right);
        yield return (
            $"Paint her {weak.ToString().ToLowerInvariant()} as her {bright.ToString().ToLowerInvariant()}",
            new MirrorSide(bright)
        );
        yield return (
            $"Paint her {bright.ToString().ToLowerInvariant()} as her {weak.ToString().ToLowerInvariant()}",
            new MirrorSide(weak)
        );
        foreach (var cm in new[] { 1.0, 2, 3, 5 })
        {
            foreach (
                var fix in Labelled(
                    $"Start {cm:0} cm lower on her {bright.ToString().ToLowerInvariant()}",
                    Each(PanelsOf(finding, head), p => p.Painted!.Paint.Lowered(cm, p.Panel.LengthCm))
                )
            )
            {
                yield return fix;
            }
        }
    }

    private static IEnumerable<(string, PlanEdit)> LowerDeposit(Finding finding, PlannedHead head)
    {
        foreach (var cm in new[] { 2.0, 3, 4 })
        {
            foreach (
                var fix in Labelled(
                    $"Start the deposit {cm:0} cm from the scalp",
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

    private static IEnumerable<(string, PlanEdit)> Soften(Finding finding, PlannedHead head)
    {
        var painted = Painted(head, p => finding.Zones.Contains(p.Zone));
        var keys = Keys(painted);
        var now = painted.Max(p => p.Painted!.Paint.BlurCm);
        foreach (var blur in new[] { 3.0, 4, 5, 6, 8, 10, 12 }.Where(b => b > now))
        {
            yield return ($"Blur {blur:0} cm", new SetBlur(keys, blur));
        }

        // Where blur alone is not enough, the same paint at different heights is.
        foreach (var spread in new[] { 2.0, 3, 4, 6 })
        {
            yield return ($"Spread heights {spread:0} cm", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Raise(PlannedHead head)
    {
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        if (frame.Length == 0)
        {
            yield break;
        }

        var keys = Keys(frame);
        var bare = frame.Any(p => p.Painted is null);
        var model = LightOf(frame) ?? new PanelPaint(Shape.Full, 5, 0, 5, 12, 20, Formula: head.Plan.FirstLight().Id);
        model = model with { StartShare = null, SpreadCm = Math.Max(model.SpreadCm, 1) };
        var from = bare ? 5.5 : frame.Min(p => p.Painted!.StartCm);
        foreach (var start in new[] { 6.0, 5, 4.5, 4, 3.5, 3, 2.5, 2, 1.5, 1 }.Where(s => s < from))
        {
            var label = bare ? $"Paint the face frame from {start:0.#} cm" : $"Raise to {start:0.#} cm";
            yield return (label, new PaintPanels(keys, model with { StartCm = start }));
        }

        foreach (var start in new[] { 3.0, 2, 1 })
        {
            yield return (
                bare ? $"Paint from {start:0.#} cm, straight and deep" : $"Raise to {start:0.#} cm, straight and deep",
                new PaintPanels(
                    keys,
                    model with
                    {
                        StartCm = start,
                        Shape = Shape.Full,
                        DropCm = 0,
                        MidsMm = 16,
                        EndsMm = 24,
                    }
                )
            );
        }
    }

    private static IEnumerable<(string, PlanEdit)> Spread(Finding finding, PlannedHead head)
    {
        var keys = Keys(Painted(head, p => finding.Zones.Contains(p.Zone)));
        foreach (var spread in new[] { 1.0, 1.5, 2, 3, 4 })
        {
            yield return ($"Spread heights {spread:0.#} cm", new SpreadHeights(keys, spread));
        }
    }

    private static IEnumerable<(string, PlanEdit)> KeepMoist(Finding finding, PlannedHead head)
    {
        var panels = PanelsOf(finding, head).ToArray();
        var keys = Keys(panels);
        var now = panels[0].Light!.Painted.Paint.Covering;
        foreach (var covering in new[] { Covering.Film, Covering.Foil }.Where(c => c > now))
        {
            yield return ($"Cover with {Remedies.Words(covering)}", new SetCovering(keys, covering));
        }

        var formula = panels[0].Light!.Formula;
        foreach (var volume in new[] { 20.0, 30, 40 }.Where(v => v > formula.Volume))
        {
            yield return ($"{formula.Id}: {volume:0} vol", new SetFormula(formula with { Volume = volume }));
        }
    }

    private static IEnumerable<(string, PlanEdit)> Underside(PlannedHead head)
    {
        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        if (frame.Length == 0)
        {
            yield break;
        }

        var keys = Keys(frame);
        if (frame.All(p => p.Painted is not null))
        {
            yield return ("Paint underside", new SetFace(keys, Face.Both));
        }

        var model = LightOf(frame) ?? new PanelPaint(Shape.Full, 3, 0, 5, 8, 12, Formula: head.Plan.FirstLight().Id);
        foreach (var start in new[] { 3.0, 2, 1.5, 1 })
        {
            yield return (
                $"Paint underside from {start:0.#} cm",
                new PaintPanels(
                    keys,
                    model with
                    {
                        Face = Face.Both,
                        StartCm = start,
                        StartShare = null,
                        SpreadCm = Math.Max(1, model.SpreadCm),
                    }
                )
            );
        }
    }

    /// <summary>How the first of some panels that anything lightens is painted, by itself; null where nothing does.</summary>
    private static PanelPaint? LightOf(IEnumerable<PlannedPanel> panels) =>
        panels.Select(p => p.Light).FirstOrDefault(l => l is not null) is { } light
            ? light.Painted.Paint with
            {
                Next = null,
            }
            : null;

    private static PlannedPanel[] Painted(PlannedHead head, Func<PanelKey, bool> which) =>
        head.Panels.Where(p => p.Painted is not null && which(p.Panel.Key)).ToArray();

    private static string[] Keys(IEnumerable<PlannedPanel> panels) =>
        panels.Select(p => p.Panel.Key.ToString()).ToArray();
}
