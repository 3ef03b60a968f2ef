import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { extname, join, relative, sep } from 'node:path';
import { pathToFileURL } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { binOf, must, ROOT } from './run.mjs';

const STAMP = join(ROOT, 'server', 'dist', '.build-stamp');
const SOURCES = [
  'core/package.json',
  'core/src',
  'server/src',
  'web/src',
  'web/public',
  'web/index.html',
  'web/own.html',
  'web/vite.config.ts',
  'package-lock.json',
  'scripts/build.mjs',
];

export const SERVER = join(ROOT, 'server', 'dist', 'main.js');
export const RESTORE = join(ROOT, 'server', 'dist', 'restore.js');
export const SEEDER = join(ROOT, 'server', 'dist', 'demo.js');
export const PAGES = join(ROOT, 'web', 'dist');

/** Builds server and pages when a source changed since the last build. */
export async function build() {
  const wanted = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted && existsSync(PAGES)) return;
  process.stdout.write('Building…\n');
  await Promise.all([buildServer(), must(process.execPath, [binOf('vite'), 'build', 'web', '--logLevel', 'warn'])]);
  await buildServiceWorkers();
  compress(PAGES);
  writeFileSync(STAMP, wanted);
}

async function buildServer() {
  const { build: bundle } = await import('esbuild');
  const out = join(ROOT, 'server', 'dist');
  rmSync(out, { recursive: true, force: true });
  mkdirSync(out, { recursive: true });
  await bundle({
    entryPoints: {
      main: join(ROOT, 'server/src/main.ts'),
      demo: join(ROOT, 'server/src/demo/main.ts'),
      restore: join(ROOT, 'server/src/studios/restoreMain.ts'),
      judgeThread: join(ROOT, 'server/src/library/judgeThread.ts'),
      drawThread: join(ROOT, 'server/src/forecast/drawThread.ts'),
    },
    outdir: out,
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    sourcemap: true,
    packages: 'external',
    alias: coreDoors(),
    tsconfig: join(ROOT, 'tsconfig.base.json'),
    logLevel: 'warning',
  });
  for (const folder of ['migrations', 'accountMigrations'])
    cpSync(join(ROOT, 'server/src/database', folder), join(out, folder), { recursive: true });
}

/** Larger files than this are fetched when they are needed: models, solvers, what a session can do without. */
const LARGEST_KEPT = 500 * 1024;

/** The workers that keep the programs on a device: the coach's with all of its files, the trainee's page with its own few. */
async function buildServiceWorkers() {
  const manifest = JSON.parse(readFileSync(join(PAGES, '.vite', 'manifest.json'), 'utf8'));
  // What a page is made of is nobody else's business.
  rmSync(join(PAGES, '.vite'), { recursive: true });
  const kept = filesIn(PAGES).filter((file) => statSync(file).size <= LARGEST_KEPT);
  const own = ownFiles(manifest);
  await Promise.all([
    buildServiceWorker('web/src/app/serviceWorker.ts', 'serviceWorker.js', {
      SHELL: kept.map(entryOf).filter(({ url }) => !own.only.has(url)),
    }),
    buildServiceWorker('web/src/own/ownServiceWorker.ts', 'ownServiceWorker.js', {
      OWN_SHELL: filesIn(PAGES)
        .map(entryOf)
        .filter(({ url }) => own.all.has(url)),
    }),
  ]);
}

/** A file under its address. Files under assets have their own hash in the name. */
function entryOf(file) {
  const url = `/${relative(PAGES, file).split(sep).join('/')}`;
  const revision = url.startsWith('/assets/') ? null : createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16);
  return { url, revision };
}

/** The files of the trainee's page by address: all of them, and those that nothing else needs. */
function ownFiles(manifest) {
  const of = (page) => {
    const found = new Set();
    const files = new Set([`/${manifest[page].file}`]);
    const add = (name) => {
      if (found.has(name)) return;
      found.add(name);
      const { file, imports = [], dynamicImports = [], css = [], assets = [] } = manifest[name];
      for (const one of [file, ...css, ...assets]) files.add(`/${one}`);
      for (const next of [...imports, ...dynamicImports]) add(next);
    };
    add(page);
    return files;
  };
  const all = of('own.html');
  const coach = of('index.html');
  for (const file of readdirSync(join(PAGES, 'assets')))
    if (/^movementWorker-.*\.js$|-latin-.*\.woff2$/.test(file)) all.add(`/assets/${file}`);
  for (const file of ['own.html', 'own.webmanifest', 'mark.svg', 'mark-192.png']) all.add(`/${file}`);
  const only = new Set([...all].filter((url) => !coach.has(url) && (url.includes('/own') || url.endsWith('/own.html'))));
  return { all, only };
}

async function buildServiceWorker(entry, file, lists) {
  const { build: bundle } = await import('esbuild');
  await bundle({
    entryPoints: [join(ROOT, entry)],
    outfile: join(PAGES, file),
    bundle: true,
    minify: true,
    format: 'iife',
    define: {
      ...Object.fromEntries(Object.entries(lists).map(([name, list]) => [name, JSON.stringify(list)])),
      'process.env.NODE_ENV': '"production"',
    },
    tsconfig: join(ROOT, 'tsconfig.base.json'),
    logLevel: 'warning',
  });
}

/** Packages stay outside the bundle; core's own doors come in from their source. */
export function coreDoors() {
  const areas = readdirSync(join(ROOT, 'core/src'), { withFileTypes: true }).filter((entry) => entry.isDirectory());
  return {
    '@myokinet/core/errors': join(ROOT, 'core/src/errors.ts'),
    ...Object.fromEntries(areas.map(({ name }) => [`@myokinet/core/${name}`, join(ROOT, 'core/src', name, 'index.ts')])),
  };
}

const SMALLEST_WORTH_COMPRESSING = 1024;
const COMPRESSED = new Set(['.js', '.css', '.html', '.svg', '.json', '.wasm']);

function compress(folder) {
  for (const file of filesIn(folder)) {
    const bytes = readFileSync(file);
    if (!COMPRESSED.has(extname(file)) || bytes.length < SMALLEST_WORTH_COMPRESSING) continue;
    writeFileSync(`${file}.gz`, gzipSync(bytes, { level: 9 }));
    writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }));
  }
}

function fingerprint() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of filesIn(join(ROOT, source))) if (!/\.test\.tsx?$/.test(file)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

function filesIn(path) {
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path, { withFileTypes: true }).flatMap((entry) => filesIn(join(path, entry.name)));
}

if (import.meta.url === pathToFileURL(process.argv[1]).href) await build();
