import type { Browser } from '@playwright/test';

/** A figure drawn in side view with its arm raised, and where its landmarks are. */
export interface DrawnFigure {
  readonly png: Buffer;
  readonly width: number;
  readonly height: number;
  readonly landmarks: Readonly<Record<'hip' | 'shoulder' | 'elbow', { readonly x: number; readonly y: number }>>;
}

const [WIDTH, HEIGHT] = [900, 1200];
const SHOULDER = { x: 430, y: 430 };
const HIP = { x: 430, y: 760 };

/** Drawn, not photographed: no real person, and an angle that is known. */
export async function drawFigure(browser: Browser, flexion: number): Promise<DrawnFigure> {
  const turn = ((flexion - 90) * Math.PI) / 180;
  const along = (length: number, from: { x: number; y: number }) => ({
    x: from.x + length * Math.cos(turn),
    y: from.y - length * Math.sin(turn),
  });
  const elbow = along(190, SHOULDER);
  const wrist = along(170, elbow);
  const limb = (a: { x: number; y: number }, b: { x: number; y: number }, colour: string, width: number) =>
    `<line x1="${a.x}" y1="${a.y}" x2="${b.x}" y2="${b.y}" stroke="${colour}" stroke-width="${width}" stroke-linecap="round"/>`;
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}">
    <rect width="100%" height="100%" fill="#e9e4d8"/><rect y="1120" width="100%" height="80" fill="#c9b79c"/>
    <circle cx="440" cy="310" r="62" fill="#c78f6c"/>
    ${limb({ x: 435, y: 370 }, { x: 432, y: 420 }, '#c78f6c', 50)}${limb(SHOULDER, HIP, '#3d5a80', 120)}
    ${limb(HIP, { x: 440, y: 950 }, '#293241', 90)}${limb({ x: 440, y: 950 }, { x: 430, y: 1110 }, '#293241', 66)}
    ${limb(SHOULDER, elbow, '#c78f6c', 56)}${limb(elbow, wrist, '#c78f6c', 44)}</svg>`;
  const page = await browser.newPage({ viewport: { width: WIDTH, height: HEIGHT } });
  await page.setContent(`<body style="margin:0">${svg}</body>`);
  const png = await page.screenshot();
  await page.close();
  return { png, width: WIDTH, height: HEIGHT, landmarks: { hip: HIP, shoulder: SHOULDER, elbow } };
}

/** A PNG whose header says it is this large, with nothing behind it. */
export function pngHeader(width: number, height: number): Buffer {
  const bytes = Buffer.alloc(33);
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13]).copy(bytes);
  bytes.write('IHDR', 12, 'ascii');
  bytes.writeUInt32BE(width, 16);
  bytes.writeUInt32BE(height, 20);
  bytes.set([8, 2, 0, 0, 0], 24);
  return bytes;
}
