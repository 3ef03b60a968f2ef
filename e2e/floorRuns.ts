import type { FloorHead, FloorItem } from '@myokinet/core/floor';
import type { Page } from '@playwright/test';
import { v7 } from 'uuid';
import { now } from './clock.ts';
import type { Server } from './server.ts';

/** A drill of a run. Its sets are long, so that none ends by itself on a slow machine. */
export const drill = (drillId: string, own: Partial<FloorItem> = {}): FloorItem => ({
  id: v7(),
  drillId,
  sets: 2,
  min: 5,
  max: 120,
  restSeconds: 30,
  ...own,
});

/** A run that the server knows, as a planned session would start it. */
export async function openRun(server: Server, traineeId: string, items: readonly FloorItem[], own: Partial<FloorHead> = {}) {
  const head: FloorHead = {
    id: v7(),
    plannedSessionId: null,
    startedAt: new Date(now().getTime() - 60_000).toISOString() as FloorHead['startedAt'],
    form: 'sets',
    progress: 'count',
    items,
    ...own,
  };
  await server.send('PUT', `/api/floor/${head.id}`, { traineeId, head, events: [] });
  return head;
}

/** No tones: sets are then timed by the page's clock, which a test can hold. */
export const withoutSound = (page: Page) => page.addInitScript(() => localStorage.setItem('myokinet.floor.muted', 'yes'));

/** Longer than a double tap: what follows is meant. `held`: the test holds the page's clock. */
export const beat = (page: Page, { held = false } = {}) => (held ? page.clock.runFor(1050) : page.waitForTimeout(1050));
