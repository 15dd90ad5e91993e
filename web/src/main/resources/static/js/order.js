// The stays of a run are dragged into another order; their form is then sent with it. Buttons beside each do the same without a pointer.

const form = document.querySelector("form[data-order]");
const list = form && form.querySelector("ol");
let held = null;

if (list) {
  for (const item of list.children) {
    item.draggable = true;
  }
  list.addEventListener("dragstart", (event) => {
    held = event.target.closest("li");
  });
  list.addEventListener("dragover", (event) => {
    const over = event.target.closest("li");
    if (!held || !over || over === held) {
      return;
    }
    event.preventDefault();
    const box = over.getBoundingClientRect();
    list.insertBefore(held, event.clientY < box.top + box.height / 2 ? over : over.nextSibling);
  });
  list.addEventListener("drop", (event) => event.preventDefault());
  list.addEventListener("dragend", () => {
    const order = document.createElement("input");
    order.type = "hidden";
    order.name = "order";
    order.value = Array.from(list.children, (item) => item.dataset.id).join(",");
    form.append(order);
    form.requestSubmit();
  });
}
