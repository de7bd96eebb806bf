using Wendro.Hair;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Contours the face: where it is to look narrower paint begins lower and depth stays, where it is to open it begins
/// higher; pieces step from light to deep going back.
/// </summary>
/// <param name="Face">The shape of the face.</param>
[Kind("contour")]
public sealed record Contour(FaceShape Face) : PlanEdit
{
    /// <summary>
    /// How much lower paint begins at the brow, the cheek and the jaw, cm, by the shape of the face: negative begins
    /// higher. Model assumption.
    /// </summary>
    private static (double Brow, double Cheek, double Jaw) Lower(FaceShape face) =>
        face switch
        {
            FaceShape.Oval => (0, 0, 0),
            FaceShape.Round => (-1, 2, 0.5),
            FaceShape.Square => (-0.5, 0.5, 2),
            FaceShape.Long => (1.5, -1.5, 1),
            FaceShape.Heart => (1.5, 0.5, -1.5),
        };

    /// <summary>What it does, in plain words.</summary>
    public static string Words(FaceShape face) =>
        face switch
        {
            FaceShape.Oval => "evenly bright about the face",
            FaceShape.Round => "depth beside the cheeks, light above",
            FaceShape.Square => "depth at the jaw, light at the brow",
            FaceShape.Long => "light beside the cheeks, depth above and below",
            FaceShape.Heart => "light at the jaw, depth at the brow",
        };

    /// <summary>How much lower the pieces behind the frame begin, cm: from light to deep going back. Model
    /// assumption.</summary>
    private const double StepBackCm = 1.5;

    /// <inheritdoc/>
    public override Sentence Label() => $"Contoured the face: {Words(Face)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Face, "face");
        if (!Painted.In(on.Plan, on.Cutting, ZoneFacts.IsFaceFrame).Any())
        {
            on.Say("edit", "The face frame is not painted yet.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var framed = Painted.Each(
            plan,
            Painted.In(plan, cutting, ZoneFacts.IsFaceFrame),
            (panel, paint) => paint.Lowered(LowerAt(panel, cutting, plan), panel.LengthCm)
        );
        return Painted.Lower(framed, cutting, z => z is Zone.SideLeft or Zone.SideRight, StepBackCm);
    }

    /// <summary>Between jaw, cheek and brow by how high on the hairline a panel is rooted.</summary>
    private double LowerAt(Panel panel, Cutting cutting, Plan plan)
    {
        var heights = cutting.Cut(plan, panel.Key.Zone).Panels.Select(p => p.Centre.Position.Y).ToArray();
        var (low, top) = (heights.Min(), heights.Max());
        var high = top - low < 1e-3 ? 1 : (panel.Centre.Position.Y - low) / (top - low);
        var (brow, cheek, jaw) = Lower(Face);
        return high >= 0.5 ? cheek + (brow - cheek) * (high - 0.5) * 2 : jaw + (cheek - jaw) * high * 2;
    }
}
