using System.Text.Json.Serialization;
using Wendro.Colour;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>
/// A formula as it is sent and stored: lightener and deposit side by side, told apart by whether there is a level to
/// colour to.
/// </summary>
/// <param name="Id">Which.</param>
/// <param name="Lightener">What lightens; says nothing for a deposit, but has always been written.</param>
/// <param name="Volume">Developer.</param>
/// <param name="Minutes">Until it is rinsed.</param>
/// <param name="DepositLevel">The level it colours to; nothing for a lightener.</param>
/// <param name="Consistency">How it holds.</param>
/// <param name="LightenerParts">Parts of lightener or colour.</param>
/// <param name="DeveloperParts">Parts of developer.</param>
/// <param name="Product">Which lightener of the shelf.</param>
/// <param name="Figures">What its leaflet and the studio say of it.</param>
/// <param name="Second">A second lightener.</param>
/// <param name="Additive">A bond additive.</param>
/// <param name="Shades">What a deposit is made of.</param>
/// <param name="LowHeat">Low heat on it.</param>
/// <param name="HeatConfirmed">That its leaflet allows heat was read and confirmed.</param>
/// <param name="Base">What a colour is based on; nothing for a demi.</param>
/// <param name="Reflect">A colour's reflect where no shades are told; nothing for natural.</param>
public sealed record FormulaAsSent(
    FormulaId Id,
    Lightener Lightener,
    Volume Volume,
    Minutes Minutes,
    Level? DepositLevel = null,
    Consistency Consistency = Consistency.Right,
    double LightenerParts = 1,
    double DeveloperParts = 1.5,
    string? Product = null,
    LightenerFigures? Figures = null,
    SecondLightener? Second = null,
    Additive? Additive = null,
    ShadeMix? Shades = null,
    bool LowHeat = false,
    bool HeatConfirmed = false,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] ColourBase? Base = null,
    [property: JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)] Reflect? Reflect = null
)
{
    /// <summary>A formula as it is sent.</summary>
    public static FormulaAsSent Of(Formula formula)
    {
        ArgumentNullException.ThrowIfNull(formula);
        return new(
            formula.Id,
            formula.Light?.Lightener ?? Lightener.Clay,
            formula.Volume,
            formula.Minutes,
            formula.Deposit?.Level,
            formula.Consistency,
            formula.Parts,
            formula.DeveloperParts,
            formula.Light?.Product,
            formula.Light?.Figures,
            formula.Light?.Second,
            formula.Light?.Additive,
            formula.Deposit?.Shades,
            formula.LowHeat,
            formula.HeatConfirmed,
            formula.Deposit is { Base: not ColourBase.Demi } based ? based.Base : null,
            formula.Deposit is { Reflect: not Wendro.Colour.Reflect.Natural } reflects ? reflects.Reflect : null
        );
    }

    /// <summary>The formula it says. What a deposit can't have, and what a lightener can't, is left away.</summary>
    /// <exception cref="UnreadableException">It has shades but no level to colour to.</exception>
    public Formula ToFormula() =>
        new(Id, Mixture(), Volume, Minutes, Consistency, LightenerParts, DeveloperParts, LowHeat, HeatConfirmed);

    private Mixture Mixture() =>
        (DepositLevel, Shades) switch
        {
            ({ } level, _) => new DepositMixture(
                level,
                Shades,
                Base ?? ColourBase.Demi,
                Reflect ?? Wendro.Colour.Reflect.Natural
            ),
            (null, null) => new LightenerMixture(Lightener, Product, Figures, Second, Additive),
            (null, _) => throw new UnreadableException("Shades belong to a deposit: give it a level.", ".shades"),
        };
}
