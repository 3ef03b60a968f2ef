import type {
  ConsultationDto,
  ConsultationReply,
  HealthReply,
  ScreeningDto,
  ScreeningReply,
  ScreeningsReply,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Born, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import {
  type EmergencyFact,
  type Permit,
  type ScreeningAnswer,
  type ScreeningOutcome,
  screeningOutcome,
  SLIP_MINUTES,
  withoutSlips,
} from '@myokinet/core/safety';
import type { EmergencyStore } from '../emergencies/store.ts';
import type { Context } from '../context.ts';
import { type Actor, mustMay, mustSign } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import type { HealthStore } from './healthStore.ts';
import * as sql from './statements.ts';

type ScreeningRow = Omit<ScreeningReply, 'answers' | 'beighton'> & { traineeId: string; answers: string; beighton: string | null };
type ConsultationRow = Omit<ConsultationReply, 'cautionIds' | 'about' | 'permit'> & {
  traineeId: string;
  cautionIds: string;
  about: string;
  permit: string | null;
};

/** Who is screened, as far as the outcome depends on it. */
interface Person extends Born {
  readonly id: string;
}

/** What an outcome rests on, as rows. */
interface Facts {
  readonly screenings: readonly ScreeningRow[];
  readonly withdrawn: readonly ScreeningRow[];
  readonly consultations: readonly ConsultationRow[];
  readonly happened: readonly EmergencyFact[];
  readonly health: HealthReply;
}

export function screeningStore(context: Context, emergencies: EmergencyStore, health: HealthStore) {
  const { db, studioId, now } = context;
  const traineeOfStudio = db.prepare<{ traineeId: string; studioId: string }, { id: string }>(sql.TRAINEE_OF_STUDIO);
  const ofTrainee = db.prepare<{ traineeId: string }, ScreeningRow>(sql.SCREENINGS_OF_TRAINEE);
  const ofStudio = db.prepare<{ studioId: string }, ScreeningRow>(sql.SCREENINGS_OF_STUDIO);
  const consultationsOf = db.prepare<{ traineeId: string }, ConsultationRow>(sql.CONSULTATIONS_OF_TRAINEE);
  const consultationsOfStudio = db.prepare<{ studioId: string }, ConsultationRow>(sql.CONSULTATIONS_OF_STUDIO);
  type Slip = { slipMinutes: number };
  const withdrawnOf = db.prepare<Slip & { traineeId: string }, ScreeningRow>(sql.WITHDRAWN_OF_TRAINEE);
  const withdrawnOfStudio = db.prepare<Slip & { studioId: string }, ScreeningRow>(sql.WITHDRAWN_OF_STUDIO);
  const slip = { slipMinutes: SLIP_MINUTES };
  const insertScreening = db.prepare(sql.INSERT_SCREENING);
  const insertConsultation = db.prepare(sql.INSERT_CONSULTATION);

  const outcome = (
    { birthYear, birthDate }: Person,
    { screenings, withdrawn, consultations, happened, health }: Facts,
    moment = now(),
  ): ScreeningOutcome =>
    screeningOutcome(screenings.map(screeningReply), {
      withdrawn: withdrawn.map(screeningReply),
      birthYear,
      birthDate: birthDate ?? null,
      consultations: consultations.map(consultationReply),
      emergencies: happened.filter((e) => e.at <= instant(moment)),
      before: withoutSlips(health.before).filter((f) => f.at <= instant(moment)),
      pressures: health.pressures.filter((p) => p.takenAt <= instant(moment)),
      consents: health.consents.filter((c) => c.givenOn <= calendarDay(moment)),
      now: moment,
    });

  const factsOf = (traineeId: string): Facts => ({
    screenings: ofTrainee.all({ traineeId }),
    withdrawn: withdrawnOf.all({ traineeId, ...slip }),
    consultations: consultationsOf.all({ traineeId }),
    happened: emergencies.factsOf(traineeId),
    health: health.of(traineeId),
  });

  function mustExist(traineeId: string): void {
    if (!traineeOfStudio.get({ traineeId, studioId })) throw new Refusal('trainee-missing');
  }

  function reply(traineeId: string): ScreeningsReply {
    mustExist(traineeId);
    const [current, ...earlier] = ofTrainee.all({ traineeId }).map(screeningReply);
    return {
      ...(current ? { current } : {}),
      earlier,
      consultations: consultationsOf.all({ traineeId }).map(consultationReply),
      health: health.of(traineeId),
    };
  }

  return {
    reply,

    outcomeOf: (person: Person): ScreeningOutcome => outcome(person, factsOf(person.id)),

    /** The outcome as it was at a moment, by the answers and consultations that count today. */
    outcomeAt(person: Person, moment: Date): ScreeningOutcome {
      const until = instant(moment);
      const { screenings, withdrawn, consultations, happened, health: known } = factsOf(person.id);
      const then = (rows: readonly ScreeningRow[]) => rows.filter((s) => s.takenAt <= until);
      const heard = consultations.filter((c) => c.recordedAt <= until);
      return outcome(
        person,
        { screenings: then(screenings), withdrawn: then(withdrawn), consultations: heard, happened, health: known },
        moment,
      );
    },

    /** The outcome of everybody in the studio, gathered once. */
    outcomesOfStudio(): (person: Person) => ScreeningOutcome {
      const byTrainee = (rows: readonly ScreeningRow[]) => groupRows(rows, (s) => s.traineeId);
      const screenings = byTrainee(ofStudio.all({ studioId }));
      const withdrawn = byTrainee(withdrawnOfStudio.all({ studioId, ...slip }));
      const consultations = groupRows(consultationsOfStudio.all({ studioId }), (k) => k.traineeId);
      const happened = emergencies.factsOfStudio();
      const healthOf = health.ofStudio();
      return (person) =>
        outcome(person, {
          screenings: screenings.get(person.id) ?? [],
          withdrawn: withdrawn.get(person.id) ?? [],
          consultations: consultations.get(person.id) ?? [],
          happened: happened(person.id),
          health: healthOf(person.id),
        });
    },

    record(actor: Actor, traineeId: string, dto: ScreeningDto): ScreeningsReply {
      mustMay(actor, 'log');
      mustExist(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        if ((ofTrainee.all({ traineeId })[0]?.id ?? null) !== (dto.basedOn ?? null))
          throw new Refusal('edited-elsewhere', 'Somebody else answered the screening first. Look at those answers before you save yours.');
        insertScreening.run({
          ...dto,
          traineeId,
          studioId,
          coachId: actor.coachId,
          answers: JSON.stringify(dto.answers),
          beighton: dto.beighton ? JSON.stringify(dto.beighton) : null,
        });
      });
      return reply(traineeId);
    },

    /** Records that a licensed professional was consulted, and about which answers. */
    consult(actor: Actor, traineeId: string, dto: ConsultationDto): ScreeningsReply {
      mustSign(actor);
      mustExist(traineeId);
      acceptOnce(context, dto.id, { traineeId, dto }, () => {
        const screening = reply(traineeId).current;
        if (screening?.id !== dto.screeningId)
          throw new Refusal('screening-missing', 'The screening was answered anew in between. Look at it again before recording this.');
        const about: readonly Pick<ScreeningAnswer, 'questionId' | 'side'>[] = screening.answers
          .filter(({ answer }) => answer !== 'no')
          .map(({ questionId, side }) => ({ questionId, side }));
        insertConsultation.run({
          ...dto,
          traineeId,
          studioId,
          coachId: actor.coachId,
          recordedAt: instant(now()) satisfies Instant,
          permit: JSON.stringify(dto.permit),
          cautionIds: JSON.stringify(dto.cautionIds),
          about: JSON.stringify(about),
        });
      });
      return reply(traineeId);
    },
  };
}

/** An answered form never changes, so each is read once. */
const READ = new Map<string, ScreeningReply>();

function screeningReply(row: ScreeningRow): ScreeningReply {
  const known = READ.get(row.id);
  if (known) return known;
  const read = readScreening(row);
  READ.set(row.id, read);
  return read;
}

function readScreening({ traineeId: _, answers, beighton, ...row }: ScreeningRow): ScreeningReply {
  return {
    ...row,
    answers: JSON.parse(answers) as ScreeningReply['answers'],
    beighton: beighton === null ? null : (JSON.parse(beighton) as NonNullable<ScreeningReply['beighton']>),
  };
}

function consultationReply({ traineeId: _, cautionIds, about, permit, ...row }: ConsultationRow): ConsultationReply {
  return {
    ...row,
    cautionIds: JSON.parse(cautionIds) as ConsultationReply['cautionIds'],
    about: JSON.parse(about) as ConsultationReply['about'],
    ...(permit === null ? {} : { permit: JSON.parse(permit) as Permit }),
  };
}

export type ScreeningStore = ReturnType<typeof screeningStore>;
