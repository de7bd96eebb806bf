using Wendro.Head;
using Wendro.Review;
using Wendro.Units;

namespace Wendro.Tests.Review;

/// <summary>Readings written down elsewhere, against what was read here.</summary>
public sealed class ReadingsImportTests
{
    private static ReviewInHand Read(params ReviewFact[] facts) =>
        ReviewInHand.Of(
            facts
                .Select((f, i) => new RecordedFact<ReviewFact>(i + 1, DateTimeOffset.UnixEpoch.AddMinutes(i), f))
                .ToArray()
        );

    private static DryReading Ends(double level, Evenness even = Evenness.Even, string? seen = null) =>
        new(Zone.Nape, Depth.Ends, new(level), even, seen);

    [Theory]
    [InlineData(Wetness.Dry, 7)]
    [InlineData(Wetness.Damp, 6.8)]
    [InlineData(Wetness.Wet, 6.6)]
    public void What_is_dry_in_the_table_is_said_as_it_looks_now(Wetness wetness, double looks)
    {
        var review = Read(new StateSaid(wetness, true, ReadingLight.Studio));
        var told = Assert.Single(ReadingsImport.Of(review, [Ends(7)]).Told);
        Assert.Null(told.Was);
        Assert.Equal(looks, told.Says.Level.Value, 9);

        // Said so, it is read as the table says, and not said a second time.
        var after = Read(new StateSaid(wetness, true, ReadingLight.Studio), told.Says);
        Assert.Equal(7, after.Readings[(Zone.Nape, Depth.Ends)].Level, 9);
        Assert.Equal(1, ReadingsImport.Of(after, [Ends(7)]).Same);
    }

    [Fact]
    public void The_darkest_hair_read_wet_is_not_said_again_and_again()
    {
        var wet = new StateSaid(Wetness.Wet, true, ReadingLight.Studio);
        var told = Assert.Single(ReadingsImport.Of(Read(wet), [Ends(1)]).Told);
        Assert.Equal(1, ReadingsImport.Of(Read(wet, told.Says), [Ends(1)]).Same);
    }

    [Fact]
    public void What_is_otherwise_is_said_again_and_what_is_not_in_the_table_stays()
    {
        var review = Read(
            new StateSaid(Wetness.Dry, true, ReadingLight.Daylight),
            new LevelRead(Zone.Nape, Depth.Ends, new(6)),
            new LevelRead(Zone.Crown, Depth.Root, new(5))
        );
        var found = ReadingsImport.Of(review, [Ends(6.5), new(Zone.Nape, Depth.Root, new(4), Evenness.Even, null)]);
        Assert.Equal(0, found.Same);
        Assert.Equal([6.0, null], found.Told.Select(t => t.Was));
        Assert.Empty(ReadingsImport.Of(review, []).Told);
    }

    [Theory]
    [InlineData(6.004, Evenness.Even, "orange", true)]
    [InlineData(6.006, Evenness.Even, "orange", false)]
    [InlineData(6, Evenness.Patchy, "orange", false)]
    [InlineData(6, Evenness.Even, null, false)]
    public void The_same_is_the_same_level_evenness_and_undertone(
        double level,
        Evenness even,
        string? seen,
        bool isSame
    )
    {
        var review = Read(
            new StateSaid(Wetness.Dry, true, ReadingLight.Daylight),
            new LevelRead(Zone.Nape, Depth.Ends, new(6), Undertone: "orange")
        );
        Assert.Equal(isSame ? 1 : 0, ReadingsImport.Of(review, [Ends(level, even, seen)]).Same);
    }
}
