// Keeps what a phone needs where the house cannot be reached, and sends what was noted meanwhile.
import { CacheableResponsePlugin } from "workbox-cacheable-response";
import { clientsClaim } from "workbox-core";
import { registerRoute } from "workbox-routing";
import { CacheFirst } from "workbox-strategies";
import * as store from "./store.js";

const PAGES = "pages";
const ASSETS = "assets";
const WAITING = "/waiting";
const PATIENCE_MS = 4000;
const LONGEST_PAGE_MS = 60 * 1000;
const SEND_PATIENCE_MS = 15000;
const AWAY_FOR_MS = 15000;
const GATEWAY = [502, 503, 504];
const SYNC = "what-waits";

// Since when the house is known to be out of reach: its pages come from the phone at once then.
let awaySince = 0;
const knownAway = () => Date.now() - awaySince < AWAY_FOR_MS;
const reached = (yes) => {
  awaySince = yes ? 0 : Date.now();
};

// A page that is asked for by hand can only be waited for; anything else is given up.
const late = (ms) => new Promise((_, lost) => setTimeout(() => lost(new Error("late")), ms));
const within = (asked, ms, options) =>
  typeof asked === "string"
    ? fetch(asked, { ...options, signal: AbortSignal.timeout(ms) })
    : Promise.race([fetch(asked), late(ms)]);

const tell = async (message) => {
  const pages = await self.clients.matchAll({ type: "window", includeUncontrolled: true });
  pages.forEach((page) => page.postMessage(message));
};

const tellHowItStands = async () =>
  tell({
    waiting: await store.waiting(),
    answered: await store.answered(),
    who: (await store.house())?.who ?? "",
  });

// ---- pages that are kept

const kept = async (path) => (await caches.open(PAGES)).match(path, { ignoreVary: true });

// Whoever signs out while pages are fetched leaves none of them behind.
let forgotten = 0;
const forgetPages = () => {
  forgotten += 1;
  return caches.delete(PAGES);
};

const keepPage = async (path, response) => {
  const before = forgotten;
  const headers = new Headers(response.headers);
  headers.set("Kept-At", new Date().toISOString());
  const body = await response.blob();
  await (await caches.open(PAGES)).put(path, new Response(body, { status: 200, headers }));
  if (forgotten !== before) await caches.delete(PAGES);
  return body;
};

// A kept page says so at its body, for its script to tell from when it is.
const fromThePhone = async (path) => {
  const page = await kept(path);
  if (!page) return null;
  const html = (await page.text()).replace("<body", `<body data-kept="${page.headers.get("Kept-At")}"`);
  return new Response(html, { headers: page.headers });
};

const nothingKept = async (path) => {
  const page = await kept(WAITING);
  if (!page) return Response.error();
  const missing = path.replace(/[^\w/.-]/g, "");
  const html = (await page.text()).replace("<body", `<body data-missing="${missing}"`);
  return new Response(html, { status: 503, headers: page.headers });
};

const isPage = (response) =>
  response.status === 200 && (response.headers.get("Content-Type") ?? "").startsWith("text/html");

// A page that begins and does not end, as through a bad wire, is late as a whole.
const whole = async (request, ms) => {
  const response = await within(request, ms);
  if (!isPage(response)) return response;
  const body = await Promise.race([response.blob(), late(ms)]);
  return new Response(body, { status: response.status, headers: response.headers });
};

const pageOf = async (request) => {
  const url = new URL(request.url);
  const path = url.pathname;
  const plain = url.search === "";
  const page = await fromThePhone(path);
  if (knownAway() && page && plain) {
    knock();
    return page;
  }
  try {
    const response = page ? await whole(request, PATIENCE_MS) : await within(request, LONGEST_PAGE_MS);
    if (GATEWAY.includes(response.status)) throw new Error(`gateway ${response.status}`);
    reached(true);
    if (path === "/sign-in") forgetPages();
    const said = plain && isPage(response) ? await store.house() : null;
    if (said?.pages.some((page) => page.path === path)) keepPage(path, response.clone());
    return response;
  } catch {
    reached(false);
    return page ?? nothingKept(path);
  }
};

