using Wendro.Units;

namespace Wendro.Paint;

/// <summary>Shapes whose upper edge says all.</summary>
public abstract partial record Shape
{
    /// <summary>−1 at the front edge, 0 at the middle wherever that lies, 1 at the back edge.</summary>
    private static double FromMiddle(double middle, double u) =>
        u <= middle ? u / middle - 1 : (u - middle) / (1 - middle);

    /// <summary>High at both edges, low in the middle: depth stays in the centre.</summary>
    public sealed record V(double DropCm = 7, double MiddleU = 0.5) : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.V;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override double MiddleU { get; init; } = MiddleU;

        internal override bool IsEdge => true;

        internal override double Below(double u, int salt) => DropCm * (1 - Math.Abs(FromMiddle(MiddleU, u)));
    }

    /// <summary>As V, rounder and more rooted.</summary>
    public sealed record U(double DropCm = 7, double MiddleU = 0.5) : Shape
    {
        /// <summary>How round it is: the share of the way aside to this power. Model assumption.</summary>
        private const double Roundness = 3;

        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.U;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override double MiddleU { get; init; } = MiddleU;

        internal override bool IsEdge => true;

        internal override double Below(double u, int salt) =>
            DropCm * (1 - Math.Pow(Math.Abs(FromMiddle(MiddleU, u)), Roundness));
    }

    /// <summary>High at both edges and in the centre: more brightness on wide panels.</summary>
    public sealed record W(double DropCm = 7, double MiddleU = 0.5, double PeakCm = 0) : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.W;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override double MiddleU { get; init; } = MiddleU;

        /// <inheritdoc/>
        public override double PeakCm { get; init; } = PeakCm;

        internal override bool IsEdge => true;

        internal override double Below(double u, int salt)
        {
            var aside = Math.Abs(FromMiddle(MiddleU, u));
            var peak = Math.Min(PeakCm, DropCm);
            return aside < 0.5 ? peak + (DropCm - peak) * aside * 2 : DropCm * (1 - aside) * 2;
        }
    }

    /// <summary>High towards the face, low on the other side.</summary>
    /// <param name="DropCm">How much lower the other side lies, cm.</param>
    /// <param name="Flip">The other way: high on the side away from the face.</param>
    public sealed record Slant(double DropCm = 7, bool Flip = false) : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Slant;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        internal override bool IsEdge => true;

        internal override double Below(double u, int salt) => DropCm * (Flip ? 1 - u : u);
    }

    /// <summary>Several peaks of unequal height.</summary>
    /// <param name="DropCm">How deep the gaps between teeth are, cm.</param>
    /// <param name="Teeth">How many, 2..9.</param>
    public sealed record Sawtooth(double DropCm = 7, int Teeth = 4) : Shape
    {
        /// <summary>Share of the drop by which peaks differ. Model assumption.</summary>
        private const double ToothSpread = 0.55;

        private const int ToothSalt = 300;

        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Sawtooth;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override int Count => Teeth;

        /// <inheritdoc/>
        public override Shape Counting(int count) => this with { Teeth = count };

        internal override bool IsEdge => true;

        internal override double Below(double u, int salt)
        {
            var at = Math.Clamp(u, 0, 0.9999) * Teeth;
            var tooth = (int)at;
            var peak = DropCm * ToothSpread * Hash.Unit(salt, ToothSalt + tooth);
            return peak + (DropCm - peak) * Math.Abs(2 * (at - tooth) - 1);
        }
    }

    /// <summary>Straight across.</summary>
    public sealed record Full : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Full;

        internal override bool IsEdge => true;
    }

    /// <summary>A band over the fold that hair makes when it is held back from the hairline.</summary>
    public sealed record Fold : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Fold;
    }

    /// <summary>Ends only: measured from each strand's own end.</summary>
    public sealed record Tip : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Tip;

        internal override double Along(PaintedPanel on, double u, double s, double strandCm) =>
            Curve.Smooth(0, on.Paint.BlurCm, s - (strandCm - on.LengthCm) - on.UpperEdge(u));
    }

    /// <summary>Full at the root, feathered out downwards: for deposit.</summary>
    public sealed record Reverse : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Reverse;

        internal override double Along(PaintedPanel on, double u, double s, double strandCm) =>
            s < on.UpperEdge(u) ? 0 : 1;
    }

    /// <summary>
    /// Straight across and solid at once: it begins under the blurred lower end of what is laid above it, so that two
    /// colours meet in one seam and none lies bare between. Its own lower end is blurred into the next.
    /// </summary>
    public sealed record Melt : Shape
    {
        /// <summary>Over how much it begins, cm: hidden in the seam. Model assumption.</summary>
        private const double BeginsCm = 0.5;

        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Melt;

        internal override double Along(PaintedPanel on, double u, double s, double strandCm)
        {
            var edge = on.UpperEdge(u);
            return Curve.Smooth(edge, edge + BeginsCm, s);
        }
    }
}
