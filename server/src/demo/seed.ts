import { addDays, addHours, addWeeks, format, parseISO, startOfWeek } from 'date-fns';
import seedrandom from 'seedrandom';
import { v7 as uuidv7 } from 'uuid';
import type { Database } from 'better-sqlite3';
import type { BodySide } from '@myokinet/core/anatomy';
import { BUILT_IN_LIBRARY } from '@myokinet/core/catalogue';
import type { CheckDto, PlanReply, ScreeningDto, SessionDto, SymptomDto } from '@myokinet/core/contracts';
import { LOADING_PHASES } from '@myokinet/core/drills';
import type { Ladder } from '@myokinet/core/ladders';
import { measureSides } from '@myokinet/core/measuring';
import { doseToBuildOn, proposeByRules, sessionMinutes } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay, instant } from '@myokinet/core/quantities';
import { isLiftable, PERMIT_DAYS, QUESTION_IDS } from '@myokinet/core/safety';
import { seedGroups } from './groups.ts';
import { seedRoutines } from './routines.ts';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { STUDIO_ID } from '../context.ts';
import { BUILT_IN_COACH } from '../actor.ts';
import { type Services, servicesFor } from '../services.ts';
import { reading, trueCapacity } from './body.ts';
import { writeBrief } from './brief.ts';
import { tellOutcomes } from './outcomes.ts';
import { furnishLab } from './lab.ts';
import { CREW, type Story } from './people.ts';

const SEED = 'myokinet-demo-1';
const WEEKS = 26;
/** Well before the questions, and a professional's word, run out. */
const ASK_AGAIN_WEEKS = 12;
const ASKING_HOUR = 7;
const CHECK_HOUR = 16;
const TRAINING_HOUR = 17;
const SIGNING_HOUR = 9;
/** How much bodies differ from check to check, in error bands. */
const TRAIT_SPREAD = 0.55;
const STEADY_NOISE = 0.3;
/** Days of rest before today, for the one who is to be ready to sign. */
const REST_DAYS = 2;
/** Whose set-ups were read off a scale. */
const MEASURED = 'Ines Shroud';

/**
 * Fills a database with the demo crew's half year up to `today`, by the same stores the app uses,
 * so that every figure, plan and clearance in it could have been made by hand.
 */
export function seedDemo(db: Database, today: Date, crew: readonly Story[] = CREW): void {
  const random = seedrandom(SEED);
  let clock = today;
  const services = servicesFor({ db, studioId: STUDIO_ID, now: () => clock });
  const world: World = {
    services,
    today,
    random,
    normal: () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()),
    newId: () => uuidv7({ msecs: clock.getTime(), random: Uint8Array.from({ length: 16 }, () => Math.floor(random() * 256)) }),
    at: (moment) => {
      clock = moment;
    },
  };
  db.transaction(() => {
    for (const story of crew) live(story, world);
    world.at(today);
    furnishLab({ services, today, newId: world.newId }, MEASURED);
    seedRoutines(services, world.newId);
    writeBrief(services, world.newId);
    seedGroups(services, today, world.newId);
    tellOutcomes(world, WEEKS);
  })();
}

interface World {
  readonly services: Services;
  readonly today: Date;
  readonly random: () => number;
  readonly normal: () => number;
  readonly newId: () => string;
  /** Moves the clock that the stores see. */
  readonly at: (moment: Date) => void;
}

interface Life {
  readonly story: Story;
  readonly ladder: Ladder;
  readonly traineeId: string;
  /** This body's own strengths and weaknesses by check, in error bands. */
  readonly traits: ReadonlyMap<string, number>;
  readonly weeks: number;
}

