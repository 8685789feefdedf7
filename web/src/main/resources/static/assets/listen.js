// Lets the server hear the strings through this device's microphone, and shows what it says.
const ears = () => document.getElementById("ears");

// What is open while it listens; null when it does not.
let listening = null;
// Somebody wants it to listen, though it may be paused or cut off.
let wanted = false;
let instead = false;
let last = null;
// What sounded last stays to be read, dimmed, until something else does.
let heard = null;
let note = "";
const sags = new Map();

const MOST_WAITING_BYTES = 200_000;
const AGAIN_AFTER_MS = 1500;
// Each page's wish is kept on the device by its own name.
const wish = () => document.querySelector("[data-wish]")?.dataset;
const wished = () => (localStorage.getItem(wish()?.wish) ?? wish()?.wished) === "true";

const why = (name) => ears().querySelector("template").content.querySelector(`[data-why="${name}"]`)?.textContent;

function say(name) {
  const bar = ears();
  // A panel that hears says so itself.
  bar.hidden = !name && (!listening || Boolean(document.querySelector(".hearing")));
  bar.querySelector(".ears-hears").hidden = !listening;
  bar.querySelector(".ears-says").textContent = name ? (why(name) ?? why("failed")) : "";
  bar.querySelector("[data-instead]").hidden = name !== "elsewhere";
  bar.querySelector("[data-again]").hidden = !name || listening || ["asks", "elsewhere", "hidden", "lost", "insecure", "over", "signed-out"].includes(name);
  bar.querySelector("[data-stop]").hidden = !wanted;
  show();
}

async function start() {
  if (listening || !ears()) return;
  wanted = true;
  if (!navigator.mediaDevices?.getUserMedia || !window.AudioWorkletNode) return stop("insecure");
  const here = {};
  listening = here;
  say("asks");
  try {
    // What a browser does to make speech clear would bend what strings sound like.
    here.stream = await navigator.mediaDevices.getUserMedia({ audio: { channelCount: 1, echoCancellation: false, noiseSuppression: false, autoGainControl: false } });
    here.context = new AudioContext();
    if (here.context.sampleRate > 48_000) {
      await here.context.close();
      here.context = new AudioContext({ sampleRate: 48_000 });
    }
    await here.context.audioWorklet.addModule(ears().dataset.pieces);
    if (listening !== here) return letGo(here);
    here.pieces = new AudioWorkletNode(here.context, "pieces", { numberOfOutputs: 0 });
    here.context.createMediaStreamSource(here.stream).connect(here.pieces);
  } catch (refused) {
    letGo(here);
    if (listening === here) stop(refused.name === "NotAllowedError" ? "denied" : refused.name === "NotFoundError" ? "none" : "fails");
    return;
  }
  connect(here);
}

function connect(here) {
  const address = new URL(ears().dataset.address, location.href);
  address.protocol = location.protocol === "https:" ? "wss:" : "ws:";
  for (const [name, value] of Object.entries({ rate: here.context.sampleRate, wished: wished(), instead })) address.searchParams.set(name, value);
  instead = false;
  here.socket = new WebSocket(address);
  here.pieces.port.onmessage = ({ data }) => {
    if (here.socket.readyState === WebSocket.OPEN && here.socket.bufferedAmount < MOST_WAITING_BYTES) here.socket.send(data);
  };
  here.socket.onopen = () => {
    say("");
    tellWish();
  };
  here.socket.onmessage = ({ data }) => take(JSON.parse(data));
  here.socket.onclose = ({ reason }) => {
    if (listening !== here) return;
    if (reason && reason !== "silent-device") return stop(reason);
    // Nobody said why: the network is gone, for a moment or for good.
    pause("lost");
    setTimeout(() => wanted && !listening && !document.hidden && start(), AGAIN_AFTER_MS);
  };
}

function tellWish() {
  if (listening?.socket?.readyState === WebSocket.OPEN) listening.socket.send(wished() ? "WISHED" : "NOT_WISHED");
}

function letGo(here) {
  here.stream?.getTracks().forEach((track) => track.stop());
  if (here.pieces) here.pieces.port.onmessage = null;
  if (here.context && here.context.state !== "closed") here.context.close();
  here.socket?.close();
}

