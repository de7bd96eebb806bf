import { fromBase64, type PanelView, type Strip } from "../api/client";
import type { Colours } from "../api/seen";

/** Where the strip and its cross-section lie, pixels. */
export const top = 24;
export const height = 520;
export const left = 30;
export const width = 104;
export const depthLeft = left + width + 16;
export const depthWidth = 40;

/** The upper edge as it was set, dashed. */
export function Edge({ panel, perCm }: { panel: PanelView; perCm: number }) {
  const paint = panel.paint;
  if (!paint) {
    return null;
  }
  const start = panel.startCm ?? paint.startCm;
  const y = (s: number) => top + Math.min(s, panel.lengthCm) * perCm;
  const low = start + paint.dropCm;
  const points =
    paint.shape === "v"
      ? [
          [left, y(start)],
          [left + width / 2, y(low)],
          [left + width, y(start)],
        ]
      : paint.shape === "slant"
        ? [
            [left, y(paint.flip ? low : start)],
            [left + width, y(paint.flip ? start : low)],
          ]
        : [
            [left, y(start)],
            [left + width, y(start)],
          ];
  return (
    <polyline
      points={points.map((p) => p.join(",")).join(" ")}
      fill="none"
      stroke="#0b6a80"
      strokeWidth={2}
      strokeDasharray="5 5"
    />
  );
}

/** The section cut through: what the product reaches, from the painted side. */
export function DepthBar({
  strip,
  panel,
  colours,
}: {
  strip: Strip | undefined;
  panel: PanelView;
  colours: Colours | undefined;
}) {
  const dark = strip && colours ? colours.levels[levelIndex(fromBase64(strip.levels)[0])] : "#555555";
  const levels = strip ? fromBase64(strip.levels) : undefined;
  return (
    <g>
      <rect x={depthLeft} y={top} width={depthWidth} height={height} fill={dark} rx={3} />
      {strip &&
        levels &&
        colours &&
        strip.depth.map((share, r) => {
          let most = 0;
          for (let c = 0; c < strip.columns; c++) {
            most = Math.max(most, levels[r * strip.columns + c]);
          }
          const w = share * depthWidth;
          const under = panel.paint?.face === "underside";
          return (
            <rect
              key={r}
              x={under ? depthLeft + depthWidth - w : depthLeft}
              y={top + (r * height) / strip.rows}
              width={w}
              height={height / strip.rows + 0.6}
              fill={colours.levels[levelIndex(most)]}
            />
          );
        })}
    </g>
  );
}

const levelIndex = (byte: number) => Math.min(90, Math.round((byte * 90) / 255));

export function drawStrip(context: CanvasRenderingContext2D, strip: Strip, hex: string[]) {
  const levels = fromBase64(strip.levels);
  const rgb = hex.map((h) => [1, 3, 5].map((i) => Number.parseInt(h.slice(i, i + 2), 16)));
  const image = context.createImageData(width, height);
  for (let x = 0; x < width; x++) {
    // Hair is not a wash of colour: each hair is a little lighter or darker, and its paint starts a little higher or lower.
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
      const at = (r: number, c: number) => levels[r * strip.columns + c];
      const level =
        (at(r0, c0) * (1 - fu) + at(r0, c0 + 1) * fu) * (1 - fv) +
        (at(r0 + 1, c0) * (1 - fu) + at(r0 + 1, c0 + 1) * fu) * fv;
      const [r, g, b] = rgb[levelIndex(level)];
      const o = (y * width + x) * 4;
      image.data[o] = r * light;
      image.data[o + 1] = g * light;
      image.data[o + 2] = b * light;
      image.data[o + 3] = 255;
    }
  }
  context.putImageData(image, 0, 0);
}
