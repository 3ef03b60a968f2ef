import type { AuditRow, CopiesReply } from '@myokinet/core/contracts';
import type { Services } from '../services.ts';

/** What accounts need of the studios' files; the files need to know nothing of accounts. */
export interface StudioFiles {
  /** @throws Refusal `studio-damaged` */
  servicesOf(studioId: string): Services;
  isDamaged(studioId: string): boolean;
  /** Names a person as records of the studio show them. */
  introduce(studioId: string, person: { readonly id: string; readonly name: string; readonly initials: string }): void;
  newestOfAudit(studioId: string, limit: number): readonly AuditRow[];
  copiesState(): Omit<CopiesReply, 'copies'>;
}
