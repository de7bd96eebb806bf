import { Button } from "antd";
import type { Selection } from "../../visit/useSelection";

/** Picking several panels with a finger: tap after tap, by row, by zone, or all that are painted. */
export function PickBar({ selection }: { selection: Selection }) {
  const { panel, several, setSeveral, pickAll, picked } = selection;
  return (
    <div className="row pick-bar" role="group" aria-label="Pick panels">
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
