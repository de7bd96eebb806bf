namespace Wendro.Units;

/// <summary>A value that can't be taken, by field.</summary>
/// <param name="Field">The field's path in the edit, e.g. paint.startCm.</param>
/// <param name="Message">What is wrong and what would do.</param>
public sealed record Problem(string Field, string Message)
{
    /// <summary>A number that is not within its bounds.</summary>
    public static Problem Outside(string field, double low, double high, string unit) =>
        new(field, $"Between {low:0.##} and {high:0.##} {unit}".TrimEnd() + ".");

    /// <summary>Notes a word that is none of those there are.</summary>
    public static void Known<T>(List<Problem> found, string field, T value)
        where T : struct, Enum
    {
        ArgumentNullException.ThrowIfNull(found);
        if (!Enum.IsDefined(value))
        {
            found.Add(
                new(
                    field,
                    $"One of {string.Join(", ", Enum.GetNames<T>().Select(n => char.ToLowerInvariant(n[0]) + n[1..]))}."
                )
            );
        }
    }

    /// <summary>Notes a text that is empty or too long.</summary>
    public static void Text(List<Problem> found, string field, string? text, int most)
    {
        ArgumentNullException.ThrowIfNull(found);
        if (string.IsNullOrWhiteSpace(text) || text.Length > most)
        {
            found.Add(new(field, $"Between 1 and {most} characters."));
        }
    }

    /// <summary>Notes a number that is not within its bounds; not a number never is.</summary>
    public static void Range(List<Problem> found, string field, double value, double low, double high, string unit)
    {
        ArgumentNullException.ThrowIfNull(found);
        if (!(value >= low && value <= high))
        {
            found.Add(Outside(field, low, high, unit));
        }
    }
}
