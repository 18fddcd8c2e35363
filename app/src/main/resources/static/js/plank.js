// A box dragged on the board's drawing fills the fields of the fault; typing them does the same.
const picture = document.querySelector("#plank svg");
const form = document.querySelector("#mark");
const scale = +picture.dataset.scale;
const left = +picture.dataset.left;
const bottom = +picture.dataset.bottom;
let box = null;

window.hand.drag(picture, "svg", {
  hold: (_, event) => {
    box?.remove();
    box = document.createElementNS("http://www.w3.org/2000/svg", "rect");
    box.setAttribute("class", "drawn-box");
    picture.append(box);
    return { from: window.hand.onDrawing(picture, event) };
  },
  move: ({ from }, event) => {
    const to = window.hand.onDrawing(picture, event);
    box.setAttribute("x", Math.min(from.x, to.x));
    box.setAttribute("y", Math.min(from.y, to.y));
    box.setAttribute("width", Math.abs(to.x - from.x));
    box.setAttribute("height", Math.abs(to.y - from.y));
  },
  drop: ({ from }, event) => {
    const to = window.hand.onDrawing(picture, event);
    const fill = (name, value) => { form.elements[name].value = `${Math.max(0, Math.round(value))} mm`; };
    fill("fromEnd", (Math.min(from.x, to.x) - left) / scale);
    fill("fromEdge", (bottom - Math.max(from.y, to.y)) / scale);
    fill("along", Math.abs(to.x - from.x) / scale);
    fill("across", Math.abs(to.y - from.y) / scale);
    form.elements.kind.focus();
  },
  cancel: () => box.remove(),
});
