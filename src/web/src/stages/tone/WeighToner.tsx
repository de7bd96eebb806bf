import { Button, Modal } from "antd";
import { useRef, useState } from "react";
import type { Weighs } from "../../weighing/bowls";
import { useScale } from "../../weighing/useScale";
import { Weighing } from "../../weighing/Weighing";
import { type Memory, nothing } from "../../weighing/weighing";
import type { ToneAreaView, ToneView, Toning } from "./useTone";

interface Props {
  toning: Toning;
  tone: ToneView;
  area: ToneAreaView;
}

/** An area's bowl on the scale, weighed like any other. */
export function WeighToner({ toning, tone, area }: Props) {
  const [open, setOpen] = useState(false);
  const done = area.inBowl.begun?.isDone;
  return (
    <>
      <Button onClick={() => setOpen(true)}>{done ? "✓ Weighed" : "Weigh…"}</Button>
      <Modal
        open={open}
        title={`Weigh ${area.area.name}`}
        footer={null}
        destroyOnHidden
        onCancel={() => setOpen(false)}
      >
        <OnScale toning={toning} tone={tone} area={area} />
      </Modal>
    </>
  );
}

function OnScale({ toning, tone, area }: Props) {
  const reading = useScale();
  const memory = useRef<Memory>(nothing);
  const weighs: Weighs = {
    busy: toning.busy,
    settling: tone.settling,
    begin: () => Promise.resolve(true),
    happen: (_, what) => toning.say({ kind: "weighed", area: area.area.id, what }),
  };
  return <Weighing bowl={area.inBowl} mixing={weighs} reading={reading} memory={memory} />;
}
