import seedrandom from 'seedrandom';
import { describe, expect, inject, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import type { Capacity, Provisional, SkipReason } from '../measuring/index.ts';
import { calendarDay, instant, type Instant } from '../quantities/index.ts';
import { judgeSymptom, type Symptom, type SymptomKind } from '../safety/index.ts';
import { bodyModel } from '../statics/index.ts';
import { checkKey, judgeReadiness, practisedIn, sessionCleanness, type SessionFact } from './index.ts';

/*
 * A second, slow statement of the rules of a gate, written as “may open if and only if…” over plain facts, held against the program
 * on random histories of checks, skips, sessions, symptoms, mornings, closures, withdrawals, screenings and clocks. It shares no
 * code with the rules: times are milliseconds, and every condition is a loop.
 */

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const NOW = Date.parse('2026-11-24T18:00:00Z');
const PRACTICE = 'plank';
const FLEXION = { measureId: 'shoulder-flexion', asked: 150, freshDays: 28 };
const HOLD = { measureId: 'plank-hold', asked: 30, freshDays: 21 };

interface Attempt {
  readonly measureId: string;
  readonly side: 'left' | 'right' | 'whole';
  readonly at: number;
  readonly value: number;
  readonly band: number;
  readonly provisional?: Provisional;
}
interface Felt {
  readonly at: number;
  readonly intensity: number;
  readonly kind: SymptomKind;
  readonly place: 'wrist' | 'shoulder';
  readonly side: 'left' | 'right';
  readonly moment: Symptom['moment'];
  /** It went at once on a second try. */
  readonly gone?: boolean;
  /** What a professional has called usual at that place. */
  readonly usual?: number;
  readonly closedAt?: number;
}
interface Session {
  readonly at: number;
  readonly plannedId?: string;
  readonly drillId: string;
  readonly amounts: readonly number[];
  readonly planned: { readonly sets: number; readonly max: number };
  readonly faultStayed: boolean;
  /** How many of its sets ran out by the clock, and nobody said that they were done. */
  readonly unconfirmed: number;
  readonly effort: number;
  readonly lighter: number;
  readonly felt: readonly Felt[];
}
interface History {
  readonly attempts: readonly Attempt[];
  readonly skips: readonly { readonly measureId: string; readonly at: number; readonly reason: SkipReason }[];
  readonly sessions: readonly Session[];
  readonly elsewhere: readonly Felt[];
  readonly withdrawnAt?: number;
  readonly signedAt: number;
  readonly addedAt: number;
  readonly screenedAt?: number;
}

const plank = BUILT_IN.drills.find((d) => d.id === PRACTICE)!;
const top = plank.dose.max;
const library = openLibrary({
  ...BUILT_IN,
  ladders: [
    {
      ...BUILT_IN.ladders[0]!,
      id: 'two-rungs',
      rungs: [
        { ...BUILT_IN.ladders[0]!.rungs[0]!, id: 'low', practice: PRACTICE, demands: [] },
        {
          ...BUILT_IN.ladders[0]!.rungs[1]!,
          id: 'high',
          practice: PRACTICE,
          demands: [
            { measureId: FLEXION.measureId, value: FLEXION.asked, unit: 'deg', direction: 'at least', origin: { kind: 'common practice' } },
            { measureId: HOLD.measureId, value: HOLD.asked, unit: 's', direction: 'at least', origin: { kind: 'common practice' } },
          ],
        },
      ],
    },
  ],
});

const BRIEF: readonly string[] = ['sharp', 'pinch'];
const STOPPING: readonly string[] = ['numbness or tingling', 'weakness', 'locked up', 'swelling'];
/** One after the other, as it stands on the page of safety. */
function stops(f: Felt): boolean {
  if (f.intensity === 0) return false;
  if (STOPPING.includes(f.kind)) return true;
  if (BRIEF.includes(f.kind)) return f.intensity > 2 || !f.gone;
  if (f.kind === 'soreness' && f.place !== 'wrist') return false;
  if (f.intensity >= 5) return true;
  return f.usual === undefined && f.place === 'wrist' && f.intensity >= 3;
}
function loud(f: Felt): boolean {
  if (f.intensity === 0) return false;
  if (stops(f) || BRIEF.includes(f.kind)) return true;
  if (f.kind === 'soreness' && f.place !== 'wrist') return f.intensity > 4;
  return f.intensity > 2 && f.intensity > (f.usual ?? 0);
}
const midnight = (at: number) => {
  const day = new Date(at);
  return new Date(day.getFullYear(), day.getMonth(), day.getDate()).getTime();
};

/** A plank puts over a quarter of body weight on an arm: two weeks and four sessions, two days apart. */
function hadItsTime(h: History): boolean {
  const since = Math.max(h.signedAt, h.withdrawnAt ?? -Infinity);
  if (NOW - since < 14 * DAY) return false;
  let counted = 0;
  let last = -Infinity;
  const plans = new Set<string>();
  for (const s of [...h.sessions].sort((a, b) => a.at - b.at)) {
    if (s.at <= since || s.at > NOW + 5 * 60_000 || s.drillId !== PRACTICE || s.lighter > 0.1 + 1e-9) continue;
    if (s.plannedId !== undefined && plans.has(s.plannedId)) continue;
    if (s.plannedId !== undefined) plans.add(s.plannedId);
    if (s.at - last < 48 * HOUR) continue;
    counted++;
    last = s.at;
  }
  return counted >= 4;
}

/** May open if and only if none of this is so. */
function mayOpen(h: History): boolean {
  const newestOf = (measureId: string, side: string) => {
    let newest: Attempt | undefined;
    for (const a of h.attempts) if (a.measureId === measureId && a.side === side && (!newest || a.at > newest.at)) newest = a;
    return newest;
  };
  for (const { measureId, asked, freshDays } of [FLEXION, HOLD])
    for (const side of measureId === FLEXION.measureId ? ['left', 'right'] : ['whole']) {
      const a = newestOf(measureId, side);
      if (!a || a.provisional || a.at > NOW + 5 * 60_000 || NOW - a.at > freshDays * DAY) return false;
      if (a.value - asked < a.band) return false;
      for (const s of h.skips) if (s.measureId === measureId && s.at >= a.at && s.reason !== 'out of time') return false;
    }
  const [left, right] = [newestOf(FLEXION.measureId, 'left')!, newestOf(FLEXION.measureId, 'right')!];
  // Ten degrees at the shoulder, or what two checks can differ by. Both have spare by now: only a difference that is new closes the gate.
  const unlike = (l: Attempt, r: Attempt) => {
    const apart = Math.abs(l.value - r.value);
    return apart > 10 && apart > 1.959963984540054 * Math.hypot(l.band / 1.645, r.band / 1.645);
  };
  const beforeThat = (newest: Attempt) => {
    let found: Attempt | undefined;
    for (const a of h.attempts)
      if (a.measureId === newest.measureId && a.side === newest.side && a.at < newest.at && (!found || a.at > found.at)) found = a;
    return found;
  };
  const [l, r] = [beforeThat(left), beforeThat(right)];
  if (unlike(left, right) && l && r && !unlike(l, r)) return false;

  const all = [...h.elsewhere, ...h.sessions.flatMap((s) => s.felt)];
  let lastStop = -Infinity;
  for (const f of all) {
    if (stops(f)) {
      lastStop = Math.max(lastStop, f.at);
      if (f.closedAt === undefined || NOW - f.closedAt <= 7 * DAY) return false;
    }
    if (NOW - f.at <= 7 * DAY && loud(f)) return false;
  }
  for (const s of h.sessions) {
    const mornings = s.felt.filter((f) => f.moment === 'next morning' && midnight(f.at) > midnight(s.at));
    if (NOW - s.at <= 7 * DAY && mornings.length === 0) return false;
    for (const m of mornings) {
      if (NOW - m.at > 7 * DAY) continue;
      let before = 0;
      for (const f of s.felt) if (f.moment === 'before' && f.place === m.place && f.side === m.side) before = Math.max(before, f.intensity);
      if (m.kind === 'soreness' && m.place !== 'wrist' && !loud(m)) continue;
      if (m.usual === undefined) {
        if (m.intensity > before) return false;
        continue;
      }
      const more = m.intensity - Math.max(before, m.usual);
      if (more > 1) return false;
      if (more === 1)
        for (const f of all)
          if (f.place === m.place && f.side === m.side && f.intensity >= m.intensity && f.at - s.at >= 48 * HOUR) return false;
    }
  }
  if (h.screenedAt === undefined || NOW - h.screenedAt > 365 * DAY) return false;
  if (!hadItsTime(h)) return false;

  const since = Math.max(h.addedAt, h.screenedAt, h.withdrawnAt ?? -Infinity, lastStop);
  const plans = new Set<string>();
  let counted = 0;
  let last = -Infinity;
  for (const s of [...h.sessions].sort((a, b) => a.at - b.at)) {
    let good = 0;
    for (let i = s.unconfirmed; i < s.amounts.length; i++) if (s.amounts[i]! >= top) good++;
    const clean =
      s.unconfirmed === 0 &&
      s.amounts.length >= s.planned.sets &&
      s.amounts.every((n) => n >= s.planned.max) &&
      !s.faultStayed &&
      s.effort < 8 &&
      s.felt.every((f) => !stops(f) && (f.moment === 'next morning' || !loud(f)));
    if (!clean || s.drillId !== PRACTICE || good < 2 || s.lighter > 0.1 + 1e-9) continue;
    if (s.at <= since || NOW - s.at > 28 * DAY || s.at > NOW + 5 * 60_000) continue;
    if (s.plannedId !== undefined && plans.has(s.plannedId)) continue;
    if (s.plannedId !== undefined) plans.add(s.plannedId);
    if (s.at - last < 48 * HOUR) continue;
    counted++;
    last = s.at;
  }
  return counted >= 2;
}

const iso = (at: number): Instant => instant(new Date(at));
/** As the server would have judged it when it was recorded. */
function symptomOf({ closedAt: _, at, gone, usual, ...felt }: Felt): Symptom {
  const symptom: Symptom = { ...felt, at: iso(at), ...(gone ? { retest: 'gone' } : {}) };
  const consultedOn = calendarDay(new Date(at - 9 * DAY));
  const { place, side } = felt;
  const lasting = usual === undefined ? [] : [{ place, side, level: usual, role: 'physiotherapist' as const, consultedOn }];
  return { ...symptom, judged: judgeSymptom(symptom, { history: [], lasting }) };
}

/** The same history by way of the program. */
function programOpens(h: History): boolean {
  const newest = new Map<string, Attempt>();
  const second = new Map<string, Attempt>();
  for (const a of [...h.attempts].sort((x, y) => x.at - y.at)) {
    const key = checkKey(a.measureId, a.side);
    const last = newest.get(key);
    if (last) second.set(key, last);
    newest.set(key, a);
  }
  const asCapacity = (a: Attempt): Capacity =>
    ({
      ...{ measureId: a.measureId, side: a.side, value: a.value, band: a.band, standardError: a.band / 1.645, trials: 3 },
      ...{ takenAt: iso(a.at), errorBasis: 'default' },
      ...(a.provisional ? { provisional: a.provisional } : {}),
    }) as Capacity;
  const capacities = [...newest.values()].map(asCapacity);
  const before = (measureId: string, side: 'left' | 'right') => {
    const a = second.get(checkKey(measureId, side));
    return a && asCapacity(a);
  };
  const sessions = h.sessions.map((s, i): SessionFact => {
    const sets = s.amounts.map((amount, set) => ({
      ...{ amount, faults: s.faultStayed ? [{ faultId: 'shrug', mended: false }] : [] },
      ...(set < s.unconfirmed ? { unconfirmed: true } : {}),
    }));
    const symptoms = s.felt.map(symptomOf);
    const item = { drillId: s.drillId, plannedSets: s.planned.sets, max: s.planned.max, sets };
    const practised = practisedIn([{ drillId: s.drillId, sets }], library).map((p) => ({ ...p, load: 1 - s.lighter }));
    return {
      ...{ id: String(i), performedAt: iso(s.at), plannedSessionId: s.plannedId ?? null, symptoms, practised },
      clean: sessionCleanness({ items: [item], effort: s.effort, symptoms }, library).clean,
    };
  });
  const felt = [...h.elsewhere, ...h.sessions.flatMap((s) => s.felt)];
  const signs = felt.filter(stops);
  const latest = (times: readonly number[]) => (times.length === 0 ? undefined : iso(Math.max(...times)));
  const skips = new Map<string, { at: Instant; reason: SkipReason }>();
  for (const s of [...h.skips].sort((a, b) => a.at - b.at))
    if (s.reason !== 'out of time') skips.set(s.measureId, { at: iso(s.at), reason: s.reason });
  const signed = (id: string, at: number, withdrawnAt?: number) => ({
    ...{ id, ladderId: 'two-rungs', rungId: 'low', signedAt: iso(at), signedBy: 'AS', figures: [] },
    ...(withdrawnAt === undefined ? {} : { withdrawnAt: iso(withdrawnAt) }),
  });
  const { gate } = judgeReadiness({
    ...{ library, ladder: library.ladder('two-rungs'), body: bodyModel({ statureM: 1.7, massKg: 70 }), now: new Date(NOW) },
    screening: {
      cautions: [],
      locks:
        h.screenedAt === undefined
          ? [{ code: 'never-screened' }]
          : NOW - h.screenedAt > 365 * DAY
            ? [{ code: 'screening-stale', takenAt: iso(h.screenedAt) }]
            : [],
    },
    ...{ capacities, before, skips, sessions, symptoms: felt.map(symptomOf), checkDates: new Map() },
    clearances: [signed('new', h.signedAt), ...(h.withdrawnAt === undefined ? [] : [{ ...signed('old', NOW - 90 * DAY, h.withdrawnAt) }])],
    openStopSigns: signs.filter((s) => s.closedAt === undefined).map(symptomOf),
    lastStopSignAt: latest(signs.map((s) => s.at)),
    lastStopSignClosedAt: latest(signs.flatMap((s) => s.closedAt ?? [])),
    knownSince: [iso(h.addedAt), ...(h.screenedAt === undefined ? [] : [iso(h.screenedAt)])],
  });
  return gate?.open ?? false;
}

/** A history that mostly opens, with a few things wrong or nearly wrong. */
function history(random: seedrandom.PRNG): History {
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  const odd = (share = 0.06) => random() < share;
  const days = (from: number, to: number) => NOW - (from + (to - from) * random()) * DAY;
  const near = (day: number) => NOW - (day + (random() - 0.5) * 0.3) * DAY;
  const felt = (own: Partial<Felt> = {}): Felt => ({
    ...{ at: days(0, 12), intensity: 1, kind: 'ache', place: one(['wrist', 'shoulder']), side: one(['left', 'right']), moment: 'during' },
    ...own,
  });
  const attempt = (measureId: string, side: Attempt['side'], asked: number, fresh: number): Attempt => ({
    ...{ measureId, side, band: 3, value: asked + (odd() ? one([2.99, 3, -5]) : 5 + 8 * random()) },
    at: odd() ? one([near(fresh), NOW + one([4, 6, 600]) * 60_000]) : days(0.1, fresh - 1),
    ...(odd(0.03) ? { provisional: one(['simulated', 'suggested', 'in a session'] as const) } : {}),
  });
  const attempts = [
    ...(odd(0.02) ? [] : [attempt(FLEXION.measureId, 'left', FLEXION.asked, 28)]),
    attempt(FLEXION.measureId, 'right', FLEXION.asked + (odd() ? 25 : 0), 28),
    // What both sides showed before, mostly alike.
    ...(odd(0.5)
      ? (['left', 'right'] as const).map((side) => ({
          ...{ measureId: FLEXION.measureId, side, band: 3, at: NOW - 40 * DAY },
          value: 150 + (side === 'right' && odd(0.3) ? 25 : 6 * random()),
        }))
      : []),
    attempt(HOLD.measureId, 'whole', HOLD.asked, 21),
    ...(odd(0.2) ? [attempt(HOLD.measureId, 'whole', HOLD.asked, 21)] : []),
  ];
  const session = (at: number, i: number): Session => {
    const morningAt = odd(0.04) ? at + HOUR : at + 15 * HOUR;
    const before = odd(0.15) ? [felt({ at: at - HOUR, intensity: 2, moment: 'before' })] : [];
    const morning = odd(0.05)
      ? []
      : [
          felt({
            at: morningAt,
            moment: 'next morning',
            intensity: odd(0.12) ? one([1, 2, 3]) : 0,
            ...(odd(0.2) ? { kind: 'soreness' as const } : {}),
            ...(odd(0.2) ? { usual: one([1, 2]) } : {}),
            ...(before[0] ? { place: before[0].place, side: odd(0.3) ? 'left' : before[0].side } : {}),
          }),
        ];
    const short = odd(0.08);
    return {
      ...{
        at,
        drillId: odd(0.04) ? 'plank-lean' : PRACTICE,
        faultStayed: odd(0.04),
        unconfirmed: odd(0.04) ? 1 : 0,
        effort: odd(0.04) ? one([8, 9]) : 5,
      },
      amounts: short ? one([[1], [top], [top, top - 1], [1, 1]]) : [top, top, top],
      planned: short
        ? one([
            { sets: 1, max: 1 },
            { sets: 2, max: 1 },
            { sets: 3, max: top },
          ])
        : { sets: 3, max: top },
      lighter: odd(0.06) ? one([0.1, 0.11, 0.5]) : 0,
      felt: [
        ...before,
        ...morning,
        ...(odd(0.08)
          ? [
              felt({
                at,
                kind: one(['sharp', 'ache', 'soreness', 'swelling'] as const),
                intensity: one([1, 2, 3, 5]),
                gone: odd(0.5),
                ...(odd(0.3) ? { usual: one([1, 2, 3]) } : {}),
                ...(odd(0.5) ? { closedAt: days(0, 12) } : {}),
              }),
            ]
          : []),
      ],
      ...(odd(0.3) ? { plannedId: `p${odd(0.3) ? 0 : i}` } : {}),
    };
  };
  const starts = [
    near(2),
    near(one([4, 5])),
    near(7.5),
    near(10),
    ...(odd(0.5) ? [near(one([13, 17, 28]))] : []),
    ...(odd(0.04) ? [NOW + DAY] : []),
  ];
  return {
    attempts,
    skips: odd(0.1)
      ? [
          {
            measureId: one([FLEXION.measureId, HOLD.measureId]),
            at: odd(0.2) ? attempts[0]!.at : days(0, 14),
            reason: one(['pain', 'worry', 'not safe today', 'out of time']),
          },
        ]
      : [],
    sessions: starts.map(session),
    elsewhere: odd(0.15)
      ? [
          felt({
            kind: one(['ache', 'sharp', 'stretch', 'soreness', 'weakness'] as const),
            intensity: one([1, 2, 3, 4, 6]),
            gone: odd(0.5),
            ...(odd(0.3) ? { usual: one([1, 2, 3]) } : {}),
            ...(odd(0.6) ? { closedAt: days(0, 12) } : {}),
          }),
        ]
      : [],
    ...(odd(0.08) ? { withdrawnAt: days(1, 20) } : {}),
    signedAt: odd(0.1) ? one([near(14), NOW - 10 * HOUR, near(28)]) : NOW - 20 * DAY,
    addedAt: odd(0.04) ? near(3) : NOW - 40 * DAY,
    ...(odd(0.03) ? {} : { screenedAt: odd(0.05) ? one([near(3), near(365)]) : NOW - 30 * DAY }),
  };
}

describe('the program and a second statement of the rules', () => {
  // Asked once for every mutant, a few hundred must do.
  const count = inject('long') ? 100_000 : process.env.MYOKINET_ROOM ? 400 : 3_000;

  it(
    'agree on every random history, of which enough open',
    () => {
      const random = seedrandom('histories');
      let opened = 0;
      for (let i = 0; i < count; i++) {
        const h = history(random);
        const may = mayOpen(h);
        if (may) opened++;
        if (programOpens(h) !== may) expect({ i, may, program: !may, h }).toBeUndefined();
      }
      expect(opened / count).toBeGreaterThan(0.05);
      expect(opened / count).toBeLessThan(0.6);
    },
    20 * 60_000,
  );
});
