using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Host.Mix;

/// <summary>A coarser cut to take, tried out.</summary>
/// <param name="Label">What it does.</param>
/// <param name="Edit">The edit, to be sent as it is.</param>
/// <param name="PanelsBefore">Panels painted as planned.</param>
/// <param name="Panels">Panels painted after it.</param>
/// <param name="LastAtMinuteBefore">When the last panel is painted as planned, minutes.</param>
/// <param name="LastAtMinute">The same after it.</param>
/// <param name="LevelsApart">How far it lies from the plan as it is seen, mean over zones, levels.</param>
/// <param name="Mends">Whether nothing is over before the last is painted after it.</param>
internal sealed record CoarserCutView(
    Sentence Label,
    PlanEdit Edit,
    int PanelsBefore,
    int Panels,
    double LastAtMinuteBefore,
    double LastAtMinute,
    double LevelsApart,
    bool Mends
)
{
    public static CoarserCutView Of(CoarserCut cut) =>
        new(
            cut.Label,
            cut.Edit,
            cut.Panels.Before,
            cut.Panels.After,
            cut.LastAtMinute.Before,
            cut.LastAtMinute.After,
            cut.LevelsApart,
            cut.Mends
        );
}

/// <summary>A coarser cut; null where none is called for or none helps.</summary>
internal sealed record CoarserView(CoarserCutView? Cut);