function pause(reason) {
  const here = listening;
  listening = null;
  last = null;
  heard = null;
  if (here) letGo(here);
  say(reason);
}

function stop(reason) {
  wanted = false;
  note = "";
  sags.clear();
  pause(reason ?? "");
}

function take(told) {
  if (last?.stage !== told.stage) {
    sags.clear();
    heard = null;
  }
  if (told.state === "HEARD") heard = told;
  last = told;
  if (told.sag) sags.set(told.string, { sag: told.sag, style: told.style });
  if (told.note) note = told.note;
  show();
  if (told.renew) document.dispatchEvent(new Event("heard:renew"));
}

const put = (panel, name, text) => {
  const place = panel.querySelector(`[data-heard="${name}"]`);
  if (place && place.textContent !== (text ?? "")) place.textContent = text ?? "";
};

// What a page shows of its record is asked for again, and nothing else of it. The bench follows its run by itself.
document.addEventListener("heard:renew", () => {
  for (const renewed of document.querySelectorAll("[data-renewed]")) htmx.ajax("GET", location.href, { target: renewed, select: `#${renewed.id}`, swap: "outerHTML" });
});

// The page may have been renewed meanwhile: everything is put where it stands now.
function show() {
  for (const panel of document.querySelectorAll(".hearing")) {
    panel.querySelector(".hearing-start").hidden = Boolean(listening);
    panel.querySelector(".hearing-now").hidden = !listening;
    const box = panel.querySelector("[data-wish]");
    if (box) box.checked = wished();
    panel.querySelector(".hearing-figure").classList.toggle("was", heard !== last);
    put(panel, "string", heard?.string);
    put(panel, "cents", heard?.cents);
    if (last) put(panel, "says", last.says);
    put(panel, "warning", last?.warning);
    put(panel, "note", note);
    for (const crescent of panel.querySelectorAll("path.heard")) {
      const position = [...crescent.classList].find((name) => name.startsWith("at-")).slice(3);
      const sounded = sags.get(position);
      crescent.dataset.style = sounded?.style ?? "";
      crescent.dataset.now = position === last?.string;
      crescent.dataset.flat ??= crescent.getAttribute("d");
      crescent.setAttribute("d", sounded?.sag ?? crescent.dataset.flat);
    }
    for (const held of panel.querySelectorAll("path.held")) {
      held.setAttribute("pathLength", 100);
      held.style.strokeDasharray = `${held.classList.contains(`at-${last?.string}`) ? last.held : 0} 100`;
    }
  }
  // With the microphone on, a press takes what sounds, and asks no other device.
  for (const button of document.querySelectorAll("button[data-listen]")) button.hidden = (button.value === "HEARD") !== Boolean(listening);
  if (listening && last && ears()) {
    ears().hidden = Boolean(document.querySelector(".hearing"));
    ears().querySelector(".ears-says").textContent = note;
  }
}

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-ears]")) (wanted ? stop : start)();
  else if (event.target.closest("#ears [data-stop]")) stop();
  else if (event.target.closest("#ears [data-again]")) start();
  else if (event.target.closest("#ears [data-instead]")) {
    instead = true;
    start();
  }
});

document.addEventListener("change", (event) => {
  if (!event.target.matches("[data-wish]")) return;
  localStorage.setItem(wish().wish, event.target.checked);
  tellWish();
});

document.addEventListener("keydown", (event) => {
  if (event.key.toLowerCase() !== "m" || event.ctrlKey || event.altKey || event.metaKey || event.repeat) return;
  if (event.target.matches("input:not([type=checkbox]), select, textarea") || document.querySelector("dialog[open]")) return;
  event.preventDefault();
  if (wanted) stop();
  else if (document.querySelector(".hearing")) start();
});

// Nobody listens through a page that cannot be seen.
document.addEventListener("visibilitychange", () => {
  if (!wanted) return;
  if (document.hidden) pause("hidden");
  else start();
});
addEventListener("pagehide", () => listening && letGo(listening));

document.addEventListener("htmx:afterSwap", show);
document.addEventListener("click", (event) => {
  const tone = event.target.closest("a[data-tone]");
  if (!tone) return;
  event.preventDefault();
  new Audio(tone.href).play().catch(() => {});
});
