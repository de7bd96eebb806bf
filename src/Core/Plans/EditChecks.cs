using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Paint;
using Wendro.Core.Units;

namespace Wendro.Core.Plans;

/// <summary>Checks the values of an edit against the plan it is meant for. Total: any value gets a word, none an exception.</summary>
internal sealed partial class EditChecks(Plan plan, HairProfile hair, Func<PanelKey, bool> exists)
{
    private const int MostPanels = 5000;
    private readonly List<Problem> problems = [];

    public static IReadOnlyList<Problem> Of(Plan plan, HairProfile hair, PlanEdit edit, Func<PanelKey, bool> exists)
    {
        var checks = new EditChecks(plan, hair, exists);
        checks.Check(edit);
        return checks.problems;
    }

    private void Check(PlanEdit edit)
    {
        switch (edit)
        {
            case CutZone e:
                Known(e.Zone, "zone");
                Known(e.Parting, "parting");
                Range(e.ThicknessMm, Sections.ThinnestMm, Sections.ThickestMm, "thicknessMm", "mm");
                Range(e.WidthCm, Sections.NarrowestCm, Sections.WidestCm, "widthCm", "cm");
                Range(e.LeaveOutMm, 0, Sections.MostLeaveOutMm, "leaveOutMm", "mm");
                Known(e.Order, "order");
                break;
            case MovePart e:
                Range(e.FrontCm, -5, 5, "frontCm", "cm");
                Range(e.BackCm, -3, 3, "backCm", "cm");
                Range(e.ZigzagMm ?? 0, 0, 15, "zigzagMm", "mm");
                break;
            case SetStyling e:
                Known(e.Styling, "styling");
                break;
            case SetFrame e:
                Known(e.Frame, "frame");
                break;
            case SetReach e:
                Known(e.Reach, "reach");
                break;
            case SetOrder e:
                Order(e.Zones);
                break;
            case LeaveOut e:
                Known(e.Region, "region");
                Range(e.SizeCm, LeftOut.LeastCm, LeftOut.MostCm, "sizeCm", "cm");
                Text(e.Reason, 200, "reason");
                Known(e.By, "by");
                break;
            case TakeIn e:
                Known(e.Region, "region");
                if (plan.Regions.All(r => r.Region != e.Region))
                {
                    problems.Add(new("region", $"The {LeftOut.Words(e.Region)} is not left out."));
                }

                break;
            case ExcludeZone e:
                Known(e.Zone, "zone");
                Text(e.Reason, 200, "reason");
                Known(e.By, "by");
                break;
            case IncludeZone e:
                Known(e.Zone, "zone");
                break;
            case PaintZone e:
                Known(e.Zone, "zone");
                Paint(e.Paint);
                break;
            case PaintPanels e:
                Panels(e.Panels);
                Paint(e.Paint);
                break;
            case ClearZone e:
                Known(e.Zone, "zone");
                break;
            case ClearPanels e:
                Panels(e.Panels);
                break;
            case SetShape e:
                Panels(e.Panels, e.Coat);
                Known(e.Shape, "shape");
                break;
            case SetHeights e:
                Heights(e);
                break;
            case SetStrokes e:
                Strokes(e);
                break;
            case SetBand e:
                Panels(e.Panels, e.Coat);
                Range(e.BandCm ?? 1, 0.5, 75, "bandCm", "cm");
                break;
            case SetBlur e:
                Panels(e.Panels, e.Coat);
                Range(e.BlurCm, 0, 12, "blurCm", "cm");
                break;
            case SetDepth e:
                Panels(e.Panels, e.Coat);
                Range(e.MidsMm, 0, 40, "midsMm", "mm");
                Range(e.EndsMm, 0, 40, "endsMm", "mm");
                break;
            case SetFace e:
                Panels(e.Panels, e.Coat);
                Known(e.Face, "face");
                break;
            case SetCovering e:
                Panels(e.Panels, e.Coat);
                Known(e.Covering, "covering");
                break;
            case SetHandling e:
                Panels(e.Panels, e.Coat);
                Known(e.Pressure ?? default, "pressure");
                Known(e.Tension ?? default, "tension");
                Known(e.Teasing ?? default, "teasing");
                break;
            case UseFormula e:
                Panels(e.Panels, e.Coat);
                FormulaId(e.Formula, "formula");
                break;
            case AddCoat e:
                Panels(e.Panels);
                Paint(e.Paint);
                MostCoats(e.Panels, 1 + (e.Paint?.Next is null ? 0 : PanelPaint.MostCoats));
                break;
            case TakeCoat e:
                Panels(e.Panels, e.Coat);
                break;
            case SwapCoats e:
                Panels(e.Panels, e.Coat < PanelPaint.MostCoats ? e.Coat + 1 : e.Coat);
                Range(e.Coat, 0, PanelPaint.MostCoats - 2, "coat", string.Empty);
                break;
            case AlternatePanels e:
                Panels(e.Panels);
                Range(e.HighCm, 0, 75, "highCm", "cm");
                Range(e.LowCm, 0, 75, "lowCm", "cm");
                break;
            case Taper e:
                Range(e.FrontCm, 0, 75, "frontCm", "cm");
                Range(e.BackCm, 0, 75, "backCm", "cm");
                break;
            case MatchPart e:
                Known(e.From, "from");
                break;
            case RaiseFaceFrame e:
                Range(e.ByCm, 0.1, 20, "byCm", "cm");
                break;
            case DropCrown e:
                Range(e.ByCm, 0.1, 20, "byCm", "cm");
                break;
            case ThinHairline e:
                Range(e.ThicknessMm, Sections.ThinnestMm, Sections.ThickestMm, "thicknessMm", "mm");
                break;
            case FollowOldPieces or TouchUpRegrowth:
                if (WholeHead.OldLight(hair) is null)
                {
                    problems.Add(
                        new(
                            "edit",
                            "No band of her hair is noted as lightened: there is nothing to follow. Note it in Consult."
                        )
                    );
                }

                break;
            case SetLimits e:
                Limits(e.Limits);
                break;
            case Dismiss e:
                Text(e.Finding, 80, "finding");
                Known(e.At, "at");
                Text(e.Reason, 200, "reason");
                if (e.Finding is { } id && Blend.Finding.StaysSaid(id))
                {
                    problems.Add(new("finding", "This one keeps people safe: it stays until it is mended."));
                }

                break;
            case Heed e:
                if (plan.SetAside.All(d => d.Finding != e.Finding))
                {
                    problems.Add(new("finding", "No such finding was set aside."));
                }

                break;
            case SetFormula e:
                Formula(e);
                break;
            case SpreadHeights e:
                Panels(e.Panels);
                Range(e.SpreadCm, 0, 6, "spreadCm", "cm");
                break;
            case MirrorSide e:
                Known(e.From, "from");
                break;
            case AlternateRows e:
                Known(e.Zone, "zone");
                Range(e.HighCm, 0, 75, "highCm", "cm");
                Range(e.LowCm, 0, 75, "lowCm", "cm");
                break;
            case SetWish e:
                Wish(e.Wish);
                break;
            case SetWears e:
                Wears(e.Wears);
                break;
        }
    }

