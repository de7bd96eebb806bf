using Wendro.Blend;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;
using static Wendro.Tests.Plans.TwoProducts;

namespace Wendro.Tests.Plans;

/// <summary>An edit with a value nobody knows, or out of its range, gets a word by its name.</summary>
public sealed class EditsRefusedTests
{
    public static TheoryData<PlanEdit, string> Unknown =>
        new()
        {
            { new SetCovering([Key], (Covering)9), "covering" },
            { new SetFace([Key], (Face)9), "face" },
            { new SetShape([Key], (ShapeKind)99), "shape" },
            { new SetHandling([Key], (Pressure)9), "pressure" },
            { new SetHandling([Key], Tension: (Tension)9), "tension" },
            { new SetHandling([Key], Teasing: (Teasing)9), "teasing" },
            { new SetHandling([Key], LiesOn: (LiesOn)9), "liesOn" },
            { new PaintZone((Zone)99, First), "zone" },
            { new PaintPanels([Key], First with { Face = (Face)9 }), "paint.face" },
            { new PaintPanels([Key], First with { Covering = (Covering)9 }), "paint.covering" },
            { new PaintPanels([Key], First with { Pressure = (Pressure)9 }), "paint.pressure" },
            { new PaintPanels([Key], First with { Tension = (Tension)9 }), "paint.tension" },
            { new PaintPanels([Key], First with { Teasing = (Teasing)9 }), "paint.teasing" },
            { new PaintPanels([Key], First with { Next = Second with { BlurCm = 13 } }), "paint.next.blurCm" },
            { new PaintPanels([Key], First with { Shape = new Shape.V(-1) }), "paint.dropCm" },
            { new PaintPanels([Key], First with { Shape = new Shape.V(5, 0.95) }), "paint.centreU" },
            { new PaintPanels([Key], First with { Shape = new Shape.W(5, 0.5, -1) }), "paint.centreCm" },
            { new PaintPanels([Key], null!), "paint" },
            { new ClearZone((Zone)99), "zone" },
            { new AlternateRows((Zone)99, 3, 6), "zone" },
            { new MatchPart((Side)9), "from" },
            { new MirrorSide((Side)9), "from" },
            { new SetFrame((Frame)99), "frame" },
            { new SetRinse((Rinsing)9), "rinse" },
            { new SetStyling((Styling)9), "styling" },
            { new SetReach((Reach)9), "reach" },
            { new CutZone(Zone.Crown, (Parting)99, 10, 4, 0, false), "parting" },
            { new CutZone(Zone.Crown, Parting.Vertical, 10, 4, 0, false, Order: (RowOrder)9), "order" },
            { new IncludeZone((Zone)99), "zone" },
            { new ExcludeZone((Zone)99, "a"), "zone" },
            { new ExcludeZone(Zone.Nape, "a", (LeftOutBy)9), "by" },
            { new LeaveOut((Region)99, 1, "a"), "region" },
            { new LeaveOut(Region.Veil, 1, "a", (LeftOutBy)9), "by" },
            { new IncludeRegion((Region)99), "region" },
            { new Dismiss("stripes", (Severity)9, "a"), "at" },
            { new Dismiss("", Severity.Note, "a"), "finding" },
            { new Dismiss("stripes", Severity.Note, " "), "reason" },
            { new SetOrder([Zone.Nape]), "zones" },
            { new SetOrder([.. ZoneFacts.All.Skip(1), Zone.Crown]), "zones" },
            { new SetOrder(null!), "zones" },
            { new UseFormula([Key], FormulaId.D), "formula" },
            { new ThinHairline(3), "thicknessMm" },
            { new RaiseFaceFrame(0), "byCm" },
            { new DropCrown(21), "byCm" },
            { new Taper(-1, 3), "frontCm" },
            { new AlternatePanels([Key], 3, 76), "lowCm" },
            { new SpreadHeights([Key], 7), "spreadCm" },
            { new SetBand([Key], 0.4), "bandCm" },
            { new SetDepth([Key], 41, 3), "midsMm" },
            { new SetStrokes([Key]), "strokes" },
            { new SetStrokes([Key], 0), "strokes" },
        };

    [Theory]
    [MemberData(nameof(Unknown))]
    public void What_nobody_knows_gets_a_word_by_its_name_and_only_that(PlanEdit edit, string field) =>
        Assert.Equal([field], TwoPainted.Apply(edit, Given.Cutting).Problems.Select(p => p.Field).Distinct());
}
