import { expect, test, vi } from "vitest";
import { fieldsOf, given, posted, Refused, Unreachable } from "./given";
import * as reached from "./reached";

const answer = (status: number, body: unknown) =>
  Promise.resolve({
    data: status < 300 ? body : undefined,
    error: status < 300 ? undefined : body,
    response: new Response(null, { status }),
  });

test("what was given is given on, an empty answer too", async () => {
  expect(await given(answer(200, { level: 5 }))).toEqual({ level: 5 });
  expect(await given(answer(204, undefined))).toBeUndefined();
});

const refusal = (asked: Promise<unknown>): Promise<Refused> =>
  asked.then(
    () => {
      throw new Error("It was taken.");
    },
    (e: Refused) => e,
  );

test("what was refused says its status, its words and its fields", async () => {
  const refused = await refusal(
    given(answer(400, { title: "It can't be taken.", errors: { "hair.hemCm": ["Give 16 to 75 cm."] } })),
  );
  expect(refused).toBeInstanceOf(Refused);
  expect(refused.status).toBe(400);
  expect(refused.message).toBe("Hem: Give 16 to 75 cm.");
  expect(fieldsOf(refused, /^(hair|consultation)\./)).toEqual({ hemCm: "Give 16 to 75 cm." });
  const late = await refusal(given(answer(409, { title: "Conflict", detail: "Someone else changed this." })));
  expect(late.message).toBe("Someone else changed this.");
  expect(fieldsOf(late)).toEqual({});
});

test.each([
  ["formula.volume", "Volume"],
  ["edit.edits[2].startCm", "Start"],
  ["rules.leaveOutMm", "Leave out"],
  ["readings[0]", "Readings"],
])("a field %s is said as %s", async (field, words) => {
  const refused = await refusal(given(answer(400, { errors: { [field]: ["No."] } })));
  expect(refused.message).toBe(`${words}: No.`);
  expect(fieldsOf(refused)).toEqual({ [field]: "No." });
});

test("a server that is away is told once, and again only after it was back", async () => {
  const said = vi.spyOn(reached, "reached");
  await expect(given(Promise.reject(new TypeError("failed to fetch")))).rejects.toBeInstanceOf(Unreachable);
  expect(said).toHaveBeenLastCalledWith(false);
  await given(answer(200, 1));
  expect(said).toHaveBeenLastCalledWith(true);
  said.mockRestore();
});

test("a request that was called off says nothing of the server", async () => {
  const said = vi.spyOn(reached, "reached");
  await expect(given(Promise.reject(new DOMException("", "AbortError")))).rejects.toBeInstanceOf(
    DOMException,
  );
  expect(said).not.toHaveBeenCalled();
  said.mockRestore();
});

test("what is no JSON is refused in words all the same", async () => {
  vi.stubGlobal("fetch", () => Promise.resolve(new Response("<html>", { status: 502 })));
  await expect(posted("/api/desk/anything", {})).rejects.toThrow("The server did not answer.");
  vi.unstubAllGlobals();
});
