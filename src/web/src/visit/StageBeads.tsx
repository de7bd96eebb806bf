import { NavLink } from "react-router";
import { tokens } from "../style/tokens";
import css from "./StageBeads.module.css";

const stages = [
  { at: "consult", name: "Consult" },
  { at: "section", name: "Section" },
  { at: "paint", name: "Paint" },
  { at: "mix", name: "Mix" },
  { at: "apply", name: "Apply" },
  { at: "review", name: "Review" },
  { at: "tone", name: "Tone" },
  { at: "record", name: "Record" },
] as const;

export type Stage = (typeof stages)[number]["at"];

/**
 * The visit's stages as beads on one strand, dark at the root, lighter as stages are done: the way through
 * the visit.
 */
export function StageBeads({ visit, done }: { visit: string; done: ReadonlySet<Stage> }) {
  const width = 490;
  const xs = stages.map((_, i) => 30 + (i * 432) / (stages.length - 1));
  const wave = (x: number) => 22 + 5 * Math.sin(x / 46);
  const path = Array.from({ length: 50 }, (_, i) => `${i === 0 ? "M" : "L"}${i * 10} ${wave(i * 10)}`).join(
    " ",
  );
  return (
    <nav className={css.strand} aria-label="Stages of the visit">
      <svg width={width} height={44} viewBox={`0 0 ${width} 44`} aria-hidden="true">
        <defs>
          <linearGradient id="strand" x1="0" x2="1">
            <stop offset="0" stopColor={tokens.deep} />
            <stop offset="0.55" stopColor={tokens.inkSoft} />
            <stop offset="1" stopColor={tokens.line} />
          </linearGradient>
        </defs>
        <path d={path} stroke="url(#strand)" strokeWidth="5" fill="none" strokeLinecap="round" />
      </svg>
      {stages.map((s, i) => (
        <NavLink
          key={s.at}
          to={`/visits/${visit}/${s.at}`}
          className={({ isActive }) =>
            [css.bead, isActive && css.now, done.has(s.at) && css.done].filter(Boolean).join(" ")
          }
          style={{ left: xs[i], top: wave(xs[i]) }}
          aria-current="step"
        >
          <span className={css.dot} aria-hidden="true">
            {done.has(s.at) ? "✓" : ""}
          </span>
          <span>{s.name}</span>
        </NavLink>
      ))}
    </nav>
  );
}
