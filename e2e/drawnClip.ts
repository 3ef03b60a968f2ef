import { createRequire } from 'node:module';
import type { Browser } from '@playwright/test';
import type * as Muxers from 'webm-muxer';

declare const WebMMuxer: typeof Muxers;

const STUDIO = 'http://localhost/drawn';
const FPS = 30;

/** A movement of a drawn person, seen from the side in the plane of the picture. */
export const DRAWN_MOVEMENTS = ['arm raise', 'push-up', 'pull-up', 'hip sag'] as const;
export type DrawnMovement = (typeof DRAWN_MOVEMENTS)[number];

export interface DrawnClip {
  readonly movement: DrawnMovement;
  readonly repetitions: number;
  /** Seconds of one repetition, and of stillness before and after all of them. */
  readonly period: number;
  readonly still: number;
  /** Nobody in it, or two more people beside. */
  readonly people?: 0 | 3;
}

/** Where a drawn movement is at its ends: degrees of its joint, or hundredths of the body for the hips. */
export const DRAWN_RANGE: Readonly<Record<DrawnMovement, readonly [number, number]>> = {
  'arm raise': [20, 140],
  'push-up': [170, 95],
  'pull-up': [170, 70],
  'hip sag': [0, 9],
};

/**
 * A clip of a drawn person, frame by frame: no real person, and a movement that is known, however busy the machine is.
 *
 * @returns a WebM file
 */