// What a page asks for by itself leaves the page as it is where the house is away: it is newer than what is kept.
const partOf = async (request) => {
  try {
    const response = await within(request, LONGEST_PAGE_MS);
    if (GATEWAY.includes(response.status)) throw new Error(`gateway ${response.status}`);
    reached(true);
    return response;
  } catch {
    reached(false);
    tell({ outOfReach: true });
    return new Response(null, { status: 204 });
  }
};

// Keeps a page with all that it is drawn with.
const ASSET = /(?:href|src)="(\/assets\/[^"#]+)/g;
const FACE = /url\("?([^")]+\.woff2)"?\)/g;
const keepAsset = async (path) => {
  const assets = await caches.open(ASSETS);
  if (await assets.match(path)) return;
  const response = await within(path, SEND_PATIENCE_MS);
  if (!response.ok) return;
  await assets.put(path, response.clone());
  if (!path.endsWith(".css")) return;
  for (const [, face] of (await response.text()).matchAll(FACE))
    await keepAsset(new URL(face, new URL(path, location.origin)).pathname);
};

// A file's name tells its content: it never grows old, but after a new version many are left that no page is drawn
// with any more. Fonts are few, and stay.
const MANY_ASSETS = 120;
const sweepAssets = async () => {
  const assets = await caches.open(ASSETS);
  const all = await assets.keys();
  if (all.length <= MANY_ASSETS) return;
  const pages = await caches.open(PAGES);
  const used = new Set();
  for (const page of await pages.keys())
    for (const [, asset] of (await (await pages.match(page)).text()).matchAll(ASSET)) used.add(asset);
  for (const asset of all) {
    const path = new URL(asset.url).pathname;
    if (!used.has(path) && !path.endsWith(".woff2")) await assets.delete(asset);
  }
};

// ---- what the house says of itself, and what is to be kept of it

const ask = async () => {
  const response = await within("/kept", PATIENCE_MS, { redirect: "manual", cache: "no-store" });
  if (response.type === "opaqueredirect" || response.status === 401 || response.status === 403) {
    await forgetPages();
    await store.houseSaid(null);
    reached(true);
    return null;
  }
  if (!response.ok) throw new Error(`kept ${response.status}`);
  reached(true);
  return response.json();
};

// What the house has to say once is said to somebody, not to a page that is kept for later.
const FOR_LATER = { "For-Later": "yes" };

const keepAll = async () => {
  const before = await store.house();
  const said = await ask();
  if (!said) return;
  if (before && before.who !== said.who) await forgetPages();
  await store.houseSaid({ ...said, at: Date.now() });
  const stamps = new Map((before?.who === said.who ? before.pages : []).map((p) => [p.path, p.stamp]));
  const begun = forgotten;
  for (const page of said.pages) {
    const same = page.stamp !== "" && stamps.get(page.path) === page.stamp;
    if (same && (await kept(page.path))) continue;
    const asked = within(page.path, SEND_PATIENCE_MS, { redirect: "manual", headers: FOR_LATER });
    const response = await asked.catch(() => null);
    // A page that is slow to come is tried another time; the house is not away for it.
    if (!response) return;
    if (forgotten !== begun) return;
    if (!isPage(response)) continue;
    const html = await (await keepPage(page.path, response)).text();
    for (const [, asset] of html.matchAll(ASSET)) await keepAsset(asset);
  }
  const cache = await caches.open(PAGES);
  const wanted = new Set(said.pages.map((page) => page.path));
  for (const request of await cache.keys())
    if (!wanted.has(new URL(request.url).pathname)) await cache.delete(request);
  await sweepAssets();
};

// What was written changes what is worth keeping: it is looked at again with the next page, or by whoever is at
// it already.
let written = 0;
const writtenHere = async () => {
  written += 1;
  const said = await store.house();
  if (said) await store.houseSaid({ ...said, at: 0 });
};

