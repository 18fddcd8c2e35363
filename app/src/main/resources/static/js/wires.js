// The ends of the chosen channel follow the hand: on the plan where it begins and ends, in the section how deep. While it moves only the
// channel is looked at anew; when it is let go the body is planned. The address holds all that is tried.
const seen = document.querySelector("#seen");
const here = seen.dataset.here;
const hundredth = (value) => Math.round(value * 100) / 100;

const channel = () => seen.querySelector(".wires-work").dataset.channel;
const ends = () => seen.querySelector(".bore-ends");
const section = () => seen.querySelector(".bore-section");

// Where both ends are now, as the address writes it.
function asked() {
  const url = new URL(location.href);
  url.searchParams.delete("find");
  url.searchParams.set("channel", channel());
  for (const name of ["from", "to"]) {
    const flat = ends().querySelector(`[data-end="${name}"]`);
    const deep = section().querySelector(`[data-end="${name}"]`);
    url.searchParams.set(`channel.${channel()}.${name}.x`, `${hundredth(+flat.dataset.x)} mm`);
    url.searchParams.set(`channel.${channel()}.${name}.y`, `${hundredth(+flat.dataset.y)} mm`);
    url.searchParams.set(`channel.${channel()}.${name}Under`, `${hundredth(+deep.dataset.under)} mm`);
  }
  return url;
}

const askSeen = window.hand.latest((url) => fetch(url, { headers: { "HX-Request": "true" } }));
const askLook = window.hand.latest((url) => fetch(url));

function look() {
  const url = asked();
  url.pathname = `${here}/look`;
  askLook(url, (html) => {
    const now = document.createElement("template");
    now.innerHTML = html;
    for (const id of ["bore-now", "bore-card"]) {
      const fresh = now.content.querySelector(`#${id}`);
      if (fresh) {
        seen.querySelector(`#${id}`).replaceWith(fresh);
      }
    }
    drawSection(now.content.querySelector("#bore-section"));
  });
}

// The section is drawn anew under the grips; the one that is held stays with the hand.
function drawSection(fresh) {
  if (!fresh) {
    return;
  }
  const focused = document.activeElement?.closest?.(".depth-end")?.dataset.end;
  // The hand has gone on while this was reckoned: where it is now is what counts when it lets go.
  const now = ["from", "to"].map((name) => [name, +section().querySelector(`[data-end="${name}"]`).dataset.under]);
  seen.querySelector("#bore-section").replaceWith(fresh);
  now.forEach(([name, under]) => moveDeep(name, under));
  if (focused) {
    section().querySelector(`[data-end="${focused}"]`).focus();
  }
}

function plan() {
  const url = asked();
  history.replaceState(null, "", url);
  const grip = document.activeElement?.closest?.("[data-end]");
  const again = grip ? `.${grip.classList[0]}[data-end="${grip.dataset.end}"]` : null;
  askSeen(url, (html) => {
    seen.innerHTML = html;
    if (again) {
      seen.querySelector(again)?.focus();
    }
  });
}

function moveFlat(grip, x, y) {
  grip.dataset.x = x;
  grip.dataset.y = y;
  const still = seen.querySelector(".wires[data-middle]");
  const at = { x: +still.dataset.left + y * +still.dataset.scale, y: +still.dataset.middle + x * +still.dataset.scale };
  for (const circle of grip.querySelectorAll("circle")) {
    circle.setAttribute("cx", at.x);
    circle.setAttribute("cy", at.y);
  }
  grip.querySelector("text").setAttribute("x", at.x);
  grip.querySelector("text").setAttribute("y", at.y + 4.5);
}

function moveDeep(name, under) {
  const grip = section().querySelector(`[data-end="${name}"]`);
  grip.dataset.under = Math.max(0, under);
  const y = +section().dataset.top + Math.max(0, under) * +section().dataset.scale;
  for (const circle of grip.querySelectorAll("circle")) {
    circle.setAttribute("cy", y);
  }
  grip.querySelector("text").setAttribute("y", y + 4.5);
}

// A channel that is drilled has no ends to take.
const GRIPS = ".end, .depth-end";

window.hand.drag(seen, GRIPS, {
  hold: (grip) => ({ name: grip.dataset.end, flat: grip.matches(".end"), x0: +grip.dataset.x, y0: +grip.dataset.y, under: +grip.dataset.under }),
  move: (held, event) => {
    if (held.flat) {
      const by = window.hand.onBody(ends(), held, event);
      moveFlat(held.grip, held.x0 + by.x, held.y0 + by.y);
    } else {
      const down = (event.clientY - held.y) / section().getScreenCTM().d / +section().dataset.scale;
      moveDeep(held.name, held.under + down);
    }
    look();
  },
  drop: plan,
  cancel: (held) => {
    if (held.moved) {
      if (held.flat) {
        moveFlat(held.grip, held.x0, held.y0);
      } else {
        moveDeep(held.name, held.under);
      }
      look();
    }
  },
});

window.hand.arrows(seen, GRIPS, window.hand.step(), (grip, right, down) => {
  if (grip.matches(".end")) {
    moveFlat(grip, +grip.dataset.x + down, +grip.dataset.y + right);
  } else {
    moveDeep(grip.dataset.end, +grip.dataset.under + down);
  }
  plan();
});
