// Without a connection the bench opens as it was left: its page, which the page itself keeps whenever it changes, and what that page
// is made of. Everything else comes from the server or not at all. What was pressed meanwhile lies with the page, not here.
const PAGES = "peg-pages";
const PARTS = "peg-parts";
const ALONE = "/without-connection";

// The server starts, or its database is away.
const AWAY = new Set([502, 503, 504]);

const PART = /^\/(assets|webjars)\//;

addEventListener("install", (event) => {
  skipWaiting();
  event.waitUntil(caches.open(PARTS).then((parts) => parts.add(new Request(ALONE, { cache: "reload" }))));
});

addEventListener("activate", (event) => event.waitUntil(clients.claim()));

// Whoever signs out, or is asked to sign in, leaves nothing of theirs to the next.
const forget = () => caches.delete(PAGES);

async function last(path) {
  return (await (await caches.open(PAGES)).matchAll(path, { ignoreSearch: true })).at(-1);
}

async function keptPage(path, otherwise) {
  return (await last(path)) ?? otherwise ?? (await caches.match(ALONE)) ?? Response.error();
}

async function page(request, path) {
  if (path.startsWith("/sign-in")) await forget();
  let answer;
  try {
    answer = await fetch(request);
  } catch {
    return keptPage(path);
  }
  return AWAY.has(answer.status) ? keptPage(path, answer) : answer;
}

// Their names change with what is in them.
async function part(request) {
  return (await caches.match(request)) ?? fetch(request);
}

addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== location.origin) return;
  if (request.method !== "GET") {
    if (pathname === "/sign-out") event.waitUntil(forget());
  } else if (request.mode === "navigate") event.respondWith(page(request, pathname));
  else if (PART.test(pathname)) event.respondWith(part(request));
});
