using System.Text.Json.Serialization;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Apply;

/// <summary>What the client feels on her scalp.</summary>
public enum Comfort
{
    Nothing,
    Tingling,
    Burning,
}

/// <summary>What a look found: whether the lightener still works.</summary>
public enum Working
{
    /// <summary>Moist, bluish over orange: it goes on.</summary>
    Working,

    /// <summary>Pale, even, scrapes clean: it is there.</summary>
    Done,
}

/// <summary>
/// What happened at the chair; only ever added. The server says when. A fact concerns something (a panel, a bowl, the
/// rinse): of two said of one thing, each without having seen the other, the second is asked again.
/// </summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Seated), "seated")]
[JsonDerivedType(typeof(Prepared), "prepared")]
[JsonDerivedType(typeof(Mixed), "mixed")]
[JsonDerivedType(typeof(BowlGone), "bowlGone")]
[JsonDerivedType(typeof(Added), "added")]
[JsonDerivedType(typeof(Painted), "painted")]
[JsonDerivedType(typeof(PaintedUpTo), "paintedUpTo")]
[JsonDerivedType(typeof(AreaLaid), "laid")]
[JsonDerivedType(typeof(PutOff), "later")]
[JsonDerivedType(typeof(LeftNatural), "leftNatural")]
[JsonDerivedType(typeof(Marked), "marked")]
[JsonDerivedType(typeof(Recoated), "recoated")]
[JsonDerivedType(typeof(Covered), "covered")]
[JsonDerivedType(typeof(Heated), "heat")]
[JsonDerivedType(typeof(Looked), "looked")]
[JsonDerivedType(typeof(ComfortReported), "comfort")]
[JsonDerivedType(typeof(Paused), "paused")]
[JsonDerivedType(typeof(Resumed), "resumed")]
[JsonDerivedType(typeof(AssistantChanged), "hands")]
[JsonDerivedType(typeof(RinseBegun), "waveBegun")]
[JsonDerivedType(typeof(RinseEnded), "waveEnded")]
[JsonDerivedType(typeof(Washed), "washed")]
[JsonDerivedType(typeof(WentOn), "wentOn")]
[JsonDerivedType(typeof(PlanTaken), "planTaken")]
[JsonDerivedType(typeof(TakenBack), "takenBack")]
public abstract record ServiceFact
{
    /// <summary>What it is about: two facts about one thing can clash; an empty word clashes with nothing.</summary>
    [JsonIgnore]
    public abstract string Concerns { get; }

    /// <summary>Whether hair gets product by it, or is about to: a safety stop refuses it.</summary>
    [JsonIgnore]
    public abstract bool LaysProduct { get; }

    /// <summary>The word for a panel.</summary>
    protected static string Of(PanelKey panel) => $"panel {panel}";
}

/// <summary>The client sits in the chair.</summary>
public sealed record Seated : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "chair";

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>What is made ready before the first panel.</summary>
public enum Preparation
{
    PartSet,
    Combed,
}

/// <summary>The part is set, the hair combed.</summary>
public sealed record Prepared(Preparation What) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => $"prepared {What}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A bowl is mixed and stands at the chair.</summary>
/// <param name="Formula">Of which formula.</param>
/// <param name="Ordinal">Which bowl of it, from 1.</param>
public sealed record Mixed(FormulaId Formula, int Ordinal) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => $"bowl {Formula}{Ordinal}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A bowl is gone: spilt, or past use. What was to be painted from it waits for another.</summary>
/// <param name="Formula">Of which formula.</param>
/// <param name="Ordinal">Which bowl of it, from 1.</param>
public sealed record BowlGone(FormulaId Formula, int Ordinal) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => $"bowl {Formula}{Ordinal}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A panel the plan leaves natural is painted after all, now, as the nearest planned one is.</summary>
public sealed record Added(PanelKey Panel) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>A panel is painted.</summary>
public sealed record Painted(PanelKey Panel) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>
/// All panels up to this one, in working order, are painted: taps that were forgotten. Their moments are spread back
/// to the last that was tapped.
/// </summary>
public sealed record PaintedUpTo(PanelKey Panel) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>What the step lays over a whole area is on.</summary>
public sealed record AreaLaid : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "area";

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>A panel comes later, after all others; or after all now, where it was put off.</summary>
public sealed record PutOff(PanelKey Panel, bool Now = false) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A panel stays natural after all.</summary>
public sealed record LeftNatural(PanelKey Panel) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>What went wrong at a panel.</summary>
public enum Trouble
{
    /// <summary>Product came through to the hair below.</summary>
    CameThrough,

