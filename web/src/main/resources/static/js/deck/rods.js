// One rod fills a phone: the bar under the thumb, a sweep sideways or a number chooses which.

const KEY = "dusk-rod";
const SWEPT_PX = 60;

const panels = () => [...document.querySelectorAll("#deck .rods > *")];
let chosen = "";

/** Shows a rod, or the boat; the one that was shown where there is none of this id. */
export function choose(id) {
  const all = panels();
  const panel = all.find((one) => one.id === id) ?? all.find((one) => one.id === chosen) ?? all[0];
  if (!panel) {
    return null;
  }
  chosen = panel.id;
  sessionStorage.setItem(KEY, chosen);
  all.forEach((one) => one.classList.toggle("shown", one === panel));
  document.querySelectorAll(".rods-bar [data-rod]").forEach((link) => {
    if (link.dataset.rod === chosen) {
      link.setAttribute("aria-current", "true");
    } else {
      link.removeAttribute("aria-current");
    }
  });
  return panel;
}

/** What the bar says of each rod, after its card has changed. */
export function bar() {
  for (const card of document.querySelectorAll("#deck article.rod")) {
    const link = document.querySelector(`.rods-bar [data-rod="${card.id}"]`);
    if (link) {
      link.querySelector("[data-bar=time]").textContent = card.querySelector("[data-shows=time]").textContent;
      link.querySelector("[data-bar=fish]").textContent = card.dataset.fish + " fish";
    }
  }
  choose(chosen);
}

function step(by) {
  const all = panels();
  const at = all.findIndex((one) => one.id === chosen) + by;
  if (all[at]) {
    choose(all[at].id);
    scrollTo({ top: 0 });
  }
}

export function listenRods() {
  const first = document.querySelector("#deck .rods > .first");
  const wanted = [location.hash.slice(1), document.querySelector("#deck .fault") && first?.id, sessionStorage.getItem(KEY), first?.id];
  choose(wanted.find((id) => panels().some((panel) => panel.id === id)));
  bar();
  document.addEventListener("click", (event) => {
    const link = event.target.closest(".rods-bar [data-rod]");
    if (link) {
      event.preventDefault();
      choose(link.dataset.rod);
      scrollTo({ top: 0 });
    }
  });
  let from = null;
  document.addEventListener("touchstart", (event) => {
    const free = !event.target.closest(".sheet-body, .line-choices, input, .rods-bar") && event.touches.length === 1;
    from = free && event.target.closest("#deck") ? event.touches[0] : null;
  }, { passive: true });
  document.addEventListener("touchend", (event) => {
    if (from) {
      const x = event.changedTouches[0].clientX - from.clientX;
      const y = event.changedTouches[0].clientY - from.clientY;
      if (Math.abs(x) > SWEPT_PX && Math.abs(x) > 2 * Math.abs(y)) {
        step(x < 0 ? 1 : -1);
      }
      from = null;
    }
  }, { passive: true });
}
