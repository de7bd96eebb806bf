using CsCheck;
using Wendro.Apply;
using Wendro.Colour;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Section;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Tests.Record;

public class KeepRulesTests
{
    private static readonly Piece Square = new(
        [new(0, 0), new(4, 0), new(4, 2), new(0, 2)],
        [new(0, 8, BandState.Natural, new(5)), new(8, 34, BandState.Lightened, new(8), 0.5)],
        [0, 0, 1, 1]
    );

    private static readonly PlannedHead Light = PlannedHead.Of(
        Given.Usual,
        Given.Cutting,
        Given
            .Bare.Plan.Apply(
                new PaintZone(Zone.UpperBack, new PanelPaint(Shape.Usual(ShapeKind.V, 5), 6, 4, 5, 7)),
                Given.Cutting
            )
            .Plan
    );

    [Fact]
    public void A_piece_holds_what_lies_in_it_and_knows_how_deep()
    {
        Gen.Select(Gen.Double[0.01, 3.99], Gen.Double[0.01, 1.99])
            .Sample(
                (x, y) =>
                {
                    Assert.True(Square.Holds(new(x, y)));
                    Assert.Equal(y / 2, Square.DepthOf(new(x, y))!.Value, 1e-6);
                }
            );
        Gen.Select(Gen.Double[-5, 9], Gen.Double[-5, 7])
            .Where((x, y) => x < 0 || x > 4 || y < 0 || y > 2)
            .Sample((x, y) => Assert.False(Square.Holds(new(x, y))));
        Assert.Null((Square with { Depths = null }).DepthOf(new(1, 1)));
    }

    [Fact]
    public void Of_pieces_that_overlap_the_first_counts_and_between_them_what_is_told()
    {
        var under = Square with { Bands = [new(0, 34, BandState.Coloured, new(4))] };
        var pieces = new Pieces([new(0, 34, BandState.Coloured, new(3))], [Square, under]);
        Assert.Equal(Square.Bands, pieces.BandsAt(new(1, 1)));
        Assert.Equal(pieces.Between, pieces.BandsAt(new(9, 9)));
        var hair = HairProfile.Usual with { Pieces = pieces };
        Assert.Equal(Square.Bands, hair.At(Zone.UpperBack, new(1, 1)).Bands);
        Assert.Null(hair.AsItFalls().Pieces);
        Assert.Equal(HairProfile.Usual.AsItFalls(), hair.AsItFalls());
        Assert.NotEqual(HairProfile.Usual, hair);
    }

    [Fact]
    public void What_can_t_be_a_piece_is_told_by_field()
    {
        (Piece Piece, string Field)[] wrong =
        [
            (Square with { Outline = [new(0, 0), new(1, 1)], Depths = null }, "pieces.all[0]"),
            (Square with { Outline = [new(0, 0), new(double.NaN, 1), new(1, 0)], Depths = null }, "outline"),
            (Square with { Depths = [0, 1] }, "depths"),
            (Square with { Depths = [0, 0, 1, 1.5] }, "depths"),
            (Square with { Bands = [] }, "pieces.all[0]"),
            (Square with { Bands = [new(3, 8, BandState.Natural, new(5))] }, "bands[0].fromCm"),
            (Square with { Bands = [new(0, 80, BandState.Natural, new(5))] }, "bands[0].toCm"),
        ];
        Each.Of(
            wrong,
            w =>
                Assert.Contains(
                    w.Field,
                    Assert.Single(ConsultChecks.Of(HairProfile.Usual with { Pieces = new([], [w.Piece]) })).Field,
                    StringComparison.Ordinal
                )
        );
        Assert.Empty(ConsultChecks.Of(HairProfile.Usual with { Pieces = new([], [Square]) }));
    }

    [Fact]
    public void Hair_cut_shorter_takes_its_pieces_with_it()
    {
        var cut = (
            HairProfile.Usual with
            {
                Pieces = new([], [Square]),
                Cut = HairProfile.Usual.Cut with { HemCm = 20 },
            }
        ).PiecesCut();
        Assert.Equal(20, cut.Pieces!.All[0].Bands[^1].ToCm);
        Assert.Empty(ConsultChecks.Of(cut));
    }

