namespace Wendro.Core.Units;

/// <summary>A value that can't be taken, by field.</summary>
/// <param name="Field">The field's path in the edit, e.g. paint.startCm.</param>
/// <param name="Message">What is wrong and what would do.</param>
public sealed record Problem(string Field, string Message);
