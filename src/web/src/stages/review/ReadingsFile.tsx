import { useQueryClient } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import { TakeFile } from "../../views/TakeFile";
import type { ReviewView } from "./useReview";

type Preview = Schemas["ReadingsPreview"];

/** Readings written down elsewhere, taken in from a table. */
export function ReadingsFile({ visit, review }: { visit: string; review: ReviewView }) {
  const cache = useQueryClient();
  const where = (r: Preview["added"][number]) =>
    `${review.zones.find((z) => z.zone === r.zone)?.words ?? r.zone}, ${r.depth}`;
  return (
    <TakeFile<Preview>
      path={`/api/visits/${visit}/review/readings`}
      label="Import readings from a CSV file"
      words="Import readings…"
      nothing={(p) => `Nothing would change: ${p.unchanged} are read so already.`}
      changes={(p) =>
        p.added.length + p.changed.length === 0 ? null : (
          <>
            <ul>
              {p.added.map((r) => (
                <li key={where(r)}>
                  {where(r)}: {r.becomes.toFixed(1)}
                </li>
              ))}
              {p.changed.map((r) => (
                <li key={where(r)}>
                  {where(r)}: {r.becomes.toFixed(1)}, it was read {r.was?.toFixed(1)}
                </li>
              ))}
            </ul>
            {p.unchanged > 0 && <p className={parts.soft}>{p.unchanged} stay as they are.</p>}
          </>
        )
      }
      onTaken={() => {
        for (const stage of ["review", "glance"]) {
          cache.invalidateQueries({ queryKey: [stage, visit] });
        }
      }}
    />
  );
}