function live(story: Story, world: World): void {
  const weeks = story.weeks ?? WEEKS;
  const ladder = world.services.library.current().ladder(story.profile.ladderId);
  const monday = startOfWeek(world.today, { weekStartsOn: 1 });
  world.at(addHours(addWeeks(monday, -weeks), 9));
  const traineeId = world.newId();
  world.services.trainees.save(BUILT_IN_COACH, { id: traineeId, revision: world.newId(), basedOn: null, ...story.profile });
  screening(traineeId, story, story.screening ?? {}, addHours(addWeeks(monday, -weeks), 9), world);
  if (world.services.trainees.find(traineeId).screening.cautions.some((c) => c.id === 'minor'))
    world.services.health.consent(BUILT_IN_COACH, traineeId, {
      id: world.newId(),
      role: 'parent',
      givenOn: calendarDay(addWeeks(monday, -weeks)),
      agreed: true,
    });
  const measures = [...new Set(ladder.rungs.flatMap((r) => r.demands.map((d) => d.measureId)))];
  const life: Life = {
    story,
    ladder,
    traineeId,
    weeks,
    traits: new Map(measures.map((m) => [m, story.steady ? 0 : world.normal() * TRAIT_SPREAD])),
  };

  for (let ago = weeks; ago >= 0; ago--) {
    if (ago < weeks && (weeks - ago) % ASK_AGAIN_WEEKS === 0)
      screening(traineeId, story, story.screening ?? {}, addHours(addWeeks(monday, -ago), ASKING_HOUR), world);
    liveWeek(life, ago, addWeeks(monday, -ago), world);
  }

  if (story.screeningNow) screening(traineeId, story, story.screeningNow, world.today, world);
}

/** Asks every question, and records the professional who was consulted about what came up. */
function screening(traineeId: string, story: Story, yes: NonNullable<Story['screening']>, moment: Date, world: World): void {
  const { screenings, trainees } = world.services;
  world.at(moment);
  const answers = QUESTION_IDS.map((questionId): ScreeningDto['answers'][number] => ({
    questionId,
    answer: yes[questionId] ? 'yes' : 'no',
    side: yes[questionId] ?? 'whole',
  }));
  const id = world.newId();
  const basedOn = screenings.reply(traineeId).current?.id ?? null;
  screenings.record(BUILT_IN_COACH, traineeId, {
    id,
    basedOn,
    takenAt: instant(moment),
    answers,
    beighton: [...(story.beighton ?? [])],
    note: '',
  });
  if (!story.consulted) return;
  const cautionIds = trainees.find(traineeId).screening.cautions.flatMap((c) => (isLiftable(c.id) ? [c.id] : []));
  const permit = { ...story.consulted.permit, until: calendarDay(addDays(moment, PERMIT_DAYS - 1)) };
  const consultedOn = calendarDay(moment);
  screenings.consult(BUILT_IN_COACH, traineeId, {
    id: world.newId(),
    screeningId: id,
    cautionIds,
    consultedOn,
    ...story.consulted,
    permit,
  });
}

function liveWeek(life: Life, ago: number, monday: Date, world: World): void {
  const { story, traineeId } = life;
  const { services } = world;
  world.at(addHours(monday, 8));
  if (ago === life.weeks) takeCheck(life, ago, addHours(monday, 8), world);
  const plan = planWeek(life, monday, world);
  for (const session of plan.sessions) {
    const day = parseISO(session.day);
    const start = addHours(day, TRAINING_HOUR);
    // Today's sessions wait to be trained, whatever the hour.
    if (session.day >= calendarDay(world.today)) continue;
    if (!(story.uncheckedWeeks && ago < story.uncheckedWeeks)) takeCheck(life, ago, addHours(day, CHECK_HOUR), world);
    if (mayTrain(life, start, world)) train(life, session, start, ago, world);
    // Nobody signs before the morning after was asked.
    signIfOpen(life, ago, addHours(addDays(day, 1), SIGNING_HOUR), world);
  }
  const { setBack } = story;
  if (setBack?.closedWeeksAgo === ago) {
    world.at(addHours(monday, 9));
    for (const sign of services.symptoms.stopSigns(traineeId).filter((s) => !s.closure))
      services.symptoms.closeStopSign(BUILT_IN_COACH, traineeId, {
        id: world.newId(),
        symptomId: sign.symptomId,
        ground: 'Painless for a week, and allowed to load again.',
        role: 'physiotherapist',
        consultedOn: calendarDay(monday),
      });
  }
}

