using System.Text.Json;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;
using Wendro.Host.Paint;
using Wendro.Host.Pipeline;
using Wendro.Host.Work;
using Wendro.Store;

namespace Wendro.Host.Start;

/// <summary>
/// Gets the data ready while the page already loads: brings the file up to date and loads demo data where asked.
/// </summary>
internal sealed class Readiness(IServiceProvider services, IHostApplicationLifetime life)
{
    private readonly TaskCompletionSource done = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>Done when the data can be asked for; failed when it can't be made ready.</summary>
    public Task Done => done.Task;

    /// <summary>Why the data can't be made ready, in a line.</summary>
    public static string WhyNot(Task failed) =>
        $"The data can't be made ready. {failed.Exception?.GetBaseException().Message}";

    /// <summary>Begins; to be called once.</summary>
    public void Begin() =>
        _ = Task.Run(async () =>
        {
            try
            {
                // The head and the demo's files need no data file: begun beside it.
                var demo = services.GetRequiredService<DemoData>();
                var read = Task.Run(demo.Read);
                services.GetRequiredService<Backups>().Sweep();
                var file = services.GetRequiredService<Settings>().DataFile;
                services
                    .GetRequiredService<Visits>()
                    .Migrate(() => services.GetRequiredService<SafetyCopies>().Keep(file, "before-update"));
                await demo.WriteAsync(await read, life.ApplicationStopping);
                done.SetResult();
            }
            catch (Exception problem)
            {
                done.SetException(problem);
                return;
            }

            if (!services.GetRequiredService<Settings>().Idle)
            {
                await WarmAsync(life.ApplicationStopping);
            }
        });

    /// <summary>
    /// Looks at today's heads once and says what is asked of them first, to nobody: the first one opened is there at
    /// once.
    /// </summary>
    private async Task WarmAsync(CancellationToken cancellationToken)
    {
        try
        {
            var now = services.GetRequiredService<TimeProvider>().GetLocalNow();
            var from = new DateTimeOffset(now.Date, now.Offset);
            var said = services.GetRequiredService<IOptions<JsonOptions>>().Value.SerializerOptions;
            foreach (
                var visit in await services
                    .GetRequiredService<Visits>()
                    .BetweenAsync(from, from.AddDays(1), cancellationToken)
            )
            {
                if (await services.GetRequiredService<OpenPlans>().OpenAsync(visit.Id, cancellationToken) is { } at)
                {
                    await JsonSerializer.SerializeAsync(Stream.Null, PlanEndpoints.View(at), said, cancellationToken);
                }
            }
        }
        catch (OperationCanceledException)
        {
            // The server stops: nothing to get ready for.
        }
    }
}

/// <summary>Lets the API wait until the data is ready; the page itself needs no data.</summary>
internal sealed class WhenReady(RequestDelegate next)
{
    public async Task InvokeAsync(HttpContext context, Readiness readiness)
    {
        if (!readiness.Done.IsCompletedSuccessfully && context.Request.Path.StartsWithSegments("/api"))
        {
            try
            {
                await readiness.Done.WaitAsync(context.RequestAborted);
            }
            catch (Exception) when (readiness.Done.IsFaulted)
            {
                await TypedResults
                    .Problem(
                        statusCode: StatusCodes.Status503ServiceUnavailable,
                        title: Readiness.WhyNot(readiness.Done)
                    )
                    .ExecuteAsync(context);
                return;
            }
        }

        await next(context);
    }
}
