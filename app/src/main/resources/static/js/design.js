// A design is changed on its drawing or in its form, which is one form all the same: what is in hand stands beside the drawing, the rest
// lies folded below. The server plans every change; here is only which part is in hand, and what was typed before and after.
const form = document.querySelector("#design");
const trial = document.querySelector("#trial");
const board = document.querySelector("#design-board");
const slot = document.querySelector("#held");
const whole = document.querySelector("#whole");

const keyed = (root, selector, key) => [...root.querySelectorAll(selector)].find((e) => e.dataset.part === key || e.dataset.slot === key);
const partOf = (key) => keyed(form, ".design-part", key);
const held = () => form.elements.held.value;

// One question at a time: while it is under way wishes add up, a move to a move.
const wish = { look: false, step: false, moves: [] };
let busy = false;

async function ask() {
  if (busy) {
    return;
  }
  busy = true;
  try {
    while (wish.look) {
      const step = wish.step;
      const move = wish.moves.shift() ?? { moves: "", dx: 0, dy: 0 };
      Object.assign(wish, { look: wish.moves.length > 0, step: false });
      const answered = await window.htmx
        .ajax("POST", form.dataset.trial, { source: form, target: "#trial", swap: "innerHTML", values: move })
        .then(() => true, () => false);
      if (!answered) {
        // htmx has told that none came: what is typed stands, what was moved lies where it lay, and the next change asks again.
        Object.assign(wish, { look: false, moves: [] });
        board.querySelectorAll("[transform]").forEach((part) => part.removeAttribute("transform"));
      } else if (step) {
        remember();
      }
    }
  } finally {
    busy = false;
  }
}

function look(step = true) {
  wish.look = true;
  wish.step ||= step;
  ask();
}

let typing = 0;
form.addEventListener("input", (event) => {
  if (event.target.name) {
    undo.disabled = false;
    clearTimeout(typing);
    typing = setTimeout(look, 200);
  }
});

// What the maker has opened or folded stays so while every change brings a new plan.
const folds = () => [...trial.querySelectorAll("details")].map((d, i) => [d.dataset.keeps ?? i, d]);
const turned = new Map();
trial.addEventListener("click", (event) => {
  const fold = event.target.closest("summary")?.parentElement;
  folds().filter(([, d]) => d === fold).forEach(([name, d]) => turned.set(name, !d.open));
});

trial.addEventListener("htmx:afterSwap", () => {
  folds().filter(([name]) => turned.has(name)).forEach(([name, d]) => { d.open = turned.get(name); });
  const says = trial.querySelector("#trial-says");
  Object.entries(JSON.parse(says.dataset.put ?? "{}")).forEach(([name, value]) => {
    form.elements[name].value = value;
  });
  mark(says);
});

function mark(says) {
  if (says.dataset.changed !== undefined) {
    const changed = new Set(says.dataset.changed.split(" "));
    form.querySelectorAll(".design-parts [data-part]").forEach((a) => a.classList.toggle("changed", changed.has(a.dataset.part)));
  }
}
mark(trial.querySelector("#trial-says"));

// The drawing comes new with every answer; what had the focus on it has it again.
let focused = null;
document.body.addEventListener("htmx:oobBeforeSwap", () => {
  focused = board.contains(document.activeElement) ? { ...document.activeElement.dataset } : null;
});
document.body.addEventListener("htmx:oobAfterSwap", () => {
  if (focused !== null) {
    [...board.querySelectorAll(".pressed")].find((p) => p.dataset.part === focused.part && p.dataset.moves === focused.moves)?.focus();
  }
});

function hold(key) {
  const part = partOf(key);
  if (!part || key === held()) {
    return;
  }
  const before = partOf(held());
  if (before) {
    before.open = false;
    keyed(whole, "[data-slot]", held()).append(before);
  }
  part.open = true;
  slot.replaceChildren(part);
  form.elements.held.value = key;
  form.querySelectorAll(".design-parts [data-part]").forEach((a) => a.toggleAttribute("aria-current", a.dataset.part === key));
  keyed(form, ".design-parts [data-part]", key)?.setAttribute("aria-current", "true");
  showInList();
  const address = new URL(location.href);
  address.searchParams.set("held", key);
  if (location.pathname.endsWith("/design") && !form.dataset.going) {
    history.replaceState(null, "", address);
  }
  look(false);
}

