using Wendro.Blend;
using Wendro.Units;

namespace Wendro.Toning;

/// <summary>What can go wrong at toning.</summary>
public enum ToneFault
{
    DoesNothing,
    FlatOrGreen,
    WarmRoot,
    Muddy,
    TooDark,
    Grabs,
    StaysLonger,
    WarmthLeft,
    WarmBesideCool,
}

/// <summary>Something to mind at toning.</summary>
/// <param name="Kind">What.</param>
/// <param name="Area">In which area.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Title">In a few words.</param>
/// <param name="Text">One sentence of evidence with figures.</param>
/// <param name="Why">How it was judged.</param>
/// <param name="Cure">What would mend it, in a few words; null where nothing one tap does.</param>
/// <param name="Mended">The plan with it mended; null where nothing one tap does.</param>
public sealed record ToneFinding(
    ToneFault Kind,
    int Area,
    Severity Severity,
    string Title,
    Sentence Text,
    Sentence Why,
    string? Cure = null,
    TonePlan? Mended = null
);
