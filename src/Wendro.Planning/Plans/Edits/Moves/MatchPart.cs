using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Paints one side of the part as the other is: top and fringe.</summary>
[Kind("matchPart")]
public sealed record MatchPart(Side From) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Matched the part to the {Say.Side(From)}";

    internal override void Check(EditChecks on) => on.Known(From, "from");

    internal override Edited Make(Plan plan, Cutting cutting)
    {
        foreach (var left in AtPart)
        {
            var (source, target) = From == Side.Left ? (left, ZoneFacts.Other(left)) : (ZoneFacts.Other(left), left);
            var given = Painted.In(plan, cutting, z => z == source).ToArray();
            if (given.Length == 0 || plan.Zones[target].Excluded is not null)
            {
                continue;
            }

            foreach (var panel in cutting.Cut(plan, target).Panels)
            {
                var pair = given.MinBy(g =>
                    Math.Abs(g.Panel.Key.Row - panel.Key.Row) * RowApart
                    + Math.Abs(g.Panel.Key.Column - panel.Key.Column)
                );
                var start = pair.Paint.StartOn(pair.Panel.Key, pair.Panel.LengthCm, plan.Seed);
                plan = Panelwise.Each(plan, [panel.Key], _ => pair.Paint.StartingAt(start));
            }
        }

        return plan;
    }

    /// <summary>How many columns a row counts for when the panel opposite is looked for. Model assumption.</summary>
    private const int RowApart = 8;

    /// <summary>Zones of her left that meet at the part.</summary>
    private static readonly Zone[] AtPart = [Zone.TopLeft, Zone.FringeLeft];
}
