using System.Globalization;
using System.Text.Json;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Formats;

/// <summary>Reads the cells of one row, telling by column what can't be read.</summary>
internal sealed class CsvRow(IReadOnlyDictionary<string, string> cells, List<Problem> problems)
{
    /// <summary>What was read but can't be so: the rest of the row is looked at all the same.</summary>
    public List<Problem> Unfit { get; } = [];

    /// <summary>A text as it was before it was made harmless; null where the cell is empty.</summary>
    public string? Text(string column)
    {
        var text = cells.GetValueOrDefault(column, string.Empty);
        if (text.StartsWith('\'') && ShelfColumns.IsRun(text.TrimStart('\'')))
        {
            text = text[1..];
        }

        return text.Length == 0 ? null : text;
    }

    /// <summary>A number; null where the cell is empty.</summary>
    public double? Number(string column)
    {
        var text = cells.GetValueOrDefault(column, string.Empty).Trim();
        return text.Length == 0 ? null : Parse(column, text);
    }

    /// <summary>A number that has to be there.</summary>
    public double Needed(string column)
    {
        if (Number(column) is { } value)
        {
            return value;
        }

        Needs(column);
        return double.NaN;
    }

    /// <summary>A strength that has to be there.</summary>
    public Volume Volume(string column) => new(Within(column, Wendro.Units.Volume.Bounds));

    /// <summary>A level that has to be there.</summary>
    public Level Level(string column) => new(Within(column, Wendro.Units.Level.Bounds));

    /// <summary>A time that has to be there.</summary>
    public Minutes Minutes(string column) => new(Within(column, Wendro.Units.Minutes.Bounds));

    private double Within(string column, WithinAttribute bounds)
    {
        var value = Needed(column);
        if (!bounds.Holds(value) && !double.IsNaN(value))
        {
            Unfit.Add(bounds.Of(column));
        }

        // Refused already; what stands in for it goes nowhere.
        return bounds.Holds(value) ? value : bounds.Low;
    }

    /// <summary>Numbers with semicolons between them.</summary>
    public IReadOnlyList<double> Numbers(string column)
    {
        var text = cells.GetValueOrDefault(column, string.Empty).Trim();
        if (text.Length == 0)
        {
            Needs(column);
        }

        return text.Split(';', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries)
            .Select(t => Parse(column, t))
            .ToArray();
    }

    /// <summary>A figure and where it comes from; our assumption where it does not say.</summary>
    public Sourced Sourced(string column) => new(Needed(column), Word<Source>($"{column}Source", Source.Assumption));

    /// <summary>Yes or no; no where the cell is empty.</summary>
    public bool Whether(string column)
    {
        var text = cells.GetValueOrDefault(column, string.Empty).Trim().ToLowerInvariant();
        if (text is not ("yes" or "no" or ""))
        {
            problems.Add(new(column, "yes or no."));
        }

        return text == "yes";
    }

    /// <summary>A day; null where the cell is empty.</summary>
    public DateOnly? Date(string column)
    {
        var text = cells.GetValueOrDefault(column, string.Empty).Trim();
        if (text.Length == 0)
        {
            return null;
        }

        if (!DateOnly.TryParseExact(text, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
        {
            problems.Add(new(column, "A day as 2031-05-06."));
        }

        return day;
    }

    /// <summary>One of a few words; what is usual where the cell is empty.</summary>
    public T Word<T>(string column, T? usual = null)
        where T : struct, Enum
    {
        var text = cells.GetValueOrDefault(column, string.Empty).Trim();
        if (text.Length == 0 && usual is { } value)
        {
            return value;
        }

        var names = Enum.GetNames<T>().Select(JsonNamingPolicy.CamelCase.ConvertName).ToArray();
        if (Array.IndexOf(names, text) is >= 0 and var at)
        {
            return Enum.GetValues<T>()[at];
        }

        problems.Add(new(column, $"One of {string.Join(", ", names)}."));
        return default;
    }

    private double Parse(string column, string text)
    {
        if (
            double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
            && double.IsFinite(value)
        )
        {
            return value;
        }

        problems.Add(new(column, "A number with a point, such as 1.5."));
        return double.NaN;
    }

    private void Needs(string column) => problems.Add(new(column, "This is needed."));
}