    /// <summary>It turned over and lies on other hair.</summary>
    TurnedOver,

    /// <summary>A spot fell and was wiped.</summary>
    Spot,
}

/// <summary>Something went wrong at a panel: noted with its moment.</summary>
/// <param name="Panel">Where.</param>
/// <param name="What">What.</param>
/// <param name="Note">More about it, up to 200 letters.</param>
public sealed record Marked(PanelKey Panel, Trouble What, string? Note = null) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => string.Empty;

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A panel is painted again where it dried or was wiped.</summary>
public sealed record Recoated(PanelKey Panel) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => Of(Panel);

    /// <inheritdoc/>
    public override bool LaysProduct => true;
}

/// <summary>Some panels are covered, or opened, while they work.</summary>
/// <param name="Panels">Which.</param>
/// <param name="With">What covers them from now on; open for nothing.</param>
public sealed record Covered(IReadOnlyList<PanelKey> Panels, Covering With) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => string.Empty;

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>Low heat goes on or off.</summary>
public sealed record Heated(bool On) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "heat";

    /// <inheritdoc/>
    public override bool LaysProduct => On;
}

/// <summary>A look: product wiped away, the level judged, painted again.</summary>
/// <param name="Panel">Where.</param>
/// <param name="Level">The level seen, 1..10.</param>
/// <param name="Even">Whether it lifts evenly.</param>
/// <param name="State">Whether it still works.</param>
/// <param name="Scraped">Whether a crust was scraped to tell.</param>
/// <param name="Again">Whether it was painted again where it was wiped.</param>
public sealed record Looked(
    PanelKey Panel,
    Level Level,
    bool Even = true,
    Working State = Working.Working,
    bool Scraped = false,
    bool Again = true
) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => $"look {Panel}";

    /// <inheritdoc/>
    public override bool LaysProduct => Again;
}

/// <summary>What the client feels.</summary>
public sealed record ComfortReported(Comfort How) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "comfort";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>Hands rest. No product does.</summary>
public sealed record Paused : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "hands";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>Hands go on.</summary>
public sealed record Resumed : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "hands";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>What a second pair of hands does.</summary>
public enum Help
{
    /// <summary>Paints a side.</summary>
    Paints,

    /// <summary>Mixes the bowls.</summary>
    Mixes,

    /// <summary>Rinses, while painting goes on.</summary>
    Rinses,
}

/// <summary>How many pairs of hands work from now on: 1 or 2.</summary>
/// <param name="Pairs">1 or 2.</param>
/// <param name="Does">What the second does.</param>
public sealed record AssistantChanged(int Pairs, Help Does = Help.Paints) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "hands";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>A rinse rinse begins.</summary>
/// <param name="Panels">What is rinsed, in order.</param>
public sealed record RinseBegun(IReadOnlyList<PanelKey> Panels) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "wave";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>The rinse is over. Its panels were rinsed in the order they were served, but for those named.</summary>
/// <param name="Not">What was not rinsed after all.</param>
public sealed record RinseEnded(IReadOnlyList<PanelKey>? Not = null) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "wave";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>Washed, dried and read: the step is done, the next one begins.</summary>
public sealed record Washed : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "wave";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>The next step begins while what was painted works on: a root base beneath the sheets.</summary>
public sealed record WentOn : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "wave";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>From here on the service goes by a changed plan: offered, and taken by hand.</summary>
/// <param name="Revision">The plan's revision.</param>
public sealed record PlanTaken(int Revision) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => "plan";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}

/// <summary>What was said was wrong.</summary>
/// <param name="Number">The fact's number.</param>
public sealed record TakenBack(int Number) : ServiceFact
{
    /// <inheritdoc/>
    public override string Concerns => $"fact {Number}";

    /// <inheritdoc/>
    public override bool LaysProduct => false;
}
