using System.Collections.Concurrent;
using System.Reflection;
using System.Text.Json.Serialization;

namespace Wendro.Units;

/// <summary>
/// The bounds of a number in a record: checked where it comes in, and told in the API's description. Nothing, where it
/// may be nothing, is within.
/// </summary>
/// <param name="low">Least it can be.</param>
/// <param name="high">Most it can be.</param>
/// <param name="unit">Of what; empty for a plain number.</param>
[AttributeUsage(AttributeTargets.Property)]
public sealed class WithinAttribute(double low, double high, string unit = "") : Attribute
{
    private static readonly ConcurrentDictionary<Type, (PropertyInfo Property, WithinAttribute Bounds)[]> Known = new();

    /// <summary>Least it can be.</summary>
    public double Low { get; } = low;

    /// <summary>Most it can be.</summary>
    public double High { get; } = high;

    /// <summary>Of what; empty for a plain number.</summary>
    public string Unit { get; } = unit;

    /// <summary>Whether a number is within; what is no number never is.</summary>
    public bool Holds(double value) => value >= Low && value <= High;

    /// <summary>What is said of a number that is not.</summary>
    /// <param name="field">The field's path.</param>
    public Problem Of(string field) => Problem.Outside(field, Low, High, Unit);

    /// <summary>
    /// The numbers of a record that are not within their bounds, by field, in the order they are told.
    /// </summary>
    /// <param name="of">The record.</param>
    /// <param name="within">The path of the record itself; empty where it is the whole.</param>
    public static IEnumerable<Problem> Outside(object of, string within = "")
    {
        ArgumentNullException.ThrowIfNull(of);
        foreach (var (property, bounds) in Known.GetOrAdd(of.GetType(), BoundedOf))
        {
            if (
                property.GetValue(of) is { } value
                && !bounds.Holds(Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture))
            )
            {
                var field = WrittenAs(property);
                yield return bounds.Of(within.Length == 0 ? field : $"{within}.{field}");
            }
        }
    }

    /// <summary>What a property is called where it is sent and stored.</summary>
    private static string WrittenAs(PropertyInfo property) =>
        property.GetCustomAttribute<JsonPropertyNameAttribute>()?.Name
        ?? char.ToLowerInvariant(property.Name[0]) + property.Name[1..];

    private static (PropertyInfo, WithinAttribute)[] BoundedOf(Type type) =>
        type.GetProperties()
            .Select(p => (p, p.GetCustomAttribute<WithinAttribute>()))
            .Where(p => p.Item2 is not null)
            .Select(p => (p.p, p.Item2!))
            .ToArray();
}
