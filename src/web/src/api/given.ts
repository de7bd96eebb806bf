import { reached } from "./reached";

/** The server took a request and refused it: in words, and by field where it said which. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    words: string,
    /** What can't be taken, by field as the server names it. */
    readonly fields: Readonly<Record<string, string>> = {},
  ) {
    super(words);
  }
}

/** Nothing came back. It is told once, for the whole page; nothing that was saved is lost. */
export class Unreachable extends Error {
  constructor() {
    super("The server does not answer.");
  }
}

interface Problem {
  title?: string;
  detail?: string;
  errors?: Record<string, string[]>;
}

/** A field as the server names it, in words: the last part of its path, without the unit it is kept in. */
function fieldWords(field: string): string {
  const own = field.slice(field.lastIndexOf(".") + 1).replace(/\[\d+\]/g, "");
  const words = own
    .replace(/(Cm|Mm)$/, "")
    .replace(/([A-Z])/g, " $1")
    .trim()
    .toLowerCase();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What a refused request said, in one line. */
export function wordsOf(problem: unknown): string {
  const p = problem as Problem | undefined;
  const first = p?.errors && Object.entries(p.errors)[0];
  if (first) {
    return `${fieldWords(first[0])}: ${first[1][0]}`;
  }
  return p?.detail ?? p?.title ?? "The server did not answer.";
}

const refused = (status: number, problem: unknown) =>
  new Refused(
    status,
    wordsOf(problem),
    Object.fromEntries(
      Object.entries((problem as Problem | undefined)?.errors ?? {}).map(([field, words]) => [
        field,
        words[0],
      ]),
    ),
  );

/** What a request gives; throws Refused, Unreachable, or what stopped it. */
export async function given<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  const { data, error, response } = await answered(asked);
  if (!response.ok) {
    throw refused(response.status, error);
  }
  return data as T;
}

async function answered<T>(asked: Promise<T>): Promise<T> {
  try {
    const answer = await asked;
    reached(true);
    return answer;
  } catch (e) {
    // A request that was called off says nothing of the server.
    if (e instanceof DOMException && e.name === "AbortError") {
      throw e;
    }
    reached(false);
    throw new Unreachable();
  }
}

/** Fetches what is no plain JSON. */
export async function raw(url: string, how?: RequestInit): Promise<Response> {
  const answer = await answered(fetch(url, how));
  if (!answer.ok) {
    throw refused(answer.status, await answer.json().catch(() => undefined));
  }
  return answer;
}

export const bytes = async (url: string, signal?: AbortSignal): Promise<ArrayBuffer> =>
  (await raw(url, { signal })).arrayBuffer();

/** Posts JSON to an address that is put together. */
export const posted = (url: string, body: unknown, signal?: AbortSignal): Promise<Response> =>
  raw(url, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
    signal,
  });

/** Errors by field, a form's own part of their names taken off. */
export const fieldsOf = (error: unknown, own = /^$/): Record<string, string> =>
  error instanceof Refused
    ? Object.fromEntries(Object.entries(error.fields).map(([f, w]) => [f.replace(own, ""), w]))
    : {};
