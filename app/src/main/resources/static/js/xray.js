// Cavities and the ends of the section line follow the hand. The address holds all that is looked at, so it can be opened
// again; without this script it is what it says.
const seen = document.querySelector("#seen");
const here = seen.dataset.here;
const half = (value) => Math.round(value * 2) / 2;

const plan = () => seen.querySelector(".xray");
const scale = () => +plan().dataset.scale;
const flip = () => +plan().dataset.flip;

// The drawing's right is towards the neck; its down is the treble side with the front up.
function millimetres(dx, dy) {
  const matrix = plan().getScreenCTM();
  return { x: (dy / matrix.d / scale()) * flip(), y: dx / matrix.a / scale() };
}

function address() {
  return new URL(location.href);
}

function withCut(url) {
  for (const end of seen.querySelectorAll(".end")) {
    url.searchParams.set(`${end.dataset.end}x`, end.dataset.x);
    url.searchParams.set(`${end.dataset.end}y`, end.dataset.y);
  }
  return url;
}

// One request at a time of each kind; while it is under way only the last wish is kept.
function latest(ask) {
  let wanted = null;
  let busy = false;
  return async (url, then) => {
    wanted = { url, then };
    if (busy) {
      return;
    }
    busy = true;
    while (wanted) {
      const now = wanted;
      wanted = null;
      const answer = await ask(now.url);
      if (answer.ok && !answer.redirected) {
        now.then(await answer.text());
      }
    }
    busy = false;
  };
}

const askSeen = latest((url) => fetch(url, { headers: { "HX-Request": "true" } }));
const askSection = latest((url) => fetch(url));

function look(url) {
  history.replaceState(null, "", url);
  askSeen(url, (html) => {
    const focused = document.activeElement?.closest?.("[data-feature], [data-end]");
    seen.innerHTML = html;
    const again = focused?.dataset.end ? `.end[data-end="${focused.dataset.end}"]` : focused ? `.cavity[data-feature="${focused.dataset.feature}"]` : null;
    if (again) {
      seen.querySelector(again)?.focus();
    }
  });
}

function move(feature, dx, dy) {
  const url = withCut(address());
  const key = `move.${feature}`;
  const [x, y] = (url.searchParams.get(key) ?? "0,0").split(",").map(Number);
  const to = [half(x + dx), half(y + dy)];
  if (to[0] === 0 && to[1] === 0) {
    url.searchParams.delete(key);
  } else {
    url.searchParams.set(key, to.join(","));
  }
  look(url);
}

function moveEnd(end, dx, dy, from = { x: +end.dataset.x, y: +end.dataset.y }) {
  end.dataset.x = half(from.x + dx);
  end.dataset.y = half(from.y + dy);
  drawLine();
  const url = withCut(address());
  history.replaceState(null, "", url);
  const section = new URL(url);
  section.pathname = `${here}/section`;
  askSection(section, (html) => { seen.querySelector("#section-view").innerHTML = html; });
}

// The line itself is the hand's own and waits for nobody.
function drawLine() {
  const mark = seen.querySelector(".section-line .mark");
  for (const end of seen.querySelectorAll(".end")) {
    const grip = end.querySelector(".grip");
    const at = place(+end.dataset.x, +end.dataset.y);
    for (const circle of end.querySelectorAll("circle")) {
      circle.setAttribute("cx", at.x);
      circle.setAttribute("cy", at.y);
    }
    end.querySelector("text").setAttribute("x", at.x);
    end.querySelector("text").setAttribute("y", at.y + 4.5);
    const n = end.dataset.end === "a" ? 1 : 2;
    mark.setAttribute(`x${n}`, grip.getAttribute("cx"));
    mark.setAttribute(`y${n}`, grip.getAttribute("cy"));
  }
}

function place(x, y) {
  const centre = plan().querySelector(".centre");
  const middle = +centre.getAttribute("y1");
  return { x: +plan().dataset.left + y * scale(), y: middle + x * flip() * scale() };
}

let held = null;

seen.addEventListener("pointerdown", (event) => {
  const of = event.target.closest(".end, .cavity.movable");
  if (!of || event.button !== 0) {
    return;
  }
  event.preventDefault();
  of.focus();
  held = { of, x: event.clientX, y: event.clientY, from: { x: +of.dataset.x, y: +of.dataset.y } };
  seen.setPointerCapture(event.pointerId);
});

seen.addEventListener("pointermove", (event) => {
  if (!held) {
    return;
  }
  const by = millimetres(event.clientX - held.x, event.clientY - held.y);
  held.by = by;
  if (held.of.matches(".end")) {
    moveEnd(held.of, by.x, by.y, held.from);
  } else {
    held.of.setAttribute("transform", `translate(${half(by.y) * scale()} ${half(by.x) * flip() * scale()})`);
  }
});

const letGo = () => {
  if (held?.by && held.of.matches(".cavity")) {
    move(held.of.dataset.feature, half(held.by.x), half(held.by.y));
  }
  held = null;
};
seen.addEventListener("pointerup", letGo);
seen.addEventListener("pointercancel", letGo);

const arrows = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowUp: [-1, 0], ArrowDown: [1, 0] };

seen.addEventListener("keydown", (event) => {
  const of = event.target.closest(".end, .cavity.movable");
  const way = arrows[event.key];
  if (!of || !way) {
    return;
  }
  event.preventDefault();
  const step = event.shiftKey ? 5 : 0.5;
  const dx = way[0] * step * flip();
  const dy = way[1] * step;
  if (of.matches(".end")) {
    moveEnd(of, dx, dy);
  } else {
    move(of.dataset.feature, dx, dy);
  }
});

seen.addEventListener("click", (event) => {
  const link = event.target.closest("a.division, #flip, #whole");
  if (link && !event.ctrlKey && !event.metaKey && event.button === 0) {
    event.preventDefault();
    look(withCut(new URL(link.getAttribute("href"), location.href)));
  }
});
