using Wendro.Fall;
using Wendro.Head;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Blend;

/// <summary>Where brightness and depth lie: front, nape, sides, and whether any depth is left.</summary>
internal static class BrightnessFindings
{
    /// <summary>A face frame this little short of the goal counts as met, levels. Model assumption.</summary>
    public const double FaceFrameSlack = 0.05;

    /// <summary>
    /// A face frame so far short of the goal is seen by anybody, half as much by a colourist, levels. Model
    /// assumption.
    /// </summary>
    private const double FrontMissing = 0.8;

    /// <summary>
    /// More light than she wants by this share is a caution, by twice as much an alarm. Model assumption.
    /// </summary>
    private const double TooLight = 0.1;

    /// <summary>Light above this in the rest makes a natural nape stand out, levels. Model assumption.</summary>
    private const double LightAbove = 0.8;

    public static IEnumerable<Finding> FrontNotBrighter(FindingContext head)
    {
        var lift = head.Measures.FaceFrameLift;
        if (lift >= head.Goal.FaceFrameLift - FaceFrameSlack)
        {
            yield break;
        }

        var frame = head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).ToArray();
        var bare = frame.Count(p => p.Painted is null);
        var starts = frame.Where(p => p.Painted is not null).Select(p => p.Painted!.StartCm).DefaultIfEmpty().Min();
        Sentence because =
            bare == frame.Length ? (Sentence)"None of it is painted."
            : bare > 0 ? (Sentence)$"{bare} of its {frame.Length} panels are not painted."
            : (Sentence)$"Its paint starts {Quantity.Cm(starts)} down.";
        yield return new Finding(
            BlendFault.FrontNotBrighter,
            head.Goal.FaceFrameLift - lift is var missing && missing >= FrontMissing ? Severity.Alarm
                : missing >= FrontMissing / 2 ? Severity.Caution
                : Severity.Note,
            "Front is not brighter",
            $"Face frame is {Math.Abs(lift):0.0} level {(lift < 0 ? "below" : "above")} the rest from the front; "
                + $"wanted {head.Goal.FaceFrameLift:0.0} above. {because}",
            "Mean level of the face frame seen from the front, less the mean level of all other hair seen from "
                + "the front.",
            [Zone.FaceFrameLeft, Zone.FaceFrameRight],
            frame.Select(p => p.Panel.Key).ToArray(),
            Wear.Down,
            [new("face frame above the rest", lift, "level"), new("wanted", head.Goal.FaceFrameLift, "level")],
            Better: Better.Higher
        );
    }

    public static IEnumerable<Finding> NothingDarkLeft(FindingContext head)
    {
        var over = head.Measures.LightShare - head.Goal.LightShareHigh;
        if (over < TooLight)
        {
            yield break;
        }

        var brightest = head
            .Painted.Where(p => p.Light is not null && !ZoneFacts.IsHairline(p.Panel.Key.Zone))
            .ToArray();
        yield return new Finding(
            BlendFault.NothingDarkLeft,
            over >= 2 * TooLight ? Severity.Alarm : Severity.Caution,
            "Nothing dark left",
            $"{head.Measures.LightShare:P0} of the hair seen is light; the wish is {head.Goal.LightShareHigh:P0} "
                + $"at most. Brightness needs depth beside it.",
            $"Seen hair at least {Tally.LightAbove} levels above natural, all four sides, worn down; "
                + $"{TooLight:P0} over the wish counts.",
            [],
            Findings.Keys(brightest),
            Wear.Down,
            [new("light", head.Measures.LightShare, "share"), new("wanted at most", head.Goal.LightShareHigh, "share")]
        );
    }

    public static IEnumerable<Finding> DarkBehindHairline(FindingContext head)
    {
        var natural = head.Natural(Zone.FaceFrameLeft);
        if (
            head.Hairline is not ({ } band, { } behind)
            || band - natural >= head.Limits.DarkBand
            || behind - band < head.Limits.LightBehind
        )
        {
            yield break;
        }

        yield return new Finding(
            BlendFault.DarkBehindHairline,
            // A frame that is light further down shows only the hairline itself: worth a word.
            head.Tied?.LevelOf(ZoneFacts.IsFaceFrame) - natural
            >= head.Limits.DarkBand
                ? Severity.Note
                : Severity.Caution,
            "Dark behind the hairline",
            $"Tied back, the hairline shows level {band:0.0} and the hair behind it {behind:0.0}.",
            $"Mean level seen, tied back: the first {Quantity.Cm(TiedHairline.ShownCm)} of hair rooted within "
                + $"{Quantity.Cm(TiedHairline.DeepCm)} of the hairline less than {head.Limits.DarkBand} above natural, "
                + $"while what lies behind is {head.Limits.LightBehind} lighter or more.",
            [Zone.FaceFrameLeft, Zone.FaceFrameRight],
            head.Panels.Where(p => ZoneFacts.IsFaceFrame(p.Panel.Key.Zone)).Select(p => p.Panel.Key).ToArray(),
            head.TiedAs,
            [new("hairline", band, "level"), new("behind it", behind, "level"), new("natural", natural, "level")],
            Better: Better.Higher
        );
    }

    public static IEnumerable<Finding> DarkNape(FindingContext head)
    {
        if (
            head.Tied?.LevelOf(z => z == Zone.Nape) is not { } nape
            || head.Tied.LevelOf(z => z is not Zone.Nape and not Zone.LowerBack) is not { } rest
        )
        {
            yield break;
        }

        var natural = head.Natural(Zone.Nape);
        var above = rest - natural;
        if (nape - natural >= head.Limits.DarkBand || above < LightAbove)
        {
            yield break;
        }

        // Left out on purpose it is worth a word, no more.
        var meant =
            head.LeftOut.Contains(Zone.Nape) || head.Hair.Marks.Any(m => m.Kind == Wendro.Hair.MarkKind.Undercut);
        yield return new Finding(
            BlendFault.DarkNape,
            meant ? Severity.Note : Severity.Caution,
            "Dark nape when tied",
            $"Tied back, the nape shows level {nape:0.0} and the rest {rest:0.0}."
                + (meant ? " It is left out on purpose." : string.Empty),
            $"Mean level seen, tied back: the nape less than {head.Limits.DarkBand} above natural while the rest "
                + $"is {LightAbove} above or more.",
            [Zone.Nape],
            Findings.Keys(head.Panels.Where(p => p.Panel.Key.Zone == Zone.Nape)),
            head.TiedAs,
            [new("nape", nape, "level"), new("rest", rest, "level")],
            Better: Better.Higher
        );
    }

    public static IEnumerable<Finding> WeakSide(FindingContext head)
    {
        var balance = head.Measures.Balance;
        if (Math.Abs(balance) <= head.Limits.SideLevels)
        {
            yield break;
        }

        var bright = balance > 0 ? "left" : "right";
        var heavy =
            head.Part.IsCentral ? string.Empty
            : head.Part.FrontCm > 0 == balance < 0 ? " It is the heavier side, too."
            : " The heavier side is the darker one.";
        yield return new Finding(
            BlendFault.WeakSide,
            Severity.Caution,
            "One side is brighter",
            $"The {bright} shows {Math.Abs(balance):0.00} level more than the other.{heavy}",
            $"Mean level seen left and right of the middle, all four sides, worn down; more than "
                + $"{head.Limits.SideLevels} counts.",
            [],
            Findings.Keys(head.Painted.Where(p => p.Panel.Centre.Map.X > 0 == balance > 0)),
            Wear.Down,
            [new("difference", Math.Abs(balance), "level")]
        );
    }
}
