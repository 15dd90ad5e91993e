// The deck by keys: a number chooses the rod, a letter touches it.

const SWITCH = "dusk-deck-keys";

/** Closes what is open. */
function close() {
  document.querySelectorAll("#deck details.sheet[open]").forEach((d) => d.removeAttribute("open"));
}

function help() {
  const keys = document.getElementById("keys");
  keys.open = true;
  keys.querySelector("summary").focus();
}

export function listen() {
  const on = document.getElementById("keys-on");
  on.checked = localStorage.getItem(SWITCH) !== "off";
  on.addEventListener("change", () => localStorage.setItem(SWITCH, on.checked ? "on" : "off"));
  let chosen = "1";
  const rod = (number) => document.querySelector(`article[data-number="${number}"]`);

  document.addEventListener("keydown", (event) => {
    if (event.key === "Escape") {
      close();
      return;
    }
    const typing = event.target.closest("input:not([type=radio]):not([type=checkbox]), select, textarea");
    if (!on.checked || typing || event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    if (event.key === "?") {
      help();
      event.preventDefault();
    } else if (/^[1-8]$/.test(event.key)) {
      if (rod(event.key)) {
        chosen = event.key;
        rod(chosen).focus();
      }
    } else {
      const key = CSS.escape(event.key.toLowerCase());
      const target =
        rod(chosen)?.querySelector(`[data-key="${key}"]`) ||
        document.querySelector(`.deck-acts [data-key="${key}"], #deck > form [data-key="${key}"]`);
      if (target) {
        event.preventDefault();
        target.click();
        target.closest("details.sheet")?.querySelector("button")?.focus();
      }
    }
  });
}
