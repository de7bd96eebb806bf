using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using Wendro.Core.Consult;
using Wendro.Core.Hair;
using Wendro.Core.Plans;
using Wendro.Formats;

namespace Wendro.Store;

/// <summary>All that is kept, in one SQLite file.</summary>
public sealed class StudioContext(DbContextOptions<StudioContext> options) : DbContext(options)
{
    public DbSet<ClientRow> Clients => Set<ClientRow>();

    public DbSet<VisitRow> Visits => Set<VisitRow>();

    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    public DbSet<StudioRow> Studio => Set<StudioRow>();

    public DbSet<PatternRow> Patterns => Set<PatternRow>();

    /// <summary>Options for a data file: write-ahead log and full synchronous writes on every connection.</summary>
    public static DbContextOptions<StudioContext> OptionsFor(string file) =>
        new DbContextOptionsBuilder<StudioContext>()
            .UseSqlite($"Data Source={file};Foreign Keys=True;Default Timeout=15")
            .AddInterceptors(new DurableWrites())
            .Options;

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        ArgumentNullException.ThrowIfNull(modelBuilder);
        modelBuilder.Entity<ClientRow>(client =>
        {
            client.ToTable("Clients");
            client.Property(c => c.Name).HasMaxLength(100);
            client.Property(c => c.About).HasMaxLength(400);
        });
        modelBuilder.Entity<VisitRow>(visit =>
        {
            visit.ToTable("Visits");
            visit.HasOne(v => v.Client).WithMany().HasForeignKey(v => v.ClientId).OnDelete(DeleteBehavior.Cascade);
            visit.Property(v => v.Hair).HasConversion(AsJson<HairProfile>());
            visit.Property(v => v.Consultation).HasConversion(AsJson<Consultation>());
            // Stored as UTC ticks, so that the day's visits can be ordered and cut in the database.
            visit.Property(v => v.StartsAt).HasConversion(t => t.UtcTicks, t => new DateTimeOffset(t, TimeSpan.Zero));
            visit.HasIndex(v => v.StartsAt);
        });
        modelBuilder.Entity<StudioRow>(studio =>
        {
            studio.ToTable("Studio");
            studio.Property(r => r.Id).ValueGeneratedNever();
            studio.Property(r => r.Rules).HasConversion(AsJson<HouseRules>());
        });
        modelBuilder.Entity<PatternRow>(pattern =>
        {
            pattern.ToTable("Patterns");
            pattern.Property(r => r.Name).HasMaxLength(60);
            pattern.Property(r => r.Why).HasMaxLength(200);
            pattern.Property(r => r.Edits).HasConversion(AsJson<IReadOnlyList<PlanEdit>>());
        });
        modelBuilder.Entity<RevisionRow>(revision =>
        {
            revision.ToTable("PlanRevisions");
            revision.HasKey(r => new { r.VisitId, r.Number });
            revision.HasOne<VisitRow>().WithMany().HasForeignKey(r => r.VisitId).OnDelete(DeleteBehavior.Cascade);
            revision.Property(r => r.Plan).HasConversion(AsJson<Plan?>());
        });
    }

    private static ValueConverter<T, string> AsJson<T>() => new(
        value => JsonSerializer.Serialize(value, WendroJson.Options),
        text => JsonSerializer.Deserialize<T>(text, WendroJson.Options)!);
}

/// <summary>Lets the migrations tool make a context.</summary>
public sealed class StudioContextFactory : IDesignTimeDbContextFactory<StudioContext>
{
    /// <inheritdoc/>
    public StudioContext CreateDbContext(string[] args) => new(StudioContext.OptionsFor("design.db"));
}
