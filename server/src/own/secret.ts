import { Refusal } from '@myokinet/core/errors';

const DOT = '.';

/** A secret that says in which studio’s file it is looked for: without that every file would have to be asked. */
export function withStudio(studioId: string, secret: string): string {
  return Buffer.from(studioId.replaceAll('-', ''), 'hex').toString('base64url') + DOT + secret;
}

/**
 * The studio and the secret of what a phone shows.
 *
 * @throws Refusal `link-unknown`
 */
export function studioAndSecret(shown: unknown): { readonly studioId: string; readonly secret: string } {
  const [studio, secret] = typeof shown === 'string' ? shown.split(DOT) : [];
  const hex = Buffer.from(studio ?? '', 'base64url').toString('hex');
  const parts = /^(.{8})(.{4})(.{4})(.{4})(.{12})$/.exec(hex)?.slice(1);
  if (!parts || !secret) throw new Refusal('link-unknown');
  return { studioId: parts.join('-'), secret };
}
