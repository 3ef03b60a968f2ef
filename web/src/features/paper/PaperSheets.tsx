import type { Shown } from '@myokinet/core/motion';
import { BodyStrip } from '../../kit/body/BodyStrip.tsx';
import { useMovement } from '../../kit/body/useMovement.ts';
import type { PaperBlock, PaperDocument, PaperDrill, PaperLook } from './paperDocument.ts';

interface PaperSheetsProps {
  readonly document: PaperDocument;
  readonly look: PaperLook;
  readonly shown: Shown;
}

/** The document as it lies on the desk and comes out of the printer. Its head stands in a table’s, which browsers print on every page. */
export function PaperSheets({ document, look, shown }: PaperSheetsProps) {
  const { title, trainee, coach, studio, made, sheets } = document;
  return (
    <div
      className={`flex flex-col gap-6 print:block ${look.size === 'a4' ? 'page-a4' : 'page-letter'} ${look.large ? 'text-[1.65em] print:text-[17pt]' : 'print:text-[10.5pt]'}`}
    >
      {sheets.map((sheet, i) => (
        <article
          key={i}
          aria-label={sheet.heading}
          className="sheet paper max-w-4xl p-4 leading-snug sm:p-6 print:max-w-none print:border-0 print:p-0 print:not-last:break-after-page"
        >
          <table role="presentation" className="w-full">
            <thead>
              <tr>
                <td>
                  <p className="mb-2 flex flex-wrap justify-between gap-x-4 border-b-2 border-base-content pb-0.5">
                    <span className="font-semibold">{trainee}</span>
                    <span>{[title, coach, studio, made].filter((part) => part !== '').join(' · ')}</span>
                  </p>
                </td>
              </tr>
            </thead>
            <tbody>
              <tr>
                <td>
                  <h2 className="text-[1.5em]">{sheet.heading}</h2>
                  {sheet.under.map((line) => (
                    <p key={line}>{line}</p>
                  ))}
                  {sheet.blocks.map((block, j) => (
                    <Block key={j} block={block} shown={shown} />
                  ))}
                  <p className="aside mt-3 text-[0.85em]">Coaching aid, not medical advice.</p>
                </td>
              </tr>
            </tbody>
          </table>
        </article>
      ))}
    </div>
  );
}

function Block({ block, shown }: { readonly block: PaperBlock; readonly shown: Shown }) {
  switch (block.is) {
    case 'drill':
      return <Drill drill={block} shown={shown} />;
    case 'notice':
      return (
        <section className="mt-4 break-inside-avoid border-2 border-base-content p-2">
          <h3 className="text-[1em]">{block.heading}</h3>
          {block.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
        </section>
      );
    case 'list':
      return (
        <section className="mt-4">
          <h3 className="text-[1em]">{block.heading}</h3>
          <ul className="list-disc ps-5">
            {block.lines.map((line, i) => (
              <li key={i}>{line}</li>
            ))}
          </ul>
        </section>
      );
    case 'write':
      return (
        <section className="mt-4 break-inside-avoid">
          <h3 className="text-[1em]">{block.heading}</h3>
          {Array.from({ length: block.lines }, (_, i) => (
            <div key={i} className="h-8 border-b border-base-300" />
          ))}
        </section>
      );
    case 'table':
      return (
        <section className="mt-4 overflow-x-auto">
          <table className="w-full text-start">
            <caption className="text-start font-semibold">{block.heading}</caption>
            <thead>
              <tr className="border-b border-base-content">
                {block.columns.map((column) => (
                  <th key={column} scope="col" className="py-0.5 pe-3 text-start">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {block.rows.map((row, i) => (
                <tr key={i} className="break-inside-avoid border-b border-base-300">
                  {row.map((cell, j) => (
                    <td key={j} className="py-0.5 pe-3 align-top">
                      {cell}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </section>
      );
  }
}

function Drill({ drill, shown }: { readonly drill: PaperDrill; readonly shown: Shown }) {
  const prepared = useMovement(drill.figure, shown);
  const { view, closeUp, closeFrom } = prepared?.movement ?? {};
  const near = closeUp && closeUp !== 'blades' ? { of: closeUp } : undefined;
  return (
    <section aria-label={drill.name} className="mt-3 break-inside-avoid border-t border-base-300 pt-2">
      <div className="flex justify-between gap-4">
        <div>
          <h3 className="text-[1.15em]">{drill.name}</h3>
          <p className="text-[1.15em]">{drill.dose}</p>
        </div>
        <div className="flex shrink-0 flex-col items-end gap-1">
          {drill.boxes.map(({ label, count }) => (
            <p key={label} className="flex items-center gap-1">
              <span className="sr-only">
                {count} {count === 1 ? 'box' : 'boxes'} to tick:{' '}
              </span>
              {label}
              {Array.from({ length: count }, (_, i) => (
                <span key={i} aria-hidden className="inline-block size-[1.2em] border border-base-content" />
              ))}
            </p>
          ))}
        </div>
      </div>
      <div className="mt-1 flex flex-wrap gap-x-4 sm:flex-nowrap">
        {drill.figure && (
          <div className="h-24 w-56 shrink-0">
            {prepared && view && (
              <BodyStrip prepared={prepared} view={(near && closeFrom) ?? view} crop={near} label={`${drill.name} in stills`} />
            )}
          </div>
        )}
        <div className="min-w-0">
          {drill.lines.map((line) => (
            <p key={line}>{line}</p>
          ))}
          {drill.steps.length > 0 && (
            <ol className="list-decimal ps-6">
              {drill.steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          )}
        </div>
      </div>
    </section>
  );
}
