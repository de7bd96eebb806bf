using Wendro.Blend;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Section;

namespace Wendro.Mix;

/// <summary>One thing that must lie ready.</summary>
/// <param name="Id">Short name, the same from plan to plan.</param>
/// <param name="Words">What it is.</param>
/// <param name="Count">How many.</param>
/// <param name="Why">What it is for.</param>
public sealed record TrayItem(string Id, string Words, int Count, string Why);

/// <summary>
/// What must lie ready before the first panel: it follows from the plan. Trade; the counts are model assumptions.
/// </summary>
public static class Tray
{
    /// <summary>Sheets are cut this much longer than the hair they take, cm.</summary>
    private const double SheetSparesCm = 5;

    /// <summary>Sheets laid out more than are needed, one in so many.</summary>
    private const int SpareOneIn = 8;

    /// <summary>The list, safety first.</summary>
    /// <param name="panels">All panels.</param>
    /// <param name="hair">Her hair.</param>
    /// <param name="batches">The bowls.</param>
    /// <param name="sections">Parts the head is clipped away into.</param>
    public static IReadOnlyList<TrayItem> Of(
        IReadOnlyList<PlannedPanel> panels,
        HairProfile hair,
        IReadOnlyList<Batch> batches,
        int sections
    )
    {
        ArgumentNullException.ThrowIfNull(panels);
        ArgumentNullException.ThrowIfNull(hair);
        ArgumentNullException.ThrowIfNull(batches);
        var painted = panels.Where(p => p.Coats.Count > 0).ToArray();
        if (painted.Length == 0)
        {
            return [];
        }

        var coats = painted.SelectMany(p => p.Coats.Select(c => (Panel: p.Panel, Coat: c))).ToArray();
        var formulas = coats.Select(c => c.Coat.Formula.Id).Distinct().Count();
        var hairline = painted.Any(p => ZoneFacts.IsHairline(p.Panel.Key.Zone));
        var items = new List<TrayItem>
        {
            new("gloves", "Pairs of gloves", 2, "one to mix and paint, one to rinse"),
            new("eyes", "Eye protection", 1, "powder and developer splash; air the room"),
            new("cape", "Cape and towel", 1, "for the client"),
        };
        if (hairline)
        {
            items.Add(new("barrier", "Barrier cream", 1, "the hairline is painted"));
        }

        items.Add(new("bowls", "Non-metal bowls", Math.Max(1, Together(batches)), "in use at the same time"));
        items.Add(new("mixingBrushes", "Brushes for the bowl", formulas, "one a formula, never on the hair"));
        items.Add(new("hairBrushes", "Brushes for the hair", formulas, "one a formula"));
        if (hair.GreyShare > 0 || painted.Any(p => p.Panel.ThicknessMm <= 8))
        {
            items.Add(new("smallBrush", "Small brush", 1, "fine pieces"));
        }

        if (coats.Any(c => c.Coat.Painted.Paint is { Covering: Covering.Open, Shape: not Shape.Scrunch }))
        {
            items.Add(new("board", "Board", 1, "to hold open panels on"));
        }

        items.AddRange(Sheets(coats));
        items.Add(new("clips", "Clips", 2 * sections, "two a section"));
        items.Add(
            hair.Curl is Curl.Curly or Curl.Coily
                ? new("comb", "Wide comb", 1, "curls stay together")
                : new("comb", "Tail comb", 1, "to part and lift panels")
        );
        if (coats.Any(c => c.Coat.Painted.Paint.Teasing != Teasing.None))
        {
            items.Add(new("teasing", "Teasing brush", 1, "panels are teased first"));
        }

        if (coats.Any(c => c.Coat.Formula.LowHeat))
        {
            items.Add(new("heat", "Low heat lamp", 1, "only if the leaflet allows it; stay with the client"));
        }

        items.Add(new("scale", "Bench scale", 1, "bowls are weighed"));
        items.Add(new("timer", "Timer", 1, "looks every ten minutes"));
        return items;
    }

    /// <summary>Bowls alive at the same time, at most.</summary>
    private static int Together(IReadOnlyList<Batch> batches) =>
        batches.Select(b => batches.Count(o => o.MixAt <= b.MixAt && o.PaintedUntil > b.MixAt)).DefaultIfEmpty(0).Max();

    /// <summary>
    /// Sheets by what they are and their length: film one a row, over it or beneath it, foil and mesh one a panel, in
    /// three lengths at most; some to spare.
    /// </summary>
    private static IEnumerable<TrayItem> Sheets(IReadOnlyList<(Panel Panel, Coat Coat)> coats)
    {
        var needed = coats
            .SelectMany(c => Needed(c.Panel, c.Coat))
            .GroupBy(n => (n.Covering, n.Place))
            .Select(g => (g.Key.Covering, Cm: g.Max(n => n.Cm)))
            .ToArray();
        return from sheet in needed
            group sheet by (sheet.Covering, Cm: CutTo(sheet, needed)) into alike
            orderby alike.Key.Covering, alike.Key.Cm
            let count = alike.Count()
            select new TrayItem(
                $"{alike.Key.Covering.ToString().ToLowerInvariant()}{alike.Key.Cm}",
                $"Sheets of {Remedies.Words(alike.Key.Covering)}, {alike.Key.Cm} cm",
                count + (count + SpareOneIn - 1) / SpareOneIn,
                $"{(alike.Key.Covering == Covering.Film ? "one a row: " : string.Empty)}{count} and some to spare"
            );
    }

    /// <summary>What a panel needs sheets of, where it shares one, and how long, cm.</summary>
    private static IEnumerable<(Covering Covering, PanelKey Place, double Cm)> Needed(Panel panel, Coat coat)
    {
        var paint = coat.Painted.Paint;
        var cm = panel.LengthCm - Math.Min(coat.Painted.StartCm, panel.LengthCm) + SheetSparesCm;
        var row = panel.Key with { Column = 0 };
        if (paint.Covering != Covering.Open)
        {
            yield return (paint.Covering, paint.Covering == Covering.Film ? row : panel.Key, cm);
        }

        if (paint.LiesOn == LiesOn.Film && paint.Covering != Covering.Film)
        {
            yield return (Covering.Film, row, cm);
        }
    }

    /// <summary>Of one material no more than three lengths are cut, in steps of 5 cm.</summary>
    private static int CutTo((Covering Covering, double Cm) sheet, IReadOnlyList<(Covering Covering, double Cm)> all)
    {
        var alike = all.Where(n => n.Covering == sheet.Covering).Select(n => n.Cm).ToArray();
        var (shortest, longest) = (alike.Min(), alike.Max());
        var share = longest - shortest < 1e-9 ? 1 : (sheet.Cm - shortest) / (longest - shortest);
        var third = Math.Max(1, Math.Ceiling(share * Lengths - 1e-9));
        return 5 * (int)Math.Ceiling((shortest + (longest - shortest) * third / Lengths) / 5);
    }

    /// <summary>Different lengths of one material that are cut at most.</summary>
    private const int Lengths = 3;
}
