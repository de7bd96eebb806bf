using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;

namespace Wendro.Core.Plans;

/// <summary>
/// What is seen of a planned head, counted when it is first asked for: a picture alone needs none of it.
/// </summary>
/// <param name="Down">Worn down.</param>
/// <param name="Tied">Tied back; null if she never ties it.</param>
/// <param name="Shares">Share of what is seen that each panel makes up.</param>
/// <param name="Hidden">Panels hardly seen in any wear she uses.</param>
/// <param name="Measures">The measures.</param>
internal sealed record Sight(
    Lazy<Tally> Down,
    Lazy<Tally?> Tied,
    Lazy<IReadOnlyList<double>> Shares,
    Lazy<IReadOnlyList<bool>> Hidden,
    Lazy<Measures> Measures
)
{
    /// <summary>Counted from nothing.</summary>
    public static Sight Of(HairLooks looks, HairProfile hair, Plan plan, StrandMap map, byte[] levels)
    {
        Tally Count(Wear wear) => Tally.Of(looks.Weights(wear), map, looks.OnHead.Strands, levels, hair);
        var down = new Lazy<Tally>(() => Count(Wear.Down));
        var tied = new Lazy<Tally?>(() => TiedAs(plan) is { } how ? Count(how) : null);
        var shares = new Lazy<IReadOnlyList<double>>(() => SharesOf(looks.Weights(Wear.Down), map));
        return new(
            down,
            tied,
            shares,
            new(() => HiddenIn(looks, plan, map)),
            new(() => Blend.Measures.Of(down.Value, hair, shares.Value))
        );
    }

    /// <summary>
    /// The same after some panels changed: what was counted is carried on, what was not is counted anew when asked
    /// for.
    /// </summary>
    /// <param name="strands">Strands of the panels that changed.</param>
    /// <param name="before">Levels before.</param>
    /// <param name="after">Levels after.</param>
    /// <param name="anew">Counts from nothing.</param>
    /// <param name="hair">Her hair.</param>
    public Sight After(int[][] strands, byte[] before, byte[] after, HairProfile hair, Func<Sight> anew)
    {
        if (!Down.IsValueCreated || !Tied.IsValueCreated)
        {
            return anew() with { Shares = Shares, Hidden = Hidden };
        }

        var (down, tied) = (Down.Value.After(strands, before, after), Tied.Value?.After(strands, before, after));
        return new(new(down), new(tied), Shares, Hidden, new(Blend.Measures.Of(down, hair, Shares.Value)));
    }

    /// <summary>How she ties her hair back: high if she ever does; null if never.</summary>
    public static Wear? TiedAs(Plan plan) =>
        plan.Wears.Contains(Wear.TiedHigh) ? Wear.TiedHigh
        : plan.Wears.Contains(Wear.TiedLow) ? Wear.TiedLow
        : null;

    private static bool[] HiddenIn(HairLooks looks, Plan plan, StrandMap map)
    {
        var hidden = new bool[map.StrandsOf.Count];
        Array.Fill(hidden, true);
        foreach (var wear in plan.Wears)
        {
            var shares = SharesOf(looks.Weights(wear), map);
            for (var p = 0; p < hidden.Length; p++)
            {
                hidden[p] &= shares[p] < PlannedHead.HardlyShare * map.StrandsOf[p].Length / map.Panel.Length;
            }
        }

        return hidden;
    }

    private static double[] SharesOf(SeenWeights weights, StrandMap map)
    {
        var shares = new double[map.StrandsOf.Count];
        long all = 0;
        for (var i = 0; i < map.Panel.Length; i++)
        {
            var seen = weights.OfStrand(i);
            all += seen;
            if (map.Panel[i] >= 0)
            {
                shares[map.Panel[i]] += seen;
            }
        }

        return shares.Select(s => s / Math.Max(all, 1)).ToArray();
    }
}
