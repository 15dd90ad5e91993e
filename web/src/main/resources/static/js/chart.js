// Places of one's own are drawn to where they belong, by pointer or by arrow keys; what is sent is the form that stands in the list.

const STEP = 4;
const chart = document.querySelector("svg.chart");

function moved(mark) {
  return /translate\(([-\d.]+) ([-\d.]+)\)/.exec(mark.getAttribute("transform")).slice(1).map(Number);
}

function put(mark, x, y) {
  mark.setAttribute("transform", `translate(${x.toFixed(1)} ${y.toFixed(1)})`);
}

/** Writes where a mark stands into its form, and opens that. */
function say(mark) {
  const [x, y] = moved(mark);
  const box = chart.viewBox.baseVal;
  const { latitude, longitude, north, east } = chart.dataset;
  const form = document.getElementById(`move-${mark.dataset.place}`);
  form.latitude.value = (Number(latitude) + (box.height / 2 - y) * Number(north)).toFixed(6);
  form.longitude.value = (Number(longitude) + (x - box.width / 2) * Number(east)).toFixed(6);
  form.closest("details").open = true;
  return form;
}

function drawn(mark) {
  let from = null;
  mark.addEventListener("pointerdown", (event) => {
    const scale = chart.getScreenCTM().a;
    from = { x: event.clientX, y: event.clientY, at: moved(mark), scale };
    mark.setPointerCapture(event.pointerId);
    event.preventDefault();
  });
  mark.addEventListener("pointermove", (event) => {
    if (from) {
      put(mark, from.at[0] + (event.clientX - from.x) / from.scale, from.at[1] + (event.clientY - from.y) / from.scale);
    }
  });
  mark.addEventListener("pointerup", () => {
    const [x, y] = moved(mark);
    if (from && (x !== from.at[0] || y !== from.at[1])) {
      say(mark).requestSubmit();
    }
    from = null;
  });
  mark.addEventListener("keydown", (event) => {
    const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key];
    if (by) {
      const [x, y] = moved(mark);
      put(mark, x + by[0], y + by[1]);
      say(mark);
      event.preventDefault();
    } else if (event.key === "Enter") {
      say(mark).requestSubmit();
    }
  });
}

chart?.querySelectorAll(".chart-mine").forEach((mark) => {
  // no picture any more once there is something in it to take hold of
  chart.setAttribute("role", "group");
  mark.setAttribute("tabindex", "0");
  mark.setAttribute("role", "button");
  mark.setAttribute("aria-label", `${mark.querySelector("title").textContent}: arrow keys move it, Enter saves`);
  drawn(mark);
});
