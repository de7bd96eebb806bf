using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Hair;
using Wendro.Core.Head;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Tone;
using Wendro.Core.Units;

namespace Wendro.Core.Keep;

/// <summary>
/// What a visit leaves for the next one: the hair as it came out, piece by piece, each told in bands. A toner is left
/// away: it washes out before she comes again.
/// </summary>
public static class WhatIsLeft
{
    /// <summary>Steps in which a piece is read along its hair, cm.</summary>
    private const double StepCm = 0.5;

    /// <summary>
    /// How far hair must lie from what it was to count as lightened or darkened, levels. Model assumption.
    /// </summary>
    private const double Counts = 0.4;

    /// <summary>A smaller share of strands than this is no piece. Model assumption.</summary>
    private const double Few = 0.08;

    /// <summary>Within a band levels and shares differ by no more than this, in a piece and in the summary.</summary>
    private static readonly (double Level, double Share) Alike = (0.25, 0.15),
        RoughlyAlike = (0.75, 0.25);

    /// <summary>Lifted so far, hair takes up more, levels. Model assumption.</summary>
    private const double PorousFrom = 3;

    /// <summary>How far from its line an outline's corner may be left out, cm.</summary>
    private const double CornerCm = 0.08;

    /// <summary>Her hair as the visit leaves it.</summary>
    /// <param name="head">The head the visit went by.</param>
    /// <param name="left">Its strands as they came out, unmixed, before any toner.</param>
    public static HairProfile Of(PlannedHead head, HairBytes left)
    {
        ArgumentNullException.ThrowIfNull(head);
        ArgumentNullException.ThrowIfNull(left);
        var before = head.Hair.Pieces;
        var between = before?.Between ?? head.Hair.Bands;
        var made = new List<Piece>();
        for (var p = 0; p < head.Panels.Count; p++)
        {
            var panel = head.Panels[p].Panel;
            var bands = BandsOf(head, left, head.Map.StrandsOf[p], between, Alike, Piece.MostBands);
            if (bands.Any(b => b.State != BandState.Natural) && !IsAsBetween(bands, between))
            {
                var side = SideOf(head, left, p);
                made.AddRange(panel.Outlines.Select(o => PieceOf(head, panel, o, bands, side)).OfType<Piece>());
            }
        }

        // What lies between this visit's panels is as it was.
        Piece[] all = [.. made.Concat(before?.All ?? []).Take(Pieces.Most)];
        var strands = Enumerable.Range(0, head.Looks.OnHead.Lengths.Length).ToArray();
        return head.Hair with
        {
            Pieces = all.Length == 0 && before is null ? null : new(between, all),
            History =
                all.Length == 0 ? head.Hair.History : BandsOf(head, left, strands, between, RoughlyAlike, MostTold),
        };
    }

    /// <summary>Most bands the summary is told in.</summary>
    private const int MostTold = 6;

    private static bool IsAsBetween(IReadOnlyList<Band> bands, IReadOnlyList<Band> between) =>
        bands.All(b => b.State == BandState.Natural || between.Contains(b));

    /// <summary>Which edge of a section was painted.</summary>
    private enum Side
    {
        Strewn,
        Upper,
        Lower,
    }

    /// <summary>The edge that the strands lie at that were reached.</summary>
    private static Side SideOf(PlannedHead head, HairBytes left, int panel)
    {
        var (reached, not) = ((Count: 0, Sum: 0.0), (Count: 0, Sum: 0.0));
        foreach (var i in head.Map.StrandsOf[panel])
        {
            var natural = head.Hair.In((Zone)head.Map.Zone[i]).NaturalLevel.Value;
            var level = Level.FromByte(left.Levels[i * Places.Count + LooksAt]);
            if (Math.Abs(level - natural) >= Counts)
            {
                reached = (reached.Count + 1, reached.Sum + head.Map.W[i]);
            }
            else
            {
                not = (not.Count + 1, not.Sum + head.Map.W[i]);
            }
        }

        if (reached.Count == 0 || not.Count == 0)
        {
            return Side.Strewn;
        }

        var apart = reached.Sum / reached.Count - not.Sum / not.Count;
        return apart < -Strewn ? Side.Upper
            : apart > Strewn ? Side.Lower
            : Side.Strewn;
    }

