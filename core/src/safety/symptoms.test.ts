import { describe, expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import { stopSign, type Symptom, type SymptomKind, symptomInWords } from './index.ts';

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
  ])('%d/10 %s stops', (intensity, kind) => expect(stopSign(felt(intensity, kind))).toMatch(/stop and step back\.$/));

  it.each<[number, SymptomKind]>([
    [0, 'none'],
    [0, 'sharp'],
    [4, 'ache'],
    [4, 'stretch'],
  ])('%d/10 %s does not', (intensity, kind) => expect(stopSign(felt(intensity, kind))).toBeUndefined());

  it('says kind, strength, side, place and moment', () => {
    expect(stopSign(felt(2, 'sharp'))).toBe('Sharp 2/10, left shoulder, during: stop and step back.');
    expect(symptomInWords({ ...felt(3, 'none'), side: 'whole' })).toBe('discomfort 3/10, shoulder, during');
    expect(symptomInWords(felt(0, 'none'))).toBe('nothing felt, during');
  });
});
