import helmet from '@fastify/helmet';
import { Refusal } from '@myokinet/core/errors';
import Fastify, { type FastifyInstance } from 'fastify';
import { caseloadRoutes } from './caseload/routes.ts';
import { checkRoutes } from './checks/routes.ts';
import { clearanceRoutes } from './clearances/routes.ts';
import { correctionRoutes } from './corrections/routes.ts';
import { gateRoutes } from './gates/routes.ts';
import { problemOf, refusalFrom } from './errors.ts';
import { floorRoutes } from './floor/routes.ts';
import { servePages } from './pages.ts';
import { labRoutes } from './lab/routes.ts';
import { libraryRoutes } from './library/routes.ts';
import { measuringRoutes } from './measuring/routes.ts';
import { pictureRoutes } from './pictures/routes.ts';
import { planRoutes } from './plans/routes.ts';
import { readinessRoutes } from './readiness/routes.ts';
import { batteryRoutes } from './batteries/routes.ts';
import type { FindSeat } from './identity/seat.ts';
import { screeningRoutes } from './screenings/routes.ts';
import { emergencyRoutes } from './emergencies/routes.ts';
import { sessionRoutes } from './sessions/routes.ts';
import { symptomRoutes } from './symptoms/routes.ts';
import { traineeRoutes } from './trainees/routes.ts';

const BODY_LIMIT = 512 * 1024;

/** Names under which this machine may be asked; anything else is a page elsewhere reaching in. */
const OWN_HOSTS = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

export interface AppOptions {
  readonly pages?: string | undefined;
  readonly log?: boolean;
}

/** @param now the time of day that answers are stamped with */
export async function buildApp(seatOf: FindSeat, now: () => Date, { pages, log = false }: AppOptions = {}): Promise<FastifyInstance> {
  // Contracts refuse such properties, and name them.
  const app = Fastify({
    logger: log,
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    onProtoPoisoning: 'ignore',
    onConstructorPoisoning: 'ignore',
  });

  await app.register(helmet, {
    contentSecurityPolicy: {
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        upgradeInsecureRequests: null,
      },
    },
    hsts: false,
  });

  app.addHook('onRequest', async ({ headers }) => {
    if (!OWN_HOSTS.test(headers.host ?? '')) throw new Refusal('route-missing');
  });

  app.decorateRequest('studio');
  app.decorateRequest('actor');
  app.addHook('onRequest', async (request) => {
    if (request.url.startsWith('/api/') && !request.routeOptions.config.open) Object.assign(request, seatOf(request));
  });

  // Devices hold their own clocks against it.
  app.addHook('onSend', async (_, reply) => {
    void reply.header('x-server-time', now().toISOString());
  });

  app.setErrorHandler((error, request, reply) => {
    const refusal = refusalFrom(error, BODY_LIMIT);
    if (refusal.code === 'unexpected') request.log.error(error);
    const problem = problemOf(refusal);
    return reply.code(problem.status).type('application/problem+json').send(problem);
  });

  app.get('/api/health', { config: { open: true } }, () => ({ ok: true }));
  for (const routes of [
    caseloadRoutes,
    traineeRoutes,
    checkRoutes,
    readinessRoutes,
    planRoutes,
    emergencyRoutes,
    sessionRoutes,
    symptomRoutes,
    floorRoutes,
    clearanceRoutes,
    correctionRoutes,
    gateRoutes,
    screeningRoutes,
    libraryRoutes,
    measuringRoutes,
    batteryRoutes,
    pictureRoutes,
    labRoutes,
  ])
    routes(app);
  if (pages) await servePages(app, pages);
  else
    app.setNotFoundHandler(() => {
      throw new Refusal('route-missing');
    });
  return app;
}
