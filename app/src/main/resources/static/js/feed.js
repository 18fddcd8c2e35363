// The grain's arrow follows the hand; the server maps the outline anew while it turns. Without this script the field and its
// button do the same.
const map = document.querySelector("#map");
const ask = document.querySelector("#feed-ask");
let held = null;
let asking = false;
let wanted = null;

const arrow = () => map.querySelector(".grain-arrow");

function address(degrees) {
  const fields = new FormData(ask);
  fields.set("grain", degrees.toString());
  const chosen = new URL(location.href).searchParams.get("with");
  if (chosen) {
    fields.set("with", chosen);
  }
  return `${ask.getAttribute("action")}?${new URLSearchParams(fields)}`;
}

// One request at a time; while it is under way only the last angle asked for is kept.
async function turn(degrees, refocus) {
  wanted = degrees;
  ask.elements.grain.value = degrees;
  if (asking) {
    return;
  }
  asking = true;
  while (wanted !== null) {
    const now = address(wanted);
    wanted = null;
    const answer = await fetch(now, { headers: { "HX-Request": "true", "HX-Target": "map" } });
    if (answer.ok && !answer.redirected) {
      map.innerHTML = await answer.text();
      window.htmx.process(map);
      history.replaceState(null, "", now);
      if (refocus || held) {
        arrow()?.focus();
      }
    }
  }
  asking = false;
}

const tidy = (degrees) => {
  let d = degrees;
  while (d > 90) { d -= 180; }
  while (d < -90) { d += 180; }
  return Math.round(d);
};

// The drawing lies with the neck to the right: along it is towards the neck, down it the treble side, up where it is mirrored.
function angle(event) {
  const svg = map.querySelector("svg.feed");
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  const grip = arrow();
  const side = svg.dataset.mirrored === "true" ? -1 : 1;
  return tidy((Math.atan2(side * (at.y - +grip.dataset.y), at.x - +grip.dataset.x) * 180) / Math.PI);
}

map.addEventListener("pointerdown", (event) => {
  if (event.target.closest(".grain-arrow") && event.button === 0) {
    event.preventDefault();
    arrow().focus();
    held = true;
  }
});

window.addEventListener("pointermove", (event) => {
  if (held && arrow()) {
    turn(angle(event));
  }
});

window.addEventListener("pointerup", (event) => {
  if (held) {
    turn(angle(event), true);
    held = null;
  }
});

window.addEventListener("pointercancel", () => { held = null; });

map.addEventListener("keydown", (event) => {
  const steps = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1, PageUp: -10, PageDown: 10 };
  if (event.target.closest(".grain-arrow") && steps[event.key]) {
    event.preventDefault();
    turn(tidy(+arrow().getAttribute("aria-valuenow") + steps[event.key]), true);
  }
});
