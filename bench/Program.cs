using System.Diagnostics;
using Wendro.Bench;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Fixtures;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

if (args is ["patterns", ..])
{
    PatternTable.Print();
    return;
}

if (args is ["stored"])
{
    StoredBytes.Print(Path.Combine(App.Root, "demo"));
    return;
}

if (args is ["schedule"])
{
    ScheduleFigures.Print();
    return;
}

if (args is ["ways"])
{
    WaysTable.Print();
    return;
}

if (args is ["causes"])
{
    MadeUpServices.Print();
    MadeUpClients.Print();
    return;
}

if (args is ["photographs"])
{
    MadeUpPhotographs.Print();
    return;
}

if (args is ["studio"])
{
    StudioFigures.Print();
    return;
}

if (args is ["page"])
{
    PageFigures.Print();
    return;
}

if (args is ["proposals"])
{
    ProposalFigures.Print();
    return;
}

if (args.Length > 0)
{
    Console.Error.WriteLine("./wendro bench [causes|page|patterns|photographs|proposals|schedule|stored|studio|ways]");
    Environment.ExitCode = 2;
    return;
}

var watch = Stopwatch.StartNew();
var head = HeadForm.Usual;
Console.WriteLine(
    $"Wendro's figures: {Environment.ProcessorCount} cores, "
        + $"{System.Runtime.InteropServices.RuntimeInformation.FrameworkDescription}. Medians (fastest–slowest) "
        + $"of one run; machines are noisy, ratios are what to compare."
);
Stopwatches.Say("head, baked once and cold", $"{watch.Elapsed.TotalMilliseconds:0} ms");

var hair = HairProfile.Usual with { NaturalLevel = new(4) };
var plan = Plan.Fresh();
var whole = ZoneFacts.All.Select(z => (PlanEdit)new PaintZone(z, PanelPaint.Usual with { SpreadCm = 1.5 })).ToArray();

(HairViews Looks, Cutting Cutting) Fresh(int strands = HairOnHead.UsualStrands)
{
    var looks = new HairViews(head, hair, PartLine.Central, ViewCache.For(4, 16), strands);
    return (looks, new Cutting(head, hair, _ => looks.OnHead.LengthAt));
}

// Everything on: every shape, a second product on every fifth panel, deposits, teasing, tied and down, all findings.
PlannedHead Everything(HairViews looks, Cutting cutting)
{
    var all = Painted(looks, cutting);
    var shapes = Enum.GetValues<ShapeKind>();
    PlanEdit[] edits =
    [
        new SetFormula(Formula.Colouring(FormulaId.B, 3, 10, 30)),
        .. all
            .Panels.GroupBy(p => shapes[Math.Abs(p.Panel.Key.GetHashCode()) % shapes.Length])
            .Select(g =>
                (PlanEdit)
                    new PaintPanels(
                        g.Select(p => p.Panel.Key).ToArray(),
                        (PanelPaint.Usual with { SpreadCm = 1.5, Teasing = Teasing.Light }).In(g.Key)
                    )
            ),
        new AddCoat(
            all.Panels.Where((_, i) => i % 5 == 0).Select(p => p.Panel.Key).ToArray(),
            (PanelPaint.Usual with { Formula = FormulaId.B }).In(ShapeKind.Reverse)
        ),
    ];
    return edits.Aggregate(all, (p, e) => p.After(p.Plan.Apply(e, cutting).Plan, looks, cutting));
}

PlannedHead Painted(HairViews looks, Cutting cutting)
{
    var painted = PlannedHead.Of(looks, cutting, plan);
    foreach (var edit in whole)
    {
        painted = painted.After(painted.Plan.Apply(edit, cutting).Plan, looks, cutting);
    }

    return painted;
}

var hem = HairOnHead.HemHeight(hair.Cut);
var downOnly = plan with { Wears = [Wear.Down] };
Console.WriteLine();
Stopwatches.Say(
    "first look: panels, 14k strands, fall, four views",
    Stopwatches.Of(
        9,
        () =>
        {
            var (l, c) = Fresh();
            _ = PlannedHead.Of(l, c, downOnly).Measures;
        },
        4
    ),
    250,
    "waves, coils, shoulders a lock at a time and diagonal samples are computed for every strand before the first view"
);

