import { actionsOf } from '@myokinet/core/accounts';
import type { MeReply } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import { DEMO_STUDIO, STUDIO_ID } from '../context.ts';
import { BUILT_IN_COACH } from '../actor.ts';

/** Where one coach needs no account: who they are, and nothing about people. */
export function demoRoutes(app: FastifyInstance): void {
  const { coachId, role } = BUILT_IN_COACH;
  const studio = { id: STUDIO_ID, name: DEMO_STUDIO, role, damaged: false };
  app.get('/api/me', (): MeReply => ({
    ...{ state: 'here', demo: true, accountId: coachId, name: 'Demo coach', initials: 'DC', signInName: 'demo' },
    ...{ studio, studios: [studio], may: actionsOf(role), copies: null, pageToken: '', signsUntil: null },
  }));
}
