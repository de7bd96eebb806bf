using Serilog;
using Wendro.Core.Head;
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
        // The head takes a moment to make and everything needs it: begun before anything else.
        if (!Settings.IsDescribing)
        {
            _ = Task.Run(() => HeadForm.Usual);
        }

        var builder = WebApplication.CreateBuilder(args);
        builder.AddWendro();
        var app = builder.Build();
        app.UseWendro();
        app.MapDay();
        app.MapPlan();
        app.MapPlanFile();
        app.MapHeads();
        app.MapDesk();
        await app.ReadyAsync();
        await app.RunAsync();
        await Log.CloseAndFlushAsync();
    }
}
