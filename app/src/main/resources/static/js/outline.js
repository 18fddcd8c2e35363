// The outline under the hand: points and handles are dragged here; what a change comes to is judged by the server, and one that
// makes the outline cross itself is taken back.
const svg = document.querySelector("#sheet svg");
const curve = svg.querySelector("#curve");
const handles = svg.querySelector("#handles");
const tightest = svg.querySelector("#tightest");
const judged = document.querySelector("#judged");
const typed = document.querySelector("#typed");
const keep = document.querySelector("#outline");
const token = keep.querySelector("[name=_csrf]");
const scale = +svg.dataset.scale;
const left = +svg.dataset.left;
const middle = +svg.dataset.middle;
const button = (id) => document.querySelector(id);

// The sheet lies with the neck to the right: x is towards the treble side and drawn down, y towards the neck.
const across = (p) => left + p.y * scale;
const down = (p) => middle + p.x * scale;
const onBody = (event) => {
  const at = window.hand.onDrawing(svg, event);
  return { x: (at.y - middle) / scale, y: (at.x - left) / scale };
};

// Path data of M, L, C and Z into points with their handles, and back.
function read(data) {
  const pieces = [...data.matchAll(/([MLC])([^MLCZ]*)/g)].map((m) => [m[1], m[2].trim().split(/[\s,]+/).map(Number)]);
  const nodes = [];
  for (const [letter, n] of pieces) {
    const at = { x: n[n.length - 2], y: n[n.length - 1] };
    const node = { at, into: null, out: null };
    if (letter === "C") {
      nodes[nodes.length - 1].out = { x: n[0], y: n[1] };
      node.into = { x: n[2], y: n[3] };
    }
    nodes.push(node);
  }
  const first = nodes[0];
  const last = nodes[nodes.length - 1];
  if (nodes.length > 2 && Math.hypot(first.at.x - last.at.x, first.at.y - last.at.y) < 1e-3) {
    first.into = last.into;
    nodes.pop();
  }
  return nodes;
}

const number = (n) => (Math.round(n * 1e4) / 1e4).toString();
const pair = (p) => `${number(p.x)} ${number(p.y)}`;

function write(nodes) {
  let data = `M${pair(nodes[0].at)}`;
  for (let i = 0; i < nodes.length; i += 1) {
    const a = nodes[i];
    const b = nodes[(i + 1) % nodes.length];
    data += a.out || b.into ? ` C${pair(a.out ?? a.at)} ${pair(b.into ?? b.at)} ${pair(b.at)}` : ` L${pair(b.at)}`;
  }
  return `${data} Z`;
}

let nodes = read(keep.elements.path.value);
let chosen = null; // { place, grip }
const past = [];
const future = [];
let sound = write(nodes);

function drawn() {
  let d = `M${across(nodes[0].at)} ${down(nodes[0].at)}`;
  for (let i = 0; i < nodes.length; i += 1) {
    const a = nodes[i];
    const b = nodes[(i + 1) % nodes.length];
    const u = a.out ?? a.at;
    const v = b.into ?? b.at;
    d += `C${across(u)} ${down(u)} ${across(v)} ${down(v)} ${across(b.at)} ${down(b.at)}`;
  }
  return `${d}Z`;
}

const element = (name, attributes) => {
  const e = document.createElementNS("http://www.w3.org/2000/svg", name);
  for (const [key, value] of Object.entries(attributes)) {
    e.setAttribute(key, value);
  }
  return e;
};

const isChosen = (place, grip) => chosen && chosen.place === place && chosen.grip === grip;

function draw() {
  curve.setAttribute("d", drawn());
  const focused = document.activeElement?.closest?.("#handles [data-place]");
  const keepFocus = focused ? { place: focused.dataset.place, grip: focused.dataset.grip } : null;
  handles.replaceChildren();
  nodes.forEach((node, place) => {
    const near = chosen && [place - 1, place, place + 1].some((p) => (p + nodes.length) % nodes.length === chosen.place);
    for (const grip of ["into", "out"]) {
      if (near && node[grip]) {
        handles.append(element("line", { class: "tether", x1: across(node.at), y1: down(node.at), x2: across(node[grip]), y2: down(node[grip]) }));
        handles.append(dot(node[grip], place, grip));
      }
    }
  });
  nodes.forEach((node, place) => handles.append(dot(node.at, place, "point")));
  if (keepFocus) {
    handles.querySelector(`[data-place="${keepFocus.place}"][data-grip="${keepFocus.grip}"]`)?.focus();
  }
  buttons();
}

