// The keypad, the gauge and the reading that is kept until the shop's database has it. Without this script the fields
// are typed into and sent as an ordinary form.
import { keep, kept, forget } from "./pending.js";

const page = document.querySelector(".bench");
const form = document.querySelector("#reading");
const value = document.querySelector("#value");
const unit = document.querySelector(".keypad").dataset.unit;
const picked = form.elements.measures;

// Every page shown is a new reading; the same one sent again carries the same id and is not logged twice.
for (const entry of document.querySelectorAll("input[name=entry]")) {
  entry.value = crypto.randomUUID?.() ?? entry.value;
}

const acknowledged = document.querySelector("#logged")?.dataset.entry;
const left = kept();
if (left && (left.entry === acknowledged || document.querySelector("#trouble"))) {
  forget();
} else if (left && left.here === page.dataset.here) {
  value.value = left.value;
  picked.value = left.measures;
  form.elements.entry.value = left.entry;
  form.elements.step.value = left.step;
  const note = document.createElement("p");
  note.className = "note";
  note.setAttribute("role", "status");
  note.textContent = page.dataset.saysLeft.replace("%s", left.value);
  form.before(note);
}

form.addEventListener("submit", () => keep({
  here: page.dataset.here,
  step: form.elements.step.value,
  entry: form.elements.entry.value,
  measures: picked.value,
  value: value.value,
}));

const parts = () => {
  const read = value.value.trim().match(/^(?:(\d+)\s*|(?:(\d+)\s+)?(\d+)\/(\d+)\s*)in$/);
  return read ? { whole: +(read[1] ?? read[2] ?? 0), in64: read[3] ? (+read[3] * 64) / +read[4] : 0 } : null;
};

