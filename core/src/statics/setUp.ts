import type { BandCurve } from './bands.ts';
import { type Choice, type Dial, dialInWords, impossible, type PositionModel, type Values } from './position.ts';
import { MODELS, type StaticPosition } from './positions/index.ts';

type SetUpOf<M> = M extends PositionModel<infer Id, infer D, infer C> ? { readonly position: Id } & Partial<Values<D, C>> : never;

/** A set-up: a position, and the dials and choices that are not at their usual place. Metres, degrees, kilograms, shares. */
export type SetUp = { [K in StaticPosition]: SetUpOf<(typeof MODELS)[K]> }[StaticPosition];

/** A model without its own types, for code that treats all positions alike. */
export type AnyModel = PositionModel<StaticPosition, Readonly<Record<string, Dial>>, Readonly<Record<string, Choice>>>;

export const STATIC_POSITIONS = Object.keys(MODELS) as readonly StaticPosition[];

export function modelOf(position: StaticPosition): AnyModel {
  return MODELS[position] as unknown as AnyModel;
}

export function isStaticPosition(position: unknown): position is StaticPosition {
  return typeof position === 'string' && Object.hasOwn(MODELS, position);
}

/**
 * What is wrong with a set-up, in a sentence that names the dial and its limits.
 *
 * @example setUpProblem({ position: 'push-up', handHeightM: 4 }) // 'Height under the hands must be from 0 cm to 130 cm, not 400 cm.'
 */
export function setUpProblem(setUp: unknown): string | undefined {
  if (typeof setUp !== 'object' || setUp === null || Array.isArray(setUp)) return 'A set-up names a position and its dials.';
  const { position, band, ...values } = setUp as Record<string, unknown>;
  if (!isStaticPosition(position)) return `There is no position called "${String(position).slice(0, 40)}".`;
  const { dials, choices, name } = modelOf(position);
  for (const [key, value] of Object.entries(values)) {
    if (value === undefined) continue;
    const dial = Object.hasOwn(dials, key) ? dials[key] : undefined;
    const choice = Object.hasOwn(choices, key) ? choices[key] : undefined;
    if (dial) {
      if (typeof value !== 'number' || !(value >= dial.min - 1e-9 && value <= dial.max + 1e-9))
        return `${dial.label} must be from ${dialInWords(dial, dial.min)} to ${dialInWords(dial, dial.max)}${typeof value === 'number' ? `, not ${dialInWords(dial, value)}` : ''}.`;
    } else if (choice) {
      if (!choice.options.includes(value as string)) return `${choice.label}: choose ${choice.options.join(' or ')}.`;
    } else return `${name} has nothing called "${key.slice(0, 40)}" to set.`;
  }
  return band === undefined || isBandCurve(band) ? undefined : 'A band needs a name and the figures of its curve.';
}

function isBandCurve(band: unknown): band is BandCurve {
  if (typeof band !== 'object' || band === null) return false;
  const { name, linear, quadratic, slackM, mostM } = band as Record<string, unknown>;
  return typeof name === 'string' && [linear, quadratic, slackM, mostM].every((v) => typeof v === 'number' && Number.isFinite(v));
}

/** Everything stated: what the set-up leaves out is at its usual place. */
export function stated(setUp: SetUp): Values<AnyModel['dials'], AnyModel['choices']> {
  const { dials, choices } = modelOf(setUp.position);
  const values: Record<string, unknown> = {};
  for (const key in dials) values[key] = dials[key]?.usual;
  for (const key in choices) values[key] = choices[key]?.usual;
  for (const key in setUp)
    if (key !== 'position' && (setUp as Record<string, unknown>)[key] !== undefined) values[key] = (setUp as Record<string, unknown>)[key];
  return values as Values<AnyModel['dials'], AnyModel['choices']>;
}

/**
 * The dials of a set-up in the order in which they make it harder. A band that is named pulls as it pulls: then its
 * share is not turned.
 */
export function stretchesOf(setUp: SetUp): AnyModel['harder'] {
  const { harder } = modelOf(setUp.position);
  return 'band' in setUp && setUp.band ? harder.filter(({ dial }) => dial !== 'bandShare') : harder;
}

/**
 * Where a dial stands.
 *
 * @example dialOf({ position: 'push-up', handHeightM: 0.3 }, 'handHeightM') // 0.3
 */
export function dialOf(setUp: SetUp, dial: string): number {
  return Number((setUp as unknown as Record<string, unknown>)[dial] ?? modelOf(setUp.position).dials[dial]?.usual);
}

/** Which option of a choice is taken. */
export function choiceOf(setUp: SetUp, choice: string): string {
  return String((setUp as unknown as Record<string, unknown>)[choice] ?? modelOf(setUp.position).choices[choice]?.usual);
}

/** @throws Refusal `set-up-impossible` */
export function checked(setUp: SetUp): SetUp {
  const problem = setUpProblem(setUp);
  if (problem) throw impossible(problem);
  return setUp;
}

/**
 * A set-up in words: what is not usual, and the dial that makes it harder.
 *
 * @example setUpInWords({ position: 'push-up', handHeightM: 0.45 }) // 'push-up, height under the hands 45 cm'
 */
export function setUpInWords(setUp: SetUp): string {
  const { name, dials, choices } = modelOf(setUp.position);
  const values = stated(setUp);
  const parts = [
    ...Object.entries(dials)
      .filter(([key, dial]) => (values[key] !== dial.usual || isMainDial(setUp.position, key)) && values[key] !== 0)
      .filter(([key]) => !(key === 'bandShare' && values.band))
      .map(([key, dial]) => `${lower(dial.label)} ${dialInWords(dial, Number(values[key]))}`),
    ...Object.entries(choices)
      .filter(([key, choice]) => values[key] !== choice.usual)
      .map(([key, choice]) => OPTION_WORDS[String(values[key])] ?? `${lower(choice.label)} ${String(values[key])}`),
    ...(values.band ? [`band ${values.band.name}`] : []),
  ];
  return [lower(name), ...parts].join(', ');
}

/** Options that do not read well after the name of their choice. */
const OPTION_WORDS: Readonly<Record<string, string>> = {
  one: 'one hand',
  fingertips: 'on the fingertips',
  'fists or handles': 'on fists or handles',
};

function isMainDial(position: StaticPosition, key: string): boolean {
  return modelOf(position).harder[0]?.dial === key;
}

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1);
