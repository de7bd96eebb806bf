import type { PanelView } from "../api/client";

type Place = Pick<PanelView, "key" | "zone" | "row" | "column">;

/** The panel of a key; where a new cut took it away, the one of its zone nearest to where it was. */
export function panelAt<P extends Place>(panels: readonly P[], key: string | undefined): P | undefined {
  if (key === undefined) {
    return undefined;
  }
  const [zone, row, column] = key.split("/");
  const far = (p: P) => Math.abs(p.row - Number(row)) * 100 + Math.abs(p.column - Number(column));
  return (
    panels.find((p) => p.key === key) ??
    panels
      .filter((p) => p.zone === zone)
      .reduce<P | undefined>((best, p) => (best && far(best) <= far(p) ? best : p), undefined)
  );
}
