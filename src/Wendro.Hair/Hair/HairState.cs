using Wendro.Units;

namespace Wendro.Hair;

/// <summary>Hair as it is at one place before today's work: what lifting starts from.</summary>
/// <param name="Level">Its level, 1..10.</param>
/// <param name="Coloured">Whether it carries artificial colour.</param>
/// <param name="Porosity">How readily it takes product up.</param>
/// <param name="Lightened">Whether it was lightened before: lifting it again is overlap.</param>
/// <param name="Lifted">How much of lifted hair's raw colour it shows, 0 as it grew .. 1.</param>
public readonly record struct HairState(
    double Level,
    bool Coloured,
    Porosity Porosity,
    bool Lightened = false,
    double Lifted = 0
)
{
    /// <summary>
    /// How raw hair looks that was lightened, and toned, some time ago, where nobody judged it: its tone has half
    /// gone. Model assumption.
    /// </summary>
    private const double FadedTone = 0.5;

    /// <summary>How raw old colour looks where it was judged as warm as can be. Model assumption.</summary>
    private const double WarmColour = 0.4;

    /// <summary>
    /// Neighbouring strands that old stripes take together: about as wide as a woven piece. Model assumption.
    /// </summary>
    private const int Stripe = 10;

    private const int StripeSalt = 60;

    /// <summary>All states a head of hair is in: first what no band touched, then each band's.</summary>
    public static HairState[] Of(HairProfile hair)
    {
        ArgumentNullException.ThrowIfNull(hair);
        var bands = hair.Bands;
        var states = new HairState[bands.Count + 1];

        // Told band by band, what lies between old stripes is as it grew; untold, the profile's own word stands for
        // all of it.
        states[0] = new(hair.NaturalLevel, hair.Coloured && bands.Count == 0, hair.Porosity);
        for (var i = 0; i < bands.Count; i++)
        {
            states[i + 1] = Of(bands[i], hair.Porosity);
        }

        return states;
    }

    /// <summary>The state of a band.</summary>
    /// <param name="band">The band.</param>
    /// <param name="porosity">How readily the hair takes product up where the band says nothing else.</param>
    public static HairState Of(Band band, Porosity porosity)
    {
        ArgumentNullException.ThrowIfNull(band);
        return new(
            band.Level,
            band.State == BandState.Coloured,
            band.Porosity ?? porosity,
            band.State == BandState.Lightened,
            RawOf(band)
        );
    }

    private static double RawOf(Band band) =>
        band.State switch
        {
            BandState.Lightened => FadedTone * (1 + (band.Warmth ?? 0)),
            BandState.Coloured => WarmColour * Math.Max(0, band.Warmth ?? 0),
            BandState.Natural => 0,
        };

    /// <summary>
    /// Whether a strand is one of those that a band with this share was done to: the same strands in every band.
    /// </summary>
    public static bool IsTreated(int strand, double share) =>
        share >= 1 || Hash.Unit(strand / Stripe, StripeSalt) < share;
}