/** Level with a plateau in the middle, and a dip after a set-back. */
function levelAt({ story, weeks }: Life, ago: number): number {
  const done = weeks === 0 ? 1 : 1 - ago / weeks;
  const progress = done < 0.45 ? done * 1.15 : done < 0.6 ? 0.5175 : 0.5175 + ((done - 0.6) / 0.4) * 0.4825;
  const hurt = story.setBack && ago <= story.setBack.weeksAgo && story.setBack.closedWeeksAgo !== undefined ? 0.6 : 0;
  return story.from + (story.to - story.from) * progress - hurt;
}

/** Takes what is unknown or due: everything the rung in hand and the next one ask that has aged past three quarters of its limit. */
function takeCheck(life: Life, ago: number, moment: Date, world: World): void {
  const { traineeId, ladder, story } = life;
  world.at(moment);
  const { standing } = world.services.readiness.verdict(traineeId, ladder.id);
  const rungs = ladder.rungs.filter((_, i) => i === standing.here || i === standing.next);
  const latest = new Map(
    world.services.checks
      .capacities(traineeId)
      .toReversed()
      .map((c) => [c.measureId, c.takenAt]),
  );
  const due = [...new Set(rungs.flatMap((r) => r.demands.map((d) => d.measureId)))].filter((id) => {
    const last = latest.get(id);
    if (last && story.forgets?.includes(id)) return false;
    return !last || (moment.getTime() - Date.parse(last)) / 86_400_000 > BUILT_IN_LIBRARY.measure(id).freshDays * 0.75;
  });
  if (due.length === 0) return;
  const seen = Object.entries(story.sees ?? {}).filter(([id]) => !due.includes(id) && !latest.has(id));
  const trials: CheckDto['trials'] = due.flatMap((measureId) => {
    const measure = BUILT_IN_LIBRARY.measure(measureId);
    return measureSides(measure).flatMap((side) => {
      const truth = trueCapacity(story, ladder, measureId, side as BodySide, levelAt(life, ago), life.traits.get(measureId) ?? 0);
      return Array.from({ length: measure.trials }, () => ({
        id: world.newId(),
        measureId,
        side,
        value: reading(measure, truth, story.steady ? () => world.normal() * STEADY_NOISE : world.normal),
      }));
    });
  });
  const levels = seen.flatMap(([measureId, value]) =>
    measureSides(BUILT_IN_LIBRARY.measure(measureId)).map((side) => ({ id: world.newId(), measureId, side, value })),
  );
  const all = [...trials, ...levels];
  world.services.checks.record(BUILT_IN_COACH, traineeId, { id: world.newId(), takenAt: instant(moment), note: '', trials: all });
}

function planWeek({ traineeId, ladder }: Life, monday: Date, world: World): PlanReply {
  const { services } = world;
  const trainee = services.trainees.find(traineeId);
  const { headrooms, standing, planner, settings } = services.readiness.reply(traineeId);
  const weekStart = format(monday, 'yyyy-MM-dd') as CalendarDay;
  const { sessions, notes, leftOut } = proposeByRules({
    weekStart,
    trainingDays: trainee.trainingDays,
    sessionMinutes: trainee.sessionMinutes,
    equipment: trainee.equipment,
    cautions: trainee.screening.cautions,
    library: services.library.current(),
    schools: DEFAULT_SCHOOLS,
    weeksIn: planner.weeksIn,
    headrooms,
    sidePercent: settings.sideDifferencePercent,
    foothold: { ladderId: ladder.id, here: standing.here, shown: planner.shown },
    knownDrills: planner.knownDrills,
    lastLoadedDay: Object.values(planner.lastLoaded).sort().map(calendarDay).at(-1),
    lastWeekDose: doseToBuildOn(planner.weekDoses, weekStart, monday)?.dose ?? 0,
    newId: world.newId,
  });
  return services.plans.save(BUILT_IN_COACH, traineeId, {
    id: world.newId(),
    weekStart,
    revision: world.newId(),
    basedOn: null,
    sessions: sessions.map((s) => ({ ...s, items: [...s.items] })),
    notes: [...notes],
    leftOut: [...leftOut],
  });
}

