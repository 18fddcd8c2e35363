// The printer's own dialog; the sheet's style does the rest.
document.querySelector("[data-print]")?.addEventListener("click", () => window.print());
