// Builds styles, scripts and fonts into the application's static resources. The result is committed, so that a plain
// Maven build needs no npm; CI builds it again and compares.
import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { inflateSync } from 'node:zlib';
import { buildSync } from 'esbuild';

const here = dirname(fileURLToPath(import.meta.url));
const target = process.argv[2] ?? join(here, '../app/src/main/resources/static');
const own = join(target, 'app');
const vendor = join(target, 'vendor');
const modules = join(here, 'node_modules');

for (const folder of [own, vendor]) {
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
}

execFileSync(
  join(modules, '.bin/tailwindcss'),
  ['--input', join(here, 'src/app.css'), '--output', join(own, 'app.css'), '--minify'],
  { cwd: here, stdio: ['ignore', 'ignore', 'inherit'] },
);
buildSync({
  entryPoints: { app: join(here, 'src/app.js'), desk: join(here, 'src/desk.js'), proof: join(here, 'src/proof-worker.js') },
  outdir: own,
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2020',
  legalComments: 'none',
  define: { ALPINE_VERSION: '""' },
});
buildSync({ entryPoints: { embed: join(here, 'src/embed.js'), frame: join(here, 'src/frame.js') }, outdir: own, bundle: true, minify: true, format: 'esm', target: 'es2022', legalComments: 'none' });

const fonts = {
  'bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2': 'bricolage-latin.woff2',
  'bricolage-grotesque/files/bricolage-grotesque-latin-ext-wght-normal.woff2': 'bricolage-latin-ext.woff2',
  'figtree/files/figtree-latin-wght-normal.woff2': 'figtree-latin.woff2',
  'figtree/files/figtree-latin-ext-wght-normal.woff2': 'figtree-latin-ext.woff2',
};
for (const [from, to] of Object.entries(fonts)) {
  copyFileSync(join(modules, '@fontsource-variable', from), join(vendor, to));
}

// The same fonts as outlines, for the pictures that are drawn on the server: WOFF 1.0 is the tables of a font, each deflated.
const outlines = (woff) => {
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, i) => {
    const at = 44 + i * 20;
    const [offset, packed, length] = [4, 8, 12].map((by) => woff.readUInt32BE(at + by));
    const bytes = woff.subarray(offset, offset + packed);
    return { tag: woff.subarray(at, at + 4), sum: woff.subarray(at + 16, at + 20), bytes: packed < length ? inflateSync(bytes) : bytes };
  });
  const power = 2 ** Math.floor(Math.log2(count));
  const head = Buffer.alloc(12 + count * 16);
  woff.copy(head, 0, 4, 8);
  [count, power * 16, Math.log2(power), (count - power) * 16].forEach((value, i) => head.writeUInt16BE(value, 4 + i * 2));
  const parts = [head];
  let offset = head.length;
  tables.forEach(({ tag, sum, bytes }, i) => {
    const at = 12 + i * 16;
    tag.copy(head, at);
    sum.copy(head, at + 4);
    head.writeUInt32BE(offset, at + 8);
    head.writeUInt32BE(bytes.length, at + 12);
    const padded = Buffer.alloc(Math.ceil(bytes.length / 4) * 4);
    bytes.copy(padded);
    parts.push(padded);
    offset += padded.length;
  });
  return Buffer.concat(parts);
};
for (const [font, weight] of [['bricolage-grotesque', 700], ['figtree', 600]]) {
  for (const script of ['latin', 'latin-ext']) {
    const woff = readFileSync(join(modules, '@fontsource', font, 'files', `${font}-${script}-${weight}-normal.woff`));
    writeFileSync(join(vendor, `${font.split('-')[0]}-${script}-${weight}.ttf`), outlines(woff));
  }
}
