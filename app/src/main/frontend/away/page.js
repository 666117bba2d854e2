// What a page says of the house being out of reach: from when it is, what waits on the phone, what was answered.
(() => {
  const body = document.body;
  const worker = navigator.serviceWorker;
  if (!worker || body.dataset.clock === undefined) return;

  const ask = (what, of) => worker.ready.then((r) => r.active?.postMessage({ ask: what, of }));
  const at = (name) => document.querySelector(`[data-away="${name}"]`);
  const show = (element, yes) => {
    if (element) element.hidden = !yes;
  };
  const make = (tag, words = "", more = {}) =>
    Object.assign(document.createElement(tag), { textContent: words }, more);
  const many = (count, one, more) => (count === 1 ? `One ${one}` : `${count} ${more}`);

  // Times as the household writes them.
  const when = (iso) => {
    const time = new Date(iso);
    const clock = time.toLocaleTimeString([], {
      hour: "numeric",
      minute: "2-digit",
      hour12: body.dataset.clock === "HOURS_12",
    });
    if (time.toDateString() === new Date().toDateString()) return `today ${clock}`;
    return `${time.toLocaleDateString([], { day: "numeric", month: "long" })}, ${clock}`;
  };

  // A kept page is shown again and again: what is logged on it has a name of its own each time.
  const PAGE_KEY = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/;
  if (body.dataset.kept) {
    const fresh = new Map();
    document.querySelectorAll("input[type=hidden][name=key]").forEach((field) => {
      field.value = field.value.replace(PAGE_KEY, (old) => {
        if (!fresh.has(old)) fresh.set(old, crypto.randomUUID());
        return fresh.get(old);
      });
    });
    // Its clocks went on meanwhile.
    const since = Math.round((Date.now() - Date.parse(body.dataset.kept)) / 1000);
    document.querySelectorAll("[data-seconds]").forEach((clock) => {
      const left = Math.max(0, Number(clock.dataset.seconds) - since);
      if (left === 0) clock.textContent = "now";
      clock.dataset.seconds = String(left);
    });
    at("kept").textContent = `The house is out of reach. This page is from ${when(body.dataset.kept)}.`;
    show(at("kept"), true);
  }

  // What a form is called where it waits: its button, and whose page it is of.
  const called = (form, button) => {
    if (form.matches("[action$='/round/timer']")) {
      const { minutes, reason } = Object.fromEntries(new FormData(form));
      return `Timer ${minutes} min${reason ? `: ${reason}` : ""}`;
    }
    const words = (button?.getAttribute("aria-label") ?? button?.textContent ?? "")
      .trim()
      .replace(/\s+/g, " ")
      .replace(/^Done: /, "");
    const code = /^\/[a-z]+\/([A-Z0-9]{3,5})(?:\/([A-Z]))?\//.exec(form.getAttribute("action") ?? "");
    const whose = code ? [code[1], code[2]].filter(Boolean).join("-") : "";
    return whose === "" || words.includes(whose) ? words : `${words}, ${whose}`;
  };
  const name = (form, button) => {
    form.querySelector("input[name=said]")?.remove();
    form.append(make("input", "", { type: "hidden", name: "said", value: called(form, button) }));
  };
  document.addEventListener("htmx:configRequest", (event) => {
    const form = event.target.closest?.("form[method=post]");
    if (form) event.detail.parameters.said = called(form, form.querySelector("button"));
  });

  // Asked by the guard of forms: whether this one may be held back on the phone.
  const mayWait = async (form) => {
    const keyed = form.querySelector("input[name=key], input[name=keys]") !== null;
    if (!keyed || !worker.controller) return false;
    const { port1, port2 } = new MessageChannel();
    const answer = new Promise((known) => (port1.onmessage = (event) => known(event.data)));
    const path = new URL(form.action, location.origin).pathname;
    worker.controller.postMessage({ reply: true, of: path }, [port2]);
    return Promise.race([answer, new Promise((no) => setTimeout(() => no(false), 1000))]);
  };
  window.velvetAway = {
    mayWait,
    async holdBack(form, button) {
      name(form, button);
      await ask("away");
    },
  };

  // ---- what waits, and what was answered

  let stands = { waiting: [], answered: [], who: "" };
  const keysOf = (entry) => entry.fields.filter(([field]) => /^keys?$/.test(field)).map(([, key]) => key);

  const markTicks = () => {
    const held = new Set(stands.waiting.flatMap(keysOf));
    document.querySelectorAll("form input[name=key], form input[name=keys]").forEach((field) => {
      const line = field.form.querySelector("[data-tick]") && field.closest(".errand, li");
      if (!line) return;
      const waits = held.has(field.value);
      line.classList.toggle("waits", waits);
      field.form.querySelector("[data-tick]").disabled = waits;
    });
  };

  const clocks = () => {
    const place = at("timers");
    place.replaceChildren(
      ...stands.waiting
        .filter((entry) => entry.path === "/round/timer")
        .map((entry) => {
          const field = (wanted) => entry.fields.find(([one]) => one === wanted)?.[1] ?? "";
          const until = Date.parse(entry.made) + Number(field("minutes")) * 60000;
          const clock = make("b", "", { className: "code" });
          clock.dataset.seconds = String(Math.max(0, Math.round((until - Date.now()) / 1000)));
          clock.dataset.what = `${field("reason") || "The timer"}: time is up`;
          if (clock.dataset.seconds === "0") clock.textContent = "now";
          const line = make("p");
          line.className = "clock";
          line.append(clock, make("span", field("reason") || "Timer, set on this phone"));
          return line;
        }),
    );
    show(place, place.childElementCount > 0);
    document.dispatchEvent(new Event("clocks"));
  };

  const bar = () => {
    const refused = stands.answered.filter((entry) => entry.answer.outcome === "REFUSED").length;
    const done = stands.answered.length - refused;
    const said = [
      stands.waiting.length > 0 && `${many(stands.waiting.length, "entry waits", "entries wait")} on this phone`,
      refused > 0 && `${many(refused, "was", "were")} refused`,
      done > 0 && `${done} sent`,
    ].filter(Boolean);
    const link = at("waiting");
    link.textContent = said.join(", ");
    link.classList.toggle("mood-over", refused > 0);
    show(link.parentElement, said.length > 0 && location.pathname !== "/waiting");
  };

  const row = (entry) => {
    const line = make("li");
    const { answer } = entry;
    const words = {
      DONE: "Done.",
      DONE_BEFORE: `Done already by ${answer?.by}.`,
      REFUSED: "Refused.",
    };
    line.append(make("b", entry.what), make("span", when(entry.made), { className: "text-quiet" }));
    if (answer) {
      const said = make("p", `${words[answer.outcome]} ${answer.outcome === "DONE" ? answer.words : ""}`);
      if (answer.outcome === "REFUSED") said.textContent = `Refused: ${answer.words}`;
      said.className = answer.outcome === "REFUSED" ? "mood-over font-semibold" : "mood-ready";
      line.append(said);
    }
    const does = make("p", "", { className: "choices" });
    const link = answer?.link || entry.from;
    if (link.startsWith("/") && !link.startsWith("//")) does.append(make("a", "Go there", { href: link }));
    const button = (words, what) => {
      const one = make("button", words, { type: "button", className: "button plain small" });
      one.addEventListener("click", () => ask(what, entry.id));
      does.append(one);
    };
    if (answer?.outcome === "REFUSED") button("Send it again", "again");
    if (answer && answer.outcome !== "REFUSED") button("Seen", "forget");
    else {
      const sure = make("button", "Throw it away", { type: "button", className: "button plain small" });
      sure.addEventListener("click", () => {
        if (sure.dataset.asked) ask("forget", entry.id);
        sure.dataset.asked = "yes";
        sure.textContent = "Yes, throw it away";
      });
      does.append(sure);
    }
    if (!answer && entry.who !== stands.who)
      line.append(make("p", "Somebody else noted this here. It is sent when they sign in.", { className: "mood-care" }));
    line.append(does);
    return line;
  };

  const list = () => {
    const page = at("list");
    if (!page) return;
    const answered = [...stands.answered].sort(
      (a, b) => (b.answer.outcome === "REFUSED") - (a.answer.outcome === "REFUSED"),
    );
    at("held").replaceChildren(...stands.waiting.map(row));
    at("answered").replaceChildren(...answered.map(row));
    show(at("held-part"), stands.waiting.length > 0);
    show(at("answered-part"), answered.length > 0);
    show(at("nothing"), stands.waiting.length + answered.length === 0);
  };

  const draw = () => {
    markTicks();
    clocks();
    bar();
    list();
  };

  // A kept page is loaded anew once the house answers, but never from under somebody's hand: on a bad wire
  // that takes seconds, and what is begun meanwhile stops it. What was sent may be on its way for as long as
  // AT_WORK_MS.
  const AT_WORK_MS = 60 * 1000;
  const missing = body.dataset.missing;
  let touched = -AT_WORK_MS;
  let loading = false;
  const typedIn = () =>
    [...document.querySelectorAll("main input, main textarea")].some(
      (field) => field.type !== "hidden" && "defaultValue" in field && field.value !== field.defaultValue,
    );
  const backAgain = () => {
    const line = at("kept");
    line.textContent = "The house answers again. What you log is sent at once. ";
    line.append(make("a", "Load this page anew", { href: location.pathname, className: "underline" }));
    show(line, true);
  };
  const begun = (event) => {
    if (event.target.closest?.("[data-away='kept']")) return;
    touched = performance.now();
    if (!loading) return;
    loading = false;
    window.stop();
    backAgain();
  };
  ["pointerdown", "keydown", "input", "submit"].forEach((what) =>
    document.addEventListener(what, begun, true),
  );
  const anew = () => {
    if (typedIn() || performance.now() - touched < AT_WORK_MS) backAgain();
    else {
      loading = true;
      location.reload();
    }
  };
  worker.addEventListener("message", ({ data }) => {
    if (data.waiting) {
      stands = data;
      draw();
    }
    if (data.signedOut) {
      at("kept").textContent = "Sign in again, so that what waits here can be sent.";
      show(at("kept"), true);
    }
    if (data.outOfReach && !body.dataset.kept) {
      at("kept").textContent = "The house is out of reach. What you log waits here until it is not.";
      show(at("kept"), true);
    }
    if (data.reached && missing !== undefined) location.reload();
    if (data.reached && !body.dataset.kept) show(at("kept"), false);
    if (data.reached && body.dataset.kept && !loading) anew();
  });
  document.addEventListener("htmx:afterSettle", markTicks);
  document.addEventListener("htmx:afterRequest", () => setTimeout(markTicks));

  // ---- the page of what waits, and what else is kept

  if (at("list")) {
    show(at("missing"), missing !== undefined);
    caches
      .open("pages")
      .then((pages) => pages.keys())
      .then((kept) => {
        const paths = kept.map((request) => new URL(request.url).pathname);
        const names = { "/": "Shelf", "/round": "Round", "/stove": "Stove", "/products": "Products", "/cellar": "Cellar" };
        const link = (path, words) => {
          const line = make("li");
          line.append(make("a", words, { href: path }));
          return line;
        };
        const jars = paths.filter((path) => /^\/(batches|products)\/[A-Z0-9]+$/.test(path));
        at("kept-pages").replaceChildren(
          ...Object.keys(names).filter((path) => paths.includes(path)).map((path) => link(path, names[path])),
          ...jars.map((path) => link(path, path.split("/")[2])),
        );
        show(at("kept-part"), kept.length > 0);
      });
    at("seen-all")?.addEventListener("click", () =>
      stands.answered.filter((e) => e.answer.outcome !== "REFUSED").forEach((e) => ask("forget", e.id)),
    );
  }

  // ---- whoever signs out while something waits is asked

  const leaving = document.querySelector("#leaving");
  let leaves = null;
  const go = () => {
    leaving.close();
    leaves.dataset.sure = "yes";
    leaves.requestSubmit();
  };
  document.addEventListener("submit", (event) => {
    const form = event.target;
    const unsent = stands.waiting.length + stands.answered.filter((e) => e.answer.outcome === "REFUSED").length;
    if (!form.matches("[action$='/sign-out']") || form.dataset.sure || unsent === 0) return;
    event.preventDefault();
    leaves = form;
    at("leaving-many").textContent =
      `${many(unsent, "entry has", "entries have")} not been written by the house. Signing out clears this phone.`;
    leaving.showModal();
  });
  at("send-first")?.addEventListener("click", async () => {
    at("send-first").textContent = "Sending …";
    await ask("send");
    setTimeout(() => {
      at("send-first").textContent = "Send first";
      if (stands.waiting.length === 0) go();
      else at("leaving-many").textContent = "The house cannot be reached. What waits stays here until it can.";
    }, 3000);
  });
  at("throw-away")?.addEventListener("click", go);

  // ---- beginning

  worker
    .register("/sw.js")
    .then(() => worker.ready)
    .then(() => {
      ask("stands");
      ask(body.dataset.kept || missing ? "knock" : "send");
      if (!body.dataset.kept && !missing) ask("keep");
    })
    .catch(() => {});
  window.addEventListener("online", () => ask("knock"));
  setInterval(() => {
    if (stands.waiting.length > 0) ask("send");
    else if (body.dataset.kept || missing !== undefined || !at("kept").hidden) ask("knock");
  }, 8000);
})();
