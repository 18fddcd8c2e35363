// The ends of a contour's line follow the hand; where they are let go the server says what moves. Without this script the
// numbers in the form do the same.
const page = document.querySelector(".contours-page");
const toStep = window.hand.toStep;

const map = () => page.querySelector(".contour-map");
const formOf = (name) => page.querySelector(`.contour-card[data-contour="${CSS.escape(name)}"] form`);

function put(end, x, y) {
  const form = formOf(end.closest("[data-contour]").dataset.contour);
  form.elements[`${end.dataset.end}x`].value = `${toStep(x)} mm`;
  form.elements[`${end.dataset.end}y`].value = `${toStep(y)} mm`;
  return form;
}

function draw(end, dx, dy) {
  const scale = +map().dataset.scale;
  const line = end.parentElement.querySelector(".mark");
  const n = end.dataset.end === "from" ? 1 : 2;
  const grip = end.querySelector(".grip");
  end.setAttribute("transform", `translate(${dy * scale} ${dx * scale})`);
  // A curve is drawn anew by the server when its handle is let go.
  if (line?.tagName === "line") {
    line.setAttribute(`x${n}`, +grip.getAttribute("cx") + dy * scale);
    line.setAttribute(`y${n}`, +grip.getAttribute("cy") + dx * scale);
  }
}

const ask = window.hand.latest((form) =>
  fetch(`${form.action}/held`, { method: "POST", body: new URLSearchParams(new FormData(form)) }),
);

// While it is held the server says what it is: section, edge and floors, and how a curve runs.
function look(end, form) {
  const of = end.closest("[data-contour]").dataset.contour;
  ask(form, (html) => {
    const read = document.createElement("template");
    read.innerHTML = html;
    const card = form.closest(".contour-card");
    const told = read.content.firstElementChild;
    const section = told.querySelector(".section");
    if (section) {
      card.querySelector(".section").replaceWith(section);
    }
    const held = card.querySelector(".held");
    held.replaceChildren(told);
    held.hidden = false;
    const path = map().querySelector(`.start-line[data-contour="${CSS.escape(of)}"] path.mark`);
    if (path && told.dataset.line) {
      path.setAttribute("d", told.dataset.line);
    }
  });
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

const ENDS = ".contour-map .end";

function come(end, by) {
  const of = end.closest("[data-contour]").dataset.contour;
  tryIt(put(end, +end.dataset.x + by.x, +end.dataset.y + by.y), { of, end: end.dataset.end });
}

window.hand.drag(page, ENDS, {
  move: ({ grip, ...held }, event) => {
    const by = window.hand.onBody(map(), held, event);
    draw(grip, by.x, by.y);
    look(grip, put(grip, +grip.dataset.x + by.x, +grip.dataset.y + by.y));
  },
  drop: ({ grip, ...held }, event) => come(grip, window.hand.onBody(map(), held, event)),
  cancel: ({ grip, moved }) => {
    if (moved) {
      draw(grip, 0, 0);
      put(grip, +grip.dataset.x, +grip.dataset.y);
    }
  },
});

window.hand.arrows(page, ENDS, window.hand.step(), (end, right, down) => come(end, { x: down, y: right }));
