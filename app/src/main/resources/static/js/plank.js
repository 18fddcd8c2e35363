// A box dragged on the board's drawing fills the fields of the fault; typing them does the same.
const picture = document.querySelector("#plank svg");
const form = document.querySelector("#mark");
const scale = +picture.dataset.scale;
const left = +picture.dataset.left;
const bottom = +picture.dataset.bottom;
let from = null;
let box = null;

function place(event) {
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(picture.getScreenCTM().inverse());
  return { x: at.x, y: at.y };
}

picture.addEventListener("pointerdown", (event) => {
  if (event.button !== 0) {
    return;
  }
  event.preventDefault();
  from = place(event);
  box?.remove();
  box = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  box.setAttribute("class", "drawn-box");
  picture.append(box);
  picture.setPointerCapture(event.pointerId);
});

picture.addEventListener("pointermove", (event) => {
  if (from) {
    const to = place(event);
    box.setAttribute("x", Math.min(from.x, to.x));
    box.setAttribute("y", Math.min(from.y, to.y));
    box.setAttribute("width", Math.abs(to.x - from.x));
    box.setAttribute("height", Math.abs(to.y - from.y));
  }
});

picture.addEventListener("pointerup", (event) => {
  if (!from) {
    return;
  }
  const to = place(event);
  const fill = (name, value) => { form.elements[name].value = `${Math.max(0, Math.round(value))} mm`; };
  fill("fromEnd", (Math.min(from.x, to.x) - left) / scale);
  fill("fromEdge", (bottom - Math.max(from.y, to.y)) / scale);
  fill("along", Math.abs(to.x - from.x) / scale);
  fill("across", Math.abs(to.y - from.y) / scale);
  from = null;
  form.elements.kind.focus();
});
