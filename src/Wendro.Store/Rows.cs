using Wendro.Apply;
using Wendro.Consult;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Photographs;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Toning;

namespace Wendro.Store;

/// <summary>A client.</summary>
public sealed class ClientRow
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    /// <summary>A line about her life and hair.</summary>
    public string About { get; set; } = string.Empty;

    public DateTimeOffset CreatedAt { get; set; }
}

/// <summary>A visit of a client.</summary>
public sealed class VisitRow
{
    public Guid Id { get; set; }

    public Guid ClientId { get; set; }

    public ClientRow Client { get; set; } = null!;

    public DateTimeOffset StartsAt { get; set; }

    /// <summary>Her hair as it was read at this visit.</summary>
    public required HairProfile Hair { get; set; }

    /// <summary>What was asked and answered at this visit.</summary>
    public Consultation Consultation { get; set; } = Consultation.Fresh;

    /// <summary>How often hair and answers were changed: refuses a second writer who read an older state.</summary>
    public int ConsultVersion { get; set; }

    /// <summary>How her hair lifts by all that was known after this visit; null where it taught nothing.</summary>
    public OwnLift? Taught { get; set; }

    /// <summary>The visit in a few figures, from when it was put away; null while it wasn't.</summary>
    public VisitSum? Sum { get; set; }
}

/// <summary>
/// One revision of a visit's plan. Only ever added; of visits that have settled those that nothing went by are let go.
/// </summary>
public sealed class RevisionRow
{
    public Guid VisitId { get; set; }

    /// <summary>From 1, without gaps until the visit has settled.</summary>
    public int Number { get; set; }

    /// <summary>The revision whose plan it shows.</summary>
    public int Shows { get; set; }

    /// <summary>The revision shown before that one was edited.</summary>
    public int? Before { get; set; }

    /// <summary>Revisions undone since, comma-separated, the latest last.</summary>
    public string Undone { get; set; } = string.Empty;

    /// <summary>The plan; null when it shows an earlier revision's.</summary>
    public Plan? Plan { get; set; }

    /// <summary>
    /// How it came about: "edit", "undo", "redo", "import" or "new"; the edit's JSON in revisions from before labels
    /// were kept.
    /// </summary>
    public required string What { get; set; }

    /// <summary>The edit, where it was one.</summary>
    public PlanEdit? Edit { get; set; }

    /// <summary>What was done, in words for people; null in revisions from before labels were kept.</summary>
    public string? Label { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>What the studio keeps for itself. There is one row.</summary>
public sealed class StudioRow
{
    public int Id { get; set; } = 1;

    /// <summary>How it usually works.</summary>
    public required HouseRules Rules { get; set; }

    /// <summary>How often the rules were changed.</summary>
    public int RulesVersion { get; set; }
}

/// <summary>A way of toning of the studio's own.</summary>
public sealed class OwnTonerRow
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    /// <summary>Its areas.</summary>
    public required TonePlan Plan { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A pattern of the studio's own.</summary>
public sealed class PatternRow
{
    public Guid Id { get; set; }

    public required string Name { get; set; }

    /// <summary>Why, in the studio's words.</summary>
    public required string Why { get; set; }

    /// <summary>The edits it is made of.</summary>
    public required IReadOnlyList<PlanEdit> Edits { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A product on the shelf.</summary>
public sealed class ProductRow
{
    public Guid Id { get; set; }

    /// <summary>Its name in small letters: no two are alike.</summary>
    public required string Key { get; set; }

    public required Product Product { get; set; }

    /// <summary>How often it was changed: refuses a second writer who read an older state.</summary>
    public int Version { get; set; }
}

/// <summary>A bowl that was begun at a visit.</summary>
public sealed class BowlRow
{
    public Guid Id { get; set; }

    public Guid VisitId { get; set; }

    /// <summary>Which bowl of its formula, from 1.</summary>
    public int Ordinal { get; set; }

    /// <summary>The formula's letter.</summary>
    public required string Formula { get; set; }

    /// <summary>The formula as it was then.</summary>
    public required Formula Meant { get; set; }

    /// <summary>What was to go in.</summary>
    public required Recipe Recipe { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>Something that happened to a bowl. Only ever added.</summary>
public sealed class BowlEventRow
{
    public Guid BowlId { get; set; }

    /// <summary>From 1, without gaps.</summary>
    public int Number { get; set; }

    public required BowlEvent Event { get; set; }

    /// <summary>The lot it was poured from, where the shelf knew one.</summary>
    public string? Lot { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A thing on the tray that was ticked or unticked. Only ever added; the latest counts.</summary>
public sealed class TickRow
{
    public int Id { get; set; }

    public Guid VisitId { get; set; }

    /// <summary>Its short name.</summary>
    public required string Item { get; set; }

    public bool IsThere { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A service: the plan at the chair. There is one a visit.</summary>
public sealed class ServiceRow
{
    public Guid VisitId { get; set; }

    /// <summary>The plan's revision it was begun with.</summary>
    public int Revision { get; set; }

    public DateTimeOffset At { get; set; }
}

/// <summary>A fact of a visit. Only ever added.</summary>
/// <typeparam name="TFact">What kind of fact.</typeparam>
public abstract class FactRow<TFact>
{
    public Guid VisitId { get; set; }

    /// <summary>From 1, without gaps.</summary>
    public int Number { get; set; }

    /// <summary>Given by who said it: said twice, it counts once.</summary>
    public Guid SaidAs { get; set; }

    public TFact Fact { get; set; } = default!;

    public DateTimeOffset At { get; set; }
}

/// <summary>Something that happened at the chair.</summary>
public sealed class ServiceFactRow : FactRow<ServiceFact>;

/// <summary>Something seen or said at a review.</summary>
public sealed class ReviewFactRow : FactRow<ReviewFact>;

/// <summary>Something that was chosen, or happened, at toning.</summary>
public sealed class ToneFactRow : FactRow<ToneFact>;

/// <summary>Something said when a visit was put away.</summary>
public sealed class KeepFactRow : FactRow<RecordFact>;

/// <summary>A photograph of a visit; its content lies beside the data, named by itself.</summary>
public sealed class PhotographRow
{
    public Guid VisitId { get; set; }

    /// <summary>From 1, in the order they were kept.</summary>
    public int Number { get; set; }

    /// <summary>SHA-256 of the content, 64 small hexadecimal digits.</summary>
    public required string Name { get; set; }

    public int Width { get; set; }

    public int Height { get; set; }

    public PhotoMoment Moment { get; set; }

    /// <summary>From where it was taken; null where nobody said.</summary>
    public PhotoFrom? From { get; set; }

    /// <summary>Whether the client agreed that it is shown to others.</summary>
    public bool MayBeShown { get; set; }

    public DateTimeOffset At { get; set; }
}
