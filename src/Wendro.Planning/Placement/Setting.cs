using Wendro.Paint;

namespace Wendro.Placement;

/// <summary>How one group of zones could be sectioned and painted.</summary>
/// <param name="ThicknessMm">Thickness of its sections, mm.</param>
/// <param name="Paint">Its paint; null leaves it natural. Its formula is called by its strength's letter.</param>
/// <param name="Alike">A number that settings share which differ in thickness only.</param>
public sealed record Setting(double ThicknessMm, PanelPaint? Paint, int Alike = 0);
