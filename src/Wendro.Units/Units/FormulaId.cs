namespace Wendro.Units;

/// <summary>Which of a plan's mixtures: a letter, A to H.</summary>
public readonly record struct FormulaId : IComparable<FormulaId>
{
    private readonly byte number;

    /// <exception cref="ArgumentOutOfRangeException">Not one of A to H.</exception>
    public FormulaId(char letter)
    {
        if (letter is < First or > Last)
        {
            throw new ArgumentOutOfRangeException(nameof(letter), letter, Called);
        }

        number = (byte)(letter - First);
    }

    /// <summary>The first: what a plan begins with.</summary>
    public static FormulaId A { get; } = new('A');

    /// <summary>The second.</summary>
    public static FormulaId B { get; } = new('B');

    /// <summary>The third.</summary>
    public static FormulaId C { get; } = new('C');

    /// <summary>The fourth.</summary>
    public static FormulaId D { get; } = new('D');

    /// <summary>The fifth.</summary>
    public static FormulaId E { get; } = new('E');

    /// <summary>The first letter there is.</summary>
    public const char First = 'A';

    /// <summary>The last letter there is.</summary>
    public const char Last = 'H';

    /// <summary>What is said of a letter that is none.</summary>
    public const string Called = "A formula is called by a letter, A to H.";

    /// <summary>All there can be.</summary>
    public static IReadOnlyList<FormulaId> All { get; } =
        Enumerable.Range(First, Last - First + 1).Select(c => new FormulaId((char)c)).ToArray();

    /// <summary>Its letter.</summary>
    public char Letter => (char)(First + number);

    /// <summary>Reads a letter; null if it is none of them.</summary>
    public static FormulaId? Parse(string? text) =>
        text is { Length: 1 } && text[0] is >= First and <= Last ? new FormulaId(text[0]) : null;

    /// <inheritdoc/>
    public int CompareTo(FormulaId other) => number.CompareTo(other.number);

    /// <summary>Its letter.</summary>
    public override string ToString() => Letter.ToString();

    /// <summary>Comes before.</summary>
    public static bool operator <(FormulaId a, FormulaId b) => a.number < b.number;

    /// <summary>Comes after.</summary>
    public static bool operator >(FormulaId a, FormulaId b) => a.number > b.number;

    /// <summary>Comes before or is the same.</summary>
    public static bool operator <=(FormulaId a, FormulaId b) => a.number <= b.number;

    /// <summary>Comes after or is the same.</summary>
    public static bool operator >=(FormulaId a, FormulaId b) => a.number >= b.number;
}
