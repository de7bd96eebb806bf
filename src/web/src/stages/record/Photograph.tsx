import { Modal } from "antd";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { Whether } from "../../views/Choice";
import { DeletePhotograph } from "../../views/DeletePhotograph";
import css from "./Photographs.module.css";

interface Props {
  title: string;
  src: string;
  /** The same from the visit before; undefined where there is none. */
  lastTime?: string;
  mayBeShown: boolean;
  onAgree(mayBeShown: boolean): void;
  onRemove(): void;
  onClose(): void;
}

/** A photograph at its size, beside the same one of last time. */
export function Photograph({ title, src, lastTime, mayBeShown, onAgree, onRemove, onClose }: Props) {
  return (
    <Modal
      open
      title={title}
      onCancel={onClose}
      footer={null}
      width={lastTime ? 1100 : 720}
      centered
      styles={{ container: { background: tokens.surround }, header: { background: "transparent" } }}
    >
      <div className={css.large}>
        {lastTime && (
          <figure>
            <img src={lastTime} alt={`${title}, last time`} />
            <figcaption>Last time</figcaption>
          </figure>
        )}
        <figure>
          <img src={src} alt={title} />
          {lastTime && <figcaption>This time</figcaption>}
        </figure>
      </div>
      <div className={parts.row}>
        <Whether name="The client agreed that it may be shown" value={mayBeShown} onChange={onAgree} />
        <DeletePhotograph onDelete={onRemove} />
      </div>
    </Modal>
  );
}
