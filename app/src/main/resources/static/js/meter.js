// The meter's stand-in reads every pair that nobody typed yet.
const form = document.querySelector("#meter");

document.querySelector("#read-all")?.addEventListener("click", async () => {
  for (const field of form.querySelectorAll("input[name^='ohms.']")) {
    if (field.value === "") {
      const query = new URLSearchParams({ field: field.name, practice: form.dataset.practice });
      const answer = await fetch(`${form.dataset.meter}?${query}`);
      if (answer.ok) {
        field.value = await answer.text();
      }
    }
  }
  form.requestSubmit();
});

// What stands in the list goes into the record with its own form.
document.querySelector("#keep-readings")?.addEventListener("formdata", (event) => {
  for (const [name, value] of new FormData(form)) {
    if (name.startsWith("ohms.")) {
      event.formData.set(name, value);
    }
  }
});
document.querySelector("#save-readings")?.removeAttribute("disabled");
