// A drawing that was just read is laid out at once; picking one's own line opens the place for it.
const form = document.querySelector("#answers");
const own = document.querySelector("#own");

document.addEventListener("htmx:afterSettle", () => {
  const read = document.querySelector(".read-now");
  if (read) {
    read.remove();
    form.querySelector("[name=outline][value=own]").checked = true;
    window.htmx.trigger(form, "relay");
  }
});

form.addEventListener("change", (event) => {
  if (event.target.name === "outline") {
    own.open = event.target.value === "own";
  }
});