export async function drawClip(browser: Browser, clip: DrawnClip): Promise<Buffer> {
  const page = await browser.newPage();
  // Encoders are given to pages of a secure origin only.
  await page.route(STUDIO, (route) => route.fulfill({ contentType: 'text/html', body: '<body></body>' }));
  await page.goto(STUDIO);
  await page.addScriptTag({ path: createRequire(import.meta.url).resolve('webm-muxer') });
  const bytes = await page.evaluate(
    async ({ movement, repetitions, period, still, people = 1, ends, fps }) => {
      const [width, height] = movement === 'push-up' || movement === 'hip sag' ? [640, 400] : [480, 640];
      const canvas = Object.assign(document.createElement('canvas'), { width, height });
      const c = canvas.getContext('2d');
      if (!c) throw new Error('nothing to draw on');
      type P = { x: number; y: number };
      const at = (from: P, degrees: number, length: number): P => ({
        x: from.x + length * Math.cos((degrees * Math.PI) / 180),
        y: from.y - length * Math.sin((degrees * Math.PI) / 180),
      });
      const limb = (a: P, b: P, colour: string, thick: number) => {
        c.strokeStyle = colour;
        c.lineWidth = thick;
        c.lineCap = 'round';
        c.beginPath();
        c.moveTo(a.x, a.y);
        c.lineTo(b.x, b.y);
        c.stroke();
      };
      const head = (p: P, r: number, ahead: number) => {
        c.fillStyle = '#c78f6c';
        c.beginPath();
        c.arc(p.x, p.y, r, 0, 7);
        c.fill();
        // A nose, an eye and an ear tell which way it looks.
        limb(at(p, ahead, r * 0.9), at(p, ahead, r * 1.15), '#b67e5b', r * 0.3);
        c.fillStyle = '#33261d';
        const eye = at(p, ahead + 25, r * 0.6);
        c.fillRect(eye.x - 2, eye.y - 2, 4, 4);
        limb(at(p, ahead + 180, r * 0.1), at(p, ahead + 180, r * 0.25), '#a86f4d', r * 0.3);
        c.fillStyle = '#4a3526';
        c.beginPath();
        c.arc(p.x, p.y, r, ((-ahead - 100) * Math.PI) / 180 - 1.9, ((-ahead - 100) * Math.PI) / 180 + 0.9);
        c.fill();
      };
      const SKIN = '#c78f6c';
      const draw = (share: number, dx: number) => {
        const value = ends[0] + (ends[1] - ends[0]) * share;
        c.save();
        c.translate(dx, 0);
        if (movement === 'arm raise') {
          const [shoulder, hip] = [
            { x: 230, y: 200 },
            { x: 230, y: 365 },
          ];
          const elbow = at(shoulder, value - 90, 92);
          head({ x: 236, y: 138 }, 31, 0);
          limb({ x: 234, y: 168 }, { x: 231, y: 195 }, SKIN, 26);
          limb(shoulder, hip, '#3d5a80', 62);
          limb(hip, { x: 234, y: 470 }, '#293241', 46);
          limb({ x: 234, y: 470 }, { x: 229, y: 575 }, '#293241', 34);
          limb({ x: 229, y: 580 }, { x: 255, y: 584 }, '#111', 18);
          limb(shoulder, elbow, '#35507a', 30);
          limb(elbow, at(elbow, value - 90, 85), SKIN, 22);
        } else if (movement === 'pull-up') {
          // Hands on a bar: upper arm and forearm of 100 make the elbow's angle, the body hangs below.
          const hand = { x: 240, y: 70 };
          const reach = 2 * 100 * Math.sin((value * Math.PI) / 360);
          const shoulder = { x: 240, y: hand.y + reach };
          const out = 100 * Math.cos((value * Math.PI) / 360);
          const elbow = { x: 240 + out, y: hand.y + reach / 2 };
          const hip = { x: 240, y: shoulder.y + 150 };
          limb({ x: 100, y: 64 }, { x: 380, y: 64 }, '#555', 8);
          head({ x: 232, y: shoulder.y - 52 }, 28, 0);
          limb(shoulder, hip, '#3d5a80', 56);
          limb(hip, { x: 236, y: hip.y + 95 }, '#293241', 42);
          limb({ x: 236, y: hip.y + 95 }, { x: 226, y: hip.y + 180 }, '#293241', 30);
          limb(shoulder, elbow, '#35507a', 28);
          limb(elbow, hand, SKIN, 21);
        } else {
          // Head to the left, feet to the right.
          const [hand, foot] = [
            { x: 190, y: 330 },
            { x: 545, y: 330 },
          ];
          const bent = movement === 'push-up' ? value : 175;
          const reach = 2 * 75 * Math.sin((bent * Math.PI) / 360);
          const shoulder = { x: hand.x + 5, y: hand.y - reach };
          const elbow = { x: hand.x + 75 * Math.cos((bent * Math.PI) / 360), y: hand.y - reach / 2 };
          const line = { x: shoulder.x + (foot.x - shoulder.x) * 0.42, y: shoulder.y + (foot.y - shoulder.y) * 0.42 };
          const hip = { x: line.x, y: line.y + (movement === 'hip sag' ? (value * 400) / 100 : 0) };
          const knee = { x: (hip.x + foot.x) / 2, y: (hip.y + foot.y) / 2 };
          head({ x: shoulder.x - 52, y: shoulder.y - 12 }, 24, 215);
          limb({ x: shoulder.x - 28, y: shoulder.y - 4 }, shoulder, SKIN, 20);
          limb(shoulder, hip, '#3d5a80', 44);
          limb(hip, knee, '#293241', 34);
          limb(knee, foot, '#293241', 26);
          limb(foot, { x: foot.x - 4, y: foot.y + 18 }, '#111', 14);
          limb(shoulder, elbow, '#35507a', 24);
          limb(elbow, hand, SKIN, 18);
        }
        c.restore();
      };
      const seconds = 2 * still + repetitions * period;
      const frame = (t: number) => {
        c.fillStyle = '#e9e4d8';
        c.fillRect(0, 0, width, height);
        c.fillStyle = '#c9b79c';
        c.fillRect(0, height - 45, width, 45);
        const phase = t - still;
        const share = phase < 0 || phase > repetitions * period ? 0 : (1 - Math.cos((2 * Math.PI * phase) / period)) / 2;
        if (people > 0) draw(share, 0);
        if (people === 3) {
          c.save();
          c.scale(0.75, 0.75);
          draw(1 - share, 330);
          draw(0.3, -120);
          c.restore();
        }
      };
      const muxer = new WebMMuxer.Muxer({
        target: new WebMMuxer.ArrayBufferTarget(),
        video: { codec: 'V_VP8', width, height, frameRate: fps },
      });
      const encoder = new VideoEncoder({
        output: (chunk, meta) => muxer.addVideoChunk(chunk, meta),
        error: (error) => {
          throw error;
        },
      });
      encoder.configure({ codec: 'vp8', width, height, bitrate: 4_000_000, framerate: fps });
      for (let i = 0; i < seconds * fps; i++) {
        frame(i / fps);
        const picture = new VideoFrame(canvas, { timestamp: (i * 1e6) / fps, duration: 1e6 / fps });
        encoder.encode(picture, { keyFrame: i % fps === 0 });
        picture.close();
      }
      await encoder.flush();
      muxer.finalize();
      let text = '';
      for (const byte of new Uint8Array(muxer.target.buffer)) text += String.fromCharCode(byte);
      return btoa(text);
    },
    { ...clip, ends: DRAWN_RANGE[clip.movement], fps: FPS },
  );
  await page.close();
  return Buffer.from(bytes, 'base64');
}
