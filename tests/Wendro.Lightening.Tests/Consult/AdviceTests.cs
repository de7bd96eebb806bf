using Wendro.Blend;
using Wendro.Consult;
using Wendro.Hair;

namespace Wendro.Tests.Consult;

/// <summary>Which way of working is advised, and what is said against each of the others.</summary>
public sealed class AdviceTests
{
    private const string Correction = "Correction with deposit first, then light beside it";
    private const string TouchUp = "Touch-up that follows the old pieces";
    private const string Express = "Express hairline";
    private const string Tips = "Tips only";
    private const string Scrunched = "Scrunched surface light";
    private const string Foiled = "Teased and foiled";
    private const string Film = "Freehand with film on the lower layers";
    private const string Open = "Freehand in open air";

    private static readonly DateTimeOffset Now = new(2031, 5, 6, 9, 0, 0, TimeSpan.Zero);
    private static readonly HairProfile Six = HairProfile.Usual with { NaturalLevel = new(6), Curl = Curl.Wavy };
    private static readonly Band Grown = new(0, 4, BandState.Natural, new(6));

    private static Verdict Of(
        HairProfile hair,
        double ends,
        double softness = 0.6,
        double minutesToday = 240,
        bool home = false
    ) =>
        Verdict.Of(
            hair,
            new Goal(RootSoftness: softness) { EndsLevel = new(ends) },
            new Consultation(MinutesToday: minutesToday, AtHome: home),
            50,
            Now
        );

    private static string? Against(Verdict verdict, string technique) =>
        verdict.RuledOut.SingleOrDefault(r => r.Technique == technique)?.Why;

    private static void Advises(Verdict verdict, string technique, params string[] patterns)
    {
        Assert.Equal(technique, verdict.Advised.Technique);
        Assert.Equal(patterns, verdict.Advised.Patterns);
        Assert.DoesNotContain(verdict.RuledOut, r => r.Technique == technique);
    }

    [Fact]
    public void Sound_wavy_hair_and_a_soft_goal_are_painted_in_open_air_and_the_others_say_why_not()
    {
        var verdict = Of(Six, 7.5);
        Advises(verdict, Open, "wide-narrow", "four-quarters", "thick-all-over", "heavy-front", "staggered-lines");
        Assert.Equal("It is reached in open air, with the softest edge.", verdict.Advised.Why);
        Assert.Equal("there are no old stripes to soften", Against(verdict, Correction));
        Assert.Equal("nothing was lightened before", Against(verdict, TouchUp));
        Assert.Equal("there is time for more", Against(verdict, Express));
        Assert.Equal("the hair is long (34 cm)", Against(verdict, Tips));
        Assert.Equal("the hair is wavy", Against(verdict, Scrunched));
        Assert.Equal("the wish is soft and 1.5 levels do not need foil", Against(verdict, Foiled));
        Assert.Equal("open air reaches it", Against(verdict, Film));
    }

    [Fact]
    public void Old_stripes_are_corrected_before_anything_else()
    {
        var striped = Six with { History = [Grown, new(4, 34, BandState.Lightened, new(9), 0.3)] };
        var verdict = Of(striped, 8);
        Advises(verdict, Correction, "lines-softened");
        Assert.Equal("the old light ends are not where they are wanted", Against(verdict, TouchUp));

        // A band that all strands share is no stripe, nor is a share of coloured strands.
        Assert.NotNull(
            Against(Of(Six with { History = [Grown, new(4, 34, BandState.Lightened, new(8))] }, 8), Correction)
        );
        Assert.NotNull(
            Against(Of(Six with { History = [Grown, new(4, 34, BandState.Coloured, new(5), 0.3)] }, 8), Correction)
        );
    }

    [Fact]
    public void Old_light_where_it_is_wanted_is_followed_and_far_from_it_is_not()
    {
        var old = Six with { History = [Grown, new(4, 34, BandState.Lightened, new(8))] };
        Advises(Of(old, 8.5), TouchUp, "regrowth-blend", "refresh-dark");
        Advises(Of(old with { GreyShare = 0.31 }, 8.5), TouchUp, "grey-blend", "regrowth-blend", "refresh-dark");
        Advises(Of(old with { GreyShare = 0.3 }, 8.5), TouchUp, "regrowth-blend", "refresh-dark");
        Assert.Equal("the old light ends are not where they are wanted", Against(Of(old, 8.6), TouchUp));
    }

