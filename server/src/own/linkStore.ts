import type { LinkOpenDto, LinkOpenReply, NewLinkReply, TraineeLinkDto, TraineeLinkReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { type CalendarDay, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { type Actor, mustMay } from '../actor.ts';
import type { Context } from '../context.ts';
import { digestOf, hashPassword, newToken, passwordFits } from '../identity/secrets.ts';
import type { TraineeStore } from '../trainees/store.ts';
import { withStudio } from './secret.ts';
import * as sql from './statements.ts';

interface LinkRow {
  readonly id: string;
  readonly traineeId: string;
  readonly coachId: string;
  readonly pinHash: string | null;
  readonly lapsesOn: CalendarDay | null;
  readonly progress: number;
  readonly madeAt: Instant;
  /** The name of who made it. */
  readonly coach: string;
}
type DeviceRow = LinkRow & { readonly deviceId: string; readonly seenAt: Instant };

/** Whose page a request is about, and who answers for the link. */
export interface OwnSeat {
  readonly traineeId: string;
  /** The trainee, under the name of the coach who made the link: nobody else answers for it. */
  readonly actor: Actor;
  /** The name of who made the link. */
  readonly coach: string;
  /** Whether the coach shows how far they have come. */
  readonly progress: boolean;
}

/** Phones that one link is known on at once. */
const MOST_DEVICES = 8;
/** A phone is marked as seen at most so often. */
const SEEN_EVERY_MS = 3_600_000;

/** The end of the calendar’s address, which opens the calendar and nothing else. */
const feedOf = (token: string) => digestOf(`calendar ${token}`);

/** Private links of trainees to their own pages. */
export function linkStore({ db, studioId, fileId = studioId, now }: Context, trainees: TraineeStore) {
  const insertLink = db.prepare(sql.INSERT_LINK);
  const revoke = db.prepare(sql.REVOKE_LINK);
  const ofTrainee = db.prepare<{ traineeId: string }, LinkRow>(sql.LINK_OF_TRAINEE);
  const byToken = db.prepare<{ hash: string }, LinkRow>(sql.LINK_BY_TOKEN);
  const byFeed = db.prepare<{ hash: string }, LinkRow>(sql.LINK_BY_FEED);
  const byDevice = db.prepare<{ hash: string }, DeviceRow>(sql.LINK_BY_DEVICE);
  const insertDevice = db.prepare(sql.INSERT_DEVICE);
  const forgetDevices = db.prepare(sql.FORGET_DEVICES);
  const seen = db.prepare(sql.DEVICE_SEEN);
  const devices = db.prepare<{ linkId: string }, TraineeLinkReply['devices'][number]>(sql.DEVICES_OF_LINK);
  const at = () => instant(now());

  const isLapsed = ({ lapsesOn }: LinkRow): boolean => lapsesOn !== null && lapsesOn < calendarDay(now());

  /**
   * A child’s page stands on the word of those responsible for them, as long as it stands.
   *
   * @throws Refusal `link-unknown`, `link-lapsed`, `link-no-consent`
   */
  function standing<Row extends LinkRow>(row: Row | undefined): Row {
    if (!row) throw new Refusal('link-unknown');
    if (isLapsed(row)) throw new Refusal('link-lapsed');
    if (consentMissing(row.traineeId)) throw new Refusal('link-no-consent');
    return row;
  }

  const consentMissing = (traineeId: string): boolean => trainees.find(traineeId).screening.cautions.some((c) => c.id === 'no-consent');

  const seatOf = ({ traineeId, coachId, coach, progress }: LinkRow): OwnSeat => ({
    traineeId,
    coach,
    progress: progress === 1,
    actor: { coachId, role: 'assistant', initials: null, confirmed: false, isTrainee: true },
  });

  function replyOf(row: LinkRow): TraineeLinkReply {
    const { id, madeAt, lapsesOn, pinHash, progress } = row;
    return {
      id,
      madeAt,
      progress: progress === 1,
      lapsesOn,
      lapsed: isLapsed(row),
      pin: pinHash !== null,
      devices: devices.all({ linkId: id }),
    };
  }

  return {
    find(traineeId: string): TraineeLinkReply | null {
      trainees.find(traineeId);
      const row = ofTrainee.get({ traineeId });
      return row ? replyOf(row) : null;
    },

    /** Makes a link, and takes the one before it back with every phone that it was opened on. Its secret is told once. */
    async make(actor: Actor, traineeId: string, { id, pin = null, lapsesOn = null, progress }: TraineeLinkDto): Promise<NewLinkReply> {
      mustMay(actor, 'plan');
      if (consentMissing(traineeId)) throw new Refusal('link-consent-first');
      const token = newToken();
      const pinHash = pin === null ? null : await hashPassword(pin);
      db.transaction(() => {
        // Nothing of a link's secret is kept, so that the same request come again makes another.
        if (db.prepare('SELECT 1 FROM trainee_link WHERE id = ?').get(id)) throw new Refusal('id-reused');
        revoke.run({ traineeId, at: at() });
        const secret = { tokenHash: digestOf(token), feedHash: digestOf(feedOf(token)) };
        insertLink.run({ id, traineeId, coachId: actor.coachId, ...secret, pinHash, lapsesOn, progress: progress ? 1 : 0, madeAt: at() });
      }).immediate();
      const made = ofTrainee.get({ traineeId });
      if (!made) throw new Refusal('link-missing');
      return { ...replyOf(made), secret: withStudio(fileId, token) };
    },

    revoke(actor: Actor, traineeId: string): null {
      mustMay(actor, 'plan');
      trainees.find(traineeId);
      if (revoke.run({ traineeId, at: at() }).changes === 0) throw new Refusal('link-missing');
      return null;
    },

    /**
     * Makes a phone known that shows a link.
     *
     * @throws Refusal `link-unknown`, `link-lapsed`, `link-no-consent`, `link-pin-needed`, `link-pin-wrong`
     */
    async open(token: string, { pin }: { readonly pin?: LinkOpenDto['pin'] | undefined }, device: string): Promise<LinkOpenReply> {
      const { id, pinHash } = standing(byToken.get({ hash: digestOf(token) }));
      if (pinHash !== null && !pin) throw new Refusal('link-pin-needed');
      if (pinHash !== null && !(await passwordFits(pinHash, pin ?? ''))) throw new Refusal('link-pin-wrong');
      const key = newToken();
      db.transaction(() => {
        insertDevice.run({ id: v7(), linkId: id, tokenHash: digestOf(key), device, at: at() });
        forgetDevices.run({ linkId: id, most: MOST_DEVICES });
      })();
      return { key: withStudio(fileId, key), feed: withStudio(fileId, feedOf(token)) };
    },

    /** @throws Refusal `link-unknown`, `link-lapsed`, `link-no-consent` */
    seatOfDevice(key: string): OwnSeat {
      const row = standing(byDevice.get({ hash: digestOf(key) }));
      if (now().getTime() - Date.parse(row.seenAt) > SEEN_EVERY_MS) seen.run({ id: row.deviceId, at: at() });
      return seatOf(row);
    },

    /** @throws Refusal `link-unknown`, `link-lapsed`, `link-no-consent` */
    seatOfFeed: (feed: string): OwnSeat => seatOf(standing(byFeed.get({ hash: digestOf(feed) }))),
  };
}

export type LinkStore = ReturnType<typeof linkStore>;
