import { type ImportReply, LIBRARY_LIMITS } from '@myokinet/core/contracts';
import { Download } from 'lucide-react';
import { useId, useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useImportLibraryMutation } from './endpoints.ts';
import { useStudioLibrary } from '../../client/LibraryContext.ts';

const FILES = [
  { href: '/api/library/drills.csv', label: 'The drills as a table', hint: 'CSV: one row a drill, opens in a spreadsheet' },
  { href: '/api/library/schema.json', label: 'The JSON Schema', hint: 'what a library file must look like' },
];

/** The library out of and into the program. */
export function ExchangePage() {
  return (
    <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
      <section aria-label="Export">
        <h2>Export</h2>
        <ul className="mt-2">
          <WholeLibrary />
          {FILES.map(({ href, label, hint }) => (
            <li key={href} className="border-b border-base-300 py-2">
              <a className="link font-semibold" href={href} download>
                <Download size={15} className="me-1.5 inline" aria-hidden />
                {label}
              </a>
              <span className="aside block text-sm">{hint}</span>
            </li>
          ))}
        </ul>
      </section>
      <Import />
    </div>
  );
}

const PICTURES = [
  { value: '', label: 'without the studio’s pictures' },
  { value: 'embedded', label: 'with the studio’s pictures in it' },
  { value: 'links', label: 'with the addresses of its pictures' },
] as const;

function WholeLibrary() {
  const id = useId();
  const [pictures, setPictures] = useState('');
  const href = `/api/library/file.json${pictures === '' ? '' : `?pictures=${pictures}`}`;
  return (
    <li className="border-b border-base-300 py-2">
      <a className="link font-semibold" href={href} download>
        <Download size={15} className="me-1.5 inline" aria-hidden />
        The whole library
      </a>
      <label className="sr-only" htmlFor={id}>
        Pictures in the file
      </label>
      <select id={id} className="select select-xs ms-3 w-auto" value={pictures} onChange={(e) => setPictures(e.target.value)}>
        {PICTURES.map(({ value, label }) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
      <span className="aside block text-sm">JSON: drills, ladders, checks, faults and routines, readable by anybody</span>
    </li>
  );
}

interface Chosen {
  readonly name: string;
  readonly format: 'json' | 'csv';
  readonly text: string;
}

const MEGABYTE = 1024 * 1024;

/** Looks at a file first, says what it would do, and takes it over only as a whole. */
function Import() {
  const id = useId();
  const { reply } = useStudioLibrary();
  const [chosen, setChosen] = useState<Chosen | undefined>();
  const [refused, setRefused] = useState<string | undefined>();
  const [send, { data, error, isLoading, reset }] = useImportLibraryMutation();

  const look = async (file: File) => {
    reset();
    setChosen(undefined);
    setRefused(undefined);
    if (file.size > LIBRARY_LIMITS.fileBytes) {
      setRefused(
        `“${file.name}” has ${Math.ceil(file.size / MEGABYTE)} MB; the limit is ${LIBRARY_LIMITS.fileBytes / MEGABYTE} MB. Nothing was read.`,
      );
      return;
    }
    const next: Chosen = { name: file.name, format: file.name.toLowerCase().endsWith('.csv') ? 'csv' : 'json', text: await file.text() };
    setChosen(next);
    await send({ id: newId(), format: next.format, text: next.text, apply: false, state: reply.state });
  };
  const apply = () => {
    if (chosen && data) void send({ id: newId(), format: chosen.format, text: chosen.text, apply: true, state: data.state });
  };
  return (
    <section aria-label="Import">
      <h2>Import</h2>
      <p className="mt-1">
        A library file (JSON) or a table of drills (CSV). What differs from the library becomes the studio’s own; the built-in entries stay
        underneath.
      </p>
      <label htmlFor={id} className="mt-3 block font-semibold">
        File
      </label>
      <input
        id={id}
        type="file"
        accept=".json,.csv,application/json,text/csv"
        className="file-input mt-1 w-full max-w-md"
        onChange={(e) => {
          const file = e.target.files?.[0];
          if (file) void look(file);
        }}
      />
      {refused && (
        <p role="alert" className="mt-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
          {refused}
        </p>
      )}
      <ProblemNote error={error} />
      {isLoading && <p className="mt-3">Reading “{chosen?.name}”…</p>}
      {data && chosen && !isLoading && <Outcome data={data} name={chosen.name} apply={apply} />}
    </section>
  );
}

function Outcome({ data, name, apply }: { readonly data: ImportReply; readonly name: string; readonly apply: () => void }) {
  if (data.problems.length > 0)
    return (
      <div role="alert" className="mt-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
        <p className="font-semibold">
          Nothing was changed: “{name}” has {data.problems.length + data.more}{' '}
          {data.problems.length + data.more === 1 ? 'problem' : 'problems'}.
        </p>
        <ol className="mt-1 max-h-80 list-decimal overflow-y-auto ps-6 text-sm" tabIndex={0} aria-label="Problems">
          {data.problems.map(({ field, message }) => (
            <li key={field + message}>
              {message} {field && <code className="aside">{field}</code>}
            </li>
          ))}
        </ol>
        {data.more > 0 && <p className="text-sm">… and {data.more} more.</p>}
      </div>
    );
  const counts = { new: 0, changed: 0, same: 0 };
  for (const { what } of data.entries) counts[what] += 1;
  const differing = data.entries.filter((e) => e.what !== 'same');
  const all = differing.length + data.pictures + data.routines;
  if (data.applied)
    return (
      <p role="status" className="mt-3 border-s-4 border-success bg-success/10 px-4 py-2.5">
        Taken over: {counts.new} new, {counts.changed} changed{besideSaid(data)}. <Link to="/library">See the drills</Link>
      </p>
    );
  return (
    <div className="mt-3" role="status">
      <p>
        “{name}” is sound: <strong>{counts.new} new</strong>, <strong>{counts.changed} changed</strong>, {counts.same} the same as here
        {besideSaid(data)}.
      </p>
      {differing.length > 0 || data.pictures + data.routines > 0 ? (
        <>
          <ul className="mt-1 max-h-60 overflow-y-auto text-sm" tabIndex={0} aria-label="What would change">
            {differing.map((e) => (
              <li key={e.kind + e.id}>
                {e.name}{' '}
                <span className="aside">{`${e.kind}, ${e.what === 'new' ? 'new' : `${e.changes} ${e.changes === 1 ? 'difference' : 'differences'}`}`}</span>
              </li>
            ))}
          </ul>
          <button type="button" className="btn btn-primary mt-2" onClick={apply}>
            Take {all === 1 ? 'it' : `these ${all}`} over
          </button>
        </>
      ) : (
        <p className="aside">There is nothing to take over.</p>
      )}
    </div>
  );
}

/** What comes beside the entries: routines and pictures. */
function besideSaid({ pictures, routines }: Pick<ImportReply, 'pictures' | 'routines'>): string {
  const said = (count: number, one: string) => (count === 0 ? '' : `, ${count} ${one}${count === 1 ? '' : 's'}`);
  return `${said(routines, 'routine')}${said(pictures, 'picture')}`;
}
