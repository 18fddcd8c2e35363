// The wall of a hollow follows the hand: while it moves only the drawing and its sums are reckoned anew; let go, the whole page is.
const slider = document.querySelector("#wall-drag");
const form = document.querySelector("form#hollow");
const wall = form.elements.namedItem("wall");

const ask = window.hand.latest((url) => fetch(url));

function look() {
  wall.value = `${slider.value} mm`;
  const asked = new URLSearchParams(new FormData(form));
  ask(`${slider.dataset.here}/hollow/look?${asked}`, (html) => {
    const now = document.createElement("template");
    now.innerHTML = html;
    for (const id of ["hollow-drawn", "hollow-sums"]) {
      document.querySelector(`#${id}`).replaceWith(now.content.querySelector(`#${id}`));
    }
  });
}

// What only this script can do is offered once it can be done.
slider.disabled = false;
slider.addEventListener("input", look);
slider.addEventListener("change", () => form.requestSubmit());
