using System.Globalization;
using Wendro.Head;

namespace Wendro.Section;

/// <summary>
/// Which panel: zone, row counted from the low edge, column from her face (at the back from her left); all from 0.
/// </summary>
public readonly record struct PanelKey(Zone Zone, int Row, int Column) : IComparable<PanelKey>
{
    /// <summary>What is said of a name that is none.</summary>
    public const string Called = "A panel is named zone/row/column, like sideLeft/2/1.";

    /// <summary>As written: zone/row/column, e.g. sideLeft/2/1.</summary>
    public override string ToString() => $"{NameOf(Zone)}/{Row}/{Column}";

    /// <summary>Reads what <see cref="ToString"/> writes; null if it is not a key.</summary>
    public static PanelKey? Parse(string? text)
    {
        var parts = text?.Split('/') ?? [];
        if (
            parts.Length != 3
            || !ZoneFacts.All.Any(z => NameOf(z) == parts[0])
            || !int.TryParse(parts[1], NumberStyles.None, CultureInfo.InvariantCulture, out var row)
            || !int.TryParse(parts[2], NumberStyles.None, CultureInfo.InvariantCulture, out var column)
        )
        {
            return null;
        }

        return new(ZoneFacts.All.First(z => NameOf(z) == parts[0]), row, column);
    }

    /// <summary>Reads what <see cref="ToString"/> writes.</summary>
    /// <exception cref="FormatException">It is not a key.</exception>
    public static PanelKey Of(string text) => Parse(text) ?? throw new FormatException(Called);

    /// <summary>Zone by zone as they are numbered, row by row, from her face backwards.</summary>
    public int CompareTo(PanelKey other) =>
        Zone != other.Zone ? (int)Zone - (int)other.Zone
        : Row != other.Row ? Row.CompareTo(other.Row)
        : Column.CompareTo(other.Column);

    /// <summary>Comes before.</summary>
    public static bool operator <(PanelKey a, PanelKey b) => a.CompareTo(b) < 0;

    /// <summary>Comes after.</summary>
    public static bool operator >(PanelKey a, PanelKey b) => a.CompareTo(b) > 0;

    /// <summary>Comes before or is the same.</summary>
    public static bool operator <=(PanelKey a, PanelKey b) => a.CompareTo(b) <= 0;

    /// <summary>Comes after or is the same.</summary>
    public static bool operator >=(PanelKey a, PanelKey b) => a.CompareTo(b) >= 0;

    /// <summary>In plain words, counted from 1: "left side, row 3, panel 2".</summary>
    public string Words => $"{ZoneFacts.Words(Zone)}, row {Row + 1}, panel {Column + 1}";

    private static string NameOf(Zone zone)
    {
        var name = zone.ToString();
        return char.ToLowerInvariant(name[0]) + name[1..];
    }
}

/// <summary>The hair held for one painting.</summary>
/// <param name="Key">Which.</param>
/// <param name="Outlines">Where it lies on the crown map; one, or several where the zone's border cuts it.</param>
/// <param name="AreaCm2">Scalp area, cm².</param>
/// <param name="ThicknessMm">Thickness of its section, mm.</param>
/// <param name="WidthCm">Width along its section, cm.</param>
/// <param name="LengthCm">Mean length of its hair, cm.</param>
/// <param name="HairGrams">Its hair, g.</param>
/// <param name="Centre">A place in its middle.</param>
public sealed record Panel(
    PanelKey Key,
    IReadOnlyList<Outline> Outlines,
    double AreaCm2,
    double ThicknessMm,
    double WidthCm,
    double LengthCm,
    double HairGrams,
    ScalpPoint Centre
);

/// <summary>Where a place of the scalp lies among the panels of its zone.</summary>
/// <param name="Panel">Its panel's number in the zone.</param>
/// <param name="U">Across the panel, 0 at the edge nearest her face (at the back: her left) .. 1.</param>
/// <param name="W">Through the section, 0 at the edge nearest part or crown .. 1.</param>
public readonly record struct PanelPosition(int Panel, double U, double W);

/// <summary>Where a panel can be taken hold of on the crown map, cm.</summary>
/// <param name="Middle">Its middle.</param>
/// <param name="Up">From there to its upper edge.</param>
/// <param name="Aside">From there along its section to its end.</param>
public readonly record struct DragHandle(MapPoint Middle, MapPoint Up, MapPoint Aside);
