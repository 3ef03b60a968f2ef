import type { CheckReply, ReadinessReply, RecordReply, TraineeReply } from '@myokinet/core/contracts';
import type { GateForecast } from '@myokinet/core/forecast';
import type { Library } from '@myokinet/core/library';
import { type Capacity, formatReadingWithBand } from '@myokinet/core/measuring';
import { ageOn, longDay } from '@myokinet/core/quantities';
import { checkKey } from '@myokinet/core/readiness';
import {
  capacityInWords,
  CAUTION_WORDS,
  cautionInWords,
  decidingInWords,
  demandInWords,
  forecastInWords,
  headroomInWords,
  symptomInWords,
} from '@myokinet/core/words';
import { subWeeks } from 'date-fns';
import { newestOf } from '../checks/index.ts';
import type { PaperBlock, PaperDocument } from './paperDocument.ts';

/** Who reads a report decides what of the trainee’s health stands in it. */
export const READERS = {
  trainee: { name: 'The trainee', title: 'Report for the trainee', says: 'Figures, what was signed, cautions.' },
  club: {
    name: 'A club or course',
    title: 'Report for a club or course',
    says: 'Figures, what was signed, what must not be done. No reasons, no symptoms.',
  },
  clinician: {
    name: 'A clinician',
    title: 'Report for a clinician',
    says: 'Figures, what was signed, cautions with their reasons, symptoms of twelve weeks.',
  },
} as const;
export type Reader = keyof typeof READERS;

export interface ReportFacts {
  readonly trainee: TraineeReply;
  readonly readiness: Pick<ReadinessReply, 'headrooms' | 'ladderId' | 'rungId' | 'stopSigns'>;
  /** Newest first. */
  readonly checks: readonly Pick<CheckReply, 'capacities' | 'takenBack'>[];
  readonly record: Pick<RecordReply, 'clearances' | 'symptoms' | 'sessions'>;
  /** When the next gate is likely to open; absent where there is nothing to foresee, or the server did not answer. */
  readonly forecast?: GateForecast | undefined;
  readonly library: Library;
  readonly now: Date;
}

const SYMPTOM_WEEKS = 12;
const NONE = '–';

/** Figures with their bands, what was signed on which of them, cautions. It gives no verdict that the figures do not give. */
export function reportSheets(facts: ReportFacts, reader: Reader): PaperDocument['sheets'] {
  const { trainee, now } = facts;
  const { years, sure } = ageOn(trainee, now);
  const built = `${trainee.mass} kg, ${(trainee.stature / 100).toFixed(2)} m`;
  return [
    {
      heading: 'Readiness report',
      under: [`${trainee.name}, ${sure ? '' : 'about '}${years} years, ${built}`, `Ladder: ${facts.library.ladder(trainee.ladderId).name}`],
      blocks: [
        figures(facts),
        ...asked(facts),
        ...(reader === 'club' ? [] : foreseen(facts)),
        ...signed(facts),
        ...cautions(facts, reader),
        ...(reader === 'clinician' ? symptoms(facts) : []),
        {
          is: 'notice',
          heading: 'How to read the figures',
          lines: [
            '± is the error band: with it a figure holds in 19 of 20 cases on the side that decides. A dash: never checked.',
            'The report gives what was measured and signed. It is no diagnosis and no permission by itself; what it means is for the coach who signs and, in questions of health, for a licensed professional.',
          ],
        },
        { is: 'write', heading: 'Coach, date', lines: 1 },
      ],
    },
  ];
}

/** The newest figure of every check, side by side. */
function figures({ checks, library, now }: ReportFacts): PaperBlock {
  const newest = new Map(newestOf(checks.filter((c) => !c.takenBack)).map((c) => [checkKey(c.measureId, c.side), c]));
  const measures = library.everyMeasure.filter((m) => [...newest.values()].some((c) => c.measureId === m.id));
  const rows = measures.map((m) => {
    const of = (side: Capacity['side']) => newest.get(checkKey(m.id, side));
    const cell = (c: Capacity | undefined) =>
      c ? `${formatReadingWithBand(m, c.value, c.band)}${c.provisional ? ' (for information)' : ''}` : NONE;
    const [left, right, whole] = [of('left'), of('right'), of('whole')];
    const days = [...new Set([left, right, whole].flatMap((c) => (c ? [longDay(c.takenAt)] : [])))];
    return [m.name, ...(whole ? [cell(whole), ''] : [cell(left), cell(right)]), days.join('; ')];
  });
  if (rows.length === 0) return { is: 'list', heading: 'Figures', lines: [`Nothing was checked up to ${longDay(now)}.`] };
  return { is: 'table', heading: 'Newest figures', columns: ['Check', 'Left, or whole', 'Right', 'Taken'], rows };
}

