using System.Collections.Immutable;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Apply;

/// <summary>What was done to a panel while it works.</summary>
/// <param name="At">When.</param>
/// <param name="Covering">What covers it from then on; null where that stays.</param>
/// <param name="IsFresh">Whether it was painted again.</param>
public sealed record CoatTurn(DateTimeOffset At, Covering? Covering = null, bool IsFresh = false);

/// <summary>Where a panel stands.</summary>
/// <param name="PaintedAt">When it was painted; null while it is not.</param>
/// <param name="IsSpread">Whether that moment was spread between two taps.</param>
/// <param name="Turns">When it got a fresh coat, was covered or opened, in order; null for never.</param>
/// <param name="IsLeft">Whether it stays natural after all.</param>
/// <param name="RinsedAt">When it was rinsed; null while it is not.</param>
/// <param name="Pairs">How many pairs of hands painted then.</param>
/// <param name="Step">In which step of the visit it was painted.</param>
public sealed record PanelState(
    DateTimeOffset? PaintedAt = null,
    bool IsSpread = false,
    ImmutableList<CoatTurn>? Turns = null,
    bool IsLeft = false,
    DateTimeOffset? RinsedAt = null,
    int Pairs = 1,
    int Step = 0
)
{
    /// <summary>What is still over it; null for what the plan has.</summary>
    public Covering? Covering => Turns?.FindLast(t => t.Covering is not null)?.Covering;

    internal PanelState After(CoatTurn turn) => this with { Turns = (Turns ?? []).Add(turn) };

    /// <summary>Whether product works on it.</summary>
    public bool IsOn => PaintedAt is not null && RinsedAt is null;
}

/// <summary>What one step of a service has to do.</summary>
/// <param name="Panels">Its painted panels in working order.</param>
/// <param name="Rinse">Whether it is rinsed before the next step; else what it laid works on beneath that.</param>
/// <param name="AreaMinutes">How long what it lays over an area works, minutes; null where it lays nothing.</param>
public sealed record StepToDo(IReadOnlyList<PanelKey> Panels, bool Rinse = true, double? AreaMinutes = null)
{
    /// <summary>Whether it lays something over an area.</summary>
    public bool HasArea => AreaMinutes is not null;
}

/// <summary>What was laid over an area.</summary>
/// <param name="Step">In which step of the visit, from 0.</param>
/// <param name="LaidAt">When all of it was on.</param>
/// <param name="RinsedAt">When it was rinsed; null while it is not.</param>
public sealed record AreaState(int Step, DateTimeOffset LaidAt, DateTimeOffset? RinsedAt = null)
{
    /// <summary>Whether it is on.</summary>
    public bool IsOn => RinsedAt is null;
}

/// <summary>A look: of which step, and how what was looked at stood then.</summary>
public sealed record DevelopmentLook(DateTimeOffset At, Looked Look, int Step, PanelState Stood);

/// <summary>A rinse under way.</summary>
public sealed record RinseInHand(DateTimeOffset BegunAt, IReadOnlyList<PanelKey> Panels);
