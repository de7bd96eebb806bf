using Wendro.Timing;
using Wendro.Units;

namespace Wendro.Blend;

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

    /// <summary>At a minute of one step's processing: those before it are rinsed, those after it not begun.</summary>
    /// <param name="step">Which, from 0.</param>
    /// <param name="minutes">Minute, counted for every panel from when it was painted.</param>
    public static Moment Within(int step, Minutes minutes) => new(minutes.Value) { Step = step };

    /// <summary>When a step is done, and nothing of the next begun.</summary>
    /// <param name="step">Which, from 0.</param>
    public static Moment After(int step) => new(double.PositiveInfinity) { Step = step };

    /// <summary>Which step it lies in; null where it counts for all of them.</summary>
    private int? Step { get; init; }

    /// <summary>How long a product has worked by then, minutes; never longer than it is left on.</summary>
    /// <param name="exposure">When it was laid and how long it works.</param>
    /// <param name="step">In which step, from 0.</param>
    public double Worked(Exposure exposure, int step = 0) =>
        step < Step ? exposure.For.Value
        : step > Step ? 0
        : OnOneClock ? exposure.At(minutes)
        : exposure.After(minutes);
}