    private void Order(IReadOnlyList<Zone>? zones)
    {
        if (zones is null || zones.Count != ZoneFacts.All.Count || !zones.Order().SequenceEqual(ZoneFacts.All))
        {
            problems.Add(new("zones", "Name every zone once."));
        }
    }

    private void Limits(Blend.Limits? limits)
    {
        if (limits is null)
        {
            problems.Add(new("limits", "Limits are needed."));
            return;
        }

        problems.AddRange(limits.Problems().Select(p => p with { Field = $"limits.{p.Field}" }));
    }

    private void Wish(Blend.Wish? wish)
    {
        if (wish is null)
        {
            problems.Add(new("wish", "A wish is needed."));
            return;
        }

        problems.AddRange(wish.Problems().Select(p => p with { Field = $"wish.{p.Field}" }));
    }

    private void Wears(IReadOnlyList<Wear>? wears)
    {
        if (
            wears is null
            || wears.Count == 0
            || wears.Distinct().Count() != wears.Count
            || wears.Any(w => !Enum.IsDefined(w))
        )
        {
            problems.Add(new("wears", "Name each wear she uses once."));
        }
        else if (!wears.Contains(Wear.Down))
        {
            problems.Add(new("wears", "Down is always one of them: the measures are taken there."));
        }
    }

    private void Panels(IReadOnlyList<string>? panels)
    {
        if (panels is null || panels.Count == 0)
        {
            problems.Add(new("panels", "Name at least one panel."));
            return;
        }

        if (panels.Count > MostPanels)
        {
            problems.Add(new("panels", $"At most {MostPanels} panels at once."));
            return;
        }

        for (var i = 0; i < panels.Count; i++)
        {
            if (PanelKey.Parse(panels[i]) is not { } key)
            {
                problems.Add(new($"panels[{i}]", "A panel is named zone/row/column, like sideLeft/2/1."));
            }
            else if (!exists(key))
            {
                problems.Add(new($"panels[{i}]", $"There is no panel {key} as this head is cut."));
            }
            else if (plan.Zones[key.Zone].Excluded is not null)
            {
                problems.Add(new($"panels[{i}]", $"The {ZoneFacts.Words(key.Zone)} is left out. Take it in first."));
            }
        }
    }

    private void FormulaId(string? id, string field)
    {
        if (id is null || plan.FormulaOf(id) is null)
        {
            problems.Add(
                new(
                    field,
                    $"There is no such formula. The plan has {string.Join(", ", plan.Formulas.Select(f => f.Id))}."
                )
            );
        }
    }

    private void Text(string? text, int most, string field) => Problem.Text(problems, field, text, most);

    private void Known<T>(T value, string field)
        where T : struct, Enum => Problem.Known(problems, field, value);

    private void Range(double value, double low, double high, string field, string unit) =>
        Problem.Range(problems, field, value, low, high, unit);
}
