import { Sheet } from './Sheet.tsx';

const KEYS = [
  ['Space, →, Page Down', 'the one thing to do now: start, end, go on'],
  ['←, Page Up', 'out of the set; between sets, take the last one back; both ask first'],
  ['Page Up held', 'something hurts: the count stops'],
  ['Backspace', 'asked about: throw it away'],
  ['digits, then Enter', 'between sets: the right figure of the last one'],
  ['↑ ↓', 'between sets: one more, one less'],
  ['1 to 4', 'by feel: too easy, right, too much, clenched'],
  ['a letter', 'the fault with that letter; again, or Enter: it stays'],
  ['− +', 'lighter, harder by about 5 points of body weight'],
  ['Shift+S', 'symptom'],
  ['Shift+W', 'change the drill'],
  ['Shift+K', 'skip the drill'],
  ['Shift+L', 'the whole session; end it'],
  ['Esc, Page Up', 'close a sheet'],
  ['at the end: Page Up, Page Down', 'effort one up; log the session'],
  ['at a stop: Page Down, Page Up', 'end the session; go on with the rest'],
] as const;

/** Keys and pedal of the floor. */
export function FloorHelp({ close }: { readonly close: () => void }) {
  return (
    <Sheet title="Keys and pedal" close={close}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2 text-lg">
        {KEYS.map(([keys, what]) => (
          <div key={keys} className="contents">
            <dt className="font-semibold">{keys}</dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
