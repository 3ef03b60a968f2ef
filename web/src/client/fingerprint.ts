import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** What the same bytes always give and others never: the browser's own digest is there only where a page is served securely. */
export function fingerprint(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}
