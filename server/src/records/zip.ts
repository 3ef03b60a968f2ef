import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';

/** A file of an archive; its parts are asked for one after the other, when there is room for them. */
export interface ZipEntry {
  readonly name: string;
  /** Compressed already. */
  readonly dense?: boolean;
  readonly parts: Iterable<string | Uint8Array>;
}

const NOTHING = new Uint8Array();

/** An archive in the ZIP format, piece by piece: never all of it in memory. */
export function* zipped(entries: Iterable<ZipEntry>): Generator<Uint8Array> {
  const ready: Uint8Array[] = [];
  const text = new TextEncoder();
  const zip = new Zip((error, piece) => {
    if (error) throw error;
    ready.push(piece);
  });
  for (const { name, dense = false, parts } of entries) {
    const file = dense ? new ZipPassThrough(name) : new ZipDeflate(name, { level: 6 });
    zip.add(file);
    for (const part of parts) {
      file.push(typeof part === 'string' ? text.encode(part) : part);
      yield* ready.splice(0);
    }
    file.push(NOTHING, true);
    yield* ready.splice(0);
  }
  zip.end();
  yield* ready.splice(0);
}
