using Wendro.Store;

namespace Wendro.Host.Start;

/// <summary>Lets visits settle: once the data is ready, and once a day from then on.</summary>
internal sealed partial class ThinningDaily(
    Thinning thinning,
    Readiness readiness,
    TimeProvider clock,
    ILogger<ThinningDaily> log
) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromDays(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Every, clock);
        try
        {
            await readiness.Done.WaitAsync(stoppingToken);
            do
            {
                await LetSettleAsync(stoppingToken);
            } while (await timer.WaitForNextTickAsync(stoppingToken));
        }
        catch (OperationCanceledException)
        {
            // The server stops.
        }
        catch (Exception) when (readiness.Done.IsFaulted)
        {
            // Without data there is nothing to settle; the start has said why.
        }
    }

    private async Task LetSettleAsync(CancellationToken cancellationToken)
    {
        try
        {
            if (await thinning.RunAsync(cancellationToken) is > 0 and var gone)
            {
                Settled(gone);
            }
        }
        catch (Exception problem) when (problem is not OperationCanceledException)
        {
            // The data file may be busy or just being restored: nothing is lost, it is done tomorrow.
            PutOff(problem);
        }
    }

    [LoggerMessage(LogLevel.Information, "{Gone} steps of plans were let go, of visits put away a month ago and more.")]
    private partial void Settled(int gone);

    [LoggerMessage(LogLevel.Warning, "Plans of visits put away were not thinned today.")]
    private partial void PutOff(Exception problem);
}
