using System.Collections.Immutable;
using Wendro.Paint;
using Wendro.Scheduling;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>
/// A service as it stands: the plan's panels in working order, and all that happened since the client sat down. Pure;
/// the same facts always give the same service.
/// </summary>
public sealed record ServiceInHand
{
    private readonly IReadOnlyList<StepToDo> steps;

    private ServiceInHand(IReadOnlyList<StepToDo> steps) => (this.steps, Order) = (steps, steps[0].Panels);

    /// <summary>
    /// A service that begins with a step, before anything of it happened: what a visit is planned with.
    /// </summary>
    /// <param name="steps">The steps.</param>
    /// <param name="step">The one that begins.</param>
    /// <param name="help">What a second pair of hands does; null for none.</param>
    /// <param name="beneath">What goes on working beneath it, from steps before.</param>
    internal static ServiceInHand Before(
        IReadOnlyList<StepToDo> steps,
        int step,
        Help? help,
        IEnumerable<KeyValuePair<PanelKey, PanelState>> beneath
    )
    {
        var on = beneath.ToImmutableDictionary();
        return new(steps)
        {
            Step = step,
            Order = [.. on.OrderBy(p => p.Value.PaintedAt).Select(p => p.Key), .. steps[step].Panels],
            Panels = on,
            Help = help,
        };
    }

    /// <summary>Which step of the visit is at work, from 0; as many as there are when all is done.</summary>
    public int Step { get; private init; }

    /// <summary>Whether all steps are washed.</summary>
    public bool IsDone => Step >= steps.Count;

    /// <summary>Whether the step lays something over an area that is not on yet.</summary>
    public bool AreaWaits => !IsDone && steps[Step].HasArea && Areas.TrueForAll(a => a.Step != Step);

    /// <summary>What this step laid over an area, and what goes on beneath it from steps before.</summary>
    public ImmutableList<AreaState> Areas { get; private init; } = [];

    /// <summary>
    /// Whether the next step begins without a wash: this one has nothing to do, or is not rinsed before it, nothing of
    /// it waits, and the next one paints other hair.
    /// </summary>
    public bool GoesOn =>
        Step + 1 < steps.Count
        && Rinse is null
        && !AreaWaits
        && !Waiting.Any()
        && (On.Any() || AreaIsOn ? !steps[Step].Rinse && !steps[Step + 1].Panels.Intersect(On).Any() : HasNothingToDo);

    /// <summary>Whether what has worked over areas is rinsed next: nothing works on panels or waits.</summary>
    internal bool RinsesAreas => !IsDone && steps[Step].Rinse && !On.Any() && !Waiting.Any();

    /// <summary>Whether the step lays nothing at all: a visit that is only glossed paints no panel.</summary>
    private bool HasNothingToDo => !steps[Step].HasArea && Order.Count == 0;

    /// <summary>Whether product lies over an area.</summary>
    public bool AreaIsOn => Areas.Exists(a => a.IsOn);

    /// <summary>Panels as they are worked, those put off at the end.</summary>
    public IReadOnlyList<PanelKey> Order { get; private init; }

    /// <summary>Where each panel stands; one that is not there waits.</summary>
    public ImmutableDictionary<PanelKey, PanelState> Panels { get; private init; } =
        ImmutableDictionary<PanelKey, PanelState>.Empty;

    /// <summary>How each panel stood when the step that painted it was over; of steps at work none is there.</summary>
    public ImmutableDictionary<(PanelKey Panel, int Step), PanelState> Finished { get; private init; } =
        ImmutableDictionary<(PanelKey, int), PanelState>.Empty;

    /// <summary>When the client sat down; null while she did not.</summary>
    public DateTimeOffset? SeatedAt { get; private init; }

    /// <summary>What is ready.</summary>
    public ImmutableHashSet<Preparation> Ready { get; private init; } = [];

    /// <summary>Bowls and when each was mixed.</summary>
    public ImmutableDictionary<(FormulaId Formula, int Ordinal), DateTimeOffset> Bowls { get; private init; } =
        ImmutableDictionary<(FormulaId, int), DateTimeOffset>.Empty;

    /// <summary>Looks in order.</summary>
    public ImmutableList<DevelopmentLook> Looks { get; private init; } = [];

    /// <summary>What went wrong, in order.</summary>
    public ImmutableList<(DateTimeOffset At, Marked Mark)> Marks { get; private init; } = [];

    /// <summary>What the client felt last, and since when.</summary>
    public (DateTimeOffset At, Comfort How)? Felt { get; private init; }

    /// <summary>Since when hands rest; null while they work.</summary>
    public DateTimeOffset? PausedAt { get; private init; }

    /// <summary>What a second pair of hands does; null where there is none.</summary>
    public Help? Help { get; private init; }

