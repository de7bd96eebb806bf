using Microsoft.AspNetCore.SignalR;

namespace Wendro.Host.SimulatedDevices;

/// <summary>Where the bench scale is listened to: it says "reading" about eight times a second.</summary>
internal sealed class ScaleHub(ScaleFeed feed) : Hub
{
    public override Task OnConnectedAsync()
    {
        feed.Listeners(1);
        return base.OnConnectedAsync();
    }

    public override Task OnDisconnectedAsync(Exception? exception)
    {
        feed.Listeners(-1);
        return base.OnDisconnectedAsync(exception);
    }
}

/// <summary>Sends what the scale shows to everybody who listens; while nobody does, no clock runs for it.</summary>
internal sealed class ScaleFeed(IScale scale, IHubContext<ScaleHub> hub, TimeProvider clock) : BackgroundService
{
    /// <summary>How often a reading is sent. Model assumption: as fast as a display can be read.</summary>
    private static readonly TimeSpan Every = TimeSpan.FromMilliseconds(125);
    private readonly SemaphoreSlim somebodyListens = new(0);
    private int listening;

    /// <summary>So many more listen.</summary>
    public void Listeners(int more)
    {
        if (Interlocked.Add(ref listening, more) > 0 && more > 0)
        {
            somebodyListens.Release();
        }
    }

    public override void Dispose()
    {
        somebodyListens.Dispose();
        base.Dispose();
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        try
        {
            while (true)
            {
                await somebodyListens.WaitAsync(stoppingToken);
                using var timer = new PeriodicTimer(Every, clock);
                while (Volatile.Read(ref listening) > 0 && await timer.WaitForNextTickAsync(stoppingToken))
                {
                    await hub.Clients.All.SendAsync("reading", scale.Read(), stoppingToken);
                }
            }
        }
        catch (OperationCanceledException)
        {
            // The server stops.
        }
    }
}
