using Wendro.Head;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>
/// Notes what of an edit's values can't be taken on a plan. Total: any value gets a word, none an exception.
/// </summary>
/// <param name="plan">The plan it is meant for.</param>
/// <param name="cutting">The head it is planned on.</param>
internal sealed class EditChecks(Plan plan, Cutting cutting)
{
    private const int MostPanels = 5000;
    private readonly List<Problem> problems = [];

    public Plan Plan { get; } = plan;

    public Cutting Cutting { get; } = cutting;

    public IReadOnlyList<Problem> Problems => problems;

    /// <summary>Notes something that can't be taken.</summary>
    public void Say(string field, string message) => problems.Add(new(field, message));

    /// <summary>Notes what was found in a part of the edit.</summary>
    public void Add(string field, IEnumerable<Problem> found) =>
        problems.AddRange(found.Select(p => p with { Field = $"{field}.{p.Field}".Trim('.') }));

    public void Text(string? text, int most, string field) => Problem.Text(problems, field, text, most);

    public void Known<T>(T value, string field)
        where T : struct, Enum => Problem.Known(problems, field, value);

    public void Range(double value, double low, double high, string field, string unit) =>
        Problem.Range(problems, field, value, low, high, unit);

    /// <summary>Every number of a record that says its bounds.</summary>
    public void Within(object of, string field = "") => problems.AddRange(WithinAttribute.Outside(of, field));

    /// <summary>A formula the plan has.</summary>
    public void HasFormula(FormulaId id, string field)
    {
        if (Plan.FormulaOf(id) is null)
        {
            Say(field, $"There is no such formula. The plan has {string.Join(", ", Plan.Formulas.Select(f => f.Id))}.");
        }
    }

    /// <summary>A step the plan has.</summary>
    public void HasStep(int number, string field)
    {
        var count = Plan.StepsOf().Count;
        if (number < 0 || number >= count)
        {
            Say(field, count == 1 ? "There is one step, 0." : $"Between 0 and {count - 1}.");
        }
    }

    /// <summary>Panels that are there and not left out.</summary>
    public void Panels(IReadOnlyList<PanelKey>? panels)
    {
        if (panels is null || panels.Count is 0 or > MostPanels)
        {
            Say(
                "panels",
                panels?.Count > MostPanels ? $"At most {MostPanels} panels at once." : "Name at least one panel."
            );
            return;
        }

        for (var i = 0; i < panels.Count; i++)
        {
            var key = panels[i];
            if (Cutting.Cut(Plan, key.Zone).Panels.All(p => p.Key != key))
            {
                Say($"panels[{i}]", $"There is no panel {key} as this head is cut.");
            }
            else if (Plan.Zones[key.Zone].Excluded is not null)
            {
                Say($"panels[{i}]", $"The {ZoneFacts.Words(key.Zone)} is left out. Include it first.");
            }
        }
    }

    /// <summary>Panels, and one of their products by number.</summary>
    public void Panels(IReadOnlyList<PanelKey>? panels, int coat)
    {
        Panels(panels);
        Range(coat, 0, PanelPaint.MostCoats - 1, "coat", string.Empty);
        if (coat is > 0 and < PanelPaint.MostCoats && KeysOf(panels).Any(k => CoatsOf(k) <= coat))
        {
            Say("coat", $"Not all of these panels have {coat + 1} products.");
        }
    }

    /// <summary>Panels that can take so many more products.</summary>
    public void MostCoats(IReadOnlyList<PanelKey>? panels, int more)
    {
        if (KeysOf(panels).Any(k => CoatsOf(k) + more > PanelPaint.MostCoats))
        {
            Say("panels", $"At most {PanelPaint.MostCoats} products on one panel.");
        }
    }

    /// <summary>How a panel is painted, every product of it.</summary>
    public void Paint(PanelPaint? paint)
    {
        if (paint is null)
        {
            Say("paint", "Paint is needed.");
            return;
        }

        var field = "paint";
        for (var (coat, n) = (paint, 0); coat is not null; (coat, n) = (coat.Next, n + 1))
        {
            if (n == PanelPaint.MostCoats)
            {
                Say(field, $"At most {PanelPaint.MostCoats} products on one panel.");
                return;
            }

            Coat(coat, field);
            field += ".next";
        }
    }

    private void Coat(PanelPaint paint, string field)
    {
        Known(paint.Face, $"{field}.face");
        Known(paint.Covering, $"{field}.covering");
        Known(paint.Pressure, $"{field}.pressure");
        Known(paint.Tension, $"{field}.tension");
        Known(paint.Teasing, $"{field}.teasing");
        Within(paint, field);
        Shape(paint.Shape, field);
        HasFormula(paint.Formula, $"{field}.formula");
    }

    private void Shape(Shape shape, string field)
    {
        Range(shape.DropCm, 0, Wendro.Paint.Shape.MostDropCm, $"{field}.dropCm", "cm");
        Range(shape.MiddleU, 0.1, 0.9, $"{field}.centreU", "across the panel");
        Range(shape.PeakCm, 0, Wendro.Paint.Shape.MostDropCm, $"{field}.centreCm", "cm");
        Range(shape.Count, 1, Wendro.Paint.Shape.MostCount, $"{field}.strokes", string.Empty);
        if (shape.Stroked is { } stroke)
        {
            Range(stroke.Width, 0.05, 1, $"{field}.strokeShare", "of its room");
            Range(stroke.MergeCm, 0, 60, $"{field}.mergeCm", "cm");
        }
    }

    private static IEnumerable<PanelKey> KeysOf(IReadOnlyList<PanelKey>? panels) => panels ?? [];

    private int CoatsOf(PanelKey key) => Plan.Zones[key.Zone].Paint.GetValueOrDefault(key)?.Coats().Count ?? 0;
}
