import { BUILT_IN } from '@myokinet/core/catalogue';
import type { PlanReply, TraineeReply } from '@myokinet/core/contracts';
import { openLibrary } from '@myokinet/core/library';
import { capacityFromTrials } from '@myokinet/core/measuring';
import { defaultBrief } from '@myokinet/core/planning';
import { instant } from '@myokinet/core/quantities';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { traineeBody } from '@myokinet/core/statics';
import { createRequire } from 'node:module';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { describe, expect, it } from 'vitest';
import { handOutSheets, heldBack } from './handOut.ts';
import type { PaperDocument, PaperLook } from './paperDocument.ts';
import { makePdf } from './pdf/makePdf.tsx';
import { lettersMissing } from './printable.ts';
import { type Reader, reportSheets } from './report.ts';

const face = (set: string, weight: number) =>
  createRequire(import.meta.url).resolve(
    `@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${set}-${weight}-normal.woff`,
  );
const FONTS = { plain: [face('latin', 400), face('latin-ext', 400)], bold: [face('latin', 700), face('latin-ext', 700)] };
const now = new Date('2026-11-24T12:00:00Z');
const library = openLibrary(BUILT_IN);
const body = { sex: 'female', stature: 170, mass: 64, armLength: null, legLength: null } as const;
const trainee = {
  ...{ id: 'one', name: 'Łucja Dvořáková', birthYear: 1990, birthDate: null, ladderId: 'hand-support' },
  ...body,
  screening: { state: 'fresh', cautions: [], lifted: [], locks: [] },
} as unknown as TraineeReply;
const readiness = {
  ladderId: 'hand-support',
  standing: { here: -1, next: 0, rungs: [] },
  planner: { knownDrills: [], lastLoaded: {}, shown: { sets: {} } },
  stopSigns: [],
  headrooms: [],
} as never;
const item = (drillId: string, own: object = {}) => {
  const { sets, min, max, restSeconds } = library.drill(drillId).dose;
  return { id: drillId, drillId, sets, min, max, restSeconds, why: '', ...own };
};
const session = (id: string, day: string, ...items: readonly object[]) =>
  ({ id, day, place: 'home', items }) as unknown as PlanReply['sessions'][number];
const facts = {
  ...{ trainee, readiness, library, now },
  body: traineeBody(body),
  brief: defaultBrief({ trainingDays: ['Tuesday'], sessionMinutes: 30, equipment: ['wall'] }),
  schools: DEFAULT_SCHOOLS,
};
const told = { figures: true, steps: true };
const WEEK = [
  session('a', '2026-11-24', item('wrist-circles'), item('halo', { manner: { kg: 2 } }), item('inverted-v')),
  session('b', '2026-11-26', item('wall-slides')),
];
const document = (sheets: PaperDocument['sheets'], own: Partial<PaperDocument> = {}): PaperDocument => ({
  ...{ title: '23 Nov to 29 Nov 2026', trainee: trainee.name, coach: 'B. Coach', studio: 'Riverside', made: 'Tue 24 Nov 2026', sheets },
  ...own,
});

/** The file as a reader of PDF reads it. */
async function read(made: PaperDocument, look: Partial<PaperLook> = {}) {
  const blob = await makePdf(made, { size: 'a4', large: false, ...look }, { stature: 1.7 }, FONTS);
  const bytes = new Uint8Array(await blob.arrayBuffer());
  const raw = Buffer.from(bytes).toString('latin1');
  const pdf = await getDocument({ data: bytes, useSystemFonts: false, verbosity: 0 }).promise;
  const pages = await Promise.all(Array.from({ length: pdf.numPages }, (_, i) => pdf.getPage(i + 1)));
  const texts = await Promise.all(
    pages.map(async (page) =>
      (await page.getTextContent()).items
        .map((i) => ('str' in i ? i.str + (i.hasEOL ? ' ' : '') : ''))
        .join('')
        .replace(/\s+/g, ' '),
    ),
  );
  return {
    raw,
    texts,
    sizes: pages.map((page) => page.view.slice(2).map(Math.round)),
    info: (await pdf.getMetadata()).info as Record<string, unknown>,
  };
}