    [Fact]
    public void Each_service_that_was_done_is_due_in_its_own_time_and_none_that_was_not()
    {
        var none = ServiceInterval.Of(Given.Bare, Given.Bare.Measures, TonePlan.Nothing);
        Assert.Equal(ServiceKind.Cut, Assert.Single(none).Kind);
        var shade = new ToneBowl(new([new("Pearl", new(9), Reflect.Pearl, 1)]), ColourBase.Gloss, new(10), 2);
        var toned = new TonePlan([new(1, "Ends", ToneStretch.Whole, shade, new(10))]);
        var due = ServiceInterval.Of(Light, Light.Measures, toned);
        Assert.Equal(due.OrderBy(d => d.Weeks).Select(d => d.Kind), due.Select(d => d.Kind));
        Assert.Equal([ServiceKind.Light, ServiceKind.Gloss, ServiceKind.Cut], due.Select(d => d.Kind).Order());
        Assert.Equal(Light.Measures.RegrowthWeeks, due.Single(d => d.Kind == ServiceKind.Light).Weeks);
        var porous = PlannedHead.Of(
            Given.Usual,
            new Cutting(
                Given.Head,
                HairProfile.Usual with
                {
                    Porosity = Porosity.High,
                },
                _ => Given.Usual.OnHead.LengthAt
            ),
            Light.Plan
        );
        Assert.True(
            ServiceInterval.Of(porous, porous.Measures, toned).Single(d => d.Kind == ServiceKind.Gloss).Weeks
                < due.Single(d => d.Kind == ServiceKind.Gloss).Weeks
        );
    }

    private static string Care(
        double lifted,
        double? lightest,
        Condition condition = Condition.Sound,
        params Reflect[] tones
    )
    {
        var hair = HairProfile.Usual with { Condition = condition };
        var head = PlannedHead.Of(
            Given.Usual,
            new Cutting(Given.Head, hair, _ => Given.Usual.OnHead.LengthAt),
            Light.Plan
        );
        return string.Join(' ', AfterCare.Of(head, lifted, lightest, TonePlan.Nothing, tones, []));
    }

