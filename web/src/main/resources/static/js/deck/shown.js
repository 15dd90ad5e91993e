// What stands on the deck's page: parts that came from the server, and running minutes.

const TICK_MS = 10000;
const REFRESH_MS = 20000;

export const deck = () => document.getElementById("deck");

/** Puts parts of the page in place of those with their ids. */
export function show(text) {
  const fresh = new DOMParser().parseFromString(text, "text/html").body;
  for (const part of [...fresh.children]) {
    const old = part.id && document.getElementById(part.id);
    if (old) {
      old.replaceWith(part);
      part.querySelector("details.fish[open] summary")?.scrollIntoView({ block: "nearest" });
    }
  }
  tick();
}

function tick() {
  for (const shown of document.querySelectorAll("[data-since]")) {
    const minutes = Math.max(0, Math.floor((Date.now() - Date.parse(shown.dataset.since)) / 60000));
    shown.textContent = minutes + " min";
  }
}

/** What other devices on the boat did; never while something is open, half typed or on its way from this one. */
async function refresh(queue) {
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
    }
  } catch {
    // no signal: the page stays as it is
  }
}

export function keepFresh(queue) {
  setInterval(tick, TICK_MS);
  setInterval(() => refresh(queue), REFRESH_MS);
}
