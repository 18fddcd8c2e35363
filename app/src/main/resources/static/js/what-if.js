// A slider writes what it stands at into its field; the field asks as if it had been typed.
const form = document.querySelector("#what-if");

form.addEventListener("input", (event) => {
  const slider = event.target.closest("input[type=range]");
  if (slider) {
    const field = form.querySelector(`[name="${slider.dataset.for}"]`);
    const value = Math.round(slider.valueAsNumber * 20) / 20;
    field.value = slider.dataset.angle === "true" ? String(value) : `${value} mm`;
  }
});
