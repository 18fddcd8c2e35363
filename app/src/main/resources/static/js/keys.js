// The page's keys: they press what is there to be pressed, so nothing can be done by a key alone.
const presses = { a: "#earlier", d: "#later", f: "#flip", w: ".why summary", e: "#edit, #to-design", b: "#to-bench, #next-at-bench", r: "#to-template", q: "#to-depths", x: "#to-x-ray", z: "#to-contours", y: "#to-check", s: "nav a[href='/box']", g: ".home", t: "nav a[href='/timber']", c: "nav a[href='/crib']", v: "#keep" };
const list = document.querySelector("#keys");

const typing = (target) => target.closest("input, textarea, select, [contenteditable]");

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) {
    return;
  }
  if (event.key === "?") {
    list?.showModal();
  } else if (presses[event.key] && !list?.open) {
    const control = document.querySelector(presses[event.key]);
    if (control) {
      event.preventDefault();
      control.click();
    }
  }
});

document.querySelector("#keys-button")?.addEventListener("click", () => list.showModal());
