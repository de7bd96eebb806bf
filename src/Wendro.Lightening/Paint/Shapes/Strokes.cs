using Wendro.Units;

namespace Wendro.Paint;

/// <summary>Shapes laid in strokes.</summary>
public abstract partial record Shape
{
    /// <summary>
    /// How much wider a stroke is at the ends than where it begins, where it meets no other. Model assumption.
    /// </summary>
    public const double StrokeWidens = 1.6;

    /// <summary>Softness of a stroke's sides, share of the room it has. Model assumption.</summary>
    private const double SoftSides = 0.12;

    /// <summary>How far strokes that meet reach into one another's room, share of it. Model assumption.</summary>
    private const double MetOverlap = 1.15;

    /// <summary>One stroke: soft at its sides, finer where it begins; solid below where strokes meet.</summary>
    private static double One(
        PaintedPanel on,
        Stroke stroke,
        double u,
        double s,
        double centre,
        double from,
        double room
    )
    {
        if (s <= from)
        {
            return 0;
        }

        var width = stroke.Width * room;
        double half;
        if (stroke.MergeCm > 0)
        {
            var meets = Math.Max(on.StartCm + stroke.MergeCm, from + 0.5);
            var along = Math.Clamp((s - from) / (meets - from), 0, 1);
            half = (width + (room * MetOverlap - width) * along) / 2;
        }
        else
        {
            var along = Math.Clamp((s - from) / Math.Max(on.LengthCm - from, 1), 0, 1);
            half = width * (1 + along * (StrokeWidens - 1)) / 2;
        }

        var soft = Math.Min(half, SoftSides * room);
        return Curve.Smooth(from, from + on.Paint.BlurCm, s)
            * (1 - Curve.Smooth(half - soft, half + soft, Math.Abs(u - centre)));
    }

    /// <summary>A V with fine strokes down its middle, for wide panels that would stay too dark there.</summary>
    /// <param name="DropCm">How much lower the middle lies, cm.</param>
    /// <param name="MiddleU">Where the middle lies, 0.1..0.9.</param>
    /// <param name="PeakCm">How much lower the spines begin than the corners, cm, 0..40.</param>
    /// <param name="Spines">How many, 1..3.</param>
    public sealed record Spined(double DropCm = 7, double MiddleU = 0.5, double PeakCm = 0, int Spines = 1) : Shape
    {
        /// <summary>Distance between spines, share of the panel. Model assumption.</summary>
        private const double Apart = 0.22;

        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Spined;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override double MiddleU { get; init; } = MiddleU;

        /// <inheritdoc/>
        public override double PeakCm { get; init; } = PeakCm;

        /// <inheritdoc/>
        public override Stroke? Stroked { get; init; } = new(0.15);

        /// <inheritdoc/>
        public override int Count => Spines;

        /// <inheritdoc/>
        public override Shape Counting(int count) => this with { Spines = count };

        internal override double Below(double u, int salt) => DropCm * (1 - Math.Abs(FromMiddle(MiddleU, u)));

        internal override double Along(PaintedPanel on, double u, double s, double strandCm)
        {
            var most = base.Along(on, u, s, strandCm);
            for (var i = 0; i < Spines; i++)
            {
                var centre = MiddleU + (i - (Spines - 1) / 2.0) * Apart;
                var from = on.StartCm + on.Paint.SlopeCm * u + PeakCm;
                most = Math.Max(most, One(on, Stroked!, u, s, centre, from, 1));
            }

            return most;
        }
    }

    /// <summary>Fine lines, high and low by turns, widening downwards till they meet where the panel is held.</summary>
    /// <param name="DropCm">How much lower the low lines begin, cm.</param>
    /// <param name="Lines">How many, 3..9.</param>
    public sealed record Staggered(double DropCm = 7, int Lines = 5) : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Staggered;

        /// <inheritdoc/>
        public override double DropCm { get; init; } = DropCm;

        /// <inheritdoc/>
        public override Stroke? Stroked { get; init; } = new(0.35);

        /// <inheritdoc/>
        public override int Count => Lines;

