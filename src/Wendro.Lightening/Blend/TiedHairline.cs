using Wendro.Head;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What the hairline shows where hair is tied back, against what lies behind it.</summary>
/// <param name="Band">Mean level seen of its first centimetres.</param>
/// <param name="Behind">Mean level seen of the hair behind.</param>
public readonly record struct TiedHairline(double Band, double Behind)
{
    /// <summary>How deep the band of hair is that frames the face and the temples, cm. Model assumption.</summary>
    public const double DeepCm = 2;

    /// <summary>How much of its length shows as the hairline when it is drawn back, cm. Model assumption.</summary>
    public const double ShownCm = 6;

    /// <summary>Fewer samples than these say nothing.</summary>
    private const int Few = 150;

    private const double LevelsPerByte = 9.0 / 255;

    /// <summary>Reads it; null where too little is seen.</summary>
    /// <param name="on">The head.</param>
    /// <param name="weights">What is seen tied back.</param>
    /// <param name="tied">The same counted.</param>
    /// <param name="levels">Level bytes, strands × 64.</param>
    public static TiedHairline? Of(HeadContext on, SeenWeights weights, Tally tied, byte[] levels)
    {
        ArgumentNullException.ThrowIfNull(on);
        ArgumentNullException.ThrowIfNull(weights);
        ArgumentNullException.ThrowIfNull(tied);
        ArgumentNullException.ThrowIfNull(levels);
        var behind = tied.LevelOf(z => !IsBelow(z) && !ZoneFacts.IsFaceFrame(z));
        var (sum, seen) = (0L, 0L);
        foreach (var i in on.Looks.HairlineStrands)
        {
            if (IsBelow((Zone)on.Map.Zone[i]))
            {
                continue;
            }

            for (var c = weights.Start[i]; c < weights.Start[i + 1]; c++)
            {
                if (weights.Bin[c] * SeenWeights.BinCm < ShownCm)
                {
                    sum += weights.All[c] * levels[i * Fall.Places.Count + weights.Place[c]];
                    seen += weights.All[c];
                }
            }
        }

        return seen < Few || behind is not { } rest ? null : new(1 + sum * LevelsPerByte / seen, rest);
    }

    private static bool IsBelow(Zone zone) => zone is Zone.Nape or Zone.LowerBack;
}
