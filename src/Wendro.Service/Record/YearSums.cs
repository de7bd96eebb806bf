namespace Wendro.Record;

/// <summary>A month in figures.</summary>
/// <param name="Year">Its year.</param>
/// <param name="Month">Its month, 1..12.</param>
/// <param name="Visits">Visits put away.</param>
/// <param name="ChairHours">Hours in the chair.</param>
/// <param name="Grams">Product poured, g.</param>
/// <param name="Cost">What that cost; null where no price is noted.</param>
/// <param name="ForecastError">How far forecasts were off where they were read, mean, levels; null where nobody
/// read.</param>
public sealed record MonthSum(
    int Year,
    int Month,
    int Visits,
    double ChairHours,
    double Grams,
    double? Cost,
    double? ForecastError
)
{
    /// <summary>Visits added up by month, the earliest first; months between without any are there.</summary>
    /// <param name="visits">When each was, and its figures.</param>
    public static IReadOnlyList<MonthSum> Of(IEnumerable<(DateTime At, VisitSum Sum)> visits) =>
        InOrder(visits.AggregateBy(v => MonthTally.Number(v.At), default(MonthTally), (month, v) => month.And(v.Sum)));

    /// <summary>Months added up already, the earliest first; months between without any visit are there.</summary>
    /// <param name="tallies">Months by their number.</param>
    public static IReadOnlyList<MonthSum> InOrder(IEnumerable<KeyValuePair<int, MonthTally>> tallies)
    {
        var by = new SortedDictionary<int, MonthTally>(tallies.ToDictionary());
        return by.Count == 0
            ? []
            : Enumerable
                .Range(by.Keys.First(), by.Keys.Last() - by.Keys.First() + 1)
                .Select(n => by.GetValueOrDefault(n).InMonth(n))
                .ToArray();
    }
}

/// <summary>
/// A month being added up visit by visit, so that ten years need not be held at once to be told.
/// </summary>
/// <param name="Visits">Visits so far.</param>
/// <param name="ChairMinutes">Minutes in the chair.</param>
/// <param name="Grams">Product poured, g.</param>
/// <param name="Cost">What that cost; null while no price is noted.</param>
/// <param name="Read">Visits whose forecast was read.</param>
/// <param name="ForecastErrors">How far those forecasts were off, added up, levels.</param>
public readonly record struct MonthTally(
    int Visits,
    double ChairMinutes,
    double Grams,
    double? Cost,
    int Read,
    double ForecastErrors
)
{
    /// <summary>A month's number: they follow each other by one.</summary>
    public static int Number(DateTime at) => at.Year * 12 + at.Month - 1;

    /// <summary>With one visit more.</summary>
    public MonthTally And(VisitSum visit)
    {
        ArgumentNullException.ThrowIfNull(visit);
        return new(
            Visits + 1,
            ChairMinutes + (visit.ChairMinutes ?? 0),
            Grams + visit.Grams.Values.Sum(),
            visit.Cost is { } cost ? (Cost ?? 0) + cost : Cost,
            visit.ForecastError is null ? Read : Read + 1,
            ForecastErrors + (visit.ForecastError ?? 0)
        );
    }

    /// <summary>As the month of that number.</summary>
    public MonthSum InMonth(int number) =>
        new(
            number / 12,
            number % 12 + 1,
            Visits,
            ChairMinutes / 60,
            Grams,
            Cost,
            Read == 0 ? null : ForecastErrors / Read
        );
}

/// <summary>A product that runs out, and why.</summary>
/// <param name="Product">Which.</param>
/// <param name="OnHand">What the shelf counts, g.</param>
/// <param name="GramsAWeek">What was poured a week lately, g.</param>
/// <param name="WeeksLeft">How long that lasts, weeks.</param>
public sealed record ToOrder(string Product, double OnHand, double GramsAWeek, double WeeksLeft)
{
    /// <summary>Over how many weeks back what is poured is counted. Model assumption.</summary>
    public const double CountedWeeks = 8;

    /// <summary>What lasts less long than this is to be ordered, weeks. Model assumption.</summary>
    public const double OrderBelowWeeks = 3;

    /// <summary>What is to be ordered, what runs out first first.</summary>
    /// <param name="shelf">What the shelf counts, by product, g.</param>
    /// <param name="poured">What was poured in the last <see cref="CountedWeeks"/>, by product, g.</param>
    public static IReadOnlyList<ToOrder> Of(
        IReadOnlyDictionary<string, double> shelf,
        IReadOnlyDictionary<string, double> poured
    )
    {
        ArgumentNullException.ThrowIfNull(shelf);
        ArgumentNullException.ThrowIfNull(poured);
        return poured
            .Where(p => p.Value > 0 && shelf.ContainsKey(p.Key))
            .Select(p =>
            {
                var week = p.Value / CountedWeeks;
                return new ToOrder(p.Key, shelf[p.Key], week, shelf[p.Key] / week);
            })
            .Where(o => o.WeeksLeft < OrderBelowWeeks)
            .OrderBy(o => o.WeeksLeft)
            .ThenBy(o => o.Product, StringComparer.Ordinal)
            .ToArray();
    }
}
