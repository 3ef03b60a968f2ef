import type {
  BeforeSessionDto,
  BeforeSessionReply,
  BloodPressureDto,
  BloodPressureReply,
  GuardianConsentDto,
  GuardianConsentReply,
  HealthReply,
} from '@myokinet/core/contracts';
import type { Action } from '@myokinet/core/accounts';
import { Refusal } from '@myokinet/core/errors';
import { type CalendarDay, type Instant, instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import { groupRows } from '../database/groupRows.ts';
import * as sql from './healthStatements.ts';
import { TRAINEE_OF_STUDIO } from './statements.ts';

interface OfTrainee {
  readonly traineeId: string;
}
type FormRow = OfTrainee &
  Omit<BeforeSessionReply, 'yes' | 'ill' | 'replaces'> & {
    replaces: string | null;
    yes: string;
    illSince: CalendarDay | null;
    clearSince: Instant | null;
  };
type PressureRow = OfTrainee & BloodPressureReply;
type ConsentRow = OfTrainee & Omit<GuardianConsentReply, 'agreed'> & { agreed: 0 | 1 };

/** Short forms before sessions, blood pressure, and guardians' consents. */
export function healthStore(context: Context) {
  const { db, studioId, now } = context;
  const traineeOfStudio = db.prepare<{ traineeId: string; studioId: string }, { id: string }>(TRAINEE_OF_STUDIO);
  const formsOf = db.prepare<{ traineeId: string }, FormRow>(sql.FORMS_OF_TRAINEE);
  const formsOfStudio = db.prepare<{ studioId: string }, FormRow>(sql.FORMS_OF_STUDIO);
  const pressuresOf = db.prepare<{ traineeId: string }, PressureRow>(sql.PRESSURES_OF_TRAINEE);
  const pressuresOfStudio = db.prepare<{ studioId: string }, PressureRow>(sql.PRESSURES_OF_STUDIO);
  const consentsOf = db.prepare<{ traineeId: string }, ConsentRow>(sql.CONSENTS_OF_TRAINEE);
  const consentsOfStudio = db.prepare<{ studioId: string }, ConsentRow>(sql.CONSENTS_OF_STUDIO);
  const insertForm = db.prepare(sql.INSERT_FORM);
  const insertPressure = db.prepare(sql.INSERT_PRESSURE);
  const insertConsent = db.prepare(sql.INSERT_CONSENT);

  const of = (traineeId: string): HealthReply => ({
    before: formsOf.all({ traineeId }).map(formReply),
    pressures: pressuresOf.all({ traineeId }).map(plain),
    consents: consentsOf.all({ traineeId }).map(consentReply),
  });

  function record(
    { actor, action, traineeId }: { actor: Actor; action: Action; traineeId: string },
    dto: { readonly id: string },
    insert: (head: object) => void,
  ): HealthReply {
    mustMay(actor, action);
    if (!traineeOfStudio.get({ traineeId, studioId })) throw new Refusal('trainee-missing');
    acceptOnce(context, dto.id, { traineeId, dto }, () =>
      insert({ traineeId, studioId, coachId: actor.coachId, recordedAt: instant(now()) }),
    );
    return of(traineeId);
  }

  return {
    of,

    /** Of everybody in the studio, gathered once. */
    ofStudio(): (traineeId: string) => HealthReply {
      const [forms, pressures, consents] = [
        groupRows(formsOfStudio.all({ studioId }), (r) => r.traineeId),
        groupRows(pressuresOfStudio.all({ studioId }), (r) => r.traineeId),
        groupRows(consentsOfStudio.all({ studioId }), (r) => r.traineeId),
      ];
      return (id) => ({
        before: (forms.get(id) ?? []).map(formReply),
        pressures: (pressures.get(id) ?? []).map(plain),
        consents: (consents.get(id) ?? []).map(consentReply),
      });
    },

    beforeSession: (actor: Actor, traineeId: string, dto: BeforeSessionDto): HealthReply =>
      record({ actor, action: 'log', traineeId }, dto, (head) =>
        insertForm.run({
          ...head,
          ...{ id: dto.id, at: dto.at, yes: JSON.stringify(dto.yes) },
          ...{ illSince: dto.ill?.since ?? null, clearSince: dto.ill?.clearSince ?? null, replaces: dto.replaces ?? null },
        }),
      ),

    bloodPressure: (actor: Actor, traineeId: string, dto: BloodPressureDto): HealthReply =>
      record({ actor, action: 'log', traineeId }, dto, (head) => insertPressure.run({ ...head, ...dto })),

    consent: (actor: Actor, traineeId: string, dto: GuardianConsentDto): HealthReply =>
      record({ actor, action: 'sign', traineeId }, dto, (head) => insertConsent.run({ ...head, ...dto, agreed: dto.agreed ? 1 : 0 })),
  };
}

export type HealthStore = ReturnType<typeof healthStore>;

function plain<T extends OfTrainee>({ traineeId: _, ...row }: T): Omit<T, 'traineeId'> {
  return row;
}

function formReply({ traineeId: _, yes, illSince, clearSince, replaces, ...row }: FormRow): BeforeSessionReply {
  return {
    ...row,
    yes: JSON.parse(yes) as BeforeSessionReply['yes'],
    ...(replaces === null ? {} : { replaces }),
    ...(illSince ? { ill: { since: illSince, ...(clearSince ? { clearSince } : {}) } } : {}),
  };
}

function consentReply({ traineeId: _, agreed, ...row }: ConsentRow): GuardianConsentReply {
  return { ...row, agreed: agreed === 1 };
}
