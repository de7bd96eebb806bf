using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>Every kind of edit has a name of its own and says in words what it did.</summary>
public sealed class EditKindsTests
{
    private static readonly PanelKey[] One = [PanelKey.Of("crown/0/0")];

    public static TheoryData<PlanEdit, string> Labels =>
        new()
        {
            { new RaiseFaceFrame(2), "Raised the face frame 2 cm" },
            { new SetHeights(One, StartCm: 3.5), "Started 1 panel at 3.5 cm" },
            {
                new SetHeights([PanelKey.Of("crown/0/0"), PanelKey.Of("crown/0/1")], DropCm: 3),
                "Changed the heights of 2 panels"
            },
            { new PaintZone(Zone.SideLeft, PanelPaint.Usual), "Painted the left side" },
            { new MirrorSide(Side.Right), "Mirrored the right side" },
            { new LeaveOut(Region.Veil, 1, "soft"), "Left out the veil at the part" },
            { new SetCovering(One, Covering.Film), "Covered 1 panel: film" },
            { new SetHandling(One, LiesOn: LiesOn.Film), "Film beneath 1 panel" },
            { new SetFormula(Formula.Usual), "Changed formula A: clay, 30 vol" },
            { new SetWears([Wear.Down]), "Changed how the hair is worn" },
            {
                new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.B)),
                "Added a step: base, root to 4 cm"
            },
            { new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.B)), "Added a step: gloss, all lengths" },
            { new SetStep(0, Step.Usual), "Changed step 1: lighten" },
            { new Contour(FaceShape.Round), "Contoured the face: depth beside the cheeks, light above" },
            { new Melt(One, [FormulaId.A, FormulaId.B], [10]), "Melted 2 colours on 1 panel" },
            { new OnlyDarkPieces(), "Painted only the dark pieces" },
            { new RemoveStep(1), "Removed step 2" },
            { new MoveStep(0, 2), "Moved step 1 to 3" },
            { new Together([new DropCrown(1)]), "Dropped the crown 1 cm" },
            { new Together([new SetFormula(Formula.Usual), new DropCrown(1)]), "Dropped the crown 1 cm" },
            { new Together([new DropCrown(1), new SetGoal(new Goal())]), "Made 2 changes" },
        };

    [Theory]
    [MemberData(nameof(Labels))]
    public void It_says_what_it_did(PlanEdit edit, string label) => Assert.Equal(label, edit.Label().ToString());

    [Fact]
    public void Names_are_never_used_twice()
    {
        Assert.Equal(KindAttribute.OfEdits.Count, KindAttribute.OfEdits.Select(k => k.Name).Distinct().Count());
        Assert.True(KindAttribute.OfEdits.Count >= 45);
    }

    /// <summary>
    /// An edit that came in without some of its values is checked and labelled before anything is known to be there.
    /// </summary>
    [Fact]
    public void An_edit_without_its_values_gets_words_not_an_exception() =>
        Each.Of(
            KindAttribute.OfEdits.Where(k => k.Type.GetConstructors().Length > 0),
            k =>
            {
                var constructor = k.Type.GetConstructors().OrderByDescending(c => c.GetParameters().Length).First();
                var nothing = constructor
                    .GetParameters()
                    .Select(p => p.ParameterType.IsValueType ? Activator.CreateInstance(p.ParameterType) : null)
                    .ToArray();
                var edit = (PlanEdit)constructor.Invoke(nothing);
                Assert.NotEmpty(edit.Label().ToString());
                Assert.NotNull(Plan.Fresh().Apply(edit, Given.Cutting));
            }
        );
}
