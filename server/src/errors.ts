import { ERROR_CATALOGUE, type ErrorCode, Refusal } from '@myokinet/core/errors';
import type { ProblemReply } from '@myokinet/core/contracts';
import type { FastifyError } from 'fastify';

/** Status of each refusal that can reach the border; the rest of the catalogue is bad input: 422. */
const STATUS: Partial<Record<ErrorCode, number>> = {
  'contract-broken': 422,
  'trainee-missing': 404,
  'plan-missing': 404,
  'template-missing': 404,
  'session-missing': 404,
  'symptom-missing': 404,
  'trial-missing': 404,
  'clearance-missing': 404,
  'floor-run-missing': 404,
  'picture-missing': 404,
  'scale-reading-missing': 404,
  'battery-finished': 409,
  'screening-missing': 409,
  'entry-missing': 404,
  'route-missing': 404,
  'id-reused': 409,
  'edited-elsewhere': 409,
  'gate-closed': 409,
  'clearance-not-standing': 409,
  'stop-sign-not-open': 409,
  'body-too-large': 413,
  'body-unreadable': 400,
  unexpected: 500,
};

const BAD_INPUT = 422;

export function problemOf(refusal: Refusal): ProblemReply {
  return {
    type: `urn:myokinet:problem:${refusal.code}`,
    title: ERROR_CATALOGUE[refusal.code],
    status: STATUS[refusal.code] ?? BAD_INPUT,
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
  if (statusCode !== undefined && statusCode >= 400 && statusCode < 500) return new Refusal('body-unreadable');
  return new Refusal('unexpected');
}