        /// <inheritdoc/>
        public override Shape Counting(int count) => this with { Lines = count };

        internal override double Along(PaintedPanel on, double u, double s, double strandCm)
        {
            var most = 0.0;
            var room = 1.0 / Lines;
            var near = (int)(Math.Clamp(u, 0, 0.9999) * Lines);
            for (var i = Math.Max(0, near - 1); i <= Math.Min(Lines - 1, near + 1); i++)
            {
                var from = on.StartCm + on.Paint.SlopeCm * u + (i % 2 == 0 ? 0 : DropCm);
                most = Math.Max(most, One(on, Stroked!, u, s, (i + 0.5) * room, from, room));
            }

            return most;
        }
    }

    /// <summary>One stroke down the middle.</summary>
    /// <param name="MiddleU">Where it lies, 0.1..0.9.</param>
    public sealed record Centre(double MiddleU = 0.5) : Shape
    {
        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Centre;

        /// <inheritdoc/>
        public override double MiddleU { get; init; } = MiddleU;

        /// <inheritdoc/>
        public override Stroke? Stroked { get; init; } = new(0.3);

        internal override double Along(PaintedPanel on, double u, double s, double strandCm) =>
            One(on, Stroked!, u, s, MiddleU, on.UpperEdge(u), 1);
    }

    /// <summary>Patches on the outer shell, denser with every pass.</summary>
    /// <param name="Passes">How many, 1..6.</param>
    public sealed record Scrunch(int Passes = 2) : Shape
    {
        /// <summary>Share of the shell's hair left out of one pass. Model assumption.</summary>
        public const double MissedInAPass = 0.6;

        /// <summary>How much more of the shell is reached at the very ends, share. Model assumption.</summary>
        private const double MoreAtEnds = 0.25;

        /// <summary>Softness of a patch's border, share of chance. Model assumption.</summary>
        private const double SoftBorder = 0.08;

        /// <summary>
        /// Between corners chance gathers round a half; stretched so much, a share of places lies below that share.
        /// </summary>
        private const double Stretched = 1.35;

        private const double PatchCm = 2.5;
        private const int PatchesAcross = 3;
        private const int PatchSalt = 500;
        private const int ColumnSalt = 131;

        /// <inheritdoc/>
        public override ShapeKind Kind => ShapeKind.Scrunch;

        /// <inheritdoc/>
        public override int Count => Passes;

        /// <inheritdoc/>
        public override Shape Counting(int count) => this with { Passes = count };

        /// <summary>
        /// Patches of the shell that the hands have reached: noise cut off higher with every pass, lower towards the
        /// ends.
        /// </summary>
        internal override double Along(PaintedPanel on, double u, double s, double strandCm)
        {
            var from = on.UpperEdge(u);
            if (s <= from)
            {
                return 0;
            }

            var reached = 1 - Math.Pow(MissedInAPass, Passes);
            var ends = MoreAtEnds * Math.Clamp((s - from) / Math.Max(strandCm - from, 1), 0, 1);
            var share = Math.Min(1, reached + ends);
            var noise = Noise(on.Salt, u * PatchesAcross, s / PatchCm);
            return Curve.Smooth(from, from + on.Paint.BlurCm, s) * Curve.Smooth(-SoftBorder, SoftBorder, share - noise);
        }

        /// <summary>Smooth chance 0..1, spread about evenly.</summary>
        private static double Noise(int salt, double x, double y)
        {
            var (x0, y0) = ((int)Math.Floor(x), (int)Math.Floor(y));
            var (fx, fy) = (Curve.Smooth(0, 1, x - x0), Curve.Smooth(0, 1, y - y0));
            double At(int i, int j) => Hash.Unit(salt + i * ColumnSalt, PatchSalt + j);
            var top = At(x0, y0) + (At(x0 + 1, y0) - At(x0, y0)) * fx;
            var low = At(x0, y0 + 1) + (At(x0 + 1, y0 + 1) - At(x0, y0 + 1)) * fx;
            return Math.Clamp(0.5 + (top + (low - top) * fy - 0.5) * Stretched, 0, 1);
        }
    }
}
