namespace Wendro.Units;

/// <summary>A fact as it was kept: what happened is only ever added to.</summary>
/// <typeparam name="TFact">What kind of fact.</typeparam>
/// <param name="Number">From 1, without gaps.</param>
/// <param name="At">When.</param>
/// <param name="Fact">What happened, or was seen or said.</param>
public sealed record RecordedFact<TFact>(int Number, DateTimeOffset At, TFact Fact);
