using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Mix;

/// <summary>What must lie ready, thing by thing.</summary>
public sealed class TrayTests
{
    private static IReadOnlyList<TrayItem> Of(HairProfile hair, params PlanEdit[] edits) =>
        Tray.Of(Given.Bare.Apply(edits).Panels, hair, [], 3);

    private static string[] Ids(params PlanEdit[] edits) => [.. Of(HairProfile.Usual, edits).Select(t => t.Id)];

    [Fact]
    public void Open_panels_of_one_formula_take_the_usual_things()
    {
        var tray = Of(HairProfile.Usual, new PaintZone(Zone.UpperBack, Given.Soft));
        Assert.Equal(
            [
                ("gloves", 2),
                ("eyes", 1),
                ("cape", 1),
                ("bowls", 1),
                ("mixingBrushes", 1),
                ("hairBrushes", 1),
                ("board", 1),
                ("clips", 6),
                ("comb", 1),
                ("scale", 1),
                ("timer", 1),
            ],
            tray.Where(t => t.Id != "smallBrush").Select(t => (t.Id, t.Count))
        );
        Assert.Equal("Tail comb", tray.Single(t => t.Id == "comb").Words);
        Each.Of(tray, t => Assert.NotEmpty(t.Why));
    }

    [Fact]
    public void One_panel_that_wants_it_is_enough()
    {
        var plain = new PaintZone(Zone.UpperBack, Given.Soft);
        var keys = Given.Bare.Panels.Where(p => p.Panel.Key.Zone == Zone.UpperBack).Select(p => p.Panel.Key).ToArray();
        Assert.Contains("barrier", Ids(plain, new PaintZone(Zone.FaceFrameLeft, Given.Soft)));
        Assert.Contains("board", Ids(plain, new PaintZone(Zone.Nape, Given.Soft with { Covering = Covering.Foil })));
        Assert.Contains("teasing", Ids(plain, new PaintZone(Zone.Nape, Given.Soft with { Teasing = Teasing.Light })));
        var scrunched = new PaintZone(Zone.UpperBack, Given.Soft with { Shape = new Shape.Scrunch() });
        Assert.DoesNotContain("board", Ids(scrunched));
        var warm = Formula.Usual with { Id = FormulaId.B, LowHeat = true };
        var tray = Of(
            HairProfile.Usual,
            plain,
            new SetFormula(warm),
            new PaintPanels([keys[0]], Given.Soft with { Formula = FormulaId.B })
        );
        Assert.Contains(tray, t => t.Id == "heat");
        Assert.Equal(2, tray.Single(t => t.Id == "mixingBrushes").Count);
        Assert.Equal(2, tray.Single(t => t.Id == "hairBrushes").Count);
    }

    [Fact]
    public void Grey_and_fine_pieces_take_a_small_brush_and_curls_a_wide_comb()
    {
        var thick = CutZone.As(Zone.UpperBack, Sections.Usual with { ThicknessMm = 20 });
        var thin = CutZone.As(Zone.UpperBack, Sections.Usual with { ThicknessMm = 6 });
        var plain = new PaintZone(Zone.UpperBack, Given.Soft);
        Assert.DoesNotContain("smallBrush", Ids(thick, plain));
        Assert.Contains("smallBrush", Ids(thin, plain));
        Assert.Contains(Of(HairProfile.Usual with { GreyShare = 0.05 }, thick, plain), t => t.Id == "smallBrush");
        foreach (var (curl, comb) in new[] { (Curl.Wavy, "Tail comb"), (Curl.Curly, "Wide comb") })
        {
            Assert.Contains(Of(HairProfile.Usual with { Curl = curl }, plain), t => t.Words == comb);
        }
    }

    /// <summary>The shortest of three lengths that is long enough, every one a step of five.</summary>
    [Fact]
    public void Sheets_are_cut_in_three_lengths_and_every_panel_finds_one_long_enough()
    {
        var foiled = Given.Bare.Apply([
            .. ZoneFacts.All.Select(z => (PlanEdit)new PaintZone(z, Given.Soft with { Covering = Covering.Foil })),
        ]);
        var needed = foiled
            .Panels.SelectMany(p => p.Coats.Select(c => p.Panel.LengthCm - c.Painted.StartCm + 5))
            .ToArray();
        var (shortest, longest) = (needed.Min(), needed.Max());
        Assert.True(longest - shortest > 10);
        int Cut(int third) => 5 * (int)Math.Ceiling((shortest + (longest - shortest) * third / 3) / 5);
        var wanted = needed
            .GroupBy(n => Enumerable.Range(1, 3).First(k => n <= shortest + (longest - shortest) * k / 3 + 1e-6))
            .GroupBy(g => Cut(g.Key), g => g.Count())
            .ToDictionary(g => $"foil{g.Key}", g => g.Sum());
        var sheets = Tray.Of(foiled.Panels, HairProfile.Usual, [], 3)
            .Where(t => t.Id.StartsWith("foil", StringComparison.Ordinal))
            .ToArray();
        Assert.Equal(wanted.Keys.Order(), sheets.Select(s => s.Id).Order());
        Each.Of(
            sheets,
            s =>
            {
                Assert.Equal(wanted[s.Id] + (wanted[s.Id] + 7) / 8, s.Count);
                Assert.StartsWith($"{wanted[s.Id]} and", s.Why);
                Assert.Contains($"{s.Id[4..]} cm", s.Words);
            }
        );
    }

    [Fact]
    public void Film_is_one_a_row_as_long_as_the_longest_of_it_and_says_so()
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.UpperBack, Given.Soft with { Covering = Covering.Film, LiesOn = LiesOn.Film })
        );
        var rows = head
            .Panels.Where(p => p.Coats.Count > 0)
            .GroupBy(p => p.Panel.Key.Row)
            .Select(g => g.Max(p => p.Panel.LengthCm - p.Coats[0].Painted.StartCm + 5))
            .ToArray();
        var film = Tray.Of(head.Panels, HairProfile.Usual, [], 3)
            .Where(t => t.Id.StartsWith("film", StringComparison.Ordinal))
            .ToArray();
        Assert.Equal(rows.Length, film.Sum(t => int.Parse(t.Why.Split(": ")[1].Split(' ')[0])));
        Each.Of(film, t => Assert.StartsWith("one a row: ", t.Why));
        Assert.Equal(5 * (int)Math.Ceiling(rows.Max() / 5), film.Max(t => int.Parse(t.Id[4..])));

        // Foil lies on a film of its own as well; film over film is one sheet.
        var both = Tray.Of(
            Given
                .Bare.Apply(
                    new PaintZone(Zone.UpperBack, Given.Soft with { Covering = Covering.Mesh, LiesOn = LiesOn.Film })
                )
                .Panels,
            HairProfile.Usual,
            [],
            3
        );
        Assert.Contains(both, t => t.Id.StartsWith("mesh", StringComparison.Ordinal));
        Assert.Contains(both, t => t.Id.StartsWith("film", StringComparison.Ordinal));
    }
}
