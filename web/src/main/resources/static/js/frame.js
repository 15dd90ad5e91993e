// What every page does with script: it knows of touches that wait on this device, and of the keys.

document.documentElement.classList.add("scripted");

const here = document.querySelector(".tabs [aria-current]");
if (here) {
  here.parentElement.scrollLeft = here.offsetLeft - (here.parentElement.clientWidth - here.offsetWidth) / 2;
}

const mark = document.getElementById("waiting-mark");
const waiting = Number(localStorage.getItem("dusk-waiting") || 0);
if (waiting > 0 && !document.getElementById("deck")) {
  const link = document.createElement("a");
  link.href = "/deck";
  link.textContent = waiting === 1 ? "1 touch waits on this device: to the deck" : `${waiting} touches wait on this device: to the deck`;
  mark.replaceChildren(link);
  mark.hidden = false;
}

/** Whether a key is pressed for what it does, not for the letter it writes. */
export function commands(event) {
  const writes = event.target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea");
  return !writes && !event.ctrlKey && !event.metaKey && !event.altKey;
}

function keys() {
  // a page with keys of its own lists them all
  const list = document.getElementById("keys") ?? document.getElementById("frame-keys");
  if (list) {
    list.open = true;
    list.querySelector("summary").focus();
  }
}

function firstField() {
  const field = document.querySelector("main input:not([type=hidden]):not([type=radio]):not([type=checkbox]), main select");
  for (let fold = field?.closest("details"); fold; fold = fold.parentElement.closest("details")) {
    fold.open = true;
  }
  field?.focus();
}

document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") {
    document.querySelectorAll("details.sheet[open], .frame-light[open]").forEach((open) => open.removeAttribute("open"));
  } else if (commands(event) && (event.key === "?" || event.key === "/")) {
    event.preventDefault();
    (event.key === "?" ? keys : firstField)();
  }
});
