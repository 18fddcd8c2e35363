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

let asking = null;
let wanted = null;

// One request at a time; while it is under way only the last place asked for is kept.
async function askFor(address) {
  wanted = address;
  if (asking) {
    return;
  }
  while (wanted) {
    const now = wanted;
    wanted = null;
    asking = fetch(now, { headers: { "HX-Request": "true", "HX-Target": "board" } });
    const answer = await asking;
    if (answer.ok && !answer.redirected) {
      show(await answer.text(), now);
    }
  }
  asking = null;
}

function show(html, address) {
  const board = document.querySelector("#board");
  const focused = document.activeElement?.dataset?.axis;
  board.innerHTML = html;
  window.htmx.process(board);
  history.replaceState(null, "", address);
  const line = (axis) => board.querySelector(`.cut-line[data-axis="${axis}"]`);
  if (focused) {
    line(focused)?.focus();
  }
  if (held) {
    line(held.axis)?.classList.add("held");
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
  askFor(address.pathname + address.search);
}

let held = null;

work.addEventListener("pointerdown", (event) => {
  const line = event.target.closest(".cut-line");
  if (line) {
    event.preventDefault();
    line.focus();
    const picture = line.ownerSVGElement.getScreenCTM();
    held = {
      axis: line.dataset.axis,
      place: +line.dataset.at,
      perPixel: 1 / (+line.dataset.scale * picture.a),
      from: line.dataset.axis === "across" ? event.clientY : event.clientX,
    };
    line.classList.add("held");
  }
});

window.addEventListener("pointermove", (event) => {
  if (held) {
    const to = held.axis === "across" ? event.clientY : event.clientX;
    moved(held.axis, held.place + (to - held.from) * held.perPixel);
  }
});

for (const end of ["pointerup", "pointercancel"]) {
  window.addEventListener(end, () => { held = null; });
}

work.addEventListener("keydown", (event) => {
  const line = event.target.closest?.(".cut-line");
  const steps = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1, PageUp: -10, PageDown: 10 };
  if (line && steps[event.key]) {
    event.preventDefault();
    const way = line.dataset.axis === "across" ? Math.sign(+line.dataset.scale) : 1;
    moved(line.dataset.axis, +line.dataset.at + steps[event.key] * way);
  }
});
