using System.Globalization;
using System.Runtime.InteropServices;
using Wendro.Core.Blend;
using Wendro.Core.Fall;
using Wendro.Core.Head;
using Wendro.Core.Plans;
using Wendro.Core.Section;
using Wendro.Core.Tone;
using Wendro.Core.Units;
using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;

namespace Wendro.Host.Paint;

/// <summary>Colours hair is drawn in.</summary>
/// <param name="Levels">Natural hair, one a tenth of a level, 1.0 to 10.0.</param>
/// <param name="ShineGain">Share of a full white highlight added, linear light.</param>
/// <param name="Red">How light each of 128 shades makes red, a factor on linear light.</param>
/// <param name="Green">The same of green.</param>
/// <param name="Blue">The same of blue.</param>
/// <param name="Knee">How light beyond white bends down: light / (1 + knee × light).</param>
internal sealed record ColoursView(
    IReadOnlyList<string> Levels,
    double ShineGain,
    IReadOnlyList<double> Red,
    IReadOnlyList<double> Green,
    IReadOnlyList<double> Blue,
    double Knee
);

/// <summary>What is seen of a head, as bytes a client colours itself.</summary>
internal static class HeadEndpoints
{
    private const string Bytes = "application/octet-stream";

    public static void MapHeads(this IEndpointRouteBuilder app)
    {
        var visit = app.MapVisit("", "Paint");

        visit
            .MapGet(
                "/seen",
                (
                    AtWork at,
                    string? wear,
                    string? angle,
                    string? tilt,
                    string? closer,
                    string? across,
                    string? down,
                    string? pinned,
                    string? open
                ) =>
                {
                    var (w, a, t) = ViewOf(wear, angle, tilt);
                    var near = CloserOf(closer, across, down);
                    var up = PinnedOf(pinned, open, at.Head);
                    return Results.Bytes(
                        SeenFile.Write(at.Head.Looks.Seen(w, a, t, near, up), at.Head.Looks.OnHead.Strands.Count),
                        Bytes
                    );
                }
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetSeen")
            .WithSummary(
                "What is seen in a wear (down, tiedHigh, tiedLow, halfUp, otherPart, tucked, sweptBack) from an "
                    + "angle round the head and a tilt above eye height (degrees), closer or with hair pinned up: "
                    + "docs/formats/seen.md"
            );

        visit
            .MapGet(
                "/plan/levels",
                (AtWork at, string? moment, int? revision, PlansAtWork plans, CancellationToken stop) =>
                    DrawnAsync(at, moment, revision, plans, h => h.Levels, stop)
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetLevels")
            .WithSummary(
                "Level bytes to draw, strands × 64, at a moment (before, rinsed, minutes, after a step like s1, "
                    + "minutes of a step like s2m20, or weeks of growth like 12w), of this or an earlier revision"
            );

        visit
            .MapGet(
                "/plan/hair",
                (AtWork at, string? moment, int? revision, PlansAtWork plans, CancellationToken stop) =>
                    DrawnAsync(at, moment, revision, plans, h => h.ByTurns(), stop)
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetHair")
            .WithSummary(
                "Level byte and tint byte by turns, strands × 64 × 2, at a moment, of this or an earlier revision: "
                    + "docs/formats/seen.md"
            );

        visit
            .MapGet(
                "/plan/strands",
                (AtWork at) => Results.Bytes(MemoryMarshal.AsBytes(at.Head.Map.Panel.AsSpan()).ToArray(), Bytes)
            )
            .Produces<byte[]>(contentType: Bytes)
            .WithName("GetStrands")
            .WithSummary("Panel number of every strand, int16, −1 where it is left out; numbers as in panels");

        visit
            .MapGet(
                "/plan/picture",
                (
                    AtWork at,
                    string? wear,
                    string? angle,
                    string? tilt,
                    string? moment,
                    int? width,
                    double? tone,
                    bool toned = false,
                    bool twice = false,
                    bool wanted = false
                ) =>
                {
                    var (w, a, t) = ViewOf(wear, angle, tilt);
                    var when = MomentOf(moment, at.Head.Plan);
                    var palette = PaletteOf(tone ?? (toned ? at.Head.Plan.Wish.Tone : null));
                    if (width is < 16 or > View.Width)
                    {
                        throw new BadInputException([new Problem("width", $"Between 16 and {View.Width} pixels.")]);
                    }

                    var hair = wanted ? at.Head.DrawnAsWished(at.Head.Plan.Wish) : at.Head.DrawnAt(when);
                    return Results.Bytes(
                        twice
                            ? PictureFile.Twice(Picture.Twice(at.Head.Looks, w, a, t, hair, palette))
                            : PictureFile.Png(
                                Picture.Colour(at.Head.Looks.Seen(w, a, t), hair, palette),
                                width ?? View.Width
                            ),
                        "image/png"
                    );
                }
            )
            .Produces<byte[]>(contentType: "image/png")
            .ProducesValidationProblem()
            .WithName("GetPicture")
            .WithSummary(
                "The head as a PNG picture: raw; with a tone (−1 cool .. 1 warm), or toned as its plan wishes, "
                    + "after toning; as she wants it; drawn at twice the size"
            );

        var colours = app.MapGroup("/api/colours").WithTags("Shell");
        colours
            .MapGet(
                "",
                () =>
                    new ColoursView(
                        Enumerable.Range(0, 91).Select(i => LevelColours.Hex(1 + i / 10.0)).ToArray(),
                        Picture.ShineGain,
                        LevelColours.ShadeCurves.Red,
                        LevelColours.ShadeCurves.Green,
                        LevelColours.ShadeCurves.Blue,
                        LevelColours.Knee
                    )
            )
            .WithName("GetColours")
            .WithSummary("Colours of the levels, a tenth apart, and what shade makes of a colour");
        colours
            .MapGet(
                "/tints",
                (double? tone) => Results.Bytes(MemoryMarshal.AsBytes(PaletteOf(tone).All().AsSpan()).ToArray(), Bytes)
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetTints")
            .WithSummary(
                "Linear light by tint and level byte, uint16, tints × 256 × 3: raw, or with a tone (−1 cool .. 1 warm) "
                    + "as wished after toning"
            );
        colours
            .MapGet(
                "/table",
                (double? tone) =>
                    Results.Bytes(
                        MemoryMarshal.AsBytes(LevelColours.Table(CheckedTone(tone) ?? 0).AsSpan()).ToArray(),
                        Bytes
                    )
            )
            .Produces<byte[]>(contentType: Bytes)
            .ProducesValidationProblem()
            .WithName("GetColourTable")
            .WithSummary(
                "Linear light by level byte and shade, uint16, 256 × 128 × 3; tone −1 cool .. 1 warm for a wish"
            );
    }

    private static async Task<IResult> DrawnAsync(
        AtWork at,
        string? moment,
        int? revision,
        PlansAtWork plans,
        Func<HairBytes, byte[]> bytes,
        CancellationToken stop
    )
    {
        // Levels of a revision with another part or texture belong to other strands: they can't be laid on these.
        var head = revision is { } number ? await plans.AtRevisionAsync(at, number, stop) : at.Head;
        return head is null ? Answers.NotFound("revision")
            : !ReferenceEquals(head.Looks, at.Head.Looks)
                ? throw new BadInputException([
                    new Problem("revision", "The part or texture was different then: the two can't be compared."),
                ])
            : Results.Bytes(bytes(head.DrawnAt(MomentOf(moment, head.Plan))), Bytes);
    }

    private static double? CheckedTone(double? tone) =>
        tone is null or (>= -1 and <= 1)
            ? tone
            : throw new BadInputException([new Problem("tone", "Between −1, cool, and 1, warm.")]);

    private static Palette PaletteOf(double? tone) =>
        CheckedTone(tone) is { } wished ? Palette.AsToned(wished) : Palette.Raw;

    private static (Wear Wear, int Angle, int Tilt) ViewOf(string? wear, string? angle, string? tilt)
    {
        var problems = new List<Problem>();
        var which = Wear.Down;
        var known = Enum.GetNames<Wear>().Select(n => char.ToLowerInvariant(n[0]) + n[1..]).ToArray();
        if (wear is not null && (!known.Contains(wear) || !Enum.TryParse(wear, ignoreCase: true, out which)))
        {
            problems.Add(new("wear", $"One of {string.Join(", ", known)}."));
        }

        var degrees = 0;
        if (angle is not null && (!int.TryParse(angle, out degrees) || degrees is < -360 or > 360))
        {
            problems.Add(new("angle", "Whole degrees between −360 and 360."));
        }

        var above = View.UsualTilt;
        if (tilt is not null && (!int.TryParse(tilt, out above) || above is < View.LeastTilt or > View.MostTilt))
        {
            problems.Add(new("tilt", $"Whole degrees between {View.LeastTilt} and {View.MostTilt}."));
        }

        return problems.Count > 0 ? throw new BadInputException(problems) : (which, degrees, above);
    }

    private static Closer CloserOf(string? closer, string? across, string? down)
    {
        var problems = new List<Problem>();
        byte Read(string? text, string field, int most, int usual)
        {
            if (text is null)
            {
                return (byte)usual;
            }

            if (int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n <= most)
            {
                return (byte)n;
            }

            problems.Add(new(field, $"Whole numbers between 0 and {most}."));
            return 0;
        }

        var (steps, x, y) = (
            Read(closer, "closer", Closer.Most, 0),
            Read(across, "across", Closer.Places, Closer.Places / 2),
            Read(down, "down", Closer.Places, Closer.Places / 2)
        );
        return problems.Count > 0 ? throw new BadInputException(problems)
            : steps == 0 ? default
            : new(steps, x, y);
    }

    private static PinnedUp? PinnedOf(string? pinned, string? open, PlannedHead head)
    {
        if (pinned is null && open is null)
        {
            return null;
        }

        var zones = new HashSet<Zone>();
        foreach (var name in (pinned ?? string.Empty).Split(',', StringSplitOptions.RemoveEmptyEntries))
        {
            zones.Add(
                ZoneFacts
                    .All.Where(z => string.Equals(z.ToString(), name, StringComparison.OrdinalIgnoreCase))
                    .ToArray()
                    is [var zone]
                    ? zone
                    : throw new BadInputException([new Problem("pinned", "Zones, like nape,lowerBack.")])
            );
        }

        PanelKey? key = null;
        if (open is not null)
        {
            key =
                PanelKey.Parse(open)
                ?? throw new BadInputException([new Problem("open", "A panel, like upperBack/2/0.")]);
        }

        return head.Map.PinnedUp(zones, key, head.Panels) is { HoldsAny: true } up ? up : null;
    }

    /// <summary>After a step, like s1, or at a minute of it, like s2m20; steps from 1.</summary>
    private static Moment InStep(string moment)
    {
        var parts = moment[1..].Split('m');
        if (
            parts.Length > 2
            || !int.TryParse(parts[0], NumberStyles.None, CultureInfo.InvariantCulture, out var number)
            || number is < 1 or > Step.Most
        )
        {
            throw new BadInputException([new Problem("moment", $"Steps between 1 and {Step.Most}, like s1 or s2m20.")]);
        }

        return parts.Length == 1 ? Moment.After(number - 1)
            : double.TryParse(parts[1], out var minutes) && Minutes.IsValid(minutes)
                ? Moment.Within(number - 1, new Minutes(minutes))
            : throw new BadInputException([new Problem("moment", "Minutes between 0 and 600, like s2m20.")]);
    }

    /// <summary>Minutes alone are those of the panels' own step.</summary>
    private static Moment AtMinute(Minutes minutes, Plan plan) =>
        plan.Steps is { } steps ? Moment.Within(steps.ToList().FindIndex(s => s.IsMain), minutes) : Moment.At(minutes);

    private static Moment MomentOf(string? moment, Plan plan) =>
        moment switch
        {
            null or "rinsed" => Moment.Rinsed,
            "before" => Moment.Before,
            _ when moment.StartsWith('s') => InStep(moment),
            _ when moment.EndsWith('w') => double.TryParse(moment[..^1], out var weeks)
            && weeks is >= 0 and <= Moment.MostWeeks
                ? Moment.Later(weeks)
                : throw new BadInputException([
                    new Problem("moment", $"Weeks between 0 and {Moment.MostWeeks}, like 12w."),
                ]),
            _ => double.TryParse(moment, out var minutes) && Minutes.IsValid(minutes)
                ? AtMinute(new Minutes(minutes), plan)
                : throw new BadInputException([
                    new Problem(
                        "moment",
                        "One of before, rinsed, minutes, or weeks of growth like 12w between 0 and 600."
                    ),
                ]),
        };
}
