namespace Wendro.Record;

/// <summary>A visit in a few figures, kept when its record is put away: what a year is added up from.</summary>
/// <param name="ChairMinutes">Minutes in the chair; null where nobody said.</param>
/// <param name="Grams">What was poured, by product, g.</param>
/// <param name="Cost">What that cost, the studio's money; null where no price is noted.</param>
/// <param name="ForecastError">How far the forecast was off where it was read, mean, levels; null where nobody
/// read.</param>
/// <param name="Panels">Panels painted.</param>
/// <param name="Outcome">What came out, in a sentence.</param>
/// <param name="Promised">What was said to the client before, in the words used; null where nothing was.</param>
public sealed record VisitSum(
    double? ChairMinutes,
    IReadOnlyDictionary<string, double> Grams,
    double? Cost,
    double? ForecastError,
    int Panels,
    string Outcome,
    string? Promised = null
)
{
    /// <summary>Equal when every figure is.</summary>
    public bool Equals(VisitSum? other) =>
        other is not null
        && (ChairMinutes, Cost, ForecastError, Panels, Outcome, Promised)
            == (other.ChairMinutes, other.Cost, other.ForecastError, other.Panels, other.Outcome, other.Promised)
        && Grams.OrderBy(g => g.Key).SequenceEqual(other.Grams.OrderBy(g => g.Key));

    /// <inheritdoc/>
    public override int GetHashCode() => HashCode.Combine(ChairMinutes, Cost, Panels, Outcome);

    /// <summary>Of a record.</summary>
    /// <param name="record">The record.</param>
    /// <param name="forecastErrors">How far the forecast was off at each place read, levels.</param>
    /// <param name="isStopped">Whether what was said is why nothing was done: that is about her health, and no
    /// promise.</param>
    public static VisitSum Of(VisitRecord record, IReadOnlyCollection<double> forecastErrors, bool isStopped = false)
    {
        ArgumentNullException.ThrowIfNull(record);
        ArgumentNullException.ThrowIfNull(forecastErrors);
        return new(
            record.ChairMinutes,
            VisitRecord.PouredOf(record.Bowls),
            record.Cost,
            forecastErrors.Count == 0 ? null : forecastErrors.Average(Math.Abs),
            record.Steps.Sum(s => s.Panels),
            record.Outcome.ToString(),
            isStopped ? null : record.Promised
        );
    }
}
