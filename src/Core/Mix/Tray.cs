using Wendro.Core.Blend;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Lift;
using Wendro.Core.Paint;
using Wendro.Core.Section;

namespace Wendro.Core.Mix;

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

    /// <summary>Sheets by covering and length: one for each product that is covered by itself, some to spare.</summary>
    private static IEnumerable<TrayItem> Sheets(IReadOnlyList<(Panel Panel, Coat Coat)> coats) =>
        from c in coats
        where c.Coat.Painted.Paint.Covering != Covering.Open
        let cm = 5
            * (int)
                Math.Ceiling(
                    (c.Panel.LengthCm - Math.Min(c.Coat.Painted.StartCm, c.Panel.LengthCm) + SheetSparesCm) / 5
                )
        group c by (c.Coat.Painted.Paint.Covering, Cm: cm) into alike
        orderby alike.Key.Covering, alike.Key.Cm
        let needed = alike.Select(c => c.Panel.Key).Distinct().Count()
        select new TrayItem(
            $"{alike.Key.Covering.ToString().ToLowerInvariant()}{alike.Key.Cm}",
            $"Sheets of {Remedies.Words(alike.Key.Covering)}, {alike.Key.Cm} cm",
            needed + (needed + SpareOneIn - 1) / SpareOneIn,
            $"{needed} and some to spare"
        );
}
