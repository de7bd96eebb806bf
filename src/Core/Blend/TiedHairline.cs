using Wendro.Core.Head;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

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
    /// <param name="tied">What is seen tied back.</param>
    /// <param name="levels">Level bytes, strands × 64.</param>
    public static TiedHairline? Of(OnHead on, SeenWeights tied, byte[] levels)
    {
        ArgumentNullException.ThrowIfNull(on);
        ArgumentNullException.ThrowIfNull(tied);
        ArgumentNullException.ThrowIfNull(levels);
        var scalp = on.Looks.OnHead.Strands.Scalp;
        var (bandSum, bandSeen, behindSum, behindSeen) = (0L, 0L, 0L, 0L);
        for (var i = 0; i < scalp.Length; i++)
        {
            var zone = (Zone)on.Map.Zone[i];
            if (zone is Zone.Nape or Zone.LowerBack)
            {
                continue;
            }

            var hairline = scalp[i].FromHairlineCm < DeepCm;
            for (var c = tied.Start[i]; c < tied.Start[i + 1]; c++)
            {
                var (weight, level) = (tied.All[c], levels[i * Fall.Places.Count + tied.Place[c]]);
                if (!hairline)
                {
                    behindSum += weight * level;
                    behindSeen += weight;
                }
                else if (tied.Bin[c] * SeenWeights.BinCm < ShownCm)
                {
                    bandSum += weight * level;
                    bandSeen += weight;
                }
            }
        }

        return bandSeen < Few || behindSeen < Few
            ? null
            : new(1 + bandSum * LevelsPerByte / bandSeen, 1 + behindSum * LevelsPerByte / behindSeen);
    }
}
