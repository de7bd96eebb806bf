using Wendro.Units;

namespace Wendro.Colour;

/// <summary>
/// What colours a place of a strand beside its level: an index into a table that never changes, so that a tint means
/// the same on every head. Natural; white; lifted, by how far; or coloured by a reflect, more or less strongly, over
/// one of these.
/// </summary>
/// <param name="Index">0..<see cref="Count"/> − 1.</param>
public readonly record struct Tint(byte Index)
{
    /// <summary>Steps in which lifted hair becomes its own colour.</summary>
    private const int LiftedSteps = 8;

    private const int FirstLifted = 2;
    private const int FirstColoured = FirstLifted + LiftedSteps;
    private const int Bases = 3;

    /// <summary>
    /// How strongly hair is coloured, as a dose that was taken up. Model assumption: the eye's steps.
    /// </summary>
    private static readonly double[] Strengths = [.1, .2, .35, .55, .85, 1.3, 2.0];

    /// <summary>The same on white hair, which takes colour or doesn't.</summary>
    private static readonly double[] WhiteStrengths = [.15, .4, .8, 1.5];

    private static readonly Reflect[] Reflects = Enum.GetValues<Reflect>();
    private static readonly Absorbance[] Rays = Reflects.Select(r => Absorbance.Of(r, 1)).ToArray();
    private static readonly (Reflect Reflect, double Red, double Blue, double Length)[] Turns = Reflects
        .Where(r => r != Reflect.Natural)
        .Select(r => (r, Rays[(int)r].Turn))
        .Select(t => (t.r, t.Turn.Red, t.Turn.Blue, double.Hypot(t.Turn.Red, t.Turn.Blue)))
        .ToArray();
    private static readonly int FirstOnWhite = FirstColoured + Bases * Reflects.Length * Strengths.Length;

    private static readonly int FirstMixed = FirstOnWhite + Reflects.Length * WhiteStrengths.Length;

    /// <summary>Steps in which white hairs among others are told.</summary>
    private const int MixedSteps = 8;

    /// <summary>How many there are.</summary>
    public static int Count { get; } = FirstMixed + MixedSteps;

    /// <summary>Hair as it grew.</summary>
    public static Tint Natural { get; }

    /// <summary>Hair that grew white.</summary>
    public static Tint White { get; } = new(1);

    /// <summary>
    /// White hair among others: a strand stands for several hairs, not all of them white. For drawing only.
    /// </summary>
    /// <param name="share">Share of white in its lock, 0..1.</param>
    public static Tint Mixed(double share)
    {
        var step = (int)Math.Round(Math.Clamp(share, 0, 1) * MixedSteps);
        return step >= MixedSteps ? White : new((byte)(FirstMixed + Math.Max(step, 0)));
    }

    /// <summary>Hair lifted and not toned.</summary>
    /// <param name="share">0 as it grew .. 1 lifted far enough to have lifted hair's own colour.</param>
    public static Tint Lifted(double share)
    {
        var step = (int)Math.Round(Math.Clamp(share, 0, 1) * LiftedSteps);
        return step == 0 ? Natural : new((byte)(FirstLifted + step - 1));
    }

    /// <summary>Hair with colour on it; where that is too little to be seen, hair without.</summary>
    /// <param name="lifted">What lies beneath: 0 as it grew .. 1 lifted.</param>
    /// <param name="absorbed">What the colour takes of the light.</param>
    public static Tint Coloured(double lifted, Absorbance absorbed)
    {
        var (reflect, strength) = Nearest(absorbed);
        if (strength < Strengths[0] / 2)
        {
            return Lifted(lifted);
        }

        var below = (int)Math.Round(Math.Clamp(lifted, 0, 1) * (Bases - 1));
        var step = NearestOf(Strengths, strength);
        return new((byte)(FirstColoured + (below * Reflects.Length + (int)reflect) * Strengths.Length + step));
    }

    /// <summary>White hair with colour on it.</summary>
    /// <param name="absorbed">What the colour takes of the light.</param>
    public static Tint OnWhite(Absorbance absorbed)
    {
        var (reflect, strength) = Nearest(absorbed);
        return strength < WhiteStrengths[0] / 2
            ? White
            : new((byte)(FirstOnWhite + (int)reflect * WhiteStrengths.Length + NearestOf(WhiteStrengths, strength)));
    }

    /// <summary>What it stands for.</summary>
    public TintMeaning Meaning
    {
        get
        {
            if (Index == White.Index)
            {
                return new(true, 0, null, 0);
            }

            if (Index >= FirstMixed)
            {
                return new(true, 0, null, 0, (Index - FirstMixed) / (double)MixedSteps);
            }

            if (Index >= FirstOnWhite)
            {
                var of = Index - FirstOnWhite;
                var onWhite = WhiteStrengths[of % WhiteStrengths.Length];
                return new(true, 0, Reflects[Math.Min(of / WhiteStrengths.Length, Reflects.Length - 1)], onWhite);
            }

            if (Index < FirstColoured)
            {
                var step = Math.Max(0, Index - FirstLifted + 1);
                return new(false, step / (double)LiftedSteps, null, 0);
            }

            var at = Index - FirstColoured;
            var ray = at / Strengths.Length;
            return new(
                false,
                ray / Reflects.Length / (Bases - 1.0),
                Reflects[ray % Reflects.Length],
                Strengths[at % Strengths.Length]
            );
        }
    }

    /// <summary>
    /// The one reflect, and how much of it, that turns light most nearly as this does: how much it darkens is the
    /// level's business.
    /// </summary>
    private static (Reflect Reflect, double Strength) Nearest(Absorbance absorbed)
    {
        if (absorbed == default)
        {
            return (Reflect.Natural, 0);
        }

        var (x, y) = absorbed.Turn;
        var turned = Math.Sqrt(x * x + y * y);
        if (turned < 0.1 * absorbed.Darkens)
        {
            return (Reflect.Natural, absorbed.Darkens / Rays[(int)Reflect.Natural].Darkens);
        }

        var (best, most) = (Turns[0], double.NegativeInfinity);
        foreach (var turn in Turns)
        {
            var along = (x * turn.Red + y * turn.Blue) / turn.Length;
            if (along > most)
            {
                (best, most) = (turn, along);
            }
        }

        return (best.Reflect, most / best.Length);
    }

    private static int NearestOf(double[] steps, double strength)
    {
        var k = 0;
        // Steps grow by a share of themselves: the middle between two is a ratio too.
        while (k + 1 < steps.Length && strength > Math.Sqrt(steps[k] * steps[k + 1]))
        {
            k++;
        }

        return k;
    }
}

