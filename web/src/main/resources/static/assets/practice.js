// The practice peg by hand: a knob is dragged round, turned with the wheel or with keys. The server works out what that comes to. What
// is pressed is sent in its order, each with what stood on the page when it was pressed; what is turned meanwhile is gathered in one.
const practice = () => document.getElementById("practice");
const hands = () => document.getElementById("hands");
const inHand = () => hands()?.querySelector("[name=string]:checked")?.value;

const waiting = [];
let sending = false;
let trying = null;

// What was pressed by somebody who is signed out meanwhile is sent when they are back on this page; a press counts once.
const shelf = () => `practice-${location.pathname}`;

function keep() {
  const kept = waiting.map(({ address, body, string }) => ({ address, body: body?.toString() ?? null, string }));
  sessionStorage.setItem(shelf(), JSON.stringify(kept));
}

function sendWhatWasKept() {
  const kept = JSON.parse(sessionStorage.getItem(shelf()) ?? "[]");
  sessionStorage.removeItem(shelf());
  if (!hands()) return;
  for (const { address, body, string } of kept) {
    const fields = body === null ? null : new URLSearchParams(body);
    fields?.set("_csrf", new FormData(hands()).get("_csrf"));
    waiting.push({ address, body: fields, string });
  }
  send();
}

// Also where a page came without encryption, which has no crypto.randomUUID.
function press() {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  bytes[6] = (bytes[6] & 0x0f) | 0x40;
  bytes[8] = (bytes[8] & 0x3f) | 0x80;
  const hex = [...bytes].map((byte) => byte.toString(16).padStart(2, "0")).join("");
  return [hex.slice(0, 8), hex.slice(8, 12), hex.slice(12, 16), hex.slice(16, 20), hex.slice(20)].join("-");
}

function hear(address) {
  new Audio(address).play().catch(() => {});
}

// What came of it, in one sentence, where a screen reader hears it: what is replaced is not heard.
function tell() {
  const said = [...practice().querySelectorAll(".practice-said .now, .practice-said .what, .lesson-done b, .clock-result, .practice-clock .error")];
  document.getElementById("told").textContent = said.map((line) => line.textContent.replace(/\s+/g, " ").trim()).join(". ");
}

function swap(html) {
  const fresh = new DOMParser().parseFromString(html, "text/html").getElementById("practice");
  if (!fresh) return;
  const hearing = document.getElementById("hear")?.checked;
  const reading = document.querySelector(".by-hand")?.open;
  const focused = document.activeElement?.id;
  pulled = null;
  practice().replaceWith(fresh);
  if (reading) practice().querySelector(".by-hand").open = true;
  if (hearing) document.getElementById("hear").checked = true;
  if (focused) document.getElementById(focused)?.focus();
  tell();
}

async function send() {
  if (sending) return;
  sending = true;
  while (waiting.length > 0) {
    const { address, body, string } = waiting[0];
    practice().setAttribute("aria-busy", "true");
    try {
      const answer = await fetch(address, { method: body ? "POST" : "GET", headers: { "HX-Request": "true" }, body });
      if (answer.status === 401 || answer.status === 403) {
        keep();
        return location.reload();
      }
      waiting.shift();
      // What this instrument cannot do any more is seen on the page as it is.
      if (!answer.ok) return location.reload();
      swap(await answer.text());
      const own = practice().querySelector("[data-hear]");
      if (body?.get("does") === "PLUCK" && string === inHand() && own && document.getElementById("hear")?.checked) hear(own.href);
    } catch {
      // No connection: what was pressed waits in its place.
      document.getElementById("unsent").hidden = false;
      clearTimeout(trying);
      trying = setTimeout(send, 2000);
      sending = false;
      return;
    }
  }
  document.getElementById("unsent").hidden = true;
  practice().removeAttribute("aria-busy");
  sending = false;
}

function add(form, fields, string = inHand()) {
  const body = new URLSearchParams(fields);
  body.set("press", press());
  waiting.push({ address: form.action, body, string });
  send();
}

// What is turned or eased is gathered while an answer is awaited: as little as a hand can, and no more at once than one can.
const gathered = { turn: 0, ease: 0 };
const atOnce = { turn: 360, ease: 3 };