/** What the next rung asks, beside what was shown. */
function asked({ readiness, library }: ReportFacts): readonly PaperBlock[] {
  const { headrooms, ladderId, rungId } = readiness;
  if (!rungId || headrooms.length === 0) return [];
  return [
    {
      is: 'table',
      heading: `What “${library.rung(ladderId, rungId).name}” asks`,
      columns: ['Figure', 'Asked', 'Headroom'],
      rows: headrooms.map((h) => {
        const measure = library.measure(h.demand.measureId);
        return [capacityInWords(h, measure), demandInWords(h.demand, measure), headroomInWords(h, measure)];
      }),
    },
  ];
}

/** When the next gate may open: a range with its reason, and never a promise. */
function foreseen({ forecast, library, now }: ReportFacts): readonly PaperBlock[] {
  if (!forecast) return [];
  const reader = { measureOf: library.measure, now };
  const [first] = 'deciding' in forecast ? forecast.deciding : [];
  return [
    {
      is: 'list',
      heading: 'When the next gate may open',
      lines: [
        forecastInWords(forecast, reader),
        ...(first ? [decidingInWords(first, reader)] : []),
        'As the last weeks have been; eight futures of ten lie inside a range. Not a promise, and nothing opens by it.',
      ],
    },
  ];
}

/** Clearances that stand, with the figures that each was signed on. */
function signed({ record, library }: ReportFacts): readonly PaperBlock[] {
  const standing = record.clearances.filter((c) => !c.withdrawnAt && !c.unreadable);
  if (standing.length === 0) return [{ is: 'list', heading: 'Signed', lines: ['Nothing is signed.'] }];
  return [
    {
      is: 'list',
      heading: 'Signed, and on what',
      lines: standing.map((c) => {
        const on = c.figures.map((h) => capacityInWords(h, library.measure(h.demand.measureId))).join(', ');
        return `${c.rungName}, ${longDay(c.signedAt)}, ${c.initials}${c.against ? `, against unmet lines: ${c.against}` : ''}${on ? `. On: ${on}` : ''}.`;
      }),
    },
  ];
}

function cautions({ trainee, readiness }: ReportFacts, reader: Reader): readonly PaperBlock[] {
  const { cautions: inForce } = trainee.screening;
  const stopped = readiness.stopSigns.filter((s) => !s.closure);
  const lines =
    reader === 'club'
      ? [
          ...new Set([
            ...inForce.map((c) => CAUTION_WORDS[c.id].consequence),
            ...(stopped.length > 0 ? ['Nothing that loads until the coach says so.'] : []),
          ]),
        ]
      : [...inForce.map(cautionInWords), ...stopped.map((s) => s.reason)];
  return lines.length > 0 ? [{ is: 'list', heading: reader === 'club' ? 'What must not be done' : 'Cautions in force', lines }] : [];
}

function symptoms({ record, now }: ReportFacts): readonly PaperBlock[] {
  const since = subWeeks(now, SYMPTOM_WEEKS).getTime();
  const felt = [...record.symptoms, ...record.sessions.flatMap((s) => s.symptoms)]
    .filter((s) => s.kind !== 'none' && Date.parse(s.at) >= since)
    .sort((a, b) => b.at.localeCompare(a.at));
  const lines = felt.map((s) => `${longDay(s.at)}: ${symptomInWords(s)}${s.reportedBy ? ', told by the trainee' : ''}`);
  return [{ is: 'list', heading: `Symptoms of the last ${SYMPTOM_WEEKS} weeks`, lines: lines.length > 0 ? lines : ['None on record.'] }];
}
