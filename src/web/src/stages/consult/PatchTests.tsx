import { Button, DatePicker, Input, Segmented } from "antd";
import dayjs from "dayjs";
import type { Schemas } from "../../api/client";
import parts from "../../style/parts.module.css";
import type { Consult } from "./useConsult";

type Patch = Schemas["PatchTest"];

const results = [
  { value: "waiting", label: "not read" },
  { value: "clear", label: "clear" },
  { value: "reacted", label: "reacted" },
];

/** One patch test: the lightener's, or a colour's, counted from 0. */
export function PatchForm({ consult, colour }: { consult: Consult; colour?: number }) {
  const { patch: first, patches } = consult.view.consultation;
  const colours = patches ?? [];
  const patch = colour === undefined ? first : colours[colour];
  const field = colour === undefined ? "patch" : `patches[${colour}]`;
  const set = (next: Patch | null) =>
    colour === undefined
      ? consult.answer({ patch: next })
      : consult.answer({
          patches: next
            ? colours.map((p, i) => (i === colour ? next : p))
            : colours.filter((_, i) => i !== colour),
        });
  const said = (what: "product" | "lot", label: string, longest: number) =>
    patch && (
      <Input
        aria-label={label}
        placeholder={label}
        defaultValue={patch[what] ?? ""}
        maxLength={longest}
        onBlur={(e) => {
          const text = e.target.value.trim() || null;
          if (text !== (patch[what] ?? null)) {
            set({ ...patch, [what]: text });
          }
        }}
      />
    );
  return (
    <>
      <DatePicker
        aria-label="Applied on"
        showTime={{ format: "HH:mm" }}
        format="D MMM YYYY HH:mm"
        value={patch ? dayjs(patch.at) : null}
        maxDate={dayjs()}
        onChange={(d) =>
          set(d ? { ...patch, at: d.toISOString(), result: patch?.result ?? "waiting" } : null)
        }
      />
      {consult.errors[`${field}.at`] && (
        <p role="alert" className={parts.wrong}>
          {consult.errors[`${field}.at`]}
        </p>
      )}
      <Button onClick={() => set({ ...patch, at: dayjs().toISOString(), result: "waiting" })}>
        Put on now
      </Button>
      {said("product", "Product", 60)}
      {said("lot", "Lot", 40)}
      {patch && (
        <Segmented
          aria-label="Result"
          value={patch.result}
          options={results}
          onChange={(v) => set({ ...patch, result: v as Patch["result"] })}
        />
      )}
      {colour === undefined ? (
        <Button
          type="text"
          onClick={() =>
            consult.answer({
              patches: [...colours, { at: dayjs().toISOString(), result: "waiting" }],
            })
          }
        >
          Another product…
        </Button>
      ) : (
        <Button type="text" onClick={() => set(null)}>
          Remove
        </Button>
      )}
    </>
  );
}
