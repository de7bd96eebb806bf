using Microsoft.AspNetCore.SignalR.Client;
using Microsoft.Extensions.DependencyInjection;
using Microsoft.Extensions.Time.Testing;
using Wendro.Formats;
using Wendro.Host.SimulatedDevices;

namespace Wendro.Host.Tests;

/// <summary>
/// The simulated scale: it settles, swings, drifts, loses its plug, and forgets nothing that lies on it.
/// </summary>
public sealed class ScaleTests
{
    private readonly FakeTimeProvider clock = new();
    private readonly SimulatedScale scale;

    public ScaleTests() => scale = new SimulatedScale(clock);

    private ScaleReading After(double seconds)
    {
        clock.Advance(TimeSpan.FromSeconds(seconds));
        return scale.Read();
    }

    [Fact]
    public void It_lags_swings_settles_and_shows_what_lies_on_it()
    {
        scale.Pour(210, 0.5);
        var soon = After(0.3);
        Assert.False(soon.Stable);
        Assert.True(soon.GrossGrams < 205);
        var seen = Enumerable.Range(0, 30).Select(_ => After(0.1)).ToArray();
        var late = After(3);
        Assert.True(late.Stable);
        Assert.Equal(210, late.GrossGrams!.Value, 0.15);
        Assert.Contains(seen, r => r.GrossGrams > 210.3);
        Each.Of(seen.Append(late), r => Assert.Equal(Math.Round(r.GrossGrams!.Value, 1), r.GrossGrams.Value));
    }

    [Fact]
    public void It_is_never_quite_still_and_never_far_off()
    {
        scale.Pour(80.04, 0.2);
        After(5);
        var seen = Enumerable.Range(0, 400).Select(_ => After(0.5).GrossGrams!.Value).ToArray();
        Assert.True(seen.Distinct().Count() > 1);
        Each.Of(seen, g => Assert.Equal(80, g, 0.15));
    }

    [Fact]
    public void Its_tare_is_taken_off_and_lost_with_the_plug_but_nothing_that_lies_on_it_is()
    {
        scale.Pour(200, 0.2);
        After(4);
        scale.Tare();
        scale.Pour(30, 2);
        Assert.Equal(30, After(6).Grams!.Value, 0.15);
        scale.Plug(false);
        Assert.Equal(new ScaleReading(ScaleState.Lost, null, null, false), After(1));
        scale.Pour(5, 1);
        After(5);
        scale.Plug(true);
        Assert.Equal(235, After(1).GrossGrams!.Value, 0.15);
        Assert.Equal(235, scale.Read().Grams!.Value, 0.15);
    }

    [Fact]
    public void Pouring_at_a_rate_goes_on_until_it_is_stopped_and_too_much_is_over_its_range()
    {
        scale.Begin(8);
        After(2);
        scale.Stop();
        Assert.Equal(16, After(4).GrossGrams!.Value, 0.15);
        scale.Pour(4000, 0.1);
        Assert.Equal(ScaleState.OverRange, After(3).State);
        scale.Clear();
        Assert.Equal(0, After(3).GrossGrams!.Value, 0.15);
    }

    [Fact]
    public async Task It_streams_to_whoever_listens()
    {
        using var server = new Server();
        var http = server.CreateClient();
        await using var hub = new HubConnectionBuilder()
            .WithUrl(
                "http://localhost/hubs/scale",
                o =>
                {
                    o.HttpMessageHandlerFactory = _ => server.Server.CreateHandler();
                    o.Transports = Microsoft.AspNetCore.Http.Connections.HttpTransportType.LongPolling;
                }
            )
            .AddJsonProtocol(json => WendroJson.Configure(json.PayloadSerializerOptions))
            .Build();
        var heard = new TaskCompletionSource<ScaleReading>(TaskCreationOptions.RunContinuationsAsynchronously);
        hub.On<ScaleReading>(
            "reading",
            r =>
            {
                if (r is { Stable: true, GrossGrams: > 40 })
                {
                    heard.TrySetResult(r);
                }
            }
        );
        await hub.StartAsync();
        await http.PostAsync("/api/stand-ins/scale", """{"does":"pour","grams":42.5,"seconds":1}""");
        for (var i = 0; i < 400 && !heard.Task.IsCompleted; i++)
        {
            server.Clock.Advance(TimeSpan.FromMilliseconds(125));
            await Task.WhenAny(heard.Task, Task.Delay(20));
        }

        Assert.True(heard.Task.IsCompleted, "nothing was heard");
        Assert.Equal(42.5, (await heard.Task).GrossGrams!.Value, 0.15);
        Assert.Equal(400, (await http.PostAsync("/api/stand-ins/scale", """{"does":"pour","grams":-1}""")).Status);
        Assert.Equal(
            400,
            (await http.PostAsync("/api/stand-ins/scale", """{"does":"begin","gramsPerSecond":1e9}""")).Status
        );
        Assert.Equal(
            "lost",
            (string)(await http.PostAsync("/api/stand-ins/scale", """{"does":"unplug"}""")).Body!["state"]!
        );
    }
}
