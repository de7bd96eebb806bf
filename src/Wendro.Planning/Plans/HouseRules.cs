using Wendro.Blend;
using Wendro.Head;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Paint;
using Wendro.Section;
using Wendro.Units;

namespace Wendro.Plans;

/// <summary>How sections are cut below the ridge: coarser than above it.</summary>
/// <param name="ThicknessMm">Thickness of a section, mm, 4..40.</param>
/// <param name="WidthCm">Width of a panel, cm, 1..10.</param>
/// <param name="LeaveOutMm">Left out between sections, mm, 0..20.</param>
public sealed record LowerSections(
    [property: Within(Sections.ThinnestMm, Sections.ThickestMm, "mm")] double ThicknessMm,
    [property: Within(Sections.NarrowestCm, Sections.WidestCm, "cm")] double WidthCm,
    [property: Within(0, Sections.MostLeaveOutMm, "mm")] double LeaveOutMm
);

/// <summary>How this studio usually works: what a fresh plan starts from. Every visit can depart from it.</summary>
/// <param name="ThicknessMm">Thickness of a section above the ridge, mm, 4..40.</param>
/// <param name="WidthCm">Width of a panel there, cm, 1..10.</param>
/// <param name="LeaveOutMm">Left out between sections there, mm, 0..20.</param>
/// <param name="Bricklay">Whether rows are moved by half a panel.</param>
/// <param name="FaceThicknessMm">Thickness of a section at the hairline, mm, 4..40.</param>
/// <param name="FaceWidthCm">Width of a panel at the hairline, cm, 1..10.</param>
/// <param name="Frame">What the head is divided by.</param>
/// <param name="BabyHairCm">Baby hair left out along the front hairline, cm, 0.2..1.5; 0 paints it.</param>
/// <param name="LowerFilm">Whether lower layers are covered with film.</param>
/// <param name="Formula">Lightener, developer and minutes to start from.</param>
/// <param name="Limits">What counts as wrong; null as usual.</param>
/// <param name="Bench">How it mixes; null as usual.</param>
/// <param name="Below">How it is cut below the ridge, where less is seen; null as above it.</param>
/// <param name="FaceLeaveOutMm">Left out between sections at the hairline, mm, 0..20.</param>
/// <param name="Schools">Where artists disagree, how it does it; null as usual.</param>
/// <param name="Floor">How many can be seen to at once; null for one artist and one basin.</param>
public sealed record HouseRules(
    [property: Within(Sections.ThinnestMm, Sections.ThickestMm, "mm")] double ThicknessMm,
    [property: Within(Sections.NarrowestCm, Sections.WidestCm, "cm")] double WidthCm,
    [property: Within(0, Sections.MostLeaveOutMm, "mm")] double LeaveOutMm,
    bool Bricklay,
    [property: Within(Sections.ThinnestMm, Sections.ThickestMm, "mm")] double FaceThicknessMm,
    [property: Within(Sections.NarrowestCm, Sections.WidestCm, "cm")] double FaceWidthCm,
    Frame Frame,
    double BabyHairCm,
    bool LowerFilm,
    Formula Formula,
    FindingLimits? Limits = null,
    BenchRules? Bench = null,
    LowerSections? Below = null,
    [property: Within(0, Sections.MostLeaveOutMm, "mm")] double FaceLeaveOutMm = 0,
    TechniquePreferences? Schools = null,
    SalonCapacity? Floor = null
)
{
    /// <summary>
    /// The trade's usual start: level sections two centimetres thick below the ridge and finer above it with a
    /// leave-out between, finest at the face,
    /// film on lower layers.
    /// </summary>
    public static HouseRules Usual { get; } =
        new(
            Sections.Usual.ThicknessMm,
            Sections.Usual.WidthCm,
            Sections.Usual.LeaveOutMm,
            Sections.Usual.Bricklay,
            Sections.UsualFaceFrame.ThicknessMm,
            Sections.UsualFaceFrame.WidthCm,
            Frame.EarToEar,
            0,
            true,
            Formula.Usual,
            Below: new(22, 5, 10),
            FaceLeaveOutMm: Sections.UsualFaceFrame.LeaveOutMm
        );

    /// <summary>Where artists disagree (a method: a record writes out its properties).</summary>
    public TechniquePreferences SchoolsOf() => Schools ?? Plans.TechniquePreferences.Usual;

    /// <summary>How many can be seen to at once (a method: a record writes out its properties).</summary>
    public SalonCapacity FloorOf() => Floor ?? Plans.SalonCapacity.Usual;

    /// <summary>How a zone is cut.</summary>
    public Sections SectionsOf(Zone zone) =>
        ZoneFacts.IsFaceFrame(zone)
            ? new(
                Parting.Horizontal,
                FaceThicknessMm,
                FaceWidthCm,
                FaceLeaveOutMm,
                false,
                Order: SchoolsOf().HairlineRows
            )
        : Below is { } below && ZoneFacts.IsBelowRidge(zone)
            ? new(Parting.Horizontal, below.ThicknessMm, below.WidthCm, below.LeaveOutMm, Bricklay)
        : new(Parting.Horizontal, ThicknessMm, WidthCm, LeaveOutMm, Bricklay);

    /// <summary>What can't be taken, by field.</summary>
    public IReadOnlyList<Problem> Problems()
    {
        var found = WithinAttribute.Outside(this).ToList();
        if (BabyHairCm != 0)
        {
            Problem.Range(found, "babyHairCm", BabyHairCm, LeftOut.LeastCm, 1.5, "cm, or none");
        }

        Problem.Known(found, "frame", Frame);

        found.AddRange(
            (Below is { } below ? WithinAttribute.Outside(below) : []).Select(p =>
                p with
                {
                    Field = $"below.{p.Field}",
                }
            )
        );
        found.AddRange((Limits?.Problems() ?? []).Select(p => p with { Field = $"limits.{p.Field}" }));
        found.AddRange((Bench?.Problems() ?? []).Select(p => p with { Field = $"bench.{p.Field}" }));
        found.AddRange((Floor?.Problems() ?? []).Select(p => p with { Field = $"floor.{p.Field}" }));
        if (Formula is null || Formula.Id != FormulaId.A || Formula.IsDeposit)
        {
            found.Add(new("formula", "The house starts from one formula, called A, with a lightener."));
            return found;
        }

        found.AddRange(FormulaChecks.Of(Formula).Select(p => p with { Field = $"formula.{p.Field}" }));
        return found;
    }
}
