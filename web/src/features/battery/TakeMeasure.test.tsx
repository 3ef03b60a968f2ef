import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { TraineeReply } from '@myokinet/core/contracts';
import type { Demand } from '@myokinet/core/ladders';
import { instant } from '@myokinet/core/quantities';
import { newId } from '../../client/newId.ts';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useLayoutEffect, useState } from 'react';
import { Provider } from 'react-redux';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { createStore } from '../../app/store.ts';
import { blankCheck, type CheckDraft } from '@myokinet/core/checking';
import type { CheckDesk } from '../checks/index.ts';
import { TakeMeasure } from './TakeMeasure.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const trainee = {
  id: 't',
  name: 'Ada Spar',
  mass: 64,
  stature: 170,
  sex: 'female',
  birthYear: 1990,
  screening: { cautions: [] },
  lastingPains: [],
} as unknown as TraineeReply;
const now = instant('2026-11-24T12:00:00Z');
const next = vi.fn();
const back = vi.fn();
let latest: CheckDraft;

const ASKED = [{ measureId: 'plank-hold', side: 'whole', value: 30, unit: 's', direction: 'at least' }] as unknown as readonly Demand[];

/** The desk without a server: what the screen writes is what it shows. */
function Bench({ measureId, start }: { readonly measureId: string; readonly start?: Partial<CheckDraft> }) {
  const [value, setValue] = useState<CheckDraft>({ ...blankCheck(newId, instant(new Date())), ...start });
  useLayoutEffect(() => {
    latest = value;
  }, [value]);
  const desk = {
    value,
    setCell: (key: string, figure: object) =>
      setValue((v) => ({ ...v, cells: { ...v.cells, [key]: { trialId: 'x', text: '', ...figure } } })),
    setSkip: (id: string, reason: string | undefined) =>
      setValue((v) => ({ ...v, skips: (reason ? { [id]: reason } : {}) as CheckDraft['skips'] })),
  } as unknown as CheckDesk;
  const measure = measureOf(measureId);
  return (
    <TakeMeasure
      {...{ measure, trainee, desk, now, next, back }}
      ownError={undefined}
      changes={false}
      unit={measure.unit}
      demands={ASKED}
    />
  );
}

function show(measureId: string, start: Partial<CheckDraft> = {}) {
  render(
    <Provider store={createStore()}>
      <Bench measureId={measureId} start={start} />
    </Provider>,
  );
}

