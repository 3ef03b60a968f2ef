import type { FastifyRequest } from 'fastify';
import type { Whence } from './signIns.ts';

const LONGEST_DEVICE = 60;

/** From where a request comes: the kind of browser in a few words, never its whole description. */
export function whenceOf({ headers, ip }: FastifyRequest): Whence {
  const agent = headers['user-agent'] ?? '';
  const browser = /(Firefox|Edg|OPR|Chrome|Safari)\//.exec(agent)?.[1]?.replace('Edg', 'Edge').replace('OPR', 'Opera') ?? 'Another program';
  const system = /(Windows|Android|iPhone|iPad|Mac OS X|Linux)/.exec(agent)?.[1]?.replace('Mac OS X', 'Mac');
  return { device: (system ? `${browser} on ${system}` : browser).slice(0, LONGEST_DEVICE), address: ip.slice(0, LONGEST_DEVICE) };
}
