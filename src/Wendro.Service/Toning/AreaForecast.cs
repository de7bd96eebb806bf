using Wendro.Blend;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>What an area looks like after some minutes.</summary>
/// <param name="Minute">Minutes on.</param>
/// <param name="Hex">The colour, #rrggbb.</param>
/// <param name="Level">How light it is.</param>
/// <param name="DeltaE">How far from what is wanted, OKLab × 100.</param>
public sealed record ToneMinute(int Minute, string Hex, double Level, double DeltaE);

/// <summary>What becomes of an area: of the piece a colourist would look at there.</summary>
/// <param name="Area">The area.</param>
/// <param name="RawLevel">How light it is before.</param>
/// <param name="Level">How light it is then.</param>
/// <param name="LevelFrom">Least light it may be then: an eye's readings have a spread.</param>
/// <param name="LevelTo">Most.</param>
/// <param name="Raw">The colour before, #rrggbb.</param>
/// <param name="Toned">The colour then, #rrggbb.</param>
/// <param name="Wanted">The colour wanted, #rrggbb.</param>
/// <param name="WantedColour">The same by how light, how strong and which.</param>
/// <param name="Colour">The colour then by how light, how strong and which.</param>
/// <param name="DeltaE">How far that is from what is wanted, OKLab × 100: under 1 not seen, under 3 hardly.</param>
/// <param name="Neutralised">Share of the warmth taken away; negative where warmth was added.</param>
/// <param name="Remaining">What is left, in a word.</param>
/// <param name="ByMinute">Minute by minute.</param>
/// <param name="GrabsAt">The minute at which its most porous, lightest hair is cooler or darker than wanted; null where
/// it never is.</param>
/// <param name="Porosity">How readily the piece takes toner up.</param>
/// <param name="Lifted">How far it was lifted, 0 as it grew .. 1.</param>
public sealed record AreaForecast(
    ToneArea Area,
    double RawLevel,
    double Level,
    double LevelFrom,
    double LevelTo,
    string Raw,
    string Toned,
    string Wanted,
    Oklch WantedColour,
    Oklch Colour,
    double DeltaE,
    double Neutralised,
    string Remaining,
    IReadOnlyList<ToneMinute> ByMinute,
    int? GrabsAt,
    Porosity Porosity,
    double Lifted
)
{
    /// <summary>Minutes that are looked at.</summary>
    public const int LookedAt = 45;

    /// <summary>
    /// Among places the piece is looked at where so many are darker: its light, not its edge. Model assumption.
    /// </summary>
    internal const double LookedWhere = 0.7;

    /// <summary>Where along the hair what is wanted at the ends, and at mid-length, begins; share of its
    /// length.</summary>
    private const double EndsFrom = 0.7,
        MidsFrom = 0.2;

    /// <summary>
    /// Past what is wanted: so much less warmth, OKLCH chroma, or so much less light, OKLCH lightness. Model
    /// assumption.
    /// </summary>
    private const double CoolerBy = 0.02,
        DarkerBy = 0.05;

    /// <summary>What becomes of an area; null where it takes no hair.</summary>
    /// <param name="hair">The hair as it came out.</param>
    /// <param name="area">The area.</param>
    public static AreaForecast? Of(TonedHair hair, ToneArea area)
    {
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(area);
        var places = PiecesOf(hair.PlacesOf(area).Where(p => !p.Tint.White).OrderBy(p => p.Level).ToArray());
        if (places.Length == 0)
        {
            return null;
        }

        var piece = places[(int)(LookedWhere * (places.Length - 1))];
        var on = area.Minutes.Value;
        var before = ColourOf(piece.Start);
        var wantedLight = WantedOn(hair, area, piece);
        var wanted = Oklch.Of(wantedLight.R, wantedLight.G, wantedLight.B);
        var then = After(area, piece, on);
        var spread = 2 * StrandTest.ReadingSpread;
        double Off(double by) => After(area, piece with { Level = Units.Level.Clamp(piece.Level + by) }, on).Level;
        var raw = Oklch.Of(before.R, before.G, before.B);
        return new(
            area,
            piece.Level,
            then.Level,
            Math.Min(then.Level, Off(-spread)),
            Math.Max(then.Level, Off(spread)),
            LevelColours.HexOf(before),
            LevelColours.HexOf(then.Light),
            LevelColours.HexOf(wantedLight),
            wanted,
            then.Colour,
            then.Colour.DeltaE(wanted),
            raw.Chroma <= 0 ? 0 : 1 - then.Colour.Along(raw.Hue) / raw.Chroma,
            Toner.WordOf(then.Colour),
            Enumerable
                .Range(0, LookedAt + 1)
                .Select(m => (Minute: m, Is: After(area, piece, m)))
                .Select(m => new ToneMinute(
                    m.Minute,
                    LevelColours.HexOf(m.Is.Light),
                    m.Is.Level,
                    m.Is.Colour.DeltaE(wanted)
                ))
                .ToArray(),
            GrabsOn(area, places, wanted),
            piece.Porosity,
            piece.Tint.Lifted
        );
    }

    /// <summary>
    /// What a toner is chosen for: the lightened hair of an area, where enough of it is; else all of it.
    /// </summary>
    private static TonePlace[] PiecesOf(TonePlace[] places)
    {
        var light = places.Where(p => p.Tint.Lifted >= CountsAsPiece).ToArray();
        return light.Length >= EnoughPieces * places.Length ? light : places;
    }

    /// <summary>How far hair is lifted that counts as a piece. Model assumption.</summary>
    internal const double CountsAsPiece = 0.5;

    /// <summary>Share of an area that must be. Model assumption.</summary>
    private const double EnoughPieces = 0.015;

    /// <summary>The first minute at which the hair that takes most up is cooler, or darker, than wanted.</summary>
    private static int? GrabsOn(ToneArea area, IReadOnlyList<TonePlace> places, Oklch wanted)
    {
        var eager = places.OrderBy(p => p.Porosity).ThenBy(p => p.Level).ElementAt((int)(0.98 * (places.Count - 1)));
        var (r, g, b) = ColourOf(eager.Start);
        var raw = Oklch.Of(r, g, b);
        for (var m = 1; m <= LookedAt; m++)
        {
            var then = After(area, eager, m).Colour;
            if (wanted.Along(raw.Hue) - then.Along(raw.Hue) > CoolerBy || wanted.Lightness - then.Lightness > DarkerBy)
            {
                return m;
            }
        }

        return null;
    }

    /// <summary>A piece after some minutes: how light it is, and its colour.</summary>
    private static (double Level, (double R, double G, double B) Light, Oklch Colour) After(
        ToneArea area,
        TonePlace piece,
        double minutes
    )
    {
        var start = piece.Start;
        var became = minutes <= 0 ? start : TonedHair.WorkOf(area, minutes, piece.Porosity).On(start, 1, piece.IsDyed);
        var light = ColourOf(became);
        return (Units.Level.Clamp(became.Level).Value, light, Oklch.Of(light.R, light.G, light.B));
    }

    private static (double R, double G, double B) ColourOf(StrandOutcome of) =>
        Palette.ColourOf(of.Level, of.Lifted, of.Absorbed);

    /// <summary>
    /// What she wants there: the tone she wished at the level she wished, never lighter than it is, for a toner does
    /// not lift; at the root as it grows.
    /// </summary>
    private static (double R, double G, double B) WantedOn(TonedHair hair, ToneArea area, TonePlace piece)
    {
        var goal = hair.Head.Plan.Goal;
        var wanted =
            area.Wanted?.Level
            ?? (
                piece.Along >= EndsFrom ? goal.EndsLevel
                : piece.Along >= MidsFrom || piece.Tint.Lifted > 0 ? goal.MidsOf()
                : hair.Head.Hair.NaturalLevel
            );
        return LevelColours.Linear(Math.Min(wanted, piece.Level), area.Wanted?.Tone ?? goal.Tone);
    }
}
