using System.Globalization;
using Wendro.Blend;
using Wendro.Host.Pipeline;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Host.Paint;

/// <summary>When hair is looked at, read off an address.</summary>
internal static class MomentAsked
{
    /// <summary>After a step, like s1, or at a minute of it, like s2m20; steps from 1.</summary>
    private static Moment InStep(string moment)
    {
        var parts = moment[1..].Split('m');
        if (
            parts.Length > 2
            || !int.TryParse(parts[0], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            || number is < 1 or > Step.Most
        )
        {
            throw new BadInputException([new Problem("moment", $"Steps between 1 and {Step.Most}, like s1 or s2m20.")]);
        }

        return parts.Length == 1 ? Moment.After(number - 1)
            : double.TryParse(parts[1], out var minutes) && Minutes.IsValid(minutes)
                ? Moment.Within(number - 1, new Minutes(minutes))
            : throw new BadInputException([new Problem("moment", "Minutes between 0 and 600, like s2m20.")]);
    }

    /// <summary>Minutes alone are those of the panels' own step.</summary>
    private static Moment AtMinute(Minutes minutes, Plan plan) =>
        plan.Steps is { } steps ? Moment.Within(steps.ToList().FindIndex(s => s.IsMain), minutes) : Moment.At(minutes);

    /// <summary>before, rinsed, minutes, after a step like s1, minutes of a step (s2m20), or weeks (12w).</summary>
    public static Moment Of(string? moment, Plan plan) =>
        moment switch
        {
            null or "rinsed" => Moment.Rinsed,
            "before" => Moment.Before,
            _ when moment.StartsWith('s') => InStep(moment),
            _ when moment.EndsWith('w') => double.TryParse(moment[..^1], out var weeks)
            && weeks is >= 0 and <= Moment.MostWeeks
                ? Moment.Later(weeks)
                : throw new BadInputException([
                    new Problem("moment", $"Weeks between 0 and {Moment.MostWeeks}, like 12w."),
                ]),
            _ => double.TryParse(moment, out var minutes) && Minutes.IsValid(minutes)
                ? AtMinute(new Minutes(minutes), plan)
                : throw new BadInputException([
                    new Problem(
                        "moment",
                        "One of before, rinsed, minutes, or weeks of growth like 12w between 0 and 600."
                    ),
                ]),
        };
}
