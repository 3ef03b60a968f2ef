/** A document as it stands in its row: text, and the version of its contract that it was written by. */
export interface StoredDocument {
  readonly document: string;
  readonly version: number;
}
