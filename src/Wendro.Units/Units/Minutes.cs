namespace Wendro.Units;

/// <summary>A length of time in minutes.</summary>
/// <remarks>Unit: minute. Range 0..600, decimals allowed.</remarks>
public readonly record struct Minutes : IComparable<Minutes>, IFormattable
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

    /// <summary>The number alone, to reckon with.</summary>
    public static implicit operator double(Minutes minutes) => minutes.Value;

    /// <summary>What it can be.</summary>
    public static WithinAttribute Bounds { get; } = new(0, Longest, "min");

    /// <summary>Whether a number is a time the tables cover.</summary>
    public static bool IsValid(double value) => Bounds.Holds(value);

    /// <inheritdoc/>
    public override string ToString() => $"{Value:0.#} min";

    /// <summary>The number written as a format says.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) =>
        string.IsNullOrEmpty(format) ? ToString() : Value.ToString(format, formatProvider);

    /// <inheritdoc/>
    public int CompareTo(Minutes other) => Value.CompareTo(other.Value);

    /// <summary>Less than.</summary>
    public static bool operator <(Minutes a, Minutes b) => a.Value < b.Value;

    /// <summary>More than.</summary>
    public static bool operator >(Minutes a, Minutes b) => a.Value > b.Value;

    /// <summary>Less than or equal.</summary>
    public static bool operator <=(Minutes a, Minutes b) => a.Value <= b.Value;

    /// <summary>More than or equal.</summary>
    public static bool operator >=(Minutes a, Minutes b) => a.Value >= b.Value;
}
