// The app's worker, version __VERSION__. With the network there it changes nothing: every page and file comes from the
// shop. Without it, pages that were opened are shown as they were then, marked as such, and what is entered at the bench
// is kept with its id and time and goes up once, in order, when the network is back.
const FILES = "ebauche-files-__VERSION__";
const PAGES = "ebauche-pages-__VERSION__";
const ENTRIES = /^\/bodies\/[a-z0-9]{16}\/(readings|done|mishaps|asked)$|^\/timers(\/off)?$/;
const KEPT_PAGES = /^\/$|^\/timers$|^\/bodies\/[a-z0-9]{16}(\/(bench|depths|parts|passes))?$/;

self.addEventListener("install", () => self.skipWaiting());

self.addEventListener("activate", (event) => event.waitUntil((async () => {
  for (const name of await caches.keys()) {
    if (name.startsWith("ebauche-") && name !== FILES && name !== PAGES) {
      await caches.delete(name);
    }
  }
  await self.clients.claim();
})()));

// The entries that wait, in the device's own store.
function store() {
  return new Promise((resolve, reject) => {
    const opening = indexedDB.open("ebauche", 1);
    opening.onupgradeneeded = () => opening.result.createObjectStore("entries", { keyPath: "id", autoIncrement: true });
    opening.onsuccess = () => resolve(opening.result);
    opening.onerror = () => reject(opening.error);
  });
}

async function inStore(mode, act) {
  const db = await store();
  try {
    return await new Promise((resolve, reject) => {
      const deal = db.transaction("entries", mode);
      const asked = act(deal.objectStore("entries"));
      deal.oncomplete = () => resolve(asked.result);
      deal.onerror = () => reject(deal.error);
    });
  } finally {
    db.close();
  }
}

const waiting = () => inStore("readonly", (s) => s.getAll());
const keep = (entry) => inStore("readwrite", (s) => s.put(entry));
const drop = (id) => inStore("readwrite", (s) => s.delete(id));

// A page under the address that it is asked for again by: what was just logged is no part of it.
function plain(address) {
  const url = new URL(address);
  url.searchParams.delete("logged");
  url.hash = "";
  return url.href;
}

async function page(request) {
  const url = new URL(request.url);
  try {
    const answer = await fetch(request);
    if (answer.ok && !answer.redirected && KEPT_PAGES.test(url.pathname)) {
      const text = await answer.clone().text();
      const copy = new Response(text, { headers: { "Content-Type": "text/html;charset=UTF-8", "X-Kept-At": new Date().toISOString() } });
      await (await caches.open(PAGES)).put(plain(request.url), copy);
    }
    return answer;
  } catch {
    const cache = await caches.open(PAGES);
    // Another step than the one asked for would be worse than none.
    const kept = await cache.match(plain(request.url));
    if (!kept) {
      return new Response("<!DOCTYPE html><meta charset=utf-8><p>__NO_PAGE__</p>", { status: 503, headers: { "Content-Type": "text/html;charset=UTF-8" } });
    }
    const text = await kept.text();
    return new Response(text.replace("<body", `<body data-kept="${kept.headers.get("X-Kept-At")}"`), { headers: { "Content-Type": "text/html;charset=UTF-8" } });
  }
}

async function file(request) {
  try {
    const answer = await fetch(request);
    if (answer.ok) {
      await (await caches.open(FILES)).put(request.url, answer.clone());
    }
    return answer;
  } catch {
    return (await (await caches.open(FILES)).match(request.url)) ?? Response.error();
  }
}

// Where the maker goes on after an entry that was kept.
function onward(url, fields) {
  if (url.pathname.startsWith("/timers")) {
    return "/timers";
  }
  const done = url.pathname.endsWith("/done");
  const step = (done && fields.after) || fields.step || "";
  return url.pathname.replace(/\/[a-z]+$/, "/bench") + (step ? `?step=${encodeURIComponent(step)}` : "");
}

async function entry(request) {
  const url = new URL(request.url);
  const typed = [...(await request.formData()).entries()].map(([name, value]) => [name, String(value)]);
  const before = (await waiting()).filter((e) => !e.refused);
  if (!before.length) {
    try {
      // The fields, not the request's own stream: that cannot be sent again where a connection had just gone stale.
      return await fetch(url, { method: "POST", body: new URLSearchParams(typed), redirect: "manual", headers: { Accept: "text/html" } });
    } catch {
      // Kept below.
    }
  }
  const fields = typed.filter(([name]) => name !== "_csrf");
  await keep({ path: url.pathname, fields, at: new Date().toISOString() });
  if (before.length) {
    await send();
  }
  return Response.redirect(onward(url, Object.fromEntries(fields)), 303);
}

const between = (text, pattern) => {
  const found = text.match(pattern);
  return found ? found[1].replace(/<[^>]+>/g, "").replace(/&#39;/g, "'").replace(/&quot;/g, '"').replace(/&lt;/g, "<").replace(/&gt;/g, ">").replace(/&amp;/g, "&").trim() : "";
};

let sending = null;

// In order, one after another; what is refused stays with the words that refused it, and holds nothing else up.
function send() {
  sending ??= (async () => {
    let sent = 0;
    let why = "";
    try {
      for (const kept of (await waiting()).filter((e) => !e.refused)) {
        const here = await fetch("/timers", { headers: { Accept: "text/html" } });
        const token = between(await here.text(), /name="_csrf" value="([^"]+)"/);
        if (!token || here.url.includes("/sign-in")) {
          why = "sign-in";
          break;
        }
        const body = new URLSearchParams([...kept.fields, ["at", kept.at], ["sent", new Date().toISOString()], ["_csrf", token]]);
        const answer = await fetch(kept.path, { method: "POST", body, headers: { Accept: "text/html" } });
        if (answer.status >= 500) {
          break;
        }
        if (answer.ok) {
          await drop(kept.id);
          sent++;
        } else {
          const trouble = between(await answer.text(), /id="trouble"[^>]*>([\s\S]*?)<\/p>/);
          await keep({ ...kept, refused: trouble || String(answer.status) });
        }
      }
    } catch {
      // The network is gone again: the rest waits on.
    } finally {
      sending = null;
    }
    for (const client of await self.clients.matchAll()) {
      client.postMessage({ sent, why });
    }
  })();
  return sending;
}

self.addEventListener("message", (event) => {
  if (event.data === "send") {
    event.waitUntil(send());
  }
});

self.addEventListener("fetch", (event) => {
  const request = event.request;
  const url = new URL(request.url);
  if (url.origin !== self.location.origin) {
    return;
  }
  if (request.method === "POST" && request.mode === "navigate" && ENTRIES.test(url.pathname)) {
    event.respondWith(entry(request));
  } else if (request.method === "GET" && (url.pathname.startsWith("/static/") || url.pathname.startsWith("/webjars/"))) {
    event.respondWith(file(request));
  } else if (request.method === "GET" && (request.mode === "navigate" || request.headers.get("X-Ahead"))) {
    event.respondWith(page(request));
  }
});
