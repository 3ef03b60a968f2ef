import { createHash } from 'node:crypto';
import { Refusal } from '@myokinet/core/errors';
import { instant } from '@myokinet/core/quantities';
import type { Context } from '../context.ts';

/**
 * Runs a write exactly once, in one transaction. The same id with the same content is the same
 * request come again and changes nothing; the same id with other content is refused.
 *
 * @param id client-made UUID v7 of what is written
 * @param content everything the write depends on, path included
 */
export function acceptOnce({ db, studioId, now }: Context, id: string, content: unknown, write: () => void): void {
  const fingerprint = createHash('sha256').update(JSON.stringify(content)).digest('hex');
  db.transaction(() => {
    const known = db.prepare<[string], { content: string }>('SELECT content FROM accepted_write WHERE id = ?').get(id);
    if (known?.content === fingerprint) return;
    if (known) throw new Refusal('id-reused', `The id ${id} already stands for something else.`);
    db.prepare('INSERT INTO accepted_write (id, studio_id, content, accepted_at) VALUES (?, ?, ?, ?)').run(
      id,
      studioId,
      fingerprint,
      instant(now()),
    );
    write();
  }).immediate();
}
