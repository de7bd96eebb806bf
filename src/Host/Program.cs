using Serilog;
using Wendro.Host.Day;
using Wendro.Host.Desk;
using Wendro.Host.Frame;
using Wendro.Host.Paint;

namespace Wendro.Host;

/// <summary>The server: one process for the API and the page.</summary>
public sealed class Program
{
    private Program()
    {
    }

    /// <summary>Starts the server. Arguments: --data folder, --port number, --demo folder of demo files, --urls.</summary>
    public static async Task Main(string[] args)
    {
        var builder = WebApplication.CreateBuilder(args);
        builder.AddWendro();
        var app = builder.Build();
        app.UseWendro();
        app.MapDay();
        app.MapPlan();
        app.MapPlanFile();
        app.MapHeads();
        app.MapDesk();
        await RunAsync(app);
        await Log.CloseAndFlushAsync();
    }

    private static async Task RunAsync(WebApplication app)
    {
        if (Settings.IsDescribing)
        {
            await app.RunAsync();
            return;
        }

        var readiness = app.Services.GetRequiredService<Readiness>();
        readiness.Begin();
        await app.StartAsync();
        await readiness.Done;
        await app.WaitForShutdownAsync();
    }
}
