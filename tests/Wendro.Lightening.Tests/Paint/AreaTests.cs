using Wendro.Head;
using Wendro.Paint;

namespace Wendro.Tests.Paint;

/// <summary>What is laid over whole areas: where it reaches, what it covers, how it is said.</summary>
public sealed class AreaTests
{
    [Fact]
    public void It_reaches_all_zones_unless_some_are_named()
    {
        Assert.True(new Area().Reaches(Zone.Crown));
        Assert.True(new Area([Zone.Nape]).Reaches(Zone.Nape));
        Assert.False(new Area([Zone.Nape]).Reaches(Zone.Crown));
    }

    [Fact]
    public void It_covers_another_that_lies_whole_in_it()
    {
        Assert.True(new Area().Covers(new Area()));
        Assert.True(new Area().Covers(new Area([Zone.Nape], 2, 6)));
        Assert.True(new Area().Covers(new Area(Between: true)));
        Assert.True(new Area([Zone.Nape, Zone.Crown], 2, 8).Covers(new Area([Zone.Crown], 2, 8)));
        Assert.True(new Area([Zone.Nape, Zone.Crown], 2, 8).Covers(new Area([Zone.Crown], 3, 7)));
        Assert.True(new Area(Between: true).Covers(new Area(Between: true)));

        Assert.False(new Area([Zone.Nape]).Covers(new Area()));
        Assert.False(new Area([Zone.Nape]).Covers(new Area([Zone.Nape, Zone.Crown])));
        Assert.False(new Area(FromCm: 3).Covers(new Area(FromCm: 2)));
        Assert.False(new Area(ToCm: 6).Covers(new Area(ToCm: 7)));
        Assert.False(new Area(ToCm: 6).Covers(new Area()));
        Assert.False(new Area(Between: true).Covers(new Area()));
        Assert.False(new Area(EdgeCm: 2).Covers(new Area(EdgeCm: 3)));
    }

    [Fact]
    public void Its_edges_fade_about_where_they_are_told_and_a_root_and_ends_do_not()
    {
        var area = new Area(FromCm: 4, ToCm: 10, EdgeCm: 2);
        Assert.Equal([0, 0.5, 1, 1, 0.5, 0], new[] { 3.0, 4, 5, 9, 10, 11 }.Select(s => area.CoverageAlong(s, 30)));
        Assert.Equal([0, 0.5, 1], new[] { 3.5, 4.5, 5.5 }.Select(s => area.CoverageAlong(s, 30, 0.5)));
        Assert.Equal([0.5, 0], new[] { 10.5, 11.5 }.Select(s => area.CoverageAlong(s, 30, 0.5)));
        // Where hair ends before it does, it goes to the ends; what begins at the root is there from the root on.
        Assert.Equal(1, area.CoverageAlong(9.9, 10));
        Assert.Equal(1, new Area(ToCm: 4, EdgeCm: 2).CoverageAlong(0, 30));
        Assert.Equal(1, new Area(EdgeCm: 2).CoverageAlong(0, 30, 0.8));
    }

    [Fact]
    public void It_is_said_plainly()
    {
        Assert.Equal("all lengths", new Area().Words);
        Assert.Equal("root to 4 cm", new Area(ToCm: 4).Words);
        Assert.Equal("from 6.5 cm to the ends", new Area(FromCm: 6.5).Words);
        Assert.Equal("2 to 8 cm, between the panels", new Area(FromCm: 2, ToCm: 8, Between: true).Words);
    }

    [Fact]
    public void Two_are_one_where_every_value_is()
    {
        static Area Whole() => new([Zone.Nape, Zone.Crown], 2, 8, true, Covering.Film, 2);
        Assert.Equal(Whole(), Whole());
        Assert.Equal(Whole().GetHashCode(), Whole().GetHashCode());
        Assert.Equal(new Area(), new Area());
        Area[] others =
        [
            Whole() with
            {
                Zones = null,
            },
            Whole() with
            {
                Zones = [Zone.Crown, Zone.Nape],
            },
            Whole() with
            {
                FromCm = 3,
            },
            Whole() with
            {
                ToCm = null,
            },
            Whole() with
            {
                Between = false,
            },
            Whole() with
            {
                Covering = Covering.Foil,
            },
            Whole() with
            {
                EdgeCm = 3,
            },
        ];
        Each.Of(others, o => Assert.NotEqual(Whole(), o));
        Each.Of(others, o => Assert.NotEqual(o, Whole()));
        Assert.False(Whole().Equals(null));
    }
}
