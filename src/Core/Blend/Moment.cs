using Wendro.Core.Timing;
using Wendro.Core.Units;

namespace Wendro.Core.Blend;

/// <summary>
/// When the hair is looked at: before, at a minute of processing or of the whole work, rinsed, or some weeks of growth
/// later.
/// </summary>
public readonly record struct Moment
{
    private readonly double minutes;

    private Moment(double minutes) => this.minutes = minutes;

    /// <summary>Before any product.</summary>
    public static Moment Before { get; } = new(0);

    /// <summary>After each formula's own minutes.</summary>
    public static Moment Rinsed { get; } = new(double.PositiveInfinity);

    /// <summary>At a minute of processing, counted for every panel from when it was painted.</summary>
    public static Moment At(Minutes minutes) => new(minutes.Value);

    /// <summary>At a minute of the work: each product has worked since it was laid.</summary>
    public static Moment OfTheWork(Minutes minute) => new(minute.Value) { OnOneClock = true };

    /// <summary>Most weeks of growth looked ahead.</summary>
    public const double MostWeeks = 52;

    /// <summary>Rinsed, and grown for some weeks since.</summary>
    /// <param name="weeks">0..52.</param>
    public static Moment Later(double weeks) => new(double.PositiveInfinity) { WeeksLater = weeks };

    /// <summary>Weeks of growth since it was rinsed.</summary>
    public double WeeksLater { get; private init; }

    private bool OnOneClock { get; init; }

    /// <summary>How long a product has worked by then, minutes; never longer than it is left on.</summary>
    public double Worked(Exposure exposure) => OnOneClock ? exposure.At(minutes) : exposure.After(minutes);
}
