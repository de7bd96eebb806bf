import { useState } from "react";
import parts from "../../style/parts.module.css";
import { ChooseFile } from "../../views/ChooseFile";
import { type PhotoMoment, usePhotographs } from "../../visit/usePhotographs";
import css from "./Photographs.module.css";

const moments: { moment: PhotoMoment; name: string }[] = [
  { moment: "before", name: "Before" },
  { moment: "painted", name: "Painted" },
  { moment: "rinsed", name: "Rinsed" },
  { moment: "toned", name: "Toned" },
];

/** The same set of photographs every time, by moment. */
export function Photographs({ visit }: { visit: string }) {
  const { photographs, add, adding, refused } = usePhotographs(visit);
  const [moment, setMoment] = useState<PhotoMoment>();
  return (
    <section aria-labelledby="photographs">
      <h2 id="photographs">Photographs</h2>
      <p className={parts.soft}>
        The same every time: part from above, both sides, back, tied, in daylight. They are kept without place
        or camera, and shown to nobody without being asked.
      </p>
      {moments.map((m) => (
        <div key={m.moment} role="group" aria-label={m.name} className={css.album}>
          <ChooseFile
            size="large"
            loading={adding && moment === m.moment}
            name={`Photograph to keep: ${m.name}`}
            accept="image/jpeg,image/png"
            onChosen={(file) => {
              setMoment(m.moment);
              add(file, m.moment).catch(() => undefined);
            }}
          >
            {`${m.name}…`}
          </ChooseFile>
          {photographs
            .filter((p) => p.moment === m.moment)
            .map((p) => (
              <img
                key={p.name}
                alt={`${m.name}, kept ${new Date(p.at).toLocaleTimeString()}`}
                src={`/api/visits/${visit}/photographs/${p.name}`}
                height="56"
              />
            ))}
        </div>
      ))}
      {refused && <p role="alert">{refused}</p>}
    </section>
  );
}
