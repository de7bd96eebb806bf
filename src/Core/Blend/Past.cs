using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>What was done before, strand by strand, and which strands grew white.</summary>
internal sealed class Past
{
    private const int WhiteSalt = 61;
    private readonly IReadOnlyList<Band> bands;
    private readonly float white;

    public Past(HairProfile hair)
    {
        bands = hair.Bands;
        white = (float)hair.GreyShare;
        States = HairState.Of(hair);
    }

    /// <summary>What states the hair is in: what no band touched, then each band's.</summary>
    public HairState[] States { get; }

    /// <summary>Which state a strand is in at a distance from the scalp.</summary>
    public int StateOf(int strand, double s) =>
        StrandHistory.At(bands, s) is { } band && HairState.IsTreated(strand, bands[band].Share) ? band + 1 : 0;

    /// <summary>Whether a strand grew white: what colours it shows where no old colour covers it.</summary>
    public bool IsWhite(int strand) => white > 0 && Hash.Unit(strand, WhiteSalt) < white;

    /// <summary>Whether white shows in a state.</summary>
    public bool ShowsWhite(int state) => !States[state].Coloured;

    /// <summary>Writes a strand as it was.</summary>
    public void Write(int strand, double length, HairBytes into)
    {
        var white = IsWhite(strand);
        for (var k = 0; k < Places.Count; k++)
        {
            var state = StateOf(strand, Places.Share(k) * length);
            var at = strand * Places.Count + k;
            into.Levels[at] = Level.ToByte(States[state].Level);
            into.Tints[at] = (white && ShowsWhite(state) ? Tint.White : Tint.Lifted(States[state].Lifted)).Index;
        }
    }
}
