using Wendro.Blend;
using Wendro.Colour;
using Wendro.Fall;
using Wendro.Formats;
using Wendro.Host.Work;
using Wendro.Patterns;
using Wendro.Plans;
using Wendro.Store;

namespace Wendro.Host.Section;

/// <summary>A pattern as it would be on a client.</summary>
/// <param name="Panels">Panels it paints.</param>
/// <param name="Minutes">Minutes of mixing and painting.</param>
/// <param name="Grams">Lightener or colour and developer together, g.</param>
/// <param name="Steps">The steps of the visit it takes, in plain words; one for most.</param>
/// <param name="Misses">What it would not keep on this client, graver than notes, the worst first.</param>
/// <param name="Picture">The client's head with it, a PNG.</param>
internal sealed record PatternOnClient(
    int Panels,
    double Minutes,
    double Grams,
    IReadOnlyList<string> Steps,
    IReadOnlyList<string> Misses,
    byte[] Picture
)
{
    /// <summary>From where it is seen, degrees: half from the front, so that face and side both show.</summary>
    private const int Angle = 30;

    private const int Width = 180;

    /// <summary>
    /// A pattern tried on the client of a visit, nothing stored or kept; null where there is no such pattern.
    /// </summary>
    public static PatternOnClient? Of(MixContext at, string pattern, IReadOnlyList<PatternRow> own, HeadCache heads)
    {
        var (hair, before) = (at.Work.Visit.Hair, at.Work.Stored.Plan);
        var cutting = heads.FreshCuttingFor(hair);
        var kept = own.FirstOrDefault(p => p.Id.ToString() == pattern);
        var steps = kept is not null
            ? OwnPattern.StepsFor(kept.Why, kept.Edits, before, cutting, at.Rules)
            : StartingPatterns.Of(pattern)?.StepsFor(before, cutting, at.Rules);
        if (steps is null)
        {
            return null;
        }

        var plan = before.Apply(new Together(steps.SelectMany(s => s.Edits).ToArray()), cutting).Plan;
        var looks = heads.LooksFor(plan.AsWorn(hair), plan.Part);
        var head = PlannedHead.Of(looks, cutting, plan);
        var mix = PlannedMix.Of(head, at.Mix.Bench, at.Mix.Shelf, []);
        return new(
            mix.Timeline.Turns.Count,
            mix.Timeline.Minutes,
            mix.Grams,
            plan.StepsOf().Select(s => s.Words).ToArray(),
            head.AllFindings.Concat(mix.AllFindings())
                .Where(f => f.Severity < Severity.Note)
                .OrderBy(f => f.Severity)
                .GroupBy(f => f.Kind)
                .Select(g => g.Count() == 1 ? g.First().Title : g.First().Title.Split(',')[0])
                .ToArray(),
            PictureFile.Png(
                Wendro.Blend.Picture.Colour(looks.Seen(Wear.Down, Angle), head.Drawn, Palette.AsToned(plan.Goal.Tone)),
                Width
            )
        );
    }
}
