using Wendro.Head;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Sets the order zones are worked in; every zone is named once.</summary>
[Kind("setOrder")]
public sealed record SetOrder(IReadOnlyList<Zone> Zones) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => "Changed the working order";

    internal override void Check(EditChecks on)
    {
        if (Zones is null || Zones.Count != ZoneFacts.All.Count || !Zones.Order().SequenceEqual(ZoneFacts.All))
        {
            on.Say("zones", "Name every zone once.");
        }
    }

    internal override Edited Make(Plan plan, Cutting cutting) => plan with { Order = Zones.ToArray() };
}
