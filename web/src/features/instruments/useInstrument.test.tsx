import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { standIn } from './standIn.ts';
import { stopwatch } from './stopwatch.ts';
import { tiltSensor } from './tiltSensor.ts';
import { useInstrument } from './useInstrument.ts';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'setTimeout', 'clearTimeout', 'performance'] });
});
afterEach(() => {
  vi.useRealTimers();
});

async function running(scenario: 'clean' | 'dropped connection' | 'nonsense values', seconds: number) {
  const instrument = standIn('inclinometer', { movement: 'rise and hold', target: 160, scenario });
  const hook = renderHook(() => useInstrument(instrument));
  await act(() => hook.result.current.connect());
  act(() => void vi.advanceTimersByTime(seconds * 1000));
  return hook.result;
}

describe('a stand-in in use', () => {
  it('streams 50 to 100 readings a second, and is off until it is set to zero', async () => {
    const result = await running('clean', 4);
    const { times, values } = result.current.heardSoFar();
    expect(times.length / 4).toBeGreaterThan(50);
    expect(times.length / 4).toBeLessThanOrEqual(100);
    expect(result.current.heard).toMatchObject({ state: 'streaming', zeroed: false, nonsense: 0 });
    const before = values.at(-1)!;
    await act(() => result.current.zero());
    act(() => void vi.advanceTimersByTime(4000));
    expect(result.current.heard.zeroed).toBe(true);
    // Two degrees of offset, and targets that differ by up to two per cent from go to go.
    expect(Math.abs(before - 2 - result.current.heardSoFar().values.at(-1)!)).toBeLessThan(6);
  });

  it('that drops out keeps what came and says so', async () => {
    const result = await running('dropped connection', 6);
    expect(result.current.heard.state).toBe('lost');
    expect(result.current.heard.problem).toMatch(/^The connection dropped after 2\.5 s\. \d+ readings were kept\.$/);
    expect(result.current.heardSoFar().times.length).toBeGreaterThan(150);
    act(() => result.current.again());
    expect(result.current.heard.state).toBe('streaming');
  });

  it('that talks nonsense has it counted and left out', async () => {
    const result = await running('nonsense values', 4);
    expect(result.current.heard.nonsense).toBeGreaterThan(0);
    expect(Math.max(...result.current.heardSoFar().values)).toBeLessThan(200);
  });
});

it('the stopwatch counts to the moment it is stopped', () => {
  const watch = stopwatch();
  const read: number[] = [];
  watch.stream({ reading: (_, value) => read.push(value), lost: () => expect.unreachable() });
  vi.advanceTimersByTime(2510);
  watch.stop();
  expect(read.at(-1)).toBeCloseTo(2.51, 2);
  vi.advanceTimersByTime(1000);
  expect(read.at(-1)).toBeCloseTo(2.51, 2);
});

describe('the tilt sensor', () => {
  const connect = async () => {
    const sensor = tiltSensor();
    const connected = sensor.connect().then(
      () => 'connected',
      (error: Error) => error.message,
    );
    return { sensor, connected };
  };

  it('says so where it stays silent, and where there is none', async () => {
    const { connected } = await connect();
    await vi.advanceTimersByTimeAsync(2500);
    expect(await connected).toMatch(/No tilt sensor answers/);
    const known = Object.getOwnPropertyDescriptor(window, 'DeviceOrientationEvent')!;
    Reflect.deleteProperty(window, 'DeviceOrientationEvent');
    expect(await (await connect()).connected).toMatch(/knows no tilt sensor/);
    Object.defineProperty(window, 'DeviceOrientationEvent', known);
  });

  it('reads how far the device has turned since zero', async () => {
    const turn = (beta: number) => window.dispatchEvent(Object.assign(new Event('deviceorientation'), { beta, gamma: 0 }));
    const { sensor, connected } = await connect();
    await vi.advanceTimersByTimeAsync(100);
    turn(10);
    await vi.advanceTimersByTimeAsync(2500);
    expect(await connected).toBe('connected');
    await sensor.calibrate();
    const read: number[] = [];
    const lost: string[] = [];
    sensor.stream({ reading: (_, value) => read.push(value), lost: (why) => lost.push(why) });
    turn(10);
    turn(95);
    expect(read.map(Math.round)).toEqual([0, 85]);
    await vi.advanceTimersByTimeAsync(4000);
    expect(lost).toEqual(['The tilt sensor has gone silent.']);
  });

  it('knows which way counts once it was turned that way: the other is negative, beyond straight up goes on, and leaning is told', async () => {
    const turn = (beta: number, gamma = 0) => window.dispatchEvent(Object.assign(new Event('deviceorientation'), { beta, gamma }));
    const { sensor, connected } = await connect();
    await vi.advanceTimersByTimeAsync(100);
    turn(0);
    await vi.advanceTimersByTimeAsync(2500);
    await connected;
    await sensor.calibrate();
    const read: number[] = [];
    const leaning: number[] = [];
    sensor.stream({
      reading: (_, value, outOfPlane = 0) => {
        read.push(Math.round(value));
        leaning.push(Math.round(outOfPlane));
      },
      lost: () => undefined,
    });
    turn(-6);
    expect(sensor.direct!()).toBe(false);
    turn(-20);
    expect(sensor.direct!()).toBe(true);
    for (const beta of [-65, 40, 0, -60, -120, -170, 170]) turn(beta);
    expect(read.slice(2)).toEqual([65, -40, 0, 60, 120, 170, 190]);
    turn(0, 30);
    expect(leaning.at(-1)).toBe(30);
    sensor.stop();
  });
});
