using Serilog;
using Wendro.Host.Apply;
using Wendro.Host.Consult;
using Wendro.Host.Day;
using Wendro.Host.Desk;
using Wendro.Host.Mix;
using Wendro.Host.Paint;
using Wendro.Host.Photographs;
using Wendro.Host.Pipeline;
using Wendro.Host.Record;
using Wendro.Host.Review;
using Wendro.Host.Section;
using Wendro.Host.Shelf;
using Wendro.Host.SimulatedDevices;
using Wendro.Host.Start;
using Wendro.Host.Tone;
using Wendro.Host.Work;

namespace Wendro.Host;

/// <summary>The server: one process for the API and the page.</summary>
public sealed class Program
{
    private static readonly int LeastThreads = Math.Max(16, 4 * Environment.ProcessorCount);

    private Program() { }

    /// <summary>
    /// Starts the server. Arguments: --data folder, --port number, --demo folder of demo files, --urls; or
    /// --backup or --restore with a file, and it does that instead.
    /// </summary>
    public static async Task<int> Main(string[] args)
    {
        // Heads are reckoned on every core: an edit, or word that something is no longer wanted, must not wait for
        // one of those to end before a thread is found for it.
        ThreadPool.SetMinThreads(LeastThreads, LeastThreads);
        var builder = WebApplication.CreateBuilder(args);
        builder.AddWendro();
        var app = builder.Build();
        if (await Commands.RunAsync(app.Services, app.Configuration) is { } done)
        {
            return done;
        }

        app.UseWendro();
        app.MapDay();
        app.MapConsult();
        app.MapSection();
        app.MapPlan();
        app.MapPlanFile();
        app.MapHistory();
        app.MapHeads();
        app.MapColours();
        app.MapProposals();
        app.MapDesk();
        app.MapShelf();
        app.MapMix();
        app.MapApply();
        app.MapReview();
        app.MapReadings();
        app.MapTone();
        app.MapPhotographs();
        app.MapArchive();
        app.MapCalendar();
        app.MapForget();
        app.MapBackup();
        app.MapRecord();
        app.MapSheets();
        app.MapLastTime();
        app.MapClients();
        app.MapYear();
        app.MapHands();
        app.MapScale();
        var ran = await RunAsync(app);
        await Log.CloseAndFlushAsync();
        return ran;
    }

    private static async Task<int> RunAsync(WebApplication app)
    {
        if (Settings.IsDescribing)
        {
            await app.RunAsync();
            return 0;
        }

        var readiness = app.Services.GetRequiredService<Readiness>();
        readiness.Begin();
        await app.StartAsync();
        var settings = app.Services.GetRequiredService<Settings>();
        using var serving = ServerLock.Say(settings.DataFolder, $"http://127.0.0.1:{settings.Port}");
        await Task.WhenAny(readiness.Done, app.WaitForShutdownAsync());
        if (readiness.Done.IsFaulted)
        {
            await Console.Error.WriteLineAsync(Readiness.WhyNot(readiness.Done));
            await app.StopAsync();
            return 1;
        }

        await app.WaitForShutdownAsync();
        return 0;
    }
}
