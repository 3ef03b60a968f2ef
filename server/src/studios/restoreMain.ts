import { join } from 'node:path';
import { Refusal } from '@myokinet/core/errors';
import { configFrom } from '../config.ts';
import { ACCOUNTS, copyKeeper, setAside } from './copies.ts';
import { ACCOUNTS_FILE, takeFolder } from './folder.ts';
import { startProblem } from './startProblem.ts';
import { fileOf, isDamage } from './studios.ts';

/** Brings a whole data folder back to a copy: `restore [COPY]`; without a name it lists the copies. The program must not be running. */
const config = configFrom(process.env);
const now = () => new Date();
const copies = copyKeeper({ folder: config.copies, passphrase: config.passphrase, now });
const [name] = process.argv.slice(2);
const say = (line: string) => process.stdout.write(`${line}\n`);

try {
  const all = copies.list();
  if (name === undefined) {
    say(all.length === 0 ? `There is no copy in ${config.copies}.` : `Copies in ${config.copies}, newest first:`);
    for (const copy of all) say(`  ${copy.name}   ${Math.ceil(copy.bytes / 1024)} kB${copy.sealed ? '   sealed' : ''}`);
    if (all.length > 0) say('Bring one back: npm run restore -- NAME');
  } else restore(name);
} catch (error) {
  const sentence = error instanceof Refusal ? error.detail : startProblem(error, { port: config.port, data: config.data });
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

function restore(copy: string): void {
  if (!copies.list().some((c) => c.name === copy)) throw new Refusal('copy-missing');
  const stamp = now().toISOString().replaceAll(':', '-');
  const aside = join(config.data, 'set-aside');
  const accounts = join(config.data, ACCOUNTS_FILE);
  const studios = join(config.data, 'studios');
  heldByNobody();
  // All of it is brought and looked over before anything is moved.
  const coming = copies.filesOf(copy).map((file) => {
    const to = join(aside, `${file}.coming.sqlite`);
    copies.bringBack(copy, file, to);
    return { file, to };
  });
  for (const { file, to } of coming) {
    const place = file === ACCOUNTS ? accounts : fileOf(studios, file);
    setAside(place, join(aside, `${file}.${stamp}.sqlite`));
    setAside(to, place);
  }
  say(`Brought back ${coming.length} files of ${copy}. What was there before lies in ${aside}.`);
}

/** @throws StartProblem when the program is running; a damaged file is held by nobody */
function heldByNobody(): void {
  try {
    takeFolder(config.data).release();
  } catch (error) {
    if (!isDamage(error)) throw error;
  }
}
