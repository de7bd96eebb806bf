using CsCheck;
using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Patterns;
using Wendro.Placement;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Lift;

/// <summary>
/// What is offered without being asked keeps to what hair can bear; the rules are written out here once more.
/// </summary>
public sealed class OfferTests
{
    private const int Clients = 1000;
    private static readonly DateTimeOffset Now = new(2030, 5, 4, 9, 0, 0, TimeSpan.Zero);

    private static readonly Gen<Band[]> AnyHistory =
        from treated in Gen.Bool
        from cut in Gen.Double[2, 12]
        from state in Gen.Enum<BandState>()
        from level in Gen.Double[2, 9]
        from porosity in Gen.Enum<Porosity>()
        select treated
            ? new[]
            {
                new Band(0, cut, BandState.Natural, new Level(4)),
                new Band(cut, 34, state, new Level(level), Porosity: porosity),
            }
            : [];

    private static readonly Gen<HairProfile> AnyClient =
        from level in Gen.Double[1, 9]
        from diameter in Gen.Enum<Diameter>()
        from porosity in Gen.Enum<Porosity>()
        from condition in Gen.Enum<Condition>()
        from history in AnyHistory
        from curl in Gen.Enum<Curl>()
        from own in Gen.Select(Gen.Bool, Gen.Double[0.6, 1.6], Gen.Double[-1, 1])
        select HairProfile.Usual with
        {
            NaturalLevel = new(level),
            Diameter = diameter,
            Porosity = porosity,
            Condition = condition,
            History = history,
            Curl = curl,
            Own = own.Item1 ? new OwnLift(own.Item2, own.Item3, 0.1, 0.2, 0) : null,
        };

    private static readonly Gen<Goal> AnyGoal =
        from ends in Gen.Double[3, 10]
        from face in Gen.Double[0, 2]
        select new Goal(face) { EndsLevel = new(ends) };

    private static bool IsDelicate(HairProfile hair) =>
        hair.Condition != Condition.Sound
        || hair.Porosity == Porosity.High
        || hair.Bands.Any(b => b.Porosity == Porosity.High);

    /// <summary>The limits, said again: what no offer goes beyond.</summary>
    private static void IsSafe(
        bool tested,
        bool delicate,
        Lightener lightener,
        double volume,
        Covering covering,
        bool heat
    )
    {
        var said = $"{lightener}, {volume} vol, {covering}, heat {heat}, tested {tested}, delicate {delicate}";
        Assert.False(volume >= 40 && (covering == Covering.Foil || heat), said);
        Assert.False(covering == Covering.Foil && volume > (tested ? 30 : 20), said);
        Assert.False(delicate && volume > 20, said);
        var clay = lightener is Lightener.Clay or Lightener.Half;
        Assert.False(clay && (covering == Covering.Foil || heat), said);
    }

    private static void IsSafe(HairProfile hair, Formula? formula, Covering covering)
    {
        if (formula is { Light: { } light })
        {
            IsSafe(
                hair.Own is not null,
                IsDelicate(hair),
                light.Lightener,
                formula.Volume.Value,
                covering,
                formula.LowHeat
            );
        }
    }

    [Fact]
    public void Remedies_say_what_they_change_reach_by_it_and_stay_within_the_limits() =>
        Gen.Select(Given.AnyLift, Gen.Double[2, 10], Gen.Bool)
            .Sample(
                (of, target, tested) =>
                {
                    var asked = of with
                    {
                        Volume = new(Math.Max(10, Math.Round(of.Volume.Value / 10) * 10)),
                        Own = tested ? new OwnLift(1, 0, 0.1, 0.2, 0) : null,
                    };
                    foreach (var remedy in Remedies.TimeTo(asked, new Level(target)).Remedies)
                    {
                        if (remedy.Change is not { } change)
                        {
                            Assert.Fail($"{remedy.Words} says no change");
                            return;
                        }

                        var changed = asked with
                        {
                            Lightener = change.Lightener ?? asked.Lightener,
                            Volume = new(change.Volume ?? asked.Volume.Value),
                            Covering = change.Covering ?? asked.Covering,
                            LowHeat = change.LowHeat ?? asked.LowHeat,
                            Coverage =
                                remedy.Kind is "coat" or "visits" || change is { Volume: not null, Covering: not null }
                                    ? 1
                                    : asked.Coverage,
                        };
                        IsSafe(
                            tested,
                            asked.Porosity == Porosity.High,
                            changed.Lightener,
                            changed.Volume.Value,
                            changed.Covering,
                            changed.LowHeat
                        );
                        if (remedy.Kind is "volume" or "lightener" or "heat" or "coat")
                        {
                            Assert.True(
                                new Lifting(changed).After(new(change.Minutes!.Value)).Value >= target - 1e-6,
                                remedy.Words
                            );
                        }
                    }
                },
                iter: Clients
            );

