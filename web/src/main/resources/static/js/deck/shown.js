// What stands on the deck's page: parts that came from the server, and running minutes.

import { bar } from "./rods.js";

const TICK_MS = 10000;
const REFRESH_MS = 20000;

export const deck = () => document.getElementById("deck");

/** The parts of an answer, each with the id of what it stands for. */
export const partsOf = (text) => [...new DOMParser().parseFromString(text, "text/html").body.children].filter((part) => part.id);

/** Puts parts of the page in place of those with their ids. */
export function show(text) {
  for (const part of partsOf(text)) {
    document.getElementById(part.id)?.replaceWith(part);
  }
  tick();
}

export function tick() {
  for (const shown of document.querySelectorAll("[data-since]")) {
    const minutes = Math.max(0, Math.floor((Date.now() - Date.parse(shown.dataset.since)) / 60000));
    shown.textContent = minutes + " min";
  }
  bar();
}

/** What other devices on the boat did; never while something is open, half typed or on its way from this one. */
async function refresh(queue, fresh) {
  const open = () => document.querySelector("#deck details[open]");
  const busy = open() || /INPUT|SELECT/.test(document.activeElement.tagName) || document.hidden;
  if (busy || queue.busy || (await queue.waiting()).length > 0) {
    return;
  }
  try {
    const answer = await fetch(deck().dataset.page, { headers: { "X-Deck": "1" }, redirect: "manual" });
    const text = answer.ok ? await answer.text() : "";
    if (text && !queue.busy && (await queue.waiting()).length === 0 && !open()) {
      show(text);
      fresh(text);
    }
  } catch {
    // no signal: the page stays as it is
  }
}

/** @param fresh is given each page that came of itself */
export function keepFresh(queue, fresh) {
  setInterval(tick, TICK_MS);
  setInterval(() => refresh(queue, fresh), REFRESH_MS);
}
