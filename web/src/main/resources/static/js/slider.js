// A slider beside a field of text: it writes its value with its unit into the field, and follows what is typed there. Only the field is sent.

const sliderOf = (field) => field.id && document.querySelector(`[data-slider="${CSS.escape(field.id)}"]`);

function follow(slider) {
  const field = document.getElementById(slider.dataset.slider);
  const typed = field && /^\s*([0-9.]+)\s*([a-z]*)\s*$/i.exec(field.value);
  if (typed && (typed[2] === "" || typed[2] === slider.dataset.unit)) {
    slider.value = typed[1];
  }
}

document.querySelectorAll("[data-slider]").forEach(follow);
document.addEventListener(
  "input",
  (event) => {
    const slider = event.target.closest("[data-slider]");
    if (slider) {
      document.getElementById(slider.dataset.slider).value = slider.value + " " + slider.dataset.unit;
    } else if (sliderOf(event.target)) {
      follow(sliderOf(event.target));
    }
  },
  true,
);
