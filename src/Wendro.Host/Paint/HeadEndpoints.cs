using System.Runtime.InteropServices;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Units;

namespace Wendro.Host.Paint;

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
                    VisitContext at,
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
                    var (w, a, t) = ViewAsked.Of(wear, angle, tilt);
                    var near = ViewAsked.CloserOf(closer, across, down);
                    var up = ViewAsked.PinnedOf(pinned, open, at.Head);
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
                (
                    VisitContext at,
                    string? moment,
                    int? revision,
                    OpenPlans plans,
                    CancellationToken cancellationToken
                ) => DrawnAsync(at, moment, revision, plans, h => h.Levels, cancellationToken)
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
                (
                    VisitContext at,
                    string? moment,
                    int? revision,
                    OpenPlans plans,
                    CancellationToken cancellationToken
                ) => DrawnAsync(at, moment, revision, plans, h => h.ByTurns(), cancellationToken)
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
                (VisitContext at) => Results.Bytes(MemoryMarshal.AsBytes(at.Head.Map.Panel.AsSpan()).ToArray(), Bytes)
            )
            .Produces<byte[]>(contentType: Bytes)
            .WithName("GetStrands")
            .WithSummary("Panel number of every strand, int16, −1 where it is left out; numbers as in panels");

        visit
            .MapGet(
                "/plan/picture",
                (
                    VisitContext at,
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
                    var (w, a, t) = ViewAsked.Of(wear, angle, tilt);
                    var when = MomentAsked.Of(moment, at.Head.Plan);
                    var palette = ColourEndpoints.PaletteOf(tone ?? (toned ? at.Head.Plan.Goal.Tone : null));
                    if (width is < 16 or > View.Width)
                    {
                        throw new BadInputException([new Problem("width", $"Between 16 and {View.Width} pixels.")]);
                    }

                    var hair = wanted ? at.Head.DrawnToGoal(at.Head.Plan.Goal) : at.Head.DrawnAt(when);
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
                    + "after toning; as wanted; drawn at twice the size"
            );
    }

    private static async Task<IResult> DrawnAsync(
        VisitContext at,
        string? moment,
        int? revision,
        OpenPlans plans,
        Func<StrandSamples, byte[]> bytes,
        CancellationToken cancellationToken
    )
    {
        // Levels of a revision with another part or texture belong to other strands: they can't be laid on these.
        var head = revision is { } number ? await plans.AtRevisionAsync(at, number, cancellationToken) : at.Head;
        return head is null ? ProblemAnswers.NotFound("revision")
            : !ReferenceEquals(head.Looks, at.Head.Looks)
                ? throw new BadInputException([
                    new Problem("revision", "The part or texture was different then: the two can't be compared."),
                ])
            : Results.Bytes(bytes(head.DrawnAt(MomentAsked.Of(moment, head.Plan))), Bytes);
    }
}
