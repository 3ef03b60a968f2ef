import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** Marks a change of the address that this page made itself: what it asks for is known already, and may be older than what is. */
const OWN = 'own change';

/**
 * Fields of a page that are kept in its address, so that a way back finds them again.
 *
 * They change at once; the address follows. Read from the address alone, a second change made before the first was
 * drawn would take it back, and a letter typed in the middle would move the caret.
 */
export function useAddressFields() {
  const location = useLocation();
  const navigate = useNavigate();
  const [fields, setFields] = useState(() => new URLSearchParams(location.search));
  const [seen, setSeen] = useState(location.key);
  if (seen !== location.key) {
    setSeen(location.key);
    if (location.state !== OWN) setFields(new URLSearchParams(location.search));
  }
  const become = (next: URLSearchParams) => {
    setFields(next);
    void navigate({ search: next.toString() }, { replace: true, state: OWN });
  };
  return {
    fields,
    /** An empty value takes the field out of the address. */
    set: (name: string, value: string) => {
      const next = new URLSearchParams(fields);
      if (value === '') next.delete(name);
      else next.set(name, value);
      become(next);
    },
    clear: () => become(new URLSearchParams()),
  };
}
