using CsCheck;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>A safety stop asks what would be painted before and after, whatever the edit is called.</summary>
public sealed class SafetyStopCheckTests
{
    private static readonly PanelKey[] Crown =
    [
        .. Given.Cutting.Cut(Plan.Fresh(), Zone.Crown).Panels.Select(p => p.Key),
    ];

    private static readonly Plan Painted = Plan.Fresh()
        .Edited(
            new SetFormula(Formula.Usual with { Id = FormulaId.B, Volume = new(20) }),
            new PaintZone(Zone.Crown, PanelPaint.Usual with { StartCm = 7, MidsMm = 4, EndsMm = 4 }),
            new PaintZone(Zone.Nape, PanelPaint.Usual),
            new ExcludeZone(Zone.Nape, "not today"),
            new SetFormula(Formula.Colouring(FormulaId.C, 5, 10, 20)),
            new AddStep(new Step(StepKind.Base, new Area(ToCm: 3), FormulaId.C), 0)
        );

    public static TheoryData<PlanEdit> Free =>
        [
            new ClearPanels([Crown[0]]),
            new ClearZone(Zone.Crown),
            new ExcludeZone(Zone.Crown, "a scar"),
            new SetHeights([Crown[0]], StartCm: 9),
            new SetHeights(Crown, DropCm: 12),
            new SetDepth(Crown, 3, 3),
            new SetBand(Crown, 6),
            new SetHandling([Crown[0]], Pressure.Light),
            new LeaveOut(Region.Veil, 3, "a veil"),
            new CutZone(Zone.UpperBack, Parting.Vertical, 12, 4, 3, false),
            new SetReach(Reach.Hairline),
            new SetFormula(Formula.Usual with { Minutes = new(20) }),
            new SetFormula(Formula.Usual with { Id = FormulaId.B, Volume = new(40) }),
            new SetOrder([.. ZoneFacts.All]),
            new SetGoal(new Goal { EndsLevel = new(9) }),
            new SetWears([Wear.Down]),
            new SetLimits(FindingLimits.Usual),
            new DropCrown(2),
            new IncludeZone(Zone.TopLeft),
            new Together([new ClearZone(Zone.Crown), new IncludeZone(Zone.Crown)]),
            new AddStep(new Step(StepKind.Treat, Minutes: 10)),
            new SetFormula(Formula.Colouring(FormulaId.D, 6, 10, 20)),
            new RemoveStep(0),
            new SetStep(0, new Step(StepKind.Base, new Area(ToCm: 2), FormulaId.C)),
        ];

