using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Lets neighbours in a row start high and low by turns, next rows the other way about.</summary>
[Kind("alternatePanels")]
public sealed record AlternatePanels(
    IReadOnlyList<PanelKey> Panels,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double HighCm,
    [property: Within(0, PanelPaint.MostStartCm, "cm")] double LowCm
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Alternated {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels);
        on.Within(this);
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panels.Aggregate(
            plan,
            (p, key) =>
                Panelwise.Each(p, [key], paint => paint.StartingAt((key.Row + key.Column) % 2 == 0 ? HighCm : LowCm))
        );
}
