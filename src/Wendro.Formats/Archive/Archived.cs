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

namespace Wendro.Formats.Archive;

/// <summary>A document with its own version, so that an archive of any age is read.</summary>
/// <typeparam name="T">What kind of document.</typeparam>
/// <param name="Value">The document.</param>
public sealed record Doc<T>(T Value);

/// <summary>What an archive is.</summary>
/// <param name="Format">Always <see cref="ArchiveFile.Name"/>.</param>
/// <param name="Version">Version of the layout.</param>
/// <param name="Health">Whether answers about health are in it.</param>
/// <param name="Clients">How many clients.</param>
/// <param name="Visits">How many visits.</param>
/// <param name="Photographs">How many photographs.</param>
public sealed record ArchiveManifest(string Format, int Version, bool Health, int Clients, int Visits, int Photographs);

/// <summary>A client.</summary>
public sealed record ArchivedClient(Guid Id, string Name, string About, DateTimeOffset CreatedAt);

/// <summary>A product of the shelf.</summary>
public sealed record ArchivedProduct(Guid Id, int Version, Doc<Product> Product);

/// <summary>A pattern of the studio's own.</summary>
public sealed record ArchivedPattern(
    Guid Id,
    string Name,
    string Why,
    Doc<IReadOnlyList<PlanEdit>> Edits,
    DateTimeOffset At
);

/// <summary>A way of toning of the studio's own.</summary>
public sealed record ArchivedToner(Guid Id, string Name, Doc<TonePlan> Plan, DateTimeOffset At);

/// <summary>What the studio keeps for itself.</summary>
/// <param name="RulesVersion">How often the house rules were changed; 0 where they are the usual ones.</param>
/// <param name="Rules">The house rules; null where they are the usual ones.</param>
/// <param name="Patterns">Its patterns by name.</param>
/// <param name="Toners">Its ways of toning by name.</param>
/// <param name="Shelf">Its products by name.</param>
public sealed record ArchivedStudio(
    int RulesVersion,
    Doc<HouseRules>? Rules,
    IReadOnlyList<ArchivedPattern> Patterns,
    IReadOnlyList<ArchivedToner> Toners,
    IReadOnlyList<ArchivedProduct> Shelf
);

/// <summary>One revision of a plan.</summary>
public sealed record ArchivedRevision(
    int Number,
    int Shows,
    int? Before,
    string Undone,
    string What,
    string? Label,
    DateTimeOffset At,
    Doc<Plan>? Plan,
    Doc<PlanEdit>? Edit
);

/// <summary>Something that happened to a bowl.</summary>
public sealed record ArchivedBowlEvent(int Number, DateTimeOffset At, string? Lot, Doc<BowlEvent> Event);

/// <summary>A bowl.</summary>
public sealed record ArchivedBowl(
    Guid Id,
    string Formula,
    int Ordinal,
    DateTimeOffset At,
    Doc<Formula> Meant,
    Doc<Recipe> Recipe,
    IReadOnlyList<ArchivedBowlEvent> Events
);

/// <summary>A thing on the tray that was ticked or unticked.</summary>
public sealed record ArchivedTick(string Item, bool IsThere, DateTimeOffset At);

/// <summary>A fact: what happened, when, and as what it was said.</summary>
/// <typeparam name="TFact">What kind of fact.</typeparam>
public sealed record ArchivedFact<TFact>(int Number, Guid SaidAs, DateTimeOffset At, Doc<TFact> Fact);

/// <summary>A service at the chair.</summary>
public sealed record ArchivedService(int Revision, DateTimeOffset At, IReadOnlyList<ArchivedFact<ServiceFact>> Facts);

/// <summary>What is known of a photograph; its content is a file of its own.</summary>
/// <param name="From">From where it was taken; null where nobody said.</param>
public sealed record ArchivedPhotograph(
    int Number,
    string Name,
    int Width,
    int Height,
    PhotoMoment Moment,
    bool MayBeShown,
    DateTimeOffset At,
    PhotoFrom? From = null
);

/// <summary>A visit with all that was planned and happened.</summary>
/// <param name="Kept">What was said when it was put away; null in archives from before that was kept.</param>
/// <param name="Sum">The visit in a few figures; null while it wasn't put away.</param>
public sealed record ArchivedVisit(
    Guid Id,
    Guid ClientId,
    DateTimeOffset StartsAt,
    Doc<HairProfile> Hair,
    Doc<Consultation> Consultation,
    int ConsultVersion,
    Doc<OwnLift>? Taught,
    IReadOnlyList<ArchivedRevision> Plan,
    IReadOnlyList<ArchivedBowl> Bowls,
    IReadOnlyList<ArchivedTick> Tray,
    ArchivedService? Service,
    IReadOnlyList<ArchivedFact<ReviewFact>> Review,
    IReadOnlyList<ArchivedFact<ToneFact>> Toning,
    IReadOnlyList<ArchivedPhotograph> Photographs,
    IReadOnlyList<ArchivedFact<RecordFact>>? Kept = null,
    Doc<VisitSum>? Sum = null
);
