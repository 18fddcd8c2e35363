// The grain's arrow follows the hand; the server maps the outline anew while it turns. Without this script the field and its
// button do the same.
const map = document.querySelector("#map");
const ask = document.querySelector("#feed-ask");

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

const askFor = window.hand.latest((url) => fetch(url, { headers: { "HX-Request": "true", "HX-Target": "map" } }));

function turn(degrees, refocus) {
  ask.elements.grain.value = degrees;
  askFor(address(degrees), (html, url) => {
    map.innerHTML = html;
    window.htmx.process(map);
    history.replaceState(null, "", url);
    if (refocus || held()) {
      arrow()?.focus();
    }
  });
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
  const at = window.hand.onDrawing(svg, event);
  const grip = arrow();
  const side = svg.dataset.mirrored === "true" ? -1 : 1;
  return tidy((Math.atan2(side * (at.y - +grip.dataset.y), at.x - +grip.dataset.x) * 180) / Math.PI);
}

const ARROW = ".grain-arrow";

const held = window.hand.drag(map, ARROW, {
  move: (_, event) => {
    if (arrow()) {
      turn(angle(event));
    }
  },
  drop: (_, event) => turn(angle(event), true),
});

window.hand.slides(map, ARROW, (grip, steps) => turn(tidy(+grip.getAttribute("aria-valuenow") + steps), true));
