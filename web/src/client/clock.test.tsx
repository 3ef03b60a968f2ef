import { beforeEach, expect, it } from 'vitest';
import { deviceClock } from './clock.ts';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const TRUE = Date.parse('2026-11-28T10:00:00Z');

/** A device whose clock is set at will, and whose steady seconds go on. */
function setUp(offset = 0) {
  let [device, steady] = [TRUE + offset, 1000];
  const clock = deviceClock(
    () => device,
    () => steady,
  );
  return {
    clock,
    pass: (ms: number) => {
      device += ms;
      steady += ms;
      clock.look();
    },
    set: (ms: number) => {
      device += ms;
    },
    off: () => Math.round((clock.now().getTime() - (TRUE + (steady - 1000))) / 1000),
  };
}

beforeEach(() => localStorage.clear());

it.each([5 * HOUR, -5 * HOUR, 400 * DAY, -400 * DAY])('wrong by %i ms from the start: the server’s time counts, and it is said', (ms) => {
  const { clock, off, pass } = setUp(ms);
  clock.heard(new Date(TRUE).toISOString());
  pass(HOUR);
  expect([off(), clock.doubt()]).toEqual([0, { kind: 'off', ms }]);
  // Another page of this device, before the server is heard.
  const later = deviceClock(
    () => TRUE + ms,
    () => 0,
  );
  expect(later.now().getTime()).toBe(TRUE);
});

it.each([-5 * HOUR, -400 * DAY])('set back by %i ms without a server: time goes on as it did', (ms) => {
  const { clock, off, pass, set } = setUp();
  pass(10_000);
  set(ms);
  pass(10_000);
  expect([off(), clock.doubt()]).toEqual([0, { kind: 'off', ms }]);
});

it('set ahead without a server it may have slept: believed, with a doubt, until the server is heard', () => {
  const { clock, pass, set, off } = setUp();
  set(5 * HOUR);
  pass(1000);
  expect([off(), clock.doubt()]).toEqual([5 * 3600, { kind: 'jumped', ms: 5 * HOUR }]);
  set(-5 * HOUR);
  pass(0);
  // Set right again by hand.
  expect([off(), clock.doubt()]).toEqual([0, undefined]);
  set(5 * HOUR);
  clock.heard(new Date(TRUE + 1000).toISOString());
  expect([off(), clock.doubt()]).toEqual([0, { kind: 'off', ms: 5 * HOUR }]);
  set(-5 * HOUR);
  clock.heard(new Date(TRUE + 1000).toISOString());
  expect([off(), clock.doubt()]).toEqual([0, undefined]);
});

it('five minutes apart is agreement, a page that was slow no jump, and nonsense no time', () => {
  const { clock, off, set, pass } = setUp(4 * 60_000);
  clock.heard(new Date(TRUE).toISOString());
  clock.heard('soon');
  expect([off(), clock.doubt()]).toEqual([240, undefined]);
  set(50_000);
  pass(1);
  expect(clock.doubt()).toBeUndefined();
});
