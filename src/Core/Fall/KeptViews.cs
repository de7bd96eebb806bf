using Wendro.Core.Units;

namespace Wendro.Core.Fall;

/// <summary>Where fallen hair and drawn views are kept, for all heads together.</summary>
/// <param name="Fallen">Hair as worn: some fourteen megabytes each.</param>
/// <param name="Seen">Views: some two megabytes each.</param>
public sealed record KeptViews(Recent<object, FallenHair> Fallen, Recent<object, Seen> Seen)
{
    /// <summary>Room for a number of heads as worn and of views.</summary>
    public static KeptViews For(int fallen, int views) => new(new(fallen), new(views));
}
