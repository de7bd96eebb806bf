using Microsoft.EntityFrameworkCore;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Units;

namespace Wendro.Store;

/// <summary>A bowl that was begun, with all that happened to it.</summary>
public sealed record StoredBowl(
    Guid Id,
    FormulaId Formula,
    int Ordinal,
    Formula Meant,
    Recipe Recipe,
    DateTimeOffset At,
    IReadOnlyList<BowlEvent> Events
)
{
    /// <summary>Where it stands.</summary>
    public BowlInHand InHand { get; } = BowlInHand.Of(Recipe, Events);
}

/// <summary>What was mixed at a visit: rows, only ever added.</summary>
public sealed class Bowls(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>All bowls of a visit, in the order they were begun.</summary>
    public async Task<IReadOnlyList<StoredBowl>> OfAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var rows = await db.Bowls.AsNoTracking().Where(b => b.VisitId == visit).ToListAsync(cancellationToken);
        var ids = rows.Select(b => b.Id).ToArray();
        var events = (
            await db
                .BowlEvents.AsNoTracking()
                .Where(e => ids.Contains(e.BowlId))
                .OrderBy(e => e.Number)
                .ToListAsync(cancellationToken)
        ).ToLookup(e => e.BowlId);
        return rows.OrderBy(b => b.At)
            .ThenBy(b => b.Id)
            .Select(b => Stored(b, events[b.Id].Select(e => e.Event)))
            .ToArray();
    }

    /// <summary>
    /// Lots that bowls of a visit were poured from: by bowl and product, the last where it was changed.
    /// </summary>
    public async Task<IReadOnlyDictionary<(Guid Bowl, string Product), string>> LotsAsync(
        Guid visit,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var bowls = await db.Bowls.AsNoTracking().Where(b => b.VisitId == visit).ToListAsync(cancellationToken);
        var ids = bowls.Select(b => b.Id).ToArray();
        var events = await db
            .BowlEvents.AsNoTracking()
            .Where(e => ids.Contains(e.BowlId) && e.Lot != null)
            .OrderBy(e => e.Number)
            .ToListAsync(cancellationToken);
        var lots = new Dictionary<(Guid, string), string>();
        foreach (var e in events)
        {
            var recipe = bowls.First(b => b.Id == e.BowlId).Recipe;
            if (e.Event is Poured { Ingredient: var n } && recipe.Ingredients.ElementAtOrDefault(n)?.Product is { } of)
            {
                lots[(e.BowlId, of)] = e.Lot!;
            }
        }

        return lots;
    }

    /// <summary>Begins a bowl; the one that was begun already where there is one.</summary>
    public async Task BeginAsync(
        Guid visit,
        int ordinal,
        Formula meant,
        Recipe recipe,
        CancellationToken cancellationToken
    )
    {
        ArgumentNullException.ThrowIfNull(meant);
        var letter = meant.Id.ToString();
        await using var db = new StudioContext(options);
        if (
            await db.Bowls.AnyAsync(
                b => b.VisitId == visit && b.Formula == letter && b.Ordinal == ordinal,
                cancellationToken
            )
        )
        {
            return;
        }

        db.Bowls.Add(
            new BowlRow
            {
                Id = Guid.CreateVersion7(),
                VisitId = visit,
                Ordinal = ordinal,
                Formula = letter,
                Meant = meant,
                Recipe = recipe,
                At = clock.GetUtcNow(),
            }
        );
        await db.SaveChangesAsync(cancellationToken);
    }

    /// <summary>Adds what happened to a bowl, and takes what was poured off the shelf, both or neither.</summary>
    /// <param name="bowl">The bowl as it was read.</param>
    /// <param name="happened">What happened.</param>
    /// <param name="cancellationToken">Cancels.</param>
    /// <exception cref="StaleRevisionException">Something else happened to it meanwhile.</exception>
    public async Task AddAsync(StoredBowl bowl, BowlEvent happened, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(bowl);
        await using var db = new StudioContext(options);
        var there = await db.BowlEvents.CountAsync(e => e.BowlId == bowl.Id, cancellationToken);
        if (there != bowl.Events.Count)
        {
            throw new StaleRevisionException(there);
        }

        var after = BowlInHand.Of(bowl.Recipe, [.. bowl.Events, happened]);
        string? lot = null;
        for (var i = 0; i < after.Steps.Count; i++)
        {
            var grams = after.Steps[i].PouredGrams - bowl.InHand.Steps[i].PouredGrams;
            if (grams != 0 && bowl.Recipe.Ingredients[i].Product is { } product)
            {
                await ProductShelf.PourAsync(db, product, grams, cancellationToken);
                lot = await LotAsync(db, product, cancellationToken);
            }
        }

        db.BowlEvents.Add(
            new BowlEventRow
            {
                BowlId = bowl.Id,
                Number = there + 1,
                Event = happened,
                Lot = lot,
                At = clock.GetUtcNow(),
            }
        );
        try
        {
            await db.SaveChangesAsync(cancellationToken);
        }
        catch (DbUpdateException problem)
            when (problem is DbUpdateConcurrencyException
                || problem.InnerException is Microsoft.Data.Sqlite.SqliteException { SqliteErrorCode: 19 }
            )
        {
            throw new StaleRevisionException(there + 1);
        }
    }

    /// <summary>Things on the tray that are there.</summary>
    public async Task<IReadOnlySet<string>> TickedAsync(Guid visit, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var rows = await db
            .Ticks.AsNoTracking()
            .Where(t => t.VisitId == visit)
            .OrderBy(t => t.Id)
            .ToListAsync(cancellationToken);
        return rows.GroupBy(t => t.Item).Where(g => g.Last().IsThere).Select(g => g.Key).ToHashSet();
    }

    /// <summary>Ticks a thing on the tray, or takes the tick away.</summary>
    public async Task TickAsync(Guid visit, string item, bool isThere, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        db.Ticks.Add(
            new TickRow
            {
                VisitId = visit,
                Item = item,
                IsThere = isThere,
                At = clock.GetUtcNow(),
            }
        );
        await db.SaveChangesAsync(cancellationToken);
    }

    private static async Task<string?> LotAsync(StudioContext db, string name, CancellationToken cancellationToken)
    {
        var key = ProductShelf.KeyOf(name);
        return (await db.Products.SingleOrDefaultAsync(p => p.Key == key, cancellationToken))?.Product.Stock.Lot;
    }

    private static StoredBowl Stored(BowlRow row, IEnumerable<BowlEvent> events) =>
        new(row.Id, new FormulaId(row.Formula[0]), row.Ordinal, row.Meant, row.Recipe, row.At, events.ToArray());
}
