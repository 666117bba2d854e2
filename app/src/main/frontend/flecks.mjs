// Sheets of herb for the drawings of jars, in millimetres, its floor at y = 0: “leaf-7” is seven bands of leaves
// high, “grain-7” seven of grains. Each is laid of few strips, so that few flecks are written. How wide a sheet and
// how high a band is, JarDrawing knows as well.
const WIDE = 130;
const BAND = 5;
const BANDS = 36;
const IN_A_BAND = 9;
const STRIPS = [8, 4, 2, 1];

const seeded = (seed) => () => {
  seed = (seed + 0x6d2b79f5) | 0;
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed);
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
};

const n = (value) => String(Math.round(value * 10) / 10);

const leaf = (x, y, size, turn) => {
  const [dx, dy] = [Math.cos(turn) * size, Math.sin(turn) * size];
  const [bx, by] = [-dy * 0.34, dx * 0.34];
  return (
    `M${n(x - dx)} ${n(y - dy)}q${n(dx + bx)} ${n(dy + by)} ${n(2 * dx)} ${n(2 * dy)}` +
    `q${n(-dx - bx)} ${n(-dy - by)} ${n(-2 * dx)} ${n(-2 * dy)}`
  );
};

const grain = (x, y, size) => {
  const r = size * 0.55;
  return `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0`;
};

// So many bands from the floor up; each fleck has its own stretch of its band, so that none is bare.
const strip = (bands, draw, random) => {
  let path = "";
  for (let i = 0; i < bands * IN_A_BAND; i++) {
    const x = (((i % IN_A_BAND) + random()) / IN_A_BAND) * WIDE;
    const up = Math.floor(i / IN_A_BAND) * BAND + 1.5 + random() * BAND;
    path += draw(x, -up, 2.4 + random() * 2.2, random() * Math.PI);
  }
  return path;
};

const sheets = (name, draw, random) => {
  const lines = STRIPS.map((of) => `<path id="${name}-strip-${of}" d="${strip(of, draw, random)}"/>`);
  for (let bands = 1; bands <= BANDS; bands++) {
    let laid = "";
    let below = 0;
    while (below < bands) {
      const of = STRIPS.find((strip) => strip <= bands - below);
      // Every other one the other way round, so that nobody sees the same leaves twice.
      const turned = (below / of) % 2 === 1 ? ` transform="matrix(-1 0 0 1 ${WIDE} 0)"` : "";
      laid += `<use href="#${name}-strip-${of}" y="${-below * BAND}"${turned}/>`;
      below += of;
    }
    lines.push(`<g id="${name}-${bands}">${laid}</g>`);
  }
  return lines.join("\n");
};

export const flecks = () =>
  `<svg xmlns="http://www.w3.org/2000/svg"><defs>\n${sheets("leaf", leaf, seeded(5))}\n${sheets("grain", grain, seeded(8))}\n</defs></svg>\n`;
