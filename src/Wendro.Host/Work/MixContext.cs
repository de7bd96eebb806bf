using System.Runtime.CompilerServices;
using Wendro.Apply;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Store;

namespace Wendro.Host.Work;

/// <summary>
/// A visit at work with its bowls: what they are meant to be, what happened to them, what lies on the tray.
/// </summary>
/// <param name="Planned">The plan with its bowls as if hands never rested: what is taken and worked, not when.</param>
internal sealed record MixContext(
    VisitContext Work,
    PlannedMix Planned,
    Lazy<VisitOnClock> OnClock,
    IReadOnlyList<StoredBowl> Bowls,
    IReadOnlySet<string> Ticked,
    HouseRules Rules
)
{
    /// <summary>The visit on the clock: a search, made when somebody asks.</summary>
    public VisitOnClock Visit => OnClock.Value;

    /// <summary>The plan with its bowls, mixed for the rinses that come between.</summary>
    public PlannedMix Mix => Visit.Mix;

    /// <summary>Opens the visit that the address names; null where there is none.</summary>
    public static async ValueTask<MixContext?> BindAsync(HttpContext context) =>
        await VisitContext.BindAsync(context) is { } at
            ? await context.RequestServices.GetRequiredService<MixContexts>().OfAsync(at, context.RequestAborted)
            : null;
}

/// <summary>Brings plan, shelf, bench and what was weighed together.</summary>
internal sealed class MixContexts(Studio studio, ProductShelf shelf, Bowls bowls)
{
    /// <summary>
    /// The visit of each head on the clock, as it was asked for last: a screen asks several times for the same, and
    /// rinses are a search.
    /// </summary>
    private readonly ConditionalWeakTable<PlannedHead, Kept> clocks = [];

    /// <summary>The mix of a visit as it stands.</summary>
    public async Task<MixContext> OfAsync(VisitContext at, CancellationToken cancellationToken)
    {
        var rules = (await studio.RulesAsync(cancellationToken)).Rules;
        var bench = rules.Bench ?? BenchRules.Usual;
        var products = await shelf.AllAsync(cancellationToken);
        var rows = await bowls.OfAsync(at.Visit.Id, cancellationToken);
        var goesBy = string.Join(
            '\n',
            [
                $"{bench}",
                .. products.Select(p => $"{p.Id} {p.Version} {p.Product.Stock}"),
                .. rows.Select(b => $"{b.Id} {b.Events.Count}"),
            ]
        );
        if (!clocks.TryGetValue(at.Head, out var kept) || kept.GoesBy != goesBy)
        {
            var mix = PlannedMix.Of(
                at.Head,
                bench,
                products.Select(p => p.Product).ToArray(),
                rows.Select(b => new BegunBowl(b.Meant, b.Ordinal, b.InHand)).ToArray()
            );
            kept = new(goesBy, mix, new(() => VisitOnClock.Of(mix)));
            clocks.AddOrUpdate(at.Head, kept);
        }

        return new(at, kept.Mix, kept.OnClock, rows, await bowls.TickedAsync(at.Visit.Id, cancellationToken), rules);
    }

    private sealed record Kept(string GoesBy, PlannedMix Mix, Lazy<VisitOnClock> OnClock);
}
