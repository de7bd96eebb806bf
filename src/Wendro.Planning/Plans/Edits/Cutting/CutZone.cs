using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>Cuts a zone anew; each new panel takes the paint of the old one that overlaps it most.</summary>
[Kind("cutZone")]
public sealed record CutZone(
    Zone Zone,
    Parting Parting,
    [property: Within(Sections.ThinnestMm, Sections.ThickestMm, "mm")] double ThicknessMm,
    [property: Within(Sections.NarrowestCm, Sections.WidestCm, "cm")] double WidthCm,
    [property: Within(0, Sections.MostLeaveOutMm, "mm")] double LeaveOutMm,
    bool Bricklay,
    bool Woven = false,
    RowOrder Order = RowOrder.LowFirst
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() => $"Sectioned {Say.The(Zone)}";

    internal override void Check(EditChecks on)
    {
        on.Known(Zone, "zone");
        on.Known(Parting, "parting");
        on.Within(this);
        on.Known(Order, "order");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        PaintHandover.To(plan, plan.With(Zone, z => z with { Sections = ToSections() }), cutting);

    /// <summary>Cuts a zone as sections say.</summary>
    public static CutZone As(Zone zone, Sections sections)
    {
        ArgumentNullException.ThrowIfNull(sections);
        return new(
            zone,
            sections.Parting,
            sections.ThicknessMm,
            sections.WidthCm,
            sections.LeaveOutMm,
            sections.Bricklay,
            sections.Woven,
            sections.Order
        );
    }

    /// <summary>The sections it cuts (a method: an edit is written out with its properties).</summary>
    public Sections ToSections() => new(Parting, ThicknessMm, WidthCm, LeaveOutMm, Bricklay, Woven, Order);
}