    [Fact]
    public void Of_two_remedies_the_milder_stands_first()
    {
        var of = new LiftCase(
            new Level(5),
            Diameter.Medium,
            Porosity.Normal,
            false,
            Lightener.Powder,
            new Volume(10),
            Covering.Open
        );
        var remedies = Remedies.TimeTo(of, new Level(7)).Remedies;
        Assert.True(remedies.Count > 2);
        double Harsh(Remedy r) =>
            new Way(
                LiftTables.Of(r.Change!.Lightener ?? of.Lightener),
                new(r.Change.Volume ?? of.Volume.Value),
                r.Change.Covering ?? of.Covering,
                r.Change.LowHeat ?? false
            ).Harshness;
        Assert.Equal(remedies.Select(Harsh).Order(), remedies.Select(Harsh));
    }

    [Fact]
    public void Verdicts_stay_within_the_limits_and_promise_no_more_than_a_test_has_shown() =>
        Gen.Select(AnyClient, AnyGoal)
            .Sample(
                (hair, goal) =>
                {
                    var tested = hair.Own is not null;
                    var verdict = Verdict.Of(hair, goal, Consultation.Fresh, 60, Now);
                    foreach (var visit in verdict.Visits)
                    {
                        var with = visit.With;
                        IsSafe(tested, IsDelicate(hair), with.Lightener, with.Volume, with.Covering, false);
                        var most =
                            tested ? 10
                            : with.Covering is Covering.Film or Covering.Foil ? 5
                            : 4;
                        Assert.True(visit.Promised <= visit.From + most + 1e-9, $"{visit.From} {visit.Promised}");
                        Assert.True(visit.Promised <= visit.Level.Level + 1e-9);
                        if (!tested)
                        {
                            Assert.True(visit.Promised <= visit.Level.Low + 1e-9);
                        }
                    }
                },
                iter: Clients
            );

    [Fact]
    public void What_is_tried_for_a_placement_stays_within_the_limits() =>
        AnyClient.Sample(
            hair =>
            {
                var plan = Plan.Fresh();
                foreach (var setting in Settings.For([Zone.UpperBack], plan, hair, HouseRules.Usual))
                {
                    foreach (var paint in setting.Paint?.Coats() ?? [])
                    {
                        IsSafe(hair, Settings.FormulaOf(paint.Formula, plan, hair), paint.Covering);
                    }
                }
            },
            iter: 60
        );

    [Trait("Category", "Long")]
    [Fact]
    public void Patterns_stay_within_the_limits_on_any_client() =>
        AnyClient.Sample(
            hair =>
            {
                var cutting = new Cutting(Given.Head, hair, _ => _ => hair.Cut.LongestCm);
                foreach (var pattern in StartingPatterns.All)
                {
                    var plan = Plan.Fresh()
                        .Apply(
                            new Together(
                                pattern
                                    .StepsFor(Plan.Fresh(), cutting, HouseRules.Usual)
                                    .SelectMany(step => step.Edits)
                                    .ToArray()
                            ),
                            cutting
                        )
                        .Plan;
                    foreach (var paint in plan.Zones.Values.SelectMany(z => z.Paint.Values).SelectMany(p => p.Coats()))
                    {
                        IsSafe(hair, plan.FormulaOf(paint.Formula), paint.Covering);
                    }
                }
            },
            iter: 6
        );

    [Trait("Category", "Long")]
    [Theory]
    [InlineData(3, Condition.Sound)]
    [InlineData(5, Condition.Sound)]
    [InlineData(4, Condition.Dry)]
    public void One_tap_fixes_stay_within_the_limits(double level, Condition condition)
    {
        var hair = HairProfile.Usual with { NaturalLevel = new(level), Condition = condition };
        var (looks, cutting) = Given.Looks(hair);
        foreach (var lightener in Enum.GetValues<Lightener>())
        {
            foreach (var covering in new[] { Covering.Open, Covering.Film })
            {
                var bare = PlannedHead.Of(looks, cutting, Plan.Fresh());
                var head = bare.After(
                    bare.Plan.Apply(
                        new Together([
                            new SetGoal(new Goal { EndsLevel = new(9) }),
                            new SetFormula(Formula.Lightening(FormulaId.A, lightener, 10, 30)),
                            new PaintZone(Zone.UpperBack, PanelPaint.Usual with { Covering = covering }),
                        ]),
                        cutting
                    ).Plan,
                    looks,
                    cutting
                );
                foreach (var finding in head.AllFindings)
                {
                    if (Fixes.For(finding, head, cutting) is { } fix)
                    {
                        var after = head.After(head.Plan.Apply(fix.Edit, cutting).Plan, looks, cutting);
                        foreach (var coat in after.Panels.SelectMany(p => p.Coats))
                        {
                            IsSafe(hair, coat.Formula, coat.Painted.Paint.Covering);
                        }
                    }
                }
            }
        }
    }

