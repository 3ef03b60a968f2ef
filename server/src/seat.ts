import type { FastifyRequest } from 'fastify';
import type { Services } from './services.ts';
import type { Actor } from './actor.ts';

declare module 'fastify' {
  interface FastifyContextConfig {
    /** Answered to whoever asks, signed in or not. */
    open?: boolean;
  }
  interface FastifyRequest {
    /** The studio that the request is about: no other can be reached through it. */
    studio: Services;
    actor: Actor;
  }
}

/** For whom a request speaks, and in which studio. */
export interface Seat {
  readonly studio: Services;
  readonly actor: Actor;
}

/**
 * Finds the seat of a request.
 *
 * @throws Refusal `not-signed-in`
 */
export type FindSeat = (request: FastifyRequest) => Seat;

/** A studio without a door: whoever reaches the program is its one coach. For the demo and for tests; never beyond this machine. */
export function openSeat(studio: Services, actor: Actor): FindSeat {
  return () => ({ studio, actor });
}
