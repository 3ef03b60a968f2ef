import { PICTURE_DEFAULTS, facingOf, isSuggested, type PictureTemplate, suggestPoints } from '@myokinet/core/landmarks';
import type { BodySide } from '@myokinet/core/anatomy';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { confirmed, type Marks, moved, nextToPlace, suggested, waiting } from './landmarks.ts';
import type { OpenPicture } from './openPicture.ts';
import { suggestedKeypoints } from './pose.ts';
import type { View } from './frame.ts';
import { framed } from './usePlacing.ts';

/** Suggested points are looked at this much larger. */
const LOOK_CLOSER = 2.5;

export type Facing = 'left' | 'right' | undefined;

interface Steps {
  readonly marks: Marks;
  readonly past: readonly Marks[];
}

/** The landmarks of one picture: placed in turn, suggested where a model can, taken back step by step. */
export function useMarks(picture: OpenPicture, template: PictureTemplate, side: BodySide) {
  const { width, height } = picture;
  const [{ marks, past }, setSteps] = useState<Steps>(() => ({ marks: waiting(template, width, height), past: [] }));
  const [view, look] = useState<View>({ zoom: 1, middle: { x: width / 2, y: height / 2 } });
  const [facing, setFacing] = useState<{ readonly way: Facing; readonly found: boolean }>({ way: undefined, found: false });
  const [model, setModel] = useState<
    'none' | 'busy' | { readonly seen: number; readonly of: number; readonly sure: number } | { readonly failed: string }
  >(isSuggested(template) ? 'busy' : 'none');

  // The model answers late: what was placed meanwhile stays where it was put.
  const latest = useRef(marks);
  useEffect(() => {
    latest.current = marks;
  }, [marks]);

  const go = (next: Marks) => {
    setSteps({ marks: next, past: [...past, marks] });
    closer(next);
  };
  const closer = (next: Marks) => {
    const waits = nextToPlace(next);
    if (waits?.placedBy === 'suggested') look((v) => framed({ zoom: Math.max(LOOK_CLOSER, v.zoom), middle: waits }, width, height));
  };
  /** How surely a finger places at this zoom: what it errs on the screen, in pixels of the picture. */
  const errorAt = (across: number) => Math.max(1, (PICTURE_DEFAULTS.picking * width) / view.zoom / Math.max(1, across));

  const suggest = useEffectEvent(async () => {
    try {
      const keypoints = await suggestedKeypoints(await createImageBitmap(picture.blob));
      const points = suggestPoints(template, keypoints, side);
      const next = suggested(
        latest.current,
        points.map(({ id, x, y, error }) => ({ id, error, x: Math.round(x), y: Math.round(y) })),
      );
      setSteps((s) => ({ ...s, marks: next }));
      closer(next);
      const way = facingOf(template, keypoints);
      if (way) setFacing((f) => (f.way ? f : { way, found: true }));
      setModel({ seen: points.length, of: template.landmarks.length, sure: Math.min(1, ...points.map((p) => p.score)) });
    } catch (error) {
      setModel({ failed: error instanceof Error ? error.message : 'The model could not look at this picture. Place the points by hand.' });
    }
  });
  useEffect(() => {
    if (isSuggested(template)) void suggest();
  }, [template]);

  return {
    marks,
    view,
    look,
    facing,
    face: (way: Facing) => setFacing({ way, found: false }),
    model,
    placing: nextToPlace(marks),
    errorAt,
    move: (id: string, x: number, y: number, error: number) => go(moved(marks, { id, x, y, error })),
    confirm: (id: string, error: number) => go(confirmed(marks, id, error)),
    setLevel: (level: Marks['level']) => go({ points: marks.points, ...(level ? { level } : {}) }),
    canUndo: past.length > 0,
    undo: () => {
      const before = past.at(-1);
      if (before) setSteps({ marks: before, past: past.slice(0, -1) });
    },
  };
}
