import 'reflect-metadata';
import { getMetadataStorage } from 'class-validator';
import { describe, expect, it } from 'vitest';
import * as contracts from './index.ts';
import { charactersOf } from './decorators.ts';
import { AllDifferent, partsOf, structureProblem } from './parts.ts';
import { REQUEST_SHAPE, shapeProblem } from './shape.ts';

type Contract = new () => object;
const CONTRACTS = Object.entries(contracts).filter((entry): entry is [string, Contract] => entry[0].endsWith('Dto'));
const metadataOf = (contract: Contract) => getMetadataStorage().getTargetValidationMetadatas(contract, '', false, false);

function nested(depth: number): unknown {
  let value: unknown = 'x';
  for (let i = 0; i < depth; i++) value = i % 2 === 0 ? [value] : { a: value };
  return value;
}

describe('the shape of what arrives', () => {
  it('is at most so deep, however deep it comes', () => {
    expect(shapeProblem(nested(REQUEST_SHAPE.depth))).toBeUndefined();
    expect(shapeProblem(nested(REQUEST_SHAPE.depth + 1))).toMatchObject({ limit: 'depth' });
    expect(shapeProblem(nested(200_000))).toMatchObject({ limit: 'depth' });
  });

  it('has so many properties and values', () => {
    const wide = (n: number) => Object.fromEntries(Array.from({ length: n }, (_, i) => [`p${i}`, 1]));
    expect(shapeProblem(wide(200))).toBeUndefined();
    expect(shapeProblem({ in: wide(201) })).toMatchObject({ field: '/in', limit: 'keys' });
    expect(shapeProblem(Array.from({ length: 60_000 }, () => 0))).toMatchObject({ limit: 'values' });
  });

  it.each(['constructor', '__proto__', 'prototype'])('has no property called %s', (name) => {
    expect(shapeProblem(JSON.parse(`{"entry":{"${name}":{"admin":true}}}`))).toMatchObject({ field: `/entry/${name}`, limit: 'property' });
  });

  it('has text without control characters or halves of characters, and with everything people write', () => {
    expect(shapeProblem({ name: 'a\u0000b' })).toMatchObject({ field: '/name', limit: 'text' });
    expect(shapeProblem({ notes: ['fine', 'bell\u0007'] })).toMatchObject({ field: '/notes/1' });
    expect(shapeProblem({ name: 'half \ud83d' })).toMatchObject({ field: '/name' });
    expect(shapeProblem({ note: 'line\nline\ttab\r\n Ærø 🧗‍♀️ 李' })).toBeUndefined();
  });
});

describe('characters', () => {
  // As many as SQLite's length() counts: code points.
  it.each([
    ['abc', 3],
    ['🧗', 1],
    ['🧗‍♀️', 4],
    ['e\u0301', 2],
  ])('of %s are %i', (text, count) => expect(charactersOf(text)).toBe(count));
});

describe('a list', () => {
  it('is refused by its length before anything is made of its entries', () => {
    const trial = { measureId: 'grip' };
    const long = { trials: Array.from({ length: 401 }, () => trial) };
    expect(structureProblem(contracts.CheckDto, long)).toMatchObject({ field: '/trials', message: 'At most 400 trials fit one check.' });
    const inner = { weekStart: '', sessions: [{ items: [] }, { items: Array.from({ length: 41 }, () => ({})) }] };
    expect(structureProblem(contracts.PlanBlockDto, { plans: [inner] })).toMatchObject({ field: '/plans/0/sessions/1/items' });
  });

  it('holds nothing but its objects', () => {
    expect(structureProblem(contracts.CheckDto, { trials: [{}, null] })).toMatchObject({
      field: '/trials',
      message: 'Trials: entry 2 must be an object.',
    });
    expect(structureProblem(contracts.FloorPatchDto, { head: [], events: [] })).toMatchObject({ field: '/head' });
    expect(structureProblem(contracts.FloorPatchDto, { events: [[]] })).toMatchObject({ field: '/events' });
  });

  it('names its repeated entry in one pass', () => {
    class Named {
      @AllDifferent<{ id: number }>(({ id }) => id, 'Twice.') list!: unknown[];
    }
    const problems = (list: unknown[]) => contracts.inspect(Named, { list }, { now: new Date(0) }).problems;
    expect(problems([{ id: 1 }, { id: 2 }])).toEqual([]);
    expect(problems([{ id: 1 }, { id: 1 }])).toMatchObject([{ field: '/list', message: 'Twice.' }]);
    const calls = { count: 0 };
    class Counted {
      @AllDifferent((entry) => (calls.count++, entry)) list!: unknown[];
    }
    contracts.inspect(Counted, { list: Array.from({ length: 20_000 }, (_, i) => i) }, { now: new Date(0) });
    expect(calls.count).toBe(20_000);
  });
});

it.each(CONTRACTS)('%s limits the length of its lists, and holds no object without its contract', (_, contract) => {
  const metadata = metadataOf(contract);
  const withRule = (name: string) => new Set(metadata.filter((m) => m.name === name).map((m) => m.propertyName));
  const bounded = withRule('arrayMaxSize');
  const ownLimit = new Set([...withRule('isReadings'), ...withRule('areLiftable')]);
  for (const list of withRule('isArray')) expect([list, bounded.has(list) || ownLimit.has(list)]).toEqual([list, true]);
  const parts = partsOf(contract);
  for (const { type, propertyName } of metadata) if (type === 'nestedValidation') expect(parts.has(propertyName)).toBe(true);
});

it('times are real times', () => {
  const at = (takenAt: string) =>
    contracts
      .inspect(contracts.CheckDto, { takenAt }, { now: new Date('2026-11-24T12:00:00Z') })
      .problems.some((p) => p.field === '/takenAt');
  expect(at('2026-02-28T08:00:00.000Z')).toBe(false);
  for (const wrong of ['2026-02-30T08:00:00.000Z', '2026-02-28T24:00:00.000Z', '2026-02-28T08:61:00.000Z']) expect(at(wrong)).toBe(true);
});
