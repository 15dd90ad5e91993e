// Touches wait on the device, each person's own, in the order they were made, and are sent one by one when it is their turn. The server stores each
// once, however often it is sent, and at the time it was made; so nothing waits for a signal and nothing is lost without one.

/** So long a touch may have waited and still be refused before its maker's eyes. */
const WAITED_MS = 10000;

/** Thrown by whatever posts a touch, where it must wait: no signal, nobody signed in, a server in trouble. */
export class MustWait extends Error {}

export class Queue {
  #keep;
  #person;
  #post;
  #now;
  #sending = null;

  /**
   * @param keep the device's memory: get(key) and update(key, change), both promises, as idb-keyval has them
   * @param person the id of whoever touches: another's touches are theirs
   * @param post sends a touch; answers {ok, status, text} or throws MustWait
   * @param now milliseconds
   */
  constructor({ keep, person, post, now = Date.now }) {
    this.#keep = keep;
    this.#person = person;
    this.#post = post;
    this.#now = now;
  }

  #key(kind) {
    return `${kind}:${this.#person}`;
  }

  async #list(kind) {
    return (await this.#keep.get(this.#key(kind))) ?? [];
  }

  /** What was not sent yet, the oldest first. */
  waiting() {
    return this.#list("touches");
  }

  /** What the server would not take, such as a touch that came in after its trip had ended. */
  aside() {
    return this.#list("aside");
  }

  /** Forgets one that was kept aside. */
  drop(id) {
    return this.#keep.update(this.#key("aside"), (list = []) => list.filter((touch) => touch.id !== id));
  }

  /** Writes a touch down; it is on the device once this resolves. */
  add(touch) {
    return this.#keep.update(this.#key("touches"), (list = []) => list.concat({ ...touch, at: touch.at ?? this.#now() }));
  }

  /**
   * Sends all that wait, in turn.
   *
   * @param shown is given each answer that is to be shown
   * @param known is given each answer, for whoever keeps what the server knows
   * @returns the words of why the rest must wait; empty where nothing is left
   */
  flush(shown, known = () => {}) {
    this.#sending ??= this.#sendAll(shown, known).finally(() => {
      this.#sending = null;
    });
    return this.#sending;
  }

  get busy() {
    return this.#sending !== null;
  }

  async #sendAll(shown, known) {
    for (let [next] = await this.waiting(); next; [next] = await this.waiting()) {
      let answer;
      try {
        answer = await this.#post(next);
      } catch (problem) {
        if (problem instanceof MustWait) {
          return problem.message;
        }
        throw problem;
      }
      if (answer.ok) {
        // before it is forgotten here: a page opened anew is what is known with what waits
        await known(answer.text);
      }
      await this.#done(next, answer);
      const more = (await this.waiting()).some((touch) => touch.card === next.card);
      // an answer that a touch still waiting will change is not shown, unless it says why one was refused
      if ((answer.ok && !more) || answer.status === 422) {
        shown(answer.text);
      }
    }
    return "";
  }

  /** One that waited is refused behind its maker's back, and one that is refused for good would stop all behind it: both are kept aside. */
  async #done(touch, answer) {
    const unseen = answer.status !== 422 || this.#now() - touch.at > WAITED_MS;
    if (!answer.ok && unseen) {
      await this.#keep.update(this.#key("aside"), (list = []) => list.concat({ ...touch, why: answer.why ?? "" }));
    }
    await this.#keep.update(this.#key("touches"), (list = []) => list.filter((other) => other.id !== touch.id));
  }
}

/** How long a touch has waited, for the server to know when it was made. */
export function waited(touch, now = Date.now()) {
  return Math.max(0, now - touch.at);
}

/** UUID version 7 (RFC 9562): the time first. */
export function newId(now = Date.now(), random = crypto.getRandomValues(new Uint8Array(16))) {
  const bytes = Uint8Array.from(random);
  let time = now;
  for (let i = 5; i >= 0; i--) {
    bytes[i] = time % 256;
    time = Math.floor(time / 256);
  }
  bytes[6] = 0x70 | (bytes[6] & 0x0f);
  bytes[8] = 0x80 | (bytes[8] & 0x3f);
  const hex = Array.from(bytes, (b) => b.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
}

/** How many touches wait, in words. */
export function counted(touches) {
  return touches === 1 ? "1 touch waits" : `${touches} touches wait`;
}
