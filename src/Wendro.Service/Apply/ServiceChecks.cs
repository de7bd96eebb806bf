using Wendro.Units;

namespace Wendro.Apply;

/// <summary>What can't happen at the chair as a service stands.</summary>
public static class ServiceChecks
{
    private const string Burns = "It burns: rinse first. Nothing more is painted.";

    /// <summary>What can't happen now, by field; nothing where it can.</summary>
    public static IReadOnlyList<Problem> Against(this ServiceInHand service, ServiceFact fact)
    {
        ArgumentNullException.ThrowIfNull(service);
        Problem[] On(string words) => [new("fact", words)];
        var burns = service.Felt?.How == Comfort.Burning;
        return fact switch
        {
            Seated when service.SeatedAt is not null => On("The client sits already."),
            not Seated and not TakenBack when service.SeatedAt is null => On("Seat the client first."),
            BowlGone b when !service.Bowls.ContainsKey((b.Formula, b.Ordinal)) => On("This bowl is not mixed."),
            Added a when service.Order.Contains(a.Panel) => [new("fact.panel", "It is painted in this step anyway.")],
            Added when service.IsDone => On("All steps are done."),
            Added when burns => On(Burns),
            Covered { Panels.Count: 0 } => [new("fact.panels", "Say which.")],
            Covered c when c.Panels.Any(p => !service.StandOf(p).IsOn) =>
            [
                new("fact.panels", $"Nothing works on {c.Panels.First(p => !service.StandOf(p).IsOn).Words}."),
            ],
            Painted p when !service.Order.Contains(p.Panel) => [new("fact.panel", "The plan paints no such panel.")],
            Painted p when service.StandOf(p.Panel).PaintedAt is not null =>
            [
                new("fact.panel", "It is painted already."),
            ],
            Painted or PaintedUpTo or Recoated or AreaLaid when burns => On(Burns),
            PaintedUpTo p when !service.Waiting.Contains(p.Panel) =>
            [
                new("fact.panel", "It does not wait to be painted."),
            ],
            PutOff p when !service.Waiting.Contains(p.Panel) => [new("fact.panel", "It does not wait to be painted.")],
            LeftNatural p when !service.Waiting.Contains(p.Panel) =>
            [
                new("fact.panel", "It does not wait to be painted."),
            ],
            Marked m when !service.Order.Contains(m.Panel) => [new("fact.panel", "The plan paints no such panel.")],
            Marked { Note.Length: > 200 } => [new("fact.note", "At most 200 letters.")],
            Recoated r when !service.StandOf(r.Panel).IsOn => [new("fact.panel", "Nothing works on it.")],
            Looked l when !service.StandOf(l.Panel).IsOn => [new("fact.panel", "Nothing works on it.")],
            Paused when service.PausedAt is not null => On("Hands rest already."),
            Resumed when service.PausedAt is null => On("Hands do not rest."),
            AssistantChanged { Pairs: < 1 or > 2 } => [new("fact.pairs", "1 or 2.")],
            Heated h when h.On == service.HeatSince is not null => On(
                h.On ? "Heat is on already." : "Heat is off already."
            ),
            RinseBegun when service.Rinse is not null => On("A wave is under way: end it first."),
            AreaLaid when !service.AreaWaits => On("Nothing waits to be laid over an area."),
            RinseBegun { Panels.Count: 0 } when !service.AreaIsOn => [new("fact.panels", "A wave needs a panel.")],
            RinseBegun w when w.Panels.Any(p => !service.StandOf(p).IsOn) =>
            [
                new("fact.panels", $"Nothing works on {w.Panels.First(p => !service.StandOf(p).IsOn)}."),
            ],
            RinseBegun w when w.Panels.Distinct().Count() != w.Panels.Count => [new("fact.panels", "Each once.")],
            RinseEnded when service.Rinse is null => On("No wave is under way."),
            Washed when service.On.Any() || service.AreaIsOn || service.Rinse is not null => On(
                "Something still works on the hair: rinse it first."
            ),
            WentOn when !service.GoesOn => On("The next step begins when this one is rinsed and washed."),
            Washed when service.IsDone => On("All steps are done."),
            _ => [],
        };
    }
}
