// The ends of a contour's line follow the hand; where they are let go the server says what moves. Without this script the
// numbers in the form do the same.
const page = document.querySelector(".contours-page");
const half = (value) => Math.round(value * 2) / 2;

const map = () => page.querySelector(".contour-map");
const formOf = (name) => page.querySelector(`.contour-card[data-contour="${CSS.escape(name)}"] form`);

// The drawing's right is towards the neck, its down the treble side.
function millimetres(dx, dy) {
  const matrix = map().getScreenCTM();
  const scale = +map().dataset.scale;
  return { x: dy / matrix.d / scale, y: dx / matrix.a / scale };
}

function put(end, x, y) {
  const form = formOf(end.closest("[data-contour]").dataset.contour);
  form.elements[`${end.dataset.end}x`].value = `${half(x)} mm`;
  form.elements[`${end.dataset.end}y`].value = `${half(y)} mm`;
  return form;
}

function draw(end, dx, dy) {
  const scale = +map().dataset.scale;
  const line = end.parentElement.querySelector(".mark");
  const n = end.dataset.end === "from" ? 1 : 2;
  const grip = end.querySelector(".grip");
  end.setAttribute("transform", `translate(${dy * scale} ${dx * scale})`);
  line.setAttribute(`x${n}`, +grip.getAttribute("cx") + dy * scale);
  line.setAttribute(`y${n}`, +grip.getAttribute("cy") + dx * scale);
}

async function tryIt(form, focus) {
  const typed = new URLSearchParams(new FormData(form));
  typed.set("act", "try");
  const answer = await fetch(form.action, { method: "POST", body: typed });
  if (answer.redirected) {
    location.assign(answer.url);
    return;
  }
  const read = new DOMParser().parseFromString(await answer.text(), "text/html");
  page.querySelector(".contour-work").replaceWith(read.querySelector(".contour-work"));
  if (focus) {
    page.querySelector(`.start-line[data-contour="${CSS.escape(focus.of)}"] .end[data-end="${focus.end}"]`)?.focus();
  }
}

let held = null;

page.addEventListener("pointerdown", (event) => {
  const end = event.target.closest(".contour-map .end");
  if (!end || event.button !== 0) {
    return;
  }
  event.preventDefault();
  end.focus();
  held = { end, x: event.clientX, y: event.clientY, by: null };
  page.setPointerCapture(event.pointerId);
});

page.addEventListener("pointermove", (event) => {
  if (held) {
    held.by = millimetres(event.clientX - held.x, event.clientY - held.y);
    draw(held.end, held.by.x, held.by.y);
    put(held.end, +held.end.dataset.x + held.by.x, +held.end.dataset.y + held.by.y);
  }
});

function letGo() {
  if (held?.by) {
    const of = held.end.closest("[data-contour]").dataset.contour;
    tryIt(formOf(of), { of, end: held.end.dataset.end });
  }
  held = null;
}
page.addEventListener("pointerup", letGo);
page.addEventListener("pointercancel", letGo);

const arrows = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowUp: [-1, 0], ArrowDown: [1, 0] };

page.addEventListener("keydown", (event) => {
  const end = event.target.closest?.(".contour-map .end");
  const way = arrows[event.key];
  if (end && way) {
    event.preventDefault();
    const by = event.shiftKey ? 5 : 0.5;
    const of = end.closest("[data-contour]").dataset.contour;
    tryIt(put(end, +end.dataset.x + way[0] * by, +end.dataset.y + way[1] * by), { of, end: end.dataset.end });
  }
});
