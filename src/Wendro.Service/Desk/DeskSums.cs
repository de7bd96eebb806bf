using Wendro.Care;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Units;

namespace Wendro.Desk;

/// <summary>An answer, or what can't be taken of the question, by field.</summary>
public sealed record DeskResult<T>(T? Answer, IReadOnlyList<Problem> Problems)
    where T : class
{
    /// <summary>An answer.</summary>
    public static implicit operator DeskResult<T>(T answer) => new(answer, []);

    /// <summary>A refusal.</summary>
    public static implicit operator DeskResult<T>(List<Problem> problems) => new(null, problems);
}

/// <summary>
/// The quick sums, without a visit: forwards and backwards, each with its why. Total: any value gets an answer or a
/// word.
/// </summary>
public static partial class DeskSums
{
    /// <summary>Level after some minutes.</summary>
    public static DeskResult<LiftAnswer> Of(LiftQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        if (problems.Count > 0)
        {
            return problems;
        }

        var of = new LiftCase(
            new Level(q.Level),
            q.Diameter,
            q.Porosity,
            q.Coloured,
            q.Lightener,
            new Volume(q.Volume),
            q.Covering,
            q.LowHeat,
            q.Coat
        );
        var lifting = new Lifting(of);
        var level = lifting.After(new Minutes(q.Minutes)).Value;
        return new LiftAnswer(
            level,
            lifting.Gain(q.Minutes),
            lifting.Cap,
            Undertone.At(level),
            lifting.DriesAtMinutes(),
            lifting.FinishedAtMinutes(),
            Cautions.For(of, q.Minutes),
            lifting.Sum(q.Minutes)
        );
    }

    /// <summary>Minutes to a level, or why never and what would help.</summary>
    public static DeskResult<TimeAnswer> Of(TimeQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        if (problems.Count > 0)
        {
            return problems;
        }

        var of = new LiftCase(
            new Level(q.Level),
            q.Diameter,
            q.Porosity,
            q.Coloured,
            q.Lightener,
            new Volume(q.Volume),
            q.Covering,
            q.LowHeat,
            q.Coat
        );
        var answer = Remedies.TimeTo(of, new Level(q.TargetLevel));
        var lifting = new Lifting(of);
        return new TimeAnswer(
            answer.Reachable,
            answer.Minutes,
            answer.WithinLimit,
            answer.Because,
            answer.Remedies,
            answer.Minutes is { } m
                ? lifting.Sum(m)
                : $"Most it lifts before it is dry: {lifting.MostGain:0.00} of a cap of {lifting.Cap:0.00} levels."
        );
    }

    /// <summary>How many visits a level takes.</summary>
    public static DeskResult<VisitsAnswer> Of(VisitsQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = WithinAttribute.Outside(q).ToList();
        if (problems.Count > 0)
        {
            return problems;
        }

        var hair = HairProfile.Usual with
        {
            NaturalLevel = new(q.Level),
            Diameter = q.Diameter,
            Porosity = q.Porosity,
            Coloured = q.Coloured,
        };
        var visits = Consult.VisitsAhead.To(hair, new Level(q.TargetLevel), q.WeeksBetween);
        return new VisitsAnswer(
            q.Level >= q.TargetLevel
                || (visits.Count > 0 && visits[^1].Level.Level >= q.TargetLevel - Consult.Verdict.Tolerance),
            visits
                .Select(v => new VisitStep(v.Number, v.From, v.Level.Level, v.Level.HalfWidth, v.Words, v.WeeksAfter))
                .ToArray(),
            visits.Count == 0
                ? "Nothing needs lifting, or nothing here lifts further."
                : $"Mildest choice that reaches the level within {LiftTables.LeafletLimitMinutes:0} min; "
                    + (
                        q.Coloured
                            ? $"treated hair goes {LiftTables.LevelsAVisit:0} levels a visit at most"
                            : "sound natural hair as far as the product lifts"
                    )
                    + $". {visits[0].Sum}"
        );
    }

    /// <summary>One strength in the other scale: 10 vol is 3 % peroxide. Trade.</summary>
    public static DeskResult<StrengthAnswer> Of(StrengthQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        const double percentAVolume = 0.3;
        var problems = OneOf("volume", q.Volume, "percent", q.Percent);
        problems.AddRange(WithinAttribute.Outside(q));
        if (problems.Count > 0)
        {
            return problems;
        }

        var volume = q.Volume ?? q.Percent!.Value / percentAVolume;
        return new StrengthAnswer(
            volume,
            q.Percent ?? volume * percentAVolume,
            "10 vol is 3 % peroxide, 20 is 6, 30 is 9, 40 is 12."
        );
    }

    /// <summary>One mass in the other unit.</summary>
    public static DeskResult<MassAnswer> Of(MassQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = OneOf("grams", q.Grams, "ounces", q.Ounces);
        problems.AddRange(WithinAttribute.Outside(q));
        if (problems.Count > 0)
        {
            return problems;
        }

        var grams = q.Grams ?? Customary.GramsOf(q.Ounces!.Value);
        return new MassAnswer(
            grams,
            q.Ounces ?? Customary.OuncesOf(grams),
            grams,
            $"An ounce is {Customary.GramsOf(1):0.####} g; a millilitre of developer weighs about a gram."
        );
    }

    /// <summary>Regrowth and the months it takes. Body.</summary>
    public static DeskResult<RegrowthAnswer> Of(RegrowthQuestion q)
    {
        ArgumentNullException.ThrowIfNull(q);
        var problems = OneOf("cm", q.Cm, "months", q.Months);
        problems.AddRange(WithinAttribute.Outside(q));
        if (problems.Count > 0)
        {
            return problems;
        }

        var months = q.Months ?? StrandHistory.MonthsOf(q.Cm!.Value);
        return new RegrowthAnswer(
            q.Cm ?? months * HairFibre.GrowthCmPerMonth,
            months,
            $"Hair grows about {Quantity.Cm(HairFibre.GrowthCmPerMonth, "0.##")} a month."
        );
    }

    private static List<Problem> OneOf(string a, double? first, string b, double? second) =>
        first is null == second is null ? [new(a, $"Give {a} or {b}, one of the two.")] : [];
}
