using System.Text.Json.Serialization;
using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;

namespace Wendro.Core.Plans;

/// <summary>
/// A change of a plan: the one door. A small closed set; the screen, fixes, patterns and importers all come through here.
/// Numbers are checked when it is applied, field by field.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(CutZone), "cutZone")]
[JsonDerivedType(typeof(MovePart), "movePart")]
[JsonDerivedType(typeof(ExcludeZone), "excludeZone")]
[JsonDerivedType(typeof(IncludeZone), "includeZone")]
[JsonDerivedType(typeof(PaintZone), "paintZone")]
[JsonDerivedType(typeof(PaintPanels), "paintPanels")]
[JsonDerivedType(typeof(ClearPanels), "clearPanels")]
[JsonDerivedType(typeof(ClearZone), "clearZone")]
[JsonDerivedType(typeof(SetShape), "setShape")]
[JsonDerivedType(typeof(SetHeights), "setHeights")]
[JsonDerivedType(typeof(SetBlur), "setBlur")]
[JsonDerivedType(typeof(SetDepth), "setDepth")]
[JsonDerivedType(typeof(SetFace), "setFace")]
[JsonDerivedType(typeof(SetCovering), "setCovering")]
[JsonDerivedType(typeof(UseFormula), "useFormula")]
[JsonDerivedType(typeof(SetFormula), "setFormula")]
[JsonDerivedType(typeof(SpreadHeights), "spreadHeights")]
[JsonDerivedType(typeof(MirrorSide), "mirrorSide")]
[JsonDerivedType(typeof(AlternateRows), "alternateRows")]
[JsonDerivedType(typeof(SetWish), "setWish")]
[JsonDerivedType(typeof(SetWears), "setWears")]
[JsonDerivedType(typeof(SetStyling), "setStyling")]
[JsonDerivedType(typeof(SetFrame), "setFrame")]
[JsonDerivedType(typeof(SetReach), "setReach")]
[JsonDerivedType(typeof(SetOrder), "setOrder")]
[JsonDerivedType(typeof(LeaveOut), "leaveOut")]
[JsonDerivedType(typeof(TakeIn), "takeIn")]
[JsonDerivedType(typeof(SetStrokes), "setStrokes")]
[JsonDerivedType(typeof(SetBand), "setBand")]
[JsonDerivedType(typeof(SetHandling), "setHandling")]
[JsonDerivedType(typeof(AddCoat), "addCoat")]
[JsonDerivedType(typeof(TakeCoat), "takeCoat")]
[JsonDerivedType(typeof(SwapCoats), "swapCoats")]
[JsonDerivedType(typeof(AlternatePanels), "alternatePanels")]
[JsonDerivedType(typeof(Taper), "taper")]
[JsonDerivedType(typeof(MatchPart), "matchPart")]
[JsonDerivedType(typeof(RaiseFaceFrame), "raiseFaceFrame")]
[JsonDerivedType(typeof(DropCrown), "dropCrown")]
[JsonDerivedType(typeof(ThinHairline), "thinHairline")]
[JsonDerivedType(typeof(FollowOldPieces), "followOldPieces")]
[JsonDerivedType(typeof(TouchUpRegrowth), "touchUpRegrowth")]
[JsonDerivedType(typeof(SetLimits), "setLimits")]
[JsonDerivedType(typeof(Dismiss), "dismiss")]
[JsonDerivedType(typeof(Heed), "heed")]
[JsonDerivedType(typeof(Together), "together")]
public abstract record PlanEdit
{
    private protected PlanEdit() { }
}

/// <summary>Cuts a zone anew; each new panel takes the paint of the old one that overlaps it most.</summary>
public sealed record CutZone(
    Zone Zone,
    Parting Parting,
    double ThicknessMm,
    double WidthCm,
    double LeaveOutMm,
    bool Bricklay,
    bool Woven = false,
    RowOrder Order = RowOrder.LowFirst
) : PlanEdit
{
    /// <summary>Cuts a zone as sections say.</summary>
    public static CutZone As(Zone zone, Sections sections)
    {
        ArgumentNullException.ThrowIfNull(sections);
        return new(
            zone,
            sections.Parting,
            sections.ThicknessMm,
            sections.WidthCm,
            sections.LeaveOutMm,
            sections.Bricklay,
            sections.Woven,
            sections.Order
        );
    }

    /// <summary>The sections it cuts (a method: an edit is written out with its properties).</summary>
    public Sections ToSections() => new(Parting, ThicknessMm, WidthCm, LeaveOutMm, Bricklay, Woven, Order);
}