function gather(name, degrees) {
  if (!hands()?.querySelector(`[name=${name}]`)) return;
  gathered[name] += degrees;
  const tenths = Math.trunc(gathered[name] * 10) / 10;
  if (tenths === 0) return;
  gathered[name] -= tenths;
  const last = waiting.at(-1);
  const sum = Math.round((tenths + Number(last?.body?.get(name) ?? 0)) * 10) / 10;
  const underway = sending && waiting.length === 1;
  if (!underway && last?.body?.has(name) && last.string === inHand() && Math.abs(sum) <= atOnce[name]) {
    last.body.set(name, sum);
    return;
  }
  const fields = new FormData(hands());
  fields.set(name, tenths);
  add(hands(), fields);
}

const turn = (degrees) => gather("turn", degrees);

// Something that is done to a string on the drawing itself.
function act(position, does) {
  const fields = new FormData(hands());
  fields.set("string", position);
  fields.set("does", does);
  add(hands(), fields, position);
}

// The page with another string in hand, and everything else as it is set.
function take(position) {
  const fields = new URLSearchParams(new FormData(hands()));
  for (const secret of ["press", "_csrf"]) fields.delete(secret);
  fields.set("string", position);
  waiting.push({ address: `${practice().dataset.page}?${fields}`, body: null, string: position });
  send();
}

document.addEventListener("submit", (event) => {
  const form = event.target;
  if (form !== hands() && !form.matches("[data-sent]")) return;
  event.preventDefault();
  const fields = new FormData(form === hands() ? form : hands());
  fields.set("_csrf", new FormData(form).get("_csrf"));
  if (event.submitter?.name) fields.set(event.submitter.name, event.submitter.value);
  add(form, fields);
});

document.addEventListener("change", (event) => {
  if (event.target.matches("#hands [name=string]")) take(event.target.value);
});

const within = (selector) => (event) => hands() && event.target.closest?.(`#practice :is(${selector})`);
const nameOf = (grip) => [...grip.classList].find((name) => name.startsWith("at-"))?.slice(3);
const thumb = within(".grip-pushing");
// A knob is turned at its end too.
const knob = (event) => within(".grip")(event) || (thumb(event) && practice().querySelector(`.grip.at-${nameOf(thumb(event))}`));
const bridgeTop = within(".grip-bridge");
let dragged = null;
let pulled = null;
let onTheGround = null;
// How far the knob that was held last went round before it was let go.
let turned = 0;

function angle(event, middle) {
  return (Math.atan2(event.clientY - middle.y, event.clientX - middle.x) * 180) / Math.PI;
}

// A tip is pulled out of its hole: how far, from the edge of the shaft, is what stands out; which way says how it is locked. Away from the knob
// the string begins on the far side, towards it on the knob's; a bass string goes through once more at the scroll, or round itself at the nut.
function pull(event) {
  const { hole, svg } = pulled;
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM().inverse());
  const middle = { x: hole.cx.baseVal.value, y: hole.cy.baseVal.value };
  const [dx, dy] = [at.x - middle.x, at.y - middle.y];
  pulled.out = Math.hypot(dx, dy) - hole.r.baseVal.value;
  const line = svg.querySelector("line.pulled") ?? svg.appendChild(document.createElementNS(svg.namespaceURI, "line"));
  line.setAttribute("class", "pulled");
  line.setAttribute("stroke-width", hole.r.baseVal.value / 4);
  for (const [name, value] of Object.entries({ x1: middle.x, y1: middle.y, x2: at.x, y2: at.y })) line.setAttribute(name, value);
  const toKnob = Math.sign(svg.querySelector(`.grip.at-${inHand()}`).cx.baseVal.value - middle.x);
  const along = dy < 0 ? "TWICE_THROUGH_HOLE" : "ROUND_STANDING_PART";
  const across = Math.sign(dx) === toKnob ? "STRAIGHT_TO_WALL" : "FAR_SIDE_THEN_CROSS";
  const lock = hands().querySelector("#lock");
  const meant = lock.querySelector(`[value=${Math.abs(dx) > Math.abs(dy) ? across : along}]`);
  if (meant) lock.value = meant.value;
  const tip = hands().querySelector("#tip");
  if (pulled.out > 0) tip.value = pulled.out.toFixed(1);
  practice().querySelector(".pulled-out").textContent = pulled.out > 0 ? `${tip.value} mm, ${lock.selectedOptions[0].textContent}` : "";
}

