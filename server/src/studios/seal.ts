import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';

/** First bytes of a sealed file: what it is, and by which way it was made. */
const MARK = Buffer.from('MYOKINET-SEALED-1\n');
const SALT_BYTES = 16;
const NONCE_BYTES = 12;
const TAG_BYTES = 16;
const KEY_BYTES = 32;
/** About a tenth of a second, 64 MB. */
const SCRYPT = { N: 2 ** 16, r: 8, p: 1, maxmem: 128 * 1024 * 1024 } as const;
const OWNER_ONLY = 0o600;

/** A sealed copy that does not open: another passphrase, or other bytes than were written. */
export class SealBroken extends Error {
  constructor() {
    super('The copy does not open with this passphrase.');
  }
}

const keyFrom = (passphrase: string, salt: Buffer): Buffer => scryptSync(passphrase.normalize('NFKC'), salt, KEY_BYTES, SCRYPT);

/** Compresses and encrypts a file (AES-256-GCM, the key by scrypt from the passphrase); no changed byte goes unnoticed. */
export function sealFile(from: string, to: string, passphrase: string): void {
  const salt = randomBytes(SALT_BYTES);
  const nonce = randomBytes(NONCE_BYTES);
  const cipher = createCipheriv('aes-256-gcm', keyFrom(passphrase, salt), nonce);
  cipher.setAAD(MARK);
  const body = Buffer.concat([cipher.update(gzipSync(readFileSync(from))), cipher.final()]);
  writeFileSync(to, Buffer.concat([MARK, salt, nonce, cipher.getAuthTag(), body]), { mode: OWNER_ONLY });
}

/** @throws SealBroken */
export function unsealFile(from: string, to: string, passphrase: string): void {
  const sealed = readFileSync(from);
  let at = MARK.length;
  const take = (bytes: number) => sealed.subarray(at, (at += bytes));
  if (!sealed.subarray(0, MARK.length).equals(MARK)) throw new SealBroken();
  const [salt, nonce, tag] = [take(SALT_BYTES), take(NONCE_BYTES), take(TAG_BYTES)];
  try {
    const decipher = createDecipheriv('aes-256-gcm', keyFrom(passphrase, salt), nonce);
    decipher.setAAD(MARK);
    decipher.setAuthTag(tag);
    const plain = Buffer.concat([decipher.update(sealed.subarray(at)), decipher.final()]);
    writeFileSync(to, gunzipSync(plain), { mode: OWNER_ONLY });
  } catch {
    throw new SealBroken();
  }
}
