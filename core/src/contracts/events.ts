import 'reflect-metadata';
import { IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { IsDrillId, IsFaultId, IsInstant, IsNotBelow, IsWritten } from './decorators.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner } from './manner.ts';
import { LIMITS } from './limits.ts';
import { Part } from './parts.ts';
import { MOST_AMOUNT, SymptomValuesDto } from './session.ts';

/** Fields of a kind of event, each with the name of the rule that it keeps. */
type FieldsOf = Readonly<Record<string, string>>;
type Rules = Readonly<Record<string, readonly PropertyDecorator[]>>;

export const between = (label: string, min: number, max: number): readonly PropertyDecorator[] => {
  const message = `${label} must be a whole number from ${min} to ${max}.`;
  return [Max(max, { message }), Min(min, { message }), IsInt({ message })];
};

/** What holds for a field of an event, wherever it happens. */
export const EVENT_RULES = {
  id: [IsUUID('7')],
  side: [IsIn(['left', 'right', 'whole'])],
  amount: between('A set', 0, MOST_AMOUNT),
  fault: [IsFaultId()],
  flag: [IsBoolean()],
  support: [Part(() => SupportPlanDto)],
  manner: [IsManner()],
  drill: [IsDrillId()],
  sets: between('Sets', 1, 20),
  least: between('A dose', 1, MOST_AMOUNT),
  most: [IsNotBelow('min'), ...between('A dose', 1, MOST_AMOUNT)],
  symptom: [Part(() => SymptomValuesDto)],
  effort: between('Effort', 0, 10),
  minutes: between('Minutes', 1, LIMITS.minutes.max),
  note: [IsWritten('The note', { max: LIMITS.note })],
} as const satisfies Rules;

/** What every event has. */
export class EventDto {
  kind!: string;
  @IsUUID('7') id!: string;
  @Max(LIMITS.eventsPerRun * 10) @Min(1) @IsInt() order!: number;
  @IsInstant('The time of the event') at!: string;
}

/**
 * The contracts of all kinds of an event, made from the fields that are declared for it.
 *
 * @param fields by kind, what each must have
 * @param options by kind, what it may lack
 * @param rules by the names that the fields use
 */
export function eventContracts<Kind extends string>(
  fields: Readonly<Record<Kind, FieldsOf>>,
  options: Readonly<Partial<Record<Kind, FieldsOf>>>,
  rules: Rules,
): {
  readonly contracts: Readonly<Record<Kind, typeof EventDto>>;
  /** How a list of events is told apart by kind. */
  readonly discriminator: {
    readonly keepDiscriminatorProperty: true;
    readonly discriminator: { property: string; subTypes: { value: typeof EventDto; name: string }[] };
  };
} {
  const kinds = Object.keys(fields) as Kind[];
  const contractOf = (kind: Kind): typeof EventDto => {
    class OneEventDto extends EventDto {}
    const { prototype } = OneEventDto;
    IsIn(kinds)(prototype, 'kind');
    for (const [field, rule] of Object.entries(fields[kind])) for (const holds of rules[rule] ?? []) holds(prototype, field);
    for (const [field, rule] of Object.entries<string>(options[kind] ?? {}))
      for (const holds of [...(rules[rule] ?? []), IsOptional()]) holds(prototype, field);
    return OneEventDto;
  };
  const contracts = Object.fromEntries(kinds.map((kind) => [kind, contractOf(kind)])) as Record<Kind, typeof EventDto>;
  const subTypes = kinds.map((name) => ({ value: contracts[name], name }));
  return { contracts, discriminator: { keepDiscriminatorProperty: true, discriminator: { property: 'kind', subTypes } } };
}
