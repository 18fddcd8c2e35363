// The outline follows the hand over the blank; when it is let go the server says what has become of each fault. Without
// this script the two fields and their button do the same.
const laid = document.querySelector("#laid");

const form = () => laid.querySelector("#slide");
const group = () => laid.querySelector("#blank-drawing .drag-body");
const round = (mm) => Math.round(mm * 2) / 2;

function ask(dx, dy, refocus) {
  const fields = new FormData(form());
  fields.set("dx", `${round(dx)} mm`);
  fields.set("dy", `${round(dy)} mm`);
  const address = `${form().getAttribute("action")}?${new URLSearchParams(fields)}`;
  history.replaceState(null, "", address);
  window.htmx.ajax("GET", address, { target: "#laid", swap: "innerHTML" }).then(() => {
    if (refocus) {
      group()?.focus();
    }
  });
}

const now = () => ({ dx: +form().dataset.dx, dy: +form().dataset.dy });

const OUTLINE = "#blank-drawing .drag-body";

window.hand.drag(laid, OUTLINE, {
  move: (held, event) => {
    const by = window.hand.onBody(held.grip.ownerSVGElement, held, event);
    const scale = +held.grip.ownerSVGElement.dataset.scale;
    held.grip.setAttribute("transform", `translate(${by.y * scale} ${by.x * scale})`);
  },
  // Where the hand lets go counts, not where it was last seen moving.
  drop: (held, event) => {
    const by = window.hand.onBody(held.grip.ownerSVGElement, held, event);
    const { dx, dy } = now();
    if (Math.abs(by.x) + Math.abs(by.y) > 0.2) {
      ask(dx + by.x, dy + by.y, true);
    }
  },
  cancel: ({ grip }) => grip.removeAttribute("transform"),
});

window.hand.arrows(laid, OUTLINE, 1, (body, right, down) => {
  const { dx, dy } = now();
  ask(dx + down, dy + right, true);
});
