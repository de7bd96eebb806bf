using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>
/// Hair as it came out, place by place, and what toners make of it: each area over what the one before it left, so
/// that what overlaps is toned twice.
/// </summary>
public sealed class TonedHair
{
    private const int N = Places.Count;

    private readonly PlannedHead head;
    private readonly StrandSamples raw;
    private readonly PriorTreatment[] pasts;

    /// <param name="head">The head, cut and painted.</param>
    /// <param name="raw">Its strands as they came out, unmixed.</param>
    public TonedHair(PlannedHead head, StrandSamples raw)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(raw);
        (this.head, this.raw) = (head, raw);
        pasts = ZoneFacts.All.Select(z => new PriorTreatment(head.Hair, z, head.Map)).ToArray();
    }

    /// <summary>The head it lies on.</summary>
    public PlannedHead Head => head;

    /// <summary>All strands, unmixed, when each area has worked its minutes.</summary>
    /// <param name="plan">How it is toned.</param>
    /// <param name="minutesOf">How long an area worked, minutes; 0 for not at all.</param>
    public StrandSamples Toned(TonePlan plan, Func<ToneArea, double> minutesOf)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(minutesOf);
        var works = plan
            .Areas.Select(a => (Area: a, Minutes: minutesOf(a)))
            .Where(a => a.Minutes > 0)
            .Select(a => (a.Area, Work: WorksOf(a.Area, a.Minutes)))
            .ToArray();
        if (works.Length == 0)
        {
            return raw;
        }

        var into = raw.Copy();
        Parallel.For(
            0,
            head.Map.Zone.Length,
            i =>
            {
                foreach (var (area, work) in works)
                {
                    if (Takes(area, i))
                    {
                        // What an earlier area left is read back from what was written: told in the steps of tints.
                        Tone(i, area, work, into);
                    }
                }
            }
        );
        return into;
    }

    /// <summary>
    /// One strand from the scalp to the ends when each area has worked its minutes: a lightened one, as long as most.
    /// </summary>
    /// <param name="plan">How it is toned.</param>
    /// <returns>Its length, cm, and its colours, evenly spaced, #rrggbb; before any toner, then toned.</returns>
    public (double LengthCm, IReadOnlyList<string> Raw, IReadOnlyList<string> Toned) Strand(TonePlan plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var lengths = head.Looks.OnHead.Lengths;
        var lightened = Enumerable.Range(0, lengths.Length).Where(i => PanelOf(i)?.Light is not null).ToArray();
        var among = lightened.Length > 0 ? lightened : Enumerable.Range(0, lengths.Length).ToArray();
        // As light as what is looked at, and of a usual length.
        var usual = among.Select(i => lengths[i]).Order().ElementAt(among.Length / 2);
        var alike = among
            .Where(i => lengths[i] >= 0.9 * usual && lengths[i] <= 1.1 * usual)
            .OrderBy(i => raw.Levels[i * N + (int)(LightAt * N)])
            .ToArray();
        var strand = alike[(int)(AreaForecast.LookedWhere * (alike.Length - 1))];

        var into = raw.Copy();
        foreach (var area in plan.Areas.Where(a => Takes(a, strand)))
        {
            Tone(strand, area, WorksOf(area, area.Minutes), into);
        }

        string[] Colours(StrandSamples of) =>
            Enumerable
                .Range(strand * N, N)
                .Select(at =>
                    LevelColours.HexOf(Palette.Raw.Colour(Level.FromByte(of.Levels[at]), new Tint(of.Tints[at])))
                )
                .ToArray();
        return (lengths[strand], Colours(raw), Colours(into));
    }

    /// <summary>Whether an area takes hair of a strand at all.</summary>
    /// <param name="area">The area.</param>
    /// <param name="strand">The strand.</param>
    public bool Takes(ToneArea area, int strand)
    {
        ArgumentNullException.ThrowIfNull(area);
        var zone = (Zone)head.Map.Zone[strand];
        if (area.Zones is { } zones ? !zones.Contains(zone) : head.Plan.Zones[zone].Excluded is not null)
        {
            return false;
        }

        return TakesOf(area, PanelOf(strand));
    }

    /// <summary>The panels an area takes, hair between them aside.</summary>
    /// <param name="area">The area.</param>
    public IReadOnlyList<PanelKey> PanelsOf(ToneArea area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return head
            .Panels.Where(p => area.Zones?.Contains(p.Panel.Key.Zone) != false && TakesOf(area, p))
            .Select(p => p.Panel.Key)
            .ToArray();
    }

    private PlannedPanel? PanelOf(int strand) => head.Map.Panel[strand] is >= 0 and var p ? head.Panels[p] : null;

    private static bool TakesOf(ToneArea area, PlannedPanel? panel) =>
        area.Takes switch
        {
            Toning.Takes.All => true,
            Toning.Takes.Lightened => panel?.Light is not null,
            Toning.Takes.Between => panel?.Light is null,
            Toning.Takes.Odd => panel is not null && panel.Panel.Key.Row % 2 == 1,
            Toning.Takes.Even => panel is not null && panel.Panel.Key.Row % 2 == 0,
        };

    /// <summary>
    /// Places an area takes, sampled: how they are, how much of the area lies there, and how they take it up.
    /// </summary>
    /// <param name="area">The area.</param>
    internal IReadOnlyList<TonePlace> PlacesOf(ToneArea area)
    {
        var found = new List<TonePlace>();
        var lengths = head.Looks.OnHead.Lengths;
        for (var i = 0; i < lengths.Length; i += EveryStrand)
        {
            if (!Takes(area, i))
            {
                continue;
            }

            var past = pasts[head.Map.Zone[i]];
            var was = past.Of(i);
            for (var k = 0; k < N; k += EveryPlace)
            {
                var s = Places.Share(k) * lengths[i];
                var share = area.Along.CoverageAlong(s, lengths[i], StrandLevels.StrayCm * Hash.Signed(i, StraySalt));
                if (share >= CountsFrom)
                {
                    var at = i * N + k;
                    found.Add(
                        new(
                            Level.FromByte(raw.Levels[at]),
                            new Tint(raw.Tints[at]).Meaning,
                            past.States[was.StateAt(s)],
                            Places.Share(k)
                        )
                    );
                }
            }
        }

        return found;
    }

    /// <summary>Hair that an area reaches, g, and the scalp it grows on, cm².</summary>
    /// <param name="area">The area.</param>
    public (double HairGrams, double ScalpCm2) HairOf(ToneArea area)
    {
        ArgumentNullException.ThrowIfNull(area);
        return head.HairOf(i => Takes(area, i), (s, length) => area.Along.CoverageAlong(s, length), EveryStrand);
    }

    /// <summary>Where along the hair the strand that is shown is to be light, share.</summary>
    private const double LightAt = 0.9;

    private const int EveryStrand = 7;
    private const int EveryPlace = 4;
    private const int StraySalt = 83;

    /// <summary>Coverage from which a place counts as toned by an area.</summary>
    private const double CountsFrom = 0.6;

    private void Tone(int i, ToneArea area, DepositWork[] work, StrandSamples into)
    {
        var length = head.Looks.OnHead.Lengths[i];
        var past = pasts[head.Map.Zone[i]];
        var was = past.Of(i);
        var stray = StrandLevels.StrayCm * Hash.Signed(i, StraySalt);
        for (var k = 0; k < N; k++)
        {
            var s = Places.Share(k) * length;
            var share = area.Along.CoverageAlong(s, length, stray);
            if (share <= 0)
            {
                continue;
            }

            var at = i * N + k;
            var place = new TonePlace(
                Level.FromByte(into.Levels[at]),
                new Tint(into.Tints[at]).Meaning,
                past.States[was.StateAt(s)],
                Places.Share(k)
            );
            var became = work[(int)place.Porosity].On(place.Start, share, place.IsDyed);
            into.Levels[at] = Level.ToByte(Level.Clamp(became.Level));
            into.Tints[at] = became.TintOf(place.Tint.White).Index;
        }
    }

    /// <summary>What an area's bowl does, by how readily hair takes it up.</summary>
    private static DepositWork[] WorksOf(ToneArea area, double minutes) =>
        Enum.GetValues<Porosity>().Select(p => WorkOf(area, minutes, p)).ToArray();

    /// <summary>What an area's bowl does to hair that takes it up so.</summary>
    internal static DepositWork WorkOf(ToneArea area, double minutes, Porosity porosity) =>
        DepositWork.Of(area.Bowl.For(area.Minutes).Deposit!, area.Bowl.Volume, minutes, porosity, area.Dryness);
}

/// <summary>One place of the hair that an area takes.</summary>
/// <param name="Level">How light it is.</param>
/// <param name="Tint">What colours it.</param>
/// <param name="State">How it was before today's work.</param>
/// <param name="Along">Where along the hair, share of its length.</param>
internal readonly record struct TonePlace(double Level, TintMeaning Tint, HairState State, double Along)
{
    /// <summary>How readily it takes product up.</summary>
    public Porosity Porosity => State.Porosity;

    /// <summary>Whether colour lies on it: no colour lifts that.</summary>
    public bool IsDyed => State.Coloured || Tint.Reflect is not null;

    /// <summary>What toning begins with.</summary>
    public StrandOutcome Start =>
        new(Level, Tint.Lifted, Tint.Reflect is { } on ? Absorbance.Of(on, Tint.Strength) : default);
}
