import { BUILT_IN } from '@myokinet/core/catalogue';
import type { PlanDto, PlanReply, RecordReply } from '@myokinet/core/contracts';
import { openLibrary } from '@myokinet/core/library';
import type { CalendarDay, Instant } from '@myokinet/core/quantities';
import { bodyModel } from '@myokinet/core/statics';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { armLoadOf } from '@myokinet/core/drills';
import { NOTHING_SHOWN, pencilledDoses, type Shown, withDoses } from '@myokinet/core/planning';
import {
  emptyDraft,
  freeDay,
  type ItemDraft,
  rebased,
  type SessionDraft,
  withItemInto,
  withOwnSetUp,
  withProposal,
  withSessionOn,
  withWeeks,
} from './planDraft.ts';

const library = openLibrary(BUILT_IN);
const item = (drillId: string, own: Partial<ItemDraft> = {}): ItemDraft => {
  const { sets, min, max, restSeconds } = library.drill(drillId).dose;
  return { id: newId(), drillId, sets, min, max, restSeconds, why: 'Because.', ...own };
};
const session = (day: string, ...items: ItemDraft[]): SessionDraft => ({ id: newId(), day, items });
const week = (weekStart: string, ...sessions: SessionDraft[]): PlanDto => ({
  id: newId(),
  weekStart,
  revision: newId(),
  basedOn: null,
  sessions,
  notes: [],
  leftOut: [],
});

describe('weeks as one draft', () => {
  const first = week('2026-11-30', session('2026-12-01', item('plank')));

  it('hold only what was changed, each change as another revision', () => {
    const draft = withWeeks(emptyDraft(), [first]);
    expect(Object.keys(draft.weeks)).toEqual(['2026-11-30']);
    expect(draft.weeks['2026-11-30']?.revision).not.toBe(first.revision);
  });

  it('are laid on top of what was saved meanwhile', () => {
    const theirs = { ...week('2026-11-30'), savedAt: '2026-11-25T08:00:00.000Z' as Instant } as PlanReply;
    const { weeks } = rebased(withWeeks(emptyDraft(), [first, week('2026-12-07')]), [theirs]);
    expect(weeks['2026-11-30']).toMatchObject({ id: theirs.id, basedOn: theirs.revision, sessions: first.sessions });
    expect(weeks['2026-12-07']?.basedOn).toBeNull();
  });

  it('a session moves to the week its new day lies in, and nowhere twice', () => {
    const other = week('2026-12-07');
    const moved = withSessionOn([first, other], first.sessions[0]!, '2026-12-09');
    expect(moved.map((w) => w.sessions.map((s) => s.day))).toEqual([[], ['2026-12-09']]);
    expect(withSessionOn([first, other], first.sessions[0]!, '2026-12-03').map((w) => w.weekStart)).toEqual(['2026-11-30']);
  });

  it('a drill moves between sessions, before another or to the end, beside itself as well', () => {
    const [a, b] = [session('2026-12-01', item('plank'), item('wrist-circles')), session('2026-12-08', item('arm-circles'))];
    const weeks = [week('2026-11-30', a), week('2026-12-07', b)];
    const ids = (changed: readonly PlanDto[]) => changed.map((w) => w.sessions.map((s) => s.items.map((i) => i.drillId)));
    const plank = a.items[0]!.id;
    expect(ids(withItemInto(weeks, plank, { sessionId: b.id, before: b.items[0]!.id }))).toEqual([
      [['wrist-circles']],
      [['plank', 'arm-circles']],
    ]);
    expect(ids(withItemInto(weeks, plank, { sessionId: b.id }))).toEqual([[['wrist-circles']], [['arm-circles', 'plank']]]);
    const twice = [weeks[0]!, week('2026-12-07', session('2026-12-08', item('plank')))];
    expect(ids(withItemInto(twice, plank, { sessionId: twice[1]!.sessions[0]!.id }))).toEqual([[['wrist-circles']], [['plank', 'plank']]]);
  });

  it('a proposal takes the place of all but what stays', () => {
    const [done, open] = [session('2026-12-01', item('plank')), session('2026-12-03', item('plank'))];
    const proposed = { id: newId(), day: '2026-12-04' as CalendarDay, items: [item('arm-circles')] };
    const kept = [{ ...done, day: '2026-12-01' as CalendarDay }];
    const [laid] = withProposal(
      [week('2026-11-30', done, open)],
      { sessions: [proposed], served: [], notes: ['A note.'], leftOut: [] },
      { kept },
    );
    expect(laid?.sessions.map((s) => s.day)).toEqual(['2026-12-01', '2026-12-04']);
    expect(laid?.notes).toEqual(['A note.']);
  });

  it('finds the first free day from today on, and takes a set-up back', () => {
    const now = new Date('2026-12-02T12:00:00');
    expect(freeDay(week('2026-11-30', session('2026-12-02', item('plank'))), now)).toBe('2026-12-03');
    const own = item('plank', { support: { setUp: { position: 'plank' }, wanted: 0.4 } });
    expect(withOwnSetUp(session('2026-12-01', own), own.id).items[0]?.support).toBeUndefined();
  });
});

