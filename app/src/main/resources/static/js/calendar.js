// A block is dragged along the days' rules, to another hour or another hand; the server says whether it can stay there.
const page = document.querySelector(".calendar-page");
const form = document.querySelector("#dragged");
const QUARTER = 15;

const drawing = () => page.querySelector("svg.week");

// The rule under a pointer, by its height alone: hands have no hours everywhere.
function rowAt(event) {
  return [...drawing().querySelectorAll(".of-hand")].find((row) => {
    const steel = row.querySelector(".steel").getBoundingClientRect();
    return event.clientY >= steel.top - 4 && event.clientY <= steel.bottom + 4;
  });
}

// The quarter of an hour at which a block's left end lies, minutes since its day began.
function minuteAt(svg, x) {
  const minute = +svg.dataset.earliest + (x - +svg.dataset.left) / (+svg.dataset.scale / 100);
  return Math.max(0, Math.round(minute / QUARTER) * QUARTER);
}

const two = (number) => String(number).padStart(2, "0");

// The day and time of a minute of a day, which may be past its midnight.
function dayAndTime(day, minute) {
  const at = new Date(`${day}T00:00:00Z`);
  at.setUTCMinutes(minute);
  return { day: at.toISOString().slice(0, 10), time: `${two(at.getUTCHours())}:${two(at.getUTCMinutes())}` };
}

window.hand.drag(page, "svg.week a.slot", {
  hold: (grip, event) => ({
    svg: drawing(),
    at: window.hand.onDrawing(drawing(), event),
    left: +grip.querySelector(".bar").getAttribute("x"),
  }),
  move: (held, event) => {
    const now = window.hand.onDrawing(held.svg, event);
    held.by = { x: now.x - held.at.x, y: now.y - held.at.y };
    held.grip.setAttribute("transform", `translate(${held.by.x} ${held.by.y})`);
    const row = rowAt(event);
    held.svg.querySelectorAll(".of-hand").forEach((other) => other.classList.toggle("landing", other === row));
  },
  drop: (held, event) => {
    const row = rowAt(event);
    held.svg.querySelectorAll(".of-hand").forEach((other) => other.classList.remove("landing"));
    held.grip.removeAttribute("transform");
    if (!row || !held.by) {
      return;
    }
    const { body, step, base } = held.grip.dataset;
    const at = dayAndTime(row.dataset.day, minuteAt(held.svg, held.left + held.by.x));
    for (const [name, value] of Object.entries({ body, step, base, hand: row.dataset.hand, ...at })) {
      form.elements[name].value = value;
    }
    form.requestSubmit();
  },
  cancel: (was) => {
    was.grip.removeAttribute("transform");
    if (!was.moved) {
      location.href = was.grip.getAttribute("href");
    }
  },
});

// A link is not carried off by the browser.
page.addEventListener("dragstart", (event) => event.preventDefault());

// What is held in the hand is not swapped from under it.
page.addEventListener("htmx:beforeSwap", (event) => {
  if (page.classList.contains("holding")) {
    event.detail.shouldSwap = false;
  }
});