// The list goes sideways on a narrow screen, down on a wide one: what is in hand is in sight.
function showInList() {
  const list = form.querySelector(".design-parts");
  const here = list.querySelector("[aria-current]");
  if (here) {
    list.scrollLeft += here.getBoundingClientRect().left - list.getBoundingClientRect().left - list.clientWidth / 3;
    list.scrollTop += here.getBoundingClientRect().top - list.getBoundingClientRect().top - list.clientHeight / 3;
  }
}
showInList();

form.querySelector(".design-parts").addEventListener("click", (event) => {
  const link = event.target.closest("[data-part]");
  if (link && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    hold(link.dataset.part);
  }
});

// Moves go by the shop's step, in the body's own millimetres: x to the right as seen from the front, y to the neck.
const svg = () => board.querySelector("svg");
const toStep = window.hand.toStep;

function move({ part, moves }, dx, dy) {
  hold(part);
  if (dx !== 0 || dy !== 0) {
    const last = wish.moves.at(-1);
    if (last?.moves === moves) {
      Object.assign(last, { dx: last.dx + dx, dy: last.dy + dy });
    } else {
      wish.moves.push({ moves, dx, dy });
    }
    look();
  }
}

const PRESSED = ".pressed";
window.hand.drag(board, PRESSED, {
  hold: (grip) => ({ may: grip.matches(".movable") }),
  move: (drag, event) => {
    if (drag.may) {
      const by = window.hand.onBody(svg(), drag, event);
      const scale = +svg().dataset.scale;
      drag.grip.setAttribute("transform", `translate(${toStep(by.y) * scale} ${toStep(by.x) * scale})`);
    }
  },
  drop: (drag, event) => {
    const by = drag.may ? window.hand.onBody(svg(), drag, event) : { x: 0, y: 0 };
    move(drag.grip.dataset, toStep(by.x), toStep(by.y));
  },
  cancel: (drag) => {
    drag.grip.removeAttribute("transform");
    hold(drag.grip.dataset.part);
  },
});

window.hand.arrows(board, ".pressed.movable", window.hand.step(), (grip, right, down) => {
  move(grip.dataset, down, right);
});

board.addEventListener("keydown", (event) => {
  const grip = event.target.closest(PRESSED);
  if (grip && (event.key === "Enter" || event.key === " ")) {
    event.preventDefault();
    hold(grip.dataset.part);
  }
});

// A field is found by its name: its part comes in hand, the field has the focus.
const find = document.querySelector("#find-field");
const names = new Map();
form.querySelectorAll(".design-part").forEach((part) => {
  part.querySelectorAll(".fields label").forEach((label) => {
    names.set(`${part.querySelector("summary").textContent}, ${label.querySelector("span").textContent}`, label);
  });
});
document.querySelector("#design-fields").append(...[...names.keys()].map((name) => new Option(name, name)));
find.addEventListener("change", () => {
  const label = names.get(find.value);
  if (label) {
    hold(label.closest(".design-part").dataset.part);
    const rest = label.closest(".design-rest");
    if (rest) {
      rest.open = true;
    }
    find.value = "";
    label.querySelector("[name]").focus();
  }
});

// Undo and redo: all that stands in the form, after every change. It is kept by the browser's tab until it is saved, so that a page that
// was left by mistake can be taken up again.
const MOST = 60;
const NOT_TYPED = new Set(["base", "from", "held", "_csrf", "add"]);
const LEFT_OUT = "leave-out";
const edit = `edit ${form.dataset.trial} ${form.elements.base.value}`;
const undo = document.querySelector("#undo");
const redo = document.querySelector("#redo");

const typed = () => JSON.stringify([form.elements.from.value, ...[...new FormData(form)].filter(([name]) => !NOT_TYPED.has(name))
  .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))]);
const read = () => JSON.parse(sessionStorage.getItem(edit));

Object.keys(sessionStorage).filter((key) => key.startsWith(`edit ${form.dataset.trial} `) && key !== edit)
  .forEach((key) => sessionStorage.removeItem(key));
let steps = { at: 0, all: [typed()] };

