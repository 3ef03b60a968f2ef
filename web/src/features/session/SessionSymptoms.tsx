import { Plus, X } from 'lucide-react';
import { newId } from '../../client/newId.ts';
import { quietSymptom, SymptomFields } from '../record/index.ts';
import type { SessionLog } from './sessionLog.ts';

type Symptoms = SessionLog['symptoms'];

/** What was felt before, during or after; the next morning is asked on its own day. */
export function SessionSymptoms({ symptoms, change }: { readonly symptoms: Symptoms; readonly change: (symptoms: Symptoms) => void }) {
  return (
    <fieldset>
      <legend className="font-semibold">Symptoms</legend>
      {symptoms.length === 0 && (
        <p className="aside text-sm">
          None reported. Effort, warmth, a stretch or shaking are fine; sharp pain, a pinch, numbness or tingling stop the session.
        </p>
      )}
      <ul>
        {symptoms.map((symptom, i) => (
          <li key={symptom.id} className="sheet mt-1.5 flex flex-wrap items-end gap-1.5 p-2" aria-label={`Symptom ${i + 1}`}>
            <SymptomFields
              values={symptom}
              change={(values) => change(symptoms.map((s) => (s.id === symptom.id ? { ...s, ...values } : s)))}
              moments={['before', 'during', 'after']}
            />
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square ms-auto"
              aria-label={`Remove symptom ${i + 1}`}
              onClick={() => change(symptoms.filter((s) => s.id !== symptom.id))}
            >
              <X size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-sm mt-1.5"
        onClick={() => change([...symptoms, { ...quietSymptom('during'), id: newId(), intensity: 1, kind: 'ache' }])}
      >
        <Plus size={16} aria-hidden /> Add a symptom
      </button>
    </fieldset>
  );
}
