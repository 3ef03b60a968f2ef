import { describe, expect, it } from 'vitest';
import { readTraceCsv, writeTraceCsv } from './index.ts';

const read = (text: string) => {
  const { times, angles } = readTraceCsv(text);
  return [Array.from(times), Array.from(angles)];
};

describe('a trace file', () => {
  it.each([
    [
      'time,angle\n0,10\n0.01,11.5',
      [
        [0, 0.01],
        [10, 11.5],
      ],
    ],
    [
      '0;10,5\r\n0,02;11,5\r\n',
      [
        [0, 0.02],
        [10.5, 11.5],
      ],
    ],
    [
      'time (ms)\tangle\n0\t1\n20\t2',
      [
        [0, 0.02],
        [1, 2],
      ],
    ],
    [
      '\uFEFFt [s],a,comment\n0,1,x\n\n0.5,2,',
      [
        [0, 0.5],
        [1, 2],
      ],
    ],
  ])('%j', (text, expected) => expect(read(text)).toEqual(expected));

  it('keeps its place for cells that are no numbers', () => expect(read('0,1\n0.1,off\n0.2,3')[1]).toEqual([1, Number.NaN, 3]));

  it.each([
    ['', 'two columns'],
    ['1\n2\n3', 'two columns'],
    ['<html><body>,x\n<p>,y', 'no line with a time and an angle'],
  ])('%j is refused', (text, message) => expect(() => readTraceCsv(text)).toThrow(message));

  it('comes back as it went', () => {
    const samples = { times: [0, 0.01, 0.02], angles: [10, 11.25, Number.NaN] };
    expect(read(writeTraceCsv(samples))).toEqual([samples.times, samples.angles]);
  });
});
