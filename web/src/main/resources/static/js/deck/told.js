// A touch in words, for whoever must know what it was before the server does, or after it would not take it.

const WORDS = {
  follow: "follow",
  bite: "bite",
  down: "put down",
  up: "picked up",
  still: "still fishing",
  back: "down since",
  next: "moved to the next place",
  end: "the trip ended",
  counted: "counted",
  take: "tied on what was offered",
  decline: "did not take what was offered",
  undo: "undo",
  said: "the bite",
  lost: "lost",
  fished: "fished",
  swap: "swap",
  move: "moved",
  sign: "sign",
  reading: "reading",
  wave: "not asked again",
  cast: "a cast made",
  lot: "the lot",
  trial: "a trial",
  fish: "about the fish",
};
const NOT_SAID = new Set(["act", "undo", "column", "lines", "angler_id", "spot_id", "trial_id"]);

/** @returns the trip, the rod ("" for all) and what was done */
export function parts(touch) {
  const [, trip, rest] = /^\/deck\/([^/]+)\/(.*)$/.exec(touch.path);
  const [, rod, what] = /^(?:rods\/([^/]+)\/)?([^/]+)/.exec(rest);
  return { trip, rod: rod ?? "", what, said: new URLSearchParams(touch.body) };
}

/** Such as "lost, jumped off" or "2 largemouth". */
export function words(touch) {
  const { what, said } = parts(touch);
  if (what === "landed") {
    const count = Number(said.get("count") || 1);
    return (count > 1 ? count + " " : "") + said.get("species");
  }
  if (what === "lines") {
    return said.get("lines") === "up" ? "lines up" : "lines in";
  }
  const more = [...said]
    .filter(([name, value]) => value && !NOT_SAID.has(name) && !name.startsWith("start."))
    .map(([name, value]) => (name === "weight" ? (value === "up" ? "heavier" : "lighter") : value));
  return [WORDS[what] ?? what, ...more].join(", ");
}
