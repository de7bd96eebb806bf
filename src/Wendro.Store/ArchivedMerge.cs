using Wendro.Formats.Archive;

namespace Wendro.Store;

/// <summary>A visit that is here and in an archive, brought together.</summary>
/// <param name="Becomes">What becomes of the one here.</param>
/// <param name="Visit">As it is then.</param>
/// <param name="Diverged">What went on differently on both sides, in a word; null where nothing did.</param>
internal sealed record ArchivedMerge(Becomes Becomes, ArchivedVisit Visit, string? Diverged = null)
{
    private enum Longer
    {
        Neither,
        Here,
        There,
        Diverged,
    }

    /// <summary>
    /// What is only added goes on where the other side has more; of hair and answers those that were changed more often
    /// count. Answers about health that the archive lacks stay as they are here.
    /// </summary>
    public static ArchivedMerge Of(ArchivedVisit here, ArchivedVisit there)
    {
        var (health, answers) = (here.Consultation.Value, there.Consultation.Value);
        if (answers.AskAgain && !health.AskAgain)
        {
            there = there with { Consultation = new(answers.WithHealthOf(health)) };
        }

        // Whether a photograph may be shown, and from where it was taken, is as it was said here.
        there = there with
        {
            Photographs = there
                .Photographs.Select(p =>
                    here.Photographs.FirstOrDefault(h => h.Name == p.Name) is { } known
                        ? p with
                        {
                            MayBeShown = known.MayBeShown,
                            Moment = known.Moment,
                            From = known.From,
                        }
                        : p
                )
                .ToArray(),
        };
        (string Word, Longer Longer)[] logs =
        [
            ("the plan", ComparePlans(here.Plan, there.Plan)),
            ("a bowl", CompareBowls(here.Bowls, there.Bowls)),
            ("the tray", Compare(here.Tray, there.Tray)),
            ("the service", Compare(here.Service?.Facts ?? [], there.Service?.Facts ?? [])),
            ("the review", Compare(here.Review, there.Review)),
            ("the toning", Compare(here.Toning, there.Toning)),
            ("what was kept", Compare(here.Kept ?? [], there.Kept ?? [])),
            ("photographs", Compare(here.Photographs, there.Photographs)),
            ("the consultation", CompareConsultation(here, there)),
        ];
        if (logs.FirstOrDefault(l => l.Longer == Longer.Diverged) is { Word: { } word })
        {
            return new(Becomes.Refused, here, word);
        }

        var (more, less) = (logs.Any(l => l.Longer == Longer.There), logs.Any(l => l.Longer == Longer.Here));
        if (more && less)
        {
            return new(Becomes.Refused, here, logs.First(l => l.Longer == Longer.Here).Word);
        }

        return more ? new(Becomes.Changed, there)
            : less ? new(Becomes.NewerHere, here)
            : new(Becomes.Same, here);
    }

    private static Longer CompareConsultation(ArchivedVisit here, ArchivedVisit there)
    {
        // How her hair lifts follows from visits before this one: nobody said it here.
        static string Text(ArchivedVisit v) =>
            ArchiveFile.TextOf(v.Hair with { Value = v.Hair.Value with { Own = null } })
            + ArchiveFile.TextOf(v.Consultation)
            + v.StartsAt.UtcTicks;
        return Text(here) == Text(there) ? Longer.Neither
            : there.ConsultVersion > here.ConsultVersion ? Longer.There
            : there.ConsultVersion < here.ConsultVersion ? Longer.Here
            : Longer.Diverged;
    }

    private static Longer CompareBowls(IReadOnlyList<ArchivedBowl> here, IReadOnlyList<ArchivedBowl> there)
    {
        var (more, less) = (there.Any(b => here.All(h => h.Id != b.Id)), here.Any(b => there.All(t => t.Id != b.Id)));
        foreach (var bowl in here)
        {
            if (there.FirstOrDefault(t => t.Id == bowl.Id) is { } other)
            {
                switch (Compare(bowl.Events, other.Events))
                {
                    case Longer.Diverged:
                        return Longer.Diverged;
                    case Longer.There:
                        more = true;
                        break;
                    case Longer.Here:
                        less = true;
                        break;
                }
            }
        }

        return (more, less) switch
        {
            (true, true) => Longer.Diverged,
            (true, false) => Longer.There,
            (false, true) => Longer.Here,
            _ => Longer.Neither,
        };
    }

    /// <summary>
    /// By number: a side whose visit has settled holds fewer of the same revisions, and no longer what undo would show.
    /// </summary>
    private static Longer ComparePlans(IReadOnlyList<ArchivedRevision> here, IReadOnlyList<ArchivedRevision> there)
    {
        static string Text(ArchivedRevision r) => ArchiveFile.TextOf(r with { Before = null, Undone = string.Empty });
        static int Last(IReadOnlyList<ArchivedRevision> plan) => plan.Select(r => r.Number).DefaultIfEmpty().Max();
        var known = here.ToDictionary(r => r.Number);
        if (there.Any(r => known.TryGetValue(r.Number, out var same) && Text(same) != Text(r)))
        {
            return Longer.Diverged;
        }

        var (last, theirs) = (Last(here), Last(there));
        return last == theirs ? Longer.Neither
            : last > theirs ? Longer.Here
            : Longer.There;
    }

    private static Longer Compare<T>(IReadOnlyList<T> here, IReadOnlyList<T> there)
    {
        for (var i = 0; i < Math.Min(here.Count, there.Count); i++)
        {
            if (ArchiveFile.TextOf(here[i]) != ArchiveFile.TextOf(there[i]))
            {
                return Longer.Diverged;
            }
        }

        return here.Count == there.Count ? Longer.Neither
            : here.Count > there.Count ? Longer.Here
            : Longer.There;
    }
}
