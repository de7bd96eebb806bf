using Wendro.Colour;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>
/// Entries to start a shelf from: what the trade usually has, with nobody's name on it. Every figure is to be
/// corrected by the leaflet.
/// </summary>
public static class GenericProducts
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<Product> All { get; } =
    [
        LightenerOf("Clay lightener", Lightener.Clay),
        LightenerOf("Powder lightener", Lightener.Powder),
        LightenerOf("Cream lightener", Lightener.Cream),
        .. new double[] { 5, 10, 20, 30, 40 }.Select(v => new DeveloperProduct(
            $"Developer {v:0} vol",
            new(StockUnit.Millilitre),
            new(v)
        )),
        Shade("Gloss 8 pearl", 8, Reflect.Pearl, ShadeBase.AcidGloss, 1, 5, 20),
        Shade("Gloss 7 beige", 7, Reflect.Beige, ShadeBase.AcidGloss, 1, 5, 20),
        Shade("Demi 5 natural", 5, Reflect.Natural, ShadeBase.Demi, 1.5, 10, 25),
        Shade("Demi 6 ash", 6, Reflect.Ash, ShadeBase.Demi, 1.5, 10, 25),
        new AdditiveProduct("Bond additive", new(), 0.05, 0.03, new(0.06, Source.Assumption)),
        new CoveringProduct("Film", new(StockUnit.Sheet), Covering.Film, 30),
        new CoveringProduct("Foil", new(StockUnit.Sheet), Covering.Foil, 30),
        new CoveringProduct("Mesh", new(StockUnit.Sheet), Covering.Mesh, 25),
    ];

    private static ShadeProduct Shade(
        string name,
        double depth,
        Reflect reflect,
        ShadeBase of,
        double developerParts,
        double volume,
        double minutes
    ) => new(name, new(), new(depth), reflect, of, developerParts, new(volume), new(minutes));

    private static LightenerProduct LightenerOf(string name, Lightener type)
    {
        var f = LiftTables.Of(type);
        static Sourced Ours(double value) => new(value, Source.Assumption);
        static Sourced Trade(double value) => new(value, Source.Trade);
        return new(
            name,
            new(),
            type,
            Ours(f.RatedLevels),
            Ours(f.DryingMinutes),
            Ours(f.WorkingMinutes),
            f.Swells,
            false,
            !f.ExcludesHeat,
            Trade(f.LimitMinutes),
            Ours(f.WindowMinutes),
            type == Lightener.Clay ? [2, 1.5, 1] : [1.5, 1, 2],
            type == Lightener.Cream ? null : 20
        );
    }
}
