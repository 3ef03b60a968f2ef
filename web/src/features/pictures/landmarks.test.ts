import { templateFor } from '@myokinet/core/landmarks';
import { describe, expect, it } from 'vitest';
import { confirmed, laid, moved, newLevel, suggested, waiting } from './landmarks.ts';

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
      { id: 'wrist', x: 10, y: 20 },
      { id: 'shoulder', x: 30, y: 40 },
    ]);
    expect(both.points.map((p) => p.placedBy)).toEqual(['suggested', 'suggested']);
    const dragged = moved(both, 'wrist', 12, 22);
    expect(dragged.points.map((p) => p.placedBy)).toEqual(['coach', 'suggested']);
    expect(confirmed(dragged).points.map((p) => p.placedBy)).toEqual(['coach', 'confirmed']);
    // A second suggestion does not move what the coach has placed.
    expect(suggested(dragged, [{ id: 'wrist', x: 99, y: 99 }]).points[0]).toMatchObject({ x: 12, y: 22 });
  });

  it('have a level line that counts only once it was laid', () => {
    const level = newLevel('plumb', 1000, 800);
    const marks = { ...fresh(), level };
    expect(level.a.x).toBe(level.b.x);
    expect(laid(marks)).toBeUndefined();
    expect(laid(moved(marks, 'b', 130, 100))).toMatchObject({ kind: 'plumb', b: { x: 130, y: 100 } });
    expect(laid(fresh())).toBeUndefined();
  });
});
