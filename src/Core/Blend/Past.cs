using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>What was done before to the strands of a zone, and which of them grew white.</summary>
internal sealed class Past
{
    private const int WhiteSalt = 61;
    private readonly StrandMap map;
    private readonly float white;

    /// <summary>Bands of the hair in no piece, then of each piece, and where their states begin.</summary>
    private readonly (IReadOnlyList<Band> Bands, int First)[] kinds;

    /// <param name="hair">Her hair.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="map">Which strand lies in which piece.</param>
    public Past(HairProfile hair, Zone zone, StrandMap map)
    {
        var here = hair.In(zone);
        this.map = map;
        white = (float)here.GreyShare;
        var between = here.Pieces is { } told ? here with { History = told.Between } : here;
        var states = HairState.Of(between).ToList();
        var all = new List<(IReadOnlyList<Band>, int)> { (between.Bands, 1) };
        foreach (var piece in here.Pieces?.All ?? [])
        {
            all.Add((piece.Bands, states.Count));
            states.AddRange(piece.Bands.Select(b => HairState.Of(b, here.Porosity)));
        }

        (kinds, States) = ([.. all], [.. states]);
    }

    /// <summary>What states the hair is in: what no band touched, then each band's, piece by piece.</summary>
    public HairState[] States { get; }

    /// <summary>Which state a strand is in at a distance from the scalp.</summary>
    public int StateOf(int strand, double s)
    {
        var piece = map.PieceOf(strand) + 1;
        // What a piece was not reached in is as the hair round it.
        return (piece > 0 ? In(kinds[piece], strand, s, map.DepthOf(strand)) : null)
            ?? In(kinds[0], strand, s, null)
            ?? 0;
    }

    private static int? In((IReadOnlyList<Band> Bands, int First) kind, int strand, double s, double? deep) =>
        StrandHistory.At(kind.Bands, s) is { } band && IsReached(strand, kind.Bands[band].Share, deep)
            ? kind.First + band
            : null;

    private static bool IsReached(int strand, double share, double? deep) =>
        deep is { } lies ? lies < share : HairState.IsTreated(strand, share);

    /// <summary>Whether a strand grew white: what colours it shows where no old colour covers it.</summary>
    public bool IsWhite(int strand) => IsWhite(strand, white);

    /// <summary>Whether a strand is among so large a share that grew white, 0..1.</summary>
    public static bool IsWhite(int strand, double share) => share > 0 && Hash.Unit(strand, WhiteSalt) < share;

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
