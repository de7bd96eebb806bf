using System.Collections.Immutable;

namespace Wendro.Plans;

/// <summary>
/// Where a revision stands in the history of a plan. Revisions only grow; undo and redo append one that shows an
/// earlier plan again.
/// </summary>
/// <param name="Revision">Its number, from 1.</param>
/// <param name="Shows">The revision whose plan it shows: its own after an edit, an earlier one after undo or
/// redo.</param>
/// <param name="Before">The revision shown before that one was edited; null for the first.</param>
/// <param name="Undone">Revisions undone since, the latest last: what redo would show.</param>
public sealed record History(int Revision, int Shows, int? Before, ImmutableArray<int> Undone)
{
    /// <summary>The first revision.</summary>
    public static History First { get; } = new(1, 1, null, []);

    /// <summary>Whether there is something to undo.</summary>
    public bool CanUndo => Before is not null;

    /// <summary>Whether there is something to redo.</summary>
    public bool CanRedo => Undone.Length > 0;

    /// <summary>
    /// Revisions of a visit that is done which are kept: the first, the last, those that facts pin, and what any of
    /// these shows.
    /// </summary>
    /// <param name="all">All of them, the first first.</param>
    /// <param name="pinned">Revisions that something which happened refers to.</param>
    public static IReadOnlySet<int> Kept(IReadOnlyList<History> all, IReadOnlySet<int> pinned)
    {
        ArgumentNullException.ThrowIfNull(all);
        ArgumentNullException.ThrowIfNull(pinned);
        var kept = all.Where((h, i) => i == 0 || i == all.Count - 1 || pinned.Contains(h.Revision)).ToArray();
        return kept.SelectMany(h => new[] { h.Revision, h.Shows }).ToHashSet();
    }

    /// <summary>After an edit: a plan of its own; nothing is left to redo.</summary>
    public History Edited() => new(Revision + 1, Revision + 1, Shows, []);

    /// <summary>After undo; null if there is nothing to undo.</summary>
    /// <param name="of">History of a revision by number.</param>
    public History? Undo(Func<int, History> of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return Before is { } before ? new(Revision + 1, before, of(before).Before, Undone.Add(Shows)) : null;
    }

    /// <summary>After redo; null if there is nothing to redo.</summary>
    /// <param name="of">History of a revision by number.</param>
    public History? Redo(Func<int, History> of)
    {
        ArgumentNullException.ThrowIfNull(of);
        return CanRedo ? new(Revision + 1, Undone[^1], of(Undone[^1]).Before, Undone[..^1]) : null;
    }
}
