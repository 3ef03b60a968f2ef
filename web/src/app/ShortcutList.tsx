import { Overlay } from '../kit/Overlay.tsx';
import { SHORTCUTS } from './useShortcuts.ts';

export function ShortcutList({ close }: { readonly close: () => void }) {
  return (
    <Overlay label="Keyboard" close={close}>
      <div className="p-5">
        <h2 className="mb-3">Keyboard</h2>
        <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
          {SHORTCUTS.map(({ keys, what }) => (
            <div key={keys} className="contents">
              <dt>
                <kbd className="kbd kbd-sm">{keys}</kbd>
              </dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
        <button type="button" className="btn btn-sm mt-5" onClick={close}>
          Close
        </button>
      </div>
    </Overlay>
  );
}
