import type { BatteryCellDto, BatteryPatchDto, BatteryReply, OpenBattery } from '@myokinet/core/contracts';
import { bothNotes } from '@myokinet/core/checking';
import { Refusal } from '@myokinet/core/errors';
import type { Skip } from '@myokinet/core/measuring';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type BatteryRow = Omit<BatteryReply, 'cells' | 'skips'>;
type CellRow = Omit<BatteryCellDto, 'reading'> & { readonly reading: string | null };

/**
 * Batteries that are being taken. Devices send what changed, figure by figure, and the newest figure
 * counts, so two devices at one trainee's side never lose each other's trials.
 */
export function batteryStore({ db, studioId, now }: Context, trainees: TraineeStore) {
  const batteryOf = db.prepare<{ traineeId: string }, BatteryRow>(sql.BATTERY_OF_TRAINEE);
  const cellsOf = db.prepare<{ batteryId: string }, CellRow>(sql.CELLS_OF_BATTERY);
  const skipsOf = db.prepare<{ batteryId: string }, Skip>(sql.SKIPS_OF_BATTERY);
  const savedLately = db.prepare<{ traineeId: string }, { id: string }>(sql.SAVED_LATELY);
  const upsertBattery = db.prepare(sql.UPSERT_BATTERY);
  const upsertCell = db.prepare(sql.UPSERT_CELL);
  const upsertSkip = db.prepare(sql.UPSERT_SKIP);
  const deleteSkip = db.prepare(sql.DELETE_SKIP);
  const deleteBattery = db.prepare(sql.DELETE_BATTERY);
  const finished = db.prepare<[string]>('SELECT 1 FROM check_occasion WHERE id = ?').pluck();

  function find(traineeId: string): BatteryReply | null {
    const battery = batteryOf.get({ traineeId });
    if (!battery) return null;
    const cells = cellsOf.all({ batteryId: battery.id }).map(({ reading, ...cell }) => ({
      ...cell,
      ...(reading ? { reading: JSON.parse(reading) as NonNullable<BatteryCellDto['reading']> } : {}),
    }));
    return { ...battery, cells, skips: skipsOf.all({ batteryId: battery.id }) };
  }

  return {
    of(traineeId: string): OpenBattery {
      trainees.find(traineeId);
      return { battery: find(traineeId), saved: savedLately.all({ traineeId }).map((c) => c.id) };
    },

    /** Takes in what changed. A battery that is open already takes it, whatever id the device gave its own. */
    patch: (actor: Actor, traineeId: string, patch: BatteryPatchDto): void => {
      mustMay(actor, 'measure');
      trainees.find(traineeId);
      db.transaction(() => {
        if (finished.get(patch.id)) throw new Refusal('battery-finished');
        const { noteBefore, ...about } = patch;
        const known = batteryOf.get({ traineeId });
        const note = known ? bothNotes(known.note, patch.note, noteBefore ?? known.note) : patch.note;
        upsertBattery.run({
          ...about,
          note,
          cells: null,
          skips: null,
          traineeId,
          studioId,
          coachId: actor.coachId,
          touchedAt: instant(now()),
        });
        const batteryId = batteryOf.get({ traineeId })?.id ?? patch.id;
        for (const { reading, ...cell } of patch.cells)
          upsertCell.run({ ...cell, batteryId, reading: reading ? JSON.stringify(reading) : null });
        for (const { measureId, reason } of patch.skips)
          if (reason) upsertSkip.run({ batteryId, measureId, reason });
          else deleteSkip.run({ batteryId, measureId });
      }).immediate();
    },

    /** It has become a check, or was given up. */
    end(actor: Actor, traineeId: string, id: string): void {
      mustMay(actor, 'measure');
      deleteBattery.run({ traineeId, id });
    },
  };
}

export type BatteryStore = ReturnType<typeof batteryStore>;
