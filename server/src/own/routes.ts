import {
  LinkOpenDto,
  MorningDto,
  NoteDto,
  NotesSeenDto,
  SessionDto,
  SymptomDto,
  TraineeLinkDto,
  validated,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { whenceOf } from '../identity/whence.ts';
import { slowDown } from '../identity/slowDown.ts';
import { calendarOf } from '../plans/calendarOf.ts';
import type { Services } from '../services.ts';
import type { OwnSeat } from './linkStore.ts';
import { studioAndSecret } from './secret.ts';

type OfTrainee = { Params: { id: string } };

/** What a phone shows: never in an address, where it would stand in logs and histories. */
const KEY_HEADER = 'x-myokinet-link';
/** Answered without a sign-in: a link opens them. */
const open = { config: { open: true } } as const;

/** A studio by the id under which its file is found, and what it is called. */
export type FindStudio = (id: string) => { readonly name: string; readonly services: Services } | undefined;

/** The coach’s side: how a trainee’s link stands. */
export function linkRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/link', ({ params, studio }) => studio.links.find(params.id));

  app.post<OfTrainee>('/api/trainees/:id/link', async ({ params, body, studio, actor }, reply) => {
    const made = await studio.links.make(actor, params.id, validated(TraineeLinkDto, body, studio.scope()));
    return reply.code(201).send(made);
  });

  app.delete<OfTrainee>('/api/trainees/:id/link', ({ params, studio, actor }) => studio.links.revoke(actor, params.id));

  app.get<OfTrainee>('/api/trainees/:id/notes', ({ params, studio }) => studio.notes.list(params.id));

  app.post<OfTrainee>('/api/trainees/:id/notes', ({ params, body, studio, actor }, reply) => {
    reply.code(201);
    return studio.notes.write(actor, params.id, validated(NoteDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/notes-seen', ({ params, body, studio, actor }) =>
    studio.notes.seen(actor, params.id, validated(NotesSeenDto, body, studio.scope())),
  );
}

/** The trainee’s side: everything that a private link opens, and nothing else. */
export function ownRoutes(app: FastifyInstance, studioOf: FindStudio, now: () => Date): void {
  const slow = slowDown(now);

  function studioAt(shown: unknown): { readonly studio: Services; readonly name: string; readonly secret: string } {
    const { studioId, secret } = studioAndSecret(shown);
    const found = studioOf(studioId);
    if (!found) throw new Refusal('link-unknown');
    return { studio: found.services, name: found.name, secret };
  }

  function seatAt(request: FastifyRequest): OwnSeat & { readonly studio: Services; readonly name: string } {
    const { studio, name, secret } = studioAt(request.headers[KEY_HEADER]);
    return { studio, name, ...studio.links.seatOfDevice(secret) };
  }

  app.post('/api/own/open', open, async (request) => {
    const { link, pin } = validated(LinkOpenDto, request.body, { now: now() });
    const { studio, secret } = studioAt(link);
    slow.mayTry(link);
    try {
      const opened = await studio.links.open(secret, { pin }, whenceOf(request).device);
      slow.worked(link);
      return opened;
    } catch (error) {
      if (error instanceof Refusal && error.code === 'link-pin-wrong') slow.failed(link);
      throw error;
    }
  });

  app.get('/api/own/page', open, (request) => {
    const seat = seatAt(request);
    return seat.studio.own.page(seat, seat.name);
  });

  app.post('/api/own/practice', open, (request, reply) => {
    const seat = seatAt(request);
    reply.code(201);
    return seat.studio.own.practise(seat, validated(SessionDto, request.body, seat.studio.scope()));
  });

  app.post('/api/own/symptoms', open, (request, reply) => {
    const seat = seatAt(request);
    reply.code(201);
    return seat.studio.own.felt(seat, validated(SymptomDto, request.body, seat.studio.scope()));
  });

  app.post('/api/own/notes', open, (request, reply) => {
    const seat = seatAt(request);
    reply.code(201);
    seat.studio.notes.write(seat.actor, seat.traineeId, validated(NoteDto, request.body, seat.studio.scope()));
    return null;
  });

  app.post('/api/own/mornings', open, (request, reply) => {
    const seat = seatAt(request);
    reply.code(201);
    return seat.studio.own.morning(seat, validated(MorningDto, request.body, seat.studio.scope()));
  });

  app.get<{ Params: { feed: string } }>('/api/own/calendar/:feed', open, ({ params }, reply) => {
    const { studio, secret } = studioAt(params.feed.replace(/\.ics$/, ''));
    const { traineeId } = studio.links.seatOfFeed(secret);
    return reply.type('text/calendar; charset=utf-8').send(calendarOf(studio, traineeId, { reminds: true }));
  });
}