function showInches(whole, in64) {
  const total = whole * 64 + in64;
  let top = total % 64;
  let bottom = 64;
  while (top && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const inches = Math.floor(total / 64);
  value.value = [inches || !top ? inches : "", top ? `${top}/${bottom}` : ""].filter((t) => t !== "").join(" ") + " in";
}

function press(key) {
  if (key === "back") {
    value.value = value.value.replace(/\s*(mm|in)$/, "").slice(0, -1);
  } else if (key === "unit") {
    const bare = value.value.replace(/\s*(mm|in)$/, "");
    value.value = bare + (value.value.endsWith("in") ? " mm" : value.value.endsWith("mm") ? " in" : unit === "in" ? " mm" : " in");
  } else if (key.includes("/")) {
    const now = parts() ?? { whole: +(value.value.match(/^\d+$/)?.[0] ?? 0), in64: 0 };
    showInches(now.whole, now.in64 + 64 / +key.slice(2));
  } else {
    value.value = value.value.replace(/\s*(mm|in)$/, "") + key;
  }
  judge();
}

function millimetres() {
  const text = value.value.trim();
  const inches = parts();
  if (inches) {
    return (inches.whole + inches.in64 / 64) * 25.4;
  }
  const number = text.match(/^(-?\d*\.?\d+)\s*(mm|in)?$/);
  return number ? +number[1] * ((number[2] ?? unit) === "in" ? 25.4 : 1) : null;
}

// A hint while typing; the server judges the reading itself.
function judge() {
  for (const band of form.querySelectorAll(".band")) {
    const shown = band.dataset.measures === picked.value;
    band.hidden = !shown;
    const read = millimetres();
    const state = read === null ? "" : read >= +band.dataset.least - 1e-9 && read <= +band.dataset.most + 1e-9 ? "in" : "out";
    band.dataset.state = state;
    band.dataset.says = state && (state === "in" ? page.dataset.saysIn : page.dataset.saysOut);
  }
}

document.querySelector(".keypad").addEventListener("click", (event) => {
  const key = event.target.closest("button")?.dataset.key;
  if (key) {
    press(key);
  }
});
// Only some readings go both ways: off the centre line, inside or outside a template.
const sign = document.querySelector("#sign");
sign.addEventListener("click", () => {
  value.value = value.value.startsWith("-") ? value.value.slice(1) : "-" + value.value;
  judge();
});

function choose() {
  sign.hidden = picked.selectedOptions[0]?.dataset.signed !== "true";
  judge();
}

value.addEventListener("input", judge);
picked.addEventListener("change", choose);
choose();

document.querySelector("#gauge").addEventListener("click", async () => {
  const asked = new URLSearchParams({ step: page.dataset.step, measures: picked.value });
  const answer = await fetch(`${page.dataset.here}/gauge?${asked}`);
  if (answer.ok) {
    value.value = await answer.text();
    judge();
  } else {
    value.placeholder = page.dataset.saysCannot;
  }
});

// The keypad is folded until a reading is wanted.
const keypad = document.querySelector("#keypad");
const foldKeys = document.querySelector("#keys-of-reading");
function fold(folded) {
  keypad.hidden = folded;
  foldKeys.setAttribute("aria-expanded", String(!folded));
}
foldKeys.addEventListener("click", () => fold(!keypad.hidden));
value.addEventListener("pointerdown", () => fold(false));

// Passes as they are taken: the one in hand is large, and stays so on this device until the step is done.
const hand = document.querySelector(".in-hand");
if (hand) {
  const key = `pass ${hand.dataset.passes}`;
  const passes = [...hand.querySelectorAll("[data-pass]")];
  const back = document.querySelector("#pass-back");
  const cut = document.querySelector("#pass-cut");
  let at = Math.min(passes.length, Number(localStorage.getItem(key) ?? 0));
  const show = () => {
    localStorage.setItem(key, String(at));
    const left = at < passes.length;
    passes.forEach((pass, i) => { pass.hidden = i !== Math.min(at, passes.length - 1); });
    hand.classList.toggle("all-cut", !left);
    cut.disabled = !left;
    back.disabled = at === 0;
  };
  back.addEventListener("click", () => { at--; show(); });
  cut.addEventListener("click", () => { at++; show(); });
  show();
}

// The screen stays awake while a step is on.
async function stayAwake() {
  try {
    await navigator.wakeLock?.request("screen");
  } catch {
    // Refused, as on a low battery: the screen goes dark as it always did.
  }
}
document.addEventListener("visibilitychange", () => {
  if (document.visibilityState === "visible") {
    stayAwake();
  }
});
stayAwake();

const wrong = document.querySelector("#wrong");
const words = document.querySelector("#went-wrong");
words.hidden = true;
wrong.addEventListener("click", () => {
  words.hidden = !words.hidden;
  wrong.setAttribute("aria-expanded", String(!words.hidden));
  if (!words.hidden) {
    words.querySelector("textarea").focus();
    words.scrollIntoView({ block: "end" });
  }
});

for (const timer of document.querySelectorAll(".timer")) {
  const tick = () => {
    const left = Math.max(0, Math.round((Date.parse(timer.dataset.until) - Date.now()) / 1000));
    const two = (n) => String(n).padStart(2, "0");
    timer.textContent = `${Math.floor(left / 3600)}:${two(Math.floor(left / 60) % 60)}:${two(left % 60)}`;
  };
  tick();
  setInterval(tick, 1000);
}

// What only this script can do is offered once it can be done.
for (const button of page.querySelectorAll("[data-key], #wrong, #keys-of-reading, #gauge[data-can=true]")) {
  button.disabled = false;
}

// What is ticked of a ledger stays so on this device until the step is called done.
const ledgers = () => document.querySelectorAll("[data-ledger]");
for (const ledger of ledgers()) {
  const key = `ledger ${ledger.dataset.ledger}`;
  const kept = new Set(JSON.parse(localStorage.getItem(key) ?? "[]"));
  for (const box of ledger.querySelectorAll("[data-row]")) {
    box.checked = kept.has(box.dataset.row);
    box.addEventListener("change", () => {
      box.checked ? kept.add(box.dataset.row) : kept.delete(box.dataset.row);
      localStorage.setItem(key, JSON.stringify([...kept]));
    });
  }
}

document.querySelector(".bench").dataset.ready = "";
