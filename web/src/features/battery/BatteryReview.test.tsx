import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { instant } from '@myokinet/core/quantities';
import { fireEvent, render, screen } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import type { CheckDraft } from '@myokinet/core/checking';
import { BatteryReview } from './BatteryReview.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = instant('2026-11-24T12:00:00Z');
const simulated = { kind: 'instrument', instrument: 'Simulated dynamometer', simulated: true } as const;

it('tells of every check what it gave, what is missing and why', () => {
  const go = vi.fn();
  const draft: Pick<CheckDraft, 'cells' | 'skips'> = {
    cells: {
      'grip/left/0': { trialId: 'a', text: '41', reading: simulated },
      'shoulder-flexion/left/0': { trialId: 'b', text: '958' },
      'blade-winging/left/0': { trialId: 'c', text: '0' },
      'blade-winging/right/0': { trialId: 'd', text: '1' },
    },
    skips: { 'wrist-extension': 'no equipment' },
  };
  const measures = ['grip', 'shoulder-flexion', 'blade-winging', 'wrist-extension', 'plank-hold'].map(measureOf);
  render(<BatteryReview measures={measures} draft={draft} ownErrors={{}} now={now} go={go} />);
  const lines = screen.getAllByRole('listitem').map((li) => li.textContent);
  expect(lines[0]).toMatch(/left 41 kg ± \d kg simulated.*trials missing/);
  expect(lines[1]).toMatch(/not taken.*above the limit of 200°/);
  expect(lines[2]).toMatch(/left flat.*right winging slight/);
  expect(lines[3]).toMatch(/skipped: no equipment/);
  expect(lines[4]).toMatch(/not taken/);
  fireEvent.click(screen.getByRole('button', { name: 'Go to Grip' }));
  expect(go).toHaveBeenCalledWith('grip');
});
