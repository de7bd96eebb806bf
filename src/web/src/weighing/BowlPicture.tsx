import { tokens } from "../style/tokens";
import css from "./BowlPicture.module.css";
import type { Bowl } from "./bowls";

const tones: Record<string, string> = {
  lightener: tokens.powder,
  colour: tokens.cream,
  developer: tokens.developer,
  additive: tokens.additive,
};

const [top, bottom, wide, narrow] = [20, 178, 150, 62];

/** Half the bowl's width at a height 0 (bottom) .. 1 (rim). */
const half = (t: number) => narrow + (wide - narrow) * Math.sin((Math.PI / 2) * Math.min(1, t)) ** 0.9;

/** The bowl from the side: what is in it in layers, and the line it should come to. */
export function BowlPicture({
  bowl,
  pouring,
  words,
}: {
  bowl: Bowl;
  pouring: number;
  words(g: number): string;
}) {
  const most = Math.max(bowl.totalGrams, bowl.steps.reduce((s, i) => s + i.pouredGrams, 0) + pouring) * 1.35;
  const y = (grams: number) => bottom - (bottom - top) * Math.min(1, grams / most);
  let below = 0;
  const layers = bowl.steps
    .map((s, i) => {
      const grams =
        s.pouredGrams + (bowl.begun?.next === i || bowl.begun?.over === i ? Math.max(0, pouring) : 0);
      const from = below;
      below += grams;
      return { ...s, grams, from, to: below };
    })
    .filter((l) => l.grams > 0.05);
  const edge = (grams: number) => half((bottom - y(grams)) / (bottom - top));
  return (
    <svg
      className={css.bowl}
      viewBox="0 0 400 190"
      role="img"
      aria-label={
        layers.map((l) => `${words(l.grams)} ${l.ingredient.words}`).join(", ") || "The bowl is empty."
      }
    >
      <title>What is in the bowl</title>
      {layers.map((l) => {
        const steps = Array.from({ length: 9 }, (_, i) => l.from + ((l.to - l.from) * i) / 8);
        const left = steps.map((g) => `${200 - edge(g)},${y(g)}`);
        const right = steps.map((g) => `${200 + edge(g)},${y(g)}`).reverse();
        const middle = (y(l.from) + y(l.to)) / 2;
        return (
          <g key={l.ingredient.words}>
            <polygon points={[...left, ...right].join(" ")} fill={tones[l.ingredient.role]} />
            {y(l.from) - y(l.to) > 17 && (
              <text x="200" y={middle + 5} textAnchor="middle">
                {words(l.grams)} {l.ingredient.words}
              </text>
            )}
          </g>
        );
      })}
      <path
        d={`M${200 - wide} ${top} ${Array.from({ length: 13 }, (_, i) => 1 - i / 12)
          .map((t) => `L${200 - half(t)} ${bottom - (bottom - top) * t}`)
          .join(" ")} ${Array.from({ length: 13 }, (_, i) => i / 12)
          .map((t) => `L${200 + half(t)} ${bottom - (bottom - top) * t}`)
          .join(" ")}`}
        fill="none"
        stroke={tokens.edge}
        strokeWidth="4"
      />
      <ellipse cx="200" cy={top} rx={wide} ry="9" fill="none" stroke={tokens.edge} strokeWidth="3" />
      <line
        x1={200 - edge(bowl.totalGrams)}
        x2={200 + edge(bowl.totalGrams)}
        y1={y(bowl.totalGrams)}
        y2={y(bowl.totalGrams)}
        stroke={tokens.good}
        strokeWidth="2.5"
        strokeDasharray="7 5"
      />
      <text x={208 + edge(bowl.totalGrams)} y={y(bowl.totalGrams) + 5} className={css.mark}>
        {words(bowl.totalGrams)}
      </text>
    </svg>
  );
}
