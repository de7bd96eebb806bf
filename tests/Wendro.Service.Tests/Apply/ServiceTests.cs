using CsCheck;
using Wendro.Apply;
using Wendro.Head;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Apply;

/// <summary>What happened at the chair, folded.</summary>
public sealed class ServiceTests
{
    private static readonly DateTimeOffset Start = new(2031, 5, 6, 12, 0, 0, TimeSpan.Zero);

    private static PanelKey Panel(int n) => new(Zone.Nape, n / 3, n % 3);

    private static IReadOnlyList<StepToDo> Steps(int panels = 6, int more = 0) =>
        more == 0
            ? [new(Enumerable.Range(0, panels).Select(Panel).ToArray())]
            :
            [
                new(Enumerable.Range(0, panels).Select(Panel).ToArray()),
                new(Enumerable.Range(0, more).Select(Panel).ToArray(), AreaMinutes: 60),
            ];

    private static RecordedFact<ServiceFact>[] Kept(params (double Minute, ServiceFact Fact)[] facts) =>
        facts.Select((f, i) => new RecordedFact<ServiceFact>(i + 1, Start.AddMinutes(f.Minute), f.Fact)).ToArray();

    private static ServiceInHand Of(params (double Minute, ServiceFact Fact)[] facts) =>
        ServiceInHand.Of(Steps(), Kept(facts));

    [Fact]
    public void Panels_are_painted_in_order_and_the_next_waits()
    {
        var service = Of((0, new Seated()), (1, new Painted(Panel(0))), (2, new Painted(Panel(1))));
        Assert.Equal(Panel(2), service.Next);
        Assert.Equal([Panel(0), Panel(1)], service.On);
        Assert.Equal(Start.AddMinutes(2), service.StandOf(Panel(1)).PaintedAt);
        Assert.Equal(4, service.Waiting.Count());
    }

    [Fact]
    public void A_mis_tap_is_taken_back_and_nothing_else()
    {
        var service = Of(
            (0, new Seated()),
            (1, new Painted(Panel(0))),
            (2, new Painted(Panel(1))),
            (2.1, new TakenBack(3))
        );
        Assert.Equal(Panel(1), service.Next);
        Assert.Equal(2, service.Last!.Number);
        Assert.Equal(Start.AddMinutes(1), service.StandOf(Panel(0)).PaintedAt);
    }

    [Fact]
    public void Forgotten_taps_are_spread_back_to_the_last_one_and_said_so()
    {
        var service = Of((0, new Seated()), (2, new Painted(Panel(0))), (8, new PaintedUpTo(Panel(3))));
        Assert.Equal(
            [4.0, 6, 8],
            Enumerable.Range(1, 3).Select(n => (service.StandOf(Panel(n)).PaintedAt!.Value - Start).TotalMinutes)
        );
        Assert.Equal([true, true, false], Enumerable.Range(1, 3).Select(n => service.StandOf(Panel(n)).IsSpread));
        Assert.Equal(Panel(4), service.Next);
    }

    [Fact]
    public void Later_comes_last_now_comes_next_and_what_is_left_natural_comes_never()
    {
        var service = Of(
            (0, new Seated()),
            (1, new PutOff(Panel(0))),
            (2, new PutOff(Panel(4), Now: true)),
            (3, new LeftNatural(Panel(1)))
        );
        Assert.Equal([Panel(4), Panel(2), Panel(3), Panel(5), Panel(0)], service.Waiting);
    }

    [Fact]
    public void A_rinse_is_taken_as_rinsed_in_its_order_unless_said_otherwise()
    {
        var service = Of(
            (0, new Seated()),
            (1, new Painted(Panel(0))),
            (2, new Painted(Panel(1))),
            (3, new Painted(Panel(2))),
            (30, new RinseBegun([Panel(2), Panel(0), Panel(1)])),
            (40, new RinseEnded([Panel(0)]))
        );
        Assert.Equal(34, (service.StandOf(Panel(2)).RinsedAt!.Value - Start).TotalMinutes);
        Assert.Equal(34.5, (service.StandOf(Panel(1)).RinsedAt!.Value - Start).TotalMinutes);
        Assert.Equal([Panel(0)], service.On);
        Assert.Equal(1, service.RinsesDone);
    }

    [Fact]
    public void A_rinse_ended_sooner_than_its_sum_rinsed_nothing_after_its_end()
    {
        var service = Of(
            (0, new Seated()),
            (1, new Painted(Panel(0))),
            (2, new Painted(Panel(1))),
            (30, new RinseBegun([Panel(0), Panel(1)])),
            (34.2, new RinseEnded())
        );
        Assert.Equal(34.2, (service.StandOf(Panel(1)).RinsedAt!.Value - Start).TotalMinutes, 1e-9);
    }

