import { ERROR_CATALOGUE, Refusal } from '@myokinet/core/errors';
import type { ProblemReply } from '@myokinet/core/contracts';
import type { FastifyError } from 'fastify';

export function problemOf(refusal: Refusal): ProblemReply {
  const [status, title] = ERROR_CATALOGUE[refusal.code];
  return {
    type: `urn:myokinet:problem:${refusal.code}`,
    title,
    status,
    detail: refusal.detail,
    code: refusal.code,
    ...(refusal.fields.length > 0 ? { fields: refusal.fields } : {}),
  };
}

/** Turns whatever was thrown into a refusal; what nobody foresaw says nothing about the inside. */
export function refusalFrom(error: unknown, bodyLimit: number): Refusal {
  if (error instanceof Refusal) return error;
  const { code, statusCode } = error as FastifyError;
  if (code === 'FST_ERR_CTP_BODY_TOO_LARGE')
    return new Refusal('body-too-large', `The request is larger than the limit of ${Math.round(bodyLimit / 1024)} kB.`);
  if (code === 'SQLITE_CONSTRAINT_PRIMARYKEY' || code === 'SQLITE_CONSTRAINT_UNIQUE')
    return new Refusal('id-reused', 'An id in this request already stands for something else.');
  if (code === 'SQLITE_FULL' || code === 'ENOSPC') return new Refusal('no-space');
  if (code?.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB') return new Refusal('studio-damaged');
  if (code === 'SQLITE_BUSY' || code === 'SQLITE_LOCKED') return new Refusal('busy');
  if (statusCode !== undefined && statusCode >= 400 && statusCode < 500) return new Refusal('body-unreadable');
  return new Refusal('unexpected');
}
