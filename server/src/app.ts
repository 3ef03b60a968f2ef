import cookie from '@fastify/cookie';
import helmet from '@fastify/helmet';
import rateLimit from '@fastify/rate-limit';
import { Refusal } from '@myokinet/core/errors';
import Fastify, { type FastifyInstance, type FastifyReply, type FastifyRequest } from 'fastify';
import type { IncomingHttpHeaders } from 'node:http';
import { caseloadRoutes } from './caseload/routes.ts';
import { checkRoutes } from './checks/routes.ts';
import { clearanceRoutes } from './clearances/routes.ts';
import { trendRoutes } from './trends/routes.ts';
import { outcomeRoutes } from './outcomes/routes.ts';
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
import { routineRoutes } from './routines/routes.ts';
import { classRoutes } from './classes/routes.ts';
import { groupRoutes } from './groups/routes.ts';
import { recordRoutes } from './records/routes.ts';
import { forecastRoutes } from './forecast/routes.ts';
import { readinessRoutes } from './readiness/routes.ts';
import { batteryRoutes } from './batteries/routes.ts';
import type { FindSeat } from './seat.ts';
import { screeningRoutes } from './screenings/routes.ts';
import { emergencyRoutes } from './emergencies/routes.ts';
import { sessionRoutes } from './sessions/routes.ts';
import { symptomRoutes } from './symptoms/routes.ts';
import { traineeRoutes } from './trainees/routes.ts';
import { type FindStudio, linkRoutes, ownRoutes } from './own/routes.ts';

const BODY_LIMIT = 512 * 1024;
const A_YEAR_SECONDS = 31_536_000;

/** Names under which this machine may always be asked; anything else is a page elsewhere reaching in. */
const OWN_HOSTS = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/** How long the head of a request, and all of it, may take to arrive, in milliseconds. */
const PATIENCE = { head: 15_000, request: 60_000 } as const;

export interface AppOptions {
  readonly pages?: string | undefined;
  readonly log?: boolean;
  /** How many requests may come from one address in a minute, whoever is signed in there. */
  readonly perMinute?: number | undefined;
  /** Under which address the program is reached from elsewhere, over TLS, by a proxy on this machine. */
  readonly origin?: URL | undefined;
  /** Routes beside those of a studio. */
  readonly more?: (app: FastifyInstance) => void;
  /** Told of every request that changed something in a studio. */
  readonly changed?: (request: FastifyRequest) => void;
  /** How files and copies stand. */
  readonly health?: () => object;
  /** The studio of an id, for links that say in which they lie. */
  readonly studioOf?: FindStudio;
}

/** @param now the time of day that answers are stamped with */
export async function buildApp(
  seatOf: FindSeat,
  now: () => Date,
  { pages, log = false, origin, perMinute, more, changed, health, studioOf }: AppOptions = {},
): Promise<FastifyInstance> {
  const answer = (error: unknown, request: FastifyRequest, reply: FastifyReply) => {
    const refusal = refusalFrom(error, BODY_LIMIT);
    if (refusal.code === 'unexpected') request.log.error(error);
    const problem = problemOf(refusal);
    if (problem.status === 429 || problem.status === 503) void reply.header('retry-after', '2');
    return reply.code(problem.status).type('application/problem+json').send(problem);
  };

  // Contracts refuse such properties, and name them.
  const app = Fastify({
    logger: log && { serializers: { req: spoken } },
    bodyLimit: BODY_LIMIT,
    forceCloseConnections: true,
    // An address that cannot be read never reaches the hooks: it is answered here, as careful as the rest.
    frameworkErrors: (error, request, reply) => {
      void reply.headers({
        'content-security-policy': "default-src 'none'",
        'x-content-type-options': 'nosniff',
        'cache-control': 'no-store',
      });
      void answer(error, request, reply);
    },
    trustProxy: origin ? 'loopback' : false,
    requestTimeout: PATIENCE.request,
    http: { headersTimeout: PATIENCE.head },
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
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        mediaSrc: ["'self'", 'blob:'],
        upgradeInsecureRequests: null,
      },
    },
    hsts: origin ? { maxAge: A_YEAR_SECONDS, includeSubDomains: false } : false,
  });

  app.addHook('onRequest', async ({ headers, method }) => {
    const host = headers.host ?? '';
    if (!OWN_HOSTS.test(host) && host !== origin?.host) throw new Refusal('route-missing');
    if (method !== 'GET' && method !== 'HEAD' && !isFromHere(headers, host)) throw new Refusal('from-elsewhere');
  });
  await app.register(cookie);
  if (perMinute !== undefined)
    await app.register(rateLimit, {
      max: perMinute,
      timeWindow: '1 minute',
      allowList: (request) => !request.url.startsWith('/api/'),
      errorResponseBuilder: () => new Refusal('try-later', 'Too many requests in one minute; go on in a moment.'),
    });

  app.decorateRequest('studio');
  app.decorateRequest('actor');
  app.addHook('onRequest', async (request) => {
    if (request.url.startsWith('/api/') && !request.routeOptions.config.open) Object.assign(request, seatOf(request));
  });

  // Devices hold their own clocks against it.
  app.addHook('onSend', async (request, reply) => {
    void reply.header('x-server-time', now().toISOString());
    // What is said of a person stays in no cache, unless a route says for how long.
    if (request.url.startsWith('/api/') && !reply.hasHeader('cache-control')) void reply.header('cache-control', 'no-store');
  });

  if (changed)
    app.addHook('onResponse', async (request, reply) => {
      if (request.method !== 'GET' && reply.statusCode < 400 && request.actor) changed(request);
    });

  app.setErrorHandler(answer);

  app.get('/api/health', { config: { open: true } }, () => ({ ok: true, ...health?.() }));
  for (const routes of [
    caseloadRoutes,
    traineeRoutes,
    checkRoutes,
    readinessRoutes,
    forecastRoutes,
    planRoutes,
    emergencyRoutes,
    sessionRoutes,
    symptomRoutes,
    floorRoutes,
    clearanceRoutes,
    outcomeRoutes,
    trendRoutes,
    correctionRoutes,
    gateRoutes,
    screeningRoutes,
    libraryRoutes,
    measuringRoutes,
    batteryRoutes,
    pictureRoutes,
    labRoutes,
    recordRoutes,
    linkRoutes,
    routineRoutes,
    groupRoutes,
    classRoutes,
  ])
    routes(app);
  if (studioOf) ownRoutes(app, studioOf, now);
  more?.(app);
  if (pages) await servePages(app, pages);
  else
    app.setNotFoundHandler(() => {
      throw new Refusal('route-missing');
    });
  return app;
}

/** A request as the log has it: the calendar’s address is a secret, and stands in none. */
function spoken({ method, url, ip }: FastifyRequest): Readonly<Record<string, string>> {
  return { method, url: url.replace(/^(\/api\/own\/calendar\/).*/, '$1…'), ip };
}

/** Browsers say where a request was made; a program that is none says nothing, and has no cookie of anybody's to misuse. */
function isFromHere({ origin, 'sec-fetch-site': site }: IncomingHttpHeaders, host: string): boolean {
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return false;
  return origin === undefined || (URL.canParse(origin) && new URL(origin).host === host);
}
