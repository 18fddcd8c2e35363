// A step is dragged along the rule, or moved by the arrows: what that breaks or costs is told before it drops. Let go where it cannot
// stand, it stays where it was, with why.
const weighed = document.querySelector("#weighed");
const here = weighed.dataset.here;
const MOVABLE = ".rule a.division:not(.done)";

const divisions = () => [...weighed.querySelectorAll(".rule a.division")];
const told = () => weighed.querySelector("#told");
const ask = window.hand.latest((url) => fetch(url));

// Where a step is taken to: the place of the division that lies there.
let landing = null;

function land(grip, to) {
  const all = divisions();
  const place = Math.max(0, Math.min(all.length - 1, to));
  if (landing?.grip === grip && landing.to === place) {
    return;
  }
  landing = { grip, to: place };
  all.forEach((division, i) => division.classList.toggle("landing", i === place && division !== grip));
  const query = new URLSearchParams({ step: grip.dataset.step, to: place });
  ask(`${here}/weigh/told?${query}`, (html) => {
    told().innerHTML = html;
    if (landing?.drop) {
      drop();
    }
  });
}

function lift() {
  landing = null;
  divisions().forEach((division) => division.classList.remove("landing"));
}

// Puts it there once what is told is of that place, and if it can stand there.
function drop() {
  const form = told().querySelector("[data-holds=true] form");
  if (form && +form.elements.to.value === landing.to && form.elements.step.value === landing.grip.dataset.step) {
    form.requestSubmit();
  } else {
    landing.drop = true;
    landing.grip.focus();
  }
}

function under(event) {
  return divisions().findIndex((division) => {
    const box = division.querySelector(".reach").getBoundingClientRect();
    return event.clientX >= box.left && event.clientX < box.right;
  });
}

window.hand.drag(weighed, MOVABLE, {
  move: (held, event) => {
    const to = under(event);
    if (to >= 0) {
      land(held.grip, to);
    }
  },
  drop: () => landing && drop(),
  cancel: (was) => {
    lift();
    if (!was.moved) {
      location.href = was.grip.getAttribute("href");
    }
  },
});

window.hand.slides(weighed, MOVABLE, (grip, by) => {
  const from = landing?.grip === grip ? landing.to : divisions().indexOf(grip);
  land(grip, from + by);
});

// A link is not carried off by the browser.
weighed.addEventListener("dragstart", (event) => event.preventDefault());
