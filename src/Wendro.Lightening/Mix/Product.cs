using System.Text.Json.Serialization;
using Wendro.Colour;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Mix;

/// <summary>Where a figure comes from: the product's leaflet, the trade, or our own assumption.</summary>
public enum Source
{
    Leaflet,
    Trade,
    Assumption,
}

/// <summary>A figure and where it comes from.</summary>
public sealed record Sourced(double Value, Source Source);

/// <summary>What stock is counted in.</summary>
public enum StockUnit
{
    Gram,
    Millilitre,
    Sheet,
}

/// <summary>What kind of colour a shade is.</summary>
public enum ShadeBase
{
    AcidGloss,
    Demi,
    Permanent,
}

/// <summary>How much of a product there is, and what it costs.</summary>
/// <param name="Unit">What it is counted in; a millilitre of developer weighs a gram.</param>
/// <param name="Price">Price of one unit in the studio's money; null where nobody noted it.</param>
/// <param name="OnHand">Units there are; null where it is not counted.</param>
/// <param name="LowAt">Units at which it runs low; null for no mark.</param>
/// <param name="Lot">The maker's lot.</param>
/// <param name="OpenedOn">When it was opened.</param>
public sealed record Stock(
    StockUnit Unit = StockUnit.Gram,
    [property: Within(0, 10_000, "a unit")] double? Price = null,
    [property: Within(0, 1_000_000, "units")] double? OnHand = null,
    [property: Within(0, 1_000_000, "units")] double? LowAt = null,
    string? Lot = null,
    DateOnly? OpenedOn = null
)
{
    /// <summary>Whether it is at its mark or below.</summary>
    public bool IsLow => OnHand is { } left && LowAt is { } mark && left <= mark;
}

/// <summary>A product the studio owns; its name is its own on the shelf.</summary>
/// <param name="Name">What it is called, up to 60 characters.</param>
/// <param name="Stock">How much there is.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(LightenerProduct), "lightener")]
[JsonDerivedType(typeof(DeveloperProduct), "developer")]
[JsonDerivedType(typeof(ShadeProduct), "shade")]
[JsonDerivedType(typeof(AdditiveProduct), "additive")]
[JsonDerivedType(typeof(CoveringProduct), "covering")]
public abstract record Product(string Name, Stock Stock);

/// <summary>A lightener.</summary>
/// <param name="Type">What it is made of.</param>
/// <param name="RatedLevels">Most it lifts at full strength, levels, 1..10.</param>
/// <param name="DryingMinutes">Time constant of its film drying in open air, minutes, 2..200.</param>
/// <param name="WorkingMinutes">Time constant of its lift, equivalent minutes at 25 °C, 4..100.</param>
/// <param name="Swells">Whether it swells while it works.</param>
/// <param name="ScalpSafe">Whether its leaflet allows it on the scalp.</param>
/// <param name="HeatAllowed">Whether its leaflet allows heat.</param>
/// <param name="LimitMinutes">Longest its leaflet allows, minutes, 5..120.</param>
/// <param name="WindowMinutes">How long a bowl of it can be painted from, minutes, 1..120.</param>
/// <param name="Ratios">Usual parts of developer to one of it, 0.1..10 each; the first is the one to start
/// from.</param>
/// <param name="ScoopGrams">What its scoop holds, g; null where it has none.</param>
public sealed record LightenerProduct(
    string Name,
    Stock Stock,
    Lightener Type,
    Sourced RatedLevels,
    Sourced DryingMinutes,
    Sourced WorkingMinutes,
    bool Swells,
    bool ScalpSafe,
    bool HeatAllowed,
    Sourced LimitMinutes,
    Sourced WindowMinutes,
    IReadOnlyList<double> Ratios,
    [property: Within(0.1, 200, "g")] double? ScoopGrams = null
) : Product(Name, Stock)
{
    /// <summary>What a formula of it is forecast with.</summary>
    public LightenerFigures Figures() =>
        new(
            RatedLevels.Value,
            DryingMinutes.Value,
            WorkingMinutes.Value,
            ScalpSafe,
            !HeatAllowed,
            Swells,
            LimitMinutes.Value,
            WindowMinutes.Value,
            LiftTables.Of(Type).ExcludesFoil
        );
}

/// <summary>A developer.</summary>
/// <param name="Volume">Its strength.</param>
public sealed record DeveloperProduct(string Name, Stock Stock, Volume Volume) : Product(Name, Stock);

/// <summary>A toner or deposit colour.</summary>
/// <param name="Depth">Its level.</param>
/// <param name="Reflect">Its reflect.</param>
/// <param name="Base">What kind of colour it is.</param>
/// <param name="DeveloperParts">Parts of developer to one of it, 0.1..10.</param>
/// <param name="DeveloperVolume">Developer it is made for.</param>
/// <param name="Minutes">How long it stays on the hair, 1..120.</param>
public sealed record ShadeProduct(
    string Name,
    Stock Stock,
    Level Depth,
    Reflect Reflect,
    ShadeBase Base,
    [property: Within(0.1, 10, "parts")] double DeveloperParts,
    Volume DeveloperVolume,
    Minutes Minutes
) : Product(Name, Stock);

/// <summary>An additive that guards the hair's bonds.</summary>
/// <param name="GramsPerGram">Dose under a covering, g to a gram of lightener, above 0..1.</param>
/// <param name="OpenAirGramsPerGram">Dose in open air, which is less, g to a gram of lightener, above 0..1.</param>
/// <param name="Slows">Share of the speed it takes at the full dose, 0..0.1.</param>
public sealed record AdditiveProduct(
    string Name,
    Stock Stock,
    [property: Within(0.001, 1, "g per g of lightener")] double GramsPerGram,
    [property: Within(0.001, 1, "g per g of lightener")] double OpenAirGramsPerGram,
    Sourced Slows
) : Product(Name, Stock)
{
    /// <summary>So much of it in a formula; the smaller dose slows less, in proportion.</summary>
    /// <param name="openAir">Whether the work stays open.</param>
    public Additive In(bool openAir) =>
        openAir
            ? new(OpenAirGramsPerGram, Slows.Value * Math.Min(1, OpenAirGramsPerGram / GramsPerGram), Name)
            : new(GramsPerGram, Slows.Value, Name);
}

/// <summary>Something to cover with.</summary>
/// <param name="Covering">What it is.</param>
/// <param name="SheetCm">Length of a sheet, cm, 5..100.</param>
public sealed record CoveringProduct(
    string Name,
    Stock Stock,
    Covering Covering,
    [property: Within(5, 100, "cm")] double SheetCm
) : Product(Name, Stock);
