import { Segmented } from "antd";
import { NavLink } from "react-router";
import parts from "../style/parts.module.css";
import { setUnits, useUnits } from "../views/units";
import css from "./MainNav.module.css";

const places = [
  { to: "/", name: "Day" },
  { to: "/calendar", name: "Calendar" },
  { to: "/desk", name: "Desk" },
  { to: "/shelf", name: "Shelf" },
  { to: "/data", name: "Data" },
] as const;

/** The ways between the day, the desk, the shelf and what is kept; and the units this device shows. */
export function MainNav() {
  const units = useUnits();
  return (
    <div className={`${parts.row} ${css.places}`}>
      <nav className={parts.row} aria-label="Places">
        {places.map((p) => (
          <NavLink
            key={p.to}
            to={p.to}
            end
            className={({ isActive }) => (isActive ? `${parts.place} ${css.now}` : parts.place)}
          >
            {p.name}
          </NavLink>
        ))}
      </nav>
      <Segmented
        aria-label="Units"
        value={units}
        options={[
          { value: "metric", label: "g · cm" },
          { value: "us", label: "oz · in" },
        ]}
        onChange={(v) => setUnits(v as "metric" | "us")}
      />
    </div>
  );
}
