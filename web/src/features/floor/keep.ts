import type { FloorPhotoDto, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import type { FloorEvent, FloorHead } from '@myokinet/core/floor';
import type { LibraryContent } from '@myokinet/core/library';
import type { Capacity } from '@myokinet/core/measuring';
import type { Foothold, LastLoaded } from '@myokinet/core/planning';
import type { Instant } from '@myokinet/core/quantities';
import type { Schools } from '@myokinet/core/schools';
import { EVENT_BASES } from '../../client/eventBases.ts';
import { type EventKeep, eventKeep } from '../../client/eventKeep.ts';

/** Everything a run needs, taken along so that it goes on without the server. */
export interface FloorPack {
  /** Of the run. */
  readonly id: string;
  readonly head: FloorHead;
  readonly trainee: TraineeReply;
  readonly content: LibraryContent;
  readonly schools: Schools;
  readonly foothold: Foothold;
  /** Drills done before, and when joints were loaded last; a pack from before does not say. */
  readonly knownDrills?: readonly string[];
  readonly lastLoaded?: LastLoaded;
  readonly history: RecordReply;
  /** The newest of each check and side. */
  readonly capacities: readonly Capacity[];
  readonly packedAt: Instant;
  /** Taken along for later: nobody has begun it, and the server knows nothing of it. */
  readonly taken?: true;
}

export interface KeptPhoto {
  readonly id: string;
  readonly runId: string;
  readonly photo: FloorPhotoDto;
}

/** Where this device keeps what happened, until the server has it and after. */
export type FloorKeep = EventKeep<FloorPack, FloorEvent, KeptPhoto>;

export const floorKeep = (name: string = EVENT_BASES.floor): FloorKeep => eventKeep<FloorPack, FloorEvent, KeptPhoto>(name);
