import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { MustWait, Queue, counted, newId, waited } from "../../main/resources/static/js/deck/queue.js";

/** A device's memory that hands out copies, as a database does. */
function memory(held = new Map()) {
  const copy = (value) => (value === undefined ? undefined : structuredClone(value));
  return {
    held,
    get: async (key) => copy(held.get(key)),
    update: async (key, change) => {
      held.set(key, copy(change(copy(held.get(key)))));
    },
  };
}

function touch(id, card = "rod-1") {
  return { id, path: `/deck/t/rods/r/${id}`, body: `act=${id}`, card };
}

/** A server that answers as it is told, and remembers what reached it. */
function server(answers = {}) {
  const got = [];
  const post = async (sent) => {
    got.push(sent.id);
    const answer = answers[sent.id];
    if (answer instanceof Error) {
      throw answer;
    }
    return answer ?? { ok: true, status: 200, text: `shown ${sent.id}` };
  };
  return { got, post };
}

const stored = { ok: true, status: 200, text: "" };

describe("a queue of touches", () => {
  test("sends in the order they were made and empties", async () => {
    const { got, post } = server();
    const queue = new Queue({ keep: memory(), person: "p", post, now: () => 5 });
    for (const id of ["a", "b", "c"]) {
      await queue.add(touch(id));
    }
    assert.deepEqual((await queue.waiting()).map((t) => [t.id, t.at]), [["a", 5], ["b", 5], ["c", 5]]);
    assert.equal(await queue.flush(() => {}), "");
    assert.deepEqual(got, ["a", "b", "c"]);
    assert.deepEqual(await queue.waiting(), []);
  });

  test("is on the device before anything is sent", async () => {
    const keep = memory();
    const queue = new Queue({ keep, person: "p", post: () => assert.fail("sent too early") });
    await queue.add(touch("a"));
    assert.deepEqual(keep.held.get("touches:p").map((t) => t.id), ["a"]);
  });

  test("shows the last answer of a card only, since those before it are overtaken", async () => {
    const { post } = server();
    const queue = new Queue({ keep: memory(), person: "p", post });
    await queue.add(touch("a", "rod-1"));
    await queue.add(touch("b", "rod-2"));
    await queue.add(touch("c", "rod-1"));
    const shown = [];
    await queue.flush((text) => shown.push(text));
    assert.deepEqual(shown, ["shown b", "shown c"]);
  });

  for (const words of ["No signal.", "Please sign in again.", "The server has a problem."]) {
    test(`waits, and keeps everything, where it is told: ${words}`, async () => {
      const { got, post } = server({ b: new MustWait(words) });
      const queue = new Queue({ keep: memory(), person: "p", post });
      await queue.add(touch("a"));
      await queue.add(touch("b"));
      await queue.add(touch("c"));
      assert.equal(await queue.flush(() => {}), words);
      assert.deepEqual(got, ["a", "b"]);
      assert.deepEqual((await queue.waiting()).map((t) => t.id), ["b", "c"]);
    });
  }

  test("takes up where it stopped once the signal is back, and sends nothing twice on its own account", async () => {
    const answers = { a: new MustWait("No signal.") };
    const { got, post } = server(answers);
    const queue = new Queue({ keep: memory(), person: "p", post });
    await queue.add(touch("a"));
    await queue.add(touch("b"));
    await queue.flush(() => {});
    delete answers.a;
    assert.equal(await queue.flush(() => {}), "");
    assert.deepEqual(got, ["a", "a", "b"]);
  });

  test("shows a refusal made before its maker's eyes, and forgets it", async () => {
    const { post } = server({ a: { ok: false, status: 422, text: "why" } });
    const queue = new Queue({ keep: memory(), person: "p", post, now: () => 1000 });
    await queue.add({ ...touch("a"), at: 900 });
    await queue.add({ ...touch("b"), at: 950 });
    const shown = [];
    await queue.flush((text) => shown.push(text));
    assert.deepEqual(shown, ["why", "shown b"]);
    assert.deepEqual(await queue.aside(), []);
  });

  test("keeps aside what was refused after it waited", async () => {
    const { post } = server({ a: { ok: false, status: 422, text: "why" } });
    const queue = new Queue({ keep: memory(), person: "p", post, now: () => 60_000 });
    await queue.add({ ...touch("a"), at: 1000 });
    await queue.flush(() => {});
    assert.deepEqual((await queue.aside()).map((t) => t.id), ["a"]);
  });

  for (const status of [400, 404, 413]) {
    test(`keeps aside what can never be stored (${status}), and goes on`, async () => {
      const { got, post } = server({ a: { ok: false, status, text: "" } });
      const queue = new Queue({ keep: memory(), person: "p", post });
      await queue.add(touch("a"));
      await queue.add(touch("b"));
      const shown = [];
      await queue.flush((text) => shown.push(text));
      assert.deepEqual(got, ["a", "b"]);
      assert.deepEqual(shown, ["shown b"]);
      assert.deepEqual((await queue.aside()).map((t) => t.id), ["a"]);
      assert.deepEqual(await queue.waiting(), []);
    });
  }

  test("leaves another person's touches alone", async () => {
    const keep = memory();
    const first = server();
    const one = new Queue({ keep, person: "one", post: first.post });
    const other = new Queue({ keep, person: "other", post: () => assert.fail("not theirs") });
    await one.add(touch("a"));
    assert.deepEqual(await other.waiting(), []);
    assert.equal(await other.flush(() => {}), "");
    assert.deepEqual((await one.waiting()).map((t) => t.id), ["a"]);
  });

  test("sends once although it is asked twice at once, and takes in what came meanwhile", async () => {
    const got = [];
    let release;
    const gate = new Promise((resolve) => (release = resolve));
    const post = async (sent) => {
      got.push(sent.id);
      await gate;
      return stored;
    };
    const queue = new Queue({ keep: memory(), person: "p", post });
    await queue.add(touch("a"));
    const one = queue.flush(() => {});
    const two = queue.flush(() => {});
    assert.ok(queue.busy);
    await queue.add(touch("b"));
    release();
    assert.deepEqual(await Promise.all([one, two]), ["", ""]);
    assert.deepEqual(got, ["a", "b"]);
    assert.ok(!queue.busy);
  });

  test("does not hide a fault of its own as a lack of signal", async () => {
    const post = async () => {
      throw new TypeError("broken");
    };
    const queue = new Queue({ keep: memory(), person: "p", post });
    await queue.add(touch("a"));
    await assert.rejects(queue.flush(() => {}), TypeError);
    assert.deepEqual((await queue.waiting()).map((t) => t.id), ["a"]);
    assert.ok(!queue.busy);
  });
});

