using System.Globalization;
using Wendro.Consult;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Host.Pipeline;
using Wendro.Plans;
using Wendro.Store;

namespace Wendro.Host.Start;

/// <summary>Loads demo files into an empty data folder, as anybody's files are loaded.</summary>
internal sealed class DemoData(Settings settings, Visits visits, ProductShelf shelf, TimeProvider clock)
{
    /// <summary>Which panels there are does not depend on how long their hair is.</summary>
    private const double SomeLength = 30;

    /// <summary>
    /// Reads the files and makes their plans; nothing where no demo is asked for. Needs no data file yet.
    /// </summary>
    /// <exception cref="FileRefusedException">A file can't be taken.</exception>
    public IReadOnlyList<(VisitFile File, Plan Plan)> Read() =>
        settings.DemoFolder is { } folder
            ? Directory
                .EnumerateFiles(folder, "*.json")
                .Order(StringComparer.Ordinal)
                .AsParallel()
                .AsOrdered()
                .Select(Read)
                .ToArray()
            : [];

    /// <summary>Writes what was read, if nobody is in the data file yet. Every visit starts today.</summary>
    public async Task WriteAsync(IReadOnlyList<(VisitFile File, Plan Plan)> read, CancellationToken cancellationToken)
    {
        if (read.Count == 0 || !visits.IsEmpty())
        {
            return;
        }

        if (Path.Combine(settings.DemoFolder!, "shelf.csv") is var products && File.Exists(products))
        {
            var table = ShelfFile.Read(await File.ReadAllBytesAsync(products, cancellationToken));
            if (table.Problems.Count > 0)
            {
                throw new FileRefusedException($"shelf.csv: {table.Problems[0].Field}: {table.Problems[0].Message}");
            }

            await shelf.TakeAsync(table.Products, cancellationToken);
        }

        foreach (var (file, plan) in read)
        {
            var time = TimeOnly.ParseExact(file.StartsAt, "HH:mm", CultureInfo.InvariantCulture);
            var today = clock.GetLocalNow();
            var startsAt = new DateTimeOffset(today.Date + time.ToTimeSpan(), today.Offset);
            var visit = await visits.AddClientAsync(
                file.Client,
                file.About,
                startsAt,
                file.Hair,
                plan,
                cancellationToken
            );
            if (file.PatchTestDaysAgo is { } days)
            {
                var patched = visit.Consultation with
                {
                    Patch = new PatchTest(today.AddDays(-days), PatchResult.Clear),
                };
                await visits.SetConsultAsync(visit.Id, visit.ConsultVersion, file.Hair, patched, cancellationToken);
            }
        }
    }

    private static (VisitFile File, Plan Plan) Read(string path)
    {
        try
        {
            var file = VisitFile.Read(File.ReadAllBytes(path));
            var plan = PlanEdits.Make(
                file.Plan,
                new Cutting(HeadForm.Usual, file.Hair, _ => _ => SomeLength),
                out var problems
            );
            return problems.Count == 0
                ? (file, plan)
                : throw new FileRefusedException($"{problems[0].Field}: {problems[0].Message}");
        }
        catch (FileRefusedException refused)
        {
            throw new FileRefusedException($"{Path.GetFileName(path)}: {refused.Message}");
        }
    }
}
