import { rmSync } from 'node:fs';
import { join } from 'node:path';
import type { CopiesReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import type { AccountStore } from '../identity/accountStore.ts';
import type { AccountDoor } from '../identity/door.ts';
import { type CopyKeeper, setAside } from './copies.ts';
import type { DataFolder } from './folder.ts';
import { fileOf, type Studios } from './studios.ts';

interface Options {
  readonly folder: DataFolder;
  readonly accounts: AccountStore;
  readonly studios: Studios;
  readonly copies: CopyKeeper;
  readonly door: AccountDoor;
  readonly copyNow: () => Promise<void>;
  readonly now: () => Date;
}

const OPEN = { config: { open: true } } as const;

/** Copies of the studio, and the way back to one; open to whoever asks, since a damaged studio has no seat: each looks at who that is. */
export function studioRoutes(app: FastifyInstance, { folder, accounts, studios, copies, door, copyNow, now }: Options): void {
  const reply = (studioId: string): CopiesReply => ({ ...copies.state(), copies: copies.list(studioId) });

  app.get('/api/copies', OPEN, (request) => {
    return reply(door.mustRunStudio(request).studioId);
  });

  app.post('/api/copies', OPEN, async (request) => {
    const { studioId } = door.mustRunStudio(request);
    await copyNow();
    return reply(studioId);
  });

  app.post<{ Params: { name: string } }>('/api/copies/:name/restore', OPEN, async (request) => {
    const signed = door.mustRunStudio(request);
    if (!door.mayStillSign(signed)) throw new Refusal('confirm-first');
    const { studioId, accountId } = signed;
    await copies.settled();
    const coming = join(folder.setAside, `${studioId}.coming.sqlite`);
    copies.bringBack(request.params.name, studioId, coming);
    studios.close(studioId);
    const file = fileOf(folder.studios, studioId);
    setAside(file, join(folder.setAside, `${studioId}.${now().toISOString().replaceAll(':', '-')}.sqlite`));
    setAside(coming, file);
    studios.healed(studioId);
    for (const { id } of accounts.membersOf(studioId)) studios.introduce(studioId, accounts.account(id));
    rmSync(coming, { force: true });
    accounts.note(`restored:${request.params.name}`, { accountId, studioId, address: request.ip });
    return reply(studioId);
  });
}