    [Fact]
    public void The_hairline_alone_where_the_time_is_short_and_the_visit_would_not_fit()
    {
        var verdict = Of(Six, 7.5, minutesToday: 90);
        Advises(verdict, Express, "hairline-express", "face-block");
        Assert.Equal("There are 90 min: the hairline alone shows at once.", verdict.Advised.Why);
        Assert.NotNull(Against(Of(Six, 7.5, minutesToday: 91), Express));

        // What fits exactly is not late; an hour and a half is enough where nothing needs lifting.
        Assert.NotNull(
            Against(Verdict.Of(Six, new Goal { EndsLevel = new(6) }, new(MinutesToday: 90), 30, Now), Express)
        );
        Assert.NotNull(
            Against(Verdict.Of(Six, new Goal { EndsLevel = new(6) }, new(MinutesToday: 90), 20, Now), Express)
        );
    }

    [Fact]
    public void Tips_are_for_short_hair_at_home()
    {
        var bob = Six with { Cut = new(21.9) };
        var verdict = Of(bob, 7.5, home: true);
        Advises(verdict, Tips, "tips-at-home");
        Assert.Equal("a studio can do more", Against(Of(bob, 7.5), Tips));
        Assert.Equal("the hair is long (22 cm)", Against(Of(Six with { Cut = new(22) }, 7.5, home: true), Tips));
    }

    [Theory]
    [InlineData(Curl.Curly)]
    [InlineData(Curl.Coily)]
    public void Curls_are_expanded_and_scrunched(Curl curl) =>
        Advises(Of(Six with { Curl = curl }, 7.5), Scrunched, "curl-shell");

    [Fact]
    public void Worn_straight_and_very_soft_is_teased_and_foiled_to_hide_where_it_begins()
    {
        var verdict = Of(Six with { Curl = Curl.Straight }, 7.5, softness: 0.5);
        Advises(verdict, Foiled, "high-low-foil", "zigzag-quadrants");
        Assert.StartsWith("Worn straight every edge shows", verdict.Advised.Why, StringComparison.Ordinal);
        Assert.DoesNotContain("Coarse", verdict.Advised.Why, StringComparison.Ordinal);
        Assert.Equal(Open, Of(Six with { Curl = Curl.Straight }, 7.5, softness: 0.51).Advised.Technique);
        Assert.EndsWith(
            " Coarse hair lifts slowly: give it time.",
            Of(Six with { Curl = Curl.Straight, Diameter = Diameter.Coarse }, 7.5, softness: 0.5).Advised.Why,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void A_crisp_goal_says_only_that_foil_is_not_needed()
    {
        Assert.Equal("the wish is soft and 1.5 levels do not need foil", Against(Of(Six, 7.5, softness: 0.8), Foiled));
        Assert.Equal("it is reached without foil", Against(Of(Six, 7.5, softness: 0.81), Foiled));
    }

    [Fact]
    public void What_open_air_does_not_reach_is_done_under_film_and_what_film_does_not_in_foil()
    {
        // Coarse dark hair: further and further up, each covering has its turn, and the one before says why not.
        var dark = Six with
        {
            NaturalLevel = new(4),
            Diameter = Diameter.Coarse,
        };
        var byGoal = Enumerable
            .Range(0, 51)
            .Select(i => Of(dark, 4.5 + i * 0.1))
            .Where(v => v.Visits.Count > 0)
            .ToArray();
        foreach (var verdict in byGoal)
        {
            var covering = verdict.Visits[0].With.Covering;
            var technique = covering switch
            {
                Wendro.Paint.Covering.Open => Open,
                Wendro.Paint.Covering.Film => Film,
                _ => Foiled,
            };
            Assert.Equal(technique, verdict.Advised.Technique);
            Assert.EndsWith("give it time.", verdict.Advised.Why, StringComparison.Ordinal);
            Assert.Equal(
                covering == Wendro.Paint.Covering.Open ? null : "it dries before the level is reached",
                Against(verdict, Open)
            );
            Assert.Equal(
                technique switch
                {
                    Open => "open air reaches it",
                    Film => null,
                    _ => "film is not enough: it dries first",
                },
                Against(verdict, Film)
            );
        }

        Assert.Contains(byGoal, v => v.Advised.Technique == Open);
        Assert.Contains(byGoal, v => v.Advised is { Technique: Film, Patterns: ["quiet-dark", "oval-out"] });
        Assert.Contains(
            byGoal,
            v =>
                v.Advised.Technique == Foiled
                && v.Advised.Why.Contains("need the heat and moisture of foil", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Much_grey_is_blended_and_its_share_is_said()
    {
        var verdict = Of(Six with { GreyShare = 0.45 }, 7.5);
        Advises(verdict, Open, "grey-blend", "wide-narrow", "four-quarters");
        Assert.Equal("It is reached in open air; 45 % grey blends with fine pieces.", verdict.Advised.Why);
    }
}
