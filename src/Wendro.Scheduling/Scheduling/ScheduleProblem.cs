using System.Text.Json.Serialization;
using Wendro.Units;

namespace Wendro.Scheduling;

/// <summary>One panel at the chair.</summary>
/// <param name="Minutes">What painting it takes, minutes, above 0.</param>
/// <param name="From">Soonest it may be rinsed after it was painted, minutes, 0 or more.</param>
/// <param name="To">Latest it must be rinsed after it was painted, minutes, no less than from.</param>
/// <param name="Frees">
/// What it adds after its rinse before hands are free, minutes, 0 or more: sheets out, teasing worked free.
/// </param>
public readonly record struct ScheduledPanel(double Minutes, double From, double To, double Frees = 0);

/// <summary>Panels that are painted one after another without a break.</summary>
/// <param name="Id">What it is called.</param>
/// <param name="Panels">Its panels in the order they are painted, at least one.</param>
/// <param name="After">Groups that are painted before it, by id; null or empty for none.</param>
public sealed record PanelGroup(string Id, IReadOnlyList<ScheduledPanel> Panels, IReadOnlyList<string>? After = null);

/// <summary>
/// The bare problem of a chair: one pair of hands paints groups and rinses panels in rounds, so that each panel is
/// rinsed within its window.
/// </summary>
/// <param name="Groups">The groups in the order they are given.</param>
/// <param name="InGivenOrder">Whether they must be painted in that order.</param>
/// <param name="RinseStart">Minutes from a rinse's start until its first panel is rinsed. Model assumption: 4.</param>
/// <param name="RinseEach">Minutes from one panel of a rinse to the next. Model assumption: 0.5.</param>
public sealed record ScheduleProblem(
    IReadOnlyList<PanelGroup> Groups,
    bool InGivenOrder = false,
    double RinseStart = ScheduleProblem.UsualStart,
    double RinseEach = ScheduleProblem.UsualEach
)
{
    /// <summary>As it usually is, minutes. Model assumption.</summary>
    public const double UsualStart = 4,
        UsualEach = 0.5;

    /// <summary>When a panel of a usual rinse is rinsed, minutes after the rinse starts.</summary>
    /// <param name="index">Which, from 0.</param>
    public static double UsualSlot(int index) => UsualStart + UsualEach * index;
}

/// <summary>When a group is painted, minutes.</summary>
public sealed record GroupTurn(string Id, double StartsAt, double EndsAt);

/// <summary>When a panel is rinsed.</summary>
/// <param name="Group">Of which group.</param>
/// <param name="Index">Which of its panels, from 0.</param>
/// <param name="RinsedAt">Minute.</param>
public readonly record struct PanelRinsed(string Group, int Index, double RinsedAt);

/// <summary>One rinse: it ends with its last panel, and hands are free when that and the others are.</summary>
public sealed record RinseRound(double StartsAt, double EndsAt, IReadOnlyList<PanelRinsed> Panels, double FreedAt);

/// <summary>Groups that can't all be painted and rinsed in time, and why.</summary>
public sealed record ScheduleConflict(IReadOnlyList<string> Groups, Sentence Words);

/// <summary>The answer.</summary>
/// <param name="Feasible">Whether one was found that keeps every window.</param>
/// <param name="Proven">Whether none ends sooner; where none was found, whether there is none.</param>
/// <param name="LowerBound">No schedule ends before this minute.</param>
/// <param name="EndsAt">When hands are free after the last rinse; null where nothing fits.</param>
/// <param name="Order">Groups in the order they are painted.</param>
/// <param name="Groups">When each is painted, in that order.</param>
/// <param name="Rinses">The rinses in order.</param>
/// <param name="Conflicts">Where nothing fits: what stands against it.</param>
public sealed record Schedule(
    bool Feasible,
    bool Proven,
    double LowerBound,
    double? EndsAt,
    IReadOnlyList<string> Order,
    IReadOnlyList<GroupTurn> Groups,
    [property: JsonPropertyName("waves")] IReadOnlyList<RinseRound> Rinses,
    IReadOnlyList<ScheduleConflict> Conflicts
);