const KEEP_EVERY_MS = 10 * 60 * 1000;
const keepWhenOld = async (force) => {
  const said = await store.house();
  if (!force && said && Date.now() - said.at < KEEP_EVERY_MS && (await kept(WAITING))) return;
  await navigator.locks.request("keep", { ifAvailable: true }, async (mine) => {
    let before = mine ? -1 : written;
    while (before !== written) {
      before = written;
      await keepAll();
    }
  });
};

// ---- what waits

const canWait = async (path) => {
  const said = await store.house();
  return (said?.canWait ?? []).some((pattern) =>
    new RegExp(`^${pattern.split("*").join("[^/]+")}$`).test(path),
  );
};

const namedBy = (fields) =>
  JSON.stringify(fields.filter(([name]) => ["key", "keys", "kind"].includes(name)));
const hold = async (request, fields) => {
  const path = new URL(request.url).pathname;
  const said = await store.house();
  const same = (entry) => entry.path === path && namedBy(entry.fields) === namedBy(fields);
  const before = (await store.waiting()).find(same);
  if (before) return before;
  const named = fields.find(([name]) => name === "said");
  const entry = {
    id: crypto.randomUUID(),
    who: said?.who ?? "",
    path,
    files: fields.some(([, value]) => typeof value !== "string"),
    fields: fields.filter(([name]) => name !== "_csrf" && name !== "said"),
    made: new Date().toISOString(),
    what: named ? String(named[1]) : path,
    from: new URL(request.referrer || "/", location.origin).pathname,
  };
  await store.keep(entry);
  await self.registration.sync?.register(SYNC).catch(() => {});
  await tellHowItStands();
  return entry;
};

const sendOne = async (entry, token) => {
  const body = entry.files ? new FormData() : new URLSearchParams();
  for (const [name, value] of entry.fields) body.append(name, value);
  body.append("_csrf", token);
  const response = await within(entry.path, SEND_PATIENCE_MS, {
    method: "POST",
    redirect: "manual",
    headers: { "Made-At": entry.made, "Sent-At": new Date().toISOString() },
    body,
  });
  if (response.status >= 500 || response.type === "opaqueredirect" || response.status === 429)
    throw new Error(`sent ${response.status}`);
  const json = (response.headers.get("Content-Type") ?? "").includes("json");
  if (json) return response.json();
  const why = response.status === 403 ? "You may not write here." : "The house did not take it.";
  return { outcome: "REFUSED", words: why, by: "", link: "" };
};

const sendAll = () =>
  navigator.locks.request("send", async () => {
    const held = await store.waiting();
    if (held.length === 0) return;
    try {
      const said = await ask();
      if (!said) {
        await tell({ signedOut: true });
        return;
      }
      for (const entry of held.filter((one) => one.who === said.who)) {
        await store.answer(entry.id, await sendOne(entry, said.token));
        await tellHowItStands();
      }
      await keepWhenOld(true);
      await tell({ reached: true });
    } catch (lost) {
      reached(false);
      throw lost;
    }
  });

// Asks whether the house is there again, without anybody waiting for it.
const knock = async () => {
  try {
    if (!(await ask())) return;
    await tell({ reached: true });
    await sendAll();
  } catch {
    reached(false);
  }
};

// Whoever signs out is not called on this phone any more.
const beCalledNoMore = async () => {
  const asked = await self.registration.pushManager?.getSubscription().catch(() => null);
  await asked?.unsubscribe().catch(() => {});
};

