// What pages need beyond links and forms: keys for places and tasks, help, printing.
(() => {
  const typing = (target) =>
    target.closest("input, select, textarea, [contenteditable]") !== null;

  const ticks = () =>
    [...document.querySelectorAll("[data-tick]")].filter((tick) => tick.offsetParent !== null);

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

  // Keys can be switched off, for whoever speaks to the machine or rests a hand on it.
  let keysOff = localStorage.getItem("keys") === "off";
  const sayKeys = () => {
    const turn = document.querySelector("[data-keys-off]");
    if (turn) turn.textContent = keysOff ? "Switch keys on" : "Switch keys off";
  };
  sayKeys();
  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-keys-off]")) return;
    keysOff = !keysOff;
    localStorage.setItem("keys", keysOff ? "off" : "on");
    sayKeys();
  });

  // What can be taken back stays within the thumb’s reach for ten seconds.
  const UNDO_FOR = 10000;
  const reachUndo = () => {
    document.querySelectorAll(".notice:has([data-undo]):not([data-reached])").forEach((notice) => {
      notice.dataset.reached = "";
      notice.classList.add("undo-bar");
      setTimeout(() => notice.classList.remove("undo-bar"), UNDO_FOR);
    });
  };
  reachUndo();
  document.addEventListener("htmx:afterSettle", reachUndo);

  document.addEventListener("keydown", (event) => {
    if (keysOff || event.ctrlKey || event.metaKey || event.altKey || typing(event.target)) return;
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

  // What has changed on the page is told by one region that stays in place.
  const region = document.querySelector("#told");
  const tell = () => {
    const words = [...document.querySelectorAll("[data-told]")]
      .filter((at) => at.offsetParent !== null)
      .map((at) => at.textContent.trim().replace(/\s+/g, " "))
      .filter((said) => said !== "")
      .join(". ");
    if (region && region.textContent !== words) region.textContent = words;
  };
  setTimeout(tell, 500);
  document.addEventListener("htmx:afterSettle", tell);

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
  const named = (name) =>
    document.querySelector(`main [data-lists="${CSS.escape(name)}"]`) ??
    document.querySelector(`main [name="${CSS.escape(name)}"]`);
  const redraws = (event) => event.detail.target?.matches?.("main") ?? false;
  const typedMeanwhile = new Map();
  let redrawing = false;
  let hand = null;

  document.addEventListener(
    "input",
    (event) => {
      if (event.target.matches("select")) event.stopPropagation();
      else if (redrawing && event.target.name && event.target.matches(written))
        typedMeanwhile.set(event.target.name, event.target.value);
    },
    true,
  );
  const chosenMeanwhile = new Map();
  document.addEventListener(
    "change",
    (event) => {
      const at = event.target;
      if (redrawing && at.matches("main select")) chosenMeanwhile.set(at.name, at.value);
      else if (redrawing && at.matches("main [type=checkbox], main [type=radio]"))
        chosenMeanwhile.set(`${at.name}=${at.value}`, at.checked);
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
      hand = { name: at.dataset.lists ?? at.name, at: at.matches(written) ? at.selectionStart : null };
    }
  });
  document.addEventListener("htmx:afterSettle", (event) => {
    if (!redraws(event)) return;
    for (const [name, value] of typedMeanwhile) {
      const field = named(name);
      if (!field || field.value === value) continue;
      field.value = value;
      field.dispatchEvent(new Event("input", { bubbles: true }));
    }
    typedMeanwhile.clear();
    for (const [name, value] of chosenMeanwhile) {
      const at =
        typeof value === "string"
          ? document.querySelector(`main select[name="${CSS.escape(name)}"]`)
          : [...document.querySelectorAll("main [type=checkbox], main [type=radio]")].find(
              (box) => `${box.name}=${box.value}` === name,
            );
      if (!at || (typeof value === "string" ? at.value : at.checked) === value) continue;
      if (typeof value === "string") at.value = value;
      else at.checked = value;
      at.dispatchEvent(new Event("change", { bubbles: true }));
    }
    chosenMeanwhile.clear();
    const field = hand && document.activeElement === document.body && named(hand.name);
    if (field) {
      field.focus();
      if (hand.at !== null) field.setSelectionRange?.(hand.at, hand.at);
    }
    hand = null;
  });

  // What was refused is told at the top, and the hand goes to the first field that was wrong.
  const field = (name) =>
    document.querySelector(`main [data-lists="${CSS.escape(name)}"]`) ??
    document.querySelector(`main [name="${CSS.escape(name)}"]:not([type=hidden])`) ??
    document.querySelector("main [aria-invalid=true]");
  const toField = (name) => {
    const at = field(name);
    for (let d = at?.closest("details"); d; d = d.parentElement.closest("details")) d.open = true;
    at?.scrollIntoView({ block: "center" });
    at?.focus({ preventScroll: true });
  };
  const toRefused = () => {
    const first = document.querySelector("#refused [data-field]");
    if (!first) return;
    toField(first.dataset.field);
    if (document.activeElement === document.body) document.querySelector("#refused").focus();
  };
  document.addEventListener("click", (event) => {
    const link = event.target.closest("#refused [data-field]");
    if (!link) return;
    event.preventDefault();
    toField(link.dataset.field);
  });
  document.addEventListener("htmx:oobAfterSwap", toRefused);
  toRefused();

  // A form goes once: its buttons rest until it is answered. It goes only where the house can be reached:
  // else it waits, with all that was typed, and tries again. Whoever was signed out meanwhile signs in and
  // finds the form as it was.
  const rest = (form, resting) =>
    [...form.elements]
      .filter((at) => at.matches("button"))
      .forEach((button) => {
        // A tick that waits on the phone is not to be made twice.
        button.disabled = resting || button.matches(".waits [data-tick]");
      });
  const unreachable = (what) => {
    let bar = document.querySelector("#unreachable");
    if (!bar) {
      bar = document.createElement("p");
      bar.id = "unreachable";
      bar.setAttribute("role", "alert");
      document.body.append(bar);
    }
    bar.textContent = what;
    bar.hidden = what === "";
  };
  const reach = async () => {
    try {
      const answer = await fetch("/here", {
        cache: "no-store",
        redirect: "manual",
        signal: AbortSignal.timeout(document.body.dataset.kept ? 2000 : 5000),
      });
      if (answer.status >= 500) return "away";
      return answer.status === 204 ? "here" : "signed out";
    } catch {
      return "away";
    }
  };
  const LEFT = "left-in-a-form";
  const leave = (form) => {
    const typed = [...new FormData(form)].filter(
      ([name, value]) => typeof value === "string" && name !== "_csrf",
    );
    const forms = [...document.forms];
    const at = { path: location.pathname + location.search, form: forms.indexOf(form), typed };
    sessionStorage.setItem(LEFT, JSON.stringify(at));
    location.reload();
  };
  const takeUp = () => {
    const left = JSON.parse(sessionStorage.getItem(LEFT) ?? "null");
    if (left === null || left.path !== location.pathname + location.search) return;
    const form = document.forms[left.form];
    sessionStorage.removeItem(LEFT);
    if (!form) return;
    form
      .querySelectorAll("[type=checkbox], [type=radio]")
      .forEach((box) => (box.checked = left.typed.some((t) => t[0] === box.name && t[1] === box.value)));
    for (const [name, value] of left.typed) {
      const at = form.querySelector(`[name="${CSS.escape(name)}"]`);
      if (at && !at.matches("[type=checkbox], [type=radio], [type=hidden], [type=file]")) at.value = value;
    }
    document.dispatchEvent(new Event("lists"));
    for (let d = form.closest("details"); d; d = d.parentElement.closest("details")) d.open = true;
    form.scrollIntoView({ block: "center" });
    unreachable("You had been signed out. What you had typed is here again: send it once more.");
  };
  takeUp();

  // Whoever leaves while something still waits to be sent is asked.
  let held = 0;
  window.addEventListener("beforeunload", (event) => {
    if (held > 0) event.preventDefault();
  });

  // What was sent and lost its answer is asked for again by a worker, which says so here.
  navigator.serviceWorker?.addEventListener("message", (event) => {
    if (event.data.away !== undefined)
      unreachable(
        event.data.away
          ? "The kitchen was lost while it answered. Nothing is lost: it is asked again, and writes it once."
          : "",
      );
  });

  const sure = new WeakSet();
  document.addEventListener("submit", async (event) => {
    const form = event.target;
    // A sentence reckons by script while it is typed, and yet is sent as a page.
    const byScript =
      form.hasAttribute("hx-post") && /submit|^$/.test(form.getAttribute("hx-trigger") ?? "");
    const plain = !byScript && form.getAttribute("method") === "post" && !event.defaultPrevented;
    const within = document.body.dataset.clock !== undefined;
    if (!plain || !within || form.matches("[action$='/sign-out']")) return;
    if (sure.has(form)) {
      sure.delete(form);
      setTimeout(() => rest(form, true));
      return;
    }
    event.preventDefault();
    const button = event.submitter;
    rest(form, true);
    held += 1;
    let found = await reach();
    const waits = found === "away" && (await window.velvetAway?.mayWait(form));
    if (waits) await window.velvetAway.holdBack(form, button);
    while (found === "away" && !waits) {
      unreachable("The kitchen cannot be reached. Nothing is lost: this is sent as soon as it can be.");
      await new Promise((again) => setTimeout(again, 2000));
      found = await reach();
    }
    held -= 1;
    rest(form, false);
    unreachable("");
    if (found === "signed out") {
      leave(form);
      return;
    }
    sure.add(form);
    form.requestSubmit(button?.isConnected ? button : undefined);
  });
  // Whoever goes back to a page that the browser held finds it as it was: it is asked for anew, so that nothing is
  // sent from it under a key that was used.
  const gone = () => performance.getEntriesByType("navigation")[0]?.type === "back_forward";
  window.addEventListener("pageshow", (event) => {
    if (event.persisted) document.querySelectorAll("form").forEach((form) => rest(form, false));
    if (document.body.dataset.held && (event.persisted || gone())) location.reload();
  });
  document.addEventListener("htmx:beforeRequest", (event) => {
    const sent = event.detail.requestConfig.triggeringEvent?.type === "submit";
    if (sent && event.target.matches("form")) rest(event.target, true);
  });
  document.addEventListener("htmx:afterRequest", (event) => {
    if (event.target.matches("form")) rest(event.target, false);
    if (event.detail.successful) unreachable("");
  });
  document.addEventListener("htmx:sendError", (event) => {
    unreachable("The kitchen cannot be reached. Nothing is lost: this is tried again.");
    const { elt, requestConfig } = event.detail;
    setTimeout(() => {
      if (elt.isConnected)
        window.htmx.ajax(requestConfig.verb, requestConfig.path, {
          source: elt,
          values: elt.matches("form") ? undefined : Object.fromEntries(requestConfig.formData ?? []),
        });
    }, 2000);
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

  // A tone calls; that it may is remembered, and a browser wants one tap or key of the day for it.
  let audio = null;
  const tone = {
    on: localStorage.getItem("tone") === "on",
    beep() {
      if (!this.on || !audio) return;
      [0, 0.25].forEach((wait, i) => {
        const note = audio.createOscillator();
        const volume = audio.createGain();
        note.frequency.value = i === 0 ? 660 : 880;
        volume.gain.setValueAtTime(0.25, audio.currentTime + wait);
        volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + wait + 0.22);
        note.connect(volume).connect(audio.destination);
        note.start(audio.currentTime + wait);
        note.stop(audio.currentTime + wait + 0.24);
      });
    },
  };
  window.velvetTone = tone;
  const wake = () => {
    if (!tone.on || !window.AudioContext) return;
    audio ??= new AudioContext();
    audio.resume();
  };
  const sayTone = () =>
    document.querySelectorAll("[data-tone]").forEach((turn) => {
      turn.hidden = !window.AudioContext;
      turn.setAttribute("aria-pressed", tone.on);
      turn.textContent = tone.on ? "Tone is on" : "Tone is off";
    });
  sayTone();
  document.addEventListener("htmx:afterSettle", sayTone);
  document.addEventListener("pointerdown", wake);
  document.addEventListener("keydown", wake);
  document.addEventListener("click", (event) => {
    if (!event.target.closest("[data-tone]")) return;
    tone.on = !tone.on;
    localStorage.setItem("tone", tone.on ? "on" : "off");
    wake();
    tone.beep();
    sayTone();
    document.dispatchEvent(new Event("tone"));
  });

  // The screen stays on where somebody works by it.
  const stayAwake = () => {
    if (document.visibilityState === "visible" && document.querySelector("[data-walk], [data-awake], .page-clocks"))
      navigator.wakeLock?.request("screen").catch(() => {});
  };
  stayAwake();
  document.addEventListener("visibilitychange", stayAwake);

  // A phone's camera opens for a picture, unless one is chosen that was taken before.
  document.querySelectorAll("[data-taken-before]").forEach((choose) => {
    choose.hidden = !matchMedia("(pointer: coarse)").matches;
    choose.addEventListener("click", () => {
      const field = choose.parentElement.querySelector("input[type=file]");
      field.removeAttribute("capture");
      field.click();
    });
  });

  // A page that goes on from a sentence takes along all that was typed.
  const sentence = (form) =>
    new URLSearchParams(
      [...new FormData(form)].filter(([name, value]) => typeof value === "string" && name !== "_csrf"),
    );
  document.addEventListener("click", (event) => {
    const link = event.target.closest("[data-with-sentence]");
    if (link) link.href = `${new URL(link.href).pathname}?${sentence(link.closest("form"))}`;
  });

  // What is not in a list is asked for on a page of its own, and leads back with all that was typed.
  document.addEventListener("click", (event) => {
    const link = event.target.closest("[data-not-here]");
    if (!link) return;
    const form = link.closest("form");
    const typed = sentence(form);
    const to = new URL(link.href);
    to.searchParams.set("back", `${link.dataset.back ?? location.pathname}?${typed}`);
    link.href = to.href;
  });

  // A long page is folded on a phone, and what is looked for opens it.
  const opened = new Set();
  const narrow = matchMedia("(max-width: 48rem)").matches;
  const heading = (fold) => fold.querySelector("summary").textContent;
  const foldAll = () => {
    if (!narrow) return;
    document.querySelectorAll("[data-found]:not([data-folded])").forEach((fold) => {
      fold.dataset.folded = "";
      fold.open = opened.has(heading(fold));
    });
  };
  foldAll();
  document.addEventListener("htmx:afterSettle", foldAll);
  document.addEventListener(
    "toggle",
    (event) => {
      if (!event.target.matches("[data-found]")) return;
      if (event.target.open) opened.add(heading(event.target));
      else opened.delete(heading(event.target));
    },
    true,
  );
  document.addEventListener("input", (event) => {
    if (!event.target.matches("[data-find]")) return;
    const words = event.target.value.trim().toLowerCase();
    document.querySelectorAll("[data-found]").forEach((fold) => {
      const entries = [...fold.querySelectorAll("li")];
      entries.forEach((li) => (li.hidden = words !== "" && !li.textContent.toLowerCase().includes(words)));
      if (words !== "") fold.open = entries.some((li) => !li.hidden);
    });
  });

  // One sheet at a time; a tap beside it folds it.
  document.addEventListener("click", (event) => {
    const mine = event.target.closest("[data-quick]");
    document.querySelectorAll("[data-quick][open]").forEach((sheet) => {
      if (sheet !== mine) sheet.open = false;
    });
  });

  // Whatever leads back leads to this page.
  const sayHere = () =>
    document.querySelectorAll("[data-here]").forEach((field) => (field.value = location.pathname));
  sayHere();
  document.addEventListener("htmx:afterSettle", sayHere);

  // Phones show notifications by the worker alone, which also leads back to the page that called.
  const notify = (what, page) => {
    if (!window.Notification || Notification.permission !== "granted") return;
    const shown = { body: what, tag: what, icon: "/assets/icons/crock-192.png", data: { page } };
    const worker = navigator.serviceWorker;
    if (worker?.controller) worker.ready.then((w) => w.showNotification("Velvet Crock", shown));
    else new Notification("Velvet Crock", shown);
  };
  window.velvetNotify = notify;

  const call = (what) => {
    tone.beep();
    const said = document.querySelector("[data-due-said]");
    if (said) said.textContent = `Due now: ${what}`;
    document.title = `▲ ${what} · Velvet Crock`;
    notify(what, location.pathname);
  };

  const count = () => {
    document.querySelectorAll("[data-seconds]").forEach((clock) => {
      const whole = Number(clock.dataset.seconds);
      if (whole <= 0) {
        if (clock.dataset.what && clock.dataset.rung === undefined) {
          clock.dataset.rung = "";
          call(clock.dataset.what);
        }
        return;
      }
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

  // At the products: drops counted by a tap of whatever part of the hand is clean.
  document.addEventListener("click", (event) => {
    const drop = event.target.closest("[data-drop]");
    if (drop) {
      const counter = drop.closest("fieldset").querySelector("[data-drop-count]");
      counter.value = String((Number(counter.value) || 0) + 1);
      drop.textContent = `${counter.value} ${counter.value === "1" ? "drop" : "drops"}, + 1`;
    }
  });
  compare();
  document.addEventListener("clocks", count);
  setInterval(count, 1000);
  setInterval(() => {
    const busy = document.querySelector("main details[open]") || typing(document.activeElement);
    if (walk() && !busy) window.htmx?.trigger(walk(), "due");
  }, 60000);
})();
