// Keeps the deck's page for when there is no signal. The server is always asked first; a page that leads to signing in empties the keep.

const KEEP = "dusk-deck";

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

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
          const copy = answer.clone();
          const keep = await caches.open(KEEP);
          await keep.put(request, copy);
        }
        return answer;
      })
      .catch(async () => (await caches.match(request)) || Response.error()),
  );
});
