import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import type { FastifyInstance } from 'fastify';
import { buildApp } from './app.ts';
import { inThreads } from './aside.ts';
import { type Config, configFrom, SettingProblem } from './config.ts';
import { DEMO_STUDIO, STUDIO_ID } from './context.ts';
import { BUILT_IN_COACH } from './actor.ts';
import { demoRoutes } from './identity/demoRoutes.ts';
import { openSeat } from './seat.ts';
import { openDatabase } from './database/open.ts';
import { servicesFor } from './services.ts';
import { openHouse } from './studios/house.ts';
import { startProblem } from './studios/startProblem.ts';

/** A program that is ready to listen, and what has to be closed when it ends. */
interface Ready {
  readonly app: FastifyInstance;
  readonly listening: (address: string) => void;
  readonly close: () => void | Promise<void>;
}

const say = (line: string) => process.stdout.write(`${line}\n`);

/** One database, and one coach who needs no account. */
async function demo(file: string, config: Config, now: () => Date): Promise<Ready> {
  mkdirSync(dirname(file), { recursive: true });
  const db = openDatabase(file);
  const studio = servicesFor({ db, studioId: STUDIO_ID, now }, config.threads && inThreads(config.threads));
  const app = await buildApp(openSeat(studio, BUILT_IN_COACH), now, {
    ...config,
    origin: undefined,
    more: demoRoutes,
    studioOf: (id) => (id === STUDIO_ID ? { name: DEMO_STUDIO, services: studio } : undefined),
  });
  return { app, listening: () => undefined, close: () => void db.close() };
}

/** Far more than the tablets of one hall ask for. */
const PER_MINUTE = 2400;

async function realStudio(config: Config, now: () => Date): Promise<Ready> {
  const house = openHouse({
    data: config.data,
    copiesFolder: config.copies,
    passphrase: config.passphrase,
    now,
    aside: config.threads && inThreads(config.threads),
    adopt: config.adopt,
    secure: config.origin !== undefined,
  });
  for (const name of house.openAll())
    process.stderr.write(`The file of the studio “${name}” is damaged: its page offers the newest good copy.\n`);
  const app = await buildApp(house.seatOf, now, {
    ...config,
    perMinute: PER_MINUTE,
    more: house.routes,
    changed: house.changed,
    health: house.health,
    studioOf: house.studioOf,
  });
  let stopCopies = () => undefined as void;
  return {
    app,
    listening(address) {
      if (house.firstCode) say(`First start. Open ${config.origin?.href ?? address} and type this code there: ${house.firstCode}`);
      say(`Data: ${config.data}   Copies: ${config.copies}`);
      stopCopies = house.keepCopies();
    },
    close() {
      stopCopies();
      return house.close();
    },
  };
}

async function start(): Promise<void> {
  const config = configFrom(process.env);
  const now = () => new Date(Date.now() + config.clockShift);
  try {
    const { app, listening, close } = await (config.demoFile === undefined ? realStudio(config, now) : demo(config.demoFile, config, now));
    const stop = async () => {
      await app.close();
      await close();
      process.exit(0);
    };
    process.once('SIGINT', () => void stop());
    process.once('SIGTERM', () => void stop());
    const address = await app.listen({ host: config.host, port: config.port });
    say(`Myokinet is ready: ${address}`);
    listening(address);
  } catch (error) {
    process.stderr.write(`${startProblem(error, { port: config.port, data: config.demoFile ?? config.data })}\n`);
    process.exit(1);
  }
}

try {
  await start();
} catch (error) {
  process.stderr.write(`${error instanceof SettingProblem ? error.message : String(error)}\n`);
  process.exit(1);
}
