namespace Wendro.Host.Pipeline;

/// <summary>Only this page may speak to this server, and the page may load nothing from elsewhere.</summary>
internal sealed class OriginGuard(RequestDelegate next)
{
    private const string Policy =
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; "
        + "base-uri 'none'; frame-ancestors 'none'";

    public async Task InvokeAsync(HttpContext context)
    {
        var headers = context.Response.Headers;
        headers.ContentSecurityPolicy = Policy;
        headers.XContentTypeOptions = "nosniff";
        headers["Referrer-Policy"] = "no-referrer";

        var origin = context.Request.Headers.Origin.ToString();
        if (
            origin.Length > 0
            && (!HttpMethods.IsGet(context.Request.Method) || context.Request.Headers.Upgrade.Count > 0)
            && !(Uri.TryCreate(origin, UriKind.Absolute, out var from) && from.Authority == context.Request.Host.Value)
        )
        {
            await TypedResults
                .Problem(statusCode: StatusCodes.Status403Forbidden, title: "Requests from other pages are refused.")
                .ExecuteAsync(context);
            return;
        }

        await next(context);
    }
}
