using SkiaSharp;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Units;

namespace Wendro.Bench;

/// <summary>
/// The same strands drawn by a general drawing library: farthest first, piece by piece, each in its level's colour,
/// twice sideways.
/// </summary>
internal static class SkiaHead
{
    public static void Draw(FallenHair hair, byte[] levels, View view)
    {
        using var surface = SKSurface.Create(
            new SKImageInfo(View.Width * View.Across, View.Height, SKColorType.Rgba8888)
        );
        var canvas = surface.Canvas;
        canvas.Clear(new SKColor(0xE6, 0xE6, 0xE3));
        using var paint = new SKPaint
        {
            IsAntialias = true,
            StrokeWidth = 2.2f,
            Style = SKPaintStyle.Stroke,
        };
        var p = hair.Each;
        var n = hair.Strands.Count;
        var order = Enumerable.Range(0, n).OrderByDescending(i => view.Project(hair.Points[i * p + p / 2]).Z).ToArray();
        var colours = Enumerable
            .Range(0, 256)
            .Select(l =>
            {
                var (r, g, b) = LevelColours.Linear(Level.FromByte((byte)l));
                return new SKColor(LevelColours.Encode(r), LevelColours.Encode(g), LevelColours.Encode(b));
            })
            .ToArray();
        foreach (var i in order)
        {
            var a = view.Project(hair.Points[i * p]);
            for (var k = 1; k < p; k++)
            {
                var b = view.Project(hair.Points[i * p + k]);
                paint.Color = colours[
                    levels[i * Places.Count + (int)(Places.NumberOf(hair.Shares[k]) * (Places.Count - 1))]
                ];
                canvas.DrawLine(a.X, a.Y, b.X, b.Y, paint);
                a = b;
            }
        }

        canvas.Flush();
    }
}