const press = (key: string, options: object = {}) => fireEvent.keyDown(document.activeElement ?? document.body, { key, ...options });
const type = (text: string) => fireEvent.change(screen.getByRole('textbox'), { target: { value: text } });
const texts = () => Object.fromEntries(Object.entries(latest.cells).map(([key, c]) => [key.replace(/^[^/]+\//, ''), c.text]));

beforeEach(() => {
  next.mockReset();
  back.mockReset();
});
afterEach(() => {
  vi.useRealTimers();
});

describe('a range, typed', () => {
  it('goes from trial to trial with Enter and asks about the one that does not fit', () => {
    show('shoulder-flexion');
    for (const figure of ['158', '160', '172']) {
      type(figure);
      press('Enter');
    }
    expect(texts()).toEqual({ 'left/0': '158', 'left/1': '160', 'left/2': '172' });
    expect(screen.getByLabelText('left, so far').textContent).toMatch(/^163° ± \d\.\d°$/);
    fireEvent.click(screen.getByRole('button', { name: /^Trial 3 is 13° off the others/ }));
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('172');
    type('161');
    expect(screen.queryByText(/off the others/)).toBeNull();
  });

  it('narrows its band with each trial', () => {
    show('shoulder-flexion');
    const band = () => Number(/± ([\d.]+)/.exec(screen.getByLabelText('left, so far').textContent)?.[1]);
    const bands = ['160', '161', '159'].map((figure) => {
      type(figure);
      press('Enter');
      return band();
    });
    expect(bands[0]).toBeGreaterThan(bands[1]!);
    expect(bands[1]).toBeGreaterThan(bands[2]!);
  });

  it('goes back with Shift+Enter or Page Up, and out at the first trial', () => {
    show('shoulder-flexion');
    type('158');
    press('PageDown');
    press('PageUp');
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('158');
    press('Enter', { shiftKey: true });
    expect(back).toHaveBeenCalledOnce();
  });

  it('stays where a figure cannot be', () => {
    show('shoulder-flexion');
    type('958');
    press('Enter');
    expect(screen.getByRole('alert').textContent).toMatch(/above the limit of 200°/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Next trial' }).disabled).toBe(true);
    expect(next).not.toHaveBeenCalled();
  });

  it('is tapped on the keypad, with a minus where one can be', () => {
    show('elbow-extension');
    for (const key of ['minus', '1', '2']) fireEvent.click(screen.getByRole('button', { name: key }));
    expect(texts()['left/0']).toBe('−12');
    fireEvent.click(screen.getByRole('button', { name: 'Erase' }));
    expect(texts()['left/0']).toBe('−1');
  });

  it('goes on at the first trial that is missing, and to the next check after the last', () => {
    const cells = Object.fromEntries(
      ['left/0', 'left/1', 'left/2', 'right/0', 'right/1'].map((k) => [`shoulder-flexion/${k}`, { trialId: k, text: '158' }]),
    );
    show('shoulder-flexion', { cells });
    expect(screen.getByText('Shoulder flexion, right, trial 3')).toBeDefined();
    type('157');
    expect(screen.getByRole('button', { name: 'Next check' })).toBeDefined();
    press('Enter');
    expect(next).toHaveBeenCalledOnce();
  });

  it('starts no hold that was skipped for pain: there is nothing to enter, and the next check comes', () => {
    show('plank-hold', { skips: { 'plank-hold': 'pain' } });
    expect(screen.queryByRole('textbox')).toBeNull();
    expect(screen.queryByRole('button', { name: 'Start' })).toBeNull();
    press('PageDown');
    expect(next).toHaveBeenCalledOnce();
    expect(texts()).toEqual({});
  });
});

describe('a figure typed as it is read', () => {
  it('in kilograms becomes the share in the hands, wherever the scale lies', () => {
    show('hand-load-push');
    fireEvent.change(screen.getByLabelText('Kilograms on the scale'), { target: { value: '32' } });
    expect(texts()['whole/0']).toBe('50');
    fireEvent.change(screen.getByLabelText('Kilograms on the scale'), { target: { value: '16,0' } });
    fireEvent.change(screen.getByLabelText('Where the scale lies'), { target: { value: 'under the feet' } });
    expect(texts()['whole/0']).toBe('75');
  });

  it('in centimetres becomes shoulder widths, once both are there', () => {
    show('strap-pass-through');
    fireEvent.change(screen.getByLabelText('Hands apart, centimetres'), { target: { value: '78' } });
    expect(texts()['whole/0']).toBeUndefined();
    fireEvent.change(screen.getByLabelText('Shoulder width, centimetres'), { target: { value: '39' } });
    expect(texts()['whole/0']).toBe('2');
  });
});

describe('a hold that a gate asks', () => {
  it('says before it starts from which second on it is enough', () => {
    show('plank-hold');
    expect(screen.getByText(/^The next gate asks 30 s: from \d\d s on it is enough/)).toBeDefined();
  });
});

describe('a grade', () => {
  it('is one key or one tap a side', () => {
    show('blade-winging');
    press('2');
    expect(texts()).toEqual({ 'left/0': '1' });
    fireEvent.click(screen.getByRole('button', { name: /flat$/ }));
    expect(texts()).toEqual({ 'left/0': '1', 'right/0': '0' });
    expect(next).toHaveBeenCalledOnce();
  });

  it('knows no other numbers', () => {
    show('blade-winging');
    press('9');
    expect(texts()).toEqual({});
  });
});

describe('a hold', () => {
  it('is started, stopped and left with one key each', () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] });
    show('plank-hold');
    press('PageDown');
    expect(screen.getByRole('button', { name: 'Stop' })).toBeDefined();
    act(() => void vi.advanceTimersByTime(32_400));
    expect(screen.getByRole<HTMLInputElement>('textbox').value).toMatch(/^32\.[34]$/);
    press('PageDown');
    expect(texts()['whole/0']).toBe('32');
    expect(latest.cells['plank-hold/whole/0']?.reading).toMatchObject({ instrument: 'Stopwatch of the page', simulated: false });
  });
});

describe('a rest', () => {
  it('is timed for the side that goes again, while the other one has its turn, and ends when it is enough', () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] });
    show('grip');
    const timer = () => screen.queryByRole('timer')?.textContent ?? '';
    const enter = (text: string) => {
      type(text);
      press('Enter');
    };
    enter('40');
    expect(timer()).toBe('');
    act(() => void vi.advanceTimersByTime(20_000));
    enter('38');
    // The left hand has rested for twenty of its sixty seconds.
    expect(timer()).toMatch(/^Rest, left: (39|40|41) s before/);
    act(() => void vi.advanceTimersByTime(50_000));
    expect(timer()).toBe('');
    enter('41');
    expect(timer()).toMatch(/^Rest, right: (9|10|11) s/);
    fireEvent.click(screen.getByRole('button', { name: 'Rested enough' }));
    expect(timer()).toBe('');
  });

  it('is none where nothing tires, and none for what was there before', () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] });
    show('shoulder-flexion');
    type('160');
    press('Enter');
    expect(screen.queryByRole('timer')).toBeNull();
  });
});

describe('skipping', () => {
  it('takes a reason and goes on; with pain it stays, for the report', () => {
    show('grip');
    fireEvent.click(screen.getByRole('button', { name: 'Skip' }));
    fireEvent.click(screen.getByRole('button', { name: 'pain' }));
    expect(latest.skips).toEqual({ grip: 'pain' });
    expect(next).not.toHaveBeenCalled();
    expect(screen.getByRole('button', { name: 'Report a symptom' })).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'out of time' }));
    expect(latest.skips).toEqual({ grip: 'out of time' });
    expect(next).toHaveBeenCalledOnce();
  });

  it('for want of the instrument leads to what stands in for it, and from there on', () => {
    show('grip');
    fireEvent.click(screen.getByRole('button', { name: 'Skip' }));
    fireEvent.click(screen.getByRole('button', { name: 'no equipment' }));
    expect([latest.skips, next.mock.calls.length]).toEqual([{}, 0]);
    expect(screen.getByRole('button', { name: /^Use / })).toHaveProperty('disabled', true);
    fireEvent.click(screen.getByRole('button', { name: 'Skip this check' }));
    expect(latest.skips).toEqual({ grip: 'no equipment' });
    expect(next).toHaveBeenCalledOnce();
  });

  it('for want of equipment goes on where nothing stands in', () => {
    show('shoulder-flexion');
    fireEvent.click(screen.getByRole('button', { name: 'Skip' }));
    fireEvent.click(screen.getByRole('button', { name: 'no equipment' }));
    expect(latest.skips).toEqual({ 'shoulder-flexion': 'no equipment' });
  });

  it('is taken back by the same tap', () => {
    show('grip', { skips: { grip: 'out of time' } });
    fireEvent.click(screen.getByRole('button', { name: 'out of time' }));
    expect(latest.skips).toEqual({});
  });
});
