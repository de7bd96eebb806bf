using Wendro.Paint;
using Wendro.Units;

namespace Wendro.Lift;

/// <summary>What changes while a coat works.</summary>
/// <param name="AtMinute">When, minutes ≥ 0 after it was painted.</param>
/// <param name="Covering">What covers it from then on; null where that stays.</param>
/// <param name="LowHeat">Whether low heat is on from then on; null where that stays.</param>
/// <param name="IsFresh">Whether it is painted again: moist as at first.</param>
public sealed record LiftTurn(double AtMinute, Covering? Covering = null, bool? LowHeat = null, bool IsFresh = false);

/// <summary>
/// A lift that is covered, warmed or painted again while it works. Moisture m falls as dm/dt = −m/τd and exposure grows
/// as dX/dt = Q·m, with the Q and τd of what covers and warms it just then; a fresh coat sets m to 1. Without a turn it
/// is the lift itself, to the digit. Model assumption, as the lift is.
/// </summary>
public sealed class LiftCourse
{
    private readonly Lifting whole;
    private readonly Piece[] pieces;

    /// <summary>From a minute on: warmth, drying, and what moisture and exposure there were then.</summary>
    private readonly record struct Piece(
        double From,
        double Warmth,
        double Drying,
        double Moisture,
        double Exposure,
        bool IsFresh
    )
    {
        public double MoistureAt(double minute) => Moisture * Math.Exp(-(minute - From) / Drying);

        public double ExposureAt(double minute) =>
            Exposure + Warmth * Moisture * Drying * (1 - Math.Exp(-(minute - From) / Drying));

        /// <summary>When an exposure is there; null where it never is.</summary>
        public double? MinuteOf(double exposure)
        {
            var share = (exposure - Exposure) / (Warmth * Moisture * Drying);
            return share <= 0 ? From
                : share >= 1 ? null
                : From - Drying * Math.Log(1 - share);
        }

        public double DriesAt => From - Drying * Math.Log(Math.Min(1, LiftTables.DryMoisture / Moisture));
    }

    /// <summary>The course of a lift.</summary>
    /// <param name="whole">The lift, as it would be if nothing changed.</param>
    /// <param name="turns">What changes, in order.</param>
    public LiftCourse(Lifting whole, IReadOnlyList<LiftTurn> turns)
    {
        ArgumentNullException.ThrowIfNull(whole);
        ArgumentNullException.ThrowIfNull(turns);
        this.whole = whole;
        var (covering, heat) = (whole.Case.Covering, whole.Case.LowHeat);
        var made = new List<Piece> { PieceOf(0, covering, heat, 1, 0, true) };
        foreach (var turn in turns.OrderBy(t => t.AtMinute))
        {
            var minute = Math.Max(0, turn.AtMinute);
            (covering, heat) = (turn.Covering ?? covering, turn.LowHeat ?? heat);
            var before = made[^1];
            made.Add(
                PieceOf(
                    minute,
                    covering,
                    heat,
                    turn.IsFresh ? 1 : before.MoistureAt(minute),
                    before.ExposureAt(minute),
                    turn.IsFresh
                )
            );
        }

        pieces = [.. made];
    }

    /// <summary>Level after some minutes.</summary>
    public Level After(Minutes minutes)
    {
        var piece = pieces.Last(p => p.From <= minutes.Value);
        return Level.Clamp(whole.Case.From.Value + whole.GainAt(piece.ExposureAt(minutes.Value)));
    }

    /// <summary>
    /// The minute at which too little moisture is left to work, since it was painted last: what is dry isn't moist
    /// again by being covered.
    /// </summary>
    public double DriesAtMinutes()
    {
        var at = Array.FindLastIndex(pieces, p => p.IsFresh);
        while (at + 1 < pieces.Length && pieces[at].DriesAt > pieces[at + 1].From)
        {
            at++;
        }

        return Math.Max(pieces[at].From, pieces[at].DriesAt);
    }

    /// <summary>Minutes to a level; 0 if already there, null if it is never reached.</summary>
    public double? MinutesTo(Level target)
    {
        if (target.Value <= whole.Case.From.Value)
        {
            return 0;
        }

        if (whole.ExposureFor(target.Value - whole.Case.From.Value) is not { } exposure)
        {
            return null;
        }

        for (var i = 0; i < pieces.Length; i++)
        {
            var ends = i + 1 < pieces.Length ? pieces[i + 1].From : double.PositiveInfinity;
            if (pieces[i].MinuteOf(exposure) is { } minute && minute <= ends)
            {
                return minute;
            }
        }

        return null;
    }

    /// <summary>Minutes after which the lift would be as far if nothing had changed, at most so many.</summary>
    /// <param name="minutes">Minutes it worked.</param>
    /// <param name="most">The most that is told: what was painted again may be further than it ever gets.</param>
    public double Unchanged(double minutes, double most)
    {
        var piece = pieces.Last(p => p.From <= minutes);
        return Math.Min(most, pieces[0].MinuteOf(piece.ExposureAt(minutes)) ?? most);
    }

    private Piece PieceOf(double from, Covering covering, bool heat, double moisture, double exposure, bool fresh)
    {
        var (stays, degrees) = LiftTables.Under(covering, heat);
        return new(
            from,
            Lifting.WarmthAt(degrees),
            whole.Case.FiguresOf().DryingMinutes * stays,
            moisture,
            exposure,
            fresh
        );
    }
}
