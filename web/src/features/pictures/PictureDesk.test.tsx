import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { TraineeReply } from '@myokinet/core/contracts';
import { type Keypoint, templateFor } from '@myokinet/core/landmarks';
import { fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createStore } from '../../app/store.ts';
import { PictureDesk } from './PictureDesk.tsx';

const { measure: measureOf } = BUILT_IN_LIBRARY;

const seen: { keypoints: readonly Keypoint[]; fails?: string } = { keypoints: [] };
vi.mock('./pose.ts', () => ({
  suggestedKeypoints: async () => {
    if (seen.fails) throw new Error(seen.fails);
    return seen.keypoints;
  },
}));
vi.stubGlobal('createImageBitmap', async () => ({}));

const trainee = { id: 't', sex: 'female' } as unknown as TraineeReply;
const picture = { url: 'blob:x', width: 900, height: 1200, blob: new Blob() };

function show(measureId: string) {
  const take = vi.fn();
  render(
    <Provider store={createStore()}>
      <PictureDesk
        {...{ picture, trainee, take }}
        template={templateFor(measureOf(measureId))!}
        measure={measureOf(measureId)}
        side="right"
        close={vi.fn()}
      />
    </Provider>,
  );
  fireEvent.click(screen.getByRole('checkbox', { name: /Keep the picture/ }));
  return take;
}

/** Puts a landmark somewhere by arrow keys alone. */
function put(name: RegExp, x: number, y: number) {
  const handle = screen.getByRole('slider', { name });
  const at = () =>
    /^(\d+) across, (\d+) down/
      .exec(handle.getAttribute('aria-valuetext') ?? '')
      ?.slice(1)
      .map(Number) ?? [0, 0];
  const go = (axis: 0 | 1, to: number, keys: readonly [string, string]) => {
    for (let left = to - at()[axis]!; left !== 0; left = to - at()[axis]!)
      fireEvent.keyDown(handle, { key: left > 0 ? keys[1] : keys[0], shiftKey: Math.abs(left) >= 10 });
  };
  go(0, x, ['ArrowLeft', 'ArrowRight']);
  go(1, y, ['ArrowUp', 'ArrowDown']);
}

/** Which way the trainee faces on the picture is asked. */
const faces = (way: 'left' | 'right') => fireEvent.click(screen.getByRole('button', { name: way }));

const angle = () => screen.getByRole('status', { name: 'Angle' }).textContent;

beforeEach(() => {
  seen.keypoints = [];
  delete seen.fails;
});

describe('landmarks by keyboard', () => {
  it('give the angle once all are placed, and its error goes with the trial', () => {
    const take = show('shoulder-flexion');
    expect(angle()).toBe('–');
    put(/^Hip/, 430, 760);
    put(/^Shoulder/, 430, 430);
    expect(screen.getByText('1 of 3 landmarks still to be placed.')).toBeDefined();
    // 60° above the horizontal: 150° of flexion.
    put(/^Elbow/, 525, 265);
    expect(angle()).toBe('–');
    expect(screen.getByRole('alert').textContent).toMatch(/which way the trainee faces/);
    faces('left');
    expect(screen.getByText(/the other way round/)).toBeDefined();
    faces('right');
    expect(angle()).toMatch(/^150° ± \d/);
    fireEvent.click(screen.getByRole('button', { name: 'Use 150° as the trial' }));
    expect(take).toHaveBeenCalledOnce();
    const [value, reading] = take.mock.calls[0] as [
      number,
      { kind: string; standardError: number; points: readonly { placedBy: string }[] },
    ];
    expect(value).toBe(150);
    expect(reading.kind).toBe('picture');
    expect(reading.standardError).toBeGreaterThan(0.5);
    expect(reading.points.map((p) => p.placedBy)).toEqual(['coach', 'coach', 'coach']);
  });

  it('on one spot say so and cannot be used', () => {
    show('shoulder-flexion');
    for (const name of [/^Hip/, /^Shoulder/, /^Elbow/]) put(name, 400, 400);
    expect(screen.getByRole('alert').textContent).toMatch(/lie on the same spot/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use as the trial' }).disabled).toBe(true);
  });

  it('beyond straight up are confirmed by somebody who looked: seen the wrong way round, 150° reads as 210°', () => {
    show('shoulder-flexion');
    put(/^Hip/, 430, 760);
    put(/^Shoulder/, 430, 430);
    put(/^Elbow/, 397, 243);
    faces('right');
    expect(angle()).toMatch(/^190°/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use as the trial' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('checkbox', { name: /Beyond straight up, 190° and not 170°/ }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use 190° as the trial' }).disabled).toBe(false);
    faces('left');
    expect(angle()).toMatch(/^170°/);
  });

  it('zoomed in are placed more surely', () => {
    show('shoulder-flexion');
    put(/^Hip/, 430, 760);
    put(/^Shoulder/, 430, 430);
    put(/^Elbow/, 525, 265);
    faces('right');
    const error = () => Number(/± ([\d.]+)/.exec(angle() ?? '')?.[1]);
    const plain = error();
    fireEvent.click(screen.getByRole('button', { name: '2 ×' }));
    expect(error()).toBeLessThan(plain);
  });
});

describe('a check that hangs on the camera’s roll', () => {
  it('warns until a line is laid along something level, and not before its ends were moved', () => {
    show('arm-lean');
    put(/^Wrist/, 400, 900);
    put(/^Shoulder/, 473, 700);
    faces('right');
    expect(screen.getByText(/The camera may be tilted/)).toBeDefined();
    expect(angle()).toMatch(/^20°/);
    fireEvent.change(screen.getByLabelText('Something that hangs or lies level'), { target: { value: 'floor' } });
    expect(screen.getByText(/Drag the line’s ends along it/)).toBeDefined();
    put(/^Floor line, one end/, 135, 1100);
    expect(screen.queryByText(/The camera may be tilted/)).toBeNull();
    faces('left');
    expect(angle()).toMatch(/^-\d+°/);
  });
});

describe('suggested points', () => {
  it('are marked until the coach confirms them', async () => {
    seen.keypoints = [
      { name: 'right hip', x: 430, y: 760, score: 0.8 },
      { name: 'right shoulder', x: 430, y: 430, score: 0.8 },
      { name: 'right elbow', x: 525, y: 265, score: 0.8 },
    ];
    const take = show('shoulder-flexion');
    fireEvent.click(screen.getByRole('button', { name: 'Suggest points' }));
    await screen.findByText(/The model saw 3 of 3 points/);
    expect(screen.getByText(/nobody has confirmed open no gate/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Confirm them all' }));
    expect(screen.queryByText(/nobody has confirmed/)).toBeNull();
    faces('right');
    fireEvent.click(screen.getByRole('button', { name: 'Use 150° as the trial' }));
    const [, reading] = take.mock.calls[0] as [number, { points: readonly { placedBy: string }[] }];
    expect(reading.points.map((p) => p.placedBy)).toEqual(['confirmed', 'confirmed', 'confirmed']);
  });

  it('that do not come leave everything as it was', async () => {
    seen.fails = 'The pose model could not be loaded from the server.';
    show('shoulder-flexion');
    fireEvent.click(screen.getByRole('button', { name: 'Suggest points' }));
    await screen.findByText('The pose model could not be loaded from the server.');
    expect(screen.getByText('3 of 3 landmarks still to be placed.')).toBeDefined();
  });
});