var (looks, cutting) = Fresh();
var painted = Painted(looks, cutting);
var fallen = looks.Worn(Wear.Down);
Stopwatches.Say(
    "  roots, locks, march, cut",
    Stopwatches.Of(9, () => _ = new HairOnHead(head, hair, PartLine.Central))
);
Stopwatches.Say("  gather, density, surface", Stopwatches.Of(9, () => looks.OnHead.Worn(Wear.Down)));
Stopwatches.Say(
    "  all zones cut into panels",
    Stopwatches.Of(9, () => new Cutting(head, hair, _ => looks.OnHead.LengthAt).Cut(plan))
);
var draw = Stopwatches.Of(
    9,
    () =>
    {
        foreach (var angle in View.Measured)
        {
            Seen.Of(fallen, View.Of(angle, hem));
        }
    }
);
Stopwatches.Say("  drawing of four views", draw);
Stopwatches.Say(
    "another angle",
    Stopwatches.Of(15, () => Seen.Of(fallen, View.Of(60, hem))),
    40,
    "14,000 strands of 32 to 96 points, four samples a pixel; hidden ones are dropped while drawing"
);
Stopwatches.Say(
    "another wear, tied high",
    Stopwatches.Of(9, () => looks.OnHead.Worn(Wear.TiedHigh)),
    120,
    "every strand is led to the tie and out of it again, and its surface found anew"
);
var skia = Stopwatches.Of(
    3,
    () =>
    {
        foreach (var angle in View.Measured)
        {
            SkiaHead.Draw(fallen, painted.Levels, View.Of(angle, hem));
        }
    },
    1
);
Stopwatches.Say("SkiaSharp, same strands, same four views", skia);
Stopwatches.Say("  its time over ours, drawing", $"{skia.Median / draw.Median:0.0} ×", "≥ 10 ×");

Console.WriteLine();
var keys = painted.Panels.Select(p => p.Panel.Key).ToArray();
var turn = 0;
var now = painted;
var edit = Stopwatches.Of(
    200,
    () =>
    {
        turn++;
        var change = new SetHeights([keys[turn * 37 % keys.Length]], StartCm: 4 + turn % 7);
        now = now.After(now.Plan.Apply(change, cutting).Plan, looks, cutting);
        _ = now.Findings.Count;
    },
    100
);
Stopwatches.Say(
    "one panel edited: levels, measures of both wears, findings",
    edit,
    2,
    "findings of the whole head are judged anew; the panel's own strands take under a third"
);
var seen = View.Measured.Select(a => looks.Seen(Wear.Down, a)).ToArray();
long sink = 0;
var read = Stopwatches.Of(
    50,
    () =>
    {
        foreach (var view in seen)
        {
            foreach (var s in view.Strand)
            {
                sink += s;
            }
            foreach (var s in view.Place)
            {
                sink += s;
            }
            foreach (var s in view.Shade)
            {
                sink += s;
            }
            foreach (var s in view.Shine)
            {
                sink += s;
            }
            foreach (var s in view.Counts)
            {
                sink += s;
            }
            foreach (var s in view.Grey)
            {
                sink += s;
            }
        }
    },
    10
);
Stopwatches.Say("reading the four seen buffers once", read);
Stopwatches.Say("  edit over reading", $"{edit.Median / read.Median:0.00} ×", "≤ 4 ×");
Stopwatches.Say("  SkiaSharp redraw over edit", $"{skia.Median / edit.Median:0} ×", "≥ 300 ×");
var stepped = painted.After(
    painted
        .Plan.Apply(
            new Together([
                new SetFormula(Formula.Colouring(FormulaId.D, 4, 10, 25)),
                new AddStep(new Step(StepKind.Base, new Area(ToCm: 4), FormulaId.D), 0),
                new SetFormula(
                    Formula.Colouring(FormulaId.E, 8, 5, 15).Coloured(d => d with { Base = ColourBase.Gloss })
                ),
                new AddStep(new Step(StepKind.Gloss, new Area(), FormulaId.E)),
            ]),
            cutting
        )
        .Plan,
    looks,
    cutting
);
var steppedTurn = 0;
Stopwatches.Say(
    "the same with a base before and a gloss after",
    Stopwatches.Of(
        200,
        () =>
        {
            steppedTurn++;
            stepped = stepped.After(
                stepped
                    .Plan.Apply(
                        new SetHeights([keys[steppedTurn * 37 % keys.Length]], StartCm: 4 + steppedTurn % 7),
                        cutting
                    )
                    .Plan,
                looks,
                cutting
            );
            _ = stepped.Findings.Count;
        },
        100
    ),
    "≤ 4 ms"
);
var full = Everything(looks, cutting);
_ = full.AllFindings.Count;
var fullTurn = 0;
Stopwatches.Say(
    "the same with everything on: all shapes, two products, deposits",
    Stopwatches.Of(
        200,
        () =>
        {
            fullTurn++;
            full = full.After(
                full.Plan.Apply(
                    new SetHeights([keys[fullTurn * 37 % keys.Length]], StartCm: 4 + fullTurn % 7),
                    cutting
                ).Plan,
                looks,
                cutting
            );
            _ = full.AllFindings.Count;
        },
        100
    ),
    "≤ 4 ms"
);
Stopwatches.Say(
    "all fixes found for a flawed head",
    Stopwatches.Of(5, () => Parallel.ForEach(painted.Findings, f => Fixes.For(f, painted, cutting)))
);
Stopwatches.Say("whole head coloured as a picture", Stopwatches.Of(20, () => Picture.Colour(seen[0], painted.Drawn)));

