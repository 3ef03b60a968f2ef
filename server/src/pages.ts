import fastifyStatic from '@fastify/static';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';

const A_YEAR = 31_536_000;

/** Serves the built pages, the coach’s program and the trainee’s page: hashed assets for a year, the shells never from a cache. */
export async function servePages(app: FastifyInstance, folder: string): Promise<void> {
  await app.register(fastifyStatic, {
    root: folder,
    wildcard: false,
    preCompressed: true,
    cacheControl: false,
    setHeaders: (reply, path) => {
      reply.setHeader('cache-control', path.includes('/assets/') ? `public, max-age=${A_YEAR}, immutable` : 'no-cache');
    },
  });
  app.setNotFoundHandler((request, reply) => {
    const isPage = request.method === 'GET' && !request.url.startsWith('/api') && !request.url.startsWith('/assets');
    if (!isPage) throw new Refusal('route-missing');
    const own = /^\/own(?:[/?]|$)/.test(request.url);
    return reply.header('cache-control', 'no-cache').sendFile(own ? 'own.html' : 'index.html');
  });
}