/// <summary>Moves the part; zones and panels follow, paint is handed on. Without a zigzag it stays as straight or zigzag as it is.</summary>
public sealed record MovePart(double FrontCm, double BackCm, double? ZigzagMm = null) : PlanEdit;

/// <summary>Leaves a zone untouched, with a reason; its paint is kept for when it is taken in again.</summary>
public sealed record ExcludeZone(Zone Zone, string Reason, LeftOutBy By = LeftOutBy.Hand) : PlanEdit;

/// <summary>Takes a zone in again.</summary>
public sealed record IncludeZone(Zone Zone) : PlanEdit;

/// <summary>Paints all panels of a zone alike, and makes that its usual.</summary>
public sealed record PaintZone(Zone Zone, PanelPaint Paint) : PlanEdit;

/// <summary>Paints some panels.</summary>
public sealed record PaintPanels(IReadOnlyList<string> Panels, PanelPaint Paint) : PlanEdit;

/// <summary>Leaves some panels natural.</summary>
public sealed record ClearPanels(IReadOnlyList<string> Panels) : PlanEdit;

/// <summary>Leaves all of a zone natural; a new cut brings nothing back.</summary>
public sealed record ClearZone(Zone Zone) : PlanEdit;

/// <summary>Changes the shape of some panels; one not painted yet is painted as usual. What the new shape is made of gets sensible values.</summary>
/// <param name="Panels">Which panels.</param>
/// <param name="Shape">The shape.</param>
/// <param name="Flip">Whether a slant runs the other way; null as it was.</param>
/// <param name="Coat">Which of the products on it, from 0.</param>
public sealed record SetShape(IReadOnlyList<string> Panels, Shape Shape, bool? Flip = null, int Coat = 0) : PlanEdit;

/// <summary>Changes where paint starts, cm from the scalp or as a share of the length, and how much lower its lowest point, its back corner or its middle peak lies. What is null stays.</summary>
public sealed record SetHeights(
    IReadOnlyList<string> Panels,
    double? StartCm = null,
    double? StartShare = null,
    double? DropCm = null,
    double? SlopeCm = null,
    double? CentreCm = null,
    int Coat = 0
) : PlanEdit;

/// <summary>Changes the strokes: how many, how wide where they begin, how far below the start they meet, where the middle lies. What is null stays.</summary>
public sealed record SetStrokes(
    IReadOnlyList<string> Panels,
    int? Strokes = null,
    double? StrokeShare = null,
    double? MergeCm = null,
    double? CentreU = null,
    int Coat = 0
) : PlanEdit;

/// <summary>Changes where paint ends, cm below its start; null lets it go to the ends.</summary>
public sealed record SetBand(IReadOnlyList<string> Panels, double? BandCm, int Coat = 0) : PlanEdit;

/// <summary>Changes how softly paint fades in, cm.</summary>
public sealed record SetBlur(IReadOnlyList<string> Panels, double BlurCm, int Coat = 0) : PlanEdit;

/// <summary>Changes how deep paint goes, mm.</summary>
public sealed record SetDepth(IReadOnlyList<string> Panels, double MidsMm, double EndsMm, int Coat = 0) : PlanEdit;

/// <summary>Changes the side painted.</summary>
public sealed record SetFace(IReadOnlyList<string> Panels, Face Face, int Coat = 0) : PlanEdit;

/// <summary>Changes what covers the paint.</summary>
public sealed record SetCovering(IReadOnlyList<string> Panels, Covering Covering, int Coat = 0) : PlanEdit;

/// <summary>Changes how the brush is pressed, how the panel is held, how much is teased. What is null stays.</summary>
public sealed record SetHandling(
    IReadOnlyList<string> Panels,
    Pressure? Pressure = null,
    Tension? Tension = null,
    Teasing? Teasing = null,
    int Coat = 0
) : PlanEdit;

/// <summary>Changes which formula some panels take.</summary>
public sealed record UseFormula(IReadOnlyList<string> Panels, string Formula, int Coat = 0) : PlanEdit;

/// <summary>Lays one more product on some panels, after those they have.</summary>
public sealed record AddCoat(IReadOnlyList<string> Panels, PanelPaint Paint) : PlanEdit;