    [Fact]
    public void Pausing_stops_hands_and_no_product()
    {
        var before = Of((0, new Seated()), (1, new Painted(Panel(0))));
        var paused = Of((0, new Seated()), (1, new Painted(Panel(0))), (2, new Paused()));
        Assert.Equal(before.StandOf(Panel(0)), paused.StandOf(Panel(0)));
        Assert.Equal(Start.AddMinutes(2), paused.PausedAt);
        Assert.NotEmpty(paused.Against(new Paused()));
        Assert.Empty(paused.Against(new Resumed()));
    }

    [Fact]
    public void While_it_burns_nothing_more_is_painted_until_all_is_rinsed()
    {
        var burns = Of((0, new Seated()), (1, new Painted(Panel(0))), (2, new ComfortReported(Comfort.Burning)));
        Assert.NotEmpty(burns.Against(new Painted(Panel(1))));
        Assert.NotEmpty(burns.Against(new PaintedUpTo(Panel(2))));
        Assert.Empty(burns.Against(new RinseBegun([Panel(0)])));
        var rinsed = Of(
            (0, new Seated()),
            (1, new Painted(Panel(0))),
            (2, new ComfortReported(Comfort.Burning)),
            (2.5, new RinseBegun([Panel(0)])),
            (8, new RinseEnded())
        );
        Assert.Equal(Comfort.Nothing, rinsed.Felt!.Value.How);
    }

    [Fact]
    public void What_can_t_happen_is_told_by_field()
    {
        var nobody = Of();
        Assert.NotEmpty(nobody.Against(new Painted(Panel(0))));
        Assert.Empty(nobody.Against(new Seated()));
        var service = Of((0, new Seated()), (1, new Painted(Panel(0))));
        Assert.NotEmpty(service.Against(new Seated()));
        Assert.Equal("fact.panel", service.Against(new Painted(Panel(0)))[0].Field);
        Assert.Equal("fact.panel", service.Against(new Painted(new(Zone.Crown, 0, 0)))[0].Field);
        Assert.NotEmpty(service.Against(new Recoated(Panel(1))));
        Assert.NotEmpty(service.Against(new Looked(Panel(1), new Level(6))));
        Assert.NotEmpty(service.Against(new RinseBegun([Panel(1)])));
        Assert.NotEmpty(service.Against(new RinseBegun([])));
        Assert.NotEmpty(service.Against(new RinseBegun([Panel(0), Panel(0)])));
        Assert.NotEmpty(service.Against(new RinseEnded()));
        Assert.NotEmpty(service.Against(new Washed()));
        Assert.NotEmpty(service.Against(new AssistantChanged(3)));
    }

    [Fact]
    public void The_next_step_begins_with_all_of_its_own_to_do()
    {
        var facts = Kept(
            (0, new Seated()),
            (1, new Painted(Panel(0))),
            (2, new Painted(Panel(1))),
            (30, new RinseBegun([Panel(0), Panel(1)])),
            (36, new RinseEnded()),
            (55, new Washed()),
            (60, new AreaLaid())
        );
        var service = ServiceInHand.Of(Steps(2, 3), facts);
        Assert.Equal(1, service.Step);
        Assert.False(service.IsDone);
        Assert.True(service.AreaIsOn);
        Assert.Equal(3, service.Waiting.Count());
        Assert.Empty(service.On);
    }

    private static string[] Told(ServiceInHand service) =>
        service
            .Panels.Select(p => $"{p.Key} {p.Value with { Turns = null }} {string.Join(' ', p.Value.Turns ?? [])}")
            .Order(StringComparer.Ordinal)
            .ToArray();

