// What only a script can do is not offered without one.
document.documentElement.classList.add("scripted");

// What every page shares: dialogs that a button opens, plan details that follow their tick, and workings brought into view.
document.addEventListener("click", (event) => {
  const opener = event.target.closest("[data-opens]");
  if (!opener) return;
  event.preventDefault();
  if (!opener.disabled) document.getElementById(opener.dataset.opens)?.showModal();
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

// On a narrow screen the working of a figure may open below what is to be seen.
document.addEventListener("htmx:afterSettle", (event) => {
  if (event.target.classList.contains("working")) event.target.querySelector("summary")?.scrollIntoView({ block: "nearest" });
});

// On paper nothing is folded.
addEventListener("beforeprint", () => {
  document.querySelectorAll("details.passage:not([open])").forEach((passage) => {
    passage.open = true;
    addEventListener("afterprint", () => (passage.open = false), { once: true });
  });
});
