using System.Text.Json;
using System.Text.RegularExpressions;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Metadata;
using Wendro.Formats;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Pipeline;

/// <summary>Values that can't be taken, by field: answered with 400.</summary>
internal sealed class BadInputException(IReadOnlyList<Problem> problems) : Exception("Some values can't be taken.")
{
    public IReadOnlyList<Problem> Problems { get; } = problems;
}

/// <summary>A safety stop stands: nothing is painted. Nothing was changed.</summary>
internal sealed class StoppedException(IReadOnlyList<string> stops) : Exception(stops[0])
{
    /// <summary>The stops, in words.</summary>
    public IReadOnlyList<string> Stops { get; } = stops;
}

/// <summary>Turns what goes wrong into problem details; never a 500 for input.</summary>
internal sealed class ProblemExceptionHandler : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(
        HttpContext httpContext,
        Exception exception,
        CancellationToken cancellationToken
    )
    {
        IResult? answer = exception switch
        {
            BadInputException bad => ProblemAnswers.Invalid(bad.Problems),
            FileRefusedException refused => ProblemAnswers.Invalid([new Problem("file", refused.Message)]),
            StaleRevisionException stale => ProblemAnswers.Stale(stale.Current),
            NameTakenException taken => ProblemAnswers.Invalid([new Problem("product.name", taken.Message)]),
            NewerDocumentException newer => TypedResults.Problem(
                statusCode: StatusCodes.Status409Conflict,
                title: newer.Message
            ),
            StoppedException stopped => ProblemAnswers.Stopped(stopped.Stops),
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => ProblemAnswers.TooLarge(
                httpContext.Features.Get<IExceptionHandlerFeature>()?.Endpoint is { } asked
                && asked.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize is { } most
                    ? most
                : httpContext.Request.HasJsonContentType() ? JsonBody.MostBytes
                : JsonBody.MostTableBytes
            ),
            BadHttpRequestException bad => TypedResults.Problem(statusCode: bad.StatusCode, title: bad.Message),
            _ => null,
        };
        if (answer is null)
        {
            return false;
        }

        await answer.ExecuteAsync(httpContext);
        return true;
    }
}

/// <summary>The answers that are not plain success.</summary>
internal static class ProblemAnswers
{
    public static ProblemHttpResult NotFound(string what) =>
        TypedResults.Problem(statusCode: StatusCodes.Status404NotFound, title: $"There is no such {what}.");

    public static ProblemHttpResult TooLarge(long most) =>
        TypedResults.Problem(
            statusCode: StatusCodes.Status413PayloadTooLarge,
            title: $"At most {most / 1024 / 1024} MB."
        );

    public static ProblemHttpResult Stale(int current) =>
        TypedResults.Problem(
            statusCode: StatusCodes.Status409Conflict,
            title: "Someone else changed this.",
            detail: $"It is at revision {current}. Read it again and repeat the change; nothing was lost.",
            extensions: new Dictionary<string, object?> { ["currentRevision"] = current }
        );

    public static ProblemHttpResult Stopped(IReadOnlyList<string> stops) =>
        TypedResults.Problem(
            statusCode: StatusCodes.Status409Conflict,
            title: "Stopped: nothing is painted today.",
            detail: string.Join(" ", stops),
            extensions: new Dictionary<string, object?> { ["stops"] = stops }
        );

    public static ValidationProblem Invalid(IEnumerable<Problem> problems) =>
        TypedResults.ValidationProblem(
            problems.GroupBy(p => p.Field).ToDictionary(g => g.Key, g => g.Select(p => p.Message).ToArray()),
            title: "Some values can't be taken."
        );
}

/// <summary>Reads JSON bodies, saying by field what can't be read.</summary>
internal static partial class JsonBody
{
    /// <summary>Largest JSON body taken, bytes.</summary>
    public const long MostBytes = 2 * 1024 * 1024;

    /// <summary>Largest table taken, bytes; nothing larger is read at all.</summary>
    public const long MostTableBytes = 8 * 1024 * 1024;

    public static async Task<T> ReadAsync<T>(HttpRequest request)
    {
        var bytes = await BytesAsync(request);
        try
        {
            return JsonSerializer.Deserialize<T>(bytes, WendroJson.Received)
                ?? throw new BadInputException([new Problem("body", "A JSON object is needed.")]);
        }
        catch (JsonException problem)
        {
            throw new BadInputException(Explain(problem));
        }
        catch (NotSupportedException problem) when (problem.Message.Contains("discriminator", StringComparison.Ordinal))
        {
            throw new BadInputException([new Problem("edit.kind", "Say which kind of edit it is.")]);
        }
    }

    /// <summary>
    /// The whole body, at most <see cref="JsonBody.MostBytes"/>, or <see cref="JsonBody.MostTableBytes"/> of a table.
    /// </summary>
    public static async Task<byte[]> BytesAsync(HttpRequest request, string type = "application/json")
    {
        if (
            type == "application/json"
                ? !request.HasJsonContentType()
                : request.ContentType?.Split(';')[0].Trim() != type
        )
        {
            throw new BadHttpRequestException($"Send {type}.", StatusCodes.Status415UnsupportedMediaType);
        }

        var most = type == "application/json" ? JsonBody.MostBytes : JsonBody.MostTableBytes;
        if (request.ContentLength > most)
        {
            throw new BadHttpRequestException("Too large.", StatusCodes.Status413PayloadTooLarge);
        }

        using var memory = new MemoryStream();
        var buffer = new byte[64 * 1024];
        int read;
        while ((read = await request.Body.ReadAsync(buffer, request.HttpContext.RequestAborted)) > 0)
        {
            memory.Write(buffer, 0, read);
            if (memory.Length > most)
            {
                throw new BadHttpRequestException("Too large.", StatusCodes.Status413PayloadTooLarge);
            }
        }

        return memory.ToArray();
    }

    private static List<Problem> Explain(JsonException problem)
    {
        var within = (problem as UnreadableException)?.Within;
        var path = ((problem.Path ?? "$") + within).TrimStart('$').TrimStart('.');
        var message = problem.Message;
        if (problem is UnreadableException { IsForPeople: true })
        {
            return [new Problem(path.Length == 0 ? "body" : path, message)];
        }

        if (message.Contains("missing required properties", StringComparison.Ordinal))
        {
            return Quoted()
                .Matches(message)
                .Select(m => m.Groups[1].Value)
                .Where(name => !name.Contains('.', StringComparison.Ordinal))
                .Select(name => new Problem(path.Length == 0 ? name : $"{path}.{name}", "This is needed."))
                .ToList();
        }

        if (message.Contains("discriminator", StringComparison.Ordinal))
        {
            return [new Problem(path.Length == 0 ? "kind" : $"{path}.kind", "There is no such kind.")];
        }

        return path.Length == 0
            ? [new Problem("body", "This is not the JSON that is needed here.")]
            : [new Problem(path, "This value can't be read here: wrong type, an unknown word, or not a number.")];
    }

    [GeneratedRegex("'([^']+)'")]
    private static partial Regex Quoted();
}
