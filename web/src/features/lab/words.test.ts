import { bodyModel, handLoad, type SetUp } from '@myokinet/core/statics';
import { expect, it } from 'vitest';
import { rowsOf, spanInWords } from './words.ts';

const body = bodyModel({ sex: 'male', statureM: 1.75, massKg: 70 });
const rows = (setUp: SetUp) => rowsOf(handLoad(body, setUp), setUp, body.massKg);
const row = (setUp: SetUp, name: string) => rows(setUp).find((r) => r.name === name);

it('a span says its unit once, and nothing where there is no doubt', () => {
  expect(spanInWords({ low: 0.63, high: 0.74 }, (v) => `${Math.round(v * 100)}%`)).toBe('63–74%');
  expect(spanInWords({ low: 9, high: 12 }, (v) => `${v} kg`)).toBe('9–12 kg');
  expect(spanInWords({ low: 1, high: 1 }, (v) => `${v} kg`)).toBeUndefined();
});

it('the readings begin with the load, and the scale’s band mirrors it', () => {
  expect(rows({ position: 'push-up' })[0]).toMatchObject({
    name: 'Load on the hands',
    value: '68% of body weight',
    band: '63–74%',
    note: '48 kg',
  });
  expect(row({ position: 'push-up' }, 'Scale under the feet')).toMatchObject({ value: '22 kg', band: '18–26 kg' });
  expect(row({ position: 'push-up' }, 'Moment at the shoulder')?.note).toMatch(/^up to .* N·m if the hands push straight down$/);
});

it('forearms have no wrist, a wall has its force, a hang its fingers, and a scale that sets the load is as set', () => {
  expect(rows({ position: 'forearm-plank' })[0]?.name).toBe('Load on the forearms');
  expect(row({ position: 'forearm-plank' }, 'Wrist bent back')).toBeUndefined();
  expect(rows({ position: 'wall-push' })[0]?.name).toBe('Force on the hands');
  expect(row({ position: 'free-hang' }, 'Fingers of one hand hold')).toMatchObject({ value: '35 kg', band: undefined });
  expect(row({ position: 'supported-hang' }, 'Scale under the feet')).toMatchObject({ value: '35 kg', band: 'as set' });
});
