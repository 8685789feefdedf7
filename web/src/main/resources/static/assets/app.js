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

// Somebody who was signed out meanwhile, or whom the server cannot answer now, is told over the page, which stays as it is. The
// bench keeps what was pressed and says so in its own place.
document.addEventListener("htmx:responseError", (event) => {
  const { status, responseText } = event.detail.xhr;
  if ((status !== 401 && status !== 503) || document.getElementById("bench")) return;
  const notice = new DOMParser().parseFromString(responseText, "text/html").getElementById("notice");
  if (!notice) return;
  document.getElementById("notice")?.remove();
  document.body.append(notice);
  notice.querySelector("[data-here]")?.setAttribute("href", location.href);
  notice.showModal();
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

// Counting with one hand: Enter goes to the next compartment, = says that it is as recorded. Only the button sends it.
const counted = (form) => [...form.querySelectorAll("input[data-shown]")];
const countOn = (input) => {
  const all = counted(input.form);
  const next = all[all.indexOf(input) + 1] ?? input.form.querySelector("button.strong");
  next.focus();
  next.select?.();
};
document.addEventListener("keydown", (event) => {
  const input = event.target.closest("[data-count] input[data-shown]");
  if (!input) return;
  if (event.key === "=" ) input.value = input.dataset.shown;
  if (event.key === "=" || event.key === "Enter") {
    event.preventDefault();
    countOn(input);
  }
});
document.addEventListener("click", (event) => {
  const same = event.target.closest("[data-same]");
  if (!same) return;
  const input = document.getElementById(same.dataset.same);
  input.value = input.dataset.shown;
  countOn(input);
});