    /// <summary>Pairs of hands that paint.</summary>
    public int Pairs => Help == Apply.Help.Paints ? 2 : 1;

    /// <summary>When low heat went on and off, in order.</summary>
    public ImmutableList<(DateTimeOffset At, bool On)> Heat { get; private init; } = [];

    /// <summary>Panels that are painted though the plan leaves them natural.</summary>
    public IReadOnlyList<PanelKey> Added { get; private init; } = [];

    /// <summary>Since when low heat is on; null while it is off.</summary>
    public DateTimeOffset? HeatSince => Heat.Count > 0 && Heat[^1] is { On: true } heat ? heat.At : null;

    /// <summary>The rinse under way; null for none.</summary>
    public RinseInHand? Rinse { get; private init; }

    /// <summary>Rinses that are over.</summary>
    public int RinsesDone { get; private init; }

    /// <summary>When the step before was washed, dried and read; null for the first.</summary>
    public DateTimeOffset? WashedAt { get; private init; }

    /// <summary>When hands last did something that painting goes on from.</summary>
    public DateTimeOffset? HandsSince { get; private init; }

    /// <summary>The last fact that can be taken back by a tap; null for none.</summary>
    public RecordedFact<ServiceFact>? Last { get; private init; }

    /// <summary>The next panel; null when none waits.</summary>
    public PanelKey? Next => Waiting.Select(p => (PanelKey?)p).FirstOrDefault();

    /// <summary>Panels that wait, in order.</summary>
    public IEnumerable<PanelKey> Waiting => Order.Where(p => StandOf(p) is { PaintedAt: null, IsLeft: false });

    /// <summary>Panels product works on, in order.</summary>
    public IEnumerable<PanelKey> On => Order.Where(p => StandOf(p).IsOn);

    /// <summary>Where a panel stands.</summary>
    public PanelState StandOf(PanelKey panel) => Panels.GetValueOrDefault(panel) ?? Untouched;

    private static PanelState Untouched { get; } = new();

    /// <summary>The service after all that happened.</summary>
    /// <param name="steps">The steps of the plan, at least one.</param>
    /// <param name="facts">What happened, in order.</param>
    public static ServiceInHand Of(IReadOnlyList<StepToDo> steps, IReadOnlyList<RecordedFact<ServiceFact>> facts)
    {
        ArgumentNullException.ThrowIfNull(steps);
        ArgumentNullException.ThrowIfNull(facts);
        // What is painted too is not there before that was said, even where the plan it was brought into has it.
        var added = AddedBy(facts).ToHashSet();
        var planned = steps.Select(s => s with { Panels = [.. s.Panels.Where(p => !added.Contains(p))] }).ToArray();
        return Standing(facts).Aggregate(new ServiceInHand(planned), (service, f) => service.With(f) with { Last = f });
    }

    /// <summary>Panels that are painted though the plan leaves them natural, in order.</summary>
    public static IReadOnlyList<PanelKey> AddedBy(IReadOnlyList<RecordedFact<ServiceFact>> facts) =>
        Standing(facts).Select(f => f.Fact).OfType<Added>().Select(a => a.Panel).Distinct().ToArray();

    /// <summary>Facts that were not taken back.</summary>
    public static IEnumerable<RecordedFact<ServiceFact>> Standing(IReadOnlyList<RecordedFact<ServiceFact>> facts)
    {
        var back = facts.Select(f => f.Fact).OfType<TakenBack>().Select(t => t.Number).ToHashSet();
        return facts.Where(f => f.Fact is not TakenBack && !back.Contains(f.Number));
    }

