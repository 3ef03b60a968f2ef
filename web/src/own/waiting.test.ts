import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { keepPage, knownPages } from './onPhone.ts';
import { isTold, letGo, sendWaiting, tell, type Told, waitingOf } from './waiting.ts';

let kept: Map<string, string>;
let refusesToKeep: boolean;

beforeEach(() => {
  kept = new Map();
  refusesToKeep = false;
  vi.stubGlobal('navigator', {});
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => {
      if (refusesToKeep) throw new Error('full');
      kept.set(k, v);
    },
    removeItem: (k: string) => kept.delete(k),
  });
});
afterEach(() => vi.unstubAllGlobals());

const told = (id: string, own: object = {}): Told => ({ to: 'practice', body: { id, ...own } });
const answers = (...statuses: readonly number[]) => {
  const left = [...statuses];
  const asked: string[] = [];
  vi.stubGlobal('fetch', (_: string, { body }: { body: string }) => {
    asked.push((JSON.parse(body) as { id: string }).id);
    const status = left.shift() ?? 201;
    if (status === 0) return Promise.reject(new Error('away'));
    const reply = status < 400 ? {} : { code: 'practice-not-planned', detail: 'Not planned.' };
    return Promise.resolve(new Response(JSON.stringify(reply), { status }));
  });
  return asked;
};

it('sends what was told in its order, and lets go of what was taken', async () => {
  tell('key', told('a'));
  tell('key', told('b'));
  tell('key', told('a'));
  const asked = answers();
  expect(await sendWaiting('key')).toBe(true);
  expect(asked).toEqual(['b', 'a']);
  expect(waitingOf('key')).toEqual([]);
});

it('keeps all of it while the server is away or in trouble, and what is refused with its reason until somebody lets go', async () => {
  tell('key', told('a'));
  tell('key', told('b'));
  for (const status of [0, 503, 429]) {
    answers(status);
    expect(await sendWaiting('key')).toBe(false);
    expect(waitingOf('key')).toHaveLength(2);
  }
  const asked = answers(409, 201);
  expect(await sendWaiting('key')).toBe(true);
  expect(asked).toEqual(['a', 'b']);
  expect(waitingOf('key')).toMatchObject([{ body: { id: 'a' }, refused: { code: 'practice-not-planned' } }]);
  answers();
  expect(await sendWaiting('key')).toBe(false);
  letGo('key', 'a');
  expect(waitingOf('key')).toEqual([]);
});

it('loses nothing on a phone that keeps nothing, and keeps two trainees apart', async () => {
  refusesToKeep = true;
  tell('key of one.11111111', told('a'));
  expect(waitingOf('key of one.11111111')).toHaveLength(1);
  expect(waitingOf('key of two.22222222')).toEqual([]);
  const asked = answers();
  expect(await sendWaiting('key of one.11111111')).toBe(true);
  expect(asked).toEqual(['a']);
  expect(waitingOf('key of one.11111111')).toEqual([]);
});

it('what waits under the key of an earlier opening goes with the new one of the same trainee, and of nobody else', async () => {
  keepPage({ key: 'first.11111111', feed: '', id: 'ada', name: 'Ada' });
  tell('first.11111111', told('a'));
  keepPage({ key: 'other.22222222', feed: '', id: 'bo', name: 'Ada' });
  expect(waitingOf('other.22222222')).toEqual([]);
  keepPage({ key: 'second.33333333', feed: '', id: 'ada', name: 'Ada' });
  expect(knownPages().map((p) => p.key)).toEqual(['second.33333333', 'other.22222222']);
  const asked = answers();
  expect(await sendWaiting('second.33333333')).toBe(true);
  expect(asked).toEqual(['a']);
  expect(waitingOf('first.11111111')).toEqual([]);
});

it('a session is told once it is on record or on its way', () => {
  const session = { id: 'planned', done: false };
  expect(isTold(session, [])).toBe(false);
  expect(isTold(session, [told('a', { plannedSessionId: 'other' })])).toBe(false);
  expect(isTold(session, [told('a', { plannedSessionId: 'planned' })])).toBe(true);
  expect(isTold({ ...session, done: true }, [])).toBe(true);
});
