using Google.OrTools.Sat;
using Wendro.Scheduling;

namespace Wendro.Tests.Scheduling;

/// <summary>
/// The chair by a general solver, for more panels than can be tried by hand: groups whose panels have one window, in
/// whole twentieths of a minute. It takes seconds where the planner takes milliseconds, and shares nothing with it.
/// </summary>
internal static class ChairBySolver
{
    private const int UnitsAMinute = 20;
    private const long Horizon = 600 * UnitsAMinute;

    /// <summary>So many waves more than groups are looked at.</summary>
    private const int MoreRinses = 3;

    /// <summary>The soonest end of the last wave, minutes, and in how few waves; null where nothing fits.</summary>
    public static (double End, int Rinses)? Best(ScheduleProblem problem)
    {
        var model = new CpModel();
        var total = problem.Groups.Sum(g => g.Panels.Count);
        var (start, each) = (Units(problem.RinseStart), Units(problem.RinseEach));
        var takes = problem.Groups.Select(g => g.Panels.Sum(p => Units(p.Minutes))).ToArray();
        var begun = problem.Groups.Select(g => model.NewIntVar(0, Horizon, g.Id)).ToArray();
        var most = problem.Groups.Count + MoreRinses;
        var rinses = Enumerable.Range(0, most).Select(k => Rinse.Of(model, k, total, start, each)).ToArray();
        model.AddNoOverlap(
            begun
                .Select((b, g) => model.NewFixedSizeIntervalVar(b, takes[g], problem.Groups[g].Id))
                .Concat(rinses.Select(w => w.Hands))
        );
        for (var k = 1; k < rinses.Length; k++)
        {
            model.AddImplication(rinses[k].Is, rinses[k - 1].Is);
            model.Add(rinses[k].At >= rinses[k - 1].End);
        }

        var (taken, moments) = (new List<BoolVar[]>(), new List<IntervalVar>());
        for (var g = 0; g < begun.Length; g++)
        {
            foreach (var before in problem.Groups[g].After ?? [])
            {
                var b = problem.Groups.Select((o, i) => (o.Id, i)).Single(o => o.Id == before).i;
                model.Add(begun[g] >= begun[b] + takes[b]);
            }

            if (problem.InGivenOrder && g > 0)
            {
                model.Add(begun[g] >= begun[g - 1] + takes[g - 1]);
            }

            var (painted, last) = (0L, (IntVar?)null);
            foreach (var panel in problem.Groups[g].Panels)
            {
                painted += Units(panel.Minutes);
                var rinsed = model.NewIntVar(0, Horizon, "rinsed");
                model.Add(rinsed >= begun[g] + painted + Units(panel.From));
                model.Add(rinsed <= begun[g] + painted + Units(panel.To));
                if (last is not null)
                {
                    // Of panels with one window the one painted first may as well be rinsed first.
                    model.Add(rinsed >= last + each);
                }

                last = rinsed;
                moments.Add(model.NewFixedSizeIntervalVar(rinsed, each, "moment"));
                taken.Add(In(model, rinses, rinsed, begun[g] + takes[g], total, start, each));
            }
        }

        // One panel after another: no two have one place.
        model.AddNoOverlap(moments);
        for (var k = 0; k < rinses.Length; k++)
        {
            model.Add(LinearExpr.Sum(taken.Select(t => t[k])) == rinses[k].Panels);
        }

        var end = model.NewIntVar(0, Horizon, "end");
        foreach (var rinse in rinses)
        {
            model.Add(end >= rinse.End).OnlyEnforceIf(rinse.Is);
        }

        // The end counts first: there are fewer waves than that.
        model.Minimize(end * (total + 1) + LinearExpr.Sum(rinses.Select(w => w.Is)));
        var solver = new CpSolver { StringParameters = "num_workers:2" };
        return solver.Solve(model) switch
        {
            CpSolverStatus.Optimal => (
                solver.Value(end) / (double)UnitsAMinute,
                rinses.Count(w => solver.BooleanValue(w.Is))
            ),
            CpSolverStatus.Infeasible => null,
            var status => throw new InvalidOperationException($"The solver ends with {status}."),
        };
    }

    /// <summary>A panel is in one wave, at some place of it that no other has, once its group is painted.</summary>
    private static BoolVar[] In(
        CpModel model,
        Rinse[] rinses,
        IntVar rinsed,
        LinearExpr painted,
        int total,
        long start,
        long each
    )
    {
        var place = model.NewIntVar(0, total - 1, "place");
        var which = rinses.Select(_ => model.NewBoolVar("in")).ToArray();
        model.AddExactlyOne(which);
        for (var k = 0; k < rinses.Length; k++)
        {
            model.Add(rinsed == rinses[k].At + start + each * place).OnlyEnforceIf(which[k]);
            model.Add(place < rinses[k].Panels).OnlyEnforceIf(which[k]);
            model.Add(rinses[k].At >= painted).OnlyEnforceIf(which[k]);
            model.AddImplication(which[k], rinses[k].Is);
        }

        return which;
    }

    private static long Units(double minutes) => (long)Math.Round(minutes * UnitsAMinute);

    /// <summary>A wave that may be.</summary>
    private sealed record Rinse(BoolVar Is, IntVar At, IntVar End, IntVar Panels, IntervalVar Hands)
    {
        public static Rinse Of(CpModel model, int k, int total, long start, long each)
        {
            var at = model.NewIntVar(0, Horizon, $"at {k}");
            var end = model.NewIntVar(0, Horizon, $"end {k}");
            var takes = model.NewIntVar(0, Horizon, $"takes {k}");
            var panels = model.NewIntVar(0, total, $"panels {k}");
            var isOne = model.NewBoolVar($"wave {k}");
            model.Add(panels >= 1).OnlyEnforceIf(isOne);
            model.Add(takes == start + each * panels - each).OnlyEnforceIf(isOne);
            model.Add(panels == 0).OnlyEnforceIf(isOne.Not());
            model.Add(end == at + takes);
            return new(isOne, at, end, panels, model.NewOptionalIntervalVar(at, takes, end, isOne, $"hands {k}"));
        }
    }
}
