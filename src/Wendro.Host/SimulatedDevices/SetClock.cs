using System.Globalization;

namespace Wendro.Host.SimulatedDevices;

/// <summary>
/// A stand-in for the clock on the wall: the machine's, set on by the minutes that stand in a file. For tests, so that
/// a service of two hours can be lived through in one minute.
/// </summary>
/// <param name="file">The file; as long as there is none it shows the machine's time.</param>
internal sealed class SetClock(string file) : TimeProvider
{
    /// <inheritdoc/>
    public override DateTimeOffset GetUtcNow() => base.GetUtcNow().AddMinutes(Minutes());

    private double Minutes()
    {
        try
        {
            return double.Parse(File.ReadAllText(file), CultureInfo.InvariantCulture);
        }
        catch (Exception e) when (e is IOException or FormatException)
        {
            return 0;
        }
    }
}
