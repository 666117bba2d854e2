// Builds the styles with Tailwind and copies scripts and fonts to where the application serves them.
import { execFileSync } from "node:child_process";
import { cpSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { brotliCompressSync } from "node:zlib";
import { buildSync } from "esbuild";
import { flecks } from "./flecks.mjs";

const here = dirname(fileURLToPath(import.meta.url));
const assets = process.argv[2] ?? join(here, "../resources/static/assets");
const modules = join(here, "node_modules");

rmSync(assets, { recursive: true, force: true });
mkdirSync(join(assets, "fonts"), { recursive: true });
for (const [face, file] of [
  ["atkinson-hyperlegible-next", "atkinson-hyperlegible-next-latin-wght-normal.woff2"],
  ["atkinson-hyperlegible-next", "atkinson-hyperlegible-next-latin-ext-wght-normal.woff2"],
  ["bricolage-grotesque", "bricolage-grotesque-latin-wght-normal.woff2"],
  ["bricolage-grotesque", "bricolage-grotesque-latin-ext-wght-normal.woff2"],
]) {
  cpSync(join(modules, "@fontsource-variable", face, "files", file), join(assets, "fonts", file));
}
for (const face of ["atkinson-hyperlegible-next", "bricolage-grotesque"]) {
  cpSync(
    join(modules, "@fontsource-variable", face, "LICENSE"),
    join(assets, "fonts", `${face}-LICENSE.txt`),
  );
}
// The labels' fonts, as files that a PDF can embed.
for (const [face, cut, file] of [
  ["atkinson-hyperlegible-next", "400Regular", "AtkinsonHyperlegibleNext_400Regular.ttf"],
  ["atkinson-hyperlegible-next", "400Regular_Italic", "AtkinsonHyperlegibleNext_400Regular_Italic.ttf"],
  ["atkinson-hyperlegible-next", "700Bold", "AtkinsonHyperlegibleNext_700Bold.ttf"],
  ["bricolage-grotesque", "700Bold", "BricolageGrotesque_700Bold.ttf"],
]) {
  cpSync(join(modules, "@expo-google-fonts", face, cut, file), join(assets, "fonts", file));
}
cpSync(join(modules, "htmx.org/dist/htmx.min.js"), join(assets, "htmx.min.js"));
cpSync(join(modules, "uplot/dist/uPlot.iife.min.js"), join(assets, "uPlot.iife.min.js"));
cpSync(join(modules, "uplot/dist/uPlot.min.css"), join(assets, "uPlot.min.css"));
// Our own scripts, each with the libraries it uses in one file.
for (const [from, to] of [
  ["app.js", "app.js"],
  ["lists.js", "lists.js"],
  ["stove.js", "stove.js"],
  ["passkeys.js", "passkeys.js"],
  ["beside.js", "beside.js"],
  ["calls.js", "calls.js"],
  ["away/worker.js", "sw.js"],
  ["away/page.js", "away.js"],
  ["scan.js", "scan.js"],
]) {
  buildSync({
    entryPoints: [join(here, from)],
    outfile: join(assets, to),
    bundle: true,
    minify: true,
    format: "iife",
    target: "es2022",
    define: { "process.env.NODE_ENV": '"production"' },
    legalComments: "none",
  });
}
cpSync(join(here, "crock.svg"), join(assets, "crock.svg"));
writeFileSync(join(assets, "flecks.svg"), flecks());
cpSync(join(here, "icons"), join(assets, "icons"), { recursive: true });
cpSync(join(here, "manifest.json"), join(assets, "manifest.json"));
execFileSync(
  join(modules, ".bin/tailwindcss"),
  ["--input", join(here, "app.css"), "--output", join(assets, "app.css"), "--minify"],
  { stdio: ["ignore", "ignore", "inherit"], cwd: here },
);
// What is text lies beside itself in small, for browsers that take it so.
for (const file of readdirSync(assets).filter((name) => /\.(css|js|svg)$/.test(name)))
  writeFileSync(join(assets, `${file}.br`), brotliCompressSync(readFileSync(join(assets, file))));
