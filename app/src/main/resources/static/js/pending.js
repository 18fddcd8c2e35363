// A reading that was sent and not yet acknowledged, kept on this machine: a lost connection or an expired sign-in must
// not cost it.
const place = "ebauche.pending-reading";

export const keep = (reading) => localStorage.setItem(place, JSON.stringify(reading));

export const forget = () => localStorage.removeItem(place);

export function kept() {
  try {
    return JSON.parse(localStorage.getItem(place));
  } catch {
    forget();
    return null;
  }
}

const waiting = kept();
if (waiting && document.querySelector(".who") && !document.querySelector(".bench")) {
  const note = document.createElement("p");
  note.className = "note pending";
  note.setAttribute("role", "status");
  const link = document.createElement("a");
  link.href = `${waiting.here}/bench?step=${encodeURIComponent(waiting.step)}`;
  link.textContent = document.body.dataset.saysPending.replace("%s", waiting.value);
  note.append(link);
  document.querySelector("main").prepend(note);
}
