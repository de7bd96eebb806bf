import type { PanelView, PlanEdit, PlanView } from "../../api/client";
import { tokens } from "../../style/tokens";
import { MapHandle } from "../../views/MapHandle";
import { PartHandles } from "../../views/PartHandles";
import { cm, mm } from "../../views/words";

interface Props {
  plan: PlanView;
  panel: PanelView | undefined;
  edit(edit: PlanEdit): Promise<boolean>;
  tryOut(edit: PlanEdit): void;
}

/** Handles on the map: both ends of the part, and the thickness and width of the sections in hand. */
export function SectionHandles({ plan, panel, edit, tryOut }: Props) {
  const sections = panel && plan.plan.zones[panel.zone]?.sections;
  return (
    <g>
      <PartHandles plan={plan} edit={edit} tryOut={tryOut} />
      {panel && sections && (
        <Sizes key={panel.key} panel={panel} sections={sections} edit={edit} tryOut={tryOut} />
      )}
    </g>
  );
}

function Sizes({
  panel,
  sections,
  edit,
  tryOut,
}: {
  panel: PanelView;
  sections: PlanView["plan"]["zones"][string]["sections"];
  edit: Props["edit"];
  tryOut: Props["tryOut"];
}) {
  const [mx, my, ux, uy, ax, ay] = panel.grip;
  const cut = (change: Partial<typeof sections>): PlanEdit => ({
    kind: "cutZone",
    zone: panel.zone,
    ...sections,
    ...change,
  });
  /** Handles stand off the edge they move, so that a finger finds them on thin sections. */
  const off = 1.3;
  const [up, aside] = [Math.hypot(ux, uy) || 1, Math.hypot(ax, ay) || 1];
  const stand = (dx: number, dy: number, far: number) => ({
    x: mx + dx * (1 + off / far),
    y: my + dy * (1 + off / far),
  });
  /** How far along a direction a place lies, 1 where the edge is. */
  const share = (dx: number, dy: number, far: number) => (x: number, y: number) =>
    (((x - mx) * dx + (y - my) * dy) / far - off) / far;
  return (
    <>
      <path
        d={
          `M${-mx - ux} ${-my - uy}L${-stand(ux, uy, up).x} ${-stand(ux, uy, up).y}` +
          `M${-mx - ax} ${-my - ay}L${-stand(ax, ay, aside).x} ${-stand(ax, ay, aside).y}`
        }
        stroke={tokens.accent}
        strokeWidth="0.22"
        pointerEvents="none"
      />
      <MapHandle
        {...stand(ux, uy, up)}
        label="Thickness on the map"
        value={sections.thicknessMm}
        text={mm(sections.thicknessMm)}
        min={4}
        max={40}
        step={1}
        valueAt={(x, y) => panel.thicknessMm * share(ux, uy, up)(x, y)}
        onTry={(thicknessMm) => tryOut(cut({ thicknessMm }))}
        onSet={(thicknessMm) => edit(cut({ thicknessMm }))}
      />
      <MapHandle
        {...stand(ax, ay, aside)}
        label="Width on the map"
        value={sections.widthCm}
        text={cm(sections.widthCm)}
        min={1}
        max={10}
        step={0.5}
        valueAt={(x, y) => panel.widthCm * share(ax, ay, aside)(x, y)}
        onTry={(widthCm) => tryOut(cut({ widthCm }))}
        onSet={(widthCm) => edit(cut({ widthCm }))}
      />
    </>
  );
}
