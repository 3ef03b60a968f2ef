// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the rooms that import this one must see it too
/// <reference path="./classTransformerStorage.d.ts" />
import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { LIBRARY_FORMAT, LibraryFileDto } from '../contracts/index.ts';
import { EQUIPMENT_IDS, MOVE_PARTS, SITUATIONS } from '../drills/index.ts';
import { PICTURE_TEMPLATES } from '../landmarks/index.ts';
import { BLADES } from '../schools/index.ts';
import { modelOf, type StaticPosition, STATIC_POSITIONS } from '../statics/index.ts';

const TEXTS = { type: 'object', additionalProperties: { type: 'string' } } as const;
const ENTRY_ID = { type: 'string', pattern: '^[a-z0-9][a-z0-9-]{0,63}$' } as const;

const BAND = {
  type: 'object',
  required: ['name', 'linear', 'quadratic', 'slackM', 'mostM'],
  properties: { name: { type: 'string' }, ...numbers(['linear', 'quadratic', 'slackM', 'mostM']) },
  additionalProperties: false,
};

function numbers(names: readonly string[]): Readonly<Record<string, unknown>> {
  return Object.fromEntries(names.map((name) => [name, { type: 'number' }]));
}

/** A set-up of one position: its dials with their limits in metres, degrees, kilograms or shares, and its choices. */
function setUpSchema(position: StaticPosition): Readonly<Record<string, unknown>> {
  const { dials, choices, name } = modelOf(position);
  return {
    type: 'object',
    title: name,
    required: ['position'],
    properties: {
      position: { const: position },
      ...Object.fromEntries(
        Object.entries(dials).map(([key, { label, min, max }]) => [
          key,
          { type: 'number', description: label, minimum: min, maximum: max },
        ]),
      ),
      ...Object.fromEntries(Object.entries(choices).map(([key, { label, options }]) => [key, { description: label, enum: options }])),
      band: BAND,
    },
    additionalProperties: false,
  };
}

const ERROR_MODELS = [
  model('amount', ['within', 'between', 'degreesOfFreedom']),
  model('share', ['within', 'between', 'degreesOfFreedom']),
  model('none', []),
];

function model(kind: string, figures: readonly string[]): Readonly<Record<string, unknown>> {
  return {
    type: 'object',
    required: ['kind', ...figures],
    properties: { kind: { const: kind }, ...numbers(figures) },
    additionalProperties: false,
  };
}

/** Words of faults by a key. */
function faultWords(propertyNames: object, more: object = {}): Readonly<Record<string, unknown>> {
  const properties = { cue: { type: 'string' }, regression: { type: 'string' }, ...more };
  return { type: 'object', propertyNames, additionalProperties: { type: 'object', properties, additionalProperties: false } };
}

/** What the product's own rules mean in JSON Schema; rules between fields stay with the program. */
const OWN_RULES = {
  isTrains: { type: 'object', propertyNames: ENTRY_ID, additionalProperties: { enum: [1, 2, 3] } },
  isBladeCues: { ...TEXTS, propertyNames: { enum: BLADES } },
  isStandIns: { ...TEXTS, propertyNames: { enum: EQUIPMENT_IDS } },
  isErrorModel: { oneOf: ERROR_MODELS },
  isReadable: { enum: PICTURE_TEMPLATES.map((t) => t.id) },
  isFaultNotes: faultWords(ENTRY_ID, { part: { enum: MOVE_PARTS } }),
  isPlaced: faultWords({ enum: SITUATIONS }),
  inOrder: {},
  hasItsEnds: {},
  hasItsNames: {},
  hasItsRange: {},
  isWithinUnit: {},
  isSetUp: { oneOf: STATIC_POSITIONS.map(setUpSchema) },
  isNotBelow: {},
  isTempoOfReps: {},
  isCourseOfReps: {},
  hasSidesToAlternate: {},
  isPart: {},
  areParts: { type: 'array' },
  allDifferent: { uniqueItems: true },
  isPlainText: { type: 'string', pattern: '^[^<>]*$' },
} as const;

const LIBRARY_CLASSES = [
  'DrillDto',
  'DoseRangeDto',
  'TempoDto',
  'CourseDto',
  'EffortDto',
  'HandLoadDto',
  'SupportPlanDto',
  'OriginDto',
  'RungRefDto',
  'TeachingDto',
  'TeachingStepDto',
  'BreathingDto',
  'LadderDto',
  'RungDto',
  'RungDemandDto',
  'CarriedDto',
  'FaultDto',
  'MeasureDto',
  'LeadDto',
  'LimitsDto',
  'RangeDto',
  'LibraryFilePictureDto',
];

/**
 * The JSON Schema of a library file, derived from the contract classes.
 *
 * @returns JSON Schema (draft 2020-12)
 */
export function librarySchema(): Readonly<Record<string, unknown>> {
  const schemas = validationMetadatasToSchemas({
    classTransformerMetadataStorage: defaultMetadataStorage,
    refPointerPrefix: '#/$defs/',
    additionalConverters: OWN_RULES as never,
  }) as Record<string, object>;
  const closed = (name: string) => ({ ...schemas[name], additionalProperties: false });
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `urn:${LIBRARY_FORMAT}:1`,
    title: 'A library of drills, ladders, checks and faults',
    ...closed(LibraryFileDto.name),
    $defs: Object.fromEntries(LIBRARY_CLASSES.map((name) => [name, closed(name)])),
  };
}