    [Theory]
    [InlineData(2, 0.85)]
    [InlineData(3, 0.85)]
    [InlineData(3.5, 0.885)]
    [InlineData(4, 0.92)]
    [InlineData(4.5, 0.96)]
    [InlineData(5, 1)]
    [InlineData(8, 1)]
    public void Dark_hair_gives_less_of_the_rated_lift(double level, double share) =>
        Assert.Equal(share, LiftTables.Darkness(new Level(level)), 1e-9);

    [Fact]
    public void A_film_is_dry_at_three_tenths_of_its_moisture()
    {
        LiftCase Of(Lightener lightener) =>
            new(new Level(5), Diameter.Medium, Porosity.Normal, false, lightener, new Volume(20), Covering.Open);
        Assert.Equal(48, new Lifting(Of(Lightener.Clay)).DriesAtMinutes(), 0.5);
        Assert.Equal(17, new Lifting(Of(Lightener.Powder)).DriesAtMinutes(), 0.5);
    }

    [Fact]
    public void A_formula_is_made_as_mild_as_is_offered()
    {
        var strong = Formula.Lightening(FormulaId.A, Lightener.Powder, 40, 40) with { LowHeat = true };
        var sound = new Offer(Tested: false, Delicate: false);
        Assert.Equal(20, sound.Within(strong, Covering.Foil).Volume.Value);
        Assert.Equal(30, sound.Within(strong, Covering.Film).Volume.Value);
        Assert.True(sound.Within(strong, Covering.Film).LowHeat);
        Assert.Equal(30, new Offer(true, false).Within(strong, Covering.Foil).Volume.Value);
        Assert.Equal(20, new Offer(true, true).Within(strong, Covering.Open).Volume.Value);
        var clay = Formula.Lightening(FormulaId.A, Lightener.Clay, 30, 40) with { LowHeat = true };
        Assert.False(sound.Within(clay, Covering.Open).LowHeat);
        Assert.False(sound.Allows(clay with { LowHeat = false }, Covering.Foil));
        Assert.True(sound.Allows(Formula.Colouring(FormulaId.B, 5, 40, 20), Covering.Foil));
    }

    [Fact]
    public void What_is_promised_is_bounded_until_a_strand_is_tested()
    {
        var forecast = new Forecast(8.2, 9, 9.8);
        var (untested, tested) = (new Offer(false, false), new Offer(true, false));
        Assert.Equal([4.0, 4.0, 5.0, 5.0], Enum.GetValues<Covering>().Select(untested.LevelsPromised));
        Assert.Equal(double.PositiveInfinity, tested.LevelsPromised(Covering.Open));
        // The lower edge, no more than four levels open and five covered, never below what it is.
        Assert.Equal(8.2, untested.Promised(5, forecast, Covering.Open), 1e-12);
        Assert.Equal(7, untested.Promised(3, forecast, Covering.Open), 1e-12);
        Assert.Equal(8, untested.Promised(3, forecast, Covering.Film), 1e-12);
        Assert.Equal(8.5, untested.Promised(8.5, forecast, Covering.Open), 1e-12);
        Assert.Equal(9, tested.Promised(3, forecast, Covering.Open), 1e-12);
    }

    [Fact]
    public void Strength_counts_most_then_covering_and_heat_then_how_fast_a_product_is()
    {
        double Of(Lightener lightener, double volume, Covering covering, bool heat = false) =>
            new Way(LiftTables.Of(lightener), new Volume(volume), covering, heat).Harshness;
        Assert.Equal(2 + 0.5 + 16.0 / 20, Of(Lightener.Cream, 20, Covering.Film), 1e-12);
        Assert.Equal(3 + 1.2 + 1, Of(Lightener.Powder, 30, Covering.Foil), 1e-12);
        Assert.Equal(1 + 0.3 + 1 + 16.0 / 26, Of(Lightener.Clay, 10, Covering.Mesh, heat: true), 1e-12);
        Assert.Equal(2 + 16.0 / 21, Of(Lightener.Half, 20, Covering.Open), 1e-12);
    }

    [Fact]
    public void Hair_with_one_porous_zone_is_delicate()
    {
        var sound = HairProfile.Usual;
        Assert.False(Offer.On(sound).Delicate);
        HairProfile With(params Porosity[] zones) =>
            sound with
            {
                ByZone = zones
                    .Select((p, i) => (Zone: (Zone)i, Own: new ZoneHair(Porosity: p)))
                    .ToDictionary(z => z.Zone, z => z.Own),
            };
        Assert.True(Offer.On(With(Porosity.Normal, Porosity.High)).Delicate);
        Assert.False(Offer.On(With(Porosity.Normal, Porosity.Low)).Delicate);
    }
}
