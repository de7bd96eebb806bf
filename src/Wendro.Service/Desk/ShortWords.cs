using System.Globalization;
using System.Text.RegularExpressions;
using Wendro.Colour;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Desk;

internal enum TokenKind
{
    Number,
    Ratio,
    Range,
    Mass,
    Strength,
    Length,
    Minutes,
    Months,
    Word,
    From,
    To,
    On,
    Bowl,
    Rinse,
    Visits,
    Coloured,
    Heat,
}

/// <summary>A typed line cut into what each piece is.</summary>
internal sealed partial class ShortWords
{
    private readonly List<Token> tokens = [];
    private readonly List<object> words = [];

    public ShortWords(string text)
    {
        // A comma between digits is a decimal one; between other things it only parts them.
        var line = DecimalComma().Replace(text.ToLowerInvariant(), "$1.$2").Replace('–', '-').Replace('×', ' ');
        foreach (var match in Pieces().Matches(line).Cast<Match>())
        {
            if (Piece(match) is { } token)
            {
                tokens.Add(token);
            }
            else
            {
                Stranger ??= match.Value.Trim();
            }
        }
    }

    /// <summary>The first piece that means nothing; null where all do.</summary>
    public string? Stranger { get; }

    /// <summary>How many pieces it has, words aside.</summary>
    public int Count => tokens.Count(t => t.Kind != TokenKind.Word);

    public (double From, double To)? Ratio =>
        tokens
            .Where(t => t.Kind == TokenKind.Ratio)
            .Select(t => ((double, double)?)(t.Value, t.Second))
            .FirstOrDefault();

    public IReadOnlyList<(double From, double To)> Ranges =>
        tokens.Where(t => t.Kind == TokenKind.Range).Select(t => (t.Value, t.Second)).ToArray();

    /// <summary>Masses, g; where what a bowl holds follows the word, it is none of them.</summary>
    public IReadOnlyList<double> Grams =>
        tokens
            .Where((t, i) => t.Kind == TokenKind.Mass && !(i > 0 && tokens[i - 1].Kind == TokenKind.Bowl))
            .Select(t => t.Value)
            .ToArray();

    /// <summary>Strengths, volume.</summary>
    public IReadOnlyList<double> Volumes => Values(TokenKind.Strength);

    public bool IsPercent => tokens.Any(t => t.Unit is "%" or "percent");

    public bool IsOunces => tokens.Any(t => t.Kind == TokenKind.Mass && t.Unit != "g");

    /// <summary>Numbers without a unit that no word claims.</summary>
    public IReadOnlyList<double> Plain =>
        tokens
            .Where((t, i) => t.Kind == TokenKind.Number && !(i > 0 && tokens[i - 1].Kind == TokenKind.Bowl))
            .Select(t => t.Value)
            .ToArray();

    public double? Minutes => First(TokenKind.Minutes);

    public double? Months => First(TokenKind.Months);

    public double? Centimetres => First(TokenKind.Length);

    public bool Has(TokenKind kind) => tokens.Any(t => t.Kind == kind);

    public bool AreOnly(params TokenKind[] kinds) => tokens.All(t => kinds.Contains(t.Kind));

    /// <summary>The number after a word; null where there is none.</summary>
    public double? After(TokenKind word)
    {
        var at = tokens.FindIndex(t => t.Kind == word);
        return at >= 0 && at + 1 < tokens.Count && tokens[at + 1].Kind is TokenKind.Number or TokenKind.Mass
            ? tokens[at + 1].Value
            : null;
    }

    public T? Word<T>()
        where T : struct, Enum => words.OfType<T>().Select(v => (T?)v).FirstOrDefault();

    private IReadOnlyList<double> Values(TokenKind kind) =>
        tokens.Where(t => t.Kind == kind).Select(t => t.Value).ToArray();

    private double? First(TokenKind kind) =>
        tokens.Where(t => t.Kind == kind).Select(t => (double?)t.Value).FirstOrDefault();

