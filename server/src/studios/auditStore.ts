import type { AuditRow } from '@myokinet/core/contracts';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';
import type { Actor } from '../actor.ts';

interface Done {
  /** Method and address of what was asked, without whom it was about. */
  readonly what: string;
  readonly traineeId: string | null;
  readonly address: string;
}

/** Of somebody who was erased not even the id. */
const INSERT = `
  INSERT INTO audit (at, coach_id, what, trainee_id, address) VALUES (@at, @coachId, @what, (SELECT id FROM trainee WHERE id = @traineeId), @address)`;

const NEWEST = `
  SELECT a.at, c.name, a.what, r.name AS about, a.address
  FROM audit a
  JOIN coach c ON c.id = a.coach_id
  LEFT JOIN trainee t ON t.id = a.trainee_id
  LEFT JOIN trainee_revision r ON r.id = t.current_revision
  ORDER BY a.id DESC
  LIMIT @limit`;

/** Who did what to whom in a studio, when, and from where. */
export function auditStore({ db, now }: Context) {
  const insert = db.prepare(INSERT);
  const newest = db.prepare<{ limit: number }, AuditRow>(NEWEST);
  return {
    note: ({ coachId }: Actor, done: Done): void => void insert.run({ ...done, coachId, at: instant(now()) }),
    newest: (limit: number): readonly AuditRow[] => newest.all({ limit }),
  };
}

export type AuditStore = ReturnType<typeof auditStore>;
