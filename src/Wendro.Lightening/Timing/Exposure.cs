using Wendro.Units;

namespace Wendro.Timing;

/// <summary>How long a product works on the hair it lies on, and from when.</summary>
/// <param name="From">When it was laid, minutes into the work.</param>
/// <param name="For">How long it works until it is rinsed, minutes.</param>
public readonly record struct Exposure(Minutes From, Minutes For)
{
    /// <summary>One that counts from its own laying.</summary>
    public static Exposure Lasting(double minutes) => new(new(0), new(minutes));

    /// <summary>When it is rinsed, minutes into the work.</summary>
    public double RinsedAt => From.Value + For.Value;

    /// <summary>
    /// How long it has worked some minutes after it was laid, minutes; never longer than it is left on.
    /// </summary>
    public double After(double minutes) => Math.Clamp(minutes, 0, For.Value);

    /// <summary>How long it has worked at a minute of the work, minutes; nothing before it was laid.</summary>
    public double At(double minute) => After(minute - From.Value);
}
