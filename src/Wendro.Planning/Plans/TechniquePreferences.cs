using Wendro.Fall;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Plans;

/// <summary>
/// Where good artists disagree: how this studio does it. Fresh plans and patterns follow; all false is the trade's
/// usual way.
/// </summary>
/// <param name="FrontFirst">The front is worked before the back; else the back first, the hairline last.</param>
/// <param name="HairlineFrontToBack">Rows at the hairline are worked from the face backwards; else from a stable line
/// behind towards the face.</param>
/// <param name="EndsOnSurface">Ends are painted on the surface only, for a subtle result; else worked through.</param>
/// <param name="UndersideNever">No underside is painted; else only where the client ties it back.</param>
/// <param name="TopBrightest">The crown begins highest and is the brightest; else it is kept low.</param>
/// <param name="RinsedOnce">All is rinsed at once when the last panel is painted; else in rinses.</param>
public sealed record TechniquePreferences(
    bool FrontFirst = false,
    bool HairlineFrontToBack = false,
    bool EndsOnSurface = false,
    bool UndersideNever = false,
    bool TopBrightest = false,
    bool RinsedOnce = false
)
{
    /// <summary>The trade's usual ways.</summary>
    public static TechniquePreferences Usual { get; } = new();

    /// <summary>How deep ends are painted that are painted on the surface only, mm: a skim. Model assumption.</summary>
    public const double SurfaceMm = 1.5;

    /// <summary>
    /// How much higher a crown begins that is to be the brightest, as a share of where it would. Model assumption.
    /// </summary>
    public const double CrownRaised = 0.55;

    /// <summary>Zones in the order they are worked; null where a frame's own order is kept.</summary>
    /// <param name="frame">What the head is divided by.</param>
    public IReadOnlyList<Zone>? OrderFor(Frame frame)
    {
        if (!FrontFirst)
        {
            return null;
        }

        var usual = Frames.OrderOf(frame);
        return [.. usual.Where(z => !IsBack(z)), .. usual.Where(IsBack)];
    }

    /// <summary>Which row at the hairline is worked first.</summary>
    public RowOrder HairlineRows => HairlineFrontToBack ? RowOrder.LowFirst : RowOrder.HighFirst;

    /// <summary>Paint as this studio lays it in a zone.</summary>
    /// <param name="zone">The zone.</param>
    /// <param name="paint">As it is usually laid.</param>
    public PanelPaint Laid(Zone zone, PanelPaint paint)
    {
        ArgumentNullException.ThrowIfNull(paint);
        var laid =
            EndsOnSurface && !ZoneFacts.IsHairline(zone)
                ? paint with
                {
                    EndsMm = Math.Min(paint.EndsMm, SurfaceMm),
                }
                : paint;
        return TopBrightest && zone == Zone.Crown && laid.Shape is not Shape.Tip
            ? laid with
            {
                StartCm = laid.StartCm * CrownRaised,
                StartShare = laid.StartShare * CrownRaised,
            }
            : laid;
    }

    /// <summary>Whether undersides are painted for somebody who wears her hair so.</summary>
    /// <param name="wears">The wears she uses.</param>
    public bool PaintsBeneath(IEnumerable<Wear> wears)
    {
        ArgumentNullException.ThrowIfNull(wears);
        return !UndersideNever && wears.Any(w => w is Wear.TiedHigh or Wear.TiedLow);
    }

    private static bool IsBack(Zone zone) => zone is Zone.Nape or Zone.LowerBack or Zone.UpperBack or Zone.Crown;
}
