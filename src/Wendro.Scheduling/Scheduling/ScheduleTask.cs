namespace Wendro.Scheduling;

/// <summary>What hands do in one go: a group painted, or a rinse rinsed.</summary>
internal sealed class ScheduleTask
{
    /// <summary>In a group's place: a rinse.</summary>
    public const int Rinse = -1;

    /// <param name="group">Which group; -1 for a rinse.</param>
    /// <param name="groups">How many groups there are.</param>
    public ScheduleTask(int group, int groups)
    {
        Group = group;
        if (group == Rinse)
        {
            (Least, Most) = (new double[groups], new double[groups]);
            Array.Fill(Least, double.NegativeInfinity);
            Array.Fill(Most, double.PositiveInfinity);
        }
    }

    /// <summary>Which group is painted; -1 where a rinse is rinsed.</summary>
    public int Group { get; }

    /// <summary>When it begins, minutes.</summary>
    public double At { get; set; }

    /// <summary>Minutes it takes.</summary>
    public double Takes { get; set; }

    /// <summary>Minutes after a rinse before hands are free.</summary>
    public double Frees { get; set; }

    /// <summary>When hands are free for the next.</summary>
    public double DoneAt => At + Takes + Frees;

    /// <summary>What a rinse rinses, in order.</summary>
    public List<(int Group, int Index)> Panels { get; } = [];

    /// <summary>Of a rinse, by group: how long after the group is begun it may begin, minutes.</summary>
    public double[] Least { get; } = [];

    /// <summary>Of a rinse, by group: how long after the group is begun it must begin, minutes.</summary>
    public double[] Most { get; } = [];
}
