import type { RunCellDto, RunPatchDto, RunReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { Skip } from '@myokinet/core/measuring';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import type { TraineeStore } from '../trainees/store.ts';
import * as sql from './statements.ts';

type RunRow = Omit<RunReply, 'cells' | 'skips'>;
type CellRow = Omit<RunCellDto, 'reading'> & { readonly reading: string | null };

/**
 * Batteries that are being taken. Devices send what changed, figure by figure, and the newest figure
 * counts, so two devices at one trainee's side never lose each other's trials.
 */
export function runStore({ db, who, now }: Context, trainees: TraineeStore) {
  const runOf = db.prepare<{ traineeId: string }, RunRow>(sql.RUN_OF_TRAINEE);
  const cellsOf = db.prepare<{ runId: string }, CellRow>(sql.CELLS_OF_RUN);
  const skipsOf = db.prepare<{ runId: string }, Skip>(sql.SKIPS_OF_RUN);
  const upsertRun = db.prepare(sql.UPSERT_RUN);
  const upsertCell = db.prepare(sql.UPSERT_CELL);
  const upsertSkip = db.prepare(sql.UPSERT_SKIP);
  const deleteSkip = db.prepare(sql.DELETE_SKIP);
  const deleteRun = db.prepare(sql.DELETE_RUN);
  const finished = db.prepare<[string]>('SELECT 1 FROM check_occasion WHERE id = ?').pluck();

  function find(traineeId: string): RunReply | null {
    const run = runOf.get({ traineeId });
    if (!run) return null;
    const cells = cellsOf.all({ runId: run.id }).map(({ reading, ...cell }) => ({
      ...cell,
      ...(reading ? { reading: JSON.parse(reading) as NonNullable<RunCellDto['reading']> } : {}),
    }));
    return { ...run, cells, skips: skipsOf.all({ runId: run.id }) };
  }

  return {
    of(traineeId: string): RunReply | null {
      trainees.find(traineeId);
      return find(traineeId);
    },

    /** Takes in what changed. A run that is open already takes it, whatever id the device gave its own. */
    patch: (traineeId: string, patch: RunPatchDto): RunReply => {
      trainees.find(traineeId);
      return db
        .transaction(() => {
          if (finished.get(patch.id)) throw new Refusal('run-finished');
          upsertRun.run({ ...patch, cells: null, skips: null, traineeId, ...who, touchedAt: instant(now()) });
          const runId = runOf.get({ traineeId })?.id ?? patch.id;
          for (const { reading, ...cell } of patch.cells)
            upsertCell.run({ ...cell, runId, reading: reading ? JSON.stringify(reading) : null });
          for (const { measureId, reason } of patch.skips)
            if (reason) upsertSkip.run({ runId, measureId, reason });
            else deleteSkip.run({ runId, measureId });
          const run = find(traineeId);
          if (!run) throw new Error(`The run ${runId} was written and is not there.`);
          return run;
        })
        .immediate();
    },

    /** The run has become a check, or was given up. */
    end(traineeId: string, id: string): void {
      deleteRun.run({ traineeId, id });
    },
  };
}

export type RunStore = ReturnType<typeof runStore>;
