import { tokens } from "../style/tokens";
export type Severity = "alarm" | "caution" | "note" | "clear";

/** How serious something is, by shape and not by colour alone. */
export function SeverityMark({ severity }: { severity: Severity }) {
  return (
    <svg width="18" height="18" viewBox="0 0 18 18" role="img" aria-label={severity}>
      {severity === "alarm" && <path d="M9 1.5 17 16.5H1Z" fill={tokens.alarm} />}
      {severity === "caution" && <path d="M9 1 17 9 9 17 1 9Z" fill={tokens.caution} />}
      {severity === "note" && (
        <circle cx="9" cy="9" r="6.5" fill="none" stroke={tokens.inkSoft} strokeWidth="2.5" />
      )}
      {severity === "clear" && (
        <>
          <circle cx="9" cy="9" r="8" fill={tokens.deep} />
          <path d="M5.2 9.3 8 12l4.8-5.6" fill="none" stroke={tokens.white} strokeWidth="2" />
        </>
      )}
    </svg>
  );
}
