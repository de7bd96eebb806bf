using System.Runtime.InteropServices;
using Wendro.Blend;
using Wendro.Colour;
using Wendro.Host.Pipeline;
using Wendro.Units;

namespace Wendro.Host.Paint;

/// <summary>Colours hair is drawn in.</summary>
/// <param name="Levels">Natural hair, one a tenth of a level, 1.0 to 10.0.</param>
/// <param name="ShineGain">Share of a full white highlight added, linear light.</param>
/// <param name="Red">How light each of 128 shades makes red, a factor on linear light.</param>
/// <param name="Green">The same of green.</param>
/// <param name="Blue">The same of blue.</param>
/// <param name="Knee">How light beyond white bends down: light / (1 + knee × light).</param>
internal sealed record ColoursView(
    IReadOnlyList<string> Levels,
    double ShineGain,
    IReadOnlyList<double> Red,
    IReadOnlyList<double> Green,
    IReadOnlyList<double> Blue,
    double Knee
);

/// <summary>What hair's levels and tints look like, as tables a client colours by.</summary>
internal static class ColourEndpoints
{
    private const string Bytes = "application/octet-stream";

    public static void MapColours(this IEndpointRouteBuilder app)
    {
        var colours = app.MapGroup("/api/colours").WithTags("Shell");
        colours
            .MapGet(
                "",
                () =>
                    new ColoursView(
                        Enumerable.Range(0, 91).Select(i => LevelColours.Hex(1 + i / 10.0)).ToArray(),
                        Picture.ShineGain,
                        LevelColours.ShadeCurves.Red,
                        LevelColours.ShadeCurves.Green,
                        LevelColours.ShadeCurves.Blue,
                        LevelColours.Knee
                    )
            )
            .WithName("GetColours")
            .WithSummary("Colours of the levels, a tenth apart, and what shade makes of a colour");
        colours
            .MapGet(
                "/tints",
                (double? tone) => Results.Bytes(MemoryMarshal.AsBytes(PaletteOf(tone).All().AsSpan()).ToArray(), Bytes)
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetTints")
            .WithSummary(
                "Linear light by tint and level byte, uint16, tints × 256 × 3: raw, or with a tone (−1 cool .. 1 warm) "
                    + "as wished after toning"
            );
        colours
            .MapGet(
                "/table",
                (double? tone) =>
                    Results.Bytes(
                        MemoryMarshal.AsBytes(LevelColours.Table(CheckedTone(tone) ?? 0).AsSpan()).ToArray(),
                        Bytes
                    )
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetColourTable")
            .WithSummary(
                "Linear light by level byte and shade, uint16, 256 × 128 × 3; tone −1 cool .. 1 warm for a wish"
            );
    }

    private static double? CheckedTone(double? tone) =>
        tone is null or (>= -1 and <= 1)
            ? tone
            : throw new BadInputException([new Problem("tone", "Between −1, cool, and 1, warm.")]);

    /// <summary>Colours as they are, or toned as wished: −1 cool .. 1 warm.</summary>
    internal static Palette PaletteOf(double? tone) =>
        CheckedTone(tone) is { } goal ? Palette.AsToned(goal) : Palette.Raw;
}
