import { Button, Modal } from "antd";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { fieldsOf, raw } from "../../api/given";
import parts from "../../style/parts.module.css";
import { ChooseFile } from "../../views/ChooseFile";
import css from "./ShelfFile.module.css";

type Preview = Schemas["ShelfPreview"];

interface Looked {
  name: string;
  file: File;
  preview?: Preview;
  errors?: Record<string, string>;
}

const send = async (path: string, file: File): Promise<Pick<Looked, "preview" | "errors">> => {
  try {
    const answer = await raw(path, {
      method: "POST",
      headers: { "content-type": "text/csv" },
      body: file,
    });
    return { preview: await answer.json() };
  } catch (e) {
    const fields = fieldsOf(e);
    return { errors: Object.keys(fields).length > 0 ? fields : { file: (e as Error).message } };
  }
};

/** A table taken in: looked through whole, shown before anything is written. */
export function ShelfFile({ onTaken }: { onTaken(): void }) {
  const [looked, setLooked] = useState<Looked>();
  const look = async (file: File) =>
    setLooked({ name: file.name, file, ...(await send("/api/shelf/file/preview", file)) });
  const take = async () => {
    if (!looked) {
      return;
    }
    const answer = await send("/api/shelf/file", looked.file);
    if (answer.errors) {
      setLooked({ ...looked, preview: undefined, ...answer });
    } else {
      setLooked(undefined);
      onTaken();
    }
  };
  const { preview, errors } = looked ?? {};
  const nothing = preview && preview.added.length + preview.changed.length === 0;
  return (
    <>
      <ChooseFile name="CSV file" accept=".csv,text/csv" onChosen={look}>
        Import CSV…
      </ChooseFile>
      <Modal
        open={looked !== undefined}
        title={looked?.name}
        onCancel={() => setLooked(undefined)}
        footer={
          <div className={parts.row}>
            {preview && !nothing && (
              <Button type="primary" onClick={take}>
                Import it
              </Button>
            )}
            <Button onClick={() => setLooked(undefined)}>Leave</Button>
          </div>
        }
      >
        {errors && (
          <>
            <p role="alert">
              <b>Nothing was imported.</b> Fix these and try again:
            </p>
            <ul className={css.rowerrors}>
              {Object.entries(errors).map(([field, words]) => (
                <li key={field}>
                  <b>{field}</b> {words}
                </li>
              ))}
            </ul>
          </>
        )}
        {nothing && <p>Nothing would change: all {preview?.unchanged} are as they are on the shelf.</p>}
        {preview && !nothing && (
          <>
            {preview.added.length > 0 && (
              <p>
                <b>{preview.added.length} new:</b> {few(preview.added)}
              </p>
            )}
            {preview.changed.length > 0 && (
              <p>
                <b>{preview.changed.length} changed:</b>{" "}
                {few(preview.changed.map((c) => `${c.name} (${c.columns.join(", ")})`))}
              </p>
            )}
            <p className={parts.soft}>
              {preview.unchanged} stay as they are. Nothing is taken off the shelf.
            </p>
          </>
        )}
      </Modal>
    </>
  );
}

const few = (names: string[]) =>
  names.length <= 12 ? names.join(", ") : `${names.slice(0, 12).join(", ")} and ${names.length - 12} more`;
