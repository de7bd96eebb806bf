using System.Globalization;
using Wendro.Formats;
using Wendro.Host.Paint;
using Wendro.Store;

namespace Wendro.Host.Frame;

/// <summary>Loads demo files into an empty data folder, as anybody's files are loaded.</summary>
internal sealed class DemoData(Settings settings, Visits visits, Heads heads, TimeProvider clock)
{
    public async Task LoadAsync(CancellationToken stop)
    {
        if (settings.DemoFolder is not { } folder || !visits.IsEmpty())
        {
            return;
        }

        foreach (var path in Directory.EnumerateFiles(folder, "*.json").Order(StringComparer.Ordinal))
        {
            var file = VisitFile.Read(await File.ReadAllBytesAsync(path, stop));
            var plan = PlanEdits.Make(file.Plan, heads.CuttingFor(file.Hair), out var problems);
            if (problems.Count > 0)
            {
                throw new FileRefusedException($"{Path.GetFileName(path)}: {problems[0].Field}: {problems[0].Message}");
            }

            var time = TimeOnly.ParseExact(file.StartsAt, "HH:mm", CultureInfo.InvariantCulture);
            var today = clock.GetLocalNow();
            var startsAt = new DateTimeOffset(today.Date + time.ToTimeSpan(), today.Offset);
            await visits.AddClientAsync(file.Client, file.About, startsAt, file.Hair, plan, stop);
        }
    }
}
