// The deck's touches. Each is written on this device first and sent in its turn; the server stores it once, however often it is sent, and at the
// time it was made. So nothing waits for a signal and nothing is lost without one. Without script the same forms are sent one by one.

import "./slider.js";

const KEY = "dusk-deck-touches";
const ASIDE = "dusk-deck-refused";
const RETRY_MS = 4000;
const WAITED_MS = 10000;
const REFRESH_MS = 20000;

const deck = () => document.getElementById("deck");
const read = () => JSON.parse(localStorage.getItem(KEY) || "[]");
const write = (touches) => localStorage.setItem(KEY, JSON.stringify(touches));
const mine = () => read().filter((t) => t.person === deck().dataset.person);

/** UUID version 7 (RFC 9562): the time first. */
function newId() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  let time = Date.now();
  for (let i = 5; i >= 0; i--) {
    bytes[i] = time % 256;
    time = Math.floor(time / 256);
  }
  bytes[6] = 0x70 | (bytes[6] & 0x0f);
  bytes[8] = 0x80 | (bytes[8] & 0x3f);
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
}

function tell(message) {
  const box = document.getElementById("waiting");
  box.hidden = !message;
  box.textContent = message;
}

/** What the server would not take, such as a touch that came in after the trip was ended. */
function aside() {
  const touches = JSON.parse(localStorage.getItem(ASIDE) || "[]").filter((t) => t.person === deck().dataset.person);
  const words = touches.map((t) => t.path.split("/").pop() + " " + new Date(t.at).toTimeString().slice(0, 5));
  return touches.length ? "Refused, and kept on this device: " + words.join(", ") + ". Add them on the trip's page." : "";
}

function count(touches) {
  return touches === 1 ? "1 touch waits" : touches + " touches wait";
}

document.addEventListener("submit", (event) => {
  const form = event.target.closest("form[data-act]");
  if (!form || !deck()) {
    return;
  }
  event.preventDefault();
  const body = new URLSearchParams(new FormData(form, event.submitter));
  body.delete("_csrf");
  body.set("act", newId());
  const card = form.closest("article");
  write(read().concat({
    person: deck().dataset.person,
    path: form.getAttribute("action"),
    body: body.toString(),
    at: Date.now(),
    card: form.dataset.whole === undefined && card ? card.id : "deck",
  }));
  const bump = event.submitter && event.submitter.dataset.bump;
  const shown = bump && card && card.querySelector(`[data-count=${bump}]`);
  if (shown) {
    shown.textContent = Number(shown.textContent) + Number(body.get("count") || 1);
  }
  form.closest("details.sheet")?.removeAttribute("open");
  send();
});

let sending = false;
let later = 0;

async function send() {
  if (sending) {
    return;
  }
  sending = true;
  clearTimeout(later);
  try {
    for (let next = mine()[0]; next; next = mine()[0]) {
      await one(next);
      write(read().filter((t) => !(t.at === next.at && t.body === next.body)));
      tell(aside());
    }
  } catch (problem) {
    tell(problem.message + " " + count(mine().length) + " here and will be sent.");
    later = setTimeout(send, RETRY_MS);
  } finally {
    sending = false;
  }
}

/** Sends one touch; throws where it must wait. */
async function one(touch) {
  const body = new URLSearchParams(touch.body);
  body.set("waited_ms", Math.max(0, Date.now() - touch.at));
  body.set("_csrf", document.querySelector("input[name=_csrf]").value);
  let answer;
  try {
    answer = await fetch(touch.path, { method: "POST", body, headers: { "X-Deck": "1" }, redirect: "manual" });
  } catch {
    throw new Error("No signal.");
  }
  if (answer.type === "opaqueredirect" || answer.status === 401 || answer.status === 403) {
    throw new Error("Please sign in again.");
  }
  if (answer.status >= 500) {
    throw new Error("The server has a problem.");
  }
  const more = mine().some((t) => t !== touch && t.at > touch.at && t.card === touch.card);
  if (answer.ok || answer.status === 422) {
    if (!more || answer.status === 422) {
      show(await answer.text());
    }
  }
  // one that waited is refused behind its maker's back, and one that is refused for good would stop all behind it: both are kept aside
  if (!answer.ok && (answer.status !== 422 || Date.now() - touch.at > WAITED_MS)) {
    localStorage.setItem(ASIDE, JSON.stringify(JSON.parse(localStorage.getItem(ASIDE) || "[]").concat(touch)));
  }
}

function show(text) {
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

/** What other devices on the boat did; never while something is open or half typed. */
async function refresh() {
  const busy = document.querySelector("#deck details[open]") || /INPUT|SELECT/.test(document.activeElement.tagName);
  if (busy || sending || read().length > 0 || document.hidden) {
    return;
  }
  try {
    const answer = await fetch(deck().dataset.page, { headers: { "X-Deck": "1" }, redirect: "manual" });
    const text = answer.ok ? await answer.text() : "";
    if (text && !sending && read().length === 0 && !document.querySelector("#deck details[open]")) {
      show(text);
    }
  } catch {
    // no signal: the page stays as it is
  }
}

// keys
const keysOn = document.getElementById("keys-on");
keysOn.checked = localStorage.getItem("dusk-deck-keys") !== "off";
keysOn.addEventListener("change", () => localStorage.setItem("dusk-deck-keys", keysOn.checked ? "on" : "off"));
let chosen = "1";

document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") {
    document.querySelectorAll("#deck details.sheet[open]").forEach((d) => d.removeAttribute("open"));
    return;
  }
  const typing = event.target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea");
  if (!keysOn.checked || typing || event.ctrlKey || event.metaKey || event.altKey) {
    return;
  }
  if (event.key === "?") {
    const keys = document.getElementById("keys");
    keys.open = true;
    keys.querySelector("summary").focus();
    event.preventDefault();
    return;
  }
  if (/^[1-8]$/.test(event.key)) {
    const card = document.querySelector(`article[data-number="${event.key}"]`);
    if (card) {
      chosen = event.key;
      card.focus();
    }
    return;
  }
  const card = document.querySelector(`article[data-number="${chosen}"]`);
  const key = CSS.escape(event.key.toLowerCase());
  const target = card?.querySelector(`[data-key="${key}"]`) || document.querySelector(`.deck-acts [data-key="${key}"], #deck > form [data-key="${key}"]`);
  if (target) {
    event.preventDefault();
    target.click();
    target.closest("details.sheet")?.querySelector("button")?.focus();
  }
});

window.addEventListener("online", send);
setInterval(tick, 10000);
setInterval(refresh, REFRESH_MS);
if ("serviceWorker" in navigator) {
  navigator.serviceWorker.register("/deck/worker.js").catch(() => {});
  const drawn = [...document.querySelectorAll("link[rel=stylesheet], script[src]")].map((e) => e.href || e.src);
  caches.open("dusk-deck").then((keep) => keep.addAll([location.pathname, "/fonts/text.woff2", "/fonts/heading.woff2", ...drawn])).catch(() => {});
}
tell(aside());
send();
