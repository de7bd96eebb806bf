import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { TakeFile } from "../../views/TakeFile";

type Preview = Schemas["ShelfPreview"];

/** The shelf taken in from a table. */
export function ShelfFile({ onTaken }: { onTaken(): void }) {
  return (
    <TakeFile<Preview>
      path="/api/shelf/file"
      words="Import CSV…"
      nothing={(p) => `Nothing would change: all ${p.unchanged} are as they are on the shelf.`}
      changes={(p) =>
        p.added.length + p.changed.length === 0 ? null : (
          <>
            {p.added.length > 0 && (
              <p>
                <b>{p.added.length} new:</b> {few(p.added)}
              </p>
            )}
            {p.changed.length > 0 && (
              <p>
                <b>{p.changed.length} changed:</b>{" "}
                {few(p.changed.map((c) => `${c.name} (${c.columns.join(", ")})`))}
              </p>
            )}
            <p className={parts.soft}>{p.unchanged} stay as they are. Nothing is taken off the shelf.</p>
          </>
        )
      }
      onTaken={onTaken}
    />
  );
}

const few = (names: string[]) =>
  names.length <= 12 ? names.join(", ") : `${names.slice(0, 12).join(", ")} and ${names.length - 12} more`;
