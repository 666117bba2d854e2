// The stove's pages: live figures by server-sent events with polling behind them, traces drawn, a
// tone, the screen kept awake, and the practice pot.
(() => {
  const colour = (name) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  const soon = (f, ms) => {
    let timer = 0;
    return (...args) => {
      clearTimeout(timer);
      timer = setTimeout(() => f(...args), ms);
    };
  };

  // At once, and then no more often than that; the last call always counts.
  const sparsely = (f, ms) => {
    let waits = false;
    let again = false;
    const run = () => {
      if (waits) {
        again = true;
        return;
      }
      waits = true;
      f();
      setTimeout(() => {
        waits = false;
        if (again) {
          again = false;
          run();
        }
      }, ms);
    };
    return run;
  };

  // ---- charts ----

  const stretch = (u, from, to, style) => {
    const top = u.valToPos(to, "y", true);
    u.ctx.fillStyle = style;
    u.ctx.fillRect(u.bbox.left, top, u.bbox.width, u.valToPos(from, "y", true) - top);
  };

  // Dates and times are written as the household writes them.
  const monthFirst = document.body.dataset.dates === "MONTH_FIRST";
  const half = document.body.dataset.clock === "HOURS_12";

  const chart = (place, goal, data, { hours = false, height = 150, zoom = null } = {}) => {
    const line = (value, style, dash) => (u) => {
      const y = Math.round(u.valToPos(value, "y", true));
      u.ctx.save();
      u.ctx.strokeStyle = style;
      u.ctx.lineWidth = 1.5 * devicePixelRatio;
      u.ctx.setLineDash(dash);
      u.ctx.beginPath();
      u.ctx.moveTo(u.bbox.left, y);
      u.ctx.lineTo(u.bbox.left + u.bbox.width, y);
      u.ctx.stroke();
      u.ctx.restore();
    };
    // What lies above the ceiling is filled in the colour of a stop.
    const hot = (u) => {
      const [xs, ys] = u.data;
      const limit = u.valToPos(goal.ceiling, "y", true);
      u.ctx.save();
      u.ctx.beginPath();
      u.ctx.rect(u.bbox.left, u.bbox.top, u.bbox.width, Math.max(0, limit - u.bbox.top));
      u.ctx.clip();
      u.ctx.fillStyle = colour("--stop");
      u.ctx.beginPath();
      let before = null;
      xs.forEach((x, i) => {
        if (ys[i] === undefined) return;
        const here = ys[i] === null ? null : [u.valToPos(x, "x", true), u.valToPos(ys[i], "y", true)];
        if (before && here) {
          u.ctx.moveTo(before[0], limit);
          u.ctx.lineTo(...before);
          u.ctx.lineTo(...here);
          u.ctx.lineTo(here[0], limit);
        }
        before = here;
      });
      u.ctx.fill();
      u.ctx.restore();
    };
    const axis = {
      stroke: colour("--quiet"),
      font: '14px "Atkinson Hyperlegible Next", sans-serif',
      grid: { show: false },
      ticks: { stroke: colour("--line"), size: 5 },
    };
    const values = (u, splits) => splits.map((v) => `${v}`);
    let day = "";
    const times = (u, splits) =>
      splits.map((v, i) => {
        const at = new Date(v * 1000);
        const date = at.toLocaleDateString(monthFirst ? "en-US" : "en-GB", {
          day: "numeric",
          month: "short",
        });
        const midnight = at.getHours() === 0 && at.getMinutes() === 0;
        const clock = at.toLocaleTimeString(half ? "en-US" : "en-GB", {
          hour: half ? "numeric" : "2-digit",
          minute: "2-digit",
        });
        const fresh = i === 0 || date !== day;
        day = date;
        return midnight ? date : fresh ? `${clock}\n${date}` : clock;
      });
    return new uPlot(
      {
        width: Math.max(220, place.clientWidth),
        height,
        legend: { show: false },
        padding: [8, 26, 0, 0],
        cursor: { show: zoom !== null, points: { show: false }, drag: { x: true, y: false } },
        scales: {
          x: { time: !hours, range: hours ? [0, 6] : undefined },
          y: {
            range: (u, low, high) => [
              Math.min(low ?? goal.low, goal.low) - 3,
              Math.max(high ?? goal.high, goal.high) + 3,
            ],
          },
        },
        series: [
          {},
          { stroke: colour("--plum"), width: 2, points: { size: 5, fill: colour("--plum") } },
          { stroke: colour("--plum"), width: 2, dash: [5, 5], points: { show: false } },
        ],
        axes: [
          { ...axis, values: hours ? (u, s) => s.map((v) => `${v} h`) : times },
          { ...axis, size: 40, values },
        ],
        hooks: {
          drawClear: [(u) => stretch(u, goal.low, goal.high, colour("--chart-band"))],
          draw: [line(goal.ceiling, colour("--stop"), [2, 5]), hot],
          setSelect: zoom ? [zoom] : [],
        },
      },
      data,
      place,
    );
  };

  // Null breaks a line and undefined does not: a gap in what was read is a gap, an assumed point in
  // between is none.
  const columns = (trace) => [
    trace.at,
    trace.read.map((v, i) => (v === null && trace.assumed[i] !== null ? undefined : v)),
    trace.assumed.map((v, i) => (v === null && trace.read[i] !== null ? undefined : v)),
  ];

  const MOST_POINTS = 2400;

  const watch = (place) => {
    let plot = null;
    let goal = null;
    let window_ = null;
    const url = () => {
      const parts = [`columns=${Math.round(place.clientWidth * Math.min(2, devicePixelRatio))}`];
      if (window_) parts.push(`from=${window_[0]}`, `to=${window_[1]}`);
      return `${place.dataset.trace}?${parts.join("&")}`;
    };
    const large = place.closest(".pot-large") !== null;
    const zoom = (u) => {
      if (u.select.width < 8) return;
      window_ = [
        u.posToVal(u.select.left, "x"),
        u.posToVal(u.select.left + u.select.width, "x"),
      ];
      u.setSelect({ width: 0, height: 0 }, false);
      fetchAll();
    };
    const show = (trace) => {
      goal = trace;
      place.dataset.points = trace.at.length;
      place.dataset.of = trace.of;
      place.dataset.gaps = trace.read.filter((v, i) => v === null && trace.assumed[i] === null).length;
      place.classList.toggle("pot-chart-empty", trace.at.length === 0);
      if (plot) plot.destroy();
      plot = null;
      if (trace.at.length > 0) {
        plot = chart(place, trace, columns(trace), { height: large ? 280 : 150, zoom });
      }
    };
    const fetchAll = async () => {
      try {
        const answer = await fetch(url(), { headers: { Accept: "application/json" } });
        if (answer.ok && !answer.redirected) show(await answer.json());
      } catch {
        // The network is away; the next reconnection fetches again.
      }
    };
    const fetchSoon = sparsely(fetchAll, 800);
    place.addEventListener("dblclick", () => {
      window_ = null;
      fetchAll();
    });
    new ResizeObserver(
      soon(() => plot?.setSize({ width: place.clientWidth, height: plot.height }), 120),
    ).observe(place);
    const add = (seconds, value, alone) => {
      if (!plot || !goal || window_) {
        if (!window_) fetchSoon();
        return;
      }
      const at = plot.data[0];
      const last = at[at.length - 1];
      const assumed = goal.assumed.some((v) => v !== null);
      if (!alone || assumed || at.length > MOST_POINTS || seconds - last > 1800) {
        fetchSoon();
        return;
      }
      if (seconds <= last) return;
      plot.setData([
        [...at, seconds],
        [...plot.data[1], value],
        [...plot.data[2], undefined],
      ]);
      place.dataset.points = at.length + 1;
    };
    fetchAll();
    return { add, fetchAll };
  };

  // ---- live figures ----

  const stove = document.querySelector("[data-stove]");
  if (stove) {
    const pots = new Map();
    for (const pot of stove.querySelectorAll("[data-pot]")) {
      pots.set(pot.dataset.pot, {
        pot,
        chart: watch(pot.querySelector("[data-trace]")),
        alarm: pot.dataset.alarm === "true",
        last: Number(pot.dataset.last),
        readings: Number(pot.dataset.readings),
      });
    }

    const caution = (said) => {
      const p = document.createElement("p");
      p.className = `caution ${said.level}`;
      const b = document.createElement("b");
      b.textContent = said.word;
      const text = document.createElement("span");
      text.textContent = `${said.text} `;
      const turnTo = document.createElement("span");
      turnTo.className = "text-quiet";
      turnTo.textContent = said.turnTo;
      p.append(b, text, turnTo);
      return p;
    };

    const show = (row) => {
      const known = pots.get(row.code);
      if (!known) return;
      const { pot } = known;
      pot.className = `pot pot-${row.mood}`;
      for (const field of pot.querySelectorAll("[data-f]")) {
        const text = row[field.dataset.f];
        if (field.textContent !== text) field.textContent = text;
      }
      pot.querySelector("[data-served]").setAttribute("width", row.servedPercent);
      const countdown = pot.querySelector("[data-countdown]");
      if (countdown) countdown.dataset.by = row.bathBy;
      const cautions = pot.querySelector("[data-cautions]");
      const said = JSON.stringify(row.cautions);
      if (cautions.dataset.said !== said) {
        cautions.dataset.said = said;
        cautions.replaceChildren(...row.cautions.map(caution));
      }
      const more = row.readings - known.readings;
      if (more !== 0 && row.lastValue !== null) {
        known.chart.add(row.lastAt / 1000, row.lastValue, more === 1 && row.lastAt > known.last);
      }
      known.readings = row.readings;
      known.last = row.lastAt;
      known.alarm = row.alarm;
      pot.dataset.alarm = row.alarm;
      pot.dataset.last = row.lastAt;
      sound();
    };

    // A tone every few seconds while a pot wants somebody; browsers want one press for it.
    let ringing = 0;
    let alarmed = false;
    const beep = () => window.velvetTone.beep();
    const sound = () => {
      const alarm = [...pots.values()].some((p) => p.alarm);
      document.documentElement.classList.toggle("alarmed", alarm);
      document.title = document.title.replace(/^● /, "");
      if (alarm) document.title = `● ${document.title}`;
      if (alarm && !alarmed)
        for (const [code, pot] of pots)
          if (pot.alarm) window.velvetNotify(`${code}: somebody should come to the stove`, `/stove/${code}`);
      alarmed = alarm;
      if (alarm && window.velvetTone.on && !ringing) {
        beep();
        ringing = setInterval(beep, 4000);
      }
      if ((!alarm || !window.velvetTone.on) && ringing) {
        clearInterval(ringing);
        ringing = 0;
      }
    };
    document.addEventListener("tone", sound);

    const countdowns = () => {
      for (const place of stove.querySelectorAll("[data-countdown]")) {
        const left = Math.round((Number(place.dataset.by) - Date.now()) / 1000);
        const minutes = Math.floor(Math.abs(left) / 60);
        const long =
          minutes < 60
            ? `${minutes} min`
            : minutes < 48 * 60
              ? `${Math.round(minutes / 60)} h`
              : `${Math.round(minutes / 1440)} days`;
        const clock =
          minutes < 60 ? `${minutes}:${String(Math.abs(left) % 60).padStart(2, "0")}` : long;
        const due = minutes < 1 ? "now" : `now, due ${long} ago`;
        place.textContent = left > 0 ? `in ${clock}` : due;
      }
    };
    countdowns();
    setInterval(countdowns, 1000);

    // Listening, with polling where it fails. After a silence everything is fetched anew, so that
    // what was missed is seen and what nobody read stays a gap.
    const live = stove.querySelector("[data-live]");
    let heard = 0;
    let source = null;
    let polling = 0;
    const say = (words, state) => {
      if (live.textContent !== words) live.textContent = words;
      live.dataset.state = state;
    };
    const news = (rows, words) => {
      const missed = heard > 0 && Date.now() - heard > 12000;
      heard = Date.now();
      say(words, "live");
      rows.forEach(show);
      if (missed) pots.forEach((p) => p.chart.fetchAll());
    };
    const poll = async () => {
      try {
        const answer = await fetch("/stove/now", { headers: { Accept: "application/json" } });
        if (answer.redirected || !answer.ok) throw new Error("not here");
        news(await answer.json(), "Live, every few seconds");
      } catch {
        say("Not heard from the kitchen’s server: these figures are old", "lost");
        stove.classList.add("lost");
        return;
      }
      stove.classList.remove("lost");
    };
    const fallBack = () => {
      if (polling) return;
      poll();
      polling = setInterval(poll, 3000);
    };
    const listen = () => {
      source?.close();
      source = new EventSource("/stove/live");
      source.addEventListener("pots", (event) => {
        clearInterval(polling);
        polling = 0;
        stove.classList.remove("lost");
        news(JSON.parse(event.data), "Live");
      });
      source.addEventListener("error", () => {
        fallBack();
        if (source.readyState === EventSource.CLOSED) setTimeout(listen, 5000);
      });
    };
    if (window.EventSource) listen();
    else fallBack();
    const begun = Date.now();
    setInterval(() => {
      if (Date.now() - (heard || begun) > 12000 && !polling) {
        fallBack();
        listen();
      }
    }, 5000);
    const awake = () => {
      if (document.visibilityState !== "visible") return;
      keepAwake();
      if (heard && Date.now() - heard > 12000) {
        listen();
        pots.forEach((p) => p.chart.fetchAll());
      }
    };
    const keepAwake = () => navigator.wakeLock?.request("screen").catch(() => {});
    document.addEventListener("visibilitychange", awake);
    window.addEventListener("online", listen);
    window.addEventListener("pagehide", () => source?.close());
    keepAwake();
    sound();
  }

  // ---- the practice pot ----

  const practice = document.querySelector("[data-practice]");
  if (practice) {
    const place = practice.querySelector(".practice-chart");
    const goal = {
      low: Number(practice.dataset.low),
      high: Number(practice.dataset.high),
      ceiling: Number(practice.dataset.ceiling),
    };
    const hours = [];
    const degrees = [];
    let plot = null;
    let timer = 0;
    const show = (out) => {
      hours.push(...out.hours);
      degrees.push(...out.degrees);
      const data = [hours, degrees, hours.map(() => undefined)];
      if (plot) plot.setData(data);
      else plot = chart(place, goal, data, { hours: true, height: 260 });
      practice.className = `practice mt-6 pot-${out.mood}`;
      for (const field of practice.querySelectorAll("[data-f]")) {
        field.textContent = out[field.dataset.f];
      }
      for (const knob of practice.querySelectorAll("[name=knob]")) {
        knob.setAttribute("aria-pressed", knob.value === out.knob);
      }
      practice.querySelector("[data-window]").hidden = !out.windowOpen;
      practice.querySelector("[data-event]").textContent = out.windowOpen
        ? "Somebody has opened the window."
        : out.waterLow
          ? "The bath runs low."
          : "";
      practice.querySelector("[data-verdict]").hidden = !out.done;
      if (out.done) clearInterval(timer);
    };
    let busy = false;
    const follow = async () => {
      if (busy) return;
      busy = true;
      try {
        const answer = await fetch(`${practice.dataset.practice}?from=${hours.length}`);
        if (answer.ok) show(await answer.json());
        else clearInterval(timer);
      } catch {
        // The next look tries again.
      }
      busy = false;
    };
    for (const form of practice.querySelectorAll("[data-hands] form")) {
      form.addEventListener("submit", (event) => {
        event.preventDefault();
        const body = new URLSearchParams(new FormData(form, event.submitter));
        body.delete("minutes");
        fetch(form.action, { method: "POST", body, redirect: "manual" }).then(follow, () => {});
      });
    }
    follow();
    timer = setInterval(follow, 250);
  }
})();
