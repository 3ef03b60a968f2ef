import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { TraineeReply } from '@myokinet/core/contracts';
import { type Keypoint, templateFor } from '@myokinet/core/landmarks';
import { fireEvent, render, screen } from '@testing-library/react';
import { Provider } from 'react-redux';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { createStore } from '../../app/store.ts';
import type { OpenPicture } from './openPicture.ts';
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
const picture: OpenPicture = { url: 'blob:x', width: 900, height: 1200, blob: new Blob(), source: 'ab'.repeat(32) };

function show(measureId: string, of = picture) {
  const take = vi.fn();
  render(
    <Provider store={createStore()}>
      <PictureDesk
        {...{ picture: of, trainee, take }}
        template={templateFor(measureOf(measureId))!}
        measure={measureOf(measureId)}
        side="right"
        label="Shoulder flexion, right, trial 1"
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
    expect(screen.getByText(/^1 of 3 landmarks still to be placed\./)).toBeDefined();
    // 60° above the horizontal: 150° of flexion.
    put(/^Elbow/, 525, 265);
    expect(angle()).toBe('–');
    expect(screen.getByRole('alert').textContent).toMatch(/which way the trainee faces/);
    faces('left');
    expect(screen.getByText(/the other way round/)).toBeDefined();
    faces('right');
    expect(angle()).toMatch(/^150° ± \d/);
    fireEvent.click(screen.getByRole('button', { name: 'Use 150°' }));
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
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use' }).disabled).toBe(true);
  });

  it('beyond straight up are confirmed by somebody who looked: seen the wrong way round, 150° reads as 210°', () => {
    show('shoulder-flexion');
    put(/^Hip/, 430, 760);
    put(/^Shoulder/, 430, 430);
    put(/^Elbow/, 397, 243);
    faces('right');
    expect(angle()).toMatch(/^190°/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('checkbox', { name: /Beyond straight up, 190° and not 170°/ }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use 190°' }).disabled).toBe(false);
    faces('left');
    expect(angle()).toMatch(/^170°/);
  });

  it('zoomed in are placed more surely, and zooming afterwards makes nothing surer', () => {
    show('shoulder-flexion');
    const error = () => Number(/± ([\d.]+)/.exec(angle() ?? '')?.[1]);
    const place = () => {
      put(/^Hip/, 430, 760);
      put(/^Shoulder/, 430, 430);
      put(/^Elbow/, 525, 265);
    };
    place();
    faces('right');
    const plain = error();
    fireEvent.click(screen.getByRole('button', { name: '4 ×' }));
    expect(error()).toBe(plain);
    // Moved away and back at the larger scale: now it is.
    put(/^Hip/, 431, 760);
    put(/^Shoulder/, 431, 430);
    put(/^Elbow/, 526, 265);
    expect(error()).toBeLessThan(plain / 2);
  });

  it('are taken back step by step', () => {
    show('shoulder-flexion');
    put(/^Hip/, 430, 720);
    expect(screen.getByRole('status', { name: 'Next landmark' }).textContent).toMatch(/Tap Shoulder.*\(2 of 3\)$/);
    const undo = screen.getByRole<HTMLButtonElement>('button', { name: 'Undo' });
    while (!undo.disabled) fireEvent.click(undo);
    expect(screen.getByRole('status', { name: 'Next landmark' }).textContent).toMatch(/Tap Hip.*\(1 of 3\)$/);
  });
});

describe('a picture of another day', () => {
  it('is no check of today unless somebody says that the camera’s clock is wrong', () => {
    show('shoulder-flexion', { ...picture, takenAt: new Date(Date.now() - 40 * 86_400_000) });
    put(/^Hip/, 430, 760);
    put(/^Shoulder/, 430, 430);
    put(/^Elbow/, 525, 265);
    faces('right');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('checkbox', { name: /^By its own data it was taken on/ }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Use 150°' }).disabled).toBe(false);
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
  const SEEN: readonly Keypoint[] = [
    { name: 'nose', x: 470, y: 380, score: 0.8 },
    { name: 'right ear', x: 430, y: 385, score: 0.8 },
    { name: 'right hip', x: 430, y: 760, score: 0.8 },
    { name: 'right shoulder', x: 430, y: 430, score: 0.8 },
    { name: 'right elbow', x: 525, y: 265, score: 0.8 },
  ];
  const used = (take: ReturnType<typeof vi.fn>) =>
    take.mock.calls[0]![1] as { standardError: number; points: readonly { placedBy: string }[] };

  it('come by themselves and only inform, with the model’s own error, until each is looked at', async () => {
    seen.keypoints = SEEN;
    const take = show('shoulder-flexion');
    await screen.findByText(/The model saw 3 of 3 points, at least 80% sure/);
    expect(screen.getByText(/nobody has confirmed open no gate/)).toBeDefined();
    expect(screen.getByText(/found from the nose/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Use 150°, for information' }));
    expect(used(take).points.map((p) => p.placedBy)).toEqual(['suggested', 'suggested', 'suggested']);
    const asSuggested = used(take).standardError;
    take.mockClear();
    for (const name of [/^Hip.*right where it is/, /^Shoulder.*right where it is/]) fireEvent.click(screen.getByRole('button', { name }));
    expect(screen.getByText(/nobody has confirmed/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: /^Elbow.*right where it is/ }));
    expect(screen.queryByText(/nobody has confirmed/)).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Use 150°' }));
    expect(used(take).points.map((p) => p.placedBy)).toEqual(['confirmed', 'confirmed', 'confirmed']);
    expect(used(take).standardError).toBeLessThan(asSuggested);
  });

  it('are not offered where the model sees nothing of use', async () => {
    seen.keypoints = SEEN;
    show('wrist-extension');
    await Promise.resolve();
    expect(screen.queryByText(/The model/)).toBeNull();
  });

  it('that do not come leave everything as it was', async () => {
    seen.fails = 'The pose model could not be loaded from the server.';
    show('shoulder-flexion');
    await screen.findByText('The pose model could not be loaded from the server.');
    expect(screen.getByText(/^3 of 3 landmarks still to be placed\./)).toBeDefined();
  });
});
