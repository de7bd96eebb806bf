using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Changes how the brush is pressed, how the panel is held, how much is teased, what it lies on. What is null stays.
/// </summary>
[Kind("setHandling")]
public sealed record SetHandling(
    IReadOnlyList<PanelKey> Panels,
    Pressure? Pressure = null,
    Tension? Tension = null,
    Teasing? Teasing = null,
    int Coat = 0,
    LiesOn? LiesOn = null
) : PlanEdit
{
    /// <inheritdoc/>
    public override Sentence Label() =>
        LiesOn is { } on && Pressure is null && Tension is null && Teasing is null
            ? on == Paint.LiesOn.Nothing
                ? $"Nothing beneath {Say.Count(Panels)}"
                : $"{(on == Paint.LiesOn.Film ? "Film" : "Board")} beneath {Say.Count(Panels)}"
            : $"Changed the technique on {Say.Count(Panels)}";

    internal override void Check(EditChecks on)
    {
        on.Panels(Panels, Coat);
        on.Known(Pressure ?? default, "pressure");
        on.Known(Tension ?? default, "tension");
        on.Known(Teasing ?? default, "teasing");
        on.Known(LiesOn ?? default, "liesOn");
    }

    internal override Edited Make(Plan plan, Cutting cutting) =>
        Panelwise.Coat(
            plan,
            Panels,
            Coat,
            p =>
                p with
                {
                    Pressure = Pressure ?? p.Pressure,
                    Tension = Tension ?? p.Tension,
                    Teasing = Teasing ?? p.Teasing,
                    LiesOn = LiesOn ?? p.LiesOn,
                }
        );
}
