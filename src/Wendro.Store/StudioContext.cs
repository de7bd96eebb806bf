using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Microsoft.EntityFrameworkCore.Storage.ValueConversion;
using Wendro.Apply;
using Wendro.Consult;
using Wendro.Formats;
using Wendro.Hair;
using Wendro.Lift;
using Wendro.Mix;
using Wendro.Plans;
using Wendro.Record;
using Wendro.Review;
using Wendro.Toning;

namespace Wendro.Store;

/// <summary>All that is kept, in one SQLite file.</summary>
public sealed class StudioContext(DbContextOptions<StudioContext> options) : DbContext(options)
{
    public DbSet<ClientRow> Clients => Set<ClientRow>();

    public DbSet<VisitRow> Visits => Set<VisitRow>();

    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    public DbSet<StudioRow> Studio => Set<StudioRow>();

    public DbSet<PatternRow> Patterns => Set<PatternRow>();

    public DbSet<OwnTonerRow> OwnToners => Set<OwnTonerRow>();

    public DbSet<ProductRow> Products => Set<ProductRow>();

    public DbSet<BowlRow> Bowls => Set<BowlRow>();

    public DbSet<BowlEventRow> BowlEvents => Set<BowlEventRow>();

    public DbSet<TickRow> Ticks => Set<TickRow>();

    public DbSet<ServiceRow> Services => Set<ServiceRow>();

    public DbSet<ServiceFactRow> ServiceFacts => Set<ServiceFactRow>();

    public DbSet<ReviewFactRow> ReviewFacts => Set<ReviewFactRow>();

    public DbSet<ToneFactRow> ToneFacts => Set<ToneFactRow>();

    public DbSet<KeepFactRow> KeepFacts => Set<KeepFactRow>();

    public DbSet<PhotographRow> Photographs => Set<PhotographRow>();

