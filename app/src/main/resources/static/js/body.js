// The rule's divisions swap the page's work in place, and the section lines follow the hand. Without this script the
// divisions are links, and the sections stay where they are.
const work = document.querySelector("#work");

work.addEventListener("click", (event) => {
  const division = event.target.closest("a.division");
  if (division && !event.ctrlKey && !event.metaKey && event.button === 0) {
    event.preventDefault();
    const address = division.getAttribute("href");
    window.htmx.ajax("GET", address, { target: "#work", swap: "innerHTML" });
    history.pushState(null, "", address);
  }
});

// On a narrow screen the rule is wider than the page: bring the step in hand into view.
function showChosen() {
  const rule = work.querySelector(".rule-wrap");
  const chosen = rule.querySelector(".chosen");
  if (chosen) {
    rule.scrollLeft += chosen.getBoundingClientRect().left - rule.getBoundingClientRect().left - rule.clientWidth / 2;
  }
}
showChosen();
work.addEventListener("htmx:afterSwap", showChosen);

window.addEventListener("popstate", () => location.reload());

const askFor = window.hand.latest((address) => fetch(address, { headers: { "HX-Request": "true", "HX-Target": "board" } }));

function show(html, address) {
  const board = document.querySelector("#board");
  const focused = document.activeElement?.dataset?.axis;
  board.innerHTML = html;
  window.htmx.process(board);
  history.replaceState(null, "", address);
  if (focused) {
    board.querySelector(`.cut-line[data-axis="${focused}"]`)?.focus();
  }
}

function moved(axis, place) {
  const address = new URL(location.href);
  const line = document.querySelector(`.cut-line[data-axis="${axis}"]`);
  const kept = Math.max(+line.getAttribute("aria-valuemin"), Math.min(+line.getAttribute("aria-valuemax"), place));
  address.searchParams.set(axis === "across" ? "x" : "y", (Math.round(kept * 2) / 2).toString());
  const flip = document.querySelector("#flip");
  if (!address.searchParams.has("step")) {
    address.searchParams.set("step", new URL(flip.href).searchParams.get("step"));
  }
  if (!address.searchParams.has("face")) {
    address.searchParams.set("face", new URL(flip.href).searchParams.get("face") === "FRONT" ? "BACK" : "FRONT");
  }
  askFor(address.pathname + address.search, show);
}

const LINE = ".cut-line";

window.hand.drag(work, LINE, {
  hold: (line) => {
    const axis = line.dataset.axis;
    const perPixel = 1 / (+line.dataset.scale * line.ownerSVGElement.getScreenCTM().a);
    return { axis, place: +line.dataset.at, perPixel };
  },
  move: ({ axis, place, perPixel, x, y }, event) => {
    moved(axis, place + (axis === "across" ? event.clientY - y : event.clientX - x) * perPixel);
  },
});

window.hand.slides(work, LINE, (line, steps) => {
  const way = line.dataset.axis === "across" ? Math.sign(+line.dataset.scale) : 1;
  moved(line.dataset.axis, +line.dataset.at + steps * way);
});
