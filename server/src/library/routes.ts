import { BUILT_IN_VERSION } from '@myokinet/core/catalogue';
import {
  DrillEntryDto,
  EntryResetDto,
  FaultEntryDto,
  LadderEntryDto,
  LIBRARY_LIMITS,
  LibraryPictureDto,
  MeasureEntryDto,
  PICTURED_LIMITS,
  StudioSchoolsDto,
  validated,
} from '@myokinet/core/contracts';
import type { Drill } from '@myokinet/core/drills';
import { Refusal } from '@myokinet/core/errors';
import { ENTRY_KINDS } from '@myokinet/core/library';
import { librarySchema, writeDrillsCsv, writeLibraryFile } from '@myokinet/core/interchange';
import type { Ladder } from '@myokinet/core/ladders';
import type { Measure } from '@myokinet/core/measuring';
import type { FastifyInstance, FastifyReply } from 'fastify';
import { v7 } from 'uuid';

/** JSON escapes take room: the file itself is held to its limit by the reader. */
const IMPORT_BODY_LIMIT = 2 * LIBRARY_LIMITS.fileBytes;

type OfEntry = { Params: { id: string } };
type OfPicture = { Params: { id: string }; Querystring: { still?: string } };

export function libraryRoutes(app: FastifyInstance): void {
  app.get('/api/library', ({ studio, headers }, reply) => {
    const tag = `"${Buffer.from(studio.library.state()).toString('base64url').slice(-64)}"`;
    reply.header('etag', tag).header('cache-control', 'no-cache');
    if (headers['if-none-match'] === tag) return reply.code(304).send();
    return studio.library.reply();
  });

  app.put<OfEntry>('/api/library/drills/:id', ({ body, params, studio, actor }) => {
    const { revision, basedOn, entry } = validated(DrillEntryDto, body, studio.scope());
    mustMatch(params.id, entry.id);
    return studio.library.save(actor, 'drill', { revision, basedOn: basedOn ?? null, entry: entry as Drill });
  });

  app.put<OfEntry>('/api/library/ladders/:id', ({ body, params, studio, actor }) => {
    const { revision, basedOn, entry } = validated(LadderEntryDto, body, studio.scope());
    mustMatch(params.id, entry.id);
    return studio.library.save(actor, 'ladder', { revision, basedOn: basedOn ?? null, entry: entry as Ladder });
  });

  app.put<OfEntry>('/api/library/measures/:id', ({ body, params, studio, actor }) => {
    const { revision, basedOn, entry } = validated(MeasureEntryDto, body, studio.scope());
    mustMatch(params.id, entry.id);
    return studio.library.save(actor, 'measure', { revision, basedOn: basedOn ?? null, entry: entry as Measure });
  });

  app.put<OfEntry>('/api/library/faults/:id', ({ body, params, studio, actor }) => {
    const { revision, basedOn, entry } = validated(FaultEntryDto, body, studio.scope());
    mustMatch(params.id, entry.id);
    return studio.library.save(actor, 'fault', { revision, basedOn: basedOn ?? null, entry });
  });

  for (const kind of ENTRY_KINDS)
    app.post<OfEntry>(`/api/library/${kind}s/:id/reset`, ({ body, params, studio, actor }) =>
      studio.library.reset(actor, kind, params.id, validated(EntryResetDto, body, studio.scope())),
    );

  // A scope of its own: here the body is not read by the server but by whoever judges the file.
  void app.register((imports, _options, done) => {
    imports.removeContentTypeParser('application/json');
    imports.addContentTypeParser('application/json', { parseAs: 'buffer' }, (_request, body, read) => read(null, body));
    imports.post<{ Body: Buffer }>('/api/library/imports', { bodyLimit: IMPORT_BODY_LIMIT }, ({ body, studio, actor }) =>
      studio.library.import(actor, body, v7),
    );
    done();
  });

  app.get<{ Querystring: { pictures?: string } }>('/api/library/file.json', ({ studio, query }, reply) => {
    const how = query.pictures;
    const pictures = how === 'embedded' || how === 'links' ? studio.libraryPictures.forFile(how) : [];
    const text = writeLibraryFile(studio.library.current().content, BUILT_IN_VERSION, { pictures, routines: studio.routineFile.all() });
    return attached(reply, 'myokinet-library.json', 'application/json', text);
  });

  app.get('/api/library/pictures', ({ studio }) => studio.libraryPictures.list());
  app.post('/api/library/pictures', { bodyLimit: PICTURED_LIMITS.request }, ({ body, studio, actor }, reply) => {
    reply.code(201);
    return studio.libraryPictures.keep(actor, validated(LibraryPictureDto, body, studio.scope()));
  });
  app.get<OfPicture>('/api/library/pictures/:id/image', ({ params, query, studio }, reply) =>
    // A picture never changes.
    reply
      .type('image/webp')
      .header('cache-control', 'private, max-age=3600')
      .send(studio.libraryPictures.image(params.id, query.still !== undefined)),
  );
  app.delete<OfPicture>('/api/library/pictures/:id', ({ params, studio, actor }) => studio.libraryPictures.takeOff(actor, params.id));

  app.get('/api/library/drills.csv', ({ studio }, reply) =>
    attached(reply, 'myokinet-drills.csv', 'text/csv; charset=utf-8', writeDrillsCsv(studio.library.current().content.drills)),
  );
  app.get('/api/library/schema.json', (_request, reply) =>
    attached(reply, 'myokinet-library.schema.json', 'application/schema+json', `${JSON.stringify(librarySchema(), null, 2)}\n`),
  );

  app.get('/api/schools', ({ studio }) => studio.schools.find());
  app.put('/api/schools', ({ body, studio, actor }) => studio.schools.save(actor, validated(StudioSchoolsDto, body, studio.scope())));
}

function mustMatch(address: string, id: string): void {
  if (address !== id) throw new Refusal('entry-missing', 'The address and the entry name two different things.');
}

function attached(reply: FastifyReply, name: string, type: string, text: string): FastifyReply {
  return reply.header('content-disposition', `attachment; filename="${name}"`).type(type).send(text);
}
