// What pages need beyond links and forms: keys for places and tasks, help, printing.
(() => {
  const typing = (target) =>
    target.closest("input, select, textarea, [contenteditable]") !== null;

  const ticks = () => [...document.querySelectorAll("[data-tick]")];

  const moveTick = (step) => {
    const all = ticks();
    if (all.length === 0) return;
    const at = all.indexOf(document.activeElement);
    const next = at < 0 ? (step > 0 ? 0 : all.length - 1) : at + step;
    all[Math.max(0, Math.min(all.length - 1, next))].focus();
  };

  const keys = {
    "?": () => document.querySelector("#keys")?.showModal(),
    n: () => moveTick(1),
    p: () => moveTick(-1),
    u: () => document.querySelector("[data-undo]")?.click(),
    b: () => turnUnits(),
  };

  // Whoever moves in lives in the browser's time zone until something else is said.
  const zone = document.querySelector("[data-own-zone]");
  const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if (zone && own && zone.getAttribute("aria-invalid") !== "true") zone.value = own;

  document.addEventListener("keydown", (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
    const place = document.querySelector(`[data-key="${CSS.escape(event.key)}"]`);
    if (place) {
      place.click();
      event.preventDefault();
    } else if (keys[event.key]) {
      keys[event.key]();
      event.preventDefault();
    }
  });

  // A figure says its other unit when it is tapped; all of them do when both are asked for.
  const bothUnits = (both) => {
    document.documentElement.classList.toggle("both-units", both);
    document.querySelector("[data-both-units]")?.setAttribute("aria-pressed", String(both));
  };
  bothUnits(localStorage.getItem("both-units") === "yes");
  const turnUnits = () => {
    const both = !document.documentElement.classList.contains("both-units");
    localStorage.setItem("both-units", both ? "yes" : "no");
    bothUnits(both);
  };

  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-both-units]")) turnUnits();
    const figure = event.target.closest(".fig");
    if (figure && !event.target.closest("a, button, label, summary"))
      figure.classList.toggle("told");
    if (event.target.closest("[data-print]")) window.print();
    if (event.target.closest("[data-help]")) keys["?"]();
  });

  // After a task is ticked off, the hand stays on the next one.
  let tickedAt = -1;
  document.addEventListener("htmx:beforeRequest", (event) => {
    tickedAt = ticks().indexOf(event.target.querySelector?.("[data-tick]") ?? event.target);
  });
  document.addEventListener("htmx:afterSettle", () => {
    const all = ticks();
    if (tickedAt >= 0 && all.length > 0) all[Math.min(tickedAt, all.length - 1)].focus();
    tickedAt = -1;
  });

  // A choice that redraws the page takes a moment: what is typed meanwhile does not cut it short, but
  // is put back and told afterwards, and the hand stays where it was. A choice is told once, as a change.
  const written = "input:not([type=checkbox], [type=radio], [type=file], [type=hidden]), textarea";
  const named = (name) => document.querySelector(`main [name="${CSS.escape(name)}"]`);
  const redraws = (event) => event.detail.target?.matches?.("main") ?? false;
  const typedMeanwhile = new Map();
  let redrawing = false;
  let hand = null;

  document.addEventListener(
    "input",
    (event) => {
      if (event.target.matches("select")) event.stopPropagation();
      else if (redrawing && event.target.matches(written))
        typedMeanwhile.set(event.target.name, event.target.value);
    },
    true,
  );
  document.addEventListener("htmx:confirm", (event) => {
    if (redrawing && !redraws(event)) event.preventDefault();
  });
  document.addEventListener("htmx:beforeRequest", (event) => {
    redrawing ||= redraws(event);
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (redraws(event)) redrawing = false;
  });
  document.addEventListener("htmx:beforeSwap", (event) => {
    const at = document.activeElement;
    if (redraws(event) && at?.matches(`select, ${written}`)) {
      hand = { name: at.name, at: at.matches(written) ? at.selectionStart : null };
    }
  });
  document.addEventListener("htmx:afterSettle", () => {
    for (const [name, value] of typedMeanwhile) {
      const field = named(name);
      if (!field || field.value === value) continue;
      field.value = value;
      field.dispatchEvent(new Event("input", { bubbles: true }));
    }
    typedMeanwhile.clear();
    const field = hand && document.activeElement === document.body && named(hand.name);
    if (field) {
      field.focus();
      if (hand.at !== null) field.setSelectionRange?.(hand.at, hand.at);
    }
    hand = null;
  });

  // The round counts down, calls when something falls due, and tells of what is new since the last
  // look; a notification of the browser only where somebody asked for it.
  const walk = () => document.querySelector("[data-walk]");
  const clockStart = new WeakMap();
  let known = null;

  const shown = (seconds) => {
    const h = Math.floor(seconds / 3600);
    const m = Math.floor((seconds % 3600) / 60);
    const two = (n) => String(n).padStart(2, "0");
    return h > 0 ? `${h}:${two(m)} h` : `${m}:${two(seconds % 60)}`;
  };

  const call = (what) => {
    const said = document.querySelector("[data-due-said]");
    if (said) said.textContent = `Due now: ${what}`;
    document.title = `▲ ${what} · Velvet Crock`;
    if (window.Notification && Notification.permission === "granted") {
      new Notification("Velvet Crock", { body: what, tag: what });
    }
  };

  const count = () => {
    document.querySelectorAll("[data-seconds]").forEach((clock) => {
      const whole = Number(clock.dataset.seconds);
      if (whole <= 0) return;
      if (!clockStart.has(clock)) clockStart.set(clock, Date.now());
      const left = Math.round(whole - (Date.now() - clockStart.get(clock)) / 1000);
      if (left > 0) {
        clock.textContent = shown(left);
      } else if (clock.dataset.rung === undefined) {
        clock.dataset.rung = "";
        clock.textContent = "now";
        if (walk()) window.htmx?.trigger(walk(), "due");
        else call(clock.dataset.what ?? "the timer is done");
      }
    });
  };

  const compare = () => {
    if (!walk()) return;
    const due = [...document.querySelectorAll("[data-due]")].map((e) => e.dataset.due);
    const fresh = known === null ? [] : due.filter((one) => !known.includes(one));
    known = due;
    if (fresh.length > 0) call(fresh.join("; "));
    const ask = document.querySelector("[data-notify]");
    if (ask && window.Notification) ask.hidden = Notification.permission !== "default";
  };

  document.addEventListener("click", (event) => {
    if (event.target.closest("[data-notify]")) Notification.requestPermission().then(compare);
  });
  document.addEventListener("htmx:afterSettle", compare);

  // At the products: a timer for a step, and drops counted by a tap of whatever part of the hand is clean.
  document.addEventListener("click", (event) => {
    const timer = event.target.closest("[data-start-timer]");
    if (timer) {
      const clock = document.createElement("span");
      clock.className = "timer";
      clock.dataset.seconds = timer.dataset.for;
      clock.dataset.what = timer.getAttribute("aria-label").replace(/^Start a timer: /, "");
      clock.textContent = shown(Number(timer.dataset.for));
      timer.replaceWith(clock);
    }
    const drop = event.target.closest("[data-drop]");
    if (drop) {
      const counter = drop.closest("fieldset").querySelector("[data-drop-count]");
      counter.value = String((Number(counter.value) || 0) + 1);
      drop.textContent = `${counter.value} ${counter.value === "1" ? "drop" : "drops"}, + 1`;
    }
  });
  compare();
  setInterval(count, 1000);
  setInterval(() => {
    const busy = document.querySelector("main details[open]") || typing(document.activeElement);
    if (walk() && !busy) window.htmx?.trigger(walk(), "due");
  }, 60000);
})();
