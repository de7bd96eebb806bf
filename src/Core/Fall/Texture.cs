using Wendro.Core.Hair;

namespace Wendro.Core.Fall;

/// <summary>The wave that hair of a curl carries when it hangs. Model assumption.</summary>
/// <param name="SwingCm">How far it swings to each side, cm.</param>
/// <param name="ShortestCm">Shortest wave, cm; locks differ up to two centimetres and a bit.</param>
/// <param name="SpreadCm">How much longer the longest wave is, cm.</param>
/// <param name="Depth">Share of the swing that also goes in and out.</param>
/// <param name="FromCm">Where it begins, cm from the scalp.</param>
/// <param name="ToCm">Where it has its full swing, cm.</param>
/// <param name="CentreLine">How long the middle line is against the strand: waves shorten.</param>
/// <param name="Volume">How much more room it takes than straight hair.</param>
internal sealed record Texture(
    float SwingCm, float ShortestCm, float SpreadCm, float Depth, float FromCm, float ToCm, float CentreLine, float Volume)
{
    /// <summary>A wave so slight that nobody calls it one.</summary>
    private static readonly Texture Straight = new(0.28f, 13, 4, 0, 7, 16, 1, 1);

    private static readonly Texture Wavy = new(0.85f, 8.5f, 2, 0.45f, 2, 11, 0.93f, 1.25f);

    /// <summary>The texture of a curl. Tighter curls than waves are not drawn yet: they show as waves.</summary>
    public static Texture Of(Curl curl) => curl == Curl.Straight ? Straight : Wavy;
}
