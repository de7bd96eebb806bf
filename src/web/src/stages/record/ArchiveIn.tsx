import { useMutation, useQueryClient } from "@tanstack/react-query";
import { Button, Spin } from "antd";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { raw } from "../../api/given";
import { ChooseFile } from "../../views/ChooseFile";
import css from "./Data.module.css";

type View = Schemas["ArchiveView"];

const post = async (path: string, file: File): Promise<View> => {
  const answer = await raw(path, {
    method: "POST",
    headers: { "content-type": "application/zip" },
    body: file,
  });
  return answer.json();
};

const words = {
  new: "new",
  changed: "gone on or other there",
  same: "the same",
  newerHere: "gone on here since: stays",
  refused: "refused",
} as const;

/** An archive taken in: looked through whole and shown before anything is written. */
export function ArchiveIn() {
  const [file, setFile] = useState<File>();
  const cache = useQueryClient();
  const look = useMutation({ mutationFn: (chosen: File) => post("/api/archive/preview", chosen) });
  const take = useMutation({
    mutationFn: (chosen: File) => post("/api/archive", chosen),
    onSuccess: () => cache.invalidateQueries(),
  });
  const view = take.data ?? look.data;
  const refused = take.error ?? look.error;
  const brings = view !== undefined && view.new + view.changed > 0;
  return (
    <section aria-labelledby="in">
      <h2 id="in">Take an archive in</h2>
      <p>It is looked through whole first; nothing here is lost, and taken twice it changes nothing.</p>
      <ChooseFile
        size="large"
        name="Archive file"
        accept=".zip,application/zip"
        onChosen={(chosen) => {
          take.reset();
          setFile(chosen);
          look.mutate(chosen);
        }}
      >
        Choose an archive…
      </ChooseFile>
      {(look.isPending || take.isPending) && <Spin />}
      {refused && (
        <p role="alert">
          <b>Nothing was taken.</b> {refused.message}
        </p>
      )}
      {file && view && !refused && (
        <div role="status">
          <h3>
            {file.name}
            {take.data ? " is taken in" : ""}
          </h3>
          <ul className={css.counts}>
            {(Object.keys(words) as (keyof typeof words)[])
              .filter((k) => view[k] > 0)
              .map((k) => (
                <li key={k}>
                  <b>{view[k]}</b> {words[k]}
                </li>
              ))}
          </ul>
          {!view.health && (
            <p>Without answers about health: they are asked again before anything is painted.</p>
          )}
          <ul className={css.items}>
            {view.items.slice(0, 40).map((i) => (
              <li key={`${i.what} ${i.id} ${i.name}`} data-becomes={i.becomes}>
                {i.what} {i.name}: {words[i.becomes]}
                {i.why ? `. ${i.why}` : ""}
              </li>
            ))}
          </ul>
          {!take.data && !brings && <p>Nothing would change.</p>}
          {!take.data && brings && (
            <Button type="primary" size="large" disabled={take.isPending} onClick={() => take.mutate(file)}>
              Take it in
            </Button>
          )}
        </div>
      )}
    </section>
  );
}
