// Drives the bench from the keyboard, and so from a page-turning pedal, which sends the same keys.
const NEXT = new Set([" ", "ArrowRight", "PageDown"]);
const BACK = new Set(["ArrowLeft", "PageUp"]);

// A pedal or key that bounces sends its press twice in a moment; nobody means that.
const BOUNCE_MS = 120;
let lastTurn = -BOUNCE_MS;

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
  // For a moment after a dialogue has closed, what was in focus in it is still sent what is pressed.
  const typing = event.target.matches("input, select, textarea") && !event.target.closest("dialog:not([open])");
  if (typing) {
    if (event.key === "Escape") event.target.blur();
    return;
  }
  if (NEXT.has(event.key) || BACK.has(event.key)) {
    const bounced = event.repeat || event.timeStamp - lastTurn < BOUNCE_MS;
    lastTurn = event.timeStamp;
    if (bounced) {
      event.preventDefault();
      return;
    }
  }
  // A button or link in focus answers the space bar itself.
  if (event.key === " " && event.target.matches("button, a, summary")) return;
  let taken = true;
  // Where a run is over, the same key goes on to the next of the day's list.
  if (NEXT.has(event.key)) press(bench()?.querySelector("[data-key=next]") ? "next" : "onward");
  else if (BACK.has(event.key)) press("back");
  else if (/^[1-5]$/.test(event.key)) taken = focusOn(`[data-string="${event.key}"]`);
  else if (event.key.toLowerCase() === "l") bench()?.querySelector("[data-listen]:not([hidden])")?.click();
  else if (event.key.toLowerCase() === "g") taken = focusOn("#gap, #later-gap");
  else if (event.key.toLowerCase() === "s") press("skip");
  else if (event.key.toLowerCase() === "w") press("wrong");
  else if (event.key === "?") document.getElementById("keys")?.showModal();
  else taken = false;
  if (taken) event.preventDefault();
});

// On stage a clock runs. It goes by the server's time, which the page came with; a device's own clock may be off.
let clockStarted = null;

function tick() {
  const clock = bench()?.querySelector("[data-clock]");
  if (!clock) return;
  if (clockStarted?.element !== clock) {
    const [minutes, seconds] = clock.textContent.split(":").map(Number);
    clockStarted = { element: clock, at: performance.now() - (minutes * 60 + seconds) * 1000 };
  }
  const seconds = Math.floor((performance.now() - clockStarted.at) / 1000);
  clock.textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
}

setInterval(tick, 500);

// Another device may go on with the same run: this page follows, unless something is being typed on it.
const FOLLOW_EVERY = 1400;
let asking = false;

function busy() {
  const typed = [...(bench()?.querySelectorAll("input:not([type=hidden], [type=radio], [type=checkbox]), textarea") ?? [])];
  const open = document.querySelector("dialog[open]");
  return asking || signedOut || kept().length > 0 || document.hidden || open || typed.some((field) => field.value);
}

function swap(html) {
  walked.length = 0;
  bench().outerHTML = html;
  htmx.process(bench());
  document.dispatchEvent(new Event("htmx:afterSwap"));
  document.dispatchEvent(new Event("bench:changed"));
}

async function follow() {
  const address = bench()?.dataset.follow;
  if (!address || busy()) return;
  try {
    const answer = await fetch(address, { headers: { "HX-Request": "true" } });
    if (answer.status === 401) tellSignedOut();
    if (answer.status === 200 && bench()?.dataset.follow === address && !busy()) swap(await answer.text());
  } catch {
    // No connection; the next time tells.
  }
}

setInterval(follow, FOLLOW_EVERY);
// What was heard is on record already.
document.addEventListener("heard:renew", follow);

// What is pressed without a connection, or after the session ended, is kept on the device and sent when it is back; the server
// takes a press once. It waits for its own run to be open, so that it is never sent by somebody who does not know that run.
const shelf = () => `bench-kept-${bench()?.dataset.run}`;
const kept = () => JSON.parse(localStorage.getItem(shelf()) ?? "[]");

