import { Button, Input } from "antd";
import { useState } from "react";
import parts from "../../style/parts.module.css";
import { clock } from "../../views/times";
import type { Facts } from "../../visit/useFacts";
import css from "./CloseVisit.module.css";
import { Photographs } from "./Photographs";
import type { RecordFact, RecordView } from "./useRecord";

interface Props {
  visit: string;
  kept: Facts<RecordView, RecordFact>;
  view: RecordView;
}

/** After-care in her words, the artist's sentence, and the visit put away. */
export function CloseVisit({ visit, kept, view }: Props) {
  const { say, refused, busy } = kept;
  const given = view.kept.careGivenAt;
  const away = view.kept.putAwayAt;
  const written = view.care.join("\n");
  return (
    <div className={css.away}>
      <div className={parts.title}>
        <h2>After-care</h2>
        <a href={`/api/visits/${visit}/record/care.pdf`} target="_blank" rel="noreferrer">
          Print
        </a>
      </div>
      <Words
        name="After-care"
        rows={9}
        most={4000}
        value={view.kept.care ?? written}
        onSay={(words) => say({ kind: "care", words: words.trim() === written.trim() ? null : words })}
      />
      <div className={parts.row}>
        <Button
          size="large"
          type={given ? "default" : "primary"}
          aria-pressed={given != null}
          disabled={busy}
          onClick={() => say({ kind: "given", is: given == null })}
        >
          {given ? `Given at ${clock(given)}` : "Given to the client"}
        </Button>
        {view.kept.care != null && (
          <Button size="large" type="text" disabled={busy} onClick={() => say({ kind: "care", words: null })}>
            As written here
          </Button>
        )}
      </div>
      <h2>A sentence</h2>
      <Words
        name="A sentence about this visit"
        rows={3}
        most={1000}
        value={view.kept.words ?? ""}
        onSay={(words) => say({ kind: "words", words })}
      />
      <Words
        name="How it was styled"
        placeholder="How it was styled for the photographs"
        rows={1}
        most={1000}
        value={view.kept.styled ?? ""}
        onSay={(words) => say({ kind: "styled", words })}
      />
      <Photographs visit={visit} last={view.lastVisit ?? undefined} />
      {refused && <p role="alert">{refused}</p>}
      <Button
        size="large"
        type={away ? "default" : "primary"}
        aria-pressed={away != null}
        disabled={busy}
        onClick={() => say({ kind: "putAway", is: away == null })}
      >
        {away ? `Put away at ${clock(away)}` : "Put the visit away"}
      </Button>
      <p className={parts.soft}>
        {away
          ? "It counts in the year's figures. Press again to go on. After a month its plan keeps no steps to undo."
          : "The record is complete, and counts in the year's figures."}
      </p>
    </div>
  );
}

/** Words that are kept when the field is left. */
function Words({
  name,
  placeholder,
  rows,
  most,
  value,
  onSay,
}: {
  name: string;
  placeholder?: string;
  rows: number;
  most: number;
  value: string;
  onSay(words: string): void;
}) {
  const [typed, setTyped] = useState<string>();
  return (
    <Input.TextArea
      aria-label={name}
      placeholder={placeholder ?? name}
      autoSize={{ minRows: rows, maxRows: 14 }}
      maxLength={most}
      value={typed ?? value}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={() => {
        if (typed !== undefined && typed !== value) {
          onSay(typed);
        }
        setTyped(undefined);
      }}
    />
  );
}
