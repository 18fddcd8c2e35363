// What a hand does on a drawing, the same on every page: it presses something, holds it and lets it go, or moves it by the arrows.
// Pages find it as window.hand, since what one script imports from another would escape the names that change with their content.

// Where a pointer is, in the drawing's own units.
function onDrawing(svg, event) {
  return new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
}

// How far a held thing has come, in millimetres of the body: every drawing lies with the neck to the right, so that right is
// towards the neck (y) and down is the treble side (x), or the bass side where the drawing says it is turned over.
function onBody(svg, held, event) {
  const matrix = svg.getScreenCTM();
  const scale = +svg.dataset.scale;
  const turned = +(svg.dataset.flip ?? 1);
  return { x: ((event.clientY - held.y) / matrix.d / scale) * turned, y: (event.clientX - held.x) / matrix.a / scale };
}

// Lets everything under `root` that answers to `selector` be dragged. `hold` may add to what is held; `move` follows it; `drop` ends
// it where the hand lets go, if it moved at all; `cancel` puts things back. Answers what is held now, if anything is.
function drag(root, selector, { hold = () => ({}), move, drop = () => {}, cancel = () => {} }) {
  let held = null;
  root.addEventListener("pointerdown", (event) => {
    const grip = event.target.closest(selector);
    if (!grip || held || event.button !== 0) {
      return;
    }
    event.preventDefault();
    grip.focus();
    held = { grip, pointer: event.pointerId, x: event.clientX, y: event.clientY, moved: false };
    Object.assign(held, hold(grip, event));
    root.classList.add("holding");
    root.setPointerCapture(event.pointerId);
  });
  const of = (event) => held !== null && held.pointer === event.pointerId;
  window.addEventListener("pointermove", (event) => {
    if (of(event)) {
      held.moved = true;
      move(held, event);
    }
  });
  const end = (then) => (event) => {
    if (of(event)) {
      const was = held;
      held = null;
      root.classList.remove("holding");
      then(was, event);
    }
  };
  window.addEventListener("pointerup", end((was, event) => was.moved ? drop(was, event) : cancel(was)));
  window.addEventListener("pointercancel", end(cancel));
  return () => held;
}

// The finest that this shop lays out to, mm: what one press of an arrow moves, with Shift ten times as much.
const step = () => +document.querySelector(".body-head").dataset.step;

// To whole steps, without the dust of the arithmetic.
const toStep = (value) => +(Math.round(value / step()) * step()).toFixed(4);

// The arrows move what is in focus: so far to the right and down.
function arrows(root, selector, small, go) {
  const ways = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] };
  root.addEventListener("keydown", (event) => {
    const grip = event.target.closest(selector);
    const way = ways[event.key];
    if (grip && way) {
      event.preventDefault();
      const by = event.shiftKey ? 10 * small : small;
      go(grip, way[0] * by, way[1] * by);
    }
  });
}

// What slides along one line: so many steps on, or back.
function slides(root, selector, go) {
  const steps = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1, PageUp: -10, PageDown: 10 };
  root.addEventListener("keydown", (event) => {
    const grip = event.target.closest(selector);
    if (grip && steps[event.key]) {
      event.preventDefault();
      go(grip, steps[event.key]);
    }
  });
}

// One request at a time; while it is under way only the last wish is kept.
function latest(ask) {
  let wanted = null;
  let busy = false;
  return async (address, then) => {
    wanted = { address, then };
    if (busy) {
      return;
    }
    busy = true;
    try {
      while (wanted) {
        const now = wanted;
        wanted = null;
        const answer = await ask(now.address);
        if (answer.ok && !answer.redirected) {
          now.then(await answer.text(), now.address);
        }
      }
    } finally {
      // Where no answer came the next move asks again.
      busy = false;
    }
  };
}

window.hand = { step, toStep, onDrawing, onBody, drag, arrows, slides, latest };