describe('pencilled doses', () => {
  const drill = library.drills.find((d) => d.support && d.handLoad && !d.dose.perSide)!;
  const plain = library.drills.find((d) => !d.handLoad && !d.dose.perSide && d.dose.unit === 'reps' && d.phase === 'blade activation')!;
  const logged = (drillId: string, performedAt: string): RecordReply['sessions'][number] => {
    const { sets, min, max } = library.drill(drillId).dose;
    return {
      id: newId(),
      originId: newId(),
      plannedSessionId: null,
      performedAt,
      effort: 5,
      minutes: 30,
      note: '',
      items: [
        {
          id: newId(),
          drillId,
          plannedSets: sets,
          min,
          max,
          sets: Array.from({ length: sets }, () => ({ id: newId(), side: 'whole' as const, amount: max, faults: [] })),
        },
      ],
      symptoms: [],
      clean: true,
      cleanReason: 'Clean.',
      load: 150,
      handLoad: { push: 0, pull: 0 },
    };
  };
  const record = (drillId: string): RecordReply => ({
    sessions: [logged(drillId, '2026-11-24T17:00:00.000Z'), logged(drillId, '2026-11-20T17:00:00.000Z')],
    symptoms: [],
    stopSigns: [],
    clearances: [],
    takenBack: [],
    mornings: [],
  });
  const ask = (weeks: readonly PlanDto[], drillId: string, shown?: Shown) =>
    pencilledDoses(weeks, {
      ...(shown ? { shown } : {}),
      logged: record(drillId).sessions,
      library,
      body: bodyModel({ statureM: 1.7, massKg: 70 }),
      progress: 'count',
      practiceId: undefined,
      today: '2026-11-25' as CalendarDay,
      done: new Set(),
    });

  it('turn the dial of a drill that has one, in every coming session', () => {
    const weeks = [
      week('2026-11-23', session('2026-11-24', item(drill.id)), session('2026-11-27', item(drill.id))),
      week('2026-11-30', session('2026-12-01', item(drill.id))),
    ];
    const [dose] = ask(weeks, drill.id);
    expect(dose?.itemIds).toHaveLength(2);
    expect(dose?.to.support?.wanted).toBeCloseTo(Math.round((drill.handLoad!.share + 0.05) * 100) / 100, 9);
    const inked = withDoses(weeks, ask(weeks, drill.id));
    expect(inked.flatMap((w) => w.sessions.flatMap((s) => s.items.map((i) => i.support?.wanted)))).toEqual([
      undefined,
      dose!.to.support!.wanted,
      dose!.to.support!.wanted,
    ]);
    // What was decided upon gets no pencil.
    expect(ask(inked, drill.id)).toEqual([]);
  });

  it('put no more on an arm than was shown', () => {
    const weeks = [week('2026-11-23', session('2026-11-27', item(drill.id)))];
    const perArm = armLoadOf(drill);
    const shown = (more: number): Shown => ({ ...NOTHING_SHOWN, push: { perArm: perArm + more, by: 'check' } });
    expect([ask(weeks, drill.id, shown(0.03)).length, ask(weeks, drill.id, shown(0.01)).length]).toEqual([1, 0]);
  });

  it('add repetitions where there is no dial', () => {
    const [dose] = ask([week('2026-11-23', session('2026-11-27', item(plain.id)))], plain.id);
    expect(dose?.to.max).toBeGreaterThan(plain.dose.max);
    expect(dose?.next.because).toEqual({ code: 'clean twice' });
  });

  it('leave warm-ups as they are: they make ready, and do not progress', () => {
    const circles = library.drills.find((d) => d.phase === 'warm-up')!;
    expect(ask([week('2026-11-23', session('2026-11-27', item(circles.id)))], circles.id)).toEqual([]);
  });

  it('leave alone a drill whose sets were raised since: one log earns one raise', () => {
    const more = item(plain.id, { sets: plain.dose.sets + 1 });
    expect(ask([week('2026-11-23', session('2026-11-27', more))], plain.id)).toEqual([]);
  });

  it('leave alone what was planned otherwise since', () => {
    expect(ask([week('2026-11-23', session('2026-11-27', item(plain.id, { max: plain.dose.max + 5 })))], plain.id)).toEqual([]);
  });
});
