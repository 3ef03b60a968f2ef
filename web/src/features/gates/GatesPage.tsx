import { GATE_RULES, RULES_VERSION } from '@myokinet/core/readiness';
import { EVIDENCE_WORDS, evidenceRows, RULE_WORDS } from '@myokinet/core/words';
import { ShieldCheck } from 'lucide-react';
import { GateSettingsForm } from './GateSettingsForm.tsx';

/** What opens a gate: the whole table of rules, and what the studio may set about them. */
export function GatesPage() {
  return (
    <div className="grid items-start gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,1fr)_24rem]">
      <section aria-label="What opens a gate">
        <h2 className="!text-2xl">What opens a gate</h2>
        <p className="aside mt-1 max-w-3xl">
          A gate is open when every line below is met, and the coach signs. Lines with a shield guard the trainee’s safety: nobody signs
          against them. The others can be signed against with a written reason, which stays with the clearance. Version {RULES_VERSION} of
          the rules; common practice and project defaults, no single published source.
        </p>
        <ol className="mt-3">
          {GATE_RULES.map(({ rule, safety, evidence }) => {
            const { title, needs, counts, changes } = RULE_WORDS[rule];
            return (
              <li key={rule} className="grid gap-x-6 border-t border-base-300 py-2.5 md:grid-cols-[15rem_minmax(0,1fr)]">
                <div>
                  <h3 className="leading-snug">
                    {title}
                    {safety && <ShieldCheck size={17} className="ms-1.5 inline text-primary" aria-label="guards safety" />}
                  </h3>
                  <p className="aside text-sm">rests on: {evidence.map((e) => EVIDENCE_WORDS[e]).join(', ')}</p>
                </div>
                <div className="leading-snug">
                  <p>{needs}</p>
                  <p className="aside mt-0.5 text-sm">Counts: {counts}</p>
                  <p className="aside text-sm">Changes by: {changes}</p>
                </div>
              </li>
            );
          })}
        </ol>
        <h3 className="mt-5">What each kind of evidence may do</h3>
        <dl className="mt-1">
          {evidenceRows().map(({ from, may }) => (
            <div key={from} className="grid gap-x-6 border-t border-base-300 py-1.5 leading-snug md:grid-cols-[minmax(0,1fr)_18rem]">
              <dt>{from}</dt>
              <dd className="aside">{may}</dd>
            </div>
          ))}
        </dl>
      </section>
      <GateSettingsForm />
    </div>
  );
}
