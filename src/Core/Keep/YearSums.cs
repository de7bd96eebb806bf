namespace Wendro.Core.Keep;

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
    public static IReadOnlyList<MonthSum> Of(IReadOnlyCollection<(DateTime At, VisitSum Sum)> visits)
    {
        ArgumentNullException.ThrowIfNull(visits);
        if (visits.Count == 0)
        {
            return [];
        }

        static int Number(DateTime at) => at.Year * 12 + at.Month - 1;
        var by = visits.ToLookup(v => Number(v.At), v => v.Sum);
        var (first, last) = (visits.Min(v => Number(v.At)), visits.Max(v => Number(v.At)));
        return Enumerable
            .Range(first, last - first + 1)
            .Select(n =>
            {
                var of = by[n].ToArray();
                var priced = of.Where(s => s.Cost is not null).ToArray();
                var read = of.Where(s => s.ForecastError is not null).ToArray();
                return new MonthSum(
                    n / 12,
                    n % 12 + 1,
                    of.Length,
                    of.Sum(s => s.ChairMinutes ?? 0) / 60,
                    of.Sum(s => s.Grams.Values.Sum()),
                    priced.Length == 0 ? null : priced.Sum(s => s.Cost),
                    read.Length == 0 ? null : read.Average(s => s.ForecastError!.Value)
                );
            })
            .ToArray();
    }
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