function keep(entries) {
  if (entries.length > 0) localStorage.setItem(shelf(), JSON.stringify(entries));
  else localStorage.removeItem(shelf());
  const notice = document.getElementById("kept");
  if (!notice) return;
  notice.hidden = entries.length === 0 && !signedOut;
  notice.querySelector("b").textContent = entries.length || (signedOut ? "0" : "");
  notice.querySelectorAll("[data-signed-out]").forEach((part) => (part.hidden = !signedOut));
  notice.querySelector("span").hidden = signedOut;
}

// The server knows nobody here any more, or another person whose forms are not those of this page.
let signedOut = false;
const UNKNOWN = new Set([401, 403]);
// It cannot answer now: it starts, or its database does.
const AWAY = new Set([502, 503, 504]);

function tellSignedOut() {
  signedOut = true;
  keep(kept());
}

// In the words of the page: what was typed, or which button it was at which step.
function whatWasPressed(form, fields) {
  const words = (element) => element?.textContent.replace(/\s+/g, " ").trim() ?? "";
  const typed = [...form.querySelectorAll("input:not([type=hidden], [type=radio]), textarea")].find((field) => field.value);
  if (typed) return `${words(form.querySelector(`label[for="${typed.id}"]`))} ${typed.value}`;
  const mishap = new URLSearchParams(fields).get("mishap");
  if (mishap) return words(form.querySelector(`button[value="${mishap}"]`));
  return `${words(form.querySelector("button span"))}: ${words(bench().querySelector("h1"))}`;
}

// What the server refused stays on the device, with its reason, until somebody decides.
const refusedShelf = () => `bench-refused-${bench()?.dataset.run}`;
const refused = () => JSON.parse(localStorage.getItem(refusedShelf()) ?? "[]");

function keepRefused(entries) {
  if (entries.length > 0) localStorage.setItem(refusedShelf(), JSON.stringify(entries));
  else localStorage.removeItem(refusedShelf());
  showRefused();
}

function showRefused() {
  const notice = document.getElementById("refused");
  if (!notice) return;
  const entries = refused();
  notice.hidden = entries.length === 0;
  notice.querySelector("ul").replaceChildren(
    ...entries.map((entry) => {
      const item = notice.querySelector("template").content.cloneNode(true);
      item.querySelector(".what").textContent = entry.what;
      item.querySelector(".when").textContent = new Date(entry.at).toLocaleTimeString([], { hour: "2-digit", minute: "2-digit", hour12: false });
      const why = item.querySelector(".why");
      why.textContent = entry.why || why.dataset.otherwise;
      item.querySelector("[data-again]").addEventListener("click", () => sendAgain(entry));
      item.querySelector("[data-let-go]").addEventListener("click", () => letGo(entry));
      return item;
    }),
  );
}

const letGo = (entry) => keepRefused(refused().filter((other) => other.body !== entry.body));

// It is meant for the step that is in hand now.
function sendAgain(entry) {
  letGo(entry);
  const fields = new URLSearchParams(entry.body);
  for (const name of ["seen", "after", "step"]) {
    const now = hiddenFields(name)[0]?.value;
    if (now !== undefined && fields.has(name)) fields.set(name, now);
  }
  keep([...kept(), { ...entry, body: fields.toString(), why: undefined }]);
  send();
}

function keepOne({ requestConfig: { path, formData }, elt }) {
  const body = new URLSearchParams(formData).toString();
  if (kept().some((entry) => entry.body === body)) return;
  keep([...kept(), { path, body, at: Date.now(), what: whatWasPressed(elt, formData) }]);
  document.querySelector("dialog[open]")?.close();
  elt.querySelectorAll?.("input:not([type=hidden], [type=radio]), textarea").forEach((field) => (field.value = ""));
  goOn(path);
}

function goOn(path) {
  if (path.endsWith("/done")) walk();
  else if (path.endsWith("/back") && walked.length > 0) walkBack();
  else {
    renewPress();
    if (/\/(skip|wrong|back|end)$/.test(path)) stopWalking();
    else rest(false);
  }
}