    /// <summary>The place of a strand by which it counts as reached: well down, where paint is solid.</summary>
    private const int LooksAt = Places.Count * 3 / 4;

    /// <summary>
    /// Where reached and unreached strands lie nearer to each other on average than this share of the section, they
    /// are strewn. Model assumption.
    /// </summary>
    private const double Strewn = 0.2;

    /// <summary>How far towards the middle of its panel a corner is looked at, to be within it.</summary>
    private const double Inwards = 0.04;

    private static Piece? PieceOf(PlannedHead head, Panel panel, Outline outline, IReadOnlyList<Band> bands, Side side)
    {
        var corners = Thinned(outline);
        if (corners.Count < 3)
        {
            return null;
        }

        if (side == Side.Strewn)
        {
            return new(corners, bands);
        }

        var middle = new MapPoint(corners.Average(c => c.X), corners.Average(c => c.Y));
        var depths = corners
            .Select(c => new MapPoint(c.X + (middle.X - c.X) * Inwards, c.Y + (middle.Y - c.Y) * Inwards))
            .Select(c => head.Cut[panel.Key.Zone].At(head.Looks.Head.Chart.At(c))?.W)
            .ToArray();
        // A corner that lies in no panel by a hair's breadth is as its neighbour is.
        var told = depths
            .Select((d, i) => d ?? depths.Skip(i).Concat(depths).FirstOrDefault(n => n is not null))
            .Select(d => Math.Round(side == Side.Upper ? d ?? 0 : 1 - (d ?? 0), 1))
            .ToArray();
        return new(corners, bands, told);
    }

    private readonly record struct Sample(BandState State, double Level, double Share, Porosity? Porosity);

    private static IReadOnlyList<Band> BandsOf(
        PlannedHead head,
        HairBytes left,
        int[] strands,
        IReadOnlyList<Band> between,
        (double Level, double Share) alike,
        int most
    )
    {
        var lengths = head.Looks.OnHead.Lengths;
        var longest = strands.Length == 0 ? 0 : strands.Max(i => lengths[i]);
        var steps = Math.Max(1, (int)Math.Ceiling(longest / StepCm));
        var samples = Enumerable
            .Range(0, steps)
            .Select(n => At(head, left, strands, between, (n + 0.5) * StepCm))
            .TakeWhile(s => s is not null)
            .Select(s => s!.Value)
            .ToArray();
        return Banded(samples, alike, Math.Min(head.Hair.Cut.LongestCm, samples.Length * StepCm), most);
    }

    /// <summary>What most tells of some strands at a distance from the scalp; null where none is so long.</summary>
    private static Sample? At(PlannedHead head, HairBytes left, int[] strands, IReadOnlyList<Band> between, double s)
    {
        var told = StrandHistory.At(between, s) is { } n ? between[n] : null;
        var (all, light, dark) = (0, (Count: 0, Sum: 0.0), (Count: 0, Sum: 0.0));
        var was = 0.0;
        foreach (var i in strands)
        {
            var length = head.Looks.OnHead.Lengths[i];
            if (length < s)
            {
                continue;
            }

            var place = (int)MathF.Round(Places.NumberOf((float)(s / length)) * (Places.Count - 1));
            var at = i * Places.Count + Math.Clamp(place, 0, Places.Count - 1);
            var level = Level.FromByte(left.Levels[at]);
            var usual = told?.Level.Value ?? head.Hair.In((Zone)head.Map.Zone[i]).NaturalLevel.Value;
            all++;
            was += usual;
            if (level >= usual + Counts)
            {
                light = (light.Count + 1, light.Sum + level);
            }
            else if (level <= usual - Counts || new Tint(left.Tints[at]).Meaning.Reflect is not null)
            {
                dark = (dark.Count + 1, dark.Sum + level);
            }
        }

        if (all == 0)
        {
            return null;
        }

        var usually = was / all;
        return light.Count >= Few * all ? Worked(BandState.Lightened, light)
            : dark.Count >= Few * all ? Worked(BandState.Coloured, dark)
            : told is null ? new(BandState.Natural, usually, 1, null)
            : new(told.State, told.Level, told.Share, told.Porosity);

        Sample Worked(BandState state, (int Count, double Sum) of)
        {
            var level = of.Sum / of.Count;
            Porosity? porosity =
                state == BandState.Lightened && level - usually >= PorousFrom ? Porosity.High : told?.Porosity;
            return new(state, level, (double)of.Count / all, porosity);
        }
    }

