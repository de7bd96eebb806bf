using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Placement;

/// <summary>Which settings are tried for a group of zones, within the house's rules.</summary>
internal static class Settings
{
    /// <summary>Where paint may begin, share of the length.</summary>
    private static readonly double[] Starts = [0.05, 0.1, 0.16, 0.22, 0.3, 0.38, 0.48, 0.6];

    /// <summary>Nearer to the scalp paint does not begin here, cm: its spread stays off it.</summary>
    private const double LeastStartCm = 1.8;

    /// <summary>Thickness against the house's.</summary>
    private static readonly double[] Thicknesses = [1, 0.7, 1.6];

    /// <summary>Depth at the mids and ends, share of the section.</summary>
    private static readonly (double Mids, double Ends)[] Depths = [(0.35, 0.55), (0.6, 0.8), (0.82, 0.82)];

    /// <summary>Groups of zones that are set alike: both sides of the head together.</summary>
    public static IReadOnlyList<Zone[]> Groups { get; } =
        ZoneFacts.All.GroupBy(z => (Zone)Math.Min((int)z, (int)ZoneFacts.Other(z))).Select(g => g.ToArray()).ToArray();

    /// <summary>Letters of the formulas by developer strength.</summary>
    public static IReadOnlyList<(FormulaId Id, Volume Volume)> Strengths { get; } =
    [(FormulaId.A, new(20)), (FormulaId.B, new(30)), (FormulaId.C, new(40))];

    /// <summary>Letter of the deposit that softens an old edge.</summary>
    private static FormulaId Softener => FormulaId.D;

    /// <summary>
    /// All settings of a group: each by itself and, where old light begins, with a deposit that softens its edge.
    /// </summary>
    public static IReadOnlyList<Setting> For(Zone[] group, Plan plan, HairProfile hair, HouseRules house)
    {
        var plain = Plain(group, plan, hair, house);
        return Soften(hair) is not { } soften
            ? plain
            :
            [
                .. plain,
                .. plain
                    .Where(s => s.Paint is not { Covering: Covering.Film })
                    .Select(s =>
                        s with
                        {
                            Paint = PanelPaint.Of(s.Paint is null ? [soften] : [soften, s.Paint]),
                            Alike = -1 - s.Alike,
                        }
                    ),
            ];
    }

    private static List<Setting> Plain(Zone[] group, Plan plan, HairProfile hair, HouseRules house)
    {
        var thickness = house.SectionsOf(group[0]).ThicknessMm;
        var tried = new List<Setting> { new(thickness, null) };
        if (!plan.Goal.Underneath && group[0] is Zone.Nape or Zone.LowerBack)
        {
            return tried;
        }

        var length = hair.Cut.LongestCm;
        var blur = Math.Clamp(length * 0.18, 2, 8) + (hair.Curl == Curl.Straight ? 1.5 : 0);
        var face = ZoneFacts.IsFaceFrame(group[0]);

        var offer = Offer.On(hair);
        var mixed = plan.FirstLight();

        // Where most of her hair is light already, lightener ends; between a few old stripes it may go on.
        var old = OldLight.Of(hair) is { Share: >= 0.5 } light ? light : null;
        // The house's thickness comes first: by it settings are judged at first sight.
        foreach (
            var thick in Thicknesses
                .Select(t => Math.Clamp(Math.Round(thickness * t), Sections.ThinnestMm, Sections.ThickestMm))
                .Distinct()
        )
        {
            var alike = 0;
            foreach (
                var start in Starts.Where(s =>
                    s * length >= LeastStartCm && (old is null || s * length < old.FromCm - 1)
                )
            )
            {
                foreach (var (mids, ends) in face ? [.. Depths, (1.2, 1.2)] : Depths)
                {
                    foreach (var (id, volume) in Strengths)
                    {
                        foreach (
                            var covering in new[] { Covering.Open, Covering.Film }.Where(c =>
                                offer.Allows(mixed with { Volume = volume }, c)
                            )
                        )
                        {
                            Shape shape = face
                                ? new Shape.Full()
                                : new Shape.V(
                                    Math.Round(
                                        Math.Min(
                                            length * 0.18,
                                            old is null
                                                ? Shape.MostDropCm
                                                : Math.Max(0, (old.FromCm - start * length) * 0.5)
                                        ),
                                        1
                                    )
                                );
                            alike++;
                            tried.Add(
                                new Setting(
                                    thick,
                                    new PanelPaint(
                                        shape,
                                        StartShare: start,
                                        StartCm: start * length,
                                        BlurCm: Math.Round(Math.Min(12, blur), 1),
                                        MidsMm: Math.Round(Math.Min(40, mids * thick), 1),
                                        EndsMm: Math.Round(Math.Min(40, ends * thick), 1),
                                        Covering: covering,
                                        SpreadCm: start * length < 2.5 ? 1 : 1.3,
                                        BandCm: old is null
                                            ? null
                                            : Math.Round(old.FromCm + plan.LimitsOf().OverlapCm - start * length, 1)
                                    )
                                    {
                                        Formula = id,
                                    },
                                    alike
                                )
                            );
                        }
                    }
                }
            }
        }

        return tried;
    }

    /// <summary>
    /// The formula a setting means: the plan's lightener with a strength's developer, or the deposit that softens an
    /// old edge.
    /// </summary>
    public static Formula FormulaOf(FormulaId id, Plan plan, HairProfile hair) =>
        id == Softener
            ? Formula.Colouring(id, Math.Round(hair.NaturalLevel * 2) / 2, 10, 25)
            : plan.FirstLight() with
            {
                Id = id,
                Volume = Strengths.First(s => s.Id == id).Volume,
            };

    /// <summary>
    /// Deposit of her own level over the beginning of her old light, fading out downwards; null where she has none.
    /// </summary>
    private static PanelPaint? Soften(HairProfile hair) =>
        OldLight.Of(hair) is not { } old
            ? null
            : new PanelPaint(
                new Shape.Reverse(),
                StartCm: Math.Max(0, old.FromCm - 1),
                BlurCm: Math.Min(12, hair.Cut.LongestCm * 0.3),
                MidsMm: Sections.ThickestMm,
                EndsMm: Sections.ThickestMm,
                BandCm: Math.Min(14, hair.Cut.LongestCm * 0.4)
            )
            {
                Formula = Softener,
            };
}
