using CsCheck;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Tests.Mix;

public sealed class MixTests
{
    private static readonly Gen<Volume> AnyVolume = Gen.Double[5, 40].Select(v => new Volume(v));

    [Fact]
    public void A_developer_in_between_hits_its_strength_and_its_mass() =>
        Gen.Select(AnyVolume, Gen.Double[1, 500], AnyVolume.Array[1, 6])
            .Sample(
                (wanted, grams, available) =>
                {
                    var parts = Developer.Blend(wanted, grams, available);
                    var inside =
                        available.Min(v => v.Value) <= wanted.Value && wanted.Value <= available.Max(v => v.Value);
                    Assert.Equal(inside, parts is not null);
                    if (parts is not null)
                    {
                        Assert.Equal(grams, parts.Sum(p => p.Grams), 1e-9 * grams);
                        Assert.Equal(wanted.Value, Developer.VolumeOf(parts), 1e-9);
                        Each.Of(parts, p => Assert.True(p.Grams >= 0 && available.Contains(p.Volume)));
                        Assert.True(parts.Count <= 2);
                    }
                }
            );

    [Fact]
    public void Twenty_five_from_twenty_and_forty_is_three_to_one()
    {
        var parts = Developer.Blend(new Volume(25), 60, [new Volume(40), new Volume(20), new Volume(10)])!;
        Assert.Equal([(20, 45), (40, 15)], parts.Select(p => (p.Volume.Value, p.Grams)));
        Assert.Null(Developer.Blend(new Volume(15), 60, [new Volume(20), new Volume(40)]));
        Assert.Equal(0, Developer.VolumeOf([]));
    }

    [Fact]
    public void A_batch_has_its_ratio_and_its_mass() =>
        Gen.Select(Gen.Double[0.1, 500], Gen.Double[0.1, 9], Gen.Double[0.1, 9])
            .Sample(
                (grams, l, d) =>
                {
                    var bowl = new Ratio(l, d).Of(grams);
                    Assert.Equal(grams, bowl.TotalGrams, 1e-9 * grams);
                    Assert.Equal(d / l, bowl.DeveloperGrams / bowl.LightenerGrams, 1e-6 * d / l);
                }
            );

    [Fact]
    public void A_rescue_restores_the_ratio_adds_one_part_only_and_says_whether_it_fits() =>
        Gen.Select(
                Gen.Double[0.1, 9],
                Gen.Double[0.1, 9],
                Gen.Double[0.1, 200],
                Gen.Double[0.1, 200],
                Gen.Double[1, 600]
            )
            .Sample(
                (l, d, lightener, developer, holds) =>
                {
                    var rescue = new Ratio(l, d).Restore(new Bowl(lightener, developer), holds);
                    Assert.Equal(
                        d / l,
                        (developer + rescue.AddDeveloperGrams) / (lightener + rescue.AddLightenerGrams),
                        1e-6 * d / l
                    );
                    Assert.True(rescue.AddLightenerGrams == 0 || rescue.AddDeveloperGrams == 0);
                    Assert.Equal(
                        lightener + developer + rescue.AddLightenerGrams + rescue.AddDeveloperGrams,
                        rescue.TotalGrams,
                        1e-9
                    );
                    Assert.Equal(rescue.TotalGrams <= holds, rescue.Fits);
                    Assert.Equal(developer / lightener, rescue.RatioNow, 1e-12);
                }
            );
}
