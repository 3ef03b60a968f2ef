import { expect, it } from 'vitest';
import { findingsFrom } from './index.ts';

it('keeps the causes of cautions that were signed as sentences, word for word', () => {
  const caution = { id: 'minor', because: ['born 2009', { code: 'born', on: '2009' }] };
  const kept = [
    { rule: 'rung-open', met: false, caution },
    { rule: 'screening', met: false, locks: [{ code: 'caution', caution }, { code: 'never-screened' }] },
    { rule: 'stop-signs', met: true, open: [] },
  ];
  const coded = { ...caution, because: [{ code: 'as written', text: 'born 2009' }, caution.because[1]] };
  expect(findingsFrom(JSON.stringify(kept))).toEqual([
    { rule: 'rung-open', met: false, caution: coded },
    { rule: 'screening', met: false, locks: [{ code: 'caution', caution: coded }, { code: 'never-screened' }] },
    kept[2],
  ]);
});

it('leaves out what no rule of today returns', () => {
  expect(findingsFrom('[null, {"rule":"weather"}, 3, {"rule":"demand-asked","met":false}]')).toEqual([
    { rule: 'demand-asked', met: false },
  ]);
  expect(findingsFrom('{}')).toEqual([]);
});
