// Sends a touch to the server.

import { MustWait, waited } from "./queue.js";

/** @returns the answer's ok, status and text, and why it was refused */
export async function post(touch) {
  const body = new URLSearchParams(touch.body);
  body.set("waited_ms", waited(touch));
  body.set("_csrf", document.querySelector("input[name=_csrf]").value);
  let answer;
  try {
    answer = await fetch(touch.path, { method: "POST", body, headers: { "X-Deck": "1" }, redirect: "manual" });
  } catch {
    throw new MustWait("No signal.");
  }
  if (answer.type === "opaqueredirect" || answer.status === 401 || answer.status === 403) {
    throw new MustWait("Please sign in again.");
  }
  if (answer.status >= 500) {
    throw new MustWait("The server has a problem.");
  }
  const text = await answer.text();
  const fault = answer.ok ? null : new DOMParser().parseFromString(text, "text/html").querySelector(".fault");
  return { ok: answer.ok, status: answer.status, text, why: fault?.textContent ?? "" };
}
