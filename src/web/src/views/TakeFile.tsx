import { Button, Modal } from "antd";
import { type ReactNode, useState } from "react";
import { fieldsOf, raw } from "../api/given";
import parts from "../style/parts.module.css";
import { ChooseFile } from "./ChooseFile";
import css from "./TakeFile.module.css";

interface Looked<P> {
  name: string;
  file: File;
  preview?: P;
  errors?: Record<string, string>;
}

interface Props<P> {
  /** Where it is sent; what it would change is asked at the same address with /preview. */
  path: string;
  /** What the button is called where its words say too little. */
  label?: string;
  /** The button's words. */
  words: string;
  /** What would change; null where nothing would. */
  changes(preview: P): ReactNode | null;
  /** What is said where nothing would change. */
  nothing(preview: P): string;
  onTaken(): void;
}

const send = async <P,>(path: string, file: File): Promise<Pick<Looked<P>, "preview" | "errors">> => {
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
export function TakeFile<P>({ path, label, words, changes, nothing, onTaken }: Props<P>) {
  const [looked, setLooked] = useState<Looked<P>>();
  const look = async (file: File) =>
    setLooked({ name: file.name, file, ...(await send<P>(`${path}/preview`, file)) });
  const take = async () => {
    if (!looked) {
      return;
    }
    const answer = await send<P>(path, looked.file);
    if (answer.errors) {
      setLooked({ ...looked, preview: undefined, ...answer });
    } else {
      setLooked(undefined);
      onTaken();
    }
  };
  const { preview, errors } = looked ?? {};
  const would = preview && changes(preview);
  return (
    <>
      <ChooseFile name="CSV file" label={label} accept=".csv,text/csv" onChosen={look}>
        {words}
      </ChooseFile>
      <Modal
        open={looked !== undefined}
        title={looked?.name}
        onCancel={() => setLooked(undefined)}
        footer={
          <div className={parts.row}>
            {would && (
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
              {Object.entries(errors).map(([field, said]) => (
                <li key={field}>
                  <b>{field}</b> {said}
                </li>
              ))}
            </ul>
          </>
        )}
        {preview && (would ?? <p>{nothing(preview)}</p>)}
      </Modal>
    </>
  );
}
