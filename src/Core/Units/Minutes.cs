namespace Wendro.Core.Units;

/// <summary>A length of time in minutes.</summary>
/// <remarks>Unit: minute. Range 0..600, decimals allowed.</remarks>
public readonly record struct Minutes
{
    /// <summary>The longest time anything here is asked about.</summary>
    public const double Longest = 600;

    /// <exception cref="ArgumentOutOfRangeException">Not a number, or outside 0..600.</exception>
    public Minutes(double value)
    {
        if (!IsValid(value))
        {
            throw new ArgumentOutOfRangeException(nameof(value), value, "Minutes lie between 0 and 600.");
        }

        Value = value;
    }

    /// <summary>The number of minutes, 0..600.</summary>
    public double Value { get; }

    /// <summary>Whether a number is a time the tables cover.</summary>
    public static bool IsValid(double value) => value is >= 0 and <= Longest;
}
