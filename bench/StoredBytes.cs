using Wendro.Blend;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Formats;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;

namespace Wendro.Bench;

/// <summary>
/// What an edit takes on disk, over random edits of the demo's plans, and what a studio's file comes to.
/// </summary>
internal static class StoredBytes
{
    private const int Edits = 200;

    /// <summary>Visits of a studio of ten years, and edits of one visit. Assumptions.</summary>
    private const int StudioVisits = 20_000,
        EditsAVisit = 120;

    /// <summary>
    /// What a row takes beside its documents: keys, history, times, b-tree. Assumption.
    /// </summary>
    private const int RowBytes = 160;

    public static void Print(string demo)
    {
        Console.WriteLine();
        Console.WriteLine(
            $"Stored documents over {Edits} random edits     plain    compressed (bytes an edit, its own data "
                + $"and a row in it)"
        );
        double all = 0;
        var clients = 0;
        foreach (var file in Directory.GetFiles(demo, "*.json").Order())
        {
            var visit = VisitFile.Read(File.ReadAllBytes(file));
            var looks = new HairViews(
                HeadForm.Usual,
                visit.Plan.AsWorn(visit.Hair),
                visit.Plan.Part,
                ViewCache.For(1, 1),
                3_500
            );
            var cutting = new Cutting(HeadForm.Usual, visit.Hair, _ => looks.OnHead.LengthAt);
            var plan = PlanEdits.Make(visit.Plan, cutting, out _);
            var keys = plan.Zones.Keys.SelectMany(z => cutting.Cut(plan, z).Panels).Select(p => p.Key).ToArray();
            long plain = 0,
                packed = 0;
            var dice = new Random(clients + 1);
            for (var i = 0; i < Edits; i++)
            {
                PanelKey[] some =
                [
                    .. Enumerable.Range(0, dice.Next(1, 5)).Select(_ => keys[dice.Next(keys.Length)]).Distinct(),
                ];
                PlanEdit edit = dice.Next(6) switch
                {
                    0 => new SetHeights(some, StartCm: Math.Round(dice.NextDouble() * 20, 1)),
                    1 => new SetBlur(some, Math.Round(dice.NextDouble() * 12, 1)),
                    2 => new SetShape(some, (ShapeKind)dice.Next(8)),
                    3 => new SetDepth(some, dice.Next(2, 12), dice.Next(2, 16)),
                    4 => new PaintPanels(
                        some,
                        PanelPaint.Usual with
                        {
                            StartCm = dice.Next(2, 14),
                            Formula = plan.FirstLight().Id,
                        }
                    ),
                    _ => new SetCovering(some, (Covering)dice.Next(4)),
                };
                var applied = plan.Apply(edit, cutting);
                if (!applied.Succeeded)
                {
                    continue;
                }

                plan = applied.Plan;
                plain += Documents.Write(plan).Length + Documents.Write(edit).Length + RowBytes;
                packed += Documents.WriteCompressed(plan).Length + Documents.WriteCompressed(edit).Length + RowBytes;
            }

            Console.WriteLine(
                $"  {Path.GetFileNameWithoutExtension(file), -42} {plain / Edits, 8} {packed / Edits, 12}"
            );
            all += packed / (double)Edits;
            clients++;
        }

        var mean = all / clients;
        Stopwatches.Say("an edit on disk, mean", $"{mean / 1024:0.0} KB", "≤ 4 KB");
        Stopwatches.Say(
            $"a studio of {StudioVisits:N0} visits, all {EditsAVisit} edits of each kept",
            $"{mean * EditsAVisit * StudioVisits / 1e9:0.0} GB"
        );
        Stopwatches.Say(
            "the same, visits that are done thinned to first, last and two pinned",
            $"{mean * 4 * StudioVisits / 1e6:0} MB"
        );
    }
}
