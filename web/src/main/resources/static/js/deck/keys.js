// The deck by keys: a number chooses the rod, a letter touches it.

import { commands } from "../frame.js";
import { choose } from "./rods.js";

const SWITCH = "dusk-deck-keys";

export function listen() {
  const on = document.getElementById("keys-on");
  on.checked = localStorage.getItem(SWITCH) !== "off";
  on.addEventListener("change", () => localStorage.setItem(SWITCH, on.checked ? "on" : "off"));
  let chosen = "1";
  const rod = (number) => document.querySelector(`article[data-number="${number}"]`);

  document.addEventListener("keydown", (event) => {
    if (!on.checked || !commands(event)) {
      return;
    }
    if (/^[1-8]$/.test(event.key)) {
      if (rod(event.key)) {
        chosen = event.key;
        choose(rod(chosen).id).focus();
      }
    } else {
      const key = CSS.escape(event.key.toLowerCase());
      const seen = [...(rod(chosen)?.querySelectorAll(`[data-key="${key}"]`) ?? [])];
      const target = seen.find((one) => !one.closest(".rod-down .while-up, .rod:not(.rod-down) .while-down")) ||
        document.querySelector(`.boat [data-key="${key}"]`);
      if (target) {
        event.preventDefault();
        choose(target.closest(".rods > *").id);
        target.click();
        target.closest("details.sheet")?.querySelector("button")?.focus();
      }
    }
  });
}
