using System.Collections.Concurrent;
using System.Reflection;

namespace Wendro.Core.Units;

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

    /// <summary>
    /// The numbers of a record that are not within their bounds, by field, in the order they are told.
    /// </summary>
    public static IEnumerable<Problem> Outside(object of)
    {
        ArgumentNullException.ThrowIfNull(of);
        var found = new List<Problem>();
        foreach (var (property, bounds) in Known.GetOrAdd(of.GetType(), BoundedOf))
        {
            if (property.GetValue(of) is { } value)
            {
                Problem.Range(
                    found,
                    char.ToLowerInvariant(property.Name[0]) + property.Name[1..],
                    Convert.ToDouble(value, System.Globalization.CultureInfo.InvariantCulture),
                    bounds.Low,
                    bounds.High,
                    bounds.Unit
                );
            }
        }

        return found;
    }

    private static (PropertyInfo, WithinAttribute)[] BoundedOf(Type type) =>
        type.GetProperties()
            .Select(p => (p, p.GetCustomAttribute<WithinAttribute>()))
            .Where(p => p.Item2 is not null)
            .Select(p => (p.p, p.Item2!))
            .ToArray();
}
