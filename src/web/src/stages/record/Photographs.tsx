import { useState } from "react";
import parts from "../../style/parts.module.css";
import { ChooseFile } from "../../views/ChooseFile";
import {
  type PhotoFrom,
  type PhotoMoment,
  type StoredPhotograph,
  usePhotographs,
} from "../../visit/usePhotographs";
import { Photograph } from "./Photograph";
import css from "./Photographs.module.css";

const moments: { moment: PhotoMoment; name: string }[] = [
  { moment: "before", name: "Before" },
  { moment: "painted", name: "Painted" },
  { moment: "rinsed", name: "Rinsed" },
  { moment: "toned", name: "Toned" },
];

const sides: { from: PhotoFrom; name: string }[] = [
  { from: "parting", name: "Part" },
  { from: "left", name: "Left" },
  { from: "right", name: "Right" },
  { from: "back", name: "Back" },
  { from: "tied", name: "Tied" },
];

/** In words: when and from where a photograph was taken. */
function told(p: StoredPhotograph): string {
  const moment = moments.find((m) => m.moment === p.moment)?.name ?? "";
  const side = sides.find((s) => s.from === p.from)?.name.toLowerCase();
  return side ? `${moment}, ${side}` : moment;
}

interface Props {
  visit: string;
  /** The visit before it; undefined where there is none. */
  last?: string;
}

/** The same set of photographs every time: four moments, five places to stand. */
export function Photographs({ visit, last }: Props) {
  const { photographs, add, adding, refused, agree, remove } = usePhotographs(visit);
  const before = usePhotographs(last).photographs;
  const [at, setAt] = useState<string>();
  const [open, setOpen] = useState<string>();
  const shown = photographs.find((p) => p.name === open);
  const lastTime =
    shown?.from && before.findLast((p) => p.from === shown.from && p.moment === shown.moment)?.name;
  const src = (name: string) => `/api/visits/${visit}/photographs/${name}`;
  const others = photographs.filter((p) => p.from == null);
  const small = (p: StoredPhotograph) => (
    <button key={p.name} type="button" aria-label={`Look at: ${told(p)}`} onClick={() => setOpen(p.name)}>
      <img alt="" src={src(p.name)} />
    </button>
  );
  return (
    <section aria-labelledby="photographs">
      <h2 id="photographs">Photographs</h2>
      <p className={parts.soft}>
        The same every time, in daylight. They are kept without place or camera, and shown to nobody without
        being asked.
      </p>
      <table className={css.album}>
        <thead>
          <tr>
            <td />
            {moments.map((m) => (
              <th key={m.moment} scope="col">
                {m.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sides.map((s) => (
            <tr key={s.from}>
              <th scope="row">{s.name}</th>
              {moments.map((m) => {
                const slot = `${m.name}, ${s.name.toLowerCase()}`;
                const taken = photographs.filter((p) => p.moment === m.moment && p.from === s.from);
                return (
                  <td key={m.moment}>
                    {taken.length > 0 ? (
                      taken.map(small)
                    ) : (
                      <ChooseFile
                        size="large"
                        loading={adding && at === slot}
                        name={`Photograph to keep: ${slot}`}
                        label={`Add a photograph: ${slot}`}
                        accept="image/jpeg,image/png"
                        onChosen={(file) => {
                          setAt(slot);
                          add(file, m.moment, s.from).catch(() => undefined);
                        }}
                      >
                        +
                      </ChooseFile>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      {others.length > 0 && (
        <div role="group" aria-label="Other photographs" className={css.others}>
          {others.map(small)}
        </div>
      )}
      {refused && <p role="alert">{refused}</p>}
      {shown && (
        <Photograph
          title={told(shown)}
          src={src(shown.name)}
          lastTime={lastTime ? `/api/visits/${last}/photographs/${lastTime}` : undefined}
          mayBeShown={shown.mayBeShown}
          onAgree={(may) => agree(shown.name, may)}
          onRemove={() => remove(shown.name).then(() => setOpen(undefined))}
          onClose={() => setOpen(undefined)}
        />
      )}
    </section>
  );
}
