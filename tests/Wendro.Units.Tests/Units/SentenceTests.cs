using System.Text.RegularExpressions;
using Wendro.Blend;
using Wendro.Head;
using Wendro.Paint;
using Wendro.Plans;
using Wendro.Units;

namespace Wendro.Tests.Units;

public sealed partial class SentenceTests
{
    [Fact]
    public void A_sentence_reads_as_words_and_knows_its_quantities()
    {
        Sentence inner = $"and {Quantity.Grams(12.345, "0.0")} of it";
        Sentence said = $"Starts {Quantity.Cm(3.5)} down on {2} panels{inner}.";
        Assert.Equal("Starts 3.5 cm down on 2 panelsand 12.3 g of it.", said.ToString());
        Assert.Equal([3.5, 12.345], said.Parts.Where(p => p.Quantity is not null).Select(p => p.Quantity!.Value.Value));
        Assert.Equal(said.ToString(), string.Concat(said.Parts.Select(p => p.Text)));
        Assert.Equal((Sentence)"a", (Sentence)"a");
        Assert.Equal("a + b", Sentence.Join(" + ", ["a", "b"]).ToString());
    }

    [Fact]
    public async Task Many_read_one_sentence_at_once_and_each_reads_it_whole()
    {
        var sentences = Enumerable.Range(0, 2_000).Select(_ => Said()).ToArray();
        using var together = new Barrier(3);
        string[] Read()
        {
            try
            {
                return sentences.Select(said => together.SignalAndWait(-1) ? said.ToString() : "").ToArray();
            }
            finally
            {
                // Whoever can't go on is not waited for.
                together.RemoveParticipant();
            }
        }

        var readers = Enumerable
            .Range(0, together.ParticipantCount)
            .Select(_ =>
                Task.Factory.StartNew(
                    Read,
                    CancellationToken.None,
                    TaskCreationOptions.LongRunning,
                    TaskScheduler.Default
                )
            )
            .ToArray();
        var read = await Task.WhenAll(readers);
        Assert.All(read.SelectMany(r => r), words => Assert.Equal("Starts 3.5 cm down on 2 panels.", words));

        static Sentence Said() => $"Starts {Quantity.Cm(3.5)} down on {2} panels.";
    }

    [Fact]
    public void Findings_and_fixes_carry_every_quantity_they_speak_of()
    {
        var head = Given.Bare.Apply(
            new PaintZone(Zone.Crown, new PanelPaint(new Shape.Full(), 0.2, 0, 40, 40)),
            new PaintZone(Zone.UpperBack, new PanelPaint(new Shape.Full(), 12, 0, 20, 20)),
            new PaintZone(Zone.TopLeft, PanelPaint.Usual with { StartCm = 3 }),
            new PaintZone(Zone.TopRight, PanelPaint.Usual with { StartCm = 12 })
        );
        var said = head.Findings.SelectMany(f => new[] { f.Text, f.Why }).ToList();
        said.AddRange(head.Findings.Select(f => Fixes.For(f, head, Given.Cutting)?.Label).OfType<Sentence>());
        Each.Of(
            said,
            s => Each.Of(s.Parts, p => Assert.False(p.Quantity is null && Bare().IsMatch(p.Text), s.ToString()))
        );
        Assert.True(said.SelectMany(s => s.Parts).Count(p => p.Quantity is not null) > 10);
        Assert.Contains(head.Findings, f => f.Kind == BlendFault.BleedThrough);
        Assert.DoesNotContain(
            "%",
            head.Findings.First(f => f.Kind == BlendFault.BleedThrough).Text.ToString(),
            StringComparison.Ordinal
        );
    }

    [GeneratedRegex(@"\d ?(cm|mm|g|ml)\b")]
    private static partial Regex Bare();
}
