using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Several edits as one step, all or none, undone in one step: patterns.</summary>
[Kind("together")]
public sealed record Together(IReadOnlyList<PlanEdit> Edits) : PlanEdit
{
    /// <summary>Most edits in one step.</summary>
    public const int Most = 200;

    /// <inheritdoc/>
    public override Sentence Label() =>
        Edits is [{ } only] ? only.Label()
        // A formula comes along with what it is mixed for.
        : Edits?.Where(e => e is not SetFormula).ToArray() is [{ } meant] ? meant.Label()
        : (Sentence)$"Made {Edits?.Count ?? 0} changes";

    internal override void Check(EditChecks on)
    {
        foreach (var problem in ApplyTo(on.Plan, on.Cutting).Problems)
        {
            on.Say(problem.Field, problem.Message);
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        var applied = ApplyTo(plan, cutting);
        return (applied.Plan, applied.Lost);
    }

    /// <summary>One by one, each on the plan that those before it leave; where one can't be taken, none is.</summary>
    internal override Applied ApplyTo(Plan plan, Cutting cutting)
    {
        if (Edits is not { Count: > 0 and <= Most })
        {
            return new Applied(plan, [new("edits", $"Between 1 and {Most} edits.")], []);
        }

        var after = plan;
        var lost = new List<PanelKey>();
        for (var i = 0; i < Edits.Count; i++)
        {
            var next = Edits[i] is null or Together
                ? new Applied(plan, [new(string.Empty, "An edit that is not itself several.")], [])
                : Edits[i].ApplyTo(after, cutting);
            if (!next.Succeeded)
            {
                var field = $"edits[{i}]";
                return new Applied(
                    plan,
                    next.Problems.Select(p => p with { Field = $"{field}.{p.Field}".TrimEnd('.') }).ToArray(),
                    []
                );
            }

            after = next.Plan;
            lost.AddRange(next.Lost);
        }

        return new Applied(after, [], lost);
    }
}
