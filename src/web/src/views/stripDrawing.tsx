import { fromBase64, type Strip } from "../api/client";
import type { Colours } from "../api/seen";
import { tokens } from "../style/tokens";

/** Where the strip and its cross-section lie, pixels. */
export const top = 24;
export const height = 520;
export const left = 30;
export const width = 104;
export const depthLeft = left + width + 16;
export const depthWidth = 40;

/** The upper edge of one product as it was set, dashed. */
export function Edge({
  edge,
  perCm,
  length,
  quiet,
}: {
  edge: number[];
  perCm: number;
  length: number;
  quiet: boolean;
}) {
  const points = edge.map((s, i) =>
    [left + (i / (edge.length - 1)) * width, top + Math.min(Math.max(s, 0), length) * perCm].join(","),
  );
  return (
    <polyline
      points={points.join(" ")}
      fill="none"
      stroke={tokens.accent}
      strokeWidth={quiet ? 1.2 : 2}
      strokeOpacity={quiet ? 0.6 : 1}
      strokeDasharray="5 5"
    />
  );
}

/**
 * The section cut through, its surface on the left: what each product reaches from its side; what stays
 * dry keeps its colour.
 */
export function DepthBar({ strip, colours }: { strip: Strip | undefined; colours: Colours | undefined }) {
  if (!strip || !colours) {
    return <rect x={depthLeft} y={top} width={depthWidth} height={height} fill={tokens.inkSoft} rx={3} />;
  }
  const levels = fromBase64(strip.section);
  const tints = fromBase64(strip.sectionTints);
  const row = height / strip.rows;
  const wide = depthWidth / strip.layers;
  const cells: React.ReactNode[] = [];
  for (let r = 0; r < strip.rows; r++) {
    // Layers of one level are drawn as one.
    for (let d = 0; d < strip.layers; ) {
      const at = r * strip.layers + d;
      const [level, tint] = [levels[at], tints[at]];
      let to = d + 1;
      while (to < strip.layers && levels[at + to - d] === level && tints[at + to - d] === tint) {
        to++;
      }
      cells.push(
        <rect
          key={`${r}/${d}`}
          x={depthLeft + d * wide}
          y={top + r * row}
          width={(to - d) * wide}
          height={row + 0.6}
          fill={colours.hex(level, tint)}
        />,
      );
      d = to;
    }
  }
  return <g>{cells}</g>;
}

export function drawStrip(context: CanvasRenderingContext2D, strip: Strip, colours: Colours) {
  const levels = fromBase64(strip.levels);
  const tints = fromBase64(strip.tints);
  const cells = new Float32Array(levels.length * 3);
  for (let i = 0; i < levels.length; i++) {
    const hex = Number.parseInt(colours.hex(levels[i], tints[i]).slice(1), 16);
    cells[i * 3] = hex >> 16;
    cells[i * 3 + 1] = (hex >> 8) & 255;
    cells[i * 3 + 2] = hex & 255;
  }
  const image = context.createImageData(width, height);
  const out = image.data;
  const down = strip.columns * 3;
  for (let x = 0; x < width; x++) {
    // Hair is not a wash of colour: each hair is a little lighter or darker, and its paint starts a little
    // higher or lower.
    const grain = ((Math.imul(x + 11, 2654435761) >>> 8) & 255) / 255;
    const fine = ((Math.imul(x + 97, 40503) >>> 4) & 255) / 255;
    const light = 0.9 + 0.14 * grain + 0.05 * Math.sin(x * 0.7 + grain * 4);
    const u = ((x + 0.5) / width) * strip.columns - 0.5;
    const c0 = Math.max(0, Math.min(strip.columns - 2, Math.floor(u)));
    const fu = Math.min(1, Math.max(0, u - c0));
    for (let y = 0; y < height; y++) {
      const v = ((y + 0.5) / height) * strip.rows - 0.5 + (fine - 0.5) * 2.2;
      const r0 = Math.max(0, Math.min(strip.rows - 2, Math.floor(v)));
      const fv = Math.min(1, Math.max(0, v - r0));
      const o = (y * width + x) * 4;
      for (let i = 0; i < 3; i++) {
        const at = (r0 * strip.columns + c0) * 3 + i;
        const above = cells[at] * (1 - fu) + cells[at + 3] * fu;
        const below = cells[at + down] * (1 - fu) + cells[at + down + 3] * fu;
        out[o + i] = (above * (1 - fv) + below * fv) * light;
      }
      out[o + 3] = 255;
    }
  }
  context.putImageData(image, 0, 0);
}
