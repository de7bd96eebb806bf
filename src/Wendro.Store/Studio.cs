using Microsoft.EntityFrameworkCore;
using Wendro.Blend;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Toning;

namespace Wendro.Store;

/// <summary>House rules with how often they were changed.</summary>
public sealed record StoredRules(int Version, HouseRules Rules);

/// <summary>What the studio keeps for itself: house rules, patterns and ways of toning of its own.</summary>
public sealed class Studio(DbContextOptions<StudioContext> options, TimeProvider clock)
{
    /// <summary>The house rules; the trade's usual where none were set.</summary>
    public async Task<StoredRules> RulesAsync(CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var (version, rules) = await db.Studio.AsNoTracking().SingleOrDefaultAsync(cancellationToken) is { } row
            ? (row.RulesVersion, row.Rules)
            : (0, HouseRules.Usual);
        return new(
            version,
            rules with
            {
                Limits = rules.Limits ?? FindingLimits.Usual,
                Bench = rules.Bench ?? BenchRules.Usual,
            }
        );
    }

    /// <summary>Changes the house rules.</summary>
    /// <exception cref="StaleRevisionException">They are no longer at the version they were changed from.</exception>
    public async Task<StoredRules> SetRulesAsync(int baseVersion, HouseRules rules, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var row = await db.Studio.SingleOrDefaultAsync(cancellationToken);
        if ((row?.RulesVersion ?? 0) != baseVersion)
        {
            throw new StaleRevisionException(row?.RulesVersion ?? 0);
        }

        if (row is null)
        {
            db.Studio.Add(new StudioRow { Rules = rules, RulesVersion = 1 });
        }
        else
        {
            row.Rules = rules;
            row.RulesVersion++;
        }

        await db.SaveChangesAsync(cancellationToken);
        return new(baseVersion + 1, rules);
    }

    /// <summary>The studio's own patterns by name.</summary>
    public async Task<IReadOnlyList<PatternRow>> PatternsAsync(CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Patterns.AsNoTracking().OrderBy(p => p.Name).ToListAsync(cancellationToken);
    }

    /// <summary>Keeps a pattern.</summary>
    public async Task<PatternRow> KeepPatternAsync(
        string name,
        string why,
        IReadOnlyList<PlanEdit> edits,
        CancellationToken cancellationToken
    )
    {
        await using var db = new StudioContext(options);
        var row = new PatternRow
        {
            Id = Guid.CreateVersion7(),
            Name = name,
            Why = why,
            Edits = edits,
            At = clock.GetUtcNow(),
        };
        db.Patterns.Add(row);
        await db.SaveChangesAsync(cancellationToken);
        return row;
    }

    /// <summary>Forgets a pattern; false if there is none.</summary>
    public async Task<bool> ForgetPatternAsync(Guid pattern, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.Patterns.Where(p => p.Id == pattern).ExecuteDeleteAsync(cancellationToken) == 1;
    }

    /// <summary>The studio's own ways of toning by name.</summary>
    public async Task<IReadOnlyList<OwnTonerRow>> TonersAsync(CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.OwnToners.AsNoTracking().OrderBy(t => t.Name).ThenBy(t => t.Id).ToListAsync(cancellationToken);
    }

    /// <summary>Keeps a way of toning; one of the same name is replaced.</summary>
    public async Task<OwnTonerRow> KeepTonerAsync(string name, TonePlan plan, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        var row = await db.OwnToners.SingleOrDefaultAsync(t => t.Name == name, cancellationToken);
        if (row is null)
        {
            row = new()
            {
                Id = Guid.CreateVersion7(),
                Name = name,
                Plan = plan,
            };
            db.OwnToners.Add(row);
        }

        (row.Plan, row.At) = (plan, clock.GetUtcNow());
        await db.SaveChangesAsync(cancellationToken);
        return row;
    }

    /// <summary>Forgets a way of toning; false if there is none.</summary>
    public async Task<bool> ForgetTonerAsync(Guid toner, CancellationToken cancellationToken)
    {
        await using var db = new StudioContext(options);
        return await db.OwnToners.Where(t => t.Id == toner).ExecuteDeleteAsync(cancellationToken) == 1;
    }
}
