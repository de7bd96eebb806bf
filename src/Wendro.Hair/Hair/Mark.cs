using System.Text.Json.Serialization;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Hair;

/// <summary>What a place of the scalp is marked for.</summary>
public enum MarkKind
{
    /// <summary>A point where the hair turns: it falls away on all sides, and sections part there.</summary>
    [JsonStringEnumMemberName("swirl")]
    Cowlick,

    /// <summary>Hair that breaks: no lightener there.</summary>
    Breakage,

    /// <summary>New short hair along the hairline.</summary>
    BabyHair,

    /// <summary>Clipped short: there is nothing to paint.</summary>
    Undercut,

    /// <summary>A piece that was lightened before.</summary>
    OldLight,

    /// <summary>A piece that stayed or grew dark between light ones.</summary>
    OldDark,
}

/// <summary>A marked place on the crown map.</summary>
/// <param name="Kind">What for.</param>
/// <param name="X">On the crown map, cm, + her left.</param>
/// <param name="Y">On the crown map, cm, + her face.</param>
/// <param name="RadiusCm">How far it reaches, cm on the head, 0.5..12.</param>
/// <param name="Clockwise">Which way a cowlick turns, seen from above.</param>
/// <param name="StartCm">Where an old piece begins, cm from the scalp; null where nobody looked.</param>
public sealed record Mark(
    MarkKind Kind,
    [property: Within(-20, 20, "cm")] double X,
    [property: Within(-22, 16, "cm")] double Y,
    [property: Within(Mark.LeastCm, Mark.MostCm, "cm")] double RadiusCm,
    bool Clockwise = true,
    [property: Within(0, 60, "cm")] double? StartCm = null
)
{
    /// <summary>Least and greatest reach of a mark, cm.</summary>
    public const double LeastCm = 0.5,
        MostCm = 12;

    /// <summary>Whether it makes a difference to how hair falls: an old piece is only another colour.</summary>
    public bool TellsInFalling => Kind is not (MarkKind.OldLight or MarkKind.OldDark);

    /// <summary>The same on the other side of the head.</summary>
    public Mark Mirrored() => this with { X = -X };

    /// <summary>Where on the crown map.</summary>
    public MapPoint Map => new(X, Y);

    /// <summary>How far a place lies outside the mark, cm; negative inside.</summary>
    public double Outside(in ScalpPoint p) =>
        Math.Sqrt((p.Map.X - X) * (p.Map.X - X) + (p.Map.Y - Y) * (p.Map.Y - Y)) - RadiusCm;

    /// <summary>What it is called.</summary>
    public static string Words(MarkKind kind) =>
        kind switch
        {
            MarkKind.Cowlick => "swirl",
            MarkKind.Breakage => "breakage",
            MarkKind.BabyHair => "new baby hair",
            MarkKind.Undercut => "undercut",
            MarkKind.OldLight => "old light piece",
            MarkKind.OldDark => "old dark piece",
        };
}

/// <summary>What of a zone's hair differs from the rest; null where it does not.</summary>
/// <param name="NaturalLevel">How light it grows.</param>
/// <param name="Diameter">Strand diameter.</param>
/// <param name="Density">Hairs per cm².</param>
/// <param name="Porosity">Uptake of product.</param>
/// <param name="GreyShare">Share of white hairs, 0..1.</param>
public sealed record ZoneHair(
    Level? NaturalLevel = null,
    Diameter? Diameter = null,
    Density? Density = null,
    Porosity? Porosity = null,
    [property: Within(0, 1)] double? GreyShare = null
);
