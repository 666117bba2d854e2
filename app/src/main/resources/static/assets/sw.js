// A form that was sent waits for its answer. Where the house is lost in the middle it is sent again, under
// the same key, until it is answered: the house writes it once. Everything else goes its way untouched.
const AGAIN_MS = 2000;
const LONGEST_MS = 4 * 60 * 1000;
const FORM = "application/x-www-form-urlencoded";

const tell = async (away) => {
  const pages = await self.clients.matchAll({ type: "window", includeUncontrolled: true });
  pages.forEach((page) => page.postMessage({ away }));
};

const send = async (request) => {
  const body = await request.clone().text();
  const again = new URLSearchParams(body).has("key");
  const began = Date.now();
  for (;;) {
    try {
      const answer = await fetch(request.url, {
        method: "POST",
        headers: { "Content-Type": FORM },
        body,
        redirect: "manual",
        credentials: "same-origin",
      });
      tell(false);
      return answer;
    } catch (lost) {
      if (!again || Date.now() - began > LONGEST_MS) throw lost;
      tell(true);
      await new Promise((next) => setTimeout(next, AGAIN_MS));
    }
  }
};

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("fetch", (event) => {
  const { request } = event;
  const form = (request.headers.get("Content-Type") ?? "").startsWith(FORM);
  if (request.mode === "navigate" && request.method === "POST" && form) event.respondWith(send(request));
});
