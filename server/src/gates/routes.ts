import { GateSettingsDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

export function gateRoutes(app: FastifyInstance, { gates, scope }: Services): void {
  app.get('/api/gate-settings', () => gates.reply());
  app.put('/api/gate-settings', ({ body }) => gates.save(validated(GateSettingsDto, body, scope())));
}