    /// <inheritdoc/>
    public override async ValueTask DisposeAsync()
    {
        // A connection that was held open is closed by the way, without being told to whoever listens.
        DurableWrites.EndStatements(Database.GetDbConnection());
        await base.DisposeAsync();
    }

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
            visit.Property(v => v.Hair).HasConversion(AsDocument<HairProfile>());
            visit.Property(v => v.Consultation).HasConversion(AsDocument<Consultation>());
            visit.Property(v => v.Taught).HasConversion(AsDocument<OwnLift?>());
            visit.Property(v => v.Sum).HasConversion(AsDocument<VisitSum?>());
            // Stored as UTC ticks, so that the day's visits can be ordered and cut in the database.
            visit.Property(v => v.StartsAt).HasConversion(t => t.UtcTicks, t => new DateTimeOffset(t, TimeSpan.Zero));
            visit.HasIndex(v => v.StartsAt);
        });
        modelBuilder.Entity<StudioRow>(studio =>
        {
            studio.ToTable("Studio");
            studio.Property(r => r.Id).ValueGeneratedNever();
            studio.Property(r => r.Rules).HasConversion(AsDocument<HouseRules>());
        });
        modelBuilder.Entity<OwnTonerRow>(toner =>
        {
            toner.ToTable("OwnToners");
            toner.Property(r => r.Name).HasMaxLength(60);
            toner.Property(r => r.Plan).HasConversion(AsDocument<TonePlan>());
        });
        modelBuilder.Entity<PatternRow>(pattern =>
        {
            pattern.ToTable("Patterns");
            pattern.Property(r => r.Name).HasMaxLength(60);
            pattern.Property(r => r.Why).HasMaxLength(200);
            pattern.Property(r => r.Edits).HasConversion(AsDocument<IReadOnlyList<PlanEdit>>());
        });
        modelBuilder.Entity<RevisionRow>(revision =>
        {
            revision.ToTable("PlanRevisions");
            revision.HasKey(r => new { r.VisitId, r.Number });
            revision.HasOne<VisitRow>().WithMany().HasForeignKey(r => r.VisitId).OnDelete(DeleteBehavior.Cascade);
            // The columns were text before documents were compressed; what was stored so is read for ever.
            revision.Property(r => r.Plan).HasConversion(Compressed<Plan?>()).HasColumnType("TEXT");
            revision.Property(r => r.Edit).HasConversion(Compressed<PlanEdit?>());
            revision.Property(r => r.Label).HasMaxLength(200);
        });
        Mixing(modelBuilder);
        AtTheChair(modelBuilder);
    }

    /// <summary>Services and what happened in them, and what was read when they were over.</summary>
    private static void AtTheChair(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<ServiceRow>(service =>
        {
            service.ToTable("Services");
            service.HasKey(s => s.VisitId);
            service.HasOne<VisitRow>().WithMany().HasForeignKey(s => s.VisitId).OnDelete(DeleteBehavior.Cascade);
        });
        modelBuilder.Entity<ServiceFactRow>(fact =>
        {
            fact.HasOne<ServiceRow>().WithMany().HasForeignKey(f => f.VisitId).OnDelete(DeleteBehavior.Cascade);
            Facts<ServiceFactRow, ServiceFact>(fact, "ServiceFacts");
        });
        modelBuilder.Entity<ReviewFactRow>(fact =>
        {
            fact.HasOne<VisitRow>().WithMany().HasForeignKey(f => f.VisitId).OnDelete(DeleteBehavior.Cascade);
            Facts<ReviewFactRow, ReviewFact>(fact, "ReviewFacts");
        });
        modelBuilder.Entity<ToneFactRow>(fact =>
        {
            fact.HasOne<VisitRow>().WithMany().HasForeignKey(f => f.VisitId).OnDelete(DeleteBehavior.Cascade);
            Facts<ToneFactRow, ToneFact>(fact, "ToneFacts");
        });
        modelBuilder.Entity<KeepFactRow>(fact =>
        {
            fact.HasOne<VisitRow>().WithMany().HasForeignKey(f => f.VisitId).OnDelete(DeleteBehavior.Cascade);
            Facts<KeepFactRow, RecordFact>(fact, "KeepFacts");
        });
        modelBuilder.Entity<PhotographRow>(photograph =>
        {
            photograph.ToTable("Photographs");
            photograph.HasKey(p => new { p.VisitId, p.Number });
            photograph.HasIndex(p => new { p.VisitId, p.Name }).IsUnique();
            photograph.HasIndex(p => p.Name);
            photograph.HasOne<VisitRow>().WithMany().HasForeignKey(p => p.VisitId).OnDelete(DeleteBehavior.Cascade);
            photograph.Property(p => p.Name).HasMaxLength(64);
            photograph.Property(p => p.Moment).HasConversion<string>().HasMaxLength(20);
            photograph.Property(p => p.From).HasConversion<string>().HasMaxLength(20);
        });
    }

    private static void Facts<TRow, TFact>(EntityTypeBuilder<TRow> fact, string table)
        where TRow : FactRow<TFact>
    {
        fact.ToTable(table);
        fact.HasKey(f => new { f.VisitId, f.Number });
        fact.HasIndex(f => new { f.VisitId, f.SaidAs }).IsUnique();
        fact.Property(f => f.Fact).HasConversion(AsDocument<TFact>()).IsRequired();
    }

    /// <summary>The shelf, and what was mixed.</summary>
    private static void Mixing(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<ProductRow>(product =>
        {
            product.ToTable("Products");
            product.HasIndex(p => p.Key).IsUnique();
            product.Property(p => p.Key).HasMaxLength(ProductChecks.LongestName);
            product.Property(p => p.Product).HasConversion(AsDocument<Product>());
            product.Property(p => p.Version).IsConcurrencyToken();
        });
        modelBuilder.Entity<BowlRow>(bowl =>
        {
            bowl.ToTable("Bowls");
            bowl.HasOne<VisitRow>().WithMany().HasForeignKey(b => b.VisitId).OnDelete(DeleteBehavior.Cascade);
            bowl.HasIndex(b => new
                {
                    b.VisitId,
                    b.Formula,
                    b.Ordinal,
                })
                .IsUnique();
            bowl.Property(b => b.Formula).HasMaxLength(1);
            bowl.Property(b => b.Meant).HasConversion(AsDocument<Formula>());
            bowl.Property(b => b.Recipe).HasConversion(AsDocument<Recipe>());
        });
        modelBuilder.Entity<BowlEventRow>(happened =>
        {
            happened.ToTable("BowlEvents");
            happened.HasKey(e => new { e.BowlId, e.Number });
            happened.HasOne<BowlRow>().WithMany().HasForeignKey(e => e.BowlId).OnDelete(DeleteBehavior.Cascade);
            happened.Property(e => e.Event).HasConversion(AsDocument<BowlEvent>());
            happened.Property(e => e.Lot).HasMaxLength(40);
        });
        modelBuilder.Entity<TickRow>(tick =>
        {
            tick.ToTable("TrayTicks");
            tick.HasOne<VisitRow>().WithMany().HasForeignKey(t => t.VisitId).OnDelete(DeleteBehavior.Cascade);
            tick.Property(t => t.Item).HasMaxLength(40);
        });
    }

    private static ValueConverter<T, string> AsDocument<T>() =>
        new(value => Documents.Write(value), text => Documents.Read<T>(text));

    private static ValueConverter<T, byte[]> Compressed<T>() =>
        new(value => Documents.WriteCompressed(value), stored => Documents.ReadCompressed<T>(stored));
}

/// <summary>Lets the migrations tool make a context.</summary>
public sealed class StudioContextFactory : IDesignTimeDbContextFactory<StudioContext>
{
    /// <inheritdoc/>
    public StudioContext CreateDbContext(string[] args) => new(StudioContext.OptionsFor("design.db"));
}