    private ServiceInHand With(RecordedFact<ServiceFact> kept)
    {
        var at = kept.At;
        return kept.Fact switch
        {
            Seated => this with { SeatedAt = at },
            Prepared p => this with { Ready = Ready.Add(p.What), HandsSince = at },
            Mixed m => this with { Bowls = Bowls.SetItem((m.Formula, m.Ordinal), at), HandsSince = at },
            BowlGone b => this with { Bowls = Bowls.Remove((b.Formula, b.Ordinal)), HandsSince = at },
            Added a => this with { Order = [a.Panel, .. Order], Added = [.. Added, a.Panel] },
            Covered c => c.Panels.Aggregate(
                this,
                (service, p) => service.Stand(p, s => s.After(new(at, Covering: c.With)))
            ),
            Painted p => Laid(p.Panel, at, spread: false) with { HandsSince = at },
            PaintedUpTo p => UpTo(p.Panel, at),
            PutOff { Now: true } p => this with { Order = [p.Panel, .. Order.Where(o => o != p.Panel)] },
            PutOff p => this with { Order = [.. Order.Where(o => o != p.Panel), p.Panel] },
            LeftNatural p => Stand(p.Panel, s => s with { IsLeft = true }),
            Marked m => this with { Marks = Marks.Add((at, m)) },
            Recoated r => Stand(r.Panel, s => s.After(new(at, IsFresh: true))),
            Heated h => this with { Heat = Heat.Add((at, h.On)) },
            Looked l => (l.Again ? Stand(l.Panel, s => s.After(new(at, IsFresh: true))) : this) with
            {
                Looks = Looks.Add(new(at, l, StandOf(l.Panel).Step, StandOf(l.Panel))),
            },
            Apply.ComfortReported f => this with { Felt = (at, f.How) },
            Paused => this with { PausedAt = at },
            Resumed => this with { PausedAt = null, HandsSince = at },
            AssistantChanged h => this with { Help = h.Pairs == 2 ? h.Does : null },
            RinseBegun w => this with { Rinse = new(at, w.Panels) },
            RinseEnded w => Rinsed(w, at),
            Washed => NextStep(at) with { WashedAt = at },
            WentOn => NextStep(at),
            AreaLaid => this with { Areas = Areas.Add(new(Step, at)), HandsSince = at },
            _ => this,
        };
    }

    /// <summary>
    /// What was done in a step is kept by its facts; the next one begins with all of its own to do, and with what goes
    /// on beneath it.
    /// </summary>
    private ServiceInHand NextStep(DateTimeOffset at)
    {
        var carried = On.ToArray();
        return this with
        {
            Step = Step + 1,
            Order = [.. carried, .. Step + 1 < steps.Count ? steps[Step + 1].Panels : []],
            Panels = Panels.RemoveRange(Panels.Keys.Except(carried)),
            Finished = Finished.SetItems(
                Panels
                    .Where(p => p.Value.RinsedAt is not null)
                    .Select(p => KeyValuePair.Create((p.Key, p.Value.Step), p.Value))
            ),
            Areas = Areas.RemoveAll(a => !a.IsOn),
            HandsSince = at,
            Heat = carried.Length == 0 && HeatSince is not null ? Heat.Add((at, false)) : Heat,
        };
    }

    private ServiceInHand Laid(PanelKey panel, DateTimeOffset at, bool spread) =>
        Stand(
            panel,
            s => s with { PaintedAt = at, Turns = null, IsSpread = spread, IsLeft = false, Pairs = Pairs, Step = Step }
        );

    private ServiceInHand Stand(PanelKey panel, Func<PanelState, PanelState> change) =>
        this with
        {
            Panels = Panels.SetItem(panel, change(StandOf(panel))),
        };

    /// <summary>Forgotten taps: their moments lie evenly between the last that hands did and now.</summary>
    private ServiceInHand UpTo(PanelKey panel, DateTimeOffset at)
    {
        var waiting = Waiting.ToList();
        var those = waiting.Take(waiting.IndexOf(panel) + 1).ToArray();
        var since = HandsSince ?? SeatedAt ?? at;
        var service = this;
        for (var i = 0; i < those.Length; i++)
        {
            var moment = since + (at - since) * ((i + 1.0) / those.Length);
            service = service.Laid(those[i], moment, i < those.Length - 1);
        }

        return service with
        {
            HandsSince = at,
        };
    }

    /// <summary>
    /// Rinsed in the order they were served, the last no later than the rinse's end. The last rinse of panels
    /// takes along
    /// what has worked over an area; what still works there is rinsed by itself.
    /// </summary>
    private ServiceInHand Rinsed(RinseEnded ended, DateTimeOffset at)
    {
        if (Rinse is not { } rinse)
        {
            return this;
        }

        var not = (ended.Not ?? []).ToHashSet();
        var service = this;
        foreach (var (panel, j) in rinse.Panels.Where(p => !not.Contains(p)).Select((p, j) => (p, j)))
        {
            var slot = rinse.BegunAt.AddMinutes(ScheduleProblem.UsualSlot(j));
            service = service.Stand(panel, s => s with { RinsedAt = slot < at ? slot : at });
        }

        var isLast = !service.On.Any() && !service.Waiting.Any();
        bool IsRinsed(AreaState a) =>
            a.IsOn
            && (
                rinse.Panels.Count == 0 || isLast && steps[a.Step].AreaMinutes is { } m && a.LaidAt.AddMinutes(m) <= at
            );
        return service with
        {
            Areas = [.. Areas.Select(a => IsRinsed(a) ? a with { RinsedAt = at } : a)],
            Rinse = null,
            RinsesDone = RinsesDone + 1,
            HandsSince = at,
            // What burned is rinsed: from here on it is asked anew.
            Felt = Felt is { How: Comfort.Burning } && !service.On.Any() ? (at, Comfort.Nothing) : Felt,
        };
    }
}
