using Wendro.Colour;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Photographs;

namespace Wendro.Tests.Photographs;

/// <summary>Levels read off photographs made of known levels, under three lights.</summary>
public sealed class PhotoReadingTests
{
    private static readonly Lazy<IReadOnlyList<MadeUpPatch>> Patches = new(() =>
        MadeUpPhotographs.Many(Given.Usual.Seen(Wear.Down, 0), Given.Usual.OnHead.Lengths.Length, 8, 11)
    );

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void With_a_grey_card_half_of_the_readings_lie_within_four_tenths_of_a_level(bool rendered)
    {
        var found = MadeUpPhotographs.Read(Patches.Value.Where(p => p.IsRendered == rendered), Reference.GreyCard);
        Assert.True(found.MedianError <= 0.4, $"{found}");
    }

    [Fact]
    public void Without_a_card_the_band_is_wider_and_holds_what_it_says()
    {
        var with = MadeUpPhotographs.Read(Patches.Value, Reference.GreyCard);
        var without = MadeUpPhotographs.Read(Patches.Value, Reference.None);
        Assert.True(without.Band > 1.3 * with.Band, $"{with} {without}");
        Assert.True(without.Within is >= 0.75 and <= 0.95, $"{without}");
    }

    [Fact]
    public void The_light_of_the_room_makes_no_difference_where_something_neutral_tells_it()
    {
        var (r, g, b) = LevelColours.Lifted(7);
        double At((double R, double G, double B) light, Reference reference) =>
            PhotoReading
                .Of(
                    new(r * light.R * 0.6, g * light.G * 0.6, b * light.B * 0.6),
                    reference,
                    new(0.18 * light.R, 0.18 * light.G, 0.18 * light.B)
                )
                .Level;
        foreach (var light in MadeUpPhotographs.Lights)
        {
            Assert.Equal(At((1, 1, 1), Reference.GreyCard), At(light, Reference.GreyCard), 0.02);
            Assert.Equal(7, At(light, Reference.GreyCard), 0.25);
            Assert.Equal(7, At(light, Reference.Neutral), 0.4);
        }

        // A warm lamp nobody told of makes hair look warmer, and the guess wrong.
        Assert.NotEqual(At((1, 1, 1), Reference.None), At(MadeUpPhotographs.Lights[1], Reference.None), 1);
    }

    [Fact]
    public void Shine_and_shadow_are_left_away_and_what_is_burnt_is_known()
    {
        var srgb = new byte[300];
        for (var i = 0; i < 100; i++)
        {
            // Twenty shine white, twenty lie black; the rest is one colour.
            byte[] pixel =
                i < 20 ? [255, 255, 255]
                : i < 40 ? [0, 0, 0]
                : [120, 90, 60];
            pixel.CopyTo(srgb, i * 3);
        }

        var patch = PatchLight.Of(srgb);
        Assert.Equal(PatchLight.Of([120, 90, 60]).R, patch.R, 1e-9);
        Assert.Equal(PatchLight.Of([120, 90, 60]).B, patch.B, 1e-9);
        Assert.False(patch.IsBurnt || patch.IsDark);
        Assert.True(PatchLight.Of([255, 200, 100]).IsBurnt);
        Assert.True(PatchLight.Of([4, 3, 2]).IsDark);
    }

    [Fact]
    public void Whatever_the_colour_the_level_lies_on_the_scale_and_in_its_band()
    {
        foreach (
            var light in new[]
            {
                new PatchLight(0, 1, 0),
                new(0.01, 0.9, 0.9),
                new(0.9, 0.01, 0.01),
                new(0.5, 0.5, 0.5),
            }
        )
        {
            foreach (var reference in Enum.GetValues<Reference>())
            {
                var read = PhotoReading.Of(light, reference, new(0.2, 0.2, 0.2));
                Assert.True(double.IsFinite(read.Level) && read.Level is >= 1 and <= 10);
                Assert.True(read.From <= read.Level && read.Level <= read.To);
                Assert.True(read.Spread >= PhotoReading.LeastSpread);
            }
        }
    }
}