describe("the small things", () => {
  test("ids are UUIDs of version 7 that begin with the time and sort by it", () => {
    const id = newId(0x0123456789ab, new Uint8Array(16).fill(0xff));
    assert.equal(id, "01234567-89ab-7fff-bfff-ffffffffffff");
    assert.match(newId(), /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
    assert.ok(newId(1000) < newId(2000));
    assert.notEqual(newId(1), newId(1));
  });

  test("a clock that was set back never makes a touch from the future", () => {
    assert.equal(waited({ at: 500 }, 700), 200);
    assert.equal(waited({ at: 900 }, 700), 0);
  });

  test("what waits is said in words", () => {
    assert.equal(counted(1), "1 touch waits");
    assert.equal(counted(3), "3 touches wait");
  });
});

describe("what is kept aside", () => {
  test("keeps why it was refused, until it is dropped", async () => {
    const keep = memory();
    const { post } = server({ a: { ok: false, status: 404, text: "", why: "No such trip." } });
    const queue = new Queue({ keep, person: "p", post });
    await queue.add(touch("a"));
    await queue.add(touch("b"));
    await queue.flush(() => {});
    assert.deepEqual((await queue.aside()).map((t) => [t.id, t.why]), [["a", "No such trip."]]);
    await queue.drop("b");
    assert.equal((await queue.aside()).length, 1);
    await queue.drop("a");
    assert.deepEqual(await queue.aside(), []);
  });

  test("what the server knows is kept before a touch is forgotten", async () => {
    const { post } = server({ b: { ok: false, status: 422, text: "no", why: "" } });
    const queue = new Queue({ keep: memory(), person: "p", post });
    await queue.add(touch("a"));
    await queue.add(touch("b"));
    const known = [];
    await queue.flush(
      () => {},
      async (text) => known.push([text, (await queue.waiting()).map((t) => t.id)]),
    );
    assert.deepEqual(known, [["shown a", ["a", "b"]]]);
  });
});
