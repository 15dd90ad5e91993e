// The deck's touches: written on this device first, shown, and sent in their turn. Without script the same forms are sent one by one.

import "./slider.js";
import { get, update } from "./idb-keyval.js";
import { listen } from "./deck/keys.js";
import { keep } from "./deck/offline.js";
import { post } from "./deck/post.js";
import { Queue, counted, newId, refused } from "./deck/queue.js";
import { deck, keepFresh, show } from "./deck/shown.js";

const RETRY_MS = 4000;
const queue = new Queue({ keep: { get, update }, person: deck().dataset.person, post });

let unsaved = 0;

/** Says what waits and what was refused; the count stands on the element for whoever looks. */
async function tell(problem) {
  const aside = await queue.aside();
  // read last: a touch written down while this was reading is counted here or in unsaved, never in neither
  const waiting = (await queue.waiting()).length;
  const box = document.getElementById("waiting");
  const words = problem ? `${problem} ${counted(waiting)} here and will be sent.` : refused(aside);
  box.hidden = !words;
  box.textContent = words;
  box.dataset.touches = waiting + unsaved;
}

let later = 0;

async function send() {
  clearTimeout(later);
  const problem = await queue.flush(show);
  await tell(problem);
  if (problem) {
    later = setTimeout(send, RETRY_MS);
  } else if ((await queue.waiting()).length > 0) {
    // one more came in while the last answer was on its way
    await send();
  }
}

/** Shows a touch at once, before the server knows of it; on the card that stands there now, since an answer may have put another in its place. */
function bump(form, submitter, body, card) {
  const what = submitter?.dataset.bump;
  const shown = what && card && document.getElementById(card.id)?.querySelector(`[data-count=${what}]`);
  if (shown) {
    shown.textContent = Number(shown.textContent) + Number(body.get("count") || 1);
  }
  form.closest("details.sheet")?.removeAttribute("open");
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
  document.getElementById("waiting").dataset.touches = ++unsaved;
  try {
    await queue.add({ id, path: form.getAttribute("action"), body: body.toString(), card: whole ? "deck" : card.id });
  } finally {
    unsaved--;
  }
  bump(form, event.submitter, body, card);
  await send();
});

window.addEventListener("online", send);
listen();
keepFresh(queue);
keep();
send();
