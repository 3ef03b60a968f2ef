import { type BandReply, BandDto, inspect } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { asKilograms, bandForce, fitBand, GRAVITY } from '@myokinet/core/statics';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { useDesk } from '../../client/useDesk.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { NumberField, TextField } from '../../kit/EntryFields.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useBandsQuery, useSaveBandMutation } from './endpoints.ts';

/** The studio's elastic bands: own names, a few readings each, the curve through them. */
export function BandsPage() {
  const { data, error, isLoading, refetch } = useBandsQuery();
  const [open, setOpen] = useState<string | undefined>();
  const [fresh, setFresh] = useState<string | undefined>();
  if (isLoading) return <Waiting />;
  if (!data) return <ProblemNote error={error} retry={() => void refetch()} />;
  const add = () => {
    const id = newId();
    setFresh(id);
    setOpen(id);
  };
  return (
    <section aria-labelledby="bands">
      <title>Bands · Library · Myokinet</title>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 id="bands">Bands</h2>
        <button type="button" className="btn btn-sm" onClick={add}>
          <Plus size={16} aria-hidden /> Add a band
        </button>
      </div>
      <p className="aside">
        A colour says nothing about a band. Hang it from a hook, pull it with a luggage scale to two, three or four lengths, and write down
        what it shows. Look for nicks before every use.
      </p>
      {fresh && !data.some((b) => b.id === fresh) && open === fresh && (
        <BandEditor id={fresh} saved={undefined} close={() => setOpen(undefined)} />
      )}
      {data.length === 0 && !open && (
        <div className="mt-3">
          <Empty title="No bands yet">
            <button type="button" className="btn btn-primary btn-sm" onClick={add}>
              Add the first band
            </button>
          </Empty>
        </div>
      )}
      <ul className="mt-2">
        {data.map((band) => (
          <li key={band.id} className="border-t border-base-300 py-2">
            {open === band.id ? (
              <BandEditor id={band.id} saved={band} close={() => setOpen(undefined)} />
            ) : (
              <BandRow band={band} edit={() => setOpen(band.id)} />
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

const kg = (newtons: number) => `${asKilograms(newtons).toFixed(1)} kg`;

function BandRow({ band, edit }: { readonly band: BandReply; readonly edit: () => void }) {
  const { curve, readings, slackCm, worstN, inUse } = band;
  const most = curve.slackM + curve.mostM;
  return (
    <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
      <BandCurvePlot band={band} />
      <div className="min-w-60 flex-1 leading-snug">
        <h3>
          {band.name} {!inUse && <span className="aside font-normal">no longer in use</span>}
        </h3>
        <p>
          Slack at {slackCm} cm; pulls {kg(bandForce(curve, curve.slackM + curve.mostM / 2))} half way and {kg(bandForce(curve, most))} at{' '}
          {Math.round(most * 100)} cm.
        </p>
        <p className="aside text-sm">
          {readings.length} readings, at most {kg(worstN)} off the curve. {band.coach}.
        </p>
      </div>
      <button type="button" className="btn btn-sm" onClick={edit}>
        Edit {band.name}
      </button>
    </div>
  );
}

const [PLOT_WIDTH, PLOT_HEIGHT] = [130, 56];
const STEPS = 20;

/** The curve through a band's readings, small. */
function BandCurvePlot({ band: { curve, readings } }: { readonly band: BandReply }) {
  const top = Math.max(bandForce(curve, curve.slackM + curve.mostM), ...readings.map((r) => r.kg * GRAVITY));
  const x = (e: number) => 4 + ((PLOT_WIDTH - 8) * e) / curve.mostM;
  const y = (f: number) => PLOT_HEIGHT - 4 - ((PLOT_HEIGHT - 8) * f) / top;
  const line = Array.from({ length: STEPS + 1 }, (_, i) => (curve.mostM * i) / STEPS).map(
    (e) => `${x(e)},${y(bandForce(curve, curve.slackM + e))}`,
  );
  return (
    <svg width={PLOT_WIDTH} height={PLOT_HEIGHT} aria-hidden className="flex-none">
      <path d={`M4 4V${PLOT_HEIGHT - 4}H${PLOT_WIDTH - 4}`} fill="none" stroke="var(--color-base-300)" />
      <polyline points={line.join(' ')} fill="none" stroke="var(--color-primary)" strokeWidth={2} />
      {readings.map((r) => (
        <circle key={r.stretchCm} cx={x(r.stretchCm / 100)} cy={y(r.kg * GRAVITY)} r={3.5} fill="var(--color-base-content)" />
      ))}
    </svg>
  );
}

interface BandEditorProps {
  readonly id: string;
  readonly saved: BandReply | undefined;
  readonly close: () => void;
}

const MOST_READINGS = 4;
const BLANK = { stretchCm: Number.NaN, kg: Number.NaN };

function BandEditor({ id, saved, close }: BandEditorProps) {
  const [send, sending] = useSaveBandMutation();
  const [tried, setTried] = useState(false);
  const base = saved?.revision ?? null;
  const desk = useDesk<BandDto>({
    key: `band:${id}`,
    initial: () => ({
      id,
      revision: newId(),
      basedOn: base,
      name: saved?.name ?? '',
      slackCm: saved?.slackCm ?? Number.NaN,
      readings: saved ? [...saved.readings] : [BLANK, BLANK],
      inUse: saved?.inUse ?? true,
    }),
    version: base ?? '',
    send,
    sending,
    rebase: (mine) => ({ ...mine, basedOn: base }),
  });
  const { value: band } = desk;
  const { problems } = inspect(BandDto, band, { now: new Date() });
  const problemOf = (field: string) => (tried ? problems.find((p) => p.field === `/${field}`)?.message : undefined);
  const nonsense = problems.length === 0 ? nonsenseIn(band) : undefined;
  const edit = (part: Partial<BandDto>) => desk.edit({ ...band, ...part });
  const save = async () => {
    setTried(true);
    if (problems.length === 0 && !nonsense && (await desk.save())) close();
  };
  return (
    <form
      className="sheet mt-2 p-3"
      aria-label={saved ? `Edit ${saved.name}` : 'A new band'}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      {desk.conflict && <ConflictNote what="this band" takeTheirs={desk.startOver} keepMine={desk.keepMine} />}
      <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_12rem]">
        <TextField label="Name" autoFocus value={band.name} problem={problemOf('name')} change={(name) => edit({ name })} />
        <NumberField
          label="Slack length"
          unit="cm"
          value={band.slackCm}
          problem={problemOf('slackCm')}
          change={(slackCm) => edit({ slackCm })}
        />
      </div>
      <fieldset className="mt-2">
        <legend className="text-sm font-semibold">Readings: stretch beyond the slack length, and what the scale shows</legend>
        {band.readings.map((reading, i) => (
          <div key={i} className="mt-1 flex items-end gap-3">
            <NumberField
              label={`Stretch ${i + 1}`}
              unit="cm"
              value={reading.stretchCm}
              problem={problemOf(`readings/${i}/stretchCm`)}
              change={(stretchCm) => edit({ readings: band.readings.map((r, k) => (k === i ? { ...r, stretchCm } : r)) })}
            />
            <NumberField
              label={`Pull ${i + 1}`}
              unit="kg"
              step={0.1}
              value={reading.kg}
              problem={problemOf(`readings/${i}/kg`)}
              change={(pull) => edit({ readings: band.readings.map((r, k) => (k === i ? { ...r, kg: pull } : r)) })}
            />
            {band.readings.length > 2 && (
              <button
                type="button"
                className="btn btn-sm btn-ghost"
                onClick={() => edit({ readings: band.readings.filter((_, k) => k !== i) })}
              >
                Leave out reading {i + 1}
              </button>
            )}
          </div>
        ))}
        {band.readings.length < MOST_READINGS && (
          <button type="button" className="btn btn-sm mt-2" onClick={() => edit({ readings: [...band.readings, BLANK] })}>
            One more reading
          </button>
        )}
      </fieldset>
      <label className="mt-2 flex items-center gap-1.5 text-sm">
        <input type="checkbox" className="checkbox checkbox-xs" checked={band.inUse} onChange={(e) => edit({ inUse: e.target.checked })} />
        In use
      </label>
      {nonsense && (
        <p role="alert" className="mt-2 border-s-4 border-error ps-2.5">
          {nonsense}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={desk.saving}>
          Save the band
        </button>
        <button
          type="button"
          className="btn btn-sm btn-ghost"
          onClick={() => {
            desk.startOver();
            close();
          }}
        >
          Leave it
        </button>
        <UndoRedo desk={desk} />
      </div>
      <ProblemNote error={desk.conflict ? undefined : desk.error} />
    </form>
  );
}

/** Why the readings describe no band, as the server would say it. */
function nonsenseIn({ readings }: BandDto): string | undefined {
  try {
    fitBand(readings.map(({ stretchCm, kg: pull }) => ({ stretchM: stretchCm / 100, forceN: pull * GRAVITY })));
    return undefined;
  } catch (error) {
    if (error instanceof Refusal) return error.detail;
    throw error;
  }
}
