using Wendro.Head;

namespace Wendro.Section;

/// <summary>
/// A place where two columns of a row meet: at a value of the row's length, slanted where panels are triangles.
/// </summary>
/// <param name="At">Value along the row half-way up it.</param>
/// <param name="Slant">How much further along it lies at the top of the row than at its foot.</param>
internal readonly record struct Edge(double At, double Slant = 0)
{
    /// <summary>Where the edge lies, 0..1 up the row.</summary>
    public double AtShare(double up) => At + Slant * (up - 0.5);
}

/// <summary>A panel's stretch of its row; woven panels have several.</summary>
/// <param name="From">Where it begins.</param>
/// <param name="To">Where it ends.</param>
/// <param name="Panel">Which panel of the zone it belongs to.</param>
/// <param name="Left">Where the panel as a whole begins.</param>
/// <param name="Right">Where the panel as a whole ends.</param>
internal readonly record struct Column(Edge From, Edge To, int Panel, Edge Left, Edge Right);

/// <summary>One section of a zone.</summary>
/// <param name="Low">Lower edge.</param>
/// <param name="High">Upper edge.</param>
/// <param name="Turned">Its edge nearest the middle is the lower one: right halves of upright rows.</param>
/// <param name="Columns">Its panels' stretches in order.</param>
internal sealed record Row(double Low, double High, bool Turned, IReadOnlyList<Column> Columns)
{
    /// <summary>Where in this row a place lies; null beyond its columns.</summary>
    public PanelPosition? At(double height, double along)
    {
        var up = Math.Clamp((height - Low) / (High - Low), 0, 1);
        for (var c = 0; c < Columns.Count; c++)
        {
            var column = Columns[c];
            if (
                (c == 0 || along >= column.From.AtShare(up))
                && (c == Columns.Count - 1 || along <= column.To.AtShare(up))
            )
            {
                var (left, right) = (column.Left.AtShare(up), column.Right.AtShare(up));
                var u = right - left < 1e-9 ? 0.5 : Math.Clamp((along - left) / (right - left), 0, 1);
                return new PanelPosition(column.Panel, u, Turned ? up : 1 - up);
            }
        }

        return null;
    }
}
