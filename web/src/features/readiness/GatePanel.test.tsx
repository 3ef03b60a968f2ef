import { actionsOf } from '@myokinet/core/accounts';
import type { MeHere } from '@myokinet/core/contracts';
import { BUILT_IN, BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import { openLibrary } from '@myokinet/core/library';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { amount, instant } from '@myokinet/core/quantities';
import { type Gate, headroom, judgeGate, type Headroom } from '@myokinet/core/readiness';
import { COMMON_PRACTICE } from '@myokinet/core/reference';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MemoryRouter } from 'react-router';
import { expect, it } from 'vitest';
import { createStore } from '../../app/store.ts';
import { MeContext } from '../../client/session.ts';
import { GatePanel } from './GatePanel.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const now = new Date('2026-11-24T12:00:00Z');
const rung = openLibrary(BUILT_IN).rung('push-up', 'wall');

/** The demo's coach, who types initials; with accounts the account's stand under what is signed. */
const DEMO: MeHere = {
  ...{ state: 'here', demo: true, accountId: 'a', name: 'Demo coach', initials: 'DC', signInName: 'demo', studio: null, studios: [] },
  ...{ may: actionsOf('owner'), copies: null, pageToken: '', signsUntil: null },
};

function show(gate: Gate, renewal = false, headrooms: readonly Headroom[] = [], me = DEMO) {
  render(
    <Provider store={createStore()}>
      <MeContext value={me}>
        <MemoryRouter>
          <GatePanel
            traineeId="t"
            ladderId="push-up"
            rung={rung}
            gate={gate}
            headrooms={headrooms}
            measureOf={measureOf}
            renewal={renewal}
            now={now}
          />
        </MemoryRouter>
      </MeContext>
    </Provider>,
  );
}

const practice = { drillIds: [], names: [], preparation: true };
const pinch = { intensity: 2, kind: 'pinch', place: 'wrist', side: 'left', moment: 'during', at: instant(now) } as const;
const closed = judgeGate({
  ...{ headrooms: [], sessions: [], symptoms: [], since: [], practice, now },
  openStopSigns: [pinch],
  locks: [{ code: 'never-screened' }],
});
const asked = {
  measureId: 'plank-hold',
  side: 'whole',
  value: amount(20, 's'),
  unit: 's',
  direction: 'at least',
  origin: COMMON_PRACTICE,
  allowOnTheMark: false,
} as const;
const shown = capacityFromTrials(measureOf('plank-hold'), [{ side: 'whole', value: 60 }], { takenAt: instant(now) });
const open = judgeGate({
  headrooms: [headroom(shown, asked, measureOf(asked.measureId), now)],
  sessions: [],
  symptoms: [],
  openStopSigns: [],
  locks: [],
  since: [],
  practice,
  now,
  settings: { cleanSessions: 0, hoursApart: 48, sessionWindowDays: 28, quietDays: 7, sideDifferencePercent: 10, freshPercent: 100 },
});

it('closed: counts and says what is unmet, and cannot be signed', () => {
  show(closed);
  expect(screen.getByText(/4 of 6 lines unmet/)).toBeDefined();
  expect(screen.getByText('Open stop sign: Pinch 2/10, left wrist, during: stop and step back.')).toBeDefined();
  expect(screen.getByText('The screening before training has not been answered yet.')).toBeDefined();
  expect(screen.queryByRole('button', { name: 'Sign clearance' })).toBeNull();
});

it('shows the met lines on request', () => {
  show(closed);
  expect(screen.queryByText(/Nothing felt beyond/)).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Show the 2 met lines' }));
  expect(screen.getByText(/Nothing felt beyond what is quiet/)).toBeDefined();
});

it('open: takes two to four letters as a signature, nothing else', () => {
  show(open, true);
  expect(screen.getByRole('heading', { name: 'Gate open' })).toBeDefined();
  expect(screen.getByText(/To sign again/)).toBeDefined();
  const sign = screen.getByRole<HTMLButtonElement>('button', { name: 'Sign clearance' });
  const typeInitials = (value: string) => fireEvent.change(screen.getByLabelText('Your initials'), { target: { value } });
  for (const [text, ready] of [
    ['A', false],
    ['A1', false],
    ['AS', true],
    ['', false],
  ] as const) {
    typeInitials(text);
    expect([text, !sign.disabled]).toEqual([text, ready]);
  }
});

it('may be signed against lines that guard nobody’s safety, with a reason, and never against those that do', () => {
  const settings = { cleanSessions: 2, hoursApart: 48, sessionWindowDays: 28, quietDays: 7, sideDifferencePercent: 10, freshPercent: 100 };
  const base = {
    headrooms: [headroom(shown, asked, measureOf(asked.measureId), now)],
    sessions: [],
    symptoms: [],
    openStopSigns: [],
    since: [],
    practice,
    now,
    settings,
  };
  show(judgeGate({ ...base, locks: [] }), false, base.headrooms);
  fireEvent.click(screen.getByRole('button', { name: 'Sign against this line…' }));
  const sign = screen.getByRole<HTMLButtonElement>('button', { name: 'Sign clearance' });
  fireEvent.change(screen.getByLabelText('Your initials'), { target: { value: 'AS' } });
  expect(sign.disabled).toBe(true);
  fireEvent.change(screen.getByLabelText(/Why do you sign/), { target: { value: 'Seen twice in my own class.' } });
  expect(sign.disabled).toBe(false);
  cleanup();
  show(judgeGate({ ...base, locks: [{ code: 'never-screened' }] }), false, base.headrooms);
  expect(screen.queryByRole('button', { name: /Sign/ })).toBeNull();
});

it('open: whoever has an account signs with its initials, and an assistant does not sign', () => {
  show(open, false, [], { ...DEMO, demo: false, initials: 'AF' });
  expect(screen.queryByLabelText('Your initials')).toBeNull();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Sign clearance as AF' }).disabled).toBe(false);
  cleanup();
  show(open, false, [], { ...DEMO, demo: false, may: actionsOf('assistant') });
  expect(screen.queryByRole('button', { name: /^Sign clearance/ })).toBeNull();
  expect(screen.getByText('A coach or an owner of the studio signs.')).toBeTruthy();
});
