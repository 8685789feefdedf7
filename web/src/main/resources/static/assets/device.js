// Keeps on the device what the bench needs without a connection. Browsers allow it on pages over https, or on the same machine.
const PAGES = "peg-pages";
const PARTS = "peg-parts";

const able = "serviceWorker" in navigator && "caches" in window;
const signedIn = document.getElementById("bench") || document.querySelector("form[action$='/sign-out']");
const onBench = /^\/bench(\/[0-9a-f-]{36})?$/.test(location.pathname);

// The name of a part without what changes with its content.
const named = (address) => new URL(address, location.href).pathname.replace(/-[0-9a-f]{32}(?=\.\w+$)/, "");

// What this page is made of; a new version takes the place of the old one, and of the pages that were made of that.
async function keepParts() {
  const wanted = performance
    .getEntriesByType("resource")
    .map((entry) => entry.name)
    .filter((address) => /^\/(assets|webjars)\//.test(new URL(address).pathname) && new URL(address).origin === location.origin);
  const parts = await caches.open(PARTS);
  const before = (await parts.keys()).map((request) => request.url);
  const fresh = wanted.filter((address) => !before.includes(address));
  await Promise.all(fresh.map((address) => parts.add(address)));
  // Only what has just come makes way for itself: a page that is not whole yet names fewer parts than it is made of.
  const old = before.filter((address) => !wanted.includes(address) && fresh.some((other) => named(other) === named(address)));
  await Promise.all(old.map((address) => parts.delete(address)));
  if (old.length === 0) return;
  // The page that says that there is no connection is made of them as well.
  await parts.add("/without-connection");
  const pages = await caches.open(PAGES);
  const others = (await pages.keys()).filter((request) => new URL(request.url).pathname !== location.pathname);
  await Promise.all(others.map((request) => pages.delete(request)));
}

// A page takes the place of what was kept of it only once it lies there whole: whoever leaves in between loses neither.
async function put(path, answer) {
  const pages = await caches.open(PAGES);
  const before = await pages.keys(path, { ignoreSearch: true });
  await pages.put(`${path}?kept=${crypto.getRandomValues(new Uint32Array(2)).join("-")}`, answer);
  await Promise.all(before.map((key) => pages.delete(key)));
}

// The page as it stands now. All pages come with the same headers, the content policy among them.
async function keepPage() {
  // Whoever was signed out meanwhile leaves nothing.
  if (document.querySelector("#kept [data-signed-out]:not([hidden])")) return;
  const came = (await (await caches.open(PAGES)).matchAll()).at(-1) ?? (await fetch(location.pathname));
  if (!came.ok || came.redirected) return;
  const headers = new Headers(came.headers);
  headers.delete("Content-Encoding");
  headers.delete("Content-Length");
  const page = document.documentElement.cloneNode(true);
  page.querySelectorAll("dialog[open]").forEach((dialog) => dialog.removeAttribute("open"));
  await put(location.pathname, new Response(`<!DOCTYPE html>${page.outerHTML}`, { headers }));
}

// A device is started at the list of what is on the bench.
const keepList = async () => {
  const list = await fetch("/bench");
  if (list.ok && !list.redirected) await put("/bench", list);
};

if (able && signedIn) {
  let keeping = navigator.serviceWorker.register("/worker.js").then(() => navigator.serviceWorker.ready);
  // One after the other; what fails is tried again at the next change.
  const keep = (what) => {
    keeping = keeping.then(what).catch(() => {});
  };
  addEventListener("load", () => {
    keep(keepParts);
    if (!onBench || !navigator.onLine) return;
    keep(keepPage);
    if (location.pathname !== "/bench") keep(keepList);
  });
  if (onBench && document.getElementById("bench")) {
    for (const changed of ["htmx:afterSettle", "bench:changed"]) document.addEventListener(changed, () => keep(keepPage));
  }
}
