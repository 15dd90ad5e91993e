// Shows a touch as it will be stored, before the server knows of it. What a touch does not change on the page is left to the server's answer.

import { parts, words } from "./told.js";

const hour = (at, zone) =>
  new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit", timeZone: zone }).format(new Date(at));

function bump(rod, what, by) {
  const shown = rod.querySelector(`[data-count=${what}]`);
  if (shown) {
    shown.textContent = Number(shown.textContent) + by;
  }
}

/** Another stint runs from here on. */
function begin(rod, at) {
  const time = rod.querySelector("[data-shows=time]");
  rod.querySelectorAll("[data-count]").forEach((shown) => {
    shown.textContent = "0";
  });
  time.dataset.since = new Date(at).toISOString();
  time.textContent = "0 min";
  rod.classList.remove("rod-down");
}

function renew(rod, at) {
  if (!rod.classList.contains("rod-down")) {
    begin(rod, at);
  }
}

function putDown(rod) {
  const time = rod.querySelector("[data-shows=time]");
  delete time.dataset.since;
  time.textContent = "down";
  rod.classList.add("rod-down");
}

function part(rod, name, word) {
  const shown = rod.querySelector(`[data-part="${name}"]`);
  if (shown) {
    shown.textContent = word && shown.previousElementSibling ? ", " + word : word;
  }
}

/** What the buttons and fields of a sheet would have the card say. */
function said(rod, fields) {
  for (const [name, value] of fields) {
    const button = rod.querySelector(`button[data-part][name="${CSS.escape(name)}"][value="${CSS.escape(value)}"]`);
    if (button) {
      part(rod, button.dataset.part, button.dataset.word);
    }
  }
  if (fields.get("plastic")) {
    part(rod, "plastic", [fields.get("plastic"), fields.get("plastic_length_mm")].filter(Boolean).join(" "));
  }
  const angler = fields.get("angler_id");
  const option = angler && rod.querySelector(`option[value="${CSS.escape(angler)}"]`);
  if (option) {
    rod.querySelector("h2").textContent = option.textContent;
  }
  const portrait = rod.querySelector("[data-shows=portrait]");
  if (["weight", "colour", "plastic"].some((field) => fields.get(field))) {
    portrait.textContent = "drawn once there is signal";
  }
}

function landed(rod, touch, fields) {
  const count = Number(fields.get("count") || 1);
  bump(rod, "landed", count);
  bump(rod, "bites", count);
  rod.dataset.fish = Number(rod.dataset.fish) + count;
  const day = rod.querySelector("[data-shows=day]");
  day.textContent = day.textContent.replace(/^\d+/, rod.dataset.fish);
  const blank = rod.querySelector("template[data-fish-sheet]");
  if (blank) {
    const sheet = blank.content.cloneNode(true).querySelector("details");
    const form = sheet.querySelector("form");
    form.setAttribute("action", form.getAttribute("action").replace(/[^/]+$/, touch.id));
    sheet.querySelector("summary").textContent = `Last: ${words(touch)}`;
    rod.querySelectorAll("details.fish").forEach((old) => old.remove());
    rod.querySelector(".rod-lead").replaceChildren(sheet);
  }
}

function place(root, fields, at) {
  const zone = root.dataset.zone;
  const known = fields.get("spot_id") && root.querySelector(`select[name=spot_id] option[value="${CSS.escape(fields.get("spot_id"))}"]`);
  const kind = fields.get("structure");
  const name = fields.get("label") || (kind ? `${kind} ${hour(at, zone)}` : "");
  const there = name ? name + (kind ? ` (${kind})` : "") : (known?.textContent ?? "");
  return [there, fields.get("depth_m")].filter(Boolean).join(", ");
}

function note(rod, touch, zone) {
  let list = rod.querySelector(".rod-last");
  if (!list) {
    list = rod.ownerDocument.createElement("ol");
    list.className = "rod-last";
    rod.append(list);
  }
  const first = list.querySelector("form");
  const item = rod.ownerDocument.createElement("li");
  const at = rod.ownerDocument.createElement("span");
  at.className = "text-soft figures";
  at.textContent = ` ${hour(touch.at, zone)}`;
  if (first) {
    const undo = first.cloneNode(true);
    undo.querySelector("[name=undo]").value = touch.id;
    undo.querySelector("button").textContent = `Undo: ${words(touch)}`;
    item.append(undo, at);
    const before = rod.ownerDocument.createElement("span");
    before.textContent = first.querySelector("button").textContent.replace(/^Undo: /, "");
    first.replaceWith(before);
  } else {
    item.append(words(touch), at);
  }
  list.prepend(item);
  [...list.children].slice(3).forEach((old) => old.remove());
}

/** @param root the deck's element, of the page or of a kept one */
export function ahead(root, touch) {
  const { rod: id, what, said: fields } = parts(touch);
  const all = [...root.querySelectorAll("article.rod")];
  const rod = id && all.find((one) => one.id === `rod-${id}`);
  if (id && !rod) {
    return;
  }
  switch (what) {
    case "follow":
      bump(rod, "follows", 1);
      break;
    case "bite":
      bump(rod, "bites", 1);
      break;
    case "lost":
      bump(rod, "lost", 1);
      bump(rod, "bites", 1);
      break;
    case "landed":
      landed(rod, touch, fields);
      break;
    case "swap":
    case "fished":
      said(rod, fields);
      renew(rod, touch.at);
      break;
    case "fish":
      rod.querySelector("details.fish > summary").textContent += fields.get("length_mm") ? `, ${fields.get("length_mm")}` : "";
      break;
    case "down":
    case "back":
      putDown(rod);
      break;
    case "up":
      begin(rod, touch.at);
      break;
    case "lines":
      all.forEach((one) => {
        const down = one.classList.contains("rod-down");
        if (fields.get("lines") === "up" && !down) {
          putDown(one);
        } else if (fields.get("lines") === "in" && down) {
          begin(one, touch.at);
        }
      });
      root.querySelectorAll("button[name=lines]").forEach((button) => {
        button.value = fields.get("lines") === "up" ? "in" : "up";
        button.textContent = fields.get("lines") === "up" ? "Lines in" : "Lines up";
      });
      break;
    case "next":
    case "move":
      all.forEach((one) => {
        const shown = one.querySelector("[data-shows=place]");
        shown.textContent =
          what === "move" ? place(root, fields, touch.at) : one.dataset.next.replace("{hour}", hour(touch.at, root.dataset.zone));
        renew(one, touch.at);
      });
      break;
    case "reading": {
      const chip = root.querySelector(`[data-column="${fields.get("column")}"] strong`);
      if (chip) {
        chip.textContent = fields.get(fields.get("column"));
      }
      break;
    }
    default:
  }
  (rod ? [rod] : ["lines", "next", "move"].includes(what) ? all : []).forEach((one) => note(one, touch, root.dataset.zone));
}

/** Touches that wait, without those that another of them takes back. */
export function standing(touches) {
  const undone = new Set(touches.filter((t) => parts(t).what === "undo").map((t) => parts(t).said.get("undo")));
  const known = new Set(touches.map((t) => t.id));
  return touches.filter((t) => !undone.has(t.id) && !(parts(t).what === "undo" && known.has(parts(t).said.get("undo"))));
}
