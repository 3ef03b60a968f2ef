import { GateSettingsDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

export function gateRoutes(app: FastifyInstance): void {
  app.get('/api/gate-settings', ({ studio }) => studio.gates.reply());
  app.put('/api/gate-settings', ({ body, studio, actor }) => studio.gates.save(actor, validated(GateSettingsDto, body, studio.scope())));
}