// Nothing to hold is there: a hand that is put down beside the pegbox is off the peg.
const ground = (event) => hands() && event.target.matches?.("#practice .practice-above, #practice .practice-pegbox");

document.addEventListener("pointerdown", (event) => {
  onTheGround = ground(event) ? { x: event.clientX, y: event.clientY } : null;
  const hole = within(".grip-hole")(event);
  if (hole && nameOf(hole) === inHand()) {
    event.preventDefault();
    pulled = { hole, svg: hole.ownerSVGElement, out: 0 };
    return;
  }
  const grip = knob(event) || bridgeTop(event);
  if (!grip) return;
  event.preventDefault();
  const box = grip.getBoundingClientRect();
  if (knob(event)) {
    const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
    dragged = { position: nameOf(grip), middle, at: angle(event, middle) };
    turned = 0;
    if (inHand() !== dragged.position) take(dragged.position);
  } else {
    const foot = grip.ownerSVGElement.getScreenCTM();
    const middle = { x: foot.e, y: foot.f };
    dragged = { middle, at: angle(event, middle) };
  }
});

// Clockwise tightens; the tailpiece is on the left of the bridge.
document.addEventListener("pointermove", (event) => {
  if (pulled) pull(event);
  if (!dragged) return;
  const now = angle(event, dragged.middle);
  const by = ((now - dragged.at + 540) % 360) - 180;
  dragged.at = now;
  turned += Math.abs(by);
  if (!dragged.position) gather("ease", -by);
  else if (inHand() === dragged.position) turn(by);
});

for (const over of ["pointerup", "pointercancel"]) {
  document.addEventListener(over, () => {
    dragged = null;
    if (!pulled) return;
    pulled.svg.querySelector("line.pulled")?.remove();
    practice().querySelector(".pulled-out").textContent = "";
    if (pulled.out > 0 && over === "pointerup") act(inHand(), "THREAD");
    pulled = null;
  });
}

// No finger meets a strand that is a hair wide: the nearest one is meant.
function nearest(svg, event) {
  let found = null;
  let least = Infinity;
  for (const strand of svg.querySelectorAll(".on, .off")) {
    const at = (share) => strand.getPointAtLength(strand.getTotalLength() * share).matrixTransform(strand.getScreenCTM());
    const [begins, ends] = [at(0).x, at(1).x];
    const there = at(Math.max(0, Math.min(1, (event.clientX - begins) / (ends - begins))));
    const away = Math.abs(there.y - event.clientY);
    if (away < least) [found, least] = [strand, away];
  }
  return found;
}

// A strand is plucked; at the tailpiece the one in hand is taken off or hung; its tip goes through the hole; a string is laid beside its groove or back, a
// bare groove gets graphite; a card is held beside the bridge; one that lies is stood up; a hand goes on the string, a thumb to the end of the knob,
// or both off the peg.
document.addEventListener("click", (event) => {
  const svg = within(".practice-strands svg")(event);
  const hole = within(".grip-hole")(event);
  const groove = within(".grip-groove")(event);
  if (svg) {
    const tailpiece = svg.querySelectorAll("path.ebony")[1].getBoundingClientRect();
    const off = svg.querySelector(`.off.at-${inHand()}`);
    if (event.clientX > tailpiece.x - 6) act(inHand(), off ? "HANG" : "TAKE_OFF");
    else act(nameOf(nearest(svg, event)), "PLUCK");
  } else if (hole && nameOf(hole) !== inHand()) take(nameOf(hole));
  else if (hole) act(nameOf(hole), "THREAD");
  else if (groove?.classList.contains("bare")) act(nameOf(groove), "GRAPHITE");
  else if (groove) act(nameOf(groove), groove.classList.contains("aside") ? "LAY_BACK" : "SET_ASIDE");
  else if (within(".grip-card")(event)) act(inHand(), "CARD");
  else if (within(".grip-fallen")(event)) act(inHand(), "STAND");
  else if (thumb(event) && turned < 2) button("#pushing");
  else if (within(".hand-guiding, .practice-above .string.marked")(event)) button("#guiding");
  else if (onTheGround && Math.hypot(event.clientX - onTheGround.x, event.clientY - onTheGround.y) < 4) button("#do-LET_GO");
});

