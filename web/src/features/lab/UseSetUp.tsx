import { type HandLoadReading, modelOf, type SetUp, setUpInWords, type SupportPlan } from '@myokinet/core/statics';
import { useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useLibrary, useStudioLibrary } from '../../client/LibraryContext.ts';
import { useSaveEntryMutation } from '../library/index.ts';
import { SelectField } from '../../kit/EntryFields.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { percent } from './words.ts';

export interface UseSetUpProps {
  readonly setUp: SetUp;
  readonly reading: HandLoadReading;
}

type Target =
  { readonly kind: 'drill'; readonly id: string } | { readonly kind: 'rung'; readonly ladderId: string; readonly rungId: string };

/** Puts the set-up on a drill or a rung of the studio's library. */
export function UseSetUp({ setUp, reading }: UseSetUpProps) {
  const library = useLibrary();
  const { reply } = useStudioLibrary();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState('');
  const [how, setHow] = useState<'as it stands' | 'same load'>('as it stands');
  const [saved, setSaved] = useState<{ readonly words: string; readonly to: string } | undefined>();
  const [send, sending] = useSaveEntryMutation();
  if (!open)
    return (
      <button type="button" className="btn btn-sm btn-outline" onClick={() => setOpen(true)}>
        Use this set-up…
      </button>
    );
  const target = targetOf(chosen);
  const turns = modelOf(setUp.position).harder.length > 0;
  const support: SupportPlan = how === 'same load' && turns ? { setUp, wanted: Math.round(reading.loadShare * 100) / 100 } : { setUp };
  const revisionOf = (kind: 'drill' | 'ladder', id: string) => ({
    revision: newId(),
    basedOn: reply.own.find((e) => e.kind === kind && e.id === id)?.revision ?? null,
  });
  const save = async () => {
    if (target?.kind === 'drill') {
      const drill = library.drill(target.id);
      const entry = {
        ...drill,
        support,
        handLoad: {
          joints: drill.handLoad?.joints ?? [drill.joint],
          direction: drill.handLoad?.direction ?? modelOf(setUp.position).direction,
          share: Math.round(reading.loadShare * 100) / 100,
        },
      };
      const result = await send({ kind: 'drill', body: { ...revisionOf('drill', drill.id), entry } });
      if (result.data) setSaved({ words: drill.name, to: `/library/drills/${drill.id}` });
    }
    if (target?.kind === 'rung') {
      const ladder = library.ladder(target.ladderId);
      const entry = { ...ladder, rungs: ladder.rungs.map((r) => (r.id === target.rungId ? { ...r, support } : r)) };
      const result = await send({ kind: 'ladder', body: { ...revisionOf('ladder', ladder.id), entry } });
      if (result.data) setSaved({ words: library.rungName(ladder.id, target.rungId), to: `/library/ladders/${ladder.id}` });
    }
  };
  const drills = library.drills.filter((d) => d.handLoad || d.support);
  return (
    <section aria-label="Use this set-up" className="sheet p-3">
      <h2>Use this set-up</h2>
      <p className="aside text-sm">{setUpInWords(setUp)}</p>
      <div className="mt-1.5 grid gap-3 sm:grid-cols-2">
        <SelectField
          label="On"
          value={chosen}
          options={[
            { value: '', label: 'choose a rung or a drill…' },
            ...library.ladders.flatMap((l) => l.rungs.map((r) => ({ value: `rung ${l.id} ${r.id}`, label: `${l.name}: ${r.name}` }))),
            ...drills.map((d) => ({ value: `drill ${d.id}`, label: `Drill: ${d.name}` })),
          ]}
          change={(value) => {
            setChosen(value);
            setSaved(undefined);
          }}
        />
        <SelectField
          label="For every trainee"
          value={how}
          options={[
            { value: 'as it stands', label: 'the same heights and distances' },
            ...(turns ? [{ value: 'same load', label: `the same load, ${percent(reading.loadShare)} of body weight` }] : []),
          ]}
          change={(value) => setHow(value as typeof how)}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-2">
        <button type="button" className="btn btn-sm btn-primary" disabled={!target || sending.isLoading} onClick={() => void save()}>
          Save it there
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => setOpen(false)}>
          Leave it
        </button>
        {saved && (
          <p role="status">
            Saved as the studio’s own.{' '}
            <Link className="link" to={saved.to}>
              Look at {saved.words}
            </Link>
          </p>
        )}
      </div>
      <ProblemNote error={sending.error} />
    </section>
  );
}

function targetOf(chosen: string): Target | undefined {
  const [kind, id = '', rungId = ''] = chosen.split(' ');
  if (kind === 'drill') return { kind, id };
  if (kind === 'rung') return { kind, ladderId: id, rungId };
  return undefined;
}
