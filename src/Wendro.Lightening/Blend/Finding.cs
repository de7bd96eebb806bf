using Wendro.Fall;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>What can be wrong. Which kinds there are is said in the room that finds them.</summary>
public sealed record FindingKind
{
    /// <param name="name">Its name, one word.</param>
    /// <param name="order">Where it stands among findings that matter alike.</param>
    /// <param name="keepsSafe">Whether it keeps people safe, so that it can't be set aside.</param>
    public FindingKind(string name, int order, bool keepsSafe = false)
    {
        Name = name;
        Order = order;
        KeepsSafe = keepsSafe;
    }

    /// <summary>The kinds that a room tells, in their order.</summary>
    /// <param name="room">A class whose kinds are its static properties, told before the list itself.</param>
    internal static FindingKind[] Of(Type room) =>
        room.GetProperties()
            .Where(p => p.PropertyType == typeof(FindingKind))
            .Select(p => (FindingKind)p.GetValue(null)!)
            .OrderBy(k => k.Order)
            .ToArray();

    /// <summary>Its name, one word.</summary>
    public string Name { get; }

    /// <summary>Where it stands among findings that matter alike.</summary>
    public int Order { get; }

    /// <summary>Whether it keeps people safe, so that it can't be set aside.</summary>
    public bool KeepsSafe { get; }

    /// <inheritdoc/>
    public override string ToString() => Name;
}

/// <summary>How much it matters: alarm will be seen by anybody, caution by a colourist, note is good to know.</summary>
public enum Severity
{
    Alarm,
    Caution,
    Note,
}

/// <summary>A figure a finding rests on.</summary>
/// <param name="Name">What it is.</param>
/// <param name="Value">How much.</param>
/// <param name="Unit">Of what.</param>
public sealed record Figure(string Name, double Value, string Unit);

/// <summary>Which way the figure that decides should go.</summary>
public enum Better
{
    /// <summary>Less of it is better.</summary>
    Lower,

    /// <summary>More of it is better: light or distance is missing.</summary>
    Higher,
}

/// <summary>Where along the hair the evidence lies, cm from the scalp.</summary>
public sealed record Stretch(double FromCm, double ToCm);

/// <summary>Something wrong with the blend: what, where, why.</summary>
/// <param name="Kind">What.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Title">In a few words.</param>
/// <param name="Text">One sentence of evidence with figures.</param>
/// <param name="Why">How it was judged: inputs, formula, threshold.</param>
/// <param name="Zones">Where, by zone.</param>
/// <param name="Panels">Where, by panel.</param>
/// <param name="Wear">The wear it shows in.</param>
/// <param name="Evidence">The figures; the first is the one that decides.</param>
/// <param name="Along">Where along the hair; null for all of it.</param>
/// <param name="Better">Which way the figure that decides should go.</param>
/// <param name="Of">Which of its kind, where there can be several: a zone, a mixture; null where there is one.</param>
public sealed record Finding(
    FindingKind Kind,
    Severity Severity,
    string Title,
    Sentence Text,
    Sentence Why,
    IReadOnlyList<Zone> Zones,
    IReadOnlyList<PanelKey> Panels,
    Wear Wear,
    IReadOnlyList<Figure> Evidence,
    Stretch? Along = null,
    string? Of = null,
    Better Better = Better.Lower
)
{
    /// <summary>The figure that decides.</summary>
    public Figure Deciding => Evidence[0];

    /// <summary>Whether the same finding has got better in another plan.</summary>
    public bool IsBetterThan(double before) =>
        Better == Better.Higher ? Deciding.Value > before + 0.02 : Deciding.Value < before - 1e-6;

    /// <summary>The same finding keeps its name from edit to edit, however far it spreads.</summary>
    public string Id => Of is null ? Kind.Name : $"{Kind.Name}:{Of}";
}
