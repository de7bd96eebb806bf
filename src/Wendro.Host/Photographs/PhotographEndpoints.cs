using Microsoft.AspNetCore.Mvc;
using Wendro.Colour;
using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Photographs;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Photographs;

/// <summary>Whether the client agreed that a photograph is shown to others.</summary>
internal sealed record PhotographAgreed(bool MayBeShown);

/// <summary>What is to be read off a photograph.</summary>
/// <param name="Hair">A patch of hair.</param>
/// <param name="Reference">What in the picture tells of its light.</param>
/// <param name="Neutral">Where that is; null where there is nothing.</param>
internal sealed record PhotographAsked(PhotoSpot Hair, Reference Reference = Reference.None, PhotoSpot? Neutral = null);

/// <summary>A level read off a photograph.</summary>
/// <param name="Level">The level.</param>
/// <param name="Spread">Its standard deviation, levels.</param>
/// <param name="From">Nine in ten are above it.</param>
/// <param name="To">Nine in ten are below it.</param>
/// <param name="Hex">The colour of lifted hair of that level, #rrggbb.</param>
/// <param name="Words">How it was read, and how sure it is.</param>
internal sealed record PhotographRead(double Level, double Spread, double From, double To, string Hex, string Words);

/// <summary>
/// Photographs of a visit: kept without metadata, with what the client agreed to; levels read off them.
/// </summary>
internal static class PhotographEndpoints
{
    /// <summary>Largest photograph taken, bytes.</summary>
    private const long MostBytes = 20L * 1024 * 1024;

