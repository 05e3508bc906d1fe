// Builds styles, scripts and fonts into the application's static resources. The result is committed, so that a plain
// Maven build needs no npm; CI builds it again and compares.
import { execFileSync } from 'node:child_process';
import { copyFileSync, mkdirSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
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
  entryPoints: { app: join(here, 'src/app.js'), proof: join(here, 'src/proof-worker.js') },
  outdir: own,
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2020',
  legalComments: 'none',
});
buildSync({ entryPoints: { embed: join(here, 'src/embed.js'), frame: join(here, 'src/frame.js') }, outdir: own, bundle: true, minify: true, format: 'esm', target: 'es2022', legalComments: 'none' });
copyFileSync(join(modules, '@alpinejs/csp/dist/cdn.min.js'), join(vendor, 'alpine.js'));

const fonts = {
  'bricolage-grotesque/files/bricolage-grotesque-latin-wght-normal.woff2': 'bricolage-latin.woff2',
  'bricolage-grotesque/files/bricolage-grotesque-latin-ext-wght-normal.woff2': 'bricolage-latin-ext.woff2',
  'figtree/files/figtree-latin-wght-normal.woff2': 'figtree-latin.woff2',
  'figtree/files/figtree-latin-ext-wght-normal.woff2': 'figtree-latin-ext.woff2',
};
for (const [from, to] of Object.entries(fonts)) {
  copyFileSync(join(modules, '@fontsource-variable', from), join(vendor, to));
}
