// What every page shares: dialogs that a button opens, and plan details that follow their tick.
document.addEventListener("click", (event) => {
  const opener = event.target.closest("[data-opens]");
  if (opener) document.getElementById(opener.dataset.opens)?.showModal();
});

document.addEventListener("change", (event) => {
  if (event.target.name === "strings") {
    const details = event.target.closest(".string-choice")?.querySelector("details");
    if (details) details.open = event.target.checked;
  }
});

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-print]")) window.print();
});
