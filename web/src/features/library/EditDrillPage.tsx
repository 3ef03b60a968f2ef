import { JOINTS, MOTIONS } from '@myokinet/core/anatomy';
import { DrillEntryDto } from '@myokinet/core/contracts';
import { type Drill, EQUIPMENT, EQUIPMENT_IDS, PHASES, POSITIONS, QUALITIES } from '@myokinet/core/drills';
import { CAUTION_IDS } from '@myokinet/core/safety';
import { POSES } from '@myokinet/core/statics';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useDesk } from '../../client/useDesk.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { blankDrill, copyOfDrill, STUDIO_ORIGIN } from './blankEntries.ts';
import { DeskBar } from './DeskBar.tsx';
import { BladeFields, DoseFields, HandLoadFields, withText } from './DrillFields.tsx';
import { useSaveEntryMutation } from './endpoints.ts';
import { SelectField, TextField, TicksField } from '../../kit/EntryFields.tsx';
import { useLibrary, useOwnEntry } from '../../client/LibraryContext.ts';
import { NeighboursField } from './NeighboursField.tsx';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { FaultNoteFields, TeachingFields } from './TeachingFields.tsx';
import { TrainsField } from './TrainsField.tsx';
import { useEntryProblems } from './useEntryProblems.ts';
import { asOptions } from './words.ts';
import { CAUTION_WORDS } from '@myokinet/core/words';

interface DrillEntry {
  readonly revision: string;
  readonly basedOn: string | null;
  readonly entry: Drill;
}

export function EditDrillPage() {
  const { drillId = '' } = useParams();
  const [search] = useSearchParams();
  const library = useLibrary();
  const fresh = search.has('new');
  if (!fresh && !library.hasDrill(drillId)) return <NoSuchEntry kind="drill" />;
  const from = search.get('from');
  const start = library.hasDrill(drillId)
    ? { ...library.drill(drillId), origin: STUDIO_ORIGIN }
    : library.hasDrill(from)
      ? copyOfDrill(library.drill(from), drillId)
      : blankDrill(drillId);
  return <DrillEditor key={drillId} start={start} />;
}

