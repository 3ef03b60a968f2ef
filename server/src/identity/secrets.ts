import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** argon2id (the package numbers it 2); memory in KiB, passes and lanes: what OWASP's password storage sheet gives as the least for argon2id (from memory). */
const ARGON = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

const TOKEN_BYTES = 32;
/** Letters and digits that are not mistaken for one another, without vowels. */
const CODE_LETTERS = 'BCDFGHJKMNPQRSTVWXYZ23456789';
const CODE_LENGTH = 16;
const CODE_GROUP = 4;

export const hashPassword = (password: string): Promise<string> => hash(password.normalize('NFKC'), ARGON);

export const passwordFits = (stored: string, password: string): Promise<boolean> => verify(stored, password.normalize('NFKC'));

/** What a device shows to be known again: 256 random bits. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url');

/** What is stored of a token or a code, which are long enough to need no slow hash. */
export const digestOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

/** What a page has to send along with whatever changes something: known to whoever may read the session's answers, and to nobody else. */
export const pageTokenOf = (token: string, studioId: string | null): string => digestOf(`page ${token} ${studioId ?? ''}`);

/** A code to be read out or written down: 76 random bits in four groups. */
export function newCode(): string {
  const letters = Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('');
  return letters.match(new RegExp(`.{${CODE_GROUP}}`, 'g'))?.join('-') ?? letters;
}

/** A code as it was made, however it was typed. */
export const plainCode = (typed: string): string => typed.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');
