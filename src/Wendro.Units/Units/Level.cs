namespace Wendro.Units;

/// <summary>How light hair is on the trade's scale: 1 black to 10 lightest blonde, decimals allowed.</summary>
/// <remarks>Unit: level. Range 1..10. Source: trade.</remarks>
public readonly record struct Level : IComparable<Level>, IFormattable
{
    /// <summary>The darkest level, 1.</summary>
    public const double Darkest = 1;

    /// <summary>The lightest level, 10.</summary>
    public const double Lightest = 10;

    /// <exception cref="ArgumentOutOfRangeException">Not a number, or outside 1..10.</exception>
    public Level(double value)
    {
        if (!IsValid(value))
        {
            throw new ArgumentOutOfRangeException(nameof(value), value, "A level lies between 1 and 10.");
        }

        Value = value;
    }

    /// <summary>The level as a number, 1..10.</summary>
    public double Value { get; }

    /// <summary>The number alone, to reckon with.</summary>
    public static implicit operator double(Level level) => level.Value;

    /// <summary>What it can be.</summary>
    public static WithinAttribute Bounds { get; } = new(Darkest, Lightest);

    /// <summary>Whether a number is a level at all.</summary>
    public static bool IsValid(double value) => Bounds.Holds(value);

    /// <summary>The nearest level to any finite number.</summary>
    public static Level Clamp(double value) => new(Math.Clamp(value, Darkest, Lightest));

    /// <summary>One byte for a level: round((L − 1)·255/9).</summary>
    public static byte ToByte(double level) => (byte)Math.Clamp((int)((level - 1) * (255.0 / 9) + 0.5), 0, 255);

    /// <summary>The level a byte stands for.</summary>
    public static double FromByte(byte value) => 1 + value * (9.0 / 255);

    /// <inheritdoc/>
    public int CompareTo(Level other) => Value.CompareTo(other.Value);

    /// <inheritdoc/>
    public override string ToString() => Value.ToString("0.0");

    /// <summary>Darker than.</summary>
    public static bool operator <(Level a, Level b) => a.Value < b.Value;

    /// <summary>Lighter than.</summary>
    public static bool operator >(Level a, Level b) => a.Value > b.Value;

    /// <summary>Darker than or equal.</summary>
    public static bool operator <=(Level a, Level b) => a.Value <= b.Value;

    /// <summary>Lighter than or equal.</summary>
    public static bool operator >=(Level a, Level b) => a.Value >= b.Value;

    /// <summary>The number written as a format says.</summary>
    public string ToString(string? format, IFormatProvider? formatProvider) =>
        string.IsNullOrEmpty(format) ? ToString() : Value.ToString(format, formatProvider);
}
