using System.Numerics;

namespace Wendro.Head;

/// <summary>
/// A place in a picture of the scalp unrolled from above: +X her left, +Y her face; 1 cm² here is 1 cm² on the head.
/// </summary>
public readonly record struct MapPoint(double X, double Y);

/// <summary>A place on the scalp with everything zones and partings are told by.</summary>
/// <param name="Map">Where it lies on the crown map, cm.</param>
/// <param name="FromTopCm">Distance over the head from the top of the map, cm.</param>
/// <param name="Around">Angle round the top of the map, degrees: 0 face, + her left, ±180 back.</param>
/// <param name="FromHairlineCm">Distance from the hairline, cm; negative outside the hair.</param>
/// <param name="OverTopCm">Distance from the middle of the head measured over the top, cm; + her left.</param>
/// <param name="Position">On the head, cm.</param>
/// <param name="Azimuth">Angle round the skull's upright axis, degrees: 0 face, + her left.</param>
public readonly record struct ScalpPoint(
    MapPoint Map,
    double FromTopCm,
    double Around,
    double FromHairlineCm,
    double OverTopCm,
    Vector3 Position,
    double Azimuth
);
