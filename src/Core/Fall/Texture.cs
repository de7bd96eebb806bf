using Wendro.Core.Hair;

namespace Wendro.Core.Fall;

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

    /// <summary>How far it swings or turns from its middle line, cm.</summary>
    public required float SwingCm { get; init; }

    /// <summary>Length of a wave or a turn, cm of middle line; the shortest, where locks differ.</summary>
    public required float TurnCm { get; init; }

    /// <summary>How much longer the longest is, cm.</summary>
    public float TurnSpreadCm { get; init; }

    /// <summary>A wave's share of swing that also goes in and out; a coil goes round instead.</summary>
    public float Depth { get; init; }

    /// <summary>Whether it turns round as a coil; else it swings as a wave.</summary>
    public bool Coils { get; init; }

    /// <summary>Where turning begins, cm from the scalp or from where hair is let go.</summary>
    public required float FromCm { get; init; }

    /// <summary>Where it is full, cm.</summary>
    public required float ToCm { get; init; }

    /// <summary>A wave so slight that nobody calls it one.</summary>
    private static readonly Texture Straight = new()
    {
        Points = 32,
        Closer = 0.62f,
        Locks = 340,
        Pull = 0.62f,
        CentreLine = 1,
        Volume = 1,
        SwingCm = 0.28f,
        TurnCm = 13,
        TurnSpreadCm = 4,
        FromCm = 7,
        ToCm = 16,
    };

    private static readonly Texture Wavy = new()
    {
        Points = 64,
        Closer = 0.3f,
        Locks = 340,
        Pull = 0.62f,
        CentreLine = 0.93f,
        Volume = 1.25f,
        SwingCm = 0.85f,
        TurnCm = 8.5f,
        TurnSpreadCm = 2,
        Depth = 0.45f,
        FromCm = 2,
        ToCm = 11,
    };

    private static readonly Texture Curly = new()
    {
        Points = 96,
        Closer = 0.1f,
        Locks = 640,
        Pull = 0.78f,
        CentreLine = 0.66f,
        Volume = 1.6f,
        SwingCm = 0.95f,
        TurnCm = 3.2f,
        TurnSpreadCm = 0.5f,
        Coils = true,
        FromCm = 1,
        ToCm = 9,
    };

    private static readonly Texture Coily = new()
    {
        Points = 96,
        Closer = 0,
        Locks = 1600,
        Pull = 0.7f,
        CentreLine = 0.5f,
        Volume = 1.6f,
        Gravity = 0.035f,
        Upright = true,
        SwingCm = 0.36f,
        TurnCm = 0.95f,
        TurnSpreadCm = 0.15f,
        Coils = true,
        FromCm = 0.2f,
        ToCm = 1.5f,
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

    /// <summary>Share of the strand's length at a point.</summary>
    public float ShareAt(int point)
    {
        var q = point / (Points - 1f);
        return (Closer * q + 1 - Closer) * q;
    }
}
