// One step at a time, turned by a knuckle; a reader's place is kept while the phone sleeps.
(() => {
  const page = document.querySelector("[data-beside]");
  if (!page) return;
  const steps = [...page.querySelectorAll("[data-step]")];
  const turn = page.querySelector("[data-turn]");
  const back = page.querySelector("[data-turn-back]");
  const on = page.querySelector("[data-turn-on]");
  const place = `beside ${location.pathname}${location.search} ${steps.length}`;

  // Speech is heard only where somebody asked for it.
  const speech = window.speechSynthesis;
  const aloud = page.querySelector("[data-speak]");
  let speaks = localStorage.getItem("speaks") === "on";
  const say = (step) => {
    if (!speech) return;
    speech.cancel();
    if (!speaks) return;
    const words = [...step.querySelectorAll("[data-say]")].map((at) => at.textContent).join(". ");
    const spoken = new SpeechSynthesisUtterance(words);
    spoken.lang = document.documentElement.lang;
    speech.speak(spoken);
  };
  const sayAloud = () => {
    aloud.hidden = !speech;
    aloud.setAttribute("aria-pressed", String(speaks));
    aloud.textContent = speaks ? "Reading aloud" : "Read aloud";
  };

  let at = Math.min(Number(localStorage.getItem(place) ?? 0) || 0, steps.length - 1);
  const show = (moved) => {
    steps.forEach((step, i) => (step.hidden = i !== at));
    back.disabled = at === 0;
    on.disabled = at === steps.length - 1;
    if (at === 0) localStorage.removeItem(place);
    else localStorage.setItem(place, String(at));
    if (!moved) return;
    scrollTo(0, 0);
    const heading = steps[at].querySelector("h2");
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
    say(steps[at]);
  };
  const go = (by) => {
    at = Math.max(0, Math.min(steps.length - 1, at + by));
    show(true);
  };
  back.addEventListener("click", () => go(-1));
  on.addEventListener("click", () => go(1));
  document.addEventListener("keydown", (event) => {
    if (event.target.closest("input, select, textarea, button, a")) return;
    if (event.key === "ArrowRight") go(1);
    if (event.key === "ArrowLeft") go(-1);
  });
  aloud.addEventListener("click", () => {
    speaks = !speaks;
    localStorage.setItem("speaks", speaks ? "on" : "off");
    sayAloud();
    say(steps[at]);
  });
  // What ends the steps ends the place among them.
  page.addEventListener("submit", (event) => {
    if (!event.target.hasAttribute("hx-post") && !event.target.matches("[action$='/round/timer']"))
      localStorage.removeItem(place);
  });
  turn.hidden = false;
  sayAloud();
  show(false);
})();
