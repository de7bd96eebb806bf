using System.Globalization;
using Wendro.Core.Head;
using Wendro.Core.Plans;
using Wendro.Formats;
using Wendro.Store;

namespace Wendro.Host.Frame;

/// <summary>Loads demo files into an empty data folder, as anybody's files are loaded.</summary>
internal sealed class DemoData(Settings settings, Visits visits, HeadForm head, TimeProvider clock)
{
    /// <summary>Which panels there are does not depend on how long their hair is.</summary>
    private const double SomeLength = 30;

    public async Task LoadAsync(CancellationToken stop)
    {
        if (settings.DemoFolder is not { } folder || !visits.IsEmpty())
        {
            return;
        }

        foreach (var path in Directory.EnumerateFiles(folder, "*.json").Order(StringComparer.Ordinal))
        {
            var file = VisitFile.Read(await File.ReadAllBytesAsync(path, stop));
            var plan = PlanEdits.Make(file.Plan, new Cutting(head, file.Hair, _ => _ => SomeLength), out var problems);
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
