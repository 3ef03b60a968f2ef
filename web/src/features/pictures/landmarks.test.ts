import { templateFor } from '@myokinet/core/landmarks';
import { describe, expect, it } from 'vitest';
import { confirmed, laid, moved, newLevel, nextToPlace, suggested, waiting } from './landmarks.ts';

const template = templateFor({ picture: 'arm-lean' })!;
const fresh = () => waiting(template, 1000, 800);

describe('landmarks on a picture', () => {
  it('wait inside the picture until somebody puts them somewhere', () => {
    const { points } = fresh();
    expect(points.map((p) => p.id)).toEqual(['wrist', 'shoulder']);
    for (const p of points) {
      expect(p.placedBy).toBeUndefined();
      expect(p.x > 0 && p.x < 1000 && p.y > 0 && p.y < 800).toBe(true);
    }
  });

  it('remember who placed them: a dragged one is the coach’s, whatever was suggested', () => {
    const both = suggested(fresh(), [
      { id: 'wrist', x: 10, y: 20, error: 25 },
      { id: 'shoulder', x: 30, y: 40, error: 25 },
    ]);
    expect(nextToPlace(both)?.id).toBe('wrist');
    expect(both.points.map((p) => p.placedBy)).toEqual(['suggested', 'suggested']);
    const dragged = moved(both, { id: 'wrist', x: 12, y: 22, error: 4 });
    expect(dragged.points.map((p) => p.placedBy)).toEqual(['coach', 'suggested']);
    expect(nextToPlace(dragged)?.id).toBe('shoulder');
    // One by one: the point keeps the error of how it was looked at, the other that of the model.
    expect(confirmed(dragged, 'wrist', 3)).toEqual(dragged);
    expect(dragged.points[1]).toMatchObject({ placedBy: 'suggested', error: 25 });
    expect(confirmed(dragged, 'shoulder', 3).points[1]).toMatchObject({ placedBy: 'confirmed', error: 3 });
    expect(nextToPlace(confirmed(dragged, 'shoulder', 3))).toBeUndefined();
    // A second suggestion does not move what the coach has placed.
    expect(suggested(dragged, [{ id: 'wrist', x: 99, y: 99, error: 25 }]).points[0]).toMatchObject({ x: 12, y: 22 });
  });

  it('have a level line that counts only once it was laid', () => {
    const level = newLevel('plumb', 1000, 800);
    const marks = { ...fresh(), level };
    expect(level.a.x).toBe(level.b.x);
    expect(laid(marks)).toBeUndefined();
    expect(laid(moved(marks, { id: 'b', x: 130, y: 100, error: 2 }))).toMatchObject({ kind: 'plumb', b: { x: 130, y: 100 } });
    expect(laid(fresh())).toBeUndefined();
  });
});
