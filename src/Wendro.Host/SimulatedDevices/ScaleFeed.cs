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

/// <summary>Tells everybody who listens what the scale shows.</summary>
internal sealed class ScaleFeed(IScale scale, IHubContext<ScaleHub> hub, TimeProvider clock) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMilliseconds(125);
    private int listening;

    /// <summary>So many more listen.</summary>
    public void Listeners(int more) => Interlocked.Add(ref listening, more);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        using var timer = new PeriodicTimer(Every, clock);
        try
        {
            while (await timer.WaitForNextTickAsync(stoppingToken))
            {
                if (Volatile.Read(ref listening) > 0)
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
