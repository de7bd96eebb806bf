using System.IO.Compression;
using Microsoft.AspNetCore.ResponseCompression;
using Serilog;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Host.Paint;
using Wendro.Host.Pipeline;
using Wendro.Host.SimulatedDevices;
using Wendro.Host.Work;
using Wendro.Section;
using Wendro.Store;

namespace Wendro.Host.Start;

/// <summary>What the server is made of, and in which order a request passes.</summary>
internal static class Setup
{
    public static void AddWendro(this WebApplicationBuilder builder)
    {
        var settings = Settings.From(builder.Configuration);
        builder.Services.AddSingleton(settings);
        builder.Host.UseSerilog(
            (_, log) =>
                log
                    .MinimumLevel.Is(Serilog.Events.LogEventLevel.Warning)
                    .WriteTo.Console(outputTemplate: "{Timestamp:HH:mm:ss} {Level:u3} {Message:lj}{NewLine}{Exception}")
        );
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.Limits.MaxRequestBodySize = JsonBody.MostTableBytes;
            kestrel.AddServerHeader = false;
        });
        if (builder.Configuration["urls"] is null)
        {
            builder.WebHost.UseUrls($"http://127.0.0.1:{settings.Port}");
        }

        builder.Services.ConfigureHttpJsonOptions(json => WendroJson.Configure(json.SerializerOptions));
        // The same whatever the environment is called: a visit that can't be bound is left to the routes' own filter.
        builder.Services.Configure<RouteHandlerOptions>(routes => routes.ThrowOnBadRequest = false);
        builder.Services.AddProblemDetails();
        builder.Services.AddExceptionHandler<ProblemExceptionHandler>();
        builder.Services.AddOpenApi(ApiDocument.Configure);
        builder.Services.AddResponseCompression(compression =>
        {
            compression.Providers.Add<BrotliCompressionProvider>();
            compression.Providers.Add<GzipCompressionProvider>();
            compression.MimeTypes = ResponseCompressionDefaults.MimeTypes.Append("application/octet-stream");
        });
        builder.Services.Configure<BrotliCompressionProviderOptions>(b => b.Level = CompressionLevel.Fastest);
        builder.Services.AddHostFiltering(hosts => hosts.AllowedHosts = settings.AllowedHosts);

        builder.Services.AddSingleton(settings.ClockFile is { } clock ? new SetClock(clock) : TimeProvider.System);
        builder.Services.AddSingleton(_ =>
        {
            Directory.CreateDirectory(settings.DataFolder);
            return StudioContext.OptionsFor(settings.DataFile);
        });
        builder.Services.AddSingleton<Visits>();
        builder.Services.AddSingleton<Revisions>();
        builder.Services.AddSingleton<Studio>();
        builder.Services.AddSingleton<ProductShelf>();
        builder.Services.AddSingleton<Bowls>();
        builder.Services.AddSingleton<Services>();
        builder.Services.AddSingleton<Reviews>();
        builder.Services.AddSingleton<LearntLifts>();
        builder.Services.AddSingleton<ReviewContexts>();
        builder.Services.AddSingleton<Tonings>();
        builder.Services.AddSingleton<RecordFacts>();
        builder.Services.AddSingleton<Thinning>();
        builder.Services.AddHostedService<ThinningDaily>();
        builder.Services.AddSingleton<Register>();
        builder.Services.AddSingleton(_ => new PhotographFolder(Path.Combine(settings.DataFolder, "photographs")));
        builder.Services.AddSingleton<PhotographStore>();
        builder.Services.AddSingleton<Archives>();
        builder.Services.AddSingleton<PersonDeletion>();
        builder.Services.AddSingleton(services => new SafetyCopies(
            Path.Combine(settings.DataFolder, "copies"),
            services.GetRequiredService<TimeProvider>()
        ));
        builder.Services.AddSingleton(services => new Backups(
            settings.DataFolder,
            services.GetRequiredService<PhotographFolder>(),
            services.GetRequiredService<SafetyCopies>(),
            services.GetRequiredService<TimeProvider>()
        ));
        builder.Services.AddSingleton<ToneContexts>();
        builder.Services.AddSingleton<RecordContexts>();
        builder.Services.AddSingleton<LastTimes>();
        builder.Services.AddSingleton(_ => HeadForm.Usual);
        builder.Services.AddSingleton(_ => new CacheFolder(settings.CacheFolder));
        builder.Services.AddSingleton<IBlobCache>(services => services.GetRequiredService<CacheFolder>());
        builder.Services.AddHostedService(services => services.GetRequiredService<CacheFolder>());
        builder.Services.AddSingleton<HeadCache>();
        builder.Services.AddSingleton<OpenPlans>();
        builder.Services.AddSingleton<MixContexts>();
        builder.Services.AddSingleton<ServiceContexts>();
        builder.Services.AddSingleton<Proposals>();
        builder.Services.AddSingleton<DemoData>();
        builder.Services.AddSingleton<Readiness>();
        builder.Services.AddSignalR().AddJsonProtocol(json => WendroJson.Configure(json.PayloadSerializerOptions));
        builder.Services.AddSingleton<SimulatedScale>();
        builder.Services.AddSingleton<IScale>(services => services.GetRequiredService<SimulatedScale>());
        builder.Services.AddSingleton<ScaleFeed>();
        builder.Services.AddHostedService(services => services.GetRequiredService<ScaleFeed>());
    }

    public static void UseWendro(this WebApplication app)
    {
        app.UseExceptionHandler();
        app.UseStatusCodePages();
        app.UseHostFiltering();
        app.UseMiddleware<OriginGuard>();
        app.UseResponseCompression();
        app.UseDefaultFiles();
        app.UseStaticFiles(
            new StaticFileOptions
            {
                OnPrepareResponse = file =>
                {
                    // Built files carry their content's hash in their name; the page itself does not.
                    var lasting = file.Context.Request.Path.StartsWithSegments("/assets");
                    file.Context.Response.Headers.CacheControl = lasting
                        ? "public, max-age=31536000, immutable"
                        : "no-cache";
                },
            }
        );
        app.UseMiddleware<WhenReady>();
        app.MapOpenApi();
        app.MapGet("/api/health", () => new Health("ok"))
            .WithName("GetHealth")
            .WithTags("Shell")
            .WithSummary("Whether the server is well");
        // Pages have addresses of their own; what the API does not know stays unknown.
        app.MapFallbackToFile("{**path:regex(^(?!api(/|$)|openapi(/|$)).*$):nonfile}", "index.html");
    }
}

/// <summary>How the server is.</summary>
/// <param name="Status">ok.</param>
internal sealed record Health(string Status);
