import { modelOf, setUpInWords, type SupportPlan } from '@myokinet/core/statics';

/** The set-up that the lab put on an entry, and a way to take it off again. */
export function SupportNote({ support, takeOff }: { readonly support: SupportPlan | undefined; readonly takeOff?: () => void }) {
  if (!support)
    return <p className="aside text-sm">No set-up of the lab is on it: a trainee’s page has the lab, and there “Use this set-up”.</p>;
  return (
    <p className="text-sm leading-snug">
      Set-up of the lab: {supportInWords(support)}.{' '}
      {takeOff && (
        <button type="button" className="btn btn-xs" onClick={takeOff}>
          Take the set-up off
        </button>
      )}
    </p>
  );
}

/** `push-up, height under the hands 45 cm` or `foot-supported hang, turned until the hands carry 25%`. */
function supportInWords({ setUp, wanted }: SupportPlan): string {
  if (wanted === undefined) return setUpInWords(setUp);
  const { name, harder, dials } = modelOf(setUp.position);
  const turned = dials[harder[0]?.dial ?? '']?.label.toLowerCase() ?? 'it';
  return `${name.toLowerCase()}, ${turned} set on each trainee so that the hands carry ${Math.round(wanted * 100)}% of body weight`;
}
