using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// A change of a plan: the one door. The screen, fixes, patterns and importers all come through here. Each edit is
/// one file with all it is:
/// its data, its label, what can't be taken of it, what it does to a plan.
/// </summary>
public abstract record PlanEdit
{
    private protected PlanEdit() { }

    /// <summary>What it did, for the history: "Raised the face frame 2 cm".</summary>
    public abstract Sentence Label();

    /// <summary>Notes values that can't be taken. Total: any value gets a word, none an exception.</summary>
    internal abstract void Check(EditChecks on);

    /// <summary>Changes a plan; only asked for where <see cref="Check"/> found nothing.</summary>
    internal abstract Edited Make(Plan plan, Cutting cutting);

    /// <summary>Checks it and, where nothing was found, makes the change.</summary>
    internal virtual Applied ApplyTo(Plan plan, Cutting cutting)
    {
        var checks = new EditChecks(plan, cutting);
        Check(checks);
        if (checks.Problems.Count > 0)
        {
            return new Applied(plan, checks.Problems, []);
        }

        var made = Make(plan, cutting);
        return new Applied(made.Plan, [], made.Lost);
    }
}

/// <summary>A plan as an edit leaves it.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Lost">Panels whose paint found no place.</param>
internal readonly record struct Edited(Plan Plan, IReadOnlyList<PanelKey> Lost)
{
    public static implicit operator Edited(Plan plan) => new(plan, []);

    public static implicit operator Edited((Plan Plan, IReadOnlyList<PanelKey> Lost) made) => new(made.Plan, made.Lost);
}

/// <summary>What an edit is called where it is written down: in files, in patterns, on the wire.</summary>
/// <param name="name">Its name; never changes once it was used.</param>
[AttributeUsage(AttributeTargets.Class, Inherited = false)]
public sealed class KindAttribute(string name) : Attribute
{
    /// <summary>Its name.</summary>
    public string Name { get; } = name;

    /// <summary>Every kind of edit by its name.</summary>
    public static IReadOnlyList<(Type Type, string Name)> OfEdits { get; } =
        typeof(PlanEdit)
            .Assembly.GetTypes()
            .Where(t => t.IsSubclassOf(typeof(PlanEdit)) && !t.IsAbstract)
            .Select(t =>
                (
                    t,
                    ((KindAttribute?)GetCustomAttribute(t, typeof(KindAttribute)))?.Name
                        ?? throw new InvalidOperationException($"{t.Name} has no [Kind].")
                )
            )
            .OrderBy(k => k.Item2, StringComparer.Ordinal)
            .ToArray();
}
