using Wendro.Colour;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>
/// Products of the shelf: what can be noted of them, what they bring to a formula; what coats take and what must lie
/// ready.
/// </summary>
public sealed class ProductTests
{
    private static readonly LightenerProduct Clay = (LightenerProduct)GenericProducts.All[0];
    private static readonly Stock Some = new(StockUnit.Gram, 0.1, 100, 20, "L1");

    public static TheoryData<string, Product> Wrong =>
        new()
        {
            { "name", Clay with { Name = "" } },
            { "name", Clay with { Name = " Clay" } },
            { "name", Clay with { Name = new string('x', 61) } },
            { "name", Clay with { Name = "Cl\tay" } },
            { "ratedLevels", Clay with { RatedLevels = new(11, Source.Leaflet) } },
            { "dryingMinutes", Clay with { DryingMinutes = new(double.NaN, Source.Trade) } },
            { "workingMinutes", Clay with { WorkingMinutes = null! } },
            { "limitMinutes", Clay with { LimitMinutes = new(4, Source.Leaflet) } },
            { "windowMinutes", Clay with { WindowMinutes = new(25, (Source)7) } },
            { "ratios", Clay with { Ratios = [] } },
            { "ratios", Clay with { Ratios = [1, 0] } },
            { "scoopGrams", Clay with { ScoopGrams = 0 } },
            { "type", Clay with { Type = (Lightener)8 } },
            { "stock.price", Clay with { Stock = Some with { Price = -1 } } },
            { "stock.onHand", Clay with { Stock = Some with { OnHand = double.PositiveInfinity } } },
            { "stock.lot", Clay with { Stock = Some with { Lot = new string('x', 41) } } },
            { "stock.unit", Clay with { Stock = Some with { Unit = (StockUnit)5 } } },
            { "stock", Clay with { Stock = null! } },
            { "developerParts", new ShadeProduct("S", Some, new(5), Reflect.Ash, ShadeBase.Demi, 0, new(10), new(20)) },
            { "minutes", new ShadeProduct("S", Some, new(5), Reflect.Ash, ShadeBase.Demi, 1, new(10), new(500)) },
            { "gramsPerGram", new AdditiveProduct("A", Some, 0, 0.1, new(0.05, Source.Leaflet)) },
            { "slows", new AdditiveProduct("A", Some, 0.1, 0.1, new(0.5, Source.Leaflet)) },
            { "covering", new CoveringProduct("C", Some, Covering.Open, 30) },
            { "sheetCm", new CoveringProduct("C", Some, Covering.Foil, 1) },
        };

    [Theory]
    [MemberData(nameof(Wrong))]
    public void What_can_not_be_noted_is_named(string field, Product product) =>
        Assert.Equal(field, Assert.Single(ProductChecks.Of(product)).Field);

    [Fact]
    public void Generic_entries_can_all_be_taken_and_say_what_the_tables_say()
    {
        Each.Of(GenericProducts.All, p => Assert.Empty(ProductChecks.Of(p)));
        Assert.Equal(GenericProducts.All.Count, GenericProducts.All.Select(p => p.Name).Distinct().Count());
        Each.Of(
            GenericProducts.All.OfType<LightenerProduct>(),
            p => Assert.Equal(LiftTables.Of(p.Type) with { ScalpSafe = false }, p.Figures())
        );
    }

    [Fact]
    public void In_open_air_less_of_an_additive_goes_in_and_slows_less()
    {
        var bond = new AdditiveProduct("Bond", Some, 0.06, 0.03, new(0.08, Source.Assumption));
        Assert.Equal(new Additive(0.06, 0.08, "Bond"), bond.In(openAir: false));
        Assert.Equal(new Additive(0.03, 0.04, "Bond"), bond.In(openAir: true));
        Assert.Equal(0.08, (bond with { OpenAirGramsPerGram = 0.1 }).In(true).Slows);
    }

    [Theory]
    [InlineData(21.0, 20.0, false)]
    [InlineData(20.0, 20.0, true)]
    [InlineData(null, 20.0, false)]
    [InlineData(5.0, null, false)]
    public void Low_is_at_the_mark_or_below(double? left, double? mark, bool low) =>
        Assert.Equal(low, new Stock(OnHand: left, LowAt: mark).IsLow);

    [Fact]
    public void Cost_is_of_what_has_a_price_and_nothing_where_nothing_has()
    {
        Product[] shelf = [Clay with { Name = "A", Stock = Some }, Clay with { Name = "B", Stock = new() }];
        Assert.Equal(3, MixStock.Cost(new Dictionary<string, double> { ["A"] = 30, ["B"] = 30 }, shelf)!.Value, 1e-9);
        Assert.Null(MixStock.Cost(new Dictionary<string, double> { ["B"] = 30 }, shelf));
    }