    [Fact]
    public void After_care_follows_from_what_was_done_and_always_says_when_to_see_a_doctor()
    {
        Assert.Contains("about 4 levels", Care(4.2, 9), StringComparison.Ordinal);
        Assert.Contains("violet shampoo instead", Care(4, 9), StringComparison.Ordinal);
        Assert.DoesNotContain("violet shampoo instead", Care(2, 7), StringComparison.Ordinal);
        // What was wanted warm is not taken away.
        Assert.DoesNotContain("violet shampoo instead", Care(4, 9, tones: Reflect.Gold), StringComparison.Ordinal);
        Assert.Contains("No violet shampoo", Care(4, 9, tones: Reflect.Gold), StringComparison.Ordinal);
        Assert.Contains("fade first", Care(3, 8, tones: Reflect.Copper), StringComparison.Ordinal);
        Assert.Contains("no heat", Care(3, 8, Condition.Breaking), StringComparison.Ordinal);
        Assert.DoesNotContain("Heat tools", Care(3, 8, Condition.Breaking), StringComparison.Ordinal);
        Each.Of(
            [Care(0, null), Care(5, 10), Care(3, 8, Condition.Breaking)],
            c => Assert.Contains("see a doctor", c, StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Of_what_is_said_the_last_counts_and_can_be_taken_back()
    {
        var at = DateTimeOffset.UnixEpoch;
        RecordFact[] said =
        [
            new WordsSaid("first"),
            new WordsSaid(" last "),
            new StyledSaid("waved"),
            new StyledSaid(""),
            new CareWorded("own"),
            new CareWorded(null),
            new CareGiven(),
            new VisitClosed(),
            new VisitClosed(false),
        ];
        var kept = RecordInHand.Of(
            said.Select((f, i) => new RecordedFact<RecordFact>(i + 1, at.AddMinutes(i), f)).ToArray()
        );
        Assert.Equal(("last", null, null, false), (kept.Words, kept.Styled, kept.Care, kept.IsDone));
        Assert.Equal(at.AddMinutes(6), kept.CareGivenAt);
        Assert.NotEmpty(RecordInHand.Against(new WordsSaid(new string('x', RecordFact.Longest + 1))));
        Assert.NotEmpty(RecordInHand.Against(new CareWorded(new string('x', RecordFact.LongestCare + 1))));
        Assert.Empty(RecordInHand.Against(new CareWorded(null)));
    }

    private static VisitSum Sum(double? error, double? cost, double grams) =>
        new(120, new Dictionary<string, double> { ["Clay"] = grams }, cost, error, 40, "As planned.");

    [Fact]
    public void A_year_is_the_sum_of_its_visits_and_months_without_any_are_there()
    {
        var months = MonthSum.Of([
            (new(2031, 11, 3), Sum(0.4, 10, 50)),
            (new(2031, 11, 28), Sum(0.2, null, 70)),
            (new(2032, 1, 5), Sum(null, null, 30)),
        ]);
        Assert.Equal([(2031, 11), (2031, 12), (2032, 1)], months.Select(m => (m.Year, m.Month)));
        Assert.Equal((2, 4.0, 120.0, 10.0), (months[0].Visits, months[0].ChairHours, months[0].Grams, months[0].Cost));
        Assert.Equal(0.3, months[0].ForecastError!.Value, 1e-9);
        Assert.Equal((0, null), (months[1].Visits, months[1].Cost));
        Assert.Null(months[2].ForecastError);
        Assert.Empty(MonthSum.Of([]));
    }

    [Fact]
    public void Months_add_up_to_all_that_was_poured_whatever_the_dates() =>
        Gen.Select(Gen.Int[0, 3000], Gen.Double[0, 200])
            .Array[0, 40]
            .Sample(visits =>
            {
                var told = visits.Select(v => (new DateTime(2025, 1, 1).AddDays(v.Item1), Sum(null, null, v.Item2)));
                var months = MonthSum.Of(told.ToArray());
                Assert.Equal(visits.Length, months.Sum(m => m.Visits));
                Assert.Equal(visits.Sum(v => v.Item2), months.Sum(m => m.Grams), 1e-6);
                Assert.Equal(
                    months.Select(m => m.Year * 12 + m.Month).Order().Distinct(),
                    months.Select(m => m.Year * 12 + m.Month)
                );
            });

    [Fact]
    public void What_runs_out_first_is_ordered_first_and_what_lasts_is_not()
    {
        var order = ToOrder.Of(
            new Dictionary<string, double>
            {
                ["Clay"] = 100,
                ["Developer"] = 40,
                ["Powder"] = 900,
                ["Cream"] = 0,
            },
            new Dictionary<string, double>
            {
                ["Clay"] = 400,
                ["Developer"] = 400,
                ["Powder"] = 80,
                ["Gone"] = 50,
                ["Cream"] = 0,
            }
        );
        Assert.Equal(["Developer", "Clay"], order.Select(o => o.Product));
        Assert.Equal((50.0, 2.0), (order[1].GramsAWeek, order[1].WeeksLeft));
    }

    [Fact]
    public void Nobody_sits_where_somebody_sits_and_no_more_chairs_are_taken_than_needed() =>
        Gen.Select(Gen.Int[0, 600], Gen.Int[0, 240])
            .Array[0, 30]
            .Sample(told =>
            {
                var day = DateTimeOffset.UnixEpoch;
                var visits = told.OrderBy(v => v.Item1)
                    .Select(v => (StartsAt: day.AddMinutes(v.Item1), Minutes: (double)v.Item2))
                    .ToArray();
                var chairs = ChairAllocation.Of(visits);
                Assert.Equal(visits.Length, chairs.Count);
                var most = 0;
                for (var i = 0; i < visits.Length; i++)
                {
                    var there = Enumerable
                        .Range(0, i)
                        .Where(j => visits[j].StartsAt.AddMinutes(visits[j].Minutes) > visits[i].StartsAt)
                        .ToArray();
                    Assert.DoesNotContain(there, j => chairs[j] == chairs[i]);
                    most = Math.Max(most, there.Length + 1);
                }

                Assert.Equal(most, chairs.DefaultIfEmpty().Max());
            });

    [Fact]
    public void A_sum_keeps_what_was_promised_but_not_why_nothing_was_done()
    {
        var record = new VisitRecord(
            null,
            null,
            null,
            [],
            [],
            [],
            [],
            "As planned.",
            [],
            "One pair of hands.",
            [],
            null,
            "Today level 7.",
            []
        );
        Assert.Equal("Today level 7.", VisitSum.Of(record, []).Promised);
        Assert.Null(VisitSum.Of(record, [], isStopped: true).Promised);
        Assert.NotEqual(VisitSum.Of(record, []), VisitSum.Of(record, [], isStopped: true));
    }

    [Fact]
    public void The_record_says_where_two_painted()
    {
        static PanelKey Panel(Zone zone, int n) => new(zone, n, 0);
        IReadOnlyList<StepToDo> steps =
        [
            new([Panel(Zone.Nape, 0), Panel(Zone.Nape, 1), Panel(Zone.SideLeft, 0), Panel(Zone.Crown, 0)]),
        ];
        (double Minute, ServiceFact Fact)[] said =
        [
            (0, new Seated()),
            (2, new Wendro.Apply.Painted(Panel(Zone.Nape, 0))),
            (3, new AssistantChanged(2)),
            (5, new PaintedUpTo(Panel(Zone.SideLeft, 0))),
            (6, new AssistantChanged(2, Help.Mixes)),
            (8, new Wendro.Apply.Painted(Panel(Zone.Crown, 0))),
        ];
        var at = new DateTimeOffset(2031, 5, 6, 12, 0, 0, TimeSpan.Zero);
        var facts = said.Select((f, i) => new RecordedFact<ServiceFact>(i + 1, at.AddMinutes(f.Minute), f.Fact))
            .ToArray();
        Assert.Equal(
            "A second pair of hands painted a side, mixed. Painted while there were two: nape, left side.",
            VisitRecord.HandsOf(facts, ServiceInHand.Of(steps, facts))
        );
        Assert.Equal("One pair of hands.", VisitRecord.HandsOf(facts[..2], ServiceInHand.Of(steps, facts[..2])));
    }
}
