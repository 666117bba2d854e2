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
  };

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

  document.addEventListener("click", (event) => {
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
})();
