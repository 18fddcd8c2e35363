// The shop's timers on every page: the next one counts down in the head, and each tells when it is up. They run in the
// shop's database; what was last heard of them is kept here, so that they count on while the network is gone.
const place = "ebauche.timers";
const told = "ebauche.timers-told";
const heads = [...document.querySelectorAll("a.timers")];
const alarm = document.querySelector(".timer-up");

const read = (key) => {
  try {
    return JSON.parse(localStorage.getItem(key)) ?? [];
  } catch {
    localStorage.removeItem(key);
    return [];
  }
};

let running = read(place);

export const left = (ends) => {
  const seconds = Math.max(0, Math.ceil((ends - Date.now()) / 1000));
  const two = (n) => String(n).padStart(2, "0");
  return `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
};

function sound() {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = 880;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + 0.6);
  } catch {
    // A device without sound still shows it.
  }
  navigator.vibrate?.([200, 100, 200]);
}

function tell(timer) {
  const before = read(told);
  if (before.includes(timer.id)) {
    return;
  }
  localStorage.setItem(told, JSON.stringify([...before.slice(-50), timer.id]));
  alarm.textContent = heads[0].dataset.saysUp.replace("%s", timer.says);
  alarm.hidden = false;
  sound();
}

function tick() {
  const next = running[0];
  for (const head of heads) {
    const up = running.filter((t) => t.ends <= Date.now()).length;
    head.textContent = next ? (up ? `${head.dataset.saysTimers} ${up}!` : `${head.dataset.saysTimers} ${left(next.ends)}`) : head.dataset.saysTimers;
    head.classList.toggle("up", up > 0);
  }
  running.filter((t) => t.ends <= Date.now()).forEach(tell);
  for (const shown of document.querySelectorAll(".countdown[data-ends]")) {
    if (+shown.dataset.ends > Date.now()) {
      shown.textContent = left(+shown.dataset.ends);
    } else if (!shown.closest(".up")) {
      location.reload();
    }
  }
}

async function ask() {
  try {
    const answer = await fetch("/timers/running", { headers: { Accept: "application/json" } });
    if (answer.ok && answer.headers.get("Content-Type")?.includes("json")) {
      running = await answer.json();
      localStorage.setItem(place, JSON.stringify(running));
      tick();
    }
  } catch {
    // No network: what was last heard counts on.
  }
}

if (heads.length) {
  tick();
  ask();
  setInterval(tick, 1000);
  setInterval(ask, 30_000);
}
