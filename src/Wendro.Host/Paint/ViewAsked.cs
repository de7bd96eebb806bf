using System.Globalization;
using Wendro.Fall;
using Wendro.Head;
using Wendro.Host.Pipeline;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Host.Paint;

/// <summary>From where a head is looked at, read off an address.</summary>
internal static class ViewAsked
{
    /// <summary>The wear, the angle round the head and the tilt above eye height.</summary>
    public static (Wear Wear, int Angle, int Tilt) Of(string? wear, string? angle, string? tilt)
    {
        var problems = new List<Problem>();
        var which = Wear.Down;
        var known = Enum.GetNames<Wear>().Select(n => char.ToLowerInvariant(n[0]) + n[1..]).ToArray();
        if (wear is not null && (!known.Contains(wear) || !Enum.TryParse(wear, ignoreCase: true, out which)))
        {
            problems.Add(new("wear", $"One of {string.Join(", ", known)}."));
        }

        var degrees = 0;
        if (angle is not null && (!int.TryParse(angle, out degrees) || degrees is < -360 or > 360))
        {
            problems.Add(new("angle", "Whole degrees between −360 and 360."));
        }

        var above = View.UsualTilt;
        if (tilt is not null && (!int.TryParse(tilt, out above) || above is < View.LeastTilt or > View.MostTilt))
        {
            problems.Add(new("tilt", $"Whole degrees between {View.LeastTilt} and {View.MostTilt}."));
        }

        return problems.Count > 0 ? throw new BadInputException(problems) : (which, degrees, above);
    }

    /// <summary>How much closer, and where.</summary>
    public static Magnification CloserOf(string? closer, string? across, string? down)
    {
        var problems = new List<Problem>();
        byte Read(string? text, string field, int most, int usual)
        {
            if (text is null)
            {
                return (byte)usual;
            }

            if (int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n <= most)
            {
                return (byte)n;
            }

            problems.Add(new(field, $"Whole numbers between 0 and {most}."));
            return 0;
        }

        var (steps, x, y) = (
            Read(closer, "closer", Magnification.Most, 0),
            Read(across, "across", Magnification.Places, Magnification.Places / 2),
            Read(down, "down", Magnification.Places, Magnification.Places / 2)
        );
        return problems.Count > 0 ? throw new BadInputException(problems)
            : steps == 0 ? default
            : new(steps, x, y);
    }

    /// <summary>What is clipped up meanwhile; null for nothing.</summary>
    public static PinnedUp? PinnedOf(string? pinned, string? open, PlannedHead head)
    {
        if (pinned is null && open is null)
        {
            return null;
        }

        var zones = new HashSet<Zone>();
        foreach (var name in (pinned ?? string.Empty).Split(',', StringSplitOptions.RemoveEmptyEntries))
        {
            zones.Add(
                ZoneFacts
                    .All.Where(z => string.Equals(z.ToString(), name, StringComparison.OrdinalIgnoreCase))
                    .ToArray()
                    is [var zone]
                    ? zone
                    : throw new BadInputException([new Problem("pinned", "Zones, like nape,lowerBack.")])
            );
        }

        PanelKey? key = null;
        if (open is not null)
        {
            key =
                PanelKey.Parse(open)
                ?? throw new BadInputException([new Problem("open", "A panel, like upperBack/2/0.")]);
        }

        return head.Map.PinnedUp(zones, key, head.Panels) is { HoldsAny: true } up ? up : null;
    }
}
