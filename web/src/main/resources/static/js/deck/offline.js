// Keeps the page as the server knows it, and all that it is drawn and moved with, for when there is no signal.

import { deck, partsOf } from "./shown.js";

const KEEP = "dusk-deck";
const DOOR = "/deck";
const MODULES = ["queue", "post", "shown", "keys", "offline", "rods", "told", "ahead"].map((name) => `/js/deck/${name}.js`);

const able = () => "caches" in window && "serviceWorker" in navigator;

async function put(kept, html) {
  for (const at of [DOOR, deck().dataset.page]) {
    await kept.put(at, new Response(html, { headers: { "Content-Type": "text/html;charset=UTF-8" } }));
  }
}

let last = Promise.resolve();

/** One after the other: each rests on what the one before has kept. */
function inTurn(work) {
  last = last.then(work).catch(() => {});
  return last;
}

export function keep() {
  if (!able()) {
    return;
  }
  navigator.serviceWorker.register("/deck-worker.js", { scope: "/deck" }).catch(() => {});
  const drawn = [...document.querySelectorAll("link[rel=stylesheet], script[src]")].map((e) => e.href || e.src);
  const all = ["/fonts/text.woff2", "/fonts/heading.woff2", "/mark.svg", "/js/slider.js", "/js/idb-keyval.js", ...MODULES, ...drawn];
  inTurn(async () => {
    const kept = await caches.open(KEEP);
    const page = await fetch(deck().dataset.page, { redirect: "manual" });
    if (page.ok) {
      await put(kept, await page.text());
      await kept.addAll(all);
    }
  });
}

/** Puts parts that came from the server into the page that is kept. */
export function patch(text) {
  return able()
    ? inTurn(async () => {
        const kept = await caches.open(KEEP);
        const page = await kept.match(DOOR);
        if (page) {
          const doc = new DOMParser().parseFromString(await page.text(), "text/html");
          partsOf(text).forEach((part) => doc.getElementById(part.id)?.replaceWith(doc.importNode(part, true)));
          await put(kept, `<!DOCTYPE html>\n${doc.documentElement.outerHTML}`);
        }
      })
    : Promise.resolve();
}

/** The deck as the server knew it last; null where none is kept. */
export async function known() {
  if (!able()) {
    return null;
  }
  await last;
  const page = await (await caches.open(KEEP)).match(DOOR);
  const there = page && new DOMParser().parseFromString(await page.text(), "text/html").getElementById("deck");
  return there?.dataset.page === deck().dataset.page ? document.importNode(there, true) : null;
}
