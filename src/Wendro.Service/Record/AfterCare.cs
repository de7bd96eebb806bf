using Wendro.Care;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Plans;
using Wendro.Toning;
using Wendro.Units;

namespace Wendro.Record;

/// <summary>What the client does at home, in plain words, out of what was done to her hair.</summary>
public static class AfterCare
{
    /// <summary>Lifted so far, hair wants more care, levels. Model assumption.</summary>
    private const double Far = 3;

    /// <summary>From this level on yellow is what shows first. Source: trade.</summary>
    private const double YellowFrom = 8;

    /// <summary>The lines, in the order they are told.</summary>
    /// <param name="head">The head as it was served.</param>
    /// <param name="lifted">How far its light hair was lifted, levels, where it was lifted most.</param>
    /// <param name="lightest">Level of its light hair at the ends; null where none is light.</param>
    /// <param name="toned">How it was toned.</param>
    /// <param name="tones">What was put on it, by reflect.</param>
    /// <param name="next">When she is to come again, the soonest first.</param>
    public static IReadOnlyList<Sentence> Of(
        PlannedHead head,
        double lifted,
        double? lightest,
        TonePlan toned,
        IReadOnlyCollection<Reflect> tones,
        IReadOnlyList<ServiceInterval> next
    )
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(toned);
        ArgumentNullException.ThrowIfNull(tones);
        ArgumentNullException.ThrowIfNull(next);
        var hair = head.Hair;
        var said = new List<Sentence>();
        if (lifted > 0.5)
        {
            said.Add($"Your light pieces were lifted by about {Math.Round(lifted)} levels.");
        }

        if (toned.Areas.Count > 0)
        {
            said.Add("Wait two days before the first wash: the toner settles.");
            said.Add("Wash with lukewarm water and a mild shampoo for coloured hair, two or three times a week.");
        }
        else if (lifted > 0.5)
        {
            said.Add("Wash with lukewarm water and a mild shampoo, two or three times a week.");
        }

        if (lightest >= YellowFrom && !tones.Any(ShadeMix.IsWarm))
        {
            said.Add(
                "If yellow shows: a violet shampoo instead of every fourth wash, two minutes, no longer. It covers, "
                    + "it does not repair."
            );
        }

        if (tones.Any(t => t is Reflect.Copper or Reflect.Red))
        {
            said.Add("Copper and red fade first: cool water, few washes, no strong sun without a scarf.");
        }

        if (tones.Any(t => t is Reflect.Gold or Reflect.Beige))
        {
            said.Add("No violet shampoo: it takes the warmth away that was wanted.");
        }

        if (lifted >= Far || hair.Porosity == Porosity.High)
        {
            said.Add("Your hair takes up more now, and loses it sooner: a mask every week, conditioner every wash.");
        }

        if (hair.Condition == Condition.Breaking)
        {
            said.Add("It breaks easily: no heat, no tight ties for four weeks, and come in for a treatment.");
        }
        else
        {
            said.Add(
                hair.Condition == Condition.Dry || lifted >= Far
                    ? "Dry it by air where you can; heat tools not above 160 °C, and never without protection."
                    : "Heat tools not above 180 °C, and never without protection."
            );
        }

        if (hair.Curl is Curl.Curly or Curl.Coily)
        {
            said.Add("Comb curls wet, with conditioner in, from the ends upwards.");
        }

        said.Add("Before the pool or the sea: wet your hair with clear water and put conditioner in; rinse it after.");
        said.Add(
            "If your scalp itches, burns or swells: rinse with plenty of water and see a doctor. If the face swells or "
                + "breathing is hard, call the emergency number."
        );
        if (next.FirstOrDefault(n => n.Kind != ServiceKind.Cut) is { } soonest)
        {
            said.Add($"Come again in about {Math.Round(soonest.Weeks)} weeks.");
        }

        return said;
    }
}
