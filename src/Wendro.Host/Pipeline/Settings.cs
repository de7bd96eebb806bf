namespace Wendro.Host.Pipeline;

/// <summary>What can be set from outside.</summary>
/// <param name="DataFolder">Where everything is kept: --data or WENDRO_DATA.</param>
/// <param name="Port">--port.</param>
/// <param name="DemoFolder">Demo files to load into an empty data folder: --demo; null without demo data.</param>
/// <param name="AllowedHosts">Names this server answers to.</param>
/// <param name="CacheFolder">Where drawn hair is put away: --cache; beside the data where nobody says.</param>
/// <param name="Idle">Whether to leave today's heads alone until somebody asks: --idle true, for tests.</param>
/// <param name="ClockFile">Minutes by which the clock is set on, in a file: --clock, for tests.</param>
internal sealed record Settings(
    string DataFolder,
    int Port,
    string? DemoFolder,
    IList<string> AllowedHosts,
    string CacheFolder,
    bool Idle,
    string? ClockFile
)
{
    /// <summary>The file that everything but photographs is in.</summary>
    public string DataFile => Path.Combine(DataFolder, "wendro.db");

    /// <summary>Set while the build only asks for the API's description.</summary>
    public static bool IsDescribing =>
        System.Reflection.Assembly.GetEntryAssembly()?.GetName().Name == "GetDocument.Insider";

    public static Settings From(IConfiguration configuration)
    {
        var data =
            configuration["data"]
            ?? Environment.GetEnvironmentVariable("WENDRO_DATA")
            ?? Path.Combine(AppContext.BaseDirectory, "data");
        var port = int.TryParse(configuration["port"], out var p) && p is > 0 and < 65536 ? p : 5170;
        string[] hosts =
        [
            "localhost",
            "127.0.0.1",
            "[::1]",
            .. (configuration["hosts"] ?? string.Empty).Split(',', StringSplitOptions.RemoveEmptyEntries),
        ];
        return new Settings(
            Path.GetFullPath(data),
            port,
            configuration["demo"],
            hosts,
            Path.GetFullPath(configuration["cache"] ?? Path.Combine(data, "cache")),
            configuration["idle"] == "true",
            configuration["clock"]
        );
    }
}