    [Fact]
    public void Whatever_is_said_in_whatever_order_each_panel_is_painted_once_at_most_and_rinsed_after_it()
    {
        var any =
            from what in Gen.Int[0, 9]
            from panel in Gen.Int[0, 5]
            from other in Gen.Int[0, 5]
            select (what, panel, other);
        any.Array[0, 60]
            .Sample(said =>
            {
                var facts = new List<RecordedFact<ServiceFact>> { new(1, Start, new Seated()) };
                foreach (var ((what, panel, other), i) in said.Select((s, i) => (s, i)))
                {
                    ServiceFact fact = what switch
                    {
                        0 or 1 => new Painted(Panel(panel)),
                        2 => new PaintedUpTo(Panel(panel)),
                        3 => new PutOff(Panel(panel), panel < other),
                        4 => new LeftNatural(Panel(panel)),
                        5 => new RinseBegun(panel == other ? [Panel(panel)] : [Panel(panel), Panel(other)]),
                        6 => new RinseEnded(),
                        7 => new Paused(),
                        8 => new Resumed(),
                        _ => new Looked(Panel(panel), new Level(5 + other * 0.5)),
                    };
                    if (ServiceInHand.Of(Steps(), facts).Against(fact).Count == 0)
                    {
                        facts.Add(new(facts.Count + 1, Start.AddMinutes(i + 1), fact));
                    }
                }

                var service = ServiceInHand.Of(Steps(), facts);
                Assert.Equal(6, service.Order.Distinct().Count());
                Assert.Equal(6, service.Order.Count);
                foreach (var panel in service.Order)
                {
                    var stand = service.StandOf(panel);
                    Assert.True(stand.RinsedAt is null || stand.PaintedAt < stand.RinsedAt);
                    Assert.False(stand.IsLeft && stand.PaintedAt is not null);
                }

                // The same facts, the same service.
                Assert.Equal(Told(service), Told(ServiceInHand.Of(Steps(), facts)));
            });
    }

    private static IReadOnlyList<StepToDo> BaseBeneath(bool rinse = false) =>
        [new([Panel(0), Panel(1)], rinse), new([], AreaMinutes: 60)];

    [Fact]
    public void A_base_goes_on_beneath_the_sheets_while_what_was_painted_works()
    {
        var facts = Kept((0, new Seated()), (1, new Painted(Panel(0))), (2, new Painted(Panel(1))));
        var painted = ServiceInHand.Of(BaseBeneath(), facts);
        Assert.True(painted.GoesOn);
        Assert.Empty(painted.Against(new WentOn()));
        Assert.NotEmpty(painted.Against(new Washed()));

        var on = ServiceInHand.Of(BaseBeneath(), [.. facts, new(4, Start.AddMinutes(3), new WentOn())]);
        Assert.Equal(1, on.Step);
        Assert.True(on.AreaWaits);
        Assert.Equal([Panel(0), Panel(1)], on.On);
        Assert.Equal(Start.AddMinutes(1), on.StandOf(Panel(0)).PaintedAt);
        Assert.Equal(0, on.StandOf(Panel(0)).Step);
        Assert.Null(on.WashedAt);
        Assert.False(on.GoesOn);

        // Both are rinsed before it is washed.
        var laid = ServiceInHand.Of(
            BaseBeneath(),
            [
                .. facts,
                new(4, Start.AddMinutes(3), new WentOn()),
                new(5, Start.AddMinutes(20), new AreaLaid()),
                new(6, Start.AddMinutes(40), new RinseBegun([Panel(0), Panel(1)])),
                new(7, Start.AddMinutes(45), new RinseEnded()),
            ]
        );
        Assert.NotEmpty(laid.Against(new Washed()));
        Assert.True(laid.AreaIsOn);
    }

    [Fact]
    public void Nothing_goes_on_beneath_while_something_waits_or_where_it_is_rinsed_between()
    {
        var one = Kept((0, new Seated()), (1, new Painted(Panel(0))));
        Assert.NotEmpty(ServiceInHand.Of(BaseBeneath(), one).Against(new WentOn()));
        var both = Kept((0, new Seated()), (1, new Painted(Panel(0))), (2, new Painted(Panel(1))));
        Assert.NotEmpty(ServiceInHand.Of(BaseBeneath(rinse: true), both).Against(new WentOn()));
        Assert.NotEmpty(
            ServiceInHand.Of([new([Panel(0), Panel(1)], Rinse: false), new([Panel(1)])], both).Against(new WentOn())
        );
    }

    [Fact]
    public void A_look_keeps_its_step_and_when_what_it_saw_was_painted()
    {
        var service = ServiceInHand.Of(
            Steps(2, 2),
            Kept(
                (0, new Seated()),
                (1, new Painted(Panel(0))),
                (2, new Painted(Panel(1))),
                (20, new Looked(Panel(0), new(7), true, Working.Working)),
                (30, new RinseBegun([Panel(0), Panel(1)])),
                (40, new RinseEnded()),
                (60, new Washed())
            )
        );
        var look = Assert.Single(service.Looks);
        Assert.Equal((0, Start.AddMinutes(1)), (look.Step, look.Stood.PaintedAt));
        Assert.Null(service.StandOf(Panel(0)).PaintedAt);
    }
}
