using Microsoft.EntityFrameworkCore;
using Wendro.Mix;

namespace Wendro.Store;

/// <summary>A product with how often it was changed.</summary>
public sealed record StoredProduct(Guid Id, int Version, Product Product)
{
    /// <summary>Whether it is at its mark or below.</summary>
    public bool IsLow => Product.Stock.IsLow;
}

/// <summary>Another product has that name; nothing was written.</summary>
public sealed class NameTakenException(string name) : Exception($"There is a product called {name} already.");

/// <summary>What the studio owns.</summary>
public sealed class ProductShelf(DbContextOptions<StudioContext> options)
{
    /// <summary>Names are told apart without regard to capitals.</summary>
    public static string KeyOf(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        return name.ToLowerInvariant();
    }

    /// <summary>All products by kind and name.</summary>
    public async Task<IReadOnlyList<StoredProduct>> AllAsync(CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var rows = await db.Products.AsNoTracking().ToListAsync(cancellationToken);
        return rows.Select(Stored)
            .OrderBy(p => Order(p.Product))
            .ThenBy(p => p.Product.Name, StringComparer.OrdinalIgnoreCase)
            .ToArray();
    }

    /// <summary>Puts a product on the shelf.</summary>
    /// <exception cref="NameTakenException">There is one of that name.</exception>
    public async Task<StoredProduct> AddAsync(Product product, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(product);
        await using var db = new StudioContext(options);
        await FreeAsync(db, product.Name, Guid.Empty, cancellationToken);
        var row = Row(product);
        db.Products.Add(row);
        await db.SaveChangesAsync(cancellationToken);
        return Stored(row);
    }

    /// <summary>Changes a product; null if there is none.</summary>
    /// <exception cref="StaleRevisionException">It is no longer at the version it was changed from.</exception>
    /// <exception cref="NameTakenException">Another one has that name.</exception>
    public async Task<StoredProduct?> ChangeAsync(
        Guid id,
        int baseVersion,
        Product product,
        CancellationToken cancellationToken
    )
    {
        ArgumentNullException.ThrowIfNull(product);
        await using var db = new StudioContext(options);
        if (await db.Products.SingleOrDefaultAsync(p => p.Id == id, cancellationToken) is not { } row)
        {
            return null;
        }

        if (row.Version != baseVersion)
        {
            throw new StaleRevisionException(row.Version);
        }

        await FreeAsync(db, product.Name, id, cancellationToken);
        Put(row, product);
        await db.SaveChangesAsync(cancellationToken);
        return Stored(row);
    }

    /// <summary>Takes a product off the shelf; false if there is none.</summary>
    public async Task<bool> RemoveAsync(Guid id, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Products.Where(p => p.Id == id).ExecuteDeleteAsync(cancellationToken) == 1;
    }

    /// <summary>
    /// Takes products in by name, all or none: new ones are added, those of the same name changed, the rest stays.
    /// </summary>
    public async Task TakeAsync(IReadOnlyList<Product> products, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(products);
        await using var db = new StudioContext(options);
        var there = (await db.Products.ToListAsync(cancellationToken)).ToDictionary(p => p.Key);
        foreach (var product in products)
        {
            if (there.TryGetValue(KeyOf(product.Name), out var row))
            {
                Put(row, product);
            }
            else
            {
                db.Products.Add(Row(product));
            }
        }

        await db.SaveChangesAsync(cancellationToken);
    }

    /// <summary>
    /// What was poured leaves the stock, and comes back where it was taken back; products that aren't counted stay
    /// so.
    /// </summary>
    internal static async Task PourAsync(
        StudioContext db,
        string name,
        double grams,
        CancellationToken cancellationToken
    )
    {
        var key = KeyOf(name);
        if (
            await db.Products.SingleOrDefaultAsync(p => p.Key == key, cancellationToken) is
            { Product.Stock.OnHand: { } left } row
        )
        {
            Put(
                row,
                row.Product with
                {
                    Stock = row.Product.Stock with { OnHand = Math.Max(0, Math.Round(left - grams, 3)) },
                }
            );
        }
    }

    private static async Task FreeAsync(StudioContext db, string name, Guid but, CancellationToken cancellationToken)
    {
        var key = KeyOf(name);
        if (await db.Products.AnyAsync(p => p.Key == key && p.Id != but, cancellationToken))
        {
            throw new NameTakenException(name);
        }
    }

    private static ProductRow Row(Product product) =>
        new()
        {
            Id = Guid.CreateVersion7(),
            Key = KeyOf(product.Name),
            Product = product,
            Version = 1,
        };

    private static void Put(ProductRow row, Product product)
    {
        row.Key = KeyOf(product.Name);
        row.Product = product;
        row.Version++;
    }

    private static StoredProduct Stored(ProductRow row) => new(row.Id, row.Version, row.Product);

    private static int Order(Product product) =>
        product switch
        {
            LightenerProduct => 0,
            DeveloperProduct => 1,
            AdditiveProduct => 2,
            ShadeProduct => 3,
            _ => 4,
        };
}
