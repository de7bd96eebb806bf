using Wendro.Blend;
using Wendro.Colour;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>Judges a toning before it is mixed. Thresholds are model assumptions where nothing else is said.</summary>
public static class ToneFindings
{
    /// <summary>Levels below what is wanted from which it is plainly too dark.</summary>
    private const double TooDarkBy = 0.7;

    /// <summary>Dull: so little colour, so far down.</summary>
    private const double MuddyChroma = 0.03,
        MuddyLevel = 6.5;

    /// <summary>Minutes after its end within which grabbing is told: nobody rinses to the second.</summary>
    private const int GrabsWithin = 3;

    /// <summary>Kept between rinsing and grabbing, minutes.</summary>
    private const int KeptBefore = 2;

    /// <summary>Shortest stay that can be watched and rinsed in time, minutes.</summary>
    private const double Watchable = 4;

    /// <summary>Minutes an area may stay longer than meant.</summary>
    private const double LongerBy = 2;

    /// <summary>A clear step of tone between neighbours, as far apart at one lightness, OKLab × 100.</summary>
    private const double ToneStep = 4;

    /// <summary>All of them, worst first.</summary>
    /// <param name="plan">How it is toned.</param>
    /// <param name="areas">What becomes of each area that takes hair.</param>
    /// <param name="clock">When each is put on.</param>
    /// <param name="shelf">What the studio owns.</param>
    public static IReadOnlyList<ToneFinding> Of(
        TonePlan plan,
        IReadOnlyList<AreaForecast> areas,
        ToneClock clock,
        IReadOnlyList<Product> shelf
    )
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(areas);
        ArgumentNullException.ThrowIfNull(clock);
        ArgumentNullException.ThrowIfNull(shelf);
        return areas
            .SelectMany(a => OfArea(plan, a, shelf))
            .Concat(StayingLonger(plan, clock))
            .Concat(WarmBesideCool(areas))
            .OrderBy(f => f.Severity)
            .ThenBy(f => f.Kind)
            .ToArray();
    }

    /// <summary>Whether all shades of a bowl are made for lighter hair than there is.</summary>
    internal static bool DoesNothing(ToneBowl bowl, double level) =>
        bowl.Shades.Shades.All(s => Toner.OnHair(level, s.Depth) <= 0);

    private static IEnumerable<ToneFinding> OfArea(TonePlan plan, AreaForecast f, IReadOnlyList<Product> shelf)
    {
        var area = f.Area;
        var depth = area.Bowl.Shades.Shades.Min(s => s.Depth.Value);
        if (DoesNothing(area.Bowl, f.RawLevel))
        {
            yield return new(
                ToneFault.DoesNothing,
                area.Id,
                Severity.Alarm,
                $"{area.Name}: the toner does nothing",
                $"Its lightest hair is {f.RawLevel:0.0}, the toner is made for {depth:0.#}: on hair a level darker "
                    + "than itself it does nothing.",
                "A toner goes on hair at its own depth or up to one level lighter; below, it fades to nothing over one "
                    + "level."
            );
            yield break;
        }

        foreach (var finding in Base(plan, f, shelf))
        {
            yield return finding;
        }

        var isMuddy = f.Colour.Chroma < MuddyChroma && f.Level < MuddyLevel && f.Lifted >= AreaForecast.CountsAsPiece;
        if (isMuddy)
        {
            yield return new(
                ToneFault.Muddy,
                area.Id,
                Severity.Caution,
                $"{area.Name} turns muddy",
                $"Lift stopped at {f.RawLevel:0.0}; so cool a toner leaves level {f.Level:0.0} with hardly any colour.",
                $"Below level {MuddyLevel:0.#} hair with less chroma than {MuddyChroma:0.00} reads dull, not cool."
            );
        }

        if (Grabs(plan, f) is { } grabs)
        {
            yield return grabs;
        }

        if (TooDark(plan, f) is { } dark)
        {
            yield return dark;
        }
        else if (!isMuddy && f.DeltaE > Oklch.HardlySeen && f.Lifted >= AreaForecast.CountsAsPiece)
        {
            yield return new(
                ToneFault.WarmthLeft,
                area.Id,
                Severity.Note,
                $"{area.Name} is not the tone wanted",
                $"{Sentence.Capital(f.Remaining)} is left; from wanted: {Oklch.Seen(f.DeltaE)} ({f.DeltaE:0.0}).",
                $"Toned {f.Toned} against wanted {f.Wanted}, ΔE OK × 100; under {Oklch.HardlySeen:0} is hardly seen."
            );
        }
    }

    /// <summary>What follows from what the bowl is based on, and how deep it is.</summary>
    private static IEnumerable<ToneFinding> Base(TonePlan plan, AreaForecast f, IReadOnlyList<Product> shelf)
    {
        var area = f.Area;
        if (area.Bowl.Base == ColourBase.Permanent && area.Bowl.Volume >= Deposit.LiftsFromVolume)
        {
            var weaker = shelf
                .OfType<DeveloperProduct>()
                .Select(d => d.Volume)
                .Where(v => v < Deposit.LiftsFromVolume)
                .OrderByDescending(v => v.Value)
                .Select(v => (Volume?)v)
                .FirstOrDefault();
            yield return new(
                ToneFault.WarmRoot,
                area.Id,
                Severity.Caution,
                $"{area.Name} may turn warm",
                $"A permanent colour with {area.Bowl.Volume.Value:0.#} vol lifts natural hair, warmly.",
                $"With {Deposit.LiftsFromVolume:0} vol or more it lifts hair that carries no colour by up to "
                    + $"{Deposit.MostLift:0} levels.",
                weaker is { } v ? $"Take {v.Value:0.#} vol" : null,
                weaker is { } w ? plan.With(area with { Bowl = area.Bowl with { Volume = w } }) : null
            );
        }

        if (
            f.Lifted >= AreaForecast.CountsAsPiece
            && f.RawLevel - area.Bowl.Shades.Level > ColourFindings.DarkerBy
            && !area.Bowl.Shades.BringsWarmth()
        )
        {
            var warm = Repigmented(plan, f, shelf);
            yield return new(
                ToneFault.FlatOrGreen,
                area.Id,
                Severity.Caution,
                $"{area.Name}: flat or green",
                $"The colour is {f.RawLevel - area.Bowl.Shades.Level:0.0} levels darker than the light hair it goes "
                    + "on, and its warmth is not put back.",
                $"More than {ColourFindings.DarkerBy:0} levels darker on lightened hair needs gold, copper or red "
                    + "beneath "
                    + "it, or in the bowl.",
                warm is null ? null : "Put the warmth back first",
                warm
            );
        }
    }

    private static ToneFinding? Grabs(TonePlan plan, AreaForecast f)
    {
        var area = f.Area;
        if (f.GrabsAt is not { } at || at > area.Minutes + GrabsWithin)
        {
            return null;
        }

        // Last, so that nothing holds up its rinsing; a bowl that can't be watched so long is the wrong one.
        var shorter = Math.Min(area.Minutes, at - KeptBefore);
        var last = plan with
        {
            Areas =
            [
                .. plan.Areas.Where(a => a.Id != area.Id),
                area with
                {
                    Minutes = new(Math.Max(ToneArea.LeastMinutes, shorter)),
                },
            ],
        };
        var isCure = shorter >= Watchable && last != plan;
        return new(
            ToneFault.Grabs,
            area.Id,
            at <= area.Minutes ? Severity.Alarm : Severity.Caution,
            $"{area.Name} grabs after {at} min",
            $"Its most porous, lightest hair is cooler or darker than wanted after {at} minutes; planned are "
                + $"{area.Minutes.Value:0.#}.",
            "Uptake is told by porosity, dryness and minutes; held against what is wanted there.",
            isCure ? $"Put it on last, {shorter:0} min" : null,
            isCure ? last : null
        );
    }

    private static ToneFinding? TooDark(TonePlan plan, AreaForecast f)
    {
        var area = f.Area;
        var wanted = LevelOfWanted(f);
        if (wanted - f.Level < TooDarkBy || f.Lifted < AreaForecast.CountsAsPiece)
        {
            return null;
        }

        var better = f.ByMinute.Where(m => m.Minute >= Watchable && m.Minute < area.Minutes).MinBy(m => m.DeltaE);
        var shorter = better is not null && better.DeltaE < f.DeltaE - Oklch.NotSeen ? better : null;
        return new(
            ToneFault.TooDark,
            area.Id,
            Severity.Caution,
            $"{area.Name} ends too dark",
            $"It ends at {f.Level:0.0}, {wanted - f.Level:0.0} below what is wanted there ({wanted:0.0}).",
            $"Told from {TooDarkBy:0.0} levels on. Raw it is {f.RawLevel:0.0}.",
            shorter is null ? null : $"Rinse it at {shorter.Minute} min",
            shorter is null ? null : plan.With(area with { Minutes = new(shorter.Minute) })
        );
    }

    /// <summary>How light the wanted colour is, as natural hair's levels are told.</summary>
    private static double LevelOfWanted(AreaForecast f)
    {
        var (low, high) = (Level.Darkest, Level.Lightest);
        for (var i = 0; i < 30; i++)
        {
            var middle = (low + high) / 2;
            var (r, g, b) = LevelColours.Linear(middle);
            (low, high) = Oklch.Of(r, g, b).Lightness < f.WantedColour.Lightness ? (middle, high) : (low, middle);
        }

        return low;
    }

    private static IEnumerable<ToneFinding> StayingLonger(TonePlan plan, ToneClock clock)
    {
        foreach (var slot in clock.Slots)
        {
            var area = plan.AreaOf(slot.Area)!;
            var longer = slot.StaysMinutes - area.Minutes;
            if (longer <= LongerBy)
            {
                continue;
            }

            var ordered = plan with { Areas = plan.Areas.OrderByDescending(a => a.Minutes.Value).ToArray() };
            var asLong = plan with
            {
                Areas = clock
                    .Slots.Select(s => plan.AreaOf(s.Area)! with { Minutes = Whole(s.StaysMinutes) })
                    .ToArray(),
            };
            yield return new(
                ToneFault.StaysLonger,
                area.Id,
                Severity.Caution,
                $"{area.Name} stays {longer:0} min longer",
                $"It is put on before what works as long or longer, and all is rinsed at once: {slot.StaysMinutes:0} "
                    + $"minutes instead of {area.Minutes.Value:0.#}.",
                "What works longest goes on first, porous ends last; each begins as late as the next allows.",
                ordered == plan ? $"Plan {Whole(slot.StaysMinutes).Value:0} min for it" : "Longest first",
                ordered == plan ? asLong : ordered
            );
        }
    }

    private static Minutes Whole(double minutes) =>
        new(Math.Clamp(Math.Round(minutes), ToneArea.LeastMinutes, ToneArea.MostMinutes));

    private static IEnumerable<ToneFinding> WarmBesideCool(IReadOnlyList<AreaForecast> areas)
    {
        for (var i = 0; i < areas.Count; i++)
        {
            for (var j = i + 1; j < areas.Count; j++)
            {
                var (a, b) = (areas[i], areas[j]);
                var apart = a.Colour.DeltaE(b.Colour with { Lightness = a.Colour.Lightness });
                if (apart >= ToneStep && a.Area.Wanted is null && b.Area.Wanted is null)
                {
                    yield return new(
                        ToneFault.WarmBesideCool,
                        b.Area.Id,
                        Severity.Note,
                        $"{a.Area.Name} and {b.Area.Name} are of two tones",
                        $"{a.Area.Name} ends {a.Remaining}, {b.Area.Name} {b.Remaining}: {apart:0.0} apart, and "
                            + "one tone was wished for.",
                        $"ΔE OK × 100 at one lightness, told from {ToneStep:0} on: under {Oklch.HardlySeen:0} is "
                            + "hardly "
                            + "seen."
                    );
                }
            }
        }
    }

    /// <summary>The plan with warmth laid first on the same hair; null where the shelf has none.</summary>
    private static TonePlan? Repigmented(TonePlan plan, AreaForecast f, IReadOnlyList<Product> shelf)
    {
        var area = f.Area;
        var warm = shelf
            .OfType<ShadeProduct>()
            .Where(p => ShadeMix.IsWarm(p.Reflect))
            .MinBy(p => Math.Abs(p.Depth - (area.Bowl.Shades.Level + 1)));
        if (warm is null || plan.Areas.Count >= TonePlan.Most)
        {
            return null;
        }

        var first = area with
        {
            Id = plan.Areas.Max(a => a.Id) + 1,
            Name = "Warmth first",
            Bowl = ToneBowl.Of(warm),
            Minutes = warm.Minutes,
        };
        var at = plan.Areas.ToList().FindIndex(a => a.Id == area.Id);
        return plan with { Areas = [.. plan.Areas.Take(at), first, .. plan.Areas.Skip(at)] };
    }
}
