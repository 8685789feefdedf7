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
  else if (event.key.toLowerCase() === "l") bench()?.querySelector("[data-listen]")?.click();
  else if (event.key.toLowerCase() === "g") taken = focusOn("#gap");
  else if (event.key.toLowerCase() === "s") press("skip");
  else if (event.key.toLowerCase() === "w") document.getElementById("wrong")?.showModal();
  else if (event.key === "?") document.getElementById("keys")?.showModal();
  else taken = false;
  if (taken) event.preventDefault();
});

// Another device may go on with the same run: this page follows, unless something is being typed on it.
const FOLLOW_EVERY = 1400;
let asking = false;

function busy() {
  const typed = [...(bench()?.querySelectorAll("input:not([type=hidden], [type=radio]), textarea") ?? [])];
  return asking || document.hidden || document.querySelector("dialog[open]") || typed.some((field) => field.value);
}

function swap(html) {
  bench().outerHTML = html;
  htmx.process(bench());
  document.dispatchEvent(new Event("htmx:afterSwap"));
}

setInterval(async () => {
  const address = bench()?.dataset.follow;
  if (!address || busy()) return;
  try {
    const answer = await fetch(address, { headers: { "HX-Request": "true" } });
    if (answer.status === 200 && bench()?.dataset.follow === address && !busy()) swap(await answer.text());
  } catch {
    // No connection; the next time tells.
  }
}, FOLLOW_EVERY);

// What is pressed without a connection is kept on the device and sent when it is back; the server takes a press once.
const KEPT = "bench-kept";
const kept = () => JSON.parse(localStorage.getItem(KEPT) ?? "[]");

function keep(entries) {
  localStorage.setItem(KEPT, JSON.stringify(entries));
  const notice = document.getElementById("kept");
  if (!notice) return;
  notice.hidden = entries.length === 0;
  notice.querySelector("b").textContent = entries.length || "";
}

document.addEventListener("htmx:sendError", (event) => {
  const { verb, path, formData } = event.detail.requestConfig;
  if (verb !== "post") return;
  const body = new URLSearchParams(formData).toString();
  const others = kept().filter((entry) => entry.body !== body);
  keep([...others, { path, body }]);
});

async function send() {
  const [first, ...rest] = kept();
  if (!first || asking) return;
  asking = true;
  try {
    const answer = await fetch(first.path, {
      method: "POST",
      headers: { "HX-Request": "true", "Content-Type": "application/x-www-form-urlencoded" },
      body: first.body,
    });
    keep(rest);
    if (answer.ok && bench()) swap(await answer.text());
    keep(rest);
  } catch {
    // Still no connection.
  } finally {
    asking = false;
  }
}

addEventListener("online", send);
setInterval(send, 2000);
keep(kept());

// One press, one post: the buttons rest until the answer is there.
document.addEventListener("htmx:beforeRequest", () => {
  asking = true;
  bench()?.querySelectorAll("form button").forEach((button) => (button.disabled = true));
});
for (const failed of ["htmx:sendError", "htmx:responseError", "htmx:timeout"]) {
  document.addEventListener(failed, () => {
    bench()?.querySelectorAll("form button").forEach((button) => (button.disabled = false));
  });
}

// What is still missing is asked for in the same place.
document.addEventListener("htmx:afterSwap", () => {
  const wrong = document.getElementById("wrong");
  if (wrong?.dataset.reopen === "true") wrong.showModal();
});

document.addEventListener("htmx:afterRequest", () => {
  asking = false;
});

// The new step is read out, and keys work again at once; a refused entry gets the cursor back.
document.addEventListener("htmx:afterSwap", () => {
  const refused = bench()?.querySelector('[aria-invalid="true"]');
  if (refused) refused.focus();
  else bench()?.querySelector("h1")?.focus({ preventScroll: true });
  if (!refused) window.scrollTo({ top: 0 });
});