    private Token? Piece(Match match)
    {
        if (match.Groups["ra"].Success)
        {
            return new(TokenKind.Ratio, Number(match, "ra"), Number(match, "rb"));
        }

        if (match.Groups["fa"].Success)
        {
            return new(TokenKind.Range, Number(match, "fa"), Number(match, "fb"));
        }

        if (match.Groups["n"].Success)
        {
            var (value, unit) = (Number(match, "n"), match.Groups["u"].Value);
            return unit switch
            {
                "" => new(TokenKind.Number, value),
                "vol" or "volume" or "v" => new(TokenKind.Strength, value),
                "%" or "percent" => new(TokenKind.Strength, Math.Round(value / 0.3, 9), Unit: unit),
                "g" or "gram" or "grams" or "ml" => new(TokenKind.Mass, value, Unit: "g"),
                "oz" or "ounce" or "ounces" => new(TokenKind.Mass, Customary.GramsOf(value), Unit: "oz"),
                "cm" => new(TokenKind.Length, value),
                "mm" => new(TokenKind.Length, value / 10),
                "in" or "inch" or "inches" => new(TokenKind.Length, Customary.CentimetresOf(value)),
                "min" or "minutes" or "minute" => new(TokenKind.Minutes, value),
                "weeks" or "week" => new(TokenKind.Months, value * 12 / 52),
                _ => new(TokenKind.Months, value),
            };
        }

        return match.Value.Trim() switch
        {
            "from" => new(TokenKind.From, 0),
            "to" => new(TokenKind.To, 0),
            "on" => new(TokenKind.On, 0),
            "bowl" or "holds" => new(TokenKind.Bowl, 0),
            "rinse" or "windows" => new(TokenKind.Rinse, 0),
            "visits" or "visit" => new(TokenKind.Visits, 0),
            "coloured" or "colored" => new(TokenKind.Coloured, 0),
            "heat" => new(TokenKind.Heat, 0),
            "and" or "level" or "developer" or "lightener" or "porosity" or "hair" or "open" or "air" or "toner" =>
                Noise(match.Value.Trim()),
            var word => Named<Lightener>(word)
                ?? Named<Covering>(word)
                ?? Named<Reflect>(word)
                ?? Named<Diameter>(word)
                ?? Named<Dryness>(word)
                ?? Named<Porosity>(word),
        };
    }

    private Token Noise(string word)
    {
        if (word == "open")
        {
            words.Add(Covering.Open);
        }

        return new(TokenKind.Word, 0);
    }

    private Token? Named<T>(string word)
        where T : struct, Enum
    {
        var at = Array.FindIndex(Enum.GetNames<T>(), n => string.Equals(n, word, StringComparison.OrdinalIgnoreCase));
        if (at < 0)
        {
            return null;
        }

        words.Add(Enum.GetValues<T>()[at]);
        return new(TokenKind.Word, 0);
    }

    private static double Number(Match match, string group) =>
        double.Parse(match.Groups[group].Value, NumberStyles.Float, CultureInfo.InvariantCulture);

    private sealed record Token(TokenKind Kind, double Value, double Second = 0, string Unit = "");

    [GeneratedRegex(@"(\d),(\d)")]
    private static partial Regex DecimalComma();

    [GeneratedRegex(
        @"(?<ra>\d+(?:\.\d+)?)\s*:\s*(?<rb>\d+(?:\.\d+)?)"
            + @"|(?<fa>\d+(?:\.\d+)?)\s*-\s*(?<fb>\d+(?:\.\d+)?)"
            + @"|(?<n>\d*\.?\d+)\s*(?<u>vol(?:ume)?|v|percent|grams?|g|ounces?|oz|ml|inch(?:es)?|in|cm|mm"
            + @"|minutes?|min|months?|mo|weeks?|%)?(?![a-z%])"
            + @"|[a-z]+|[^\s,;+&]",
        RegexOptions.CultureInvariant
    )]
    private static partial Regex Pieces();
}
