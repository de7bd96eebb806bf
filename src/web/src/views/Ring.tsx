import { Button } from "antd";
import { tokens } from "../style/tokens";
import { angleStep, angleWords, namedAngles, turned } from "./angles";
import css from "./HeadView.module.css";

/** The angles round her. */
export function Ring({ angle, onAngle }: { angle: number; onAngle(a: number): void }) {
  const turn = (by: number) => onAngle(turned(angle, by));
  const w = 300;
  const at = (a: number) => {
    const r = (a * Math.PI) / 180;
    return { x: w / 2 - Math.sin(-r) * 132, y: 26 + Math.cos(r) * 15 };
  };
  const here = at(angle);
  return (
    <div className={css.ring}>
      <Button
        aria-label="Turn left"
        onClick={() => turn(-angleStep)}
        icon={<span aria-hidden="true">‹</span>}
      />
      <svg width={w} height={52} viewBox={`0 0 ${w} 52`} role="group" aria-label="Angles">
        <ellipse cx={w / 2} cy={26} rx={132} ry={15} fill="none" stroke={tokens.edge} strokeWidth="2" />
        {namedAngles.map((a) => {
          const p = at(a);
          return (
            <g key={a}>
              <circle cx={p.x} cy={p.y} r={4.5} fill={tokens.edge} />
              {/* biome-ignore lint/a11y/noStaticElementInteractions: arrow keys on the head do the same */}
              <circle
                cx={p.x}
                cy={p.y}
                r={15}
                fill="transparent"
                style={{ cursor: "pointer" }}
                onClick={() => onAngle(a)}
              />
            </g>
          );
        })}
        <circle cx={here.x} cy={here.y} r={9} fill={tokens.accent} pointerEvents="none" />
        <text x={w / 2} y={31} textAnchor="middle" fontSize="14" fill={tokens.deep}>
          {angle % 30 === 0 ? angleWords(angle) : `${angle}°`}
        </text>
      </svg>
      <Button
        aria-label="Turn right"
        onClick={() => turn(angleStep)}
        icon={<span aria-hidden="true">›</span>}
      />
    </div>
  );
}
