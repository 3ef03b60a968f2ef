import type { TemplateFor } from '@myokinet/core/planning';
import { fitTemplate, templateOf } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useDropTemplateMutation, useKeepTemplateMutation, useTemplatesQuery } from './endpoints.ts';
import { CopyToOthers } from './CopyToOthers.tsx';
import { withProposal } from './planDraft.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { asPlanned, usePlanRules } from './planRules.ts';
import type { PlanDesk } from './usePlanDesk.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

interface TemplatePanelProps {
  readonly desk: PlanDesk;
  readonly from: CalendarDay;
  readonly now: Date;
}

/** Keeps these weeks as a template, lays one on the desk, or copies the weeks to others who train along. */
export function TemplatePanel({ desk, from, now }: TemplatePanelProps) {
  const { data: templates = [] } = useTemplatesQuery();
  const [keep, keeping] = useKeepTemplateMutation();
  const [drop] = useDropTemplateMutation();
  const [name, setName] = useState('');
  const [chosen, setChosen] = useState('');
  const [said, setSaid] = useState<readonly string[]>([]);
  const rules = usePlanRules();
  const { readiness, done } = usePlanFacts();
  const sessions = asPlanned(desk.weeks.flatMap((w) => w.sessions));
  const template = templates.find((t) => t.id === chosen);

  const use = () => {
    if (!template) return;
    const given: TemplateFor = {
      ...rules,
      knownDrills: readiness.planner.knownDrills,
      weekStart: from,
      notBefore: calendarDay(now),
      newId,
    };
    const fitted = fitTemplate(template, given);
    setSaid(fitted.notes.length > 0 ? fitted.notes : ['Laid on the desk in this trainee’s own set-ups and doses.']);
    const kept = sessions.filter((s) => s.day < calendarDay(now) || done.has(s.id));
    desk.edit(withProposal(desk.weeks, { sessions: fitted.sessions, served: [], notes: [...fitted.notes], leftOut: [] }, { kept }));
  };

  return (
    <details className="no-print mt-3 text-sm">
      <summary className="cursor-pointer font-semibold">Templates, and others who train along</summary>
      <UnreadableNote sentences={templates.flatMap((t) => (t.unreadable ? [`“${t.name}”: ${t.unreadable}`] : []))} />
      <div className="mt-2 grid max-w-5xl gap-x-8 gap-y-3 md:grid-cols-2">
        <form
          className="flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const { sessions: all } = templateOf(sessions, from);
            const copied = all.map((s) => ({ ...s, items: s.items.map((i) => ({ ...i })) }));
            void keep({ id: newId(), name, note: '', sessions: copied }).then(({ data }) => data && setName(''));
          }}
        >
          <label className="flex-1">
            <span className="block font-semibold">Keep these weeks as a template</span>
            <input className="input input-sm w-full" placeholder="Name" value={name} onChange={(e) => setName(e.target.value)} />
          </label>
          <button type="submit" className="btn btn-sm" disabled={name.trim() === '' || sessions.length === 0 || keeping.isLoading}>
            Keep
          </button>
          <ProblemNote error={keeping.error} />
        </form>
        <div className="flex flex-wrap items-end gap-2">
          <label className="flex-1">
            <span className="block font-semibold">Lay a template on the desk</span>
            <select className="select select-sm w-full" value={chosen} onChange={(e) => setChosen(e.target.value)}>
              <option value="">{templates.length === 0 ? 'None is kept yet' : 'Choose one'}</option>
              {templates.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.name}, {t.sessions.length} sessions
                </option>
              ))}
            </select>
          </label>
          <button type="button" className="btn btn-sm" disabled={!template} onClick={use}>
            Use it
          </button>
          <button
            type="button"
            className="btn btn-sm btn-ghost"
            disabled={!template}
            onClick={() => void drop(chosen).then(() => setChosen(''))}
          >
            Take it off the list
          </button>
        </div>
        {said.length > 0 && (
          <ul role="status" className="list-disc ps-5 md:col-span-2">
            {said.map((s) => (
              <li key={s}>{s}</li>
            ))}
          </ul>
        )}
        <CopyToOthers sessions={sessions} from={from} weeks={desk.weeks.length} now={now} />
      </div>
    </details>
  );
}
