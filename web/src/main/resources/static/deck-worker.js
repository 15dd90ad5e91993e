// Keeps the deck's page for when there is no signal, also under the address that leads to it. The server is always asked first; a page that leads to
// signing in empties the keep.

const KEEP = "dusk-deck";
const DOOR = "/deck";
const A_DECK = /^\/deck\/[0-9a-f-]{36}$/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

async function kept(request) {
  return (await caches.match(request, { ignoreVary: true })) || (request.mode === "navigate" && (await caches.match(DOOR))) || Response.error();
}

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (url.origin !== location.origin || url.pathname === "/sign-out") {
    event.waitUntil(caches.delete(KEEP));
    return;
  }
  if (request.method !== "GET" || request.headers.has("X-Deck")) {
    return;
  }
  event.respondWith(
    fetch(request)
      .then(async (answer) => {
        if (answer.redirected && new URL(answer.url).pathname === "/sign-in") {
          await caches.delete(KEEP);
        } else if (answer.ok && !answer.redirected) {
          const keep = await caches.open(KEEP);
          if (request.mode === "navigate" && A_DECK.test(url.pathname)) {
            await keep.put(DOOR, answer.clone());
          }
          await keep.put(request, answer.clone());
        }
        return answer;
      })
      .catch(() => kept(request)),
  );
});
