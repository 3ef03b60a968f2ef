import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { buildApp } from './app.ts';
import { configFrom } from './config.ts';
import { STUDIO_ID } from './context.ts';
import { BUILT_IN_COACH } from './identity/actor.ts';
import { openSeat } from './identity/seat.ts';
import { judgeInThread } from './library/judgeInThread.ts';
import { openDatabase } from './database/open.ts';
import { servicesFor } from './services.ts';

const config = configFrom(process.env);
mkdirSync(dirname(config.databaseFile), { recursive: true });
const db = openDatabase(config.databaseFile);
const now = () => new Date(Date.now() + config.clockShift);
const studio = servicesFor({ db, studioId: STUDIO_ID, now }, config.judge && judgeInThread(config.judge));
const app = await buildApp(openSeat(studio, BUILT_IN_COACH), now, config);

async function stop(): Promise<void> {
  await app.close();
  db.close();
  process.exit(0);
}
process.once('SIGINT', () => void stop());
process.once('SIGTERM', () => void stop());

try {
  const address = await app.listen({ host: config.host, port: config.port });
  process.stdout.write(`Myokinet is ready: ${address}\n`);
} catch (error) {
  const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
  process.stderr.write(taken ? `Port ${config.port} is taken. Choose another: MYOKINET_PORT=4171 npm run demo\n` : `${String(error)}\n`);
  process.exit(1);
}
