import { type Lead, LEAD_SIGNS, type LeadSign, type Measure } from '@myokinet/core/measuring';
import { Plus, Trash2 } from 'lucide-react';
import { NumberField, SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { DrillsField } from './DrillsField.tsx';
import { SIGN_NAMES } from './measureWords.ts';

interface LeadsFieldProps {
  readonly measure: Measure;
  readonly problemOf: (field: string) => string | undefined;
  readonly change: (leads: readonly Lead[]) => void;
}

/** What a check shows beside its number leads on to: likely reasons and drills, in the studio’s own words. */
export function LeadsField({ measure: m, problemOf, change }: LeadsFieldProps) {
  const { drills } = useLibrary();
  const leads = m.leads ?? [];
  const set = (i: number, part: Partial<Lead>) => change(leads.map((lead, j) => (j === i ? { ...lead, ...part } : lead)));
  const signs = LEAD_SIGNS.filter(
    (sign) => (m.choices ? sign !== 'above' && sign !== 'below' : sign !== 'level') && (m.sided || sign !== 'sides'),
  );
  return (
    <fieldset className="grid gap-4">
      <legend className="mb-1 font-display font-semibold">What it leads on to</legend>
      {leads.map((lead, i) => (
        <div key={i} className="grid gap-2 border-s-4 border-base-300 ps-3 sm:grid-cols-2">
          <SelectField
            label="When it shows"
            value={lead.sign}
            problem={problemOf(`leads/${i}/sign`)}
            options={signs.map((sign) => ({ value: sign, label: SIGN_NAMES[sign] }))}
            change={(sign) => set(i, startOf(sign as LeadSign, m))}
          />
          {(lead.sign === 'above' || lead.sign === 'below') && (
            <NumberField label="Mark" value={lead.mark ?? 0} change={(mark) => set(i, { mark })} />
          )}
          {lead.sign === 'level' && (
            <div role="group" aria-label="Levels" className="flex flex-wrap content-end gap-x-3">
              {(m.choices ?? []).map((name, level) => (
                <label key={name} className="flex items-center gap-1 text-sm">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm"
                    checked={lead.levels?.includes(level) ?? false}
                    onChange={(e) => {
                      const others = (lead.levels ?? []).filter((l) => l !== level);
                      set(i, { levels: e.target.checked ? [...others, level].toSorted((a, b) => a - b) : others });
                    }}
                  />
                  {name}
                </label>
              ))}
            </div>
          )}
          <TextField
            label="Likely reason, and what to do"
            className="sm:col-span-2"
            value={lead.reason}
            problem={problemOf(`leads/${i}/reason`)}
            change={(reason) => set(i, { reason })}
          />
          <DrillsField
            label="Drills to try first"
            one="a drill to try first"
            chosen={lead.drills}
            free={drills.filter((d) => !d.rung && !lead.drills.includes(d.id))}
            change={(ids) => set(i, { drills: ids })}
          />
          {problemOf(`leads/${i}/drills`) && <p className="text-sm text-error">{problemOf(`leads/${i}/drills`)}</p>}
          <button type="button" className="btn btn-sm justify-self-start self-end" onClick={() => change(leads.filter((_, j) => j !== i))}>
            <Trash2 size={15} aria-hidden /> Take this out
          </button>
        </div>
      ))}
      <button
        type="button"
        className="btn btn-sm justify-self-start"
        onClick={() => change([...leads, { ...startOf(m.choices ? 'level' : 'pain', m), reason: '', drills: [] } as Lead])}
      >
        <Plus size={15} aria-hidden /> Add what it leads to
      </button>
    </fieldset>
  );
}

/** A sign with what it looks for at a sensible beginning, and nothing of another sign left. */
function startOf(sign: LeadSign, m: Measure): Partial<Lead> {
  const nothing = { levels: undefined, mark: undefined } as never as Partial<Lead>;
  if (sign === 'level') return { ...nothing, sign, levels: [1] };
  if (sign === 'above' || sign === 'below') return { ...nothing, sign, mark: m.limits.min };
  return { ...nothing, sign };
}
