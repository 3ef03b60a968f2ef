import { MeasureEntryDto } from '@myokinet/core/contracts';
import type { Measure } from '@myokinet/core/measuring';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useDesk } from '../../client/useDesk.ts';
import { blankMeasure, STUDIO_ORIGIN } from './blankEntries.ts';
import { DeskBar } from './DeskBar.tsx';
import { type SavedEntry, useSaveEntryMutation } from './endpoints.ts';
import { useLibrary, useOwnEntry } from '../../client/LibraryContext.ts';
import { LeadsField } from './LeadsField.tsx';
import { HowItIsRead, HowItIsTaken, WhatItIs } from './MeasureFields.tsx';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { useEntryProblems } from './useEntryProblems.ts';

type MeasureEntry = SavedEntry['body'] & { readonly entry: Measure };

export function EditMeasurePage() {
  const { measureId = '' } = useParams();
  const [search] = useSearchParams();
  const library = useLibrary();
  if (!search.has('new') && !library.hasMeasure(measureId)) return <NoSuchEntry kind="measure" />;
  const from = search.get('from');
  const start = library.hasMeasure(measureId)
    ? { ...library.measure(measureId), origin: STUDIO_ORIGIN }
    : library.hasMeasure(from)
      ? { ...library.measure(from), id: measureId, name: `${library.measure(from).name}, copy`, origin: STUDIO_ORIGIN }
      : blankMeasure(measureId);
  return <MeasureEditor key={measureId} start={start} />;
}

function MeasureEditor({ start }: { readonly start: Measure }) {
  const navigate = useNavigate();
  const library = useLibrary();
  const own = useOwnEntry('measure', start.id);
  const [send, sending] = useSaveEntryMutation();
  const [tried, setTried] = useState(false);
  const base = own?.revision ?? null;
  const desk = useDesk<MeasureEntry>({
    key: `measure:${start.id}`,
    initial: () => ({ revision: newId(), basedOn: base, entry: start }),
    version: base ?? '',
    send: (body) => send({ kind: 'measure', body }),
    sending,
    rebase: (mine) => ({ ...mine, basedOn: base }),
  });
  const { entry: measure } = desk.value;
  const problems = useEntryProblems('measure', MeasureEntryDto, desk.value);
  const problemOf = (field: string) => (tried ? problems.find((p) => p.field === `/entry/${field}`)?.message : undefined);
  const edit = (part: Partial<Measure>) => desk.edit({ ...desk.value, entry: { ...measure, ...part } });
  const save = async () => {
    setTried(true);
    if (problems.length === 0 && (await desk.save())) await navigate(`/library/checks/${measure.id}`);
  };
  const fields = { measure, edit, problemOf };
  return (
    <div>
      <DeskBar
        title={measure.name || 'A new check'}
        what="this check"
        desk={desk}
        save={() => void save()}
        problems={tried ? problems.map((p) => p.message) : []}
      />
      <div className="mt-3 grid items-start gap-x-10 gap-y-5 lg:grid-cols-2">
        <div className="grid gap-5">
          <WhatItIs {...fields} onRecord={library.hasMeasure(start.id)} />
          <HowItIsTaken {...fields} />
        </div>
        <div className="grid gap-5">
          <HowItIsRead {...fields} onRecord={library.hasMeasure(start.id)} />
          <LeadsField measure={measure} problemOf={problemOf} change={(leads) => edit({ leads })} />
        </div>
      </div>
    </div>
  );
}
