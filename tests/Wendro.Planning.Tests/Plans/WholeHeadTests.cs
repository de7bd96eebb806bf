using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Plans;

/// <summary>What an artist says in one sentence does what it says, and nothing else.</summary>
public sealed class WholeHeadTests
{
    private static readonly PanelPaint Soft = new PanelPaint(new Shape.V(6), 7, 5, 5, 8);
    private static readonly HairProfile Grown = HairProfile.Usual with
    {
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8.5), 0.5)],
    };

    private static PlannedHead Whole(PanelPaint? paint = null) =>
        Given.Bare.Apply([.. ZoneFacts.All.Select(z => new PaintZone(z, paint ?? Soft))]);

    private static IEnumerable<PlannedPanel> In(PlannedHead head, params Zone[] zones) =>
        head.Panels.Where(p => p.Coats.Count > 0 && zones.Contains(p.Panel.Key.Zone));

    private static double Start(PlannedHead head, params Zone[] zones) =>
        In(head, zones).Average(p => p.Painted!.StartCm);

    [Fact]
    public void Taper_runs_from_the_front_to_the_back()
    {
        var head = Whole().Apply(new Taper(4, 12));
        var byPlace = head
            .Panels.OrderByDescending(p => p.Panel.Centre.Map.Y)
            .Select(p => p.Painted!.StartCm)
            .ToArray();
        Assert.Equal((4, 12), (byPlace[0], byPlace[^1]));
        Assert.Equal(byPlace.Order(), byPlace);
    }

    [Fact]
    public void Alternate_panels_differ_from_every_neighbour_in_row_and_column()
    {
        var keys = In(Whole(), Zone.UpperBack).Select(p => p.Panel.Key).ToArray();
        var head = Whole().Apply(new AlternatePanels(keys, 5, 9));
        Each.Of(
            In(head, Zone.UpperBack),
            p => Assert.Equal((p.Panel.Key.Row + p.Panel.Key.Column) % 2 == 0 ? 5 : 9, p.Painted!.StartCm)
        );
        Each.Of(In(head, Zone.Crown), p => Assert.Equal(7, p.Painted!.StartCm));
    }

    [Fact]
    public void The_face_frame_is_raised_and_the_crown_dropped_by_so_much()
    {
        var head = Whole().Apply(new RaiseFaceFrame(2), new DropCrown(3));
        Assert.Equal(5, Start(head, Zone.FaceFrameLeft, Zone.FaceFrameRight), 1e-9);
        Assert.Equal(10, Start(head, Zone.Crown), 1e-9);
        Assert.Equal(7, Start(head, Zone.UpperBack), 1e-9);

        // Nothing starts in front of the scalp; a share of the length is made centimetres of it.
        Assert.Equal(0, Start(Whole().Apply(new RaiseFaceFrame(20)), Zone.FaceFrameLeft));
        var shared = Whole(Soft with { StartShare = 0.3 });
        Each.Of(
            In(shared.Apply(new DropCrown(1)), Zone.Crown),
            p => Assert.Equal(0.3 * p.Panel.LengthCm + 1, p.Painted!.StartCm, 1e-9)
        );
    }

    [Fact]
    public void One_side_of_the_part_is_painted_as_the_other_and_the_rest_stays()
    {
        var head = Whole()
            .Apply(
                new PaintZone(Zone.TopLeft, Soft with { StartCm = 4, Shape = new Shape.U(6) }),
                new MatchPart(Side.Left)
            );
        Each.Of(
            In(head, Zone.TopRight),
            p => Assert.Equal((4, ShapeKind.U), (p.Painted!.StartCm, p.Painted.Paint.Shape.Kind))
        );
        Assert.Equal(7, Start(head, Zone.SideRight));
        Assert.DoesNotContain(head.Findings, f => f.Kind == BlendFault.PartMismatch);
    }

    [Fact]
    public void The_hairline_is_cut_thinner_and_keeps_its_paint()
    {
        var head = Whole().Apply(new ThinHairline(5));
        Each.Of(
            ZoneFacts.All,
            z => Assert.Equal(ZoneFacts.IsHairline(z), head.Plan.Zones[z].Sections.ThicknessMm == 5)
        );
        Assert.True(In(head, Zone.FaceFrameLeft).Count() > In(Whole(), Zone.FaceFrameLeft).Count());
        Each.Of(head.Panels, p => Assert.NotEmpty(p.Coats));
    }

    private static (PlannedHead Before, PlannedHead After, Cutting Cutting) OnGrown(PlanEdit move)
    {
        var (looks, cutting) = Given.Looks(Grown);
        var before = PlannedHead.Of(looks, cutting, Plan.Fresh());
        foreach (var zone in ZoneFacts.All)
        {
            before = before.After(before.Plan.Apply(new PaintZone(zone, Soft), cutting).Plan, looks, cutting);
        }

        var applied = before.Plan.Apply(move, cutting);
        Assert.Empty(applied.Problems);
        return (before, before.After(applied.Plan, looks, cutting), cutting);
    }

    [Fact]
    public void As_many_pieces_are_followed_as_were_light_and_they_begin_above_them()
    {
        var (before, after, _) = OnGrown(new FollowOldPieces());
        Assert.Equal(0.5, In(after, [.. ZoneFacts.All]).Count() / (double)In(before, [.. ZoneFacts.All]).Count(), 0.01);
        Each.Of(In(after, [.. ZoneFacts.All]), p => Assert.True(p.Painted!.StartCm < 8));
    }

    [Trait("Category", "Long")]
    [Fact]
    public void Only_the_regrowth_is_touched_up_and_deposits_are_left_alone()
    {
        var (before, after, cutting) = OnGrown(new TouchUpRegrowth());
        Assert.Contains(before.AllFindings, f => f.Kind == BlendFault.Overlap);
        Assert.DoesNotContain(after.AllFindings, f => f.Kind == BlendFault.Overlap);
        Each.Of(In(after, [.. ZoneFacts.All]), p => Assert.Equal(9, p.Painted!.EndsAtCm, 1e-9));

        var keys = before.Panels.Take(3).Select(p => p.Panel.Key).ToArray();
        var deposit = (PanelPaint.Usual with { Formula = FormulaId.B }).In(ShapeKind.Reverse) with { BandCm = 20 };
        var plan = before.Plan.Apply(new SetFormula(Formula.Colouring(FormulaId.B, 4, 10, 30)), cutting).Plan;
        plan = plan.Apply(new AddCoat(keys, deposit), cutting).Plan.Apply(new TouchUpRegrowth(), cutting).Plan;
        Each.Of(keys, k => Assert.Equal(deposit, plan.Zones[k.Zone].Paint[k].Next));
    }

    [Fact]
    public void Marked_pieces_are_followed_where_they_lie_and_mirrored_when_the_part_has_moved()
    {
        var hair = Grown with
        {
            Marked = [new(MarkKind.OldLight, 5, -3, 3, StartCm: 8), new(MarkKind.OldDark, -6, -5, 2.5)],
        };
        var (looks, cutting) = Given.Looks(hair);
        var whole = PlannedHead.Of(
            looks,
            cutting,
            ZoneFacts.All.Aggregate(Plan.Fresh(), (p, z) => p.Apply(new PaintZone(z, Soft), cutting).Plan)
        );
        PlannedPanel[] After(PlanEdit move)
        {
            var applied = whole.Plan.Apply(move, cutting);
            Assert.Empty(applied.Problems);
            return In(whole.After(applied.Plan, looks, cutting), [.. ZoneFacts.All]).ToArray();
        }

        var followed = After(new FollowOldPieces());
        Each.Of(followed, p => Assert.InRange(p.Panel.Centre.Map.X, 2, 8));
        Each.Of(followed, p => Assert.Equal(2, p.Painted!.Paint.StartCm, 1e-9));
        Each.Of(After(new FollowOldPieces(Mirrored: true)), p => Assert.InRange(p.Panel.Centre.Map.X, -8, -2));
        Each.Of(After(new OnlyDarkPieces()), p => Assert.InRange(p.Panel.Centre.Map.X, -8.5, -3.5));

        var colour = whole.Plan.Apply(new SetFormula(Formula.Colouring(FormulaId.B, 6, 10, 30)), cutting).Plan;
        var softened = colour.Apply(new SoftenOldPieces(FormulaId.B), cutting);
        Assert.True(softened.Succeeded);
        Assert.Equal(
            followed.Length,
            softened.Plan.Zones.Values.SelectMany(z => z.Paint.Values).Count(p => p.Formula == FormulaId.B)
        );
        Assert.NotEmpty(whole.Plan.Apply(new SoftenOldPieces(FormulaId.A), cutting).Problems);
        Assert.NotEmpty(Whole().Plan.Apply(new OnlyDarkPieces(), Given.Cutting).Problems);

        // A piece that was coloured once falls as any other hair.
        Assert.Equal(Grown.AsItFalls(), hair.AsItFalls());
    }

    [Theory]
    [InlineData(FaceShape.Round)]
    [InlineData(FaceShape.Square)]
    [InlineData(FaceShape.Long)]
    [InlineData(FaceShape.Heart)]
    public void Contouring_keeps_depth_where_the_face_is_to_look_narrower_and_opens_it_elsewhere(FaceShape face)
    {
        var before = Whole();
        var edit = new Contour(face);
        var applied = before.Plan.Apply(edit, Given.Cutting);
        Assert.Empty(applied.Problems);
        Assert.Contains(Contour.Words(face), edit.Label().ToString(), StringComparison.Ordinal);
        double Start(Plan plan, PanelKey key) => plan.Zones[key.Zone].Of(key)!.StartOn(key, 30, plan.Seed);
        var moved = In(before, Zone.FaceFrameLeft)
            .OrderBy(p => p.Panel.Centre.Position.Y)
            .Select(p => Start(applied.Plan, p.Panel.Key) - Start(before.Plan, p.Panel.Key))
            .ToArray();
        var (jaw, brow) = (moved[0], moved[^1]);
        Assert.True(
            face switch
            {
                FaceShape.Round => brow < 0 && moved.Max() > 1,
                FaceShape.Square => jaw > 1.5 && brow < 0,
                FaceShape.Long => jaw > 0 && brow > 0 && moved.Min() < 0,
                _ => jaw < -1 && brow > 1,
            },
            string.Join(" ", moved.Select(m => m.ToString("0.0")))
        );

        // Behind it pieces step deeper.
        Each.Of(
            In(before, Zone.SideLeft),
            p => Assert.Equal(1.5, Start(applied.Plan, p.Panel.Key) - Start(before.Plan, p.Panel.Key), 0.01)
        );
    }

    [Fact]
    public void Without_old_light_there_is_nothing_to_follow()
    {
        Assert.NotEmpty(Whole().Plan.Apply(new FollowOldPieces(), Given.Cutting).Problems);
        Assert.NotEmpty(Whole().Plan.Apply(new TouchUpRegrowth(), Given.Cutting).Problems);
    }

    [Fact]
    public void What_is_left_out_is_not_moved()
    {
        var head = Whole()
            .Apply(
                new ExcludeZone(Zone.Crown, "a scar"),
                new DropCrown(3),
                new Taper(4, 12),
                new IncludeZone(Zone.Crown)
            );
        Assert.Equal(7, Start(head, Zone.Crown));
    }
}
