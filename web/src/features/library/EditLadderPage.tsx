import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { LadderEntryDto } from '@myokinet/core/contracts';
import type { FieldProblem } from '@myokinet/core/errors';
import { type Ladder, LADDER_KINDS, ladderFindings, type Rung } from '@myokinet/core/ladders';
import { Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useDesk } from '../../client/useDesk.ts';
import { dragAnnouncements } from '../../kit/dragAnnouncements.ts';
import { blankLadder, blankRung } from './blankEntries.ts';
import { DeskBar } from './DeskBar.tsx';
import { useSaveEntryMutation } from './endpoints.ts';
import { SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary, useOwnEntry } from '../../client/LibraryContext.ts';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { RungEditor } from './RungEditor.tsx';
import { SignedRungsNote } from './SignedRungsNote.tsx';
import { useEntryProblems } from './useEntryProblems.ts';
import { ANY_BODY_MODEL, asOptions } from './words.ts';
import { ladderFindingInWords } from '@myokinet/core/words';
import { DrillsField } from './DrillsField.tsx';
import { LOADING_PHASES } from '@myokinet/core/drills';

interface LadderEntry {
  readonly revision: string;
  readonly basedOn: string | null;
  readonly entry: Ladder;
}

export function EditLadderPage() {
  const { ladderId = '' } = useParams();
  const [search] = useSearchParams();
  const library = useLibrary();
  if (!search.has('new') && !library.hasLadder(ladderId)) return <NoSuchEntry kind="ladder" />;
  const from = search.get('from');
  const start = library.hasLadder(ladderId)
    ? library.ladder(ladderId)
    : library.hasLadder(from)
      ? { ...library.ladder(from), id: ladderId, name: `${library.ladder(from).name}, copy` }
      : blankLadder(ladderId, blankRung(`rung-${newId()}`, library.drills[0]?.id ?? ''));
  return <LadderEditor key={ladderId} start={start} />;
}

