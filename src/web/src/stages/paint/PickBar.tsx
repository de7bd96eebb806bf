import { Button } from "antd";
import parts from "../../style/parts.module.css";
import type { Selection } from "../../visit/useSelection";
import css from "./PickBar.module.css";

/** Picking several panels with a finger: tap after tap, by row, by zone, or all that are painted. */
export function PickBar({ selection }: { selection: Selection }) {
  const { panel, several, setSeveral, pickAll, picked } = selection;
  return (
    <div className={`${parts.row} ${css.pickBar}`} role="group" aria-label="Pick panels">
      <Button
        type={several || picked.length > 1 ? "primary" : "default"}
        aria-pressed={several}
        onClick={() => setSeveral(!(several || picked.length > 1))}
      >
        {picked.length > 1 ? `${picked.length} picked` : "Several"}
      </Button>
      <Button onClick={() => panel && pickAll((p) => p.zone === panel.zone && p.row === panel.row)}>
        Row
      </Button>
      <Button onClick={() => panel && pickAll((p) => p.zone === panel.zone)}>Zone</Button>
      <Button onClick={() => pickAll((p) => p.paint != null)}>Painted</Button>
    </div>
  );
}
