// With the network gone: what is shown is marked as kept, what was entered waits and is told of until it went up.
const says = document.body.dataset;
const note = document.querySelector("#kept-here");

function entries() {
  return new Promise((resolve) => {
    const opening = indexedDB.open("ebauche", 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore("entries", { keyPath: "id", autoIncrement: true });
    opening.onerror = () => resolve([]);
    opening.onsuccess = () => {
      const all = opening.result.transaction("entries").objectStore("entries").getAll();
      all.onsuccess = () => { opening.result.close(); resolve(all.result); };
    };
  });
}

function forget(id) {
  return new Promise((resolve) => {
    const opening = indexedDB.open("ebauche", 1);
    opening.onsuccess = () => {
      const deal = opening.result.transaction("entries", "readwrite");
      deal.objectStore("entries").delete(id);
      deal.oncomplete = () => { opening.result.close(); resolve(); };
    };
  });
}

// In words: the fields that somebody typed or pressed.
const words = (kept) => {
  const fields = Object.fromEntries(kept.fields);
  const what = [fields.measures, fields.value, fields.what, fields.whom, fields.says, fields.minutes].filter(Boolean).join(" ");
  return `${kept.path.split("/").pop()} ${fields.step ?? ""} ${what}`.trim();
};

async function show() {
  const all = await entries();
  note.replaceChildren();
  if (says.kept) {
    const line = document.createElement("p");
    line.textContent = says.saysKept.replace("%s", new Date(says.kept).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit" }));
    note.append(line);
  }
  for (const kept of all) {
    const line = document.createElement("p");
    line.className = kept.refused ? "refused" : "waits";
    line.textContent = (kept.refused ? says.saysRefused : says.saysWaits).replace("%s", words(kept)).replace("%r", kept.refused ?? "");
    if (kept.refused) {
      const seen = document.createElement("button");
      seen.type = "button";
      seen.textContent = says.saysSeen;
      seen.addEventListener("click", async () => { await forget(kept.id); show(); });
      line.append(" ", seen);
    }
    note.append(line);
  }
  note.hidden = !note.childNodes.length;
  return all.filter((k) => !k.refused).length;
}

// Some windows let no worker in, a private one or one without HTTPS: there everything is as it is without it.
async function registered() {
  try {
    return note && (await navigator.serviceWorker?.register("/worker.js"));
  } catch {
    return null;
  }
}

const workers = (await registered()) ? navigator.serviceWorker : null;
if (workers) {
  const ask = async () => (await workers.ready).active.postMessage("send");
  workers.addEventListener("message", async (event) => {
    if (event.data.sent > 0) {
      location.reload();
    } else {
      show();
    }
  });
  window.addEventListener("online", ask);
  if (await show()) {
    ask();
    setInterval(ask, 20_000);
  }
  // The steps of a body at the bench are fetched ahead once for each of its states.
  const bench = document.querySelector(".bench");
  if (bench && !says.kept) {
    const key = `ahead ${bench.dataset.here}`;
    if (localStorage.getItem(key) !== bench.dataset.state) {
      // First the maker, then what may come.
      await new Promise((later) => { setTimeout(later, 3000); });
      await workers.ready;
      const listed = await fetch(`${bench.dataset.here}/bench/ahead`);
      if (listed.ok) {
        for (const page of await listed.json()) {
          await fetch(page, { headers: { "X-Ahead": "1" } });
        }
        for (const style of document.querySelectorAll("link[rel=stylesheet], script[src]")) {
          await fetch(style.href ?? style.src);
        }
        localStorage.setItem(key, bench.dataset.state);
        bench.dataset.ahead = "kept";
      }
    } else {
      bench.dataset.ahead = "kept";
    }
  }
}

// Signing out leaves nothing of the shop on this device.
const out = document.querySelector("form[action='/sign-out']");
out?.addEventListener("submit", async (event) => {
  event.preventDefault();
  const left = note ? (await entries()).length : 0;
  if (left && !window.confirm(says.saysLose.replace("%s", left))) {
    return;
  }
  for (const name of (await window.caches?.keys()) ?? []) {
    await caches.delete(name);
  }
  indexedDB.deleteDatabase("ebauche");
  localStorage.clear();
  sessionStorage.clear();
  out.submit();
});
