using Wendro.Hair;
using Wendro.Head;

namespace Wendro.Section;

/// <summary>A part of the scalp that is left out whatever zones it lies in.</summary>
public enum Region
{
    /// <summary>A strip along both sides of the part: the top layer falls natural over everything.</summary>
    Veil,

    /// <summary>An oval on top of the head, round the crown.</summary>
    Oval,

    /// <summary>A teardrop on top: its point at the front hairline, its round end behind the crown.</summary>
    Teardrop,

    /// <summary>The fine hair along the front hairline.</summary>
    BabyHair,
}

/// <summary>Who left something out: what a hand left out stays out until a hand takes it in.</summary>
public enum LeftOutBy
{
    /// <summary>Somebody, for a reason of her own, or the house's rule.</summary>
    Hand,

    /// <summary>How much of the head is worked; another reach takes it in again.</summary>
    Reach,

    /// <summary>A pattern; the next pattern takes it in again.</summary>
    Pattern,
}

/// <summary>A region left out, and why.</summary>
/// <param name="Region">Which.</param>
/// <param name="SizeCm">Veil: depth each side of the part; oval and teardrop: half their greatest width; baby hair:
/// depth from the hairline. cm, 0.2..7.</param>
/// <param name="Reason">Why.</param>
/// <param name="By">Who left it out.</param>
public sealed record LeftOut(Region Region, double SizeCm, string Reason, LeftOutBy By = LeftOutBy.Hand)
{
    /// <summary>Least and most a region's size can be, cm.</summary>
    public const double LeastCm = 0.2,
        MostCm = 7;

    private const double TopCm = 1.5;

    /// <summary>
    /// How far a place of a zone lies outside the region, negative inside; null where the region does not reach the
    /// zone.
    /// </summary>
    internal Func<ScalpPoint, double>? Outside(Zone zone, PartLine part) =>
        Region switch
        {
            Region.Veil when ZoneFacts.IsTop(zone) => p =>
                (ZoneFacts.IsLeft(zone) ? 1 : -1) * Zones.FromPart(p, part) - SizeCm,
            Region.Oval when !ZoneFacts.IsFaceFrame(zone) => p => OvalOf(p),
            Region.Teardrop => p => TeardropOf(p),
            Region.BabyHair when ZoneFacts.IsHairline(zone) => p => p.FromHairlineCm - SizeCm,
            Region.Veil or Region.Oval or Region.BabyHair => null,
        };

    /// <summary>The middle of a region that has one and could lie wholly within a zone; null for a strip.</summary>
    internal MapPoint? Middle => Region is Region.Oval or Region.Teardrop ? new MapPoint(0, TopCm) : null;

    /// <summary>Half again as long as it is wide; its middle a little before the crown.</summary>
    private double OvalOf(in ScalpPoint p)
    {
        var (x, y) = (p.Map.X / SizeCm, (p.Map.Y - TopCm) / (1.5 * SizeCm));
        return (Math.Sqrt(x * x + y * y) - 1) * SizeCm;
    }

    /// <summary>From the front hairline to behind the crown; the curve of a drop.</summary>
    private double TeardropOf(in ScalpPoint p)
    {
        const double point = 11.5;
        const double round = -5;
        var y = (p.Map.Y - (point + round) / 2) / ((point - round) / 2);
        const double widest = 0.65;

        var (x, wide) = (Math.Abs(p.Map.X), SizeCm / widest);
        var square = y < 1 ? wide * wide * (1 - y * y) * (1 - y) / 2 : 0;
        if (y >= 0)
        {
            return x - Math.Sqrt(square) + 4 * Math.Max(0, y - 1);
        }

        // Behind its middle squares, not roots: the line round it then has a slope to follow at its round end, too.
        // The same where they meet.
        return (x * x - square) / (x + wide * Math.Sqrt(0.5));
    }

    /// <summary>What hair itself leaves out: nothing is painted where it is clipped or breaking.</summary>
    internal static IEnumerable<Func<ScalpPoint, double>> OfMarks(HairProfile hair) =>
        hair
            .Marks.Where(m => m.Kind is MarkKind.Undercut or MarkKind.Breakage)
            .Select(m => (Func<ScalpPoint, double>)(p => m.Outside(p)));

    /// <summary>What it is called.</summary>
    public static string Words(Region region) =>
        region switch
        {
            Region.Veil => "veil at the part",
            Region.Oval => "oval on top",
            Region.Teardrop => "teardrop on top",
            Region.BabyHair => "baby hair at the hairline",
        };
}
