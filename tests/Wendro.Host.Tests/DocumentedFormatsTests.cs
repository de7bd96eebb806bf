using System.Text.Json;
using Wendro.Formats;
using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Host.Tests;

/// <summary>What docs/formats says of the plan file is what is written.</summary>
public sealed class DocumentedFormatsTests
{
    private static readonly string Page = File.ReadAllText(Path.Combine(App.Root, "docs", "formats", "plan.md"));

    [Fact]
    public void The_page_tells_the_version_that_is_written()
    {
        Assert.Contains($"\"version\": {PlanFile.Newest},", Page, StringComparison.Ordinal);
        Assert.Contains($"`wendro-visit` version {VisitFile.Newest}", Page, StringComparison.Ordinal);
    }

    [Fact]
    public void The_page_tells_every_shape() =>
        Each.Of(
            Enum.GetNames<ShapeKind>(),
            shape => Assert.Matches($@"\b{JsonNamingPolicy.CamelCase.ConvertName(shape)}\b", Page.Split("<paint>`:")[1])
        );

    [Fact]
    public void The_page_tells_every_formulas_letter() =>
        Assert.Contains($"\"A\"..\"{FormulaId.Last}\"", Page, StringComparison.Ordinal);
}