function DrillEditor({ start }: { readonly start: Drill }) {
  const navigate = useNavigate();
  const library = useLibrary();
  const own = useOwnEntry('drill', start.id);
  const [send, sending] = useSaveEntryMutation();
  const [tried, setTried] = useState(false);
  const base = own?.revision ?? null;
  const desk = useDesk<DrillEntry>({
    key: `drill:${start.id}`,
    initial: () => ({ revision: newId(), basedOn: base, entry: start }),
    version: base ?? '',
    send: (body) => send({ kind: 'drill', body }),
    sending,
    rebase: (mine) => ({ ...mine, basedOn: base }),
  });
  const { entry: drill } = desk.value;
  const problems = useEntryProblems('drill', DrillEntryDto, desk.value);
  const problemOf = (field: string) => (tried ? problems.find((p) => p.field === `/entry/${field}`)?.message : undefined);
  const edit = (part: Partial<Drill>) => desk.edit({ ...desk.value, entry: { ...drill, ...part } });
  const save = async () => {
    setTried(true);
    if (problems.length === 0 && (await desk.save())) await navigate(`/library/drills/${drill.id}`);
  };
  return (
    <div>
      <DeskBar
        title={drill.name || 'A new drill'}
        what="this drill"
        desk={desk}
        save={() => void save()}
        problems={tried ? problems.map((p) => p.message) : []}
      />
      <div className="mt-3 grid items-start gap-x-10 gap-y-5 lg:grid-cols-2">
        <div className="grid gap-3 sm:grid-cols-2">
          <TextField
            label="Name"
            className="sm:col-span-2"
            value={drill.name}
            problem={problemOf('name')}
            change={(name) => edit({ name })}
          />
          <TextField
            label="Cue"
            long
            className="sm:col-span-2"
            value={drill.cue}
            problem={problemOf('cue')}
            change={(cue) => edit({ cue })}
          />
          <SelectField
            label="Part of a session"
            value={drill.phase}
            options={asOptions(PHASES)}
            change={(v) => edit({ phase: v as Drill['phase'] })}
          />
          <SelectField
            label="Quality"
            value={drill.quality}
            options={asOptions(QUALITIES)}
            change={(v) => edit({ quality: v as Drill['quality'] })}
          />
          <SelectField
            label="Position"
            value={drill.position}
            options={asOptions(POSITIONS)}
            change={(v) => edit({ position: v as Drill['position'] })}
          />
          <div className="flex items-end gap-3">
            <SelectField
              label="Figure"
              className="flex-1"
              value={drill.pose}
              options={asOptions(Object.keys(POSES))}
              change={(v) => edit({ pose: v as Drill['pose'] })}
            />
            <StillBody of={drill} size={72} />
          </div>
          <SelectField
            label="Moves like"
            className="sm:col-span-2"
            value={drill.movement ?? ''}
            options={[
              { value: '', label: 'itself, or stays in its position' },
              ...library.drills.filter((d) => d.origin.kind !== 'studio').map((d) => ({ value: d.id, label: d.name })),
            ]}
            change={(v) => {
              const { movement: _, ...itself } = drill;
              desk.edit({ ...desk.value, entry: v === '' ? itself : { ...drill, movement: v } });
            }}
          />
          <SelectField label="Joint" value={drill.joint} options={asOptions(JOINTS)} change={(v) => edit({ joint: v as Drill['joint'] })} />
          <div className="sm:col-span-2">
            <TicksField
              legend="Also works"
              values={drill.alsoWorks}
              options={JOINTS.filter((j) => j !== drill.joint).map((j) => ({ value: j, label: j }))}
              change={(alsoWorks) => edit({ alsoWorks })}
            />
          </div>
          <div className="sm:col-span-2">
            <TicksField
              legend="Directions"
              values={drill.motions}
              options={MOTIONS.map((m) => ({ value: m, label: m }))}
              change={(motions) => edit({ motions })}
            />
          </div>
          <DoseFields drill={drill} edit={edit} problemOf={problemOf} />
          <TeachingFields drill={drill} edit={edit} problemOf={problemOf} />
        </div>
        <div className="grid gap-4">
          <BladeFields drill={drill} edit={edit} />
          <HandLoadFields drill={drill} edit={edit} problemOf={problemOf} />
          <TrainsField trains={drill.trains} change={(trains) => edit({ trains })} />
          <NeighboursField drill={drill} change={(easier) => edit({ easier })} />
          <TicksField
            legend="Faults it invites"
            values={drill.faults}
            options={library.faults.map((f) => ({ value: f.id, label: f.name }))}
            change={(faults) => edit({ faults })}
          />
          <FaultNoteFields drill={drill} edit={edit} problemOf={problemOf} />
          <TicksField
            legend="Cautions that exclude it"
            values={drill.excludedBy}
            options={CAUTION_IDS.map((c) => ({ value: c, label: CAUTION_WORDS[c].name }))}
            change={(excludedBy) => edit({ excludedBy })}
          />
          <TicksField
            legend="Equipment"
            values={drill.equipment}
            options={EQUIPMENT_IDS.map((e) => ({ value: e, label: EQUIPMENT[e] }))}
            change={(equipment) => edit({ equipment })}
          />
          {drill.equipment.map((e) => (
            <TextField
              key={e}
              label={`What can stand in for the ${EQUIPMENT[e]}`}
              value={drill.standIns[e] ?? ''}
              change={(text) => edit({ standIns: withText(drill.standIns, e, text) })}
            />
          ))}
          <TextField
            label="Bearable with (one a line)"
            long
            value={drill.aids.join('\n')}
            problem={problemOf('aids')}
            change={(text) => edit({ aids: text === '' ? [] : text.split('\n') })}
          />
          <TextField
            label="Where it comes from, in your own words"
            value={drill.origin.kind === 'studio' ? drill.origin.note : ''}
            problem={problemOf('origin/note')}
            change={(note) => edit({ origin: { kind: 'studio', note } })}
          />
        </div>
      </div>
    </div>
  );
}