// Whoever left before the page was kept as it was opens an earlier one: what was pressed since then is done on it once more.
function catchUp() {
  if (!bench()) return;
  const pressOf = (entry) => new URLSearchParams(entry.body).get("press");
  const entries = kept();
  const first = entries.findIndex((entry) => pressOf(entry) === hiddenFields("press")[0]?.value);
  if (first < 0) return;
  for (let at = first; at < entries.length; at++) {
    hiddenFields("press").forEach((field) => (field.value = pressOf(entries[at])));
    goOn(entries[at].path);
  }
}

// Meanwhile the bench goes on by the steps that the server sent ahead. Pages that were left are kept for going back.
const walked = [];

const hiddenFields = (name) => bench().querySelectorAll(`form input[name="${name}"]`);

// Pages over plain HTTP on a local network have no randomUUID.
function freshId() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 15) | 64;
  bytes[8] = (bytes[8] & 63) | 128;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return hex.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, "$1-$2-$3-$4-$5");
}

// The buttons of the bench rest, or work again.
function rest(resting) {
  bench()?.querySelectorAll("form button, [data-key=wrong]").forEach((button) => (button.disabled = resting));
}

// Whoever keeps the page keeps it as it is now.
function renewPress() {
  const fresh = freshId();
  hiddenFields("press").forEach((field) => (field.value = fresh));
  document.dispatchEvent(new Event("bench:changed"));
}

function stopWalking() {
  bench().querySelectorAll("[data-key=next], [data-key=skip], [data-key=wrong]").forEach((button) => {
    button.disabled = true;
  });
  document.getElementById("kept-end").hidden = false;
}

function walk() {
  const steps = document.getElementById("ahead").content.children;
  const now = Number(bench().querySelector("form[action$='/done'] input[name=step]").value);
  const next = [...steps].find((step) => Number(step.dataset.step) > now);
  if (!next) {
    stopWalking();
    return;
  }
  walked.push(bench().cloneNode(true));
  const part = (selector) => {
    const copy = next.querySelector(selector)?.cloneNode(true);
    copy?.classList.add("ahead-part");
    return copy;
  };
  bench()
    .querySelectorAll("[data-online], .ahead-part, .bench-load svg")
    .forEach((old) => old.remove());
  bench().querySelectorAll(".bench-drawing, .bench-track").forEach((old) => old.replaceChildren());
  // Its forms were laid out before anybody knew of this page, its press and its token.
  const readings = part(".readings");
  const hidden = [...bench().querySelectorAll("form[action$='/done'] input[type=hidden]:not([name=step])")];
  readings?.querySelectorAll("form").forEach((form) => form.prepend(...hidden.map((field) => field.cloneNode(true))));
  const heading = bench().querySelector("h1");
  heading.textContent = next.querySelector("h1").textContent;
  document.getElementById("bench-where").replaceChildren(...part(".where").childNodes);
  document.getElementById("bench-post").replaceChildren(...part(".post").childNodes);
  heading
    .closest("[aria-live]")
    .after(...[part(".bench-how"), part(".cautions"), part(".bench-figures"), readings].filter(Boolean));
  htmx.process(bench());
  bench().querySelector("[data-key=next] span").textContent = next.querySelector(".ends").textContent;
  bench().querySelector(".bench-load > div").replaceChildren(part(".load"));
  bench().querySelector("form[action$='/done'] input[name=step]").value = next.dataset.step;
  bench().classList.add("ahead");
  followOn(hiddenFields("press")[0].value);
}

// Going back is a press like any other: nobody knows yet whether the one before it has arrived.
function walkBack() {
  const back = hiddenFields("press")[0].value;
  bench().replaceWith(walked.pop());
  htmx.process(bench());
  followOn(back);
  keep(kept());
}

