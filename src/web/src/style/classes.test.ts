import { expect, test } from "vitest";
import { tokens } from "./tokens";

const styles = import.meta.glob<string>("../**/*.css", { query: "?raw", import: "default", eager: true });
const pages = import.meta.glob<string>("../**/*.tsx", { query: "?raw", import: "default", eager: true });
const modules = Object.keys(styles).filter((f) => f.endsWith(".module.css"));

/** Where a file's own word for another leads, as the globs above name it. */
const lead = (from: string, path: string) => {
  const at = new URL(path, new URL(from, "file:///page/style/")).pathname.replace("/page/", "");
  return at.startsWith("style/") ? `./${at.slice(6)}` : `../${at}`;
};

/** The classes that a module of styles names. */
const classesOf = (file: string) => {
  const selectors = styles[file]
    .replace(/:global\([^)]*\)/g, "")
    .replace(/\/\*[\s\S]*?\*\//g, "")
    .replace(/\{[^{}]*\}/g, "{}");
  return new Set([...selectors.matchAll(/\.([a-zA-Z]\w*)/g)].map((m) => m[1]));
};

/** Which classes of which module a file uses: misspelt ones would silently do nothing. */
const used = Object.entries(pages).flatMap(([file, text]) => {
  return [...text.matchAll(/import (\w+) from "([^"]+\.module\.css)"/g)].flatMap(([, name, path]) =>
    [...text.matchAll(new RegExp(`\\b${name}\\.(\\w+)`, "g"))]
      .filter((m) => m[1] !== "module")
      .map((m) => ({ file, module: lead(file, path), name: m[1] })),
  );
});

test("every class that a component names is in its styles", () => {
  expect(used.length).toBeGreaterThan(200);
  expect(used.filter((u) => !classesOf(u.module).has(u.name))).toEqual([]);
});

test("every class in the styles is used", () => {
  const byState = new Set(["lost", "overRange"]);
  const left = modules.flatMap((m) =>
    [...classesOf(m)]
      .filter((c) => !byState.has(c) && !used.some((u) => u.module === m && u.name === c))
      .map((c) => `${m} .${c}`),
  );
  expect(left).toEqual([]);
});

test("colours stand in the tokens alone, and styles name only those", () => {
  const names = Object.keys(tokens).map((n) => n.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`));
  for (const [file, text] of Object.entries({ ...styles, ...pages })) {
    expect(text.match(/#[0-9a-fA-F]{6}\b/g) ?? [], file).toEqual([]);
    const asked = [...text.matchAll(/var\(--([\w-]+)\)/g)].map((m) => m[1]);
    expect(
      asked.filter((n) => !names.includes(n)),
      file,
    ).toEqual([]);
  }
});