// A form that was sent waits for its answer. Where the house is lost, it is held back on the phone if it may
// be; else it is sent again, under the same key, until it is answered: the house writes it once.
const AGAIN_MS = 2000;
const LONGEST_MS = 4 * 60 * 1000;
const TRIES = 3;
const TRY_AGAIN_MS = 500;
const post = async (request) => {
  const path = new URL(request.url).pathname;
  const known = await canWait(path);
  // A file that may not wait, such as a household’s, is too large to be held twice.
  const file = request.headers.get("Content-Type").startsWith("multipart");
  if (file && !known) return fetch(request);
  const fields = [...(await request.clone().formData())];
  const keyed = fields.some(([name]) => name === "key" || name === "keys");
  let mayWait = keyed && known;
  const script = request.headers.get("HX-Request") !== null;
  const began = Date.now();
  let tries = 0;
  for (;;) {
    try {
      if (mayWait && knownAway()) throw new Error("away");
      const answer = await within(request.clone(), mayWait ? SEND_PATIENCE_MS : LONGEST_MS);
      if (mayWait && GATEWAY.includes(answer.status)) throw new Error("gateway");
      reached(true);
      tell({ away: false });
      if (path === "/sign-out" && answer.status < 400)
        await Promise.all([forgetPages(), store.forgetAll(), beCalledNoMore()]);
      else if (keyed) await writtenHere();
      return answer;
    } catch (lost) {
      tries += 1;
      if (mayWait && tries < TRIES && navigator.onLine && !knownAway()) {
        await new Promise((next) => setTimeout(next, TRY_AGAIN_MS));
        continue;
      }
      reached(false);
      const entry = mayWait ? await hold(request, fields).catch(() => null) : null;
      // A phone without room for it asks again until it is answered, as for what may not wait.
      mayWait = false;
      if (entry) {
        return script
          ? new Response(null, { status: 204, headers: { "HX-Trigger": JSON.stringify({ held: entry.id }) } })
          : Response.redirect(new URL(entry.from, location.origin), 303);
      }
      if (!keyed || script || Date.now() - began > LONGEST_MS) throw lost;
      tell({ away: true });
      await new Promise((next) => setTimeout(next, AGAIN_MS));
    }
  }
};

// ---- what is asked of the worker

self.addEventListener("install", () => self.skipWaiting());
clientsClaim();

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith("/assets/"),
  new CacheFirst({
    cacheName: ASSETS,
    plugins: [new CacheableResponsePlugin({ statuses: [200] })],
  }),
);
const ownPage = ({ request, url, sameOrigin }) =>
  sameOrigin &&
  !url.pathname.startsWith("/api") &&
  (request.mode === "navigate" || request.headers.get("HX-Request") !== null);
registerRoute(
  ownPage,
  ({ request }) => (request.mode === "navigate" ? pageOf(request) : partOf(request)),
  "GET",
);
registerRoute(
  (asked) =>
    ownPage(asked) &&
    /^(application\/x-www-form-urlencoded|multipart\/form-data)/.test(
      asked.request.headers.get("Content-Type") ?? "",
    ),
  ({ request }) => post(request),
  "POST",
);

// A call of the house to a phone whose pages are closed.
self.addEventListener("push", (event) => {
  const { words, page, tag } = event.data.json();
  const shown = { body: words, tag, icon: "/assets/icons/crock-192.png", data: { page } };
  event.waitUntil(self.registration.showNotification("Velvet Crock", shown));
});

// A notification leads to the page that called, in the window that is open where there is one.
self.addEventListener("notificationclick", (event) => {
  event.notification.close();
  const page = event.notification.data?.page ?? "/round";
  event.waitUntil(
    self.clients.matchAll({ type: "window" }).then(async (open) => {
      if (open.length === 0) return self.clients.openWindow(page);
      const window = await open[0].focus();
      return new URL(window.url).pathname === page ? window : window.navigate(page);
    }),
  );
});

self.addEventListener("sync", (event) => {
  if (event.tag === SYNC) event.waitUntil(sendAll());
});

const asked = {
  keep: () => keepWhenOld(false).catch(() => reached(false)),
  send: () => sendAll().catch(() => {}),
  knock: () => knock(),
  stands: () => tellHowItStands(),
  away: () => reached(false),
  async again(id) {
    await store.again(id);
    await tellHowItStands();
    await sendAll().catch(() => {});
  },
  async forget(id) {
    await store.forget(id);
    await tellHowItStands();
  },
};
self.addEventListener("message", (event) => {
  const { ask: what, of, reply } = event.data;
  if (reply) event.waitUntil(canWait(of).then((yes) => event.ports[0].postMessage(yes)));
  else if (asked[what]) event.waitUntil(asked[what](of));
});
