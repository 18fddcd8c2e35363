// The page's keys: they press what is there to be pressed, so nothing can be done by a key alone. The list of keys is the page's own.
const list = document.querySelector("#keys");
const presses = new Map([...list.querySelectorAll("[data-presses]")].map((key) => [key.textContent, key.dataset.presses]));

const typing = (target) => target.closest("input, textarea, select, [contenteditable]");

// Each key is said where its button is, on what htmx puts there later too.
function tell() {
  for (const [key, selector] of presses) {
    const control = document.querySelector(selector);
    if (control && !control.hasAttribute("aria-keyshortcuts")) {
      control.setAttribute("aria-keyshortcuts", key);
      const said = document.body.dataset.saysKey.replace("%s", key);
      control.title = control.title ? `${control.title} (${said})` : said;
    }
  }
}

tell();
document.body.addEventListener("htmx:afterSettle", tell);

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) {
    return;
  }
  if (event.key === "?") {
    list.showModal();
  } else if (presses.has(event.key) && !list.open) {
    const control = document.querySelector(presses.get(event.key));
    if (control) {
      event.preventDefault();
      control.click();
    }
  }
});

document.querySelector("#keys-button")?.addEventListener("click", () => list.showModal());
