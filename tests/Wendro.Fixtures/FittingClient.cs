using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Plans;

namespace Wendro.Fixtures;

/// <summary>
/// Whom a pattern is for: what a pattern lays is judged on her, by the bench's table and by the tests.
/// </summary>
/// <param name="Hair">Her hair.</param>
/// <param name="Goal">What she wants.</param>
/// <param name="Ties">Whether she ties it back.</param>
public sealed record FittingClient(HairProfile Hair, Goal Goal, bool Ties = true)
{
    /// <summary>A medium head of straight hair at 35 cm that wants what is usually wanted.</summary>
    public static FittingClient Medium { get; } = new(HairProfile.Usual with { Cut = new Cut(35) }, new Goal());

    private static readonly HairProfile Short = Medium.Hair with { Cut = new Cut(22, 0, 2) };

    private static readonly HairProfile Grown = Medium.Hair with
    {
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 35, BandState.Lightened, new(8.5))],
    };

    private static readonly HairProfile OldPieces = Medium.Hair with
    {
        History = [new(0, 8, BandState.Natural, new(5)), new(8, 35, BandState.Lightened, new(8.5), 0.25)],
    };

    private static readonly HairProfile OldStripes = Medium.Hair with
    {
        History = [new(0, 6, BandState.Natural, new(5)), new(6, 35, BandState.Lightened, new(8), 0.3)],
    };

    /// <summary>Depth, tips or colour are what she asks for: neither a light share nor a brighter front.</summary>
    private static readonly Goal NoLight = new(FaceFrameLift: 0, LightShareLow: 0);

    private static readonly Dictionary<string, FittingClient> Others = new()
    {
        ["hairline-express"] = new(Medium.Hair, new Goal(FaceFrameLift: 0.4, LightShareLow: 0)),
        ["curl-shell"] = new(Medium.Hair with { Curl = Curl.Curly }, new Goal()),
        ["shadow-mesh"] = new(Medium.Hair, NoLight),
        ["triangle-melt"] = new(Medium.Hair, NoLight with { RootSoftness = 0.8 }),
        ["woven-bob"] = new(Short, new Goal(), Ties: false),
        ["grey-blend"] = new(Medium.Hair with { GreyShare = 0.3 }, new Goal()),
        ["refresh-dark"] = new(OldPieces, new Goal(), Ties: false),
        ["regrowth-blend"] = new(Grown, new Goal(FaceFrameLift: 0.3, LightShareLow: 0.5, LightShareHigh: 0.95)),
        ["lines-softened"] = new(OldStripes, new Goal()),
        ["tips-at-home"] = new(Short, NoLight),
    };

    /// <summary>Whom a pattern is for.</summary>
    /// <param name="pattern">Its id.</param>
    public static FittingClient For(string pattern) => Others.GetValueOrDefault(pattern, Medium);

    /// <summary>A plan nobody has begun, for her.</summary>
    public Plan Fresh()
    {
        var plan = Plan.Fresh(5) with { Goal = Goal };
        return Ties ? plan : plan with { Wears = [Wear.Down] };
    }
}
