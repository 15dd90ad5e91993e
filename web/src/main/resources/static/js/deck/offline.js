// Keeps the page, and all that it is drawn and moved with, for when there is no signal.

const KEEP = "dusk-deck";
const MODULES = ["queue", "post", "shown", "keys", "offline"].map((name) => `/js/deck/${name}.js`);

export function keep() {
  if (!("serviceWorker" in navigator)) {
    return;
  }
  navigator.serviceWorker.register("/deck/worker.js").catch(() => {});
  const drawn = [...document.querySelectorAll("link[rel=stylesheet], script[src]")].map((e) => e.href || e.src);
  const all = [
    location.pathname,
    "/fonts/text.woff2",
    "/fonts/heading.woff2",
    "/js/slider.js",
    "/js/idb-keyval.js",
    ...MODULES,
    ...drawn,
  ];
  caches
    .open(KEEP)
    .then((kept) => kept.addAll(all))
    .catch(() => {});
}
