import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { standing } from "../../main/resources/static/js/deck/ahead.js";
import { parts, words } from "../../main/resources/static/js/deck/told.js";

const rod = (what, body = "") => ({ id: what, path: `/deck/t1/rods/r1/${what}`, body: `act=x&${body}` });
const boat = (what, body = "") => ({ id: what, path: `/deck/t1/${what}`, body: `act=x&${body}` });

describe("a touch in words", () => {
  for (const [touch, told] of [
    [rod("bite"), "bite"],
    [rod("follow"), "follow"],
    [rod("lost", "cause=jumped+off"), "lost, jumped off"],
    [rod("landed", "species=walleye"), "walleye"],
    [rod("landed", "species=yellow+perch&count=3"), "3 yellow perch"],
    [rod("landed", "species=yellow+perch&count=1"), "yellow perch"],
    [rod("swap", "weight=up"), "swap, heavier"],
    [rod("swap", "weight=down"), "swap, lighter"],
    [rod("swap", "colour=dark+plum"), "swap, dark plum"],
    [rod("swap", "angler_id=01a0"), "swap"],
    [rod("said", "bite_on=fall"), "the bite, fall"],
    [rod("fished", "speed=slow"), "fished, slow"],
    [rod("back", "end=17%3A05"), "down since, 17:05"],
    [rod("fish/c9", "length_mm=41+cm&start.length_mm=40+cm&kept="), "about the fish, 41 cm"],
    [boat("lines", "lines=up"), "lines up"],
    [boat("lines", "lines=in"), "lines in"],
    [boat("next"), "moved to the next place"],
    [boat("move", "spot_id=01a0&depth_m=3+m"), "moved, 3 m"],
    [boat("reading", "column=sky&sky=overcast"), "reading, overcast"],
    [boat("undo", "undo=01a0"), "undo"],
    [boat("end"), "the trip ended"],
  ]) {
    test(told, () => assert.equal(words(touch), told));
  }

  test("knows its trip and its rod", () => {
    assert.deepEqual([parts(rod("fish/c9")).trip, parts(rod("fish/c9")).rod, parts(rod("fish/c9")).what], ["t1", "r1", "fish"]);
    assert.deepEqual([parts(boat("end")).rod, parts(boat("end")).what], ["", "end"]);
  });
});

describe("what stands of the touches that wait", () => {
  const bite = { ...rod("bite"), id: "a" };
  const undo = (id, of) => ({ ...boat("undo", `undo=${of}`), id });

  test("neither what is taken back nor what takes it back", () => {
    assert.deepEqual(standing([bite, undo("b", "a")]), []);
    assert.deepEqual(standing([bite, { ...rod("follow"), id: "c" }, undo("b", "a")]).map((t) => t.id), ["c"]);
  });

  test("what takes back something the server knows stands, since only the server can show it", () => {
    assert.deepEqual(standing([bite, undo("b", "z")]).map((t) => t.id), ["a", "b"]);
  });
});
