import { tokens } from "../style/tokens";

/** How a step of weighing stands: by shape, not by colour alone. */
export function Tick({ met, over, now }: { met?: boolean; over?: boolean; now?: boolean }) {
  return (
    <svg
      width="22"
      height="22"
      viewBox="0 0 22 22"
      role="img"
      aria-label={over ? "too much" : met ? "done" : now ? "now" : "to do"}
    >
      {over ? (
        <path d="M11 2 21 20H1Z" fill={tokens.alarm} />
      ) : met ? (
        <>
          <circle cx="11" cy="11" r="10" fill={tokens.deep} />
          <path d="M6.4 11.4 9.8 14.6l5.8-6.8" fill="none" stroke={tokens.white} strokeWidth="2.2" />
        </>
      ) : (
        <circle
          cx="11"
          cy="11"
          r="9"
          fill={now ? tokens.accent : "none"}
          stroke={now ? tokens.accent : tokens.edge}
          strokeWidth="2.5"
        />
      )}
    </svg>
  );
}