// The page that is shown now comes after a press that is still on its way.
function followOn(before) {
  hiddenFields("after").forEach((field) => (field.value = before));
  renewPress();
  rest(false);
  bench().querySelector("h1").focus({ preventScroll: true });
}

// What is answered beside the step moves nothing, and waits for nothing: the working of a figure, what a packet is.
const isAside = (event) => {
  const target = event.detail?.target;
  return target?.classList.contains("working") || target?.id === "held";
};

document.addEventListener("htmx:sendError", (event) => {
  if (event.detail.requestConfig.verb === "post" && !isAside(event)) keepOne(event.detail);
});

document.addEventListener("htmx:responseError", (event) => {
  const { status } = event.detail.xhr;
  if (event.detail.requestConfig.verb !== "post" || isAside(event)) return;
  if (UNKNOWN.has(status)) signedOut = true;
  if (UNKNOWN.has(status) || AWAY.has(status)) keepOne(event.detail);
});

// What is pressed while something is still kept comes after it.
document.addEventListener("htmx:beforeRequest", (event) => {
  if (event.detail.requestConfig.verb !== "post" || isAside(event) || kept().length === 0) return;
  event.preventDefault();
  event.stopImmediatePropagation();
  keepOne(event.detail);
  send();
});

// The page that is open knows the present token; the one that was kept may be of an earlier session.
function fieldsOf(entry) {
  const fields = new URLSearchParams(entry.body);
  const token = document.querySelector("input[name=_csrf]");
  if (token) fields.set("_csrf", token.value);
  fields.set("ago", Math.max(0, Math.round((Date.now() - entry.at) / 1000)));
  return fields;
}

async function send() {
  if (asking || signedOut || kept().length === 0) return;
  asking = true;
  let page = null;
  let anyRefused = false;
  try {
    while (kept().length > 0) {
      const [first] = kept();
      const answer = await fetch(first.path, {
        method: "POST",
        headers: { "HX-Request": "true", "Peg-Kept": "true" },
        body: fieldsOf(first),
      });
      // Signed out meanwhile: what is kept waits for the next sign-in.
      if (UNKNOWN.has(answer.status)) return tellSignedOut();
      if (AWAY.has(answer.status)) return;
      if (answer.ok) page = await answer.text();
      else {
        anyRefused = true;
        const plain = answer.headers.get("Content-Type")?.startsWith("text/plain");
        keepRefused([...refused(), { ...first, why: plain ? await answer.text() : "" }]);
      }
      keep(kept().slice(1));
    }
    if (page && bench()) swap(page);
    else if (anyRefused) location.reload();
    keep(kept());
  } catch {
    // Still no connection.
  } finally {
    asking = false;
  }
}

addEventListener("online", send);
setInterval(send, 2000);
keep(kept());
catchUp();
showRefused();
document.addEventListener("htmx:afterSwap", showRefused);

// A figure that shows its working is no press: the step stays as it is.

// One press, one post: the buttons rest until the answer is there.
document.addEventListener("htmx:beforeRequest", (event) => {
  if (isAside(event)) return;
  asking = true;
  rest(true);
});
for (const failed of ["htmx:sendError", "htmx:responseError", "htmx:timeout"]) {
  document.addEventListener(failed, () => {
    if (kept().length === 0) rest(false);
  });
}

// What is still missing is asked for in the same place.
document.addEventListener("htmx:afterSwap", (event) => {
  if (isAside(event)) return;
  const wrong = document.getElementById("wrong");
  if (wrong?.dataset.reopen === "true") wrong.showModal();
});

document.addEventListener("htmx:afterRequest", () => {
  asking = false;
});

// The new step is read out, and keys work again at once; a refused entry gets the cursor back.
document.addEventListener("htmx:afterSwap", (event) => {
  if (isAside(event)) return;
  walked.length = 0;
  const refused = bench()?.querySelector('[aria-invalid="true"]');
  if (refused) refused.focus();
  else bench()?.querySelector("h1")?.focus({ preventScroll: true });
  if (!refused) window.scrollTo({ top: 0 });
});
