using Wendro.Apply;
using Wendro.Units;

namespace Wendro.Tests.Apply;

/// <summary>A made-up day at the chair: facts by the minute.</summary>
internal static class ChairDay
{
    public static DateTimeOffset Start { get; } = new(2031, 5, 6, 12, 0, 0, TimeSpan.Zero);

    public static RecordedFact<ServiceFact>[] Kept(params (double Minute, ServiceFact Fact)[] facts) =>
        facts.Select((f, i) => new RecordedFact<ServiceFact>(i + 1, Start.AddMinutes(f.Minute), f.Fact)).ToArray();
}
