import { v7 } from 'uuid';

/** A sortable id made on this device, so that a repeated request is the same request. */
export const newId = (): string => v7();
