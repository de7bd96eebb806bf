using Wendro.Core.Consult;
using Wendro.Core.Hair;
using Wendro.Core.Plans;

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
}

/// <summary>One revision of a visit's plan. Only ever added.</summary>
public sealed class RevisionRow
{
    public Guid VisitId { get; set; }

    /// <summary>From 1, without gaps.</summary>
    public int Number { get; set; }

    /// <summary>The revision whose plan it shows.</summary>
    public int Shows { get; set; }

    /// <summary>The revision shown before that one was edited.</summary>
    public int? Before { get; set; }

    /// <summary>Revisions undone since, comma-separated, the latest last.</summary>
    public string Undone { get; set; } = string.Empty;

    /// <summary>The plan; null when it shows an earlier revision's.</summary>
    public Plan? Plan { get; set; }

    /// <summary>What was done: edit's JSON, "undo", "redo", "import" or "new".</summary>
    public required string What { get; set; }

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
