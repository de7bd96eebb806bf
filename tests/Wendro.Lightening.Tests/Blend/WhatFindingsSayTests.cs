using System.Globalization;
using System.Text.RegularExpressions;
using Wendro.Blend;
using Wendro.Fall;
using Wendro.Hair;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Tests.Blend;

/// <summary>The figures in what a finding says are those of what it is about, and of the worst of it.</summary>
public sealed partial class WhatFindingsSayTests
{
    private static Finding Of(PlannedHead head, FindingKind kind) => head.AllFindings.First(f => f.Kind == kind);

    [Fact]
    public void The_stretch_of_flat_colour_is_where_it_lies_on_light_hair()
    {
        var (head, _) = Flaws.Head(BlendFault.FlatOrGreen);
        var where = Of(head, BlendFault.FlatOrGreen).Along!;
        // Laid from 6 cm on, on hair that is light from 8 cm on.
        Assert.InRange(where.FromCm, 6, 10);
        Assert.InRange(where.ToCm, where.FromCm + 10, 40);
    }

    [Fact]
    public void More_than_hands_do_says_how_it_is_painted_and_how_much_worse_nobody_does()
    {
        var (head, cutting) = Flaws.Head(BlendFault.MoreThanHands);
        var open = Of(head, BlendFault.MoreThanHands);
        Assert.Contains("by hand up to 70 panels", open.Text.ToString(), StringComparison.Ordinal);
        Assert.Equal(open.Deciding.Value > 1.5 ? Severity.Alarm : Severity.Caution, open.Severity);

        var foiled = head.Apply(
            cutting,
            [
                .. ZoneFacts
                    .All.Where(z => !ZoneFacts.IsHairline(z))
                    .Select(z => new PaintZone(z, Flaws.Soft with { StartCm = 8, Covering = Covering.Foil })),
            ]
        );
        Assert.Contains(
            "in foil up to 80 panels",
            Of(foiled, BlendFault.MoreThanHands).Text.ToString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void What_bleeds_most_gives_the_thickness()
    {
        var through = Flaws.Soft with { MidsMm = 20, EndsMm = 20, Tension = Tension.Slack };
        var head = Given.Bare.Apply(
            new SetFormula(Formula.Usual with { Consistency = Consistency.Runny }),
            new CutZone(Zone.UpperBack, Parting.Horizontal, 20, 4, 8, true),
            new CutZone(Zone.LowerBack, Parting.Horizontal, 14, 4, 8, true),
            new PaintZone(Zone.UpperBack, through),
            new PaintZone(Zone.LowerBack, through)
        );
        var finding = Of(head, BlendFault.BleedThrough);
        Assert.Equal([Zone.LowerBack, Zone.UpperBack], finding.Zones.Order());
        var thinnest = head.Panels.Where(p => p.Panel.Key.Zone == Zone.LowerBack).Min(p => p.Panel.ThicknessMm);
        // Read from the words: a tool that puts mistakes in turns what it wraps into words without quantities.
        var said = Thick().Match(finding.Text.ToString()).Groups[1].Value;
        Assert.Equal(thinnest, double.Parse(said, CultureInfo.InvariantCulture), 1.5);
    }

    [Fact]
    public void A_lowlight_on_top_is_as_far_from_natural_as_its_furthest_product()
    {
        PanelPaint Reverse(FormulaId of) => (PanelPaint.Usual with { Formula = of }).In(ShapeKind.Reverse);
        var (looks, cutting) = Given.Looks(Flaws.OldLight);
        var head = PlannedHead
            .Of(looks, cutting, Plan.Fresh())
            .Apply(
                cutting,
                new SetFormula(Formula.Colouring(FormulaId.B, 3, 10, 30)),
                new SetFormula(Formula.Colouring(FormulaId.C, 2, 10, 30)),
                new PaintZone(Zone.TopLeft, Reverse(FormulaId.B) with { Next = Reverse(FormulaId.C) })
            );
        Assert.Contains(
            "3.0 level from natural",
            Of(head, BlendFault.LowlightOnTop).Text.ToString(),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Damp_hair_lifts_slower_by_what_water_takes()
    {
        var dry = Coat.Planned(new PaintedPanel(PanelPaint.Usual, 5, 20, 30, 1), Formula.Usual);
        Lifting Of(Coat coat) =>
            coat.LiftingOf(HairProfile.Usual, Zone.UpperBack, new HairState(5, false, Porosity.Normal))!;
        var (fast, slow) = (Of(dry), Of(dry with { Damp = true }));
        Assert.Equal(Coat.DampSpeed, slow.Case.Mixture / fast.Case.Mixture, 1e-9);
        Assert.True(slow.Gain(20) < fast.Gain(20));
    }

    [Fact]
    public void What_is_painted_and_cleared_again_is_as_it_was()
    {
        var (looks, cutting) = Given.Looks(Flaws.OldLight);
        var bare = PlannedHead.Of(looks, cutting, Plan.Fresh());
        var painted = bare.Apply(cutting, new PaintZone(Zone.UpperBack, Flaws.Soft));
        Assert.NotEqual(bare.Drawn, painted.Drawn);
        var cleared = painted.Apply(cutting, new ClearZone(Zone.UpperBack));
        Assert.Equal(bare.Drawn, cleared.Drawn);
    }

    [GeneratedRegex("([0-9.]+) mm thick")]
    private static partial Regex Thick();

    /// <summary>A colour's edge is as hard as it is darker than what it lies on, over its blur.</summary>
    [Theory]
    [InlineData(3.5, 1.5, true)]
    [InlineData(3.5, 1.9, false)]
    [InlineData(4.5, 1.5, false)]
    [InlineData(6.5, 1.5, true)]
    public void A_colours_edges_read_as_stripes_by_how_far_it_is_from_the_hair(double level, double blurCm, bool reads)
    {
        var head = Given.Bare.Apply(
            new SetFormula(Formula.Colouring(FormulaId.B, level, 10, 30)),
            new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.V(8), 8, blurCm, 6, 8) { Formula = FormulaId.B })
        );
        Assert.Equal(reads, head.AllFindings.Any(f => f.Kind == BlendFault.Stripes));
    }
}