    public static TheoryData<PlanEdit> Refused =>
        [
            new IncludeZone(Zone.Nape),
            new PaintZone(Zone.TopLeft, PanelPaint.Usual),
            new PaintPanels([Crown[0]], PanelPaint.Usual with { StartCm = 2 }),
            new SetHeights([Crown[0]], StartCm: 6),
            new SetShape([Crown[0]], ShapeKind.Full),
            new SetBlur([Crown[0]], 1),
            new SetDepth([Crown[0]], 6, 6),
            new SetFace([Crown[0]], Face.Both),
            new SetCovering([Crown[0]], Covering.Foil),
            new UseFormula([Crown[0]], FormulaId.B),
            new AddCoat([Crown[0]], PanelPaint.Usual with { Formula = FormulaId.B }),
            new SetFormula(Formula.Usual with { Volume = new(40) }),
            new SetFormula(Formula.Usual with { Minutes = new(60) }),
            new SetFormula(Formula.Usual with { LowHeat = true, HeatConfirmed = true }),
            new SpreadHeights(Crown, 3),
            new AlternatePanels(Crown, 3, 12),
            new Taper(3, 4),
            new Together([new IncludeZone(Zone.Nape), new ClearPanels([Crown[0]])]),
            new CutZone(Zone.Crown, Parting.Horizontal, 10, 4, 0, true),
            new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.C)),
            new SetStep(0, new Step(StepKind.Base, new Area(ToCm: 5), FormulaId.C)),
            new SetStep(0, new Step(StepKind.Base, new Area(ToCm: 3), FormulaId.C, Rinse: false)),
            new SetStep(0, new Step(StepKind.Base, new Area(ToCm: 3, Covering: Covering.Foil), FormulaId.C)),
            new SetFormula(Formula.Colouring(FormulaId.C, 5, 10, 40)),
            new SetFormula(Formula.Colouring(FormulaId.C, 3, 10, 20)),
        ];

    [Theory]
    [MemberData(nameof(Free))]
    public void Taking_away_and_what_lays_nothing_stays_free(PlanEdit edit) => Assert.False(Lays(edit));

    [Theory]
    [MemberData(nameof(Refused))]
    public void Product_where_there_was_none_another_one_or_more_is_refused(PlanEdit edit) => Assert.True(Lays(edit));

    [Fact]
    public void A_reach_brings_back_what_a_reach_left_out()
    {
        var half = Plan.Fresh().Edited(new PaintZone(Zone.UpperBack, PanelPaint.Usual), new SetReach(Reach.Half));
        Assert.True(SafetyStopCheck.LaysMore(half, half.Edited(new SetReach(Reach.Full)), Given.Cutting));
        Assert.False(SafetyStopCheck.LaysMore(half, half.Edited(new SetReach(Reach.Hairline)), Given.Cutting));
    }

    [Fact]
    public void A_moved_part_takes_paint_to_hair_that_had_none()
    {
        var left = Plan.Fresh().Edited(new PaintZone(Zone.TopLeft, PanelPaint.Usual));
        Assert.True(SafetyStopCheck.LaysMore(left, left.Edited(new MovePart(-3, -1)), Given.Cutting));
    }

    [Fact]
    public void Undo_redo_and_import_are_compared_alike()
    {
        Assert.True(SafetyStopCheck.LaysMore(Plan.Fresh(), Painted, Given.Cutting));
        Assert.False(SafetyStopCheck.LaysMore(Painted, Plan.Fresh(), Given.Cutting));
        Assert.False(SafetyStopCheck.LaysMore(Painted, Painted, Given.Cutting));
    }

    /// <summary>
    /// Where one product lies on a panel twice, the stronger of the two is what the other may come up to.
    /// </summary>
    [Fact]
    public void Of_two_coats_of_one_product_either_may_come_up_to_the_other_and_none_goes_beyond()
    {
        var open = PanelPaint.Usual with { MidsMm = 4, EndsMm = 4 };
        var film = open with { Covering = Covering.Film };
        var plan = Plan.Fresh().Edited(new PaintPanels([Crown[0]], PanelPaint.Of([open, film])!));
        bool More(PlanEdit edit) => SafetyStopCheck.LaysMore(plan, plan.Edited(edit), Given.Cutting);
        Assert.False(More(new SetCovering([Crown[0]], Covering.Film, 0)));
        Assert.False(More(new SetCovering([Crown[0]], Covering.Mesh, 0)));
        Assert.False(More(new SetCovering([Crown[0]], Covering.Open, 1)));
        Assert.True(More(new SetCovering([Crown[0]], Covering.Foil, 0)));
        Assert.True(More(new SetCovering([Crown[0]], Covering.Foil, 1)));
    }

    [Fact]
    public void From_bare_to_painted_is_always_more_and_back_never() =>
        Gen.Select(Given.AnyZone, Given.AnyPaint, Given.AnySections)
            .Sample(
                (zone, paint, sections) =>
                {
                    var bare = Plan.Fresh().Edited(CutZone.As(zone, sections));
                    var head = bare.Edited(
                        new PaintZone(
                            zone,
                            paint with
                            {
                                StartCm = 1,
                                BandCm = null,
                                MidsMm = 5,
                                EndsMm = 5,
                                Shape = new Shape.Full(),
                            }
                        )
                    );
                    Assert.Equal(
                        Given.Cutting.Cut(bare, zone).Panels.Count > 0,
                        SafetyStopCheck.LaysMore(bare, head, Given.Cutting)
                    );
                    Assert.False(SafetyStopCheck.LaysMore(head, bare, Given.Cutting));
                },
                iter: 20
            );

    [Fact]
    public void No_band_is_too_narrow_nor_any_stroke_too_fine()
    {
        var none = new PanelPaint(new Shape.Full(), 2, 0.5, 5, 5, BandCm: 0.5, SpreadCm: 0);
        Assert.True(More(none));
        Gen.Select(Gen.Double[0, 12], Gen.Double[0.5, 2], Gen.Double[0, 2], Gen.Double[0.1, 0.9], Gen.Int[3, 9])
            .Sample(
                (startCm, bandCm, blurCm, middle, lines) =>
                {
                    Assert.True(More(none with { StartCm = startCm, BandCm = bandCm, BlurCm = blurCm }));
                    var fine = new Stroke(0.05);
                    Assert.True(
                        More(
                            none with
                            {
                                BandCm = null,
                                Shape = new Shape.Staggered(3, lines) { Stroked = fine },
                            }
                        )
                    );
                    Assert.True(
                        More(
                            none with
                            {
                                BandCm = null,
                                Shape = new Shape.Centre(middle) { Stroked = fine },
                            }
                        )
                    );
                }
            );

        static bool More(PanelPaint paint) =>
            SafetyStopCheck.LaysMore(
                Plan.Fresh(),
                Plan.Fresh().Edited(new PaintPanels([Crown[0]], paint)),
                Given.Cutting
            );
    }

    private static bool Lays(PlanEdit edit) => SafetyStopCheck.LaysMore(Painted, Painted.Edited(edit), Given.Cutting);
}
