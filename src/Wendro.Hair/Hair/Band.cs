using Wendro.Units;

namespace Wendro.Hair;

/// <summary>What was done to a stretch of hair before today.</summary>
public enum BandState
{
    Natural,
    Coloured,
    Lightened,
}

/// <summary>A stretch of the strand, from scalp to ends, that was treated alike.</summary>
/// <param name="FromCm">Where it begins, cm from the scalp.</param>
/// <param name="ToCm">Where it ends, cm; the last band goes on to the ends of hair that is longer.</param>
/// <param name="State">What was done.</param>
/// <param name="Level">Its level today.</param>
/// <param name="Share">Share of the strands it was done to, above 0..1: below 1 they are stripes between hair of the
/// natural level.</param>
/// <param name="Porosity">Its uptake where that differs from the rest; null where it does not.</param>
/// <param name="Warmth">Its undertone against what such a level usually shows: −1 cooler .. 1 warmer; null where it
/// was not judged.</param>
public sealed record Band(
    double FromCm,
    double ToCm,
    BandState State,
    Level Level,
    double Share = 1,
    Porosity? Porosity = null,
    double? Warmth = null
);