    [Fact]
    public void A_coat_takes_what_its_way_of_laying_takes()
    {
        var panel = Given.Bare.Panels.First(p => p.Panel.Key.Zone == Zone.UpperBack).Panel;
        double Coat(PanelPaint paint) => Amounts.CoatOn(PaintedPanel.On(panel, paint, 1));
        var plain = PanelPaint.Usual;
        Assert.Equal(2.2, Coat(plain));
        Assert.Equal(2.5, Coat(plain with { Face = Face.Both }));
        Assert.Equal(1.9, Coat(plain with { Face = Face.Both, Covering = Covering.Foil }));
        Assert.Equal(2.3, Coat(plain with { Teasing = Teasing.Light }));
        Assert.Equal(1.5, Coat(plain with { Shape = new Shape.Scrunch(), Covering = Covering.Foil }));
    }

    [Fact]
    public void What_lies_ready_follows_hair_frame_heat_and_bowls()
    {
        var head = Given.Bare.Apply(new PaintZone(Zone.UpperBack, PanelPaint.Usual with { Covering = Covering.Film }));
        var keys = head.Panels.Where(p => p.Coats.Count > 0).Select(p => p.Panel.Key).ToArray();
        Batch Bowl(FormulaId formula, double from, double to) =>
            new(formula, 1, 20, 0, from, from + 3, to, from + 28, keys, 20);
        IReadOnlyList<TrayItem> Of(HairProfile hair, params Batch[] bowls) => Tray.Of(head.Panels, hair, bowls, 4);
        int Count(IReadOnlyList<TrayItem> tray, string id) => tray.SingleOrDefault(t => t.Id == id)?.Count ?? 0;

        Assert.Equal(2, Count(Of(HairProfile.Usual, Bowl(FormulaId.A, 0, 20), Bowl(FormulaId.B, 10, 30)), "bowls"));
        Assert.Equal(1, Count(Of(HairProfile.Usual, Bowl(FormulaId.A, 0, 20), Bowl(FormulaId.B, 20, 30)), "bowls"));
        Assert.Equal(8, Count(Of(HairProfile.Usual), "clips"));
        Assert.Contains(Of(HairProfile.Usual with { Curl = Curl.Coily }), t => t.Words == "Wide comb");
        Assert.Contains(Of(HairProfile.Usual with { GreyShare = 0.3 }), t => t.Id == "smallBrush");
        Assert.DoesNotContain(Of(HairProfile.Usual), t => t.Id == "heat");
        var sheets = Of(HairProfile.Usual).Where(t => t.Id.StartsWith("film", StringComparison.Ordinal)).ToArray();
        var rows = keys.Select(k => k.Row).Distinct().Count();
        Assert.InRange(sheets.Sum(t => t.Count), rows, rows + 3);

        // Foil is one a panel, in three lengths at most; film beneath is laid out like film above.
        var foiled = head.Apply([
            .. ZoneFacts.All.Select(z =>
                (PlanEdit)new PaintZone(z, PanelPaint.Usual with { Covering = Covering.Foil })
            ),
        ]);
        var foils = Tray.Of(foiled.Panels, HairProfile.Usual, [], 4)
            .Where(t => t.Id.StartsWith("foil", StringComparison.Ordinal))
            .ToArray();
        Assert.InRange(foils.Length, 2, 3);
        Assert.InRange(foils.Sum(t => t.Count), foiled.Panels.Count, foiled.Panels.Count * 1.3);
        // Of every kind one in eight is to spare, and one at least.
        var kinds = foils.Select(t => (Said: int.Parse(t.Why.Split(' ')[0]), t.Count)).ToArray();
        Assert.Equal(foiled.Panels.Count, kinds.Sum(k => k.Said));
        Each.Of(kinds, k => Assert.Equal(k.Said + (int)Math.Ceiling(k.Said / 8.0), k.Count));
        var beneath = Given.Bare.Apply(
            new PaintZone(Zone.UpperBack, PanelPaint.Usual),
            new SetHandling(keys, LiesOn: LiesOn.Film)
        );
        Assert.Contains(
            Tray.Of(beneath.Panels, HairProfile.Usual, [], 4),
            t => t.Id.StartsWith("film", StringComparison.Ordinal)
        );
        var warm = head.Apply(new SetFormula(Formula.Usual with { LowHeat = true }));
        Assert.Contains(Tray.Of(warm.Panels, HairProfile.Usual, [], 4), t => t.Id == "heat");
    }
}