function dot(p, place, grip) {
  const said = grip === "point" ? `point ${place + 1}` : `handle ${grip === "into" ? "before" : "after"} point ${place + 1}`;
  const g = element("g", { class: `grip ${grip}${isChosen(place, grip) ? " chosen" : ""}`, tabindex: "0", role: "button", "aria-label": said, "data-place": place, "data-grip": grip });
  g.append(element("circle", { class: "reach", cx: across(p), cy: down(p), r: 20 }));
  g.append(grip === "point"
    ? element("rect", { class: "dot", x: across(p) - 5.5, y: down(p) - 5.5, width: 11, height: 11 })
    : element("circle", { class: "dot", cx: across(p), cy: down(p), r: 5 }));
  return g;
}

const place = () => {
  const node = nodes[chosen.place];
  return chosen.grip === "point" ? node.at : node[chosen.grip];
};

function buttons() {
  const point = chosen !== null;
  for (const field of [typed.elements.x, typed.elements.y, button("#put"), button("#to-centre"), button("#add-point"), button("#smooth")]) {
    field.disabled = !point;
  }
  button("#none-chosen").hidden = point;
  button("#drop-point").disabled = !point || nodes.length < 4;
  button("#undo").disabled = past.length === 0;
  button("#redo").disabled = future.length === 0;
  if (point && document.activeElement !== typed.elements.x && document.activeElement !== typed.elements.y) {
    typed.elements.x.value = `${number(Math.round(place().x * 100) / 100)} mm`;
    typed.elements.y.value = `${number(Math.round(place().y * 100) / 100)} mm`;
  }
}

function choose(at, grip) {
  chosen = { place: at, grip };
  draw();
}

// A move of a point takes its handles along; a handle of a smooth point turns its fellow.
function moveTo(to) {
  const node = nodes[chosen.place];
  if (chosen.grip === "point") {
    const by = { x: to.x - node.at.x, y: to.y - node.at.y };
    for (const grip of ["into", "out"]) {
      if (node[grip]) {
        node[grip] = { x: node[grip].x + by.x, y: node[grip].y + by.y };
      }
    }
    node.at = to;
    return;
  }
  const other = chosen.grip === "into" ? "out" : "into";
  const smooth = node[other] && isSmooth(node);
  node[chosen.grip] = to;
  if (smooth) {
    const length = Math.hypot(node[other].x - node.at.x, node[other].y - node.at.y);
    const way = Math.hypot(to.x - node.at.x, to.y - node.at.y);
    if (way > 1e-6) {
      node[other] = { x: node.at.x - ((to.x - node.at.x) / way) * length, y: node.at.y - ((to.y - node.at.y) / way) * length };
    }
  }
}

function isSmooth(node) {
  if (!node.into || !node.out) {
    return false;
  }
  const a = { x: node.at.x - node.into.x, y: node.at.y - node.into.y };
  const b = { x: node.out.x - node.at.x, y: node.out.y - node.at.y };
  const turn = Math.abs(Math.atan2(a.x * b.y - a.y * b.x, a.x * b.x + a.y * b.y));
  return turn < 0.02;
}

const copy = (list) => structuredClone(list);
let asking = 0;

// While a point is held what it comes to is shown too, one question at a time; nothing is taken back before it is let go.
let watching = false;
async function watch() {
  if (watching) {
    return;
  }
  watching = true;
  const mine = asking;
  const answer = await fetch(keep.dataset.trial, { method: "POST", body: form({ path: write(nodes) }), headers: { "HX-Request": "true" } });
  if (held() && mine === asking && !answer.redirected && (answer.ok || answer.status === 422)) {
    judged.innerHTML = await answer.text();
    mark();
  }
  watching = false;
}

function form(entries) {
  const fields = new URLSearchParams(entries);
  fields.set(token.name, token.value);
  return fields;
}

// Sends the path; what the server makes of it is shown. A path that it refuses is taken back.
async function judge(act, more) {
  asking += 1;
  const mine = asking;
  const fields = form({ path: write(nodes), ...(act ? { act } : {}), ...more });
  const answer = await fetch(keep.dataset.trial, { method: "POST", body: fields, headers: { "HX-Request": "true" } });
  if (mine !== asking || answer.redirected) {
    return;
  }
  if (answer.ok || answer.status === 422) {
    judged.innerHTML = await answer.text();
  }
  if (answer.ok) {
    if (act) {
      nodes = read(judged.querySelector("[data-path]").dataset.path);
      chosen = chosen && chosen.place < nodes.length && (chosen.grip === "point" || nodes[chosen.place][chosen.grip]) ? chosen : null;
    }
    sound = write(nodes);
    keep.elements.path.value = sound;
    mark();
  } else if (answer.status === 422) {
    nodes = read(sound);
    past.pop();
    chosen = chosen && chosen.place < nodes.length ? chosen : null;
  }
  draw();
}

