// Drives the bench from the keyboard, and so from a page-turning pedal, which sends the same keys.
const NEXT = new Set([" ", "ArrowRight", "PageDown"]);
const BACK = new Set(["ArrowLeft", "PageUp"]);

const bench = () => document.getElementById("bench");

function press(name) {
  const button = bench()?.querySelector(`[data-key="${name}"]`);
  if (button && !button.disabled) button.click();
}

function focusOn(selector) {
  const field = bench()?.querySelector(selector);
  if (field) field.focus();
  return Boolean(field);
}

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.altKey || event.metaKey || document.querySelector("dialog[open]")) return;
  const typing = event.target.matches("input, select, textarea");
  if (typing) {
    if (event.key === "Escape") event.target.blur();
    return;
  }
  if (event.repeat && (NEXT.has(event.key) || BACK.has(event.key))) {
    event.preventDefault();
    return;
  }
  // A button or link in focus answers the space bar itself.
  if (event.key === " " && event.target.matches("button, a, summary")) return;
  let taken = true;
  if (NEXT.has(event.key)) press("next");
  else if (BACK.has(event.key)) press("back");
  else if (/^[1-5]$/.test(event.key)) taken = focusOn(`[data-string="${event.key}"]`);
  else if (event.key.toLowerCase() === "g") taken = focusOn("#gap");
  else if (event.key.toLowerCase() === "s") press("skip");
  else if (event.key === "?") document.getElementById("keys")?.showModal();
  else taken = false;
  if (taken) event.preventDefault();
});

// One press, one post: the buttons rest until the answer is there.
document.addEventListener("htmx:beforeRequest", () => {
  bench()?.querySelectorAll("form button").forEach((button) => (button.disabled = true));
});
for (const failed of ["htmx:sendError", "htmx:responseError", "htmx:timeout"]) {
  document.addEventListener(failed, () => {
    bench()?.querySelectorAll("form button").forEach((button) => (button.disabled = false));
  });
}

// The new step is read out, and keys work again at once; a refused entry gets the cursor back.
document.addEventListener("htmx:afterSwap", () => {
  const refused = bench()?.querySelector('[aria-invalid="true"]');
  if (refused) refused.focus();
  else bench()?.querySelector("h1")?.focus({ preventScroll: true });
  if (!refused) window.scrollTo({ top: 0 });
});
