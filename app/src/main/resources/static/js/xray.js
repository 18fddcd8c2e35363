// Cavities and the ends of the section line follow the hand. The address holds all that is looked at, so it can be opened
// again; without this script it is what it says.
const seen = document.querySelector("#seen");
const here = seen.dataset.here;
const toStep = window.hand.toStep;

const plan = () => seen.querySelector(".xray");
const scale = () => +plan().dataset.scale;
const flip = () => +plan().dataset.flip;

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

const askSeen = window.hand.latest((url) => fetch(url, { headers: { "HX-Request": "true" } }));
const askSection = window.hand.latest((url) => fetch(url));

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
  const to = [toStep(x + dx), toStep(y + dy)];
  if (to[0] === 0 && to[1] === 0) {
    url.searchParams.delete(key);
  } else {
    url.searchParams.set(key, to.join(","));
  }
  look(url);
}

function moveEnd(end, dx, dy, from = { x: +end.dataset.x, y: +end.dataset.y }) {
  end.dataset.x = toStep(from.x + dx);
  end.dataset.y = toStep(from.y + dy);
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

const MOVABLE = ".end, .cavity.movable";

window.hand.drag(seen, MOVABLE, {
  hold: (grip) => ({ from: { x: +grip.dataset.x, y: +grip.dataset.y } }),
  move: (held, event) => {
    const by = window.hand.onBody(plan(), held, event);
    if (held.grip.matches(".end")) {
      moveEnd(held.grip, by.x, by.y, held.from);
    } else {
      held.grip.setAttribute("transform", `translate(${toStep(by.y) * scale()} ${toStep(by.x) * flip() * scale()})`);
    }
  },
  drop: (held, event) => {
    if (held.grip.matches(".cavity")) {
      const by = window.hand.onBody(plan(), held, event);
      move(held.grip.dataset.feature, toStep(by.x), toStep(by.y));
    }
  },
  cancel: (held) => {
    if (held.grip.matches(".cavity")) {
      held.grip.removeAttribute("transform");
    } else if (held.moved) {
      moveEnd(held.grip, 0, 0, held.from);
    }
  },
});

window.hand.arrows(seen, MOVABLE, window.hand.step(), (grip, right, down) => {
  if (grip.matches(".end")) {
    moveEnd(grip, down * flip(), right);
  } else {
    move(grip.dataset.feature, down * flip(), right);
  }
});

seen.addEventListener("click", (event) => {
  const link = event.target.closest("a.division, #flip, #whole");
  if (link && !event.ctrlKey && !event.metaKey && event.button === 0) {
    event.preventDefault();
    look(withCut(new URL(link.getAttribute("href"), location.href)));
  }
});