document.addEventListener("dblclick", (event) => {
  const grip = knob(event);
  if (grip) act(nameOf(grip), "PUSH");
});

document.addEventListener(
  "wheel",
  (event) => {
    const grip = knob(event);
    if (!grip) return;
    event.preventDefault();
    if (inHand() !== nameOf(grip)) take(nameOf(grip));
    else turn(event.deltaY < 0 ? 3 : -3);
  },
  { passive: false },
);

const button = (selector) => practice()?.querySelector(selector)?.click();

document.addEventListener("keydown", (event) => {
  const typing = event.target.matches("input:not([type=radio], [type=checkbox]), select, textarea");
  if (event.ctrlKey || event.altKey || event.metaKey || typing || !practice()) return;
  const by = event.shiftKey ? 45 : 5;
  let taken = true;
  if (event.key === "ArrowUp") turn(by);
  else if (event.key === "ArrowDown") turn(-by);
  else if (event.key === "ArrowRight") turn(0.2);
  else if (event.key === "ArrowLeft") turn(-0.2);
  else if (/^[1-5]$/.test(event.key)) button(`#string-${["I", "II", "III", "IV", "V"][event.key - 1]}:not(:checked)`);
  else if (event.key === " " && !event.target.matches("button, a, summary, input")) button("#do-PLUCK");
  else if (event.key.toLowerCase() === "p") button("#do-PUSH");
  else if (event.key.toLowerCase() === "l") button("#do-LET_GO");
  else if (event.key.toLowerCase() === "i") button("#pushing");
  else if (event.key.toLowerCase() === "g") button("#guiding");
  else if (event.key.toLowerCase() === "b") button("#back");
  else if (event.key.toLowerCase() === "r") button("#ready");
  else taken = false;
  if (taken) event.preventDefault();
});

if (practice()) sendWhatWasKept();

// The clock runs on between two presses, and one's own best beside it.
function tick() {
  const clock = document.querySelector(".practice-clock[data-running]");
  if (!clock) return;
  clock.since ??= performance.now();
  const ms = Number(clock.dataset.ms) + performance.now() - clock.since;
  const seconds = Math.floor(ms / 1000);
  clock.querySelector(".clock-time").textContent = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, "0")}`;
  const at = (time) => Number(clock.dataset.from) + (Number(clock.dataset.perSecond) * time) / 1000;
  clock.querySelector(".own-runs")?.setAttribute("cx", at(ms));
  clock.querySelector(".shadow-runs")?.setAttribute("cx", at(Math.min(ms, Number(clock.dataset.shadowMs))));
}

setInterval(tick, matchMedia("(prefers-reduced-motion: reduce)").matches ? 1000 : 100);

document.addEventListener("click", (event) => {
  const link = event.target.closest("#practice [data-hear]");
  if (!link) return;
  event.preventDefault();
  hear(link.href);
});

// On the line of an attempt, the moment under the pointer is looked at; the slider beneath it does the same for keys.
function lookAt(event) {
  const line = event.target.closest?.(".practice-ledger");
  const slider = document.querySelector(".practice-scrub [name=at]");
  if (!line || !slider || !(event.buttons & 1)) return;
  const box = line.querySelector("svg").getBoundingClientRect();
  const x = ((event.clientX - box.x) * line.querySelector("svg").viewBox.baseVal.width) / box.width;
  const at = Math.max(0, Math.min(Number(slider.max), Math.round((x - line.dataset.from) / line.dataset.step)));
  if (at === Number(slider.value)) return;
  slider.value = at;
  slider.dispatchEvent(new Event("input", { bubbles: true }));
}

for (const over of ["pointerdown", "pointermove"]) document.addEventListener(over, lookAt);

// Whoever names an instrument means a copy of it, whoever chooses a size means one of that size.
for (const kind of ["input", "change"]) {
  document.addEventListener(kind, (event) => {
    const chosen = { instrument: "COPY", size: "" }[event.target.name];
    const radio = chosen === undefined ? null : document.querySelector(`.practice-on [name=of][value="${chosen}"]`);
    if (radio) radio.checked = true;
  });
}
