using Microsoft.EntityFrameworkCore;
using Wendro.Formats.Archive;
using Wendro.Mix;

namespace Wendro.Store;

/// <summary>What the studio keeps for itself, out of an archive: products by name, patterns and toners by id.</summary>
internal static class ArchivedShelf
{
    /// <summary>What becomes of each; takes them where asked to.</summary>
    public static async Task<IReadOnlyList<ArchiveItem>> GoThroughAsync(
        StudioContext db,
        ArchivedStudio studio,
        bool takes,
        CancellationToken cancellationToken
    )
    {
        var items = new List<ArchiveItem>();
        if (studio.Rules is { } rules)
        {
            items.Add(await RulesAsync(db, studio.RulesVersion, rules, takes, cancellationToken));
        }

        var products = await db.Products.ToDictionaryAsync(p => p.Key, cancellationToken);
        foreach (var p in studio.Shelf)
        {
            items.Add(Product(db, products, p, takes));
        }

        var patterns = await db.Patterns.ToDictionaryAsync(p => p.Id, cancellationToken);
        foreach (var p in studio.Patterns)
        {
            var here = patterns.GetValueOrDefault(p.Id);
            var becomes = Of(
                here is null ? null : new ArchivedPattern(here.Id, here.Name, here.Why, new(here.Edits), here.At),
                p
            );
            items.Add(new("pattern", p.Id, p.Name, becomes));
            if (takes && becomes != Becomes.Same)
            {
                here ??= db
                    .Patterns.Add(
                        new()
                        {
                            Id = p.Id,
                            Name = p.Name,
                            Why = p.Why,
                            Edits = p.Edits.Value,
                        }
                    )
                    .Entity;
                (here.Name, here.Why, here.Edits, here.At) = (p.Name, p.Why, p.Edits.Value, p.At);
            }
        }

        var toners = await db.OwnToners.ToDictionaryAsync(t => t.Id, cancellationToken);
        foreach (var t in studio.Toners)
        {
            var here = toners.GetValueOrDefault(t.Id);
            var becomes = Of(here is null ? null : new ArchivedToner(here.Id, here.Name, new(here.Plan), here.At), t);
            items.Add(new("toner", t.Id, t.Name, becomes));
            if (takes && becomes != Becomes.Same)
            {
                here ??= db
                    .OwnToners.Add(
                        new()
                        {
                            Id = t.Id,
                            Name = t.Name,
                            Plan = t.Plan.Value,
                        }
                    )
                    .Entity;
                (here.Name, here.Plan, here.At) = (t.Name, t.Plan.Value, t.At);
            }
        }

        return items;
    }

    private static Becomes Of<T>(T? here, T there)
        where T : class =>
        here is null ? Becomes.New
        : ArchiveFile.TextOf(here) == ArchiveFile.TextOf(there) ? Becomes.Same
        : Becomes.Changed;

    private static async Task<ArchiveItem> RulesAsync(
        StudioContext db,
        int version,
        Doc<Wendro.Plans.HouseRules> rules,
        bool takes,
        CancellationToken cancellationToken
    )
    {
        var here = await db.Studio.SingleOrDefaultAsync(cancellationToken);
        var becomes =
            rules.Value.Problems().Count > 0 ? Becomes.Refused
            : here is null ? Becomes.New
            : ArchiveFile.TextOf(new Doc<Wendro.Plans.HouseRules>(here.Rules)) == ArchiveFile.TextOf(rules)
                ? Becomes.Same
            : Becomes.Changed;
        if (takes && becomes == Becomes.New)
        {
            db.Studio.Add(new() { Rules = rules.Value, RulesVersion = version });
        }
        else if (takes && becomes == Becomes.Changed)
        {
            (here!.Rules, here.RulesVersion) = (rules.Value, Math.Max(here.RulesVersion, version) + 1);
        }

        return new(
            "rules",
            null,
            "House rules",
            becomes,
            becomes == Becomes.Refused ? "studio.json: the house rules are out of their bounds." : null
        );
    }

    private static ArchiveItem Product(
        StudioContext db,
        Dictionary<string, ProductRow> there,
        ArchivedProduct p,
        bool takes
    )
    {
        var product = p.Product.Value;
        if (ProductChecks.Of(product) is [{ } problem, ..])
        {
            return new(
                "product",
                p.Id,
                product.Name,
                Becomes.Refused,
                $"studio.json: {product.Name}: {problem.Message}"
            );
        }

        var key = ProductShelf.KeyOf(product.Name);
        if (!there.TryGetValue(key, out var here))
        {
            if (takes)
            {
                there[key] = db
                    .Products.Add(
                        new()
                        {
                            Id = p.Id,
                            Key = key,
                            Product = product,
                            Version = p.Version,
                        }
                    )
                    .Entity;
            }

            return new("product", p.Id, product.Name, Becomes.New);
        }

        if (ArchiveFile.TextOf(new Doc<Product>(here.Product)) == ArchiveFile.TextOf(p.Product))
        {
            return new("product", here.Id, product.Name, Becomes.Same);
        }

        if (takes)
        {
            (here.Product, here.Version) = (product, Math.Max(here.Version, p.Version) + 1);
        }

        return new("product", here.Id, product.Name, Becomes.Changed);
    }
}