function mark() {
  const at = judged.querySelector("[data-path]")?.dataset;
  const there = at && at.tightX !== "";
  tightest.classList.toggle("gone", !there);
  if (there) {
    tightest.setAttribute("cx", across({ y: +at.tightY }));
    tightest.setAttribute("cy", down({ x: +at.tightX }));
  }
}

function remember() {
  past.push(copy(nodes));
  future.length = 0;
}

function change(how) {
  remember();
  how();
  draw();
  judge();
}

const held = window.hand.drag(handles, "[data-place]", {
  hold: (grip) => {
    choose(+grip.dataset.place, grip.dataset.grip);
    handles.querySelector(".chosen")?.focus();
    return { before: copy(nodes) };
  },
  move: (_, event) => {
    moveTo(onBody(event));
    draw();
    watch();
  },
  drop: ({ before }, event) => {
    moveTo(onBody(event));
    past.push(before);
    future.length = 0;
    draw();
    judge();
  },
  cancel: ({ before }) => {
    nodes = before;
    draw();
  },
});

handles.addEventListener("focusin", (event) => {
  const grip = event.target.closest("[data-place]");
  if (grip && !held() && !isChosen(+grip.dataset.place, grip.dataset.grip)) {
    choose(+grip.dataset.place, grip.dataset.grip);
  }
});

window.hand.arrows(handles, "[data-place]", 1, (_, right, down) => {
  const from = place();
  change(() => moveTo({ x: from.x + down, y: from.y + right }));
});

button("#undo").addEventListener("click", () => {
  future.push(copy(nodes));
  nodes = past.pop();
  chosen = null;
  draw();
  judge();
});

button("#redo").addEventListener("click", () => {
  past.push(copy(nodes));
  nodes = future.pop();
  chosen = null;
  draw();
  judge();
});

document.addEventListener("keydown", (event) => {
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z" && !event.target.closest("input")) {
    event.preventDefault();
    button(event.shiftKey ? "#redo" : "#undo").click();
  }
});

// The piece after the point is halved (de Casteljau).
button("#add-point").addEventListener("click", () => change(() => {
  const a = nodes[chosen.place];
  const b = nodes[(chosen.place + 1) % nodes.length];
  const half = (p, q) => ({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 });
  if (!a.out && !b.into) {
    nodes.splice(chosen.place + 1, 0, { at: half(a.at, b.at), into: null, out: null });
    return;
  }
  const p1 = a.out ?? a.at;
  const p2 = b.into ?? b.at;
  const ab = half(a.at, p1);
  const bc = half(p1, p2);
  const cd = half(p2, b.at);
  const abc = half(ab, bc);
  const bcd = half(bc, cd);
  a.out = ab;
  b.into = cd;
  nodes.splice(chosen.place + 1, 0, { at: half(abc, bcd), into: abc, out: bcd });
}));

button("#drop-point").addEventListener("click", () => change(() => {
  nodes.splice(chosen.place, 1);
  chosen = null;
}));

// Both handles on one line, along the way from the neighbour before to the one after.
button("#smooth").addEventListener("click", () => change(() => {
  const node = nodes[chosen.place];
  const before = nodes[(chosen.place + nodes.length - 1) % nodes.length].at;
  const after = nodes[(chosen.place + 1) % nodes.length].at;
  const way = Math.hypot(after.x - before.x, after.y - before.y) || 1;
  const u = { x: (after.x - before.x) / way, y: (after.y - before.y) / way };
  const reach = (p) => Math.hypot(p.x - node.at.x, p.y - node.at.y) / 3;
  node.into = { x: node.at.x - u.x * reach(before), y: node.at.y - u.y * reach(before) };
  node.out = { x: node.at.x + u.x * reach(after), y: node.at.y + u.y * reach(after) };
}));

typed.addEventListener("submit", (event) => {
  event.preventDefault();
  if (chosen) {
    remember();
    judge("move", { point: chosen.place, grip: chosen.grip.toUpperCase(), x: typed.elements.x.value, y: typed.elements.y.value });
  }
});

button("#to-centre").addEventListener("click", () => {
  const at = place();
  change(() => moveTo({ x: 0, y: at.y }));
});

for (const b of document.querySelectorAll("[data-act]")) {
  b.addEventListener("click", () => {
    remember();
    chosen = null;
    judge(b.dataset.act, {});
  });
}

draw();
mark();
