import type { PlanReply, ReadinessReply, TraineeReply } from '@myokinet/core/contracts';
import {
  cuesOf,
  EQUIPMENT,
  type Equipment,
  plannedDoseInWords,
  standInsFor,
  standInsInWords,
  takesTurns,
  tempoInWords,
} from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import type { Library } from '@myokinet/core/library';
import { type Alone, aloneInWords, type PlanBrief, PLACES, practisedAlone, SESSION_FORMS, sessionMinutes } from '@myokinet/core/planning';
import type { Schools } from '@myokinet/core/schools';
import { type KnownBody, setUpInWords, supportOn } from '@myokinet/core/statics';
import { lockInWords, SIGN_WORDS } from '@myokinet/core/words';
import { format, parseISO } from 'date-fns';
import type { PaperBlock, PaperDocument, PaperDrill } from './paperDocument.ts';

type Session = PlanReply['sessions'][number];

interface HandOutFacts {
  readonly trainee: TraineeReply;
  readonly body: KnownBody;
  readonly readiness: Pick<ReadinessReply, 'ladderId' | 'standing' | 'planner' | 'stopSigns'>;
  readonly brief: PlanBrief;
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly schools: Schools;
  readonly now: Date;
}

/** What of a drill is told on paper. */
export interface HandOutWith {
  readonly figures: boolean;
  readonly steps: boolean;
}

type Practised = Extract<Alone<Session['items'][number]>, { readonly dose: unknown }>;

/**
 * Why nothing is handed out for practice alone: a stop sign or a lock stands. Empty where there is none.
 */
export function heldBack({ trainee, readiness, now }: Pick<HandOutFacts, 'trainee' | 'readiness' | 'now'>): readonly string[] {
  return [
    ...readiness.stopSigns.filter((s) => !s.closure).map((s) => s.reason),
    ...trainee.screening.locks.map((lock) => lockInWords(lock, now)),
  ];
}

/**
 * Sessions as they are taken home: what may be practised without a coach, at no more than may be, with boxes to tick. What is left out
 * is named with its reason; behind a stop sign or a lock there is nothing to take home.
 */
export function handOutSheets(sessions: readonly Session[], facts: HandOutFacts, told: HandOutWith): PaperDocument['sheets'] {
  return sessions.map((session) => sessionSheet(session, facts, told));
}

function sessionSheet(session: Session, facts: HandOutFacts, told: HandOutWith): PaperDocument['sheets'][number] {
  const { library, readiness, trainee } = facts;
  const { ladderId, standing, planner } = readiness;
  const practice = practisedAlone(session.items, {
    library,
    cautions: trainee.screening.cautions,
    knownDrills: planner.knownDrills,
    lastLoaded: planner.lastLoaded,
    foothold: { ladderId, here: standing.here, shown: planner.shown },
  });
  const done = practice.flatMap((p) => ('not' in p ? [] : [p]));
  const left = practice.flatMap((p) => ('not' in p ? [`${p.drill.name}: ${aloneInWords(p, library) ?? ''}`] : []));
  const minutes = Math.max(
    1,
    Math.round(
      sessionMinutes(
        done.map((p) => ({ ...p.item, ...p.dose })),
        library,
        session.form,
      ),
    ),
  );
  const needed = neededIn(done, session, facts.brief);
  const form = session.form && session.form !== 'sets' ? [`${SESSION_FORMS[session.form].name}: ${SESSION_FORMS[session.form].says}`] : [];
  const blocks: PaperBlock[] = [
    ...done.map((p) => drillBlock(p, session, facts, told)),
    ...(left.length > 0 ? [{ is: 'list', heading: 'Not for practice on your own', lines: left } as const] : []),
    { is: 'notice', heading: 'Stop for today, and tell your coach', lines: STOPS },
    { is: 'write', heading: 'How it went', lines: 2 },
  ];
  return {
    heading: format(parseISO(session.day), 'EEEE d MMMM yyyy'),
    under: [
      [`About ${minutes} min`, ...(session.place ? [PLACES[session.place]] : [])].join(', '),
      ...(needed.length > 0 ? [`You need: ${needed.join(', ')}`] : []),
      ...form,
    ],
    blocks,
  };
}

/** Said on every sheet; signs of an emergency come first. */
export const STOPS: readonly string[] = [
  'With pain that is sharp, that grows from set to set, or that changes how you move; with numbness or tingling.',
  `Call emergency care with: ${[SIGN_WORDS['chest-breath'], SIGN_WORDS['face-speech-sight'], SIGN_WORDS.deformity].map((w) => w.toLowerCase()).join('; ')}.`,
];

function neededIn(practice: readonly Practised[], session: Session, brief: PlanBrief): readonly string[] {
  const there = brief.equipment[session.place ?? 'gym'];
  const needed = new Set<Equipment>(practice.flatMap((p) => p.drill.equipment));
  return [...needed].map((e) => {
    const instead = practice.map((p) => p.drill.standIns[e]).find((s) => s !== undefined);
    return there.includes(e) || instead === undefined ? EQUIPMENT[e] : `${EQUIPMENT[e]} (or ${instead})`;
  });
}

function drillBlock(practised: Practised, session: Session, facts: HandOutFacts, told: HandOutWith): PaperDrill {
  const { drill, dose, item } = practised;
  const tempo = tempoInWords(drill.dose);
  const standIn = standInsInWords(standInsFor(drill, facts.brief.equipment[session.place ?? 'gym']));
  const less = aloneInWords(practised, facts.library);
  const setUp = drill.support && arranged(facts.body, drill.support);
  const pace = [...(tempo ? [tempo] : []), ...(item.restSeconds > 0 && dose.sets > 1 ? [`rest ${item.restSeconds} s`] : [])].join('; ');
  return {
    is: 'drill',
    name: drill.name,
    dose: plannedDoseInWords(dose, drill, facts.schools.progress),
    lines: [
      ...(pace ? [`${pace[0]?.toUpperCase() ?? ''}${pace.slice(1)}.`] : []),
      ...(setUp ? [`Set-up: ${setUp}.`] : []),
      ...(standIn ? [standIn] : []),
      ...(less ? [less] : []),
      cuesOf(drill, facts.schools).join(' '),
      ...(told.steps && drill.teaching ? [`Felt: ${drill.teaching.felt}`] : []),
    ],
    steps: told.steps ? (drill.teaching?.steps.map((s) => s.text) ?? []) : [],
    boxes:
      drill.dose.perSide && !takesTurns(drill.dose)
        ? [
            { label: 'Left', count: dose.sets },
            { label: 'Right', count: dose.sets },
          ]
        : [{ label: 'Sets', count: dose.sets }],
    ...(told.figures ? { figure: drill } : {}),
  };
}

/** How the set-up is arranged on this body; the page of the plan says what is wrong where it cannot be. */
function arranged(body: KnownBody, support: NonNullable<Practised['drill']['support']>): string | undefined {
  try {
    return setUpInWords(supportOn(body, support).setUp);
  } catch (error) {
    if (error instanceof Refusal) return undefined;
    throw error;
  }
}