function LadderEditor({ start }: { readonly start: Ladder }) {
  const navigate = useNavigate();
  const library = useLibrary();
  const own = useOwnEntry('ladder', start.id);
  const [send, sending] = useSaveEntryMutation();
  const [tried, setTried] = useState(false);
  const [open, setOpen] = useState<string | undefined>();
  const base = own?.revision ?? null;
  const desk = useDesk<LadderEntry>({
    key: `ladder:${start.id}`,
    initial: () => ({ revision: newId(), basedOn: base, entry: start }),
    version: base ?? '',
    send: (body) => send({ kind: 'ladder', body }),
    sending,
    rebase: (mine) => ({ ...mine, basedOn: base }),
  });
  const { entry: ladder } = desk.value;
  const { rungs } = ladder;
  const problems = useEntryProblems('ladder', LadderEntryDto, desk.value);
  const problemOf = (field: string) => (tried ? problems.find((p) => p.field === `/entry/${field}`)?.message : undefined);
  // Held against the model of an average body, as it is edited.
  const findings = useMemo(() => ladderFindings(ladder, ANY_BODY_MODEL, library.measure), [ladder, library]);
  const edit = (part: Partial<Ladder>) => desk.edit({ ...desk.value, entry: { ...ladder, ...part } });
  const editRungs = (next: readonly Rung[]) => edit({ rungs: next });
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }));

  const add = (rung: Rung, at: number) => {
    editRungs([...rungs.slice(0, at), rung, ...rungs.slice(at)]);
    setOpen(rung.id);
  };
  const onDragEnd = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) editRungs(moved(rungs, String(active.id), String(over.id)));
  };
  const save = async () => {
    setTried(true);
    if (problems.length === 0 && (await desk.save())) await navigate(`/library/ladders/${ladder.id}`);
  };
  // Highest first, as a ladder stands; the places are counted from the ground.
  const shown = rungs.toReversed();
  return (
    <div>
      <DeskBar
        title={ladder.name || 'A new ladder'}
        what="this ladder"
        desk={desk}
        save={() => void save()}
        problems={tried ? problems.map((p) => whereInWords(p, rungs)) : []}
      />
      {library.hasLadder(start.id) && <SignedRungsNote ladder={library.ladder(start.id)} rungs={rungs} />}
      <div className="mt-3 grid gap-3 sm:grid-cols-[minmax(0,2fr)_8rem_minmax(0,3fr)]">
        <TextField label="Name" value={ladder.name} problem={problemOf('name')} change={(name) => edit({ name })} />
        <SelectField
          label="Kind"
          value={ladder.kind}
          options={asOptions(LADDER_KINDS)}
          change={(v) => edit({ kind: v as Ladder['kind'] })}
        />
        <TextField label="Aim" value={ladder.aim} problem={problemOf('aim')} change={(aim) => edit({ aim })} />
        <TextField
          label="Warnings (one a line)"
          long
          className="sm:col-span-3"
          value={ladder.warnings.join('\n')}
          problem={problemOf('warnings')}
          change={(text) => edit({ warnings: text === '' ? [] : text.split('\n') })}
        />
        <div className="sm:col-span-3">
          <DrillsField
            label="Preparation: below the first rung, clean sessions hold one of these"
            one="a preparing drill"
            chosen={ladder.preparation ?? []}
            free={library.drills.filter((d) => !d.rung && LOADING_PHASES.includes(d.phase))}
            change={(preparation) => edit({ preparation })}
          />
        </div>
      </div>
      <div className="mt-3 flex items-center gap-3">
        <h3>Rungs, highest first</h3>
        <button
          type="button"
          className="btn btn-sm"
          onClick={() => add(blankRung(`rung-${newId()}`, rungs.at(-1)?.practice ?? ''), rungs.length)}
        >
          <Plus size={16} aria-hidden /> Add a rung on top
        </button>
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
        accessibility={{ announcements: dragAnnouncements(shown.map((r) => ({ id: r.id, name: r.name || 'the new rung' }))) }}
      >
        <SortableContext items={shown.map((r) => r.id)} strategy={verticalListSortingStrategy}>
          <ol reversed className="mt-1">
            {shown.map((rung) => {
              const at = rungs.indexOf(rung);
              return (
                <RungEditor
                  key={rung.id}
                  rung={rung}
                  place={at + 1}
                  open={open === rung.id}
                  toggle={() => setOpen(open === rung.id ? undefined : rung.id)}
                  problemOf={(field) => problemOf(`rungs/${at}/${field}`)}
                  findings={findings.filter((f) => f.rungId === rung.id).map(ladderFindingInWords)}
                  change={(next) => editRungs(rungs.map((r) => (r.id === rung.id ? next : r)))}
                  copy={() => add({ ...rung, id: `rung-${newId()}`, name: `${rung.name}, copy` }, at + 1)}
                  remove={rungs.length > 1 ? () => editRungs(rungs.filter((r) => r.id !== rung.id)) : undefined}
                />
              );
            })}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

function moved(rungs: readonly Rung[], id: string, overId: string): readonly Rung[] {
  const rung = rungs.find((r) => r.id === id);
  const to = rungs.findIndex((r) => r.id === overId);
  if (!rung || to < 0) return rungs;
  const rest = rungs.filter((r) => r !== rung);
  return [...rest.slice(0, to), rung, ...rest.slice(to)];
}

/** A problem with the rung it lies in, by name, unless it says so itself. */
function whereInWords({ field, message }: FieldProblem, rungs: readonly Rung[]): string {
  const at = /^\/entry\/rungs\/(\d+)/.exec(field)?.[1];
  if (at === undefined) return message;
  const name = rungs[Number(at)]?.name;
  return name && message.includes(`“${name}”`) ? message : `“${name || `Rung ${Number(at) + 1}`}”: ${message}`;
}
