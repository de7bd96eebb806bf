using Wendro.Hair;

namespace Wendro.Fall;

/// <summary>What hair of a curl does when it hangs. Model assumption.</summary>
internal sealed record Texture
{
    /// <summary>Points a strand is kept in: curls need more to be round.</summary>
    public required int Points { get; init; }

    /// <summary>How much closer points lie at the scalp: 0 evenly .. 0.62.</summary>
    public required float Closer { get; init; }

    /// <summary>Locks a head gathers in: tight curls keep together in many small ones.</summary>
    public required int Locks { get; init; }

    /// <summary>How strongly strands are drawn to the guide of their lock, 0..1.</summary>
    public required float Pull { get; init; }

    /// <summary>How long the middle line is against the strand pulled straight: what turns shortens.</summary>
    public required float CentreLine { get; init; }

    /// <summary>How much more room it takes than straight hair.</summary>
    public required float Volume { get; init; }

    /// <summary>How strongly it bends down, per cm.</summary>
    public float Gravity { get; init; } = 0.20f;

    /// <summary>Tight curls leave the scalp upright instead of along the combed flow.</summary>
    public bool Upright { get; init; }

    /// <summary>How far it swings or turns from its middle line, cm; of a coil the widest.</summary>
    public required float SwingCm { get; init; }

    /// <summary>Length of a wave or a turn, cm of middle line; the shortest, where locks differ.</summary>
    public required float TurnCm { get; init; }

    /// <summary>How much longer the longest is, cm.</summary>
    public float TurnSpreadCm { get; init; }

    /// <summary>A wave's share of swing that also goes outwards; a coil goes round instead.</summary>
    public float Depth { get; init; }

    /// <summary>How far a lock is out of step with its neighbours, and a strand with its lock, radians.</summary>
    public required (float Lock, float Strand) Astray { get; init; }

    /// <summary>Whether it turns round as a coil; else it swings as a wave.</summary>
    public bool Coils { get; init; }

    /// <summary>Where a wave is full, or a coil, cm from where it begins.</summary>
    public required float ToCm { get; init; }

    /// <summary>Height, cm, down to which hanging hair lies straight; a coil begins at the scalp.</summary>
    public float LiesToY { get; init; } = float.MaxValue;

    /// <summary>How round a lock is to the light: 0 flat as a ribbon .. 1.2 as a rope.</summary>
    public required float Rounded { get; init; }

    /// <summary>How dark the inner side of a lock is, 0..1.</summary>
    public required float Under { get; init; }

    /// <summary>Share of strands that end early.</summary>
    public float EndsEarly { get; init; } = 0.12f;

    /// <summary>Share of locks that slip out over the others.</summary>
    public float Slips { get; init; }

    /// <summary>A wave so slight that nobody calls it one: inner movement.</summary>
    private static readonly Texture Straight = new()
    {
        Points = 32,
        Closer = 0.62f,
        Locks = 340,
        Pull = 0.52f,
        CentreLine = 1,
        Volume = 1.12f,
        SwingCm = 0.3f,
        TurnCm = 15,
        Depth = 0.5f,
        Astray = (1.2f, 0.12f),
        ToCm = 13,
        LiesToY = 3,
        Rounded = 0.5f,
        Under = 0.35f,
    };

    private static readonly Texture Wavy = new()
    {
        Points = 64,
        Closer = 0.3f,
        Locks = 260,
        Pull = 0.50f,
        CentreLine = 0.92f,
        Volume = 1.35f,
        SwingCm = 1.2f,
        TurnCm = 11,
        Depth = 0.4f,
        Astray = (0.4f, 0.12f),
        ToCm = 13,
        LiesToY = 1,
        Rounded = 0.5f,
        Under = 0.25f,
        Slips = 0.16f,
    };

    private static readonly Texture Curly = new()
    {
        Points = 96,
        Closer = 0.1f,
        Locks = 520,
        Pull = 0.9f,
        CentreLine = 0.6f,
        Volume = 1.6f,
        SwingCm = 0.9f,
        TurnCm = 2.1f,
        TurnSpreadCm = 2.4f,
        Coils = true,
        Astray = (MathF.PI, 0.7f),
        ToCm = 4,
        Rounded = 1.2f,
        Under = 0.6f,
    };

    private static readonly Texture Coily = new()
    {
        Points = 96,
        Closer = 0,
        Locks = 1600,
        Pull = 0.7f,
        CentreLine = 0.5f,
        Volume = 1.6f,
        Gravity = 0.015f,
        Upright = true,
        SwingCm = 0.36f,
        TurnCm = 0.85f,
        TurnSpreadCm = 0.35f,
        Coils = true,
        Astray = (MathF.PI, 1.6f),
        ToCm = 1.5f,
        Rounded = 0.9f,
        Under = 0.5f,
        EndsEarly = 1,
    };

    /// <summary>The texture of a curl.</summary>
    public static Texture Of(Curl curl) =>
        curl switch
        {
            Curl.Straight => Straight,
            Curl.Wavy => Wavy,
            Curl.Curly => Curly,
            Curl.Coily => Coily,
        };

    /// <summary>The same hair wet: together, close to the head, pulled down by its own weight.</summary>
    public Texture Wet() =>
        this with
        {
            Pull = MathF.Min(0.95f, Pull + 0.35f),
            Volume = Volume * 0.55f,
            SwingCm = SwingCm * 0.6f,
            CentreLine = Coils ? 0.8f : 1 - (1 - CentreLine) * 0.4f,
            Upright = false,
            Gravity = MathF.Max(Gravity, 0.14f),
            Rounded = MathF.Max(Rounded, 0.8f),
            Slips = 0,
        };

    /// <summary>Share of the strand's length at a point.</summary>
    public float ShareAt(int point)
    {
        var q = point / (Points - 1f);
        return (Closer * q + 1 - Closer) * q;
    }

    /// <summary>Points of a strand that half a turn of a coil takes; none for a wave.</summary>
    /// <param name="length">Length of the strand, cm.</param>
    public int HalfTurn(float length) =>
        Coils
            ? Math.Clamp(
                (int)((TurnCm + TurnSpreadCm / 2) / CentreLine / 2 * (Points - 1) / MathF.Max(length, 1) + 0.5f),
                1,
                12
            )
            : 0;
}