    /// <summary>Samples that are alike, joined to bands; as many as may be told: the likest neighbours first.</summary>
    private static IReadOnlyList<Band> Banded(
        IReadOnlyList<Sample> samples,
        (double Level, double Share) alike,
        double longest,
        int most
    )
    {
        var bands = new List<(Sample Of, int Steps)>();
        foreach (var sample in samples)
        {
            if (bands.Count > 0 && IsAlike(bands[^1].Of, sample))
            {
                bands[^1] = (Mean(bands[^1], (sample, 1)), bands[^1].Steps + 1);
            }
            else
            {
                bands.Add((sample, 1));
            }
        }

        while (bands.Count > most)
        {
            var n = Enumerable.Range(1, bands.Count - 1).MinBy(n => Apart(bands[n - 1].Of, bands[n].Of));
            bands[n - 1] = (Mean(bands[n - 1], bands[n]), bands[n - 1].Steps + bands[n].Steps);
            bands.RemoveAt(n);
        }

        var (told, at) = (new List<Band>(), 0);
        foreach (var (of, steps) in bands)
        {
            var to = Math.Min(longest, (at + steps) * StepCm);
            told.Add(
                new(
                    Math.Round(at * StepCm, 1),
                    Math.Round(to, 1),
                    of.State,
                    Level.Clamp(Math.Round(of.Level, 1)),
                    Math.Clamp(Math.Round(of.Share, 2), 0.01, 1),
                    of.Porosity
                )
            );
            at += steps;
        }

        return StrandHistory.Cut(told, longest);

        bool IsAlike(Sample a, Sample b) =>
            a.State == b.State
            && Math.Abs(a.Level - b.Level) <= alike.Level
            && Math.Abs(a.Share - b.Share) <= alike.Share;

        static double Apart(Sample a, Sample b) =>
            (a.State == b.State ? 0 : 10) + Math.Abs(a.Level - b.Level) + 2 * Math.Abs(a.Share - b.Share);

        static Sample Mean((Sample Of, int Steps) a, (Sample Of, int Steps) b)
        {
            var whole = a.Steps + b.Steps;
            var longer = a.Steps >= b.Steps ? a.Of : b.Of;
            return longer with
            {
                Level = (a.Of.Level * a.Steps + b.Of.Level * b.Steps) / whole,
                Share = (a.Of.Share * a.Steps + b.Of.Share * b.Steps) / whole,
            };
        }
    }

    /// <summary>An outline's corners, those left out that lie on the line between others, to a millimetre.</summary>
    private static IReadOnlyList<MapPoint> Thinned(Outline outline)
    {
        var corners = outline.Corners.Select(c => c.Map).ToArray();
        var kept = new List<MapPoint>();
        for (var i = 0; i < corners.Length; i++)
        {
            var (a, b) = (kept.Count > 0 ? kept[^1] : corners[^1], corners[(i + 1) % corners.Length]);
            if (FromLine(corners[i], a, b) > CornerCm || Apart(a, corners[i]) > LongestEdgeCm)
            {
                kept.Add(corners[i]);
            }
        }

        var every = Math.Max(1, (int)Math.Ceiling(kept.Count / (double)Piece.MostCorners));
        return kept.Where((_, i) => i % every == 0)
            .Select(c => new MapPoint(Math.Round(c.X, 2), Math.Round(c.Y, 2)))
            .ToArray();
    }

    private const double LongestEdgeCm = 2.5;

    private static double Apart(MapPoint a, MapPoint b) => double.Hypot(a.X - b.X, a.Y - b.Y);

    private static double FromLine(MapPoint p, MapPoint a, MapPoint b)
    {
        var (dx, dy) = (b.X - a.X, b.Y - a.Y);
        var length = double.Hypot(dx, dy);
        return length < 1e-9 ? Apart(p, a) : Math.Abs(dx * (p.Y - a.Y) - dy * (p.X - a.X)) / length;
    }
}
