// The outline follows the hand over the blank; when it is let go the server says what has become of each fault. Without
// this script the two fields and their button do the same.
const laid = document.querySelector("#laid");
let held = null;

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

laid.addEventListener("pointerdown", (event) => {
  const body = event.target.closest("#blank-drawing .drag-body");
  if (body && event.button === 0) {
    event.preventDefault();
    body.focus();
    const svg = body.ownerSVGElement;
    held = {
      body,
      x: event.clientX,
      y: event.clientY,
      perUnit: 1 / svg.getScreenCTM().a,
      perMm: +svg.dataset.scale,
    };
    body.classList.add("held");
  }
});

// The drawing lies with the neck to the right: along it is towards the neck, down it the treble side.
function movedTo(event) {
  const x = (event.clientX - held.x) * held.perUnit;
  const y = (event.clientY - held.y) * held.perUnit;
  held.body.setAttribute("transform", `translate(${x} ${y})`);
  return { dy: x / held.perMm, dx: y / held.perMm };
}

window.addEventListener("pointermove", (event) => {
  if (held) {
    movedTo(event);
  }
});

// Where the hand lets go counts, not where it was last seen moving.
window.addEventListener("pointerup", (event) => {
  if (held) {
    const { dx, dy } = now();
    const moved = movedTo(event);
    held = null;
    if (Math.abs(moved.dx) + Math.abs(moved.dy) > 0.2) {
      ask(dx + moved.dx, dy + moved.dy, true);
    }
  }
});

window.addEventListener("pointercancel", () => {
  held?.body.removeAttribute("transform");
  held = null;
});

laid.addEventListener("keydown", (event) => {
  const steps = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] };
  if (event.target.closest(".drag-body") && steps[event.key]) {
    event.preventDefault();
    const { dx, dy } = now();
    const by = event.shiftKey ? 10 : 1;
    ask(dx + steps[event.key][0] * by, dy + steps[event.key][1] * by, true);
  }
});
