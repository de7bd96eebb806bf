using Wendro.Lift;
using Wendro.Paint;

namespace Wendro.Care;

/// <summary>
/// The usual words of care, where they matter. They defer to leaflet, local rules and licensed practice.
/// </summary>
public static class Cautions
{
    /// <summary>Said beside every forecast.</summary>
    public const string LeafletFirst =
        "The product's leaflet, local rules and a licensed professional's judgement come before any figure here.";

    /// <summary>Said of every product that is not made for the scalp.</summary>
    public const string OffScalp = "Off-scalp product: keep it off the scalp.";

    /// <summary>Cautions that a case of lifting calls for, most serious first.</summary>
    /// <param name="of">The case.</param>
    /// <param name="minutes">How long, minutes; null where no time was asked.</param>
    public static IReadOnlyList<string> For(LiftCase of, double? minutes)
    {
        ArgumentNullException.ThrowIfNull(of);
        var said = new List<string>();
        if (minutes > of.FiguresOf().LimitMinutes)
        {
            said.Add(
                $"Longer than {(of.Figures is null ? "most leaflets allow" : "its leaflet allows")} "
                    + $"({of.FiguresOf().LimitMinutes:0} min): never past the leaflet's time."
            );
        }

        if (of.LowHeat && of.FiguresOf().ExcludesHeat)
        {
            said.Add("Many leaflets for clay exclude heat: never heat against the leaflet.");
        }
        else if (of.LowHeat)
        {
            said.Add("Heat only if the leaflet allows it; stay and watch.");
        }

        if (of.Volume.Value > LiftTables.ScalpVolume)
        {
            said.Add("Developer over 20 vol stays off the scalp.");
        }

        if (!of.FiguresOf().ScalpSafe)
        {
            said.Add(OffScalp);
        }

        if (of.Coloured)
        {
            said.Add("Coloured hair: do a strand test first; stop if it breaks.");
        }

        if (of.Lightener is Lightener.Clay or Lightener.Half && of.Covering == Covering.Foil)
        {
            said.Add("Clay is meant to stay open: no airtight covering unless its leaflet says so.");
        }

        said.Add(LeafletFirst);
        return said;
    }
}
