// The deck's touches: written on this device first, shown as they will be stored, and sent in their turn. Without script the same forms are sent one by
// one.

import "./slider.js";
import { get, update } from "./idb-keyval.js";
import { ahead, standing } from "./deck/ahead.js";
import { listen } from "./deck/keys.js";
import { keep, known, patch } from "./deck/offline.js";
import { post } from "./deck/post.js";
import { Queue, counted, newId } from "./deck/queue.js";
import { bar, listenRods } from "./deck/rods.js";
import { deck, keepFresh, show, tick } from "./deck/shown.js";
import { parts, words } from "./deck/told.js";

const RETRY_MS = 4000;
const queue = new Queue({ keep: { get, update }, person: deck().dataset.person, post });

let unsaved = 0;

/** What the server would not take: what it was, why, and where it can be entered by hand. */
function refused(touch) {
  const { trip, rod } = parts(touch);
  const number = document.getElementById(`rod-${rod}`)?.dataset.number;
  const item = document.createElement("li");
  const at = new Date(touch.at).toTimeString().slice(0, 5);
  const what = `${words(touch)}${number ? `, rod ${number}` : ""}, ${at}.`;
  item.append(`Refused, and kept on this device: ${what} ${touch.why ?? ""} `);
  const link = document.createElement("a");
  link.href = `/trips/${trip}`;
  link.textContent = "Enter it by hand";
  const done = document.createElement("button");
  done.type = "button";
  done.className = "link-button";
  done.textContent = "Done with it";
  done.addEventListener("click", () => queue.drop(touch.id).then(() => tell("")));
  item.append(link, " ", done);
  return item;
}

/** Says what waits and what was refused; the count stands on the element for whoever looks. */
async function tell(problem) {
  const aside = await queue.aside();
  // read last: a touch written down while this was reading is counted here or in unsaved, never in neither
  const waiting = (await queue.waiting()).length;
  const mark = document.getElementById("waiting-mark");
  mark.hidden = !problem;
  mark.textContent = problem ? `${problem} ${counted(waiting)} here and will be sent.` : "";
  localStorage.setItem("dusk-waiting", String(waiting));
  const box = document.getElementById("waiting");
  const list = document.createElement("ul");
  list.append(...aside.map(refused));
  box.hidden = aside.length === 0;
  box.replaceChildren(list);
  box.dataset.touches = waiting + unsaved;
}

let later = 0;

async function send() {
  clearTimeout(later);
  const problem = await queue.flush(show, patch);
  await tell(problem);
  if (problem) {
    later = setTimeout(send, RETRY_MS);
  } else if ((await queue.waiting()).length > 0) {
    // one more came in while the last answer was on its way
    await send();
  }
}

/** What waits, on top of the page as the server knew it. */
async function onTop() {
  standing(await queue.waiting()).forEach((touch) => ahead(deck(), touch));
  tick();
}

/** The page as the server knew it last, with what waits on top. */
async function anew() {
  const base = await known();
  if (base) {
    deck().replaceWith(base);
    await onTop();
  }
}

/** On the card that stands there now, since an answer may have put another in its place. */
async function shownAhead(touch) {
  const waiting = await queue.waiting();
  if (parts(touch).what === "undo") {
    if (waiting.some((other) => other.id === parts(touch).said.get("undo"))) {
      await anew();
    }
  } else {
    ahead(deck(), touch);
    bar();
  }
}

document.addEventListener("submit", async (event) => {
  const form = event.target.closest("form[data-act]");
  if (!form || !deck()) {
    return;
  }
  event.preventDefault();
  const body = new URLSearchParams(new FormData(form, event.submitter));
  body.delete("_csrf");
  const id = newId();
  body.set("act", id);
  const card = form.closest("article");
  const whole = form.dataset.whole !== undefined || !card;
  const touch = { id, path: form.getAttribute("action"), body: body.toString(), card: whole ? "deck" : card.id, at: Date.now() };
  document.getElementById("waiting").dataset.touches = ++unsaved;
  form.closest("details.sheet")?.removeAttribute("open");
  try {
    await queue.add(touch);
  } finally {
    unsaved--;
  }
  try {
    await shownAhead(touch);
  } finally {
    // whatever cannot be shown is sent all the same
    await send();
  }
});

async function open() {
  listenRods();
  listen();
  await tell("");
  try {
    await onTop();
  } finally {
    keepFresh(queue, patch);
    keep();
    await send();
  }
}

window.addEventListener("online", send);
open();
