import { tokens } from "../style/tokens";
/** A shape drawn on a small panel: light is what is painted. */
export function ShapeTile({ d }: { d?: string }) {
  return (
    <svg width="26" height="32" viewBox="0 0 28 34" aria-hidden="true">
      <rect x="2" y="1" width="24" height="31" rx="2" fill={tokens.hairDark} />
      {d && <path d={d} fill={tokens.hairLit} />}
    </svg>
  );
}
