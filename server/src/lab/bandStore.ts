import type { BandDto, BandReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type Instant, instant } from '@myokinet/core/quantities';
import { fitBand, GRAVITY } from '@myokinet/core/statics';
import type { Context } from '../context.ts';
import { type Actor, mustMay } from '../actor.ts';
import { acceptOnce } from '../database/acceptOnce.ts';
import * as sql from './statements.ts';

type BandRow = Omit<BandDto, 'readings' | 'inUse'> & {
  readonly readings: string;
  readonly inUse: number;
  readonly savedAt: Instant;
  readonly coach: string;
};

const CM = 100;

/** The studio's elastic bands by its own names, with the curves through their readings. */
export function bandStore(context: Context) {
  const { db, studioId, now } = context;
  const all = db.prepare<{ studioId: string }, BandRow>(sql.BANDS);
  const one = db.prepare<{ studioId: string; id: string }, BandRow>(sql.ONE_BAND);
  const insert = db.prepare(sql.INSERT_BAND);

  const list = (): readonly BandReply[] => all.all({ studioId }).map(bandReply);

  return {
    all: list,

    /** @throws Refusal `band-nonsense`, `edited-elsewhere` */
    save(actor: Actor, dto: BandDto): readonly BandReply[] {
      mustMay(actor, 'measure');
      curveOf(dto);
      acceptOnce(context, dto.revision, dto, () => {
        const current = one.get({ studioId, id: dto.id });
        if ((current?.revision ?? null) !== (dto.basedOn ?? null))
          throw new Refusal('edited-elsewhere', 'Somebody else saved this band first. Your version is kept on this screen.');
        insert.run({
          ...dto,
          basedOn: dto.basedOn ?? null,
          readings: JSON.stringify(dto.readings),
          inUse: dto.inUse ? 1 : 0,
          savedAt: instant(now()),
          studioId,
          coachId: actor.coachId,
        });
      });
      return list();
    },
  };
}

function curveOf({ name, slackCm, readings }: Pick<BandDto, 'name' | 'slackCm' | 'readings'>): Pick<BandReply, 'curve' | 'worstN'> {
  const { worstN, ...fit } = fitBand(readings.map(({ stretchCm, kg }) => ({ stretchM: stretchCm / CM, forceN: kg * GRAVITY })));
  return { curve: { name, slackM: slackCm / CM, ...fit }, worstN };
}

function bandReply({ readings, inUse, ...row }: BandRow): BandReply {
  const read = JSON.parse(readings) as BandDto['readings'];
  return { ...row, readings: read, inUse: inUse === 1, ...curveOf({ ...row, readings: read }) };
}

export type BandStore = ReturnType<typeof bandStore>;
