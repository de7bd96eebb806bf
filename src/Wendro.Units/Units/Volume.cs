namespace Wendro.Units;

/// <summary>Developer strength in the trade's volumes: 10 vol = 3 % peroxide, 20 = 6, 30 = 9, 40 = 12.</summary>
/// <remarks>Unit: volume. Range 5..40; outside it the lift tables say nothing. Source: trade.</remarks>
public readonly record struct Volume : IComparable<Volume>, IFormattable
{
    /// <summary>The weakest developer the tables cover.</summary>
    public const double Weakest = 5;

    /// <summary>The strongest developer the tables cover.</summary>
    public const double Strongest = 40;

    /// <summary>The nearest that the tables cover: sums of weights miss their mark by the last digit.</summary>
    public static Volume Clamp(double value) => new(Math.Clamp(value, Weakest, Strongest));

    /// <exception cref="ArgumentOutOfRangeException">Not a number, or outside 5..40.</exception>
    public Volume(double value)
    {
        if (!IsValid(value))
        {
            throw new ArgumentOutOfRangeException(nameof(value), value, "A developer lies between 5 and 40 vol.");
        }

        Value = value;
    }

    /// <summary>The strength as a number, 5..40.</summary>
    public double Value { get; }

    /// <summary>The number alone, to reckon with.</summary>
    public static implicit operator double(Volume volume) => volume.Value;

    /// <summary>What it can be.</summary>
    public static WithinAttribute Bounds { get; } = new(Weakest, Strongest, "vol");

    /// <summary>Whether a number is a strength the tables cover.</summary>
    public static bool IsValid(double value) => Bounds.Holds(value);

    /// <inheritdoc/>
    public override string ToString() => $"{Value:0.#} vol";

    /// <summary>The number written as a format says.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) =>
        string.IsNullOrEmpty(format) ? ToString() : Value.ToString(format, formatProvider);

    /// <inheritdoc/>
    public int CompareTo(Volume other) => Value.CompareTo(other.Value);

    /// <summary>Less than.</summary>
    public static bool operator <(Volume a, Volume b) => a.Value < b.Value;

    /// <summary>More than.</summary>
    public static bool operator >(Volume a, Volume b) => a.Value > b.Value;

    /// <summary>Less than or equal.</summary>
    public static bool operator <=(Volume a, Volume b) => a.Value <= b.Value;

    /// <summary>More than or equal.</summary>
    public static bool operator >=(Volume a, Volume b) => a.Value >= b.Value;
}
