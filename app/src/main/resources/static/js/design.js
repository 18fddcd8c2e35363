// What the maker has opened beside the form stays open while every change brings a new plan.
const trial = document.querySelector("#trial");
let opened = new Set();

const all = () => [...trial.querySelectorAll("details")];

trial.addEventListener("htmx:beforeSwap", () => {
  opened = new Set(all().flatMap((d, i) => (d.open ? [i] : [])));
});

trial.addEventListener("htmx:afterSwap", () => {
  all().forEach((d, i) => { d.open ||= opened.has(i); });
});
