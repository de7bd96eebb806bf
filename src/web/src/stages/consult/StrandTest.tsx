import { Button, Popover, Select } from "antd";
import { scaleLinear } from "d3-scale";
import { area, line } from "d3-shape";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import type { Colours } from "../../api/seen";
import parts from "../../style/parts.module.css";
import { tokens } from "../../style/tokens";
import { hexOf } from "../../views/CrownMap";
import { Num } from "../../views/Num";
import { coverings, lighteners, lightenerWords } from "../../views/words";
import css from "./StrandTest.module.css";
import type { Consult } from "./useConsult";

const w = 212;
const h = 132;
const fresh: Schemas["StrandTest"] = { lightener: "clay", volume: 30, covering: "open", readings: [] };

/** The strand test: readings on the forecast they bend, with the band that remains. */
export function StrandTest({ consult, colours }: { consult: Consult; colours: Colours | undefined }) {
  const { curve, consultation, hair } = consult.view;
  const test = consultation.strand ?? fresh;
  const [minutes, setMinutes] = useState(20);
  const [level, setLevel] = useState(Math.min(10, hair.naturalLevel + 1));
  const low = Math.floor(hair.naturalLevel);
  const x = scaleLinear([0, 60], [24, w - 12]);
  const y = scaleLinear([low, Math.min(10, low + 6)], [h - 20, 8]);
  const points = curve.minutes.map((m, i) => ({
    m,
    level: curve.levels[i],
    lo: curve.low[i],
    hi: curve.high[i],
  }));
  const band = area<(typeof points)[number]>()
    .x((p) => x(p.m))
    .y0((p) => y(p.lo))
    .y1((p) => y(p.hi));
  const likely = line<(typeof points)[number]>()
    .x((p) => x(p.m))
    .y((p) => y(p.level));
  const save = (change: Partial<Schemas["StrandTest"]>) => consult.answer({ strand: { ...test, ...change } });
  return (
    <div className={css.strandtest} role="group" aria-label="Strand test">
      <div className={parts.title}>
        <h2>Strand test</h2>
        <span>{test.readings.length === 1 ? "1 reading" : `${test.readings.length} readings`}</span>
      </div>
      <svg
        width={w}
        height={h}
        role="img"
        aria-label={
          `Forecast of ${lightenerWords(test.lightener)}, ${test.volume} vol: ` +
          `level ${curve.levels[20].toFixed(1)} after 40 minutes, ` +
          `${curve.low[20].toFixed(1)} to ${curve.high[20].toFixed(1)}`
        }
      >
        {y.ticks(3).map((t) => (
          <text key={t} x={18} y={y(t) + 4} textAnchor="end">
            {t}
          </text>
        ))}
        {[0, 20, 40, 60].map((t) => (
          <text key={t} x={x(t)} y={h - 4} textAnchor="middle">
            {t}
          </text>
        ))}
        <path d={band(points) ?? undefined} fill={tokens.accent} opacity={0.18} />
        <path d={likely(points) ?? undefined} fill="none" stroke={tokens.accent} strokeWidth={2.5} />
        {test.readings.map((r) => (
          <circle
            key={`${r.minutes}-${r.level}`}
            cx={x(r.minutes)}
            cy={y(r.level)}
            r={5.5}
            fill={hexOf(colours?.levels, r.level)}
            stroke={tokens.ink}
            strokeWidth={1.8}
          />
        ))}
      </svg>
      <p className={parts.soft}>
        {curve.own ? `Own speed ${curve.own.speed.toFixed(2)}, ` : "Standard speed, "}
        {curve.levels[20].toFixed(1)} ± {((curve.high[20] - curve.low[20]) / 2).toFixed(1)} at 40 min
      </p>
      <div className={parts.row}>
        <Popover
          trigger="click"
          content={
            <div className={parts.bandform} role="group" aria-label="New reading">
              <Num
                draft
                name="Minute"
                unit="min"
                min={1}
                max={120}
                step={1}
                value={minutes}
                onSet={setMinutes}
              />
              <Num draft name="Level seen" min={1} max={10} step={0.5} value={level} onSet={setLevel} />
              <Button
                type="primary"
                onClick={() =>
                  save({
                    readings: [
                      ...test.readings.filter((r) => r.minutes !== minutes),
                      { minutes, level },
                    ].sort((a, b) => a.minutes - b.minutes),
                  })
                }
              >
                Note it
              </Button>
              {test.readings.length > 0 && (
                <Button onClick={() => save({ readings: test.readings.slice(0, -1) })}>
                  Take the last away
                </Button>
              )}
            </div>
          }
        >
          <Button>Add a reading</Button>
        </Popover>
        <Popover
          trigger="click"
          content={
            <div className={parts.bandform} role="group" aria-label="Tested with">
              <Select
                aria-label="Lightener"
                value={test.lightener}
                options={lighteners.map((l) => ({
                  value: l,
                  label: lightenerWords(l),
                }))}
                onChange={(lightener) => save({ lightener })}
              />
              <Select
                aria-label="Developer"
                value={test.volume}
                options={[10, 20, 30, 40].map((v) => ({ value: v, label: `${v} vol` }))}
                onChange={(volume) => save({ volume })}
              />
              <Select
                aria-label="Covered with"
                value={test.covering}
                options={coverings.map((c) => ({ value: c, label: c }))}
                onChange={(covering) => save({ covering })}
              />
            </div>
          }
        >
          <Button>
            {test.lightener}, {test.volume} vol
          </Button>
        </Popover>
      </div>
    </div>
  );
}