    public static void MapPhotographs(this IEndpointRouteBuilder app)
    {
        var photographs = app.MapVisit("/photographs", "Photographs");

        photographs
            .MapGet(
                "",
                async (VisitContext at, PhotographStore kept, CancellationToken cancellationToken) =>
                    Results.Ok(await kept.OfAsync(at.Visit.Id, cancellationToken))
            )
            .Produces<IReadOnlyList<StoredPhotograph>>()
            .WithName("GetPhotographs")
            .WithSummary("A visit's photographs in the order they were kept");

        photographs
            .MapPost(
                "",
                async (
                    VisitContext at,
                    HttpRequest request,
                    string? moment,
                    string? from,
                    bool? mayBeShown,
                    PhotographStore kept,
                    CancellationToken cancellationToken
                ) =>
                {
                    var of = Named<PhotoMoment>(moment, "moment") ?? PhotoMoment.Rinsed;
                    var where = Named<PhotoFrom>(from, "from");

                    var photograph = PhotographFile.Read(await SentAsync(request, cancellationToken));
                    var name =
                        await kept.KeepAsync(
                            at.Visit.Id,
                            photograph.Jpeg,
                            photograph.Width,
                            photograph.Height,
                            of,
                            mayBeShown ?? false,
                            where,
                            cancellationToken
                        )
                        ?? throw new BadInputException([
                            new("file", $"A visit keeps at most {PhotographStore.MostOfVisit} photographs."),
                        ]);
                    var all = await kept.OfAsync(at.Visit.Id, cancellationToken);
                    return Results.Created(
                        $"/api/visits/{at.Visit.Id}/photographs/{name}",
                        all.Single(p => p.Name == name)
                    );
                }
            )
            .WithMetadata(new RequestSizeLimitAttribute(MostBytes))
            .Accepts<byte[]>("image/jpeg", "image/png")
            .Produces<StoredPhotograph>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .WithName("PostPhotograph")
            .WithSummary("Keeps a photograph, JPEG or PNG: turned upright, without place, time or camera");

        photographs
            .MapGet(
                "/{name}",
                async (
                    VisitContext at,
                    string name,
                    HttpResponse response,
                    PhotographStore kept,
                    CancellationToken cancellationToken
                ) =>
                {
                    if (await kept.ContentAsync(at.Visit.Id, name, cancellationToken) is not { } jpeg)
                    {
                        return ProblemAnswers.NotFound("photograph");
                    }

                    // Named by its content it never changes; only this device may keep it.
                    response.Headers.CacheControl = "private, max-age=31536000, immutable";
                    return Results.Bytes(jpeg, "image/jpeg");
                }
            )
            .Produces<byte[]>(contentType: "image/jpeg")
            .WithName("GetPhotograph")
            .WithSummary("A photograph as JPEG");

        photographs
            .MapPut(
                "/{name}/agreed",
                async (
                    VisitContext at,
                    string name,
                    HttpRequest request,
                    PhotographStore kept,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<PhotographAgreed>(request);
                    return await kept.AgreeAsync(at.Visit.Id, name, body.MayBeShown, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("photograph");
                }
            )
            .Accepts<PhotographAgreed>("application/json")
            .Produces(StatusCodes.Status204NoContent)
            .ProducesValidationProblem()
            .WithName("PutPhotographAgreed")
            .WithSummary("Whether the client agreed that it is shown to others");

        photographs
            .MapDelete(
                "/{name}",
                async (VisitContext at, string name, PhotographStore kept, CancellationToken cancellationToken) =>
                    await kept.RemoveAsync(at.Visit.Id, name, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("photograph")
            )
            .Produces(StatusCodes.Status204NoContent)
            .WithName("DeletePhotograph")
            .WithSummary("Takes a photograph away; its content, too, where no other visit has it");

        photographs
            .MapPost(
                "/{name}/level",
                async (
                    VisitContext at,
                    string name,
                    HttpRequest request,
                    PhotographStore kept,
                    CancellationToken cancellationToken
                ) =>
                {
                    var body = await JsonBody.ReadAsync<PhotographAsked>(request);
                    if (Outside(body) is { Count: > 0 } problems)
                    {
                        throw new BadInputException(problems);
                    }

                    return await kept.ContentAsync(at.Visit.Id, name, cancellationToken) is { } jpeg
                        ? Results.Ok(Read(jpeg, body))
                        : ProblemAnswers.NotFound("photograph");
                }
            )
            .Accepts<PhotographAsked>("application/json")
            .Produces<PhotographRead>()
            .ProducesValidationProblem()
            .WithName("PostPhotographLevel")
            .WithSummary(
                "The level of lifted, untoned hair in a patch, by a grey card, by something neutral, or without"
            );
    }

    /// <summary>A value by its name; null where none is given.</summary>
    /// <exception cref="BadInputException">There is none of that name.</exception>
    private static T? Named<T>(string? name, string at)
        where T : struct, Enum =>
        name is null ? null
        : Enum.GetNames<T>().Contains(name, StringComparer.OrdinalIgnoreCase) ? Enum.Parse<T>(name, ignoreCase: true)
        : throw new BadInputException([new(at, $"One of {string.Join(", ", Enum.GetNames<T>()).ToLowerInvariant()}.")]);

    private static async Task<byte[]> SentAsync(HttpRequest request, CancellationToken cancellationToken)
    {
        if (request.ContentType?.Split(';')[0].Trim() is not ("image/jpeg" or "image/png"))
        {
            throw new BadHttpRequestException(
                "Send image/jpeg or image/png.",
                StatusCodes.Status415UnsupportedMediaType
            );
        }

        using var memory = new MemoryStream();
        var room = new byte[64 * 1024];
        while (await request.Body.ReadAsync(room, cancellationToken) is > 0 and var read)
        {
            memory.Write(room, 0, read);
            if (memory.Length > MostBytes)
            {
                throw new BadHttpRequestException("Too large.", StatusCodes.Status413PayloadTooLarge);
            }
        }

        return memory.ToArray();
    }

    private static List<Problem> Outside(PhotographAsked asked)
    {
        var found = new List<Problem>();
        Problem.Known(found, "reference", asked.Reference);
        Spot("hair", asked.Hair);
        if (asked.Reference != Reference.None)
        {
            Spot("neutral", asked.Neutral);
        }

        return found;

        void Spot(string at, PhotoSpot? spot) =>
            found.AddRange(spot is null ? [new(at, "This is needed.")] : WithinAttribute.Outside(spot, at));
    }

    private static PhotographRead Read(byte[] jpeg, PhotographAsked asked)
    {
        var hair = PhotographFile.Patch(jpeg, asked.Hair);
        var neutral = asked.Reference == Reference.None ? default : PhotographFile.Patch(jpeg, asked.Neutral!);
        var told = new[] { (At: "hair", Of: hair), (At: "neutral", Of: neutral) };
        foreach (var (at, of) in asked.Reference == Reference.None ? told[..1] : told)
        {
            if (of.IsBurnt || of.IsDark)
            {
                throw new BadInputException([
                    new(
                        at,
                        of.IsBurnt
                            ? "It is burnt out there: no colour is left. Take a darker picture, or another place."
                            : "It is too dark there for a colour to be told."
                    ),
                ]);
            }
        }

        var read = PhotoReading.Of(hair, asked.Reference, neutral);
        return new(
            read.Level,
            read.Spread,
            read.From,
            read.To,
            LevelColours.HexOf(LevelColours.Lifted(read.Level)),
            $"{read.From:0.0} to {read.To:0.0}, most likely {read.Level:0.0}: "
                + asked.Reference switch
                {
                    Reference.GreyCard => "the grey card tells the light's colour and how bright it was.",
                    Reference.Neutral => "what is neutral tells the light's colour.",
                    Reference.None => "without a grey card the light is a guess, and the range is wide.",
                }
        );
    }
}
