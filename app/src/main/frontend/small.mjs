// Says which file of a folder has no small copy (.br) that says the same: node small.mjs FOLDER
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { brotliDecompressSync } from "node:zlib";

const [folder] = process.argv.slice(2);
const files = readdirSync(folder);
const same = (file) =>
  files.includes(`${file}.br`) &&
  brotliDecompressSync(readFileSync(join(folder, `${file}.br`))).equals(readFileSync(join(folder, file)));
const wrong = files.filter((file) => /\.(css|js|svg)$/.test(file) && !same(file));
if (wrong.length > 0) {
  console.error(wrong.join("\n"));
  process.exit(1);
}
