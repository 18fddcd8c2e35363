// The calliper's button fills the field that was last touched, or the first that is empty; without this script sizes are typed.
for (const form of document.querySelectorAll(".part-card form")) {
  const fields = [...form.querySelectorAll("input[data-calliper]")];
  const button = form.querySelector(".read-calliper");
  let last = null;
  fields.forEach((f) => f.addEventListener("focus", () => { last = f; }));
  button.disabled = false;
  button.addEventListener("click", async () => {
    const field = last && !last.value ? last : fields.find((f) => !f.value) ?? fields[0];
    const answer = await fetch(field.dataset.calliper);
    if (answer.ok) {
      field.value = await answer.text();
      field.focus();
      last = null;
    }
  });
}
