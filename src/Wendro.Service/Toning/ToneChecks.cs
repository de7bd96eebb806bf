using Wendro.Head;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>Checks how a head is to be toned. Total: any value gets a word, none an exception.</summary>
public static class ToneChecks
{
    /// <summary>Longest name of an area, characters.</summary>
    public const int LongestName = 30;

    /// <summary>Strongest developer a toner is mixed with, volume. Trade.</summary>
    public const double StrongestVolume = 20;

    /// <summary>What can't be taken, by field; nothing where all can.</summary>
    public static IReadOnlyList<Problem> Of(TonePlan? plan)
    {
        if (plan?.Areas is null)
        {
            return [new("areas", "This is needed.")];
        }

        var found = new List<Problem>();
        Problem.Known(found, "after", plan.After);
        if (plan.Areas.Count > TonePlan.Most)
        {
            found.Add(new("areas", $"At most {TonePlan.Most}."));
        }

        for (var i = 0; i < plan.Areas.Count; i++)
        {
            if (plan.Areas[i] is { } area)
            {
                Area(found, $"areas[{i}]", area);
            }
            else
            {
                found.Add(new($"areas[{i}]", "An area is needed."));
            }
        }

        foreach (var twice in plan.Areas.OfType<ToneArea>().GroupBy(a => a.Id).Where(a => a.Count() > 1))
        {
            found.Add(new("areas", $"Two areas have the number {twice.Key}."));
        }

        return found;
    }

    private static void Area(List<Problem> found, string at, ToneArea area)
    {
        if (area.Id < 1)
        {
            found.Add(new($"{at}.id", "1 or more."));
        }

        Problem.Text(found, $"{at}.name", area.Name, LongestName);
        Problem.Range(found, $"{at}.minutes", area.Minutes, ToneArea.LeastMinutes, ToneArea.MostMinutes, "min");
        Problem.Known(found, $"{at}.dryness", area.Dryness);
        Problem.Known(found, $"{at}.takes", area.Takes);
        if (area.Zones is { } zones && (zones.Count == 0 || zones.Any(z => !Enum.IsDefined(z))))
        {
            found.Add(new($"{at}.zones", "At least one zone, or nothing for all."));
        }

        if (area.Wanted is { } wanted)
        {
            found.AddRange(WithinAttribute.Outside(wanted, $"{at}.wanted"));
        }

        Stretch(found, $"{at}.along", area.Along);
        if (area.Bowl?.Shades?.Shades is not { } shades)
        {
            found.Add(new($"{at}.bowl", "This is needed."));
            return;
        }

        // A mean by parts needs shades that are shades.
        if (shades.Count == 0 || shades.Any(s => s is null || !(s.Parts > 0)))
        {
            found.Add(new($"{at}.bowl.shades", $"One to {ShadeMix.Most} shades, each above 0 parts."));
            return;
        }

        found.AddRange(
            FormulaChecks.Of(area.Bowl.For(area.Minutes)).Select(p => p with { Field = $"{at}.bowl.{p.Field}" })
        );
        if (area.Bowl.Volume > StrongestVolume)
        {
            found.Add(new($"{at}.bowl.volume", $"At most {StrongestVolume:0} vol: a toner finishes, it doesn't lift."));
        }
    }

    private static void Stretch(List<Problem> found, string at, ToneStretch? along)
    {
        if (along is null)
        {
            found.Add(new(at, "This is needed."));
            return;
        }

        found.AddRange(WithinAttribute.Outside(along, at));
        var (most, unit) = along.InShares ? (1.0, "of the length") : (ToneStretch.MostCm, "cm");
        Problem.Range(found, $"{at}.from", along.From, 0, most, unit);
        if (along.To is { } to)
        {
            Problem.Range(found, $"{at}.to", to, 0, most, unit);
            if (to <= along.From)
            {
                found.Add(new($"{at}.to", "It ends after it begins."));
            }
        }
    }
}
