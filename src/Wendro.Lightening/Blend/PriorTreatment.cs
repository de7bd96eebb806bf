using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What was done before to the strands of a zone, and which of them grew white.</summary>
public sealed class PriorTreatment
{
    private const int WhiteSalt = 61;
    private readonly StrandMap map;
    private readonly float white;

    /// <summary>
    /// Bands of the hair in no piece, then of each piece that is asked of, and where their states begin.
    /// </summary>
    private readonly Kind?[] kinds;

    internal sealed record Kind(Band[] Bands, int First);

    /// <param name="hair">Her hair.</param>
    /// <param name="zone">The zone.</param>
    /// <param name="map">Which strand lies in which piece.</param>
    /// <param name="of">Strands that are asked of; null for all of the zone.</param>
    public PriorTreatment(HairProfile hair, Zone zone, StrandMap map, int[]? of = null)
    {
        var here = hair.In(zone);
        this.map = map;
        white = (float)here.GreyShare;
        var between = here.Pieces is { } told ? here with { History = told.Between } : here;
        var states = HairState.Of(between).ToList();
        var pieces = here.Pieces?.All ?? [];
        kinds = new Kind?[pieces.Count + 1];
        kinds[0] = new([.. between.Bands], 1);
        var asked = of is null
            ? Enumerable.Range(0, pieces.Count)
            : of.Select(map.PieceOf).Where(p => p >= 0).Distinct();
        foreach (var piece in pieces.Count == 0 ? [] : asked)
        {
            kinds[piece + 1] = new([.. pieces[piece].Bands], states.Count);
            states.AddRange(pieces[piece].Bands.Select(b => HairState.Of(b, here.Porosity)));
        }

        States = [.. states];
    }

    /// <summary>What states the hair is in: what no band touched, then each band's, piece by piece.</summary>
    public HairState[] States { get; }

    /// <summary>One strand, to be asked place by place.</summary>
    public Strand Of(int strand) => new(strand, kinds[map.PieceOf(strand) + 1]!, kinds[0]!, map.DepthOf(strand));

    /// <summary>What was done before to one strand.</summary>
    public readonly struct Strand
    {
        private readonly int strand;
        private readonly Kind here;
        private readonly Kind between;
        private readonly double? deep;

        internal Strand(int strand, Kind here, Kind between, double? deep) =>
            (this.strand, this.here, this.between, this.deep) = (strand, here, between, deep);

        /// <summary>Which state it is in at a distance from the scalp.</summary>
        public int StateAt(double s)
        {
            if (ReferenceEquals(here, between))
            {
                return In(between, s, null) ?? 0;
            }

            // What a piece was not reached in is as the hair round it.
            return In(here, s, deep) ?? In(between, s, null) ?? 0;
        }

        private int? In(Kind kind, double s, double? lies) =>
            StrandHistory.At(kind.Bands, s) is { } band
            && (lies is { } d ? d < kind.Bands[band].Share : HairState.IsTreated(strand, kind.Bands[band].Share))
                ? kind.First + band
                : null;
    }

    /// <summary>Whether a strand grew white: what colours it shows where no old colour covers it.</summary>
    public bool IsWhite(int strand) => IsWhite(strand, white);

    /// <summary>Whether a strand is among so large a share that grew white, 0..1.</summary>
    public static bool IsWhite(int strand, double share) => share > 0 && Hash.Unit(strand, WhiteSalt) < share;

    /// <summary>Whether white shows in a state.</summary>
    public bool ShowsWhite(int state) => !States[state].Coloured;

    /// <summary>Writes a strand as it was.</summary>
    public void Write(int strand, double length, StrandSamples into)
    {
        var white = IsWhite(strand);
        var past = Of(strand);
        for (var k = 0; k < Places.Count; k++)
        {
            var state = past.StateAt(Places.Share(k) * length);
            var at = strand * Places.Count + k;
            into.Levels[at] = Level.ToByte(States[state].Level);
            into.Tints[at] = (white && ShowsWhite(state) ? Tint.White : Tint.Lifted(States[state].Lifted)).Index;
        }
    }
}