/// <summary>Takes one of several products off some panels.</summary>
public sealed record TakeCoat(IReadOnlyList<string> Panels, int Coat) : PlanEdit;

/// <summary>Lays a product after the one that followed it: where both lie, the first holds its share.</summary>
public sealed record SwapCoats(IReadOnlyList<string> Panels, int Coat) : PlanEdit;

/// <summary>Adds or changes a formula.</summary>
public sealed record SetFormula(Formula Formula) : PlanEdit;

/// <summary>Lets heights vary from panel to panel, hashed from seed and key.</summary>
public sealed record SpreadHeights(IReadOnlyList<string> Panels, double SpreadCm) : PlanEdit;

/// <summary>Which of her sides.</summary>
public enum Side
{
    Left,
    Right,
}

/// <summary>Copies one side's sections and paint to the other.</summary>
public sealed record MirrorSide(Side From) : PlanEdit;

/// <summary>Lets the rows of a zone start high and low by turns, the lowest row high.</summary>
public sealed record AlternateRows(Zone Zone, double HighCm, double LowCm) : PlanEdit;

/// <summary>Lets neighbours in a row start high and low by turns, next rows the other way about.</summary>
public sealed record AlternatePanels(IReadOnlyList<string> Panels, double HighCm, double LowCm) : PlanEdit;

/// <summary>Lets painted panels start from one height at the front to another at the back.</summary>
public sealed record Taper(double FrontCm, double BackCm) : PlanEdit;

/// <summary>Paints one side of the part as the other is: top and fringe.</summary>
public sealed record MatchPart(Side From) : PlanEdit;

/// <summary>Starts the painted face frame nearer to the scalp.</summary>
public sealed record RaiseFaceFrame(double ByCm) : PlanEdit;

/// <summary>Starts the painted crown further from the scalp.</summary>
public sealed record DropCrown(double ByCm) : PlanEdit;

/// <summary>Cuts face frame and fringe into thinner sections.</summary>
public sealed record ThinHairline(double ThicknessMm) : PlanEdit;

/// <summary>Leaves as many painted panels as there are old light pieces, and begins above where these begin. Needs a lightened band.</summary>
public sealed record FollowOldPieces : PlanEdit;

/// <summary>Ends all light paint where hair is light already. Needs a lightened band.</summary>
public sealed record TouchUpRegrowth : PlanEdit;

/// <summary>Changes what counts as wrong.</summary>
public sealed record SetLimits(Limits Limits) : PlanEdit;

/// <summary>Sets a finding aside with a reason; it stays away until it is worse than it was.</summary>
/// <param name="Finding">Its id.</param>
/// <param name="At">How much it mattered.</param>
/// <param name="Reason">Why.</param>
public sealed record Dismiss(string Finding, Severity At, string Reason) : PlanEdit;

/// <summary>Heeds a finding again that was set aside.</summary>
public sealed record Heed(string Finding) : PlanEdit;

/// <summary>Changes what she wants.</summary>
public sealed record SetWish(Wish Wish) : PlanEdit;

/// <summary>Changes the wears she uses.</summary>
public sealed record SetWears(IReadOnlyList<Wear> Wears) : PlanEdit;

/// <summary>Changes how she wears her hair's texture: what is seen follows, lengths and panels stay.</summary>
public sealed record SetStyling(Styling Styling) : PlanEdit;

/// <summary>Divides the head another way; the order of work follows.</summary>
public sealed record SetFrame(Frame Frame) : PlanEdit;

/// <summary>Takes in or leaves out whole zones: full head, half head, or the hairline only. A zone left out for a reason of its own stays out.</summary>
public sealed record SetReach(Reach Reach) : PlanEdit;

/// <summary>Sets the order zones are worked in; every zone is named once.</summary>
public sealed record SetOrder(IReadOnlyList<Zone> Zones) : PlanEdit;

/// <summary>Leaves a region out across zones; one that is left out already changes its size.</summary>
public sealed record LeaveOut(Region Region, double SizeCm, string Reason, LeftOutBy By = LeftOutBy.Hand) : PlanEdit;

/// <summary>Takes a region in again.</summary>
public sealed record TakeIn(Region Region) : PlanEdit;

/// <summary>Several edits as one step, undone in one step: patterns.</summary>
public sealed record Together(IReadOnlyList<PlanEdit> Edits) : PlanEdit;
