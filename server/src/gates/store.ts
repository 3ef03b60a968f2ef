import type { GateSettingsDto, GateSettingsReply, SavedGateSettings } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { DEFAULT_GATE_SETTINGS, type GateSettings } from '@myokinet/core/readiness';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type Row = Omit<SavedGateSettings, 'choices' | 'traineeId'> & { readonly traineeId: string | null; readonly choices: string };

/** What a studio has set about its gates, for everybody and for one trainee. */
export function gateSettingsStore(context: Context, trainees: TraineeStore) {
  const { db, studioId, now } = context;
  const ofStudio = db.prepare<{ studioId: string }, Row>(sql.SETTINGS_OF_STUDIO);
  const insert = db.prepare(sql.INSERT_SETTINGS);
  let known: readonly SavedGateSettings[] | undefined;

  /** Every change, oldest first. */
  function all(): readonly SavedGateSettings[] {
    known ??= ofStudio.all({ studioId }).map(({ traineeId, choices, ...row }) => ({
      ...row,
      ...(traineeId === null ? {} : { traineeId }),
      choices: JSON.parse(choices) as SavedGateSettings['choices'],
    }));
    return known;
  }

  const newest = (traineeId: string | undefined, until: string) => all().findLast((s) => s.traineeId === traineeId && s.savedAt <= until);

  /** What counts for a trainee at a moment: the studio's, and over it the trainee's own. */
  function settingsFor(traineeId: string, until: Instant): GateSettings {
    return { ...DEFAULT_GATE_SETTINGS, ...newest(undefined, until)?.choices, ...newest(traineeId, until)?.choices };
  }

  function reply(): GateSettingsReply {
    return { settings: { ...DEFAULT_GATE_SETTINGS, ...newest(undefined, instant(now()))?.choices }, changes: all().toReversed() };
  }

  return {
    settingsFor,
    reply,

    save(actor: Actor, dto: GateSettingsDto): GateSettingsReply {
      mustMay(actor, 'edit-library');
      const traineeId = dto.traineeId ?? undefined;
      if (traineeId) trainees.find(traineeId);
      try {
        acceptOnce(context, dto.id, dto, () => {
          const current = newest(traineeId, instant(now()))?.id ?? null;
          if (current !== (dto.basedOn ?? null)) throw new Refusal('edited-elsewhere', 'Somebody else set this first. Look at it again.');
          insert.run({
            ...{ id: dto.id, basedOn: dto.basedOn ?? null, reason: dto.reason },
            traineeId: traineeId ?? null,
            studioId,
            coachId: actor.coachId,
            savedAt: instant(now()),
            choices: JSON.stringify(dto.choices),
          });
        });
      } finally {
        known = undefined;
      }
      return reply();
    },
  };
}

export type GateSettingsStore = ReturnType<typeof gateSettingsStore>;
