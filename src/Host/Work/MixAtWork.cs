using Wendro.Core.Mix;
using Wendro.Core.Plans;
using Wendro.Store;

namespace Wendro.Host.Work;

/// <summary>
/// A visit at work with its bowls: what they are meant to be, what happened to them, what lies on the tray.
/// </summary>
internal sealed record MixAtWork(
    AtWork Work,
    PlannedMix Mix,
    IReadOnlyList<StoredBowl> Bowls,
    IReadOnlySet<string> Ticked,
    HouseRules Rules
)
{
    /// <summary>Opens the visit that the address names; null where there is none.</summary>
    public static async ValueTask<MixAtWork?> BindAsync(HttpContext context) =>
        await AtWork.BindAsync(context) is { } at
            ? await context.RequestServices.GetRequiredService<MixesAtWork>().OfAsync(at, context.RequestAborted)
            : null;
}

/// <summary>Brings plan, shelf, bench and what was weighed together.</summary>
internal sealed class MixesAtWork(Studio studio, ProductShelf shelf, Bowls bowls)
{
    /// <summary>The mix of a visit as it stands.</summary>
    public async Task<MixAtWork> OfAsync(AtWork at, CancellationToken stop)
    {
        var rules = (await studio.RulesAsync(stop)).Rules;
        var products = (await shelf.AllAsync(stop)).Select(p => p.Product).ToArray();
        var rows = await bowls.OfAsync(at.Visit.Id, stop);
        var mix = PlannedMix.Of(
            at.Head,
            rules.Bench ?? BenchRules.Usual,
            products,
            rows.Select(b => new BegunBowl(b.Meant, b.Ordinal, b.InHand)).ToArray()
        );
        return new(at, mix, rows, await bowls.TickedAsync(at.Visit.Id, stop), rules);
    }
}