Console.WriteLine();
Console.WriteLine("Growth with strands         roots+fall    four views   edit");
foreach (var strands in new[] { 3_500, 7_000, 14_000, 28_000 })
{
    var (l, c) = Fresh(strands);
    var p = Painted(l, c);
    var f = l.Worn(Wear.Down);
    var fall = Stopwatches.Of(5, () => new HairOnHead(head, hair, PartLine.Central, strands).Worn(Wear.Down));
    var views = Stopwatches.Of(
        5,
        () =>
        {
            foreach (var angle in View.Measured)
            {
                Seen.Of(f, View.Of(angle, hem));
            }
        }
    );
    var step = 0;
    var e = Stopwatches.Of(
        60,
        () =>
        {
            step++;
            p = p.After(
                p.Plan.Apply(new SetHeights([keys[step * 37 % keys.Length]], StartCm: 4 + step % 7), c).Plan,
                l,
                c
            );
            _ = p.Findings.Count;
        },
        30
    );
    Console.WriteLine(
        $"  {strands, 6} strands          {fall.Median, 8:0.0} ms {views.Median, 10:0.0} ms {e.Median, 8:0.00} ms"
    );
}

Console.WriteLine(
    "Textures and wears           roots+fall    a view   tied high   tucked   swept back   edit, with bands"
);
foreach (var curl in Enum.GetValues<Curl>())
{
    var worn = hair with
    {
        Curl = curl,
        History = [new Band(0, 5, BandState.Natural, new(4)), new Band(5, 34, BandState.Lightened, new(7), 0.4)],
    };
    var l = new HairViews(head, worn.AsItFalls(), PartLine.Central, ViewCache.For(4, 16));
    var c = new Cutting(head, worn, _ => l.OnHead.LengthAt);
    var p = Painted(l, c);
    _ = p.Findings.Count;
    var f = l.Worn(Wear.Down);
    var step = 0;
    var e = Stopwatches.Of(
        40,
        () =>
        {
            step++;
            p = p.After(
                p.Plan.Apply(
                    new SetHeights(
                        [PanelKey.Of(p.Panels[step * 37 % p.Panels.Count].Panel.Key.ToString())],
                        StartCm: 4 + step % 7
                    ),
                    c
                ).Plan,
                l,
                c
            );
            _ = p.Findings.Count;
        },
        20
    );
    double Worn(Wear wear) => Stopwatches.Of(3, () => l.OnHead.Worn(wear)).Median;
    Console.WriteLine(
        $"  {curl, -10}                "
            + $"{Stopwatches.Of(3, () => new HairOnHead(head, worn, PartLine.Central).Worn(Wear.Down)).Median, 8:0} ms {Stopwatches.Of(5, () => Seen.Of(f, View.Of(60, hem))).Median, 7:0} ms"
            + $" {Worn(Wear.TiedHigh), 8:0} ms {Worn(Wear.Tucked), 6:0} ms {Worn(Wear.SweptBack), 8:0} ms "
            + $"{e.Median, 8:0.00} ms"
    );
}

Console.WriteLine("Growth with panels          panels   cut      edit");
foreach (var thickness in new[] { 24.0, 12, 6 })
{
    var (l, c) = Fresh();
    var p = PlannedHead.Of(l, c, plan);
    foreach (var zone in ZoneFacts.All)
    {
        p = p.After(p.Plan.Apply(new CutZone(zone, Parting.Horizontal, thickness, 4, 3, true), c).Plan, l, c);
        p = p.After(p.Plan.Apply(new PaintZone(zone, PanelPaint.Usual with { SpreadCm = 1.5 }), c).Plan, l, c);
    }

    var cut = Stopwatches.Of(5, () => new Cutting(head, hair, _ => l.OnHead.LengthAt).Cut(p.Plan));
    var own = p.Panels.Select(x => x.Panel.Key).ToArray();
    var step = 0;
    var e = Stopwatches.Of(
        60,
        () =>
        {
            step++;
            p = p.After(
                p.Plan.Apply(new SetHeights([own[step * 37 % own.Length]], StartCm: 4 + step % 7), c).Plan,
                l,
                c
            );
            _ = p.Findings.Count;
        },
        30
    );
    Console.WriteLine(
        $"  {thickness, 4:0} mm sections      {own.Length, 8} {cut.Median, 6:0.0} ms {e.Median, 7:0.00} ms"
    );
}

Console.WriteLine();
Console.WriteLine("Strand test, 200 made-up clients: error of the 40-minute forecast");
foreach (var error in SyntheticClients.Errors(200, 0, 1, 3))
{
    Console.WriteLine(
        $"  {error.Readings} readings   {error.MeanError:0.00} level   band of {Forecast.Covers * 100:0} % holds "
            + $"{error.Covered * 100:0} %"
    );
}

ProposalFigures.Print();
ScheduleFigures.Print();
StoredBytes.Print(Path.Combine(App.Root, "demo"));
Console.WriteLine();
PageFigures.Print();
GC.KeepAlive(sink);