describe('a hand-out', () => {
  const made = document(handOutSheets(WEEK, facts, told));

  it('is read back from the file: names, doses with units and sides, steps, what is not for practice alone', async () => {
    const { texts, sizes, info, raw } = await read(made);
    expect(sizes.every(([w, h]) => w === 595 && h === 842)).toBe(true);
    const [first = '', ...rest] = texts;
    const last = rest.at(-1) ?? '';
    expect(first).toContain('Tuesday 24 November 2026');
    expect(first).toContain('Wrist circles, forearm still');
    expect(first).toMatch(/\d × \d+(–\d+)? reps a side, 2 kg|2 kg/);
    for (const { text } of library.drill('wrist-circles').teaching?.steps ?? []) expect(first).toContain(text);
    expect(first).toMatch(/Not for practice on your own.*somebody stands by/);
    // A session begins on a page of its own.
    expect(last).toContain('Thursday 26 November 2026');
    expect(last).not.toContain('Wrist circles');
    for (const text of texts) {
      for (const part of ['Łucja Dvořáková', 'B. Coach', 'Riverside', 'Tue 24 Nov 2026', 'not medical advice'])
        expect(text).toContain(part);
    }
    expect(first).toContain(`1 of ${texts.length}`);
    expect(info['Title']).toContain('Łucja Dvořáková');
    // Every face is inside the file, and no face of the reader’s own is asked for.
    expect(raw.match(/\/FontFile2/g)?.length).toBe(raw.match(/\/FontDescriptor \d/g)?.length);
    expect(raw).not.toContain('/Helvetica');
  });

  it('has a box for each set, and for each side of one', () => {
    const drills = made.sheets.flatMap((s) => s.blocks).flatMap((b) => (b.is === 'drill' ? [b] : []));
    const bilateral = drills.find((d) => d.name === library.drill('wall-slides').name);
    expect(bilateral?.boxes).toEqual([{ label: 'Sets', count: 1 }]);
    const sided = library.drills.find(
      (d) => d.dose.perSide && !d.dose.course && !d.equipment.length && d.position === 'standing' && !d.handLoad,
    );
    if (!sided) throw new Error('no drill with sides');
    const [sheet] = handOutSheets([session('c', '2026-11-27', item(sided.id))], facts, told);
    // New to the trainee, so half of its dose: the boxes count what is to be done.
    expect(sheet?.blocks[0]).toMatchObject({
      boxes: [
        { label: 'Left', count: sided.dose.sets },
        { label: 'Right', count: sided.dose.sets },
      ],
    });
  });

  it('comes on Letter and in large type, of which it takes more pages', async () => {
    const [plain, large] = await Promise.all([read(made), read(made, { size: 'letter', large: true })]);
    expect(large.sizes.every(([w, h]) => w === 612 && h === 792)).toBe(true);
    expect(large.texts.length).toBeGreaterThan(plain.texts.length);
    expect(large.texts.join(' ')).toContain('Wrist circles, forearm still');
  });

  it('says so where the file’s typeface has no letters', () => {
    expect(lettersMissing(made)).toEqual([]);
    expect(lettersMissing(document([], { trainee: 'Нина ≥ 5' }))).toEqual(['Н', 'и', 'н', 'а']);
  });

  it('is held back behind a stop sign and a lock, and says which', () => {
    expect(heldBack(facts)).toEqual([]);
    const stopped = {
      ...(readiness as object),
      stopSigns: [{ symptomId: 'x', reason: 'Sharp pain in the left wrist.', at: instant(now) }],
    } as never;
    expect(heldBack({ ...facts, readiness: stopped })).toEqual(['Sharp pain in the left wrist.']);
    const locked = { ...trainee, screening: { ...trainee.screening, locks: [{ code: 'never-screened' }] } } as TraineeReply;
    expect(heldBack({ ...facts, trainee: locked })[0]).toMatch(/screening/);
  });
});

describe('a readiness report', () => {
  const measure = library.measure('shoulder-flexion');
  const capacity = (side: 'left' | 'right', value: number) =>
    capacityFromTrials(
      measure,
      [value, value, value].map((v) => ({ side, value: v })),
      { takenAt: instant('2026-11-20T10:00:00Z') },
    );
  const capacities = [capacity('left', 160), capacity('right', 171)];
  const symptom = {
    id: 's',
    at: instant('2026-11-10T10:00:00Z'),
    kind: 'ache',
    place: 'wrist',
    side: 'left',
    intensity: 4,
    moment: 'during',
    note: '',
    judged: {},
  };
  const held = {
    ...trainee,
    screening: { ...trainee.screening, cautions: [{ id: 'seizures', because: [] }] },
  } as unknown as TraineeReply;
  const sheetsFor = (reader: Reader, checks = [{ capacities }]) =>
    reportSheets(
      {
        trainee: held,
        readiness: { ...(readiness as object), headrooms: [] } as never,
        checks,
        record: { clearances: [], sessions: [], symptoms: [symptom] } as never,
        forecast: { kind: 'range', early: 5, median: 20, late: 40, openShare: 1, deciding: [], horizonDays: 182 },
        ...{ library, now },
      },
      reader,
    );

  it('gives every newest figure with its band, side by side, and what is signed', async () => {
    const { texts } = await read(document(sheetsFor('clinician'), { title: 'Report' }));
    const text = texts.join(' ');
    expect(text).toMatch(/Shoulder flexion 160° ± \d+° 171° ± \d+°/);
    expect(text).toContain('Nothing is signed.');
    expect(text).toContain('Seizures');
    expect(text).toMatch(/left wrist/i);
    expect(text).not.toMatch(/\bready\b|\bfit for\b/i);
  });

  it('tells a club what must not be done and neither why nor what was felt', () => {
    const text = JSON.stringify(sheetsFor('club'));
    expect(text).toContain('Nothing head down');
    expect(text).not.toContain('Seizures');
    expect(text).not.toMatch(/left wrist/i);
  });

  it('says when the next gate may open as a range and no promise, and to a club nothing of it', () => {
    const text = JSON.stringify(sheetsFor('trainee'));
    expect(text).toMatch(/Likely between .* and .*, as often before/);
    expect(text).toContain('Not a promise');
    expect(JSON.stringify(sheetsFor('club'))).not.toContain('Likely');
  });

  it('leaves out a check that was taken back, and says where nothing was checked', () => {
    const text = JSON.stringify(sheetsFor('trainee', [{ capacities, takenBack: 'wrong person' } as never]));
    expect(text).not.toContain('160°');
    expect(text).toContain('Nothing was checked');
  });
});
