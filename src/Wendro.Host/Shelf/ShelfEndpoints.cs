using Wendro.Formats;
using Wendro.Host.Pipeline;
using Wendro.Mix;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Shelf;

/// <summary>A product as changed, and the version it was changed from.</summary>
/// <param name="BaseVersion">The version it was read at; left away for a new one.</param>
/// <param name="Product">The product.</param>
internal sealed record ProductBody(Product Product, int BaseVersion = 0);

/// <summary>What a file would do to the shelf.</summary>
/// <param name="Added">Names it adds.</param>
/// <param name="Changed">Names it changes, with the columns.</param>
/// <param name="Unchanged">How many it leaves as they are.</param>
internal sealed record ShelfPreview(IReadOnlyList<string> Added, IReadOnlyList<ChangedProduct> Changed, int Unchanged);

/// <summary>A product that a file changes.</summary>
internal sealed record ChangedProduct(string Name, IReadOnlyList<string> Columns);

/// <summary>What the studio owns: products, their figures, stock and prices; CSV in and out.</summary>
internal static class ShelfEndpoints
{
    private const string Csv = FactsFile.MediaType;

    public static void MapShelf(this IEndpointRouteBuilder app)
    {
        var shelf = app.MapGroup("/api/shelf").WithTags("Shelf");
        shelf
            .MapGet("", (ProductShelf kept, CancellationToken cancellationToken) => kept.AllAsync(cancellationToken))
            .Produces<IReadOnlyList<StoredProduct>>()
            .WithName("GetShelf")
            .WithSummary("All products by kind and name");

        shelf
            .MapGet("/generic", () => GenericProducts.All)
            .Produces<IReadOnlyList<Product>>()
            .WithName("GetGenericProducts")
            .WithSummary("Entries to start from, to be corrected by the leaflet");

        shelf
            .MapPost(
                "",
                async (HttpRequest request, ProductShelf kept, CancellationToken cancellationToken) =>
                {
                    var body = await ReadAsync(request);
                    var added = await kept.AddAsync(body.Product, cancellationToken);
                    return Results.Created($"/api/shelf/{added.Id}", added);
                }
            )
            .Accepts<ProductBody>("application/json")
            .Produces<StoredProduct>(StatusCodes.Status201Created)
            .ProducesValidationProblem()
            .WithName("PostProduct")
            .WithSummary("Puts a product on the shelf");

        shelf
            .MapPut(
                "/{id:guid}",
                async (Guid id, HttpRequest request, ProductShelf kept, CancellationToken cancellationToken) =>
                {
                    var body = await ReadAsync(request);
                    return await kept.ChangeAsync(id, body.BaseVersion, body.Product, cancellationToken) is { } changed
                        ? Results.Ok(changed)
                        : ProblemAnswers.NotFound("product");
                }
            )
            .Accepts<ProductBody>("application/json")
            .Produces<StoredProduct>()
            .ProducesValidationProblem()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict)
            .WithName("PutProduct")
            .WithSummary("Corrects a product; plans keep the figures they were made with until they take the new ones");

        shelf
            .MapDelete(
                "/{id:guid}",
                async (Guid id, ProductShelf kept, CancellationToken cancellationToken) =>
                    await kept.RemoveAsync(id, cancellationToken)
                        ? Results.NoContent()
                        : ProblemAnswers.NotFound("product")
            )
            .Produces(StatusCodes.Status204NoContent)
            .ProducesProblem(StatusCodes.Status404NotFound)
            .WithName("DeleteProduct")
            .WithSummary("Takes a product off the shelf");

        shelf
            .MapGet(
                "/file",
                async (ProductShelf kept, CancellationToken cancellationToken) =>
                    Results.File(
                        ShelfFile.Write((await kept.AllAsync(cancellationToken)).Select(p => p.Product)),
                        Csv,
                        "shelf.csv"
                    )
            )
            .Produces<byte[]>(StatusCodes.Status200OK, Csv)
            .WithName("GetShelfFile")
            .WithSummary("The shelf as CSV");

        shelf
            .MapPost(
                "/file/preview",
                async (HttpRequest request, ProductShelf kept, CancellationToken cancellationToken) =>
                    Results.Ok(Preview(await FileAsync(request), await kept.AllAsync(cancellationToken)))
            )
            .Accepts<string>(Csv)
            .Produces<ShelfPreview>()
            .ProducesValidationProblem()
            .WithName("PostShelfPreview")
            .WithSummary("What a CSV file would change; stores nothing");

        shelf
            .MapPost(
                "/file",
                async (HttpRequest request, ProductShelf kept, CancellationToken cancellationToken) =>
                {
                    var products = await FileAsync(request);
                    var preview = Preview(products, await kept.AllAsync(cancellationToken));
                    await kept.TakeAsync(products, cancellationToken);
                    return Results.Ok(preview);
                }
            )
            .Accepts<string>(Csv)
            .Produces<ShelfPreview>()
            .ProducesValidationProblem()
            .WithName("PostShelfFile")
            .WithSummary("Takes a CSV file in by name, all of it or nothing");
    }

    private static async Task<ProductBody> ReadAsync(HttpRequest request)
    {
        var body = await JsonBody.ReadAsync<ProductBody>(request);
        var problems = ProductChecks.Of(body.Product);
        return problems.Count == 0
            ? body
            : throw new BadInputException(problems.Select(p => p with { Field = $"product.{p.Field}" }).ToArray());
    }

    private static async Task<IReadOnlyList<Product>> FileAsync(HttpRequest request)
    {
        var read = ShelfFile.Read(await JsonBody.BytesAsync(request, Csv));
        return read.Problems.Count == 0 ? read.Products : throw new BadInputException(read.Problems);
    }

    private static ShelfPreview Preview(IReadOnlyList<Product> products, IReadOnlyList<StoredProduct> there)
    {
        var known = there.ToDictionary(p => ProductShelf.KeyOf(p.Product.Name), p => p.Product);
        var added = new List<string>();
        var changed = new List<ChangedProduct>();
        foreach (var product in products)
        {
            if (!known.TryGetValue(ProductShelf.KeyOf(product.Name), out var before))
            {
                added.Add(product.Name);
            }
            else if (ShelfFile.Differences(before, product) is { Count: > 0 } columns)
            {
                changed.Add(new(product.Name, columns));
            }
        }

        return new(added, changed, products.Count - added.Count - changed.Count);
    }
}