// A long line in the form fills the browser's room sooner: then the oldest steps go first.
function keep() {
  try {
    sessionStorage.setItem(edit, JSON.stringify(steps));
  } catch (full) {
    if (steps.at === 0) {
      sessionStorage.removeItem(edit);
      return;
    }
    steps.all.shift();
    steps.at--;
    keep();
  }
}

function write() {
  keep();
  undo.disabled = steps.at === 0;
  redo.disabled = steps.at === steps.all.length - 1;
}

// Once another page is asked for, what stands in this one counts no more.
let leaving = false;

function remember() {
  const now = typed();
  if (!leaving && now !== steps.all[steps.at]) {
    steps.all = [...steps.all.slice(0, steps.at + 1), now].slice(-MOST);
    steps.at = steps.all.length - 1;
    write();
  }
}

function restore(at) {
  steps.at = at;
  write();
  const [from, ...fields] = JSON.parse(steps.all[at]);
  const values = new Map(fields);
  const out = new Set(fields.filter(([name]) => name === LEFT_OUT).map(([, value]) => value));
  const own = [...form.elements].filter((e) => e.name && !NOT_TYPED.has(e.name) && e.name !== LEFT_OUT);
  const same = from === form.elements.from.value && own.every((e) => values.has(e.name))
    && own.length === fields.filter(([name]) => name !== LEFT_OUT).length;
  if (!same) {
    goOnWith(from, fields);
    return;
  }
  const outs = [...form.querySelectorAll(`[name="${LEFT_OUT}"]`)];
  const differs = [...own.filter((e) => e.value !== values.get(e.name)), ...outs.filter((e) => e.checked !== out.has(e.value))];
  own.forEach((e) => { e.value = values.get(e.name); });
  outs.forEach((e) => { e.checked = out.has(e.value); });
  if (differs.length > 0) {
    hold(differs[0].closest(".design-part").dataset.part);
  }
  look(false);
}

// A form with other parts than this one is drawn by the server.
function goOnWith(from, fields) {
  leaving = true;
  const other = document.createElement("form");
  Object.assign(other, { method: "post", action: form.action, hidden: true });
  const own = ["base", "_csrf"].filter((name) => form.elements[name]).map((name) => [name, form.elements[name].value]);
  // What of it this form has not: the member of a list, such as pickups.2, or a part of its own.
  const more = fields.map(([name]) => name).find((name) => name !== LEFT_OUT && !form.elements[name]);
  const hand = more?.match(/^\w+\.\d+/)?.[0] ?? more?.replace(/\.[^.]*$/, "") ?? held();
  [["add", "as-typed"], ["from", from], ["held", hand], ...own, ...fields].forEach(([name, value]) => {
    const field = document.createElement("textarea");
    Object.assign(field, { name, value });
    other.append(field);
  });
  document.body.append(other);
  HTMLFormElement.prototype.submit.call(other);
}

// What was typed a moment ago is a step too, whether its plan is there or not.
form.addEventListener("submit", remember);
undo.addEventListener("click", () => {
  clearTimeout(typing);
  remember();
  restore(Math.max(0, steps.at - 1));
});
redo.addEventListener("click", () => restore(steps.at + 1));
document.addEventListener("keydown", (event) => {
  const inField = event.target.closest("input, textarea, select");
  const way = event.key.toLowerCase() === "y" || event.shiftKey ? redo : undo;
  if ((event.ctrlKey || event.metaKey) && ["z", "y"].includes(event.key.toLowerCase()) && !inField && !way.disabled) {
    event.preventDefault();
    way.click();
  }
});

const kept = read();
const now = typed();
const unsaved = document.querySelector("#unsaved");
if (kept && form.dataset.going) {
  // The page is the answer to this form: it goes on where that was.
  steps = kept;
  if (form.dataset.going === "as-typed") {
    steps.all[steps.at] = now;
  }
  remember();
  write();
} else if (kept && kept.all[kept.at] !== now) {
  unsaved.hidden = false;
  document.querySelector("#take-up").addEventListener("click", () => {
    unsaved.hidden = true;
    steps = kept;
    restore(kept.at);
  });
  document.querySelector("#forget").addEventListener("click", () => {
    unsaved.hidden = true;
    sessionStorage.removeItem(edit);
  });
} else {
  write();
}