/** Nobody trains over an open stop sign; the steady one rests before today. */
function mayTrain({ story, traineeId }: Life, start: Date, { services, today }: World): boolean {
  if (story.steady && start >= addDays(today, -REST_DAYS)) return false;
  return services.symptoms.stopSigns(traineeId).every((s) => s.closure);
}

const ONE_IN_FIVE = 0.2;

/** Practices and preparations are done in two sets at least, whatever was left of them in the week: fewer count for no gate. */
const PRACTICE_SETS = 2;

function train({ traineeId, story, ladder }: Life, planned: PlanReply['sessions'][number], start: Date, ago: number, world: World): void {
  const { random, services } = world;
  world.at(addHours(start, 1));
  const hurtToday = story.setBack?.weeksAgo === ago && services.symptoms.stopSigns(traineeId).length === 0;
  const untidy = random() < ONE_IN_FIVE && !story.steady;
  const sessionId = world.newId();
  const items = planned.items.map((item): SessionDto['items'][number] => {
    const { dose, phase, faults } = services.library.current().drill(item.drillId);
    const sides: readonly BodySide[] = dose.perSide ? ['left', 'right'] : ['whole'];
    const practised = ladder.rungs.some((r) => r.practice === item.drillId) || ladder.preparation?.includes(item.drillId);
    const sets = practised ? Math.max(PRACTICE_SETS, item.sets) : item.sets;
    return {
      id: world.newId(),
      drillId: item.drillId,
      plannedSets: item.sets,
      min: item.min,
      max: item.max,
      sets: Array.from({ length: sets }, (_, i) => i).flatMap((i) =>
        sides.map((side) => {
          const stumbles = untidy && LOADING_PHASES.includes(phase) && i === sets - 1 && random() < 0.5;
          const seen = faults[0];
          return {
            id: world.newId(),
            side,
            amount: stumbles ? item.min : item.max,
            faults: stumbles && seen ? [{ faultId: seen, mended: random() < 0.5 }] : [],
          };
        }),
      ),
    };
  });
  const symptoms: SymptomDto[] = hurtToday
    ? [
        {
          id: world.newId(),
          sessionId,
          at: instant(addHours(start, 0.5)),
          intensity: 6,
          place: 'shoulder',
          side: 'left',
          kind: story.setBack.closedWeeksAgo === undefined ? 'pinch' : 'sharp',
          moment: 'during',
          note: 'In the last set.',
        },
      ]
    : [];
  services.sessions.log(BUILT_IN_COACH, traineeId, {
    id: sessionId,
    plannedSessionId: planned.id,
    performedAt: instant(start),
    effort: 4 + Math.floor(random() * 4),
    minutes: Math.round(sessionMinutes(planned.items, services.library.current()) + random() * 5),
    note: '',
    items,
    symptoms,
  });
  const morning = addHours(addDays(start, 1), 8 - TRAINING_HOUR);
  if (morning >= world.today || (story.morningOpen && ago === 0)) return;
  world.at(morning);
  const quiet = !hurtToday;
  services.symptoms.report(BUILT_IN_COACH, traineeId, {
    id: world.newId(),
    sessionId,
    at: instant(morning),
    intensity: quiet ? 0 : 3,
    place: 'shoulder',
    side: quiet ? 'whole' : 'left',
    kind: quiet ? 'none' : 'ache',
    moment: 'next morning',
    note: '',
  });
}

function signIfOpen({ story, traineeId, ladder }: Life, ago: number, moment: Date, world: World): void {
  if ((story.unsignedWeeks && ago < story.unsignedWeeks) || moment >= world.today) return;
  world.at(moment);
  const judge = () => world.services.readiness.verdict(traineeId, ladder.id);
  const { gate, rung } = judge();
  if (gate?.open && rung)
    world.services.clearances.sign(
      BUILT_IN_COACH,
      traineeId,
      { id: world.newId(), ladderId: ladder.id, rungId: rung.id, initials: 'BC' },
      judge,
    );
}
