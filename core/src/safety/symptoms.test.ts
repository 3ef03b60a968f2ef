import { describe, expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import { atSamePlace, isStopSign, type Symptom, type SymptomKind } from './index.ts';

const felt = (intensity: number, kind: SymptomKind): Symptom => ({
  intensity,
  kind,
  place: 'shoulder',
  side: 'left',
  moment: 'during',
  at: instant('2026-11-20T10:00:00Z'),
});

describe('stop signs', () => {
  it.each<[number, SymptomKind]>([
    [1, 'sharp'],
    [2, 'pinch'],
    [1, 'numbness or tingling'],
    [3, 'locked up'],
    [5, 'ache'],
    [5, 'stretch'],
    [10, 'none'],
  ])('%d/10 %s stops', (intensity, kind) => expect(isStopSign(felt(intensity, kind))).toBe(true));

  it.each<[number, SymptomKind]>([
    [0, 'none'],
    [0, 'sharp'],
    [4, 'ache'],
    [4, 'stretch'],
  ])('%d/10 %s does not', (intensity, kind) => expect(isStopSign(felt(intensity, kind))).toBe(false));
});

it('a place is a place on a side', () => {
  const left = { place: 'wrist', side: 'left' } as const;
  expect(atSamePlace(left, left)).toBe(true);
  expect(atSamePlace(left, { place: 'wrist', side: 'right' })).toBe(false);
  expect(atSamePlace(left, { place: 'elbow', side: 'left' })).toBe(false);
  expect(atSamePlace(left, { place: 'elbow', side: 'right' })).toBe(false);
});
