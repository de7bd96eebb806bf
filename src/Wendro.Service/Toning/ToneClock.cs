using Wendro.Timing;

namespace Wendro.Toning;

/// <summary>When an area is put on, minutes from the first touch.</summary>
/// <param name="Area">Its number.</param>
/// <param name="From">When its laying begins.</param>
/// <param name="OnAt">When it is on.</param>
/// <param name="StaysMinutes">How long it stays until all is rinsed.</param>
public sealed record ToneSlot(int Area, double From, double OnAt, double StaysMinutes);

/// <summary>
/// One pair of hands, one rinse: areas are put on in their order, each as late as the next allows, so that all end
/// together and none stays longer than it must.
/// </summary>
/// <param name="Slots">The areas in their order.</param>
/// <param name="RinseAt">When all is rinsed, minutes from the first touch.</param>
public sealed record ToneClock(IReadOnlyList<ToneSlot> Slots, double RinseAt)
{
    /// <summary>Minutes that working toner through the hair of so much scalp takes.</summary>
    public static double LayMinutes(double scalpCm2) => scalpCm2 * PaintingTime.LengthsSecondsPerCm2 / 60;

    /// <summary>The clock of some areas.</summary>
    /// <param name="areas">Each with how long laying it takes, minutes.</param>
    public static ToneClock Of(IReadOnlyList<(ToneArea Area, double LayMinutes)> areas)
    {
        ArgumentNullException.ThrowIfNull(areas);
        var (laid, rinse) = (0.0, 0.0);
        foreach (var (area, lay) in areas)
        {
            laid += lay;
            rinse = Math.Max(rinse, laid + area.Minutes);
        }

        var slots = new ToneSlot[areas.Count];
        var next = rinse;
        for (var i = areas.Count - 1; i >= 0; i--)
        {
            var (area, lay) = areas[i];
            var on = Math.Min(rinse - area.Minutes, next);
            slots[i] = new(area.Id, on - lay, on, rinse - on);
            next = on - lay;
        }

        return new(slots, rinse);
    }
}
