using Wendro.Host.Pipeline;
using Wendro.Plans;
using Wendro.Store;
using Wendro.Units;

namespace Wendro.Host.Work;

/// <summary>A visit at work.</summary>
/// <param name="Visit">The visit.</param>
/// <param name="Stored">What is stored.</param>
/// <param name="Head">The plan on its head.</param>
/// <param name="Now">When it was looked at.</param>
/// <param name="AtHand">Where the plans of the data it was read from are kept.</param>
internal sealed record VisitContext(
    StoredVisit Visit,
    StoredPlan Stored,
    PlannedHead Head,
    DateTimeOffset Now,
    LruCache<Guid, Latest> AtHand
)
{
    /// <summary>Opens the visit that the address names; null where there is none.</summary>
    public static async ValueTask<VisitContext?> BindAsync(HttpContext context) =>
        Guid.TryParse((string?)context.Request.RouteValues["visit"], out var visit)
            ? await context.RequestServices.GetRequiredService<OpenPlans>().OpenAsync(visit, context.RequestAborted)
            : null;
}

/// <summary>Routes about one visit.</summary>
internal static class VisitRoutes
{
    /// <summary>
    /// Routes of a visit. A handler that asks for a <see cref="VisitContext"/> or a <see cref="MixContext"/> gets it
    /// opened;
    /// 404
    /// where there is no such visit.
    /// </summary>
    /// <param name="app">Where they are added.</param>
    /// <param name="path">What follows the visit's address.</param>
    /// <param name="stage">The stage they belong to.</param>
    public static RouteGroupBuilder MapVisit(this IEndpointRouteBuilder app, string path, string stage)
    {
        var group = app.MapGroup($"/api/visits/{{visit:guid}}{path}")
            .WithTags(stage)
            .ProducesProblem(StatusCodes.Status404NotFound);
        group.AddEndpointFilterFactory(
            (context, next) =>
            {
                var opened = context
                    .MethodInfo.GetParameters()
                    .Select((p, i) => (p.ParameterType, Index: i))
                    .Where(p => p.ParameterType == typeof(VisitContext) || p.ParameterType == typeof(MixContext))
                    .Select(p => p.Index)
                    .ToArray();
                return opened.Length == 0
                    ? next
                    : async call =>
                        opened.Any(i => call.Arguments[i] is null)
                            ? ProblemAnswers.NotFound("visit")
                            : await next(call);
            }
        );
        return group;
    }
}