/// <summary>What a tint stands for.</summary>
/// <param name="White">Whether the hair grew white.</param>
/// <param name="Lifted">How far it was lifted: 0 as it grew .. 1.</param>
/// <param name="Reflect">The reflect of the colour on it; null where there is none.</param>
/// <param name="Strength">How much of that was taken up; 0 without.</param>
/// <param name="WhiteShare">Of hair that grew white: how much of it is, 0..1.</param>
public readonly record struct TintMeaning(
    bool White,
    double Lifted,
    Reflect? Reflect,
    double Strength,
    double WhiteShare = 1
);

/// <summary>What colour on hair takes of red, green and blue light: powers of ten, adding up coat by coat.</summary>
public readonly record struct Absorbance(double Red, double Green, double Blue)
{
    /// <summary>Of so much of one reflect.</summary>
    public static Absorbance Of(Reflect reflect, double strength)
    {
        var (r, g, b) = Toner.Absorbance(reflect);
        return new(r * strength, g * strength, b * strength);
    }

    /// <summary>How it turns light: red against green, blue against green.</summary>
    public (double Red, double Blue) Turn => (Red - Green, Blue - Green);

    /// <summary>How much of all light it takes, as the eye weighs it.</summary>
    public double Darkens => 0.2126 * Red + 0.7152 * Green + 0.0722 * Blue;

    /// <summary>The light left of some.</summary>
    public (double R, double G, double B) Of((double R, double G, double B) light) =>
        (light.R * Math.Pow(10, -Red), light.G * Math.Pow(10, -Green), light.B * Math.Pow(10, -Blue));

    /// <summary>Both.</summary>
    public static Absorbance operator +(Absorbance a, Absorbance b) =>
        new(a.Red + b.Red, a.Green + b.Green, a.Blue + b.Blue);

    /// <summary>So many times as much.</summary>
    public static Absorbance operator *(Absorbance a, double by) => new(a.Red * by, a.Green * by, a.Blue * by);
}
