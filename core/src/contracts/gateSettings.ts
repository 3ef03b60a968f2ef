import 'reflect-metadata';
import { IsOptional, IsUUID } from 'class-validator';
import { GATE_LIMITS, type GateSetting, type GateSettings } from '../readiness/index.ts';
import { IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { rule, shown } from './rule.ts';

/** Settings by their names, each a whole number within its limits. */
const AreGateChoices = () =>
  rule('areGateChoices', (value) => {
    if (typeof value !== 'object' || value === null || Array.isArray(value)) return 'The settings must be an object.';
    for (const [name, figure] of Object.entries(value)) {
      const limits = Object.hasOwn(GATE_LIMITS, name) ? GATE_LIMITS[name as GateSetting] : undefined;
      if (!limits) return `There is no setting called "${shown(name)}".`;
      if (!Number.isInteger(figure) || (figure as number) < limits.min || (figure as number) > limits.max)
        return `“${shown(name)}” must be a whole number from ${limits.min} to ${limits.max}.`;
    }
    return undefined;
  });

/** What a studio sets about its gates, for everybody or for one trainee. Each change is on record. */
export class GateSettingsDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
  @IsOptional() @IsUUID('7') traineeId!: string | null;
  @AreGateChoices() choices!: Partial<GateSettings>;
  @IsWritten('The reason', { max: LIMITS.reason }) reason!: string;
}
