import { X } from 'lucide-react';
import { type ReactNode, useEffect, useRef } from 'react';

/** A sheet over the whole floor: large, closed by Esc or Page Up. */
export function Sheet({ title, close, children }: { readonly title: string; readonly close: () => void; readonly children: ReactNode }) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const element = dialog.current;
    if (!element || element.open) return;
    element.showModal();
    element.querySelector<HTMLElement>('[data-first]')?.focus();
  }, []);
  return (
    <dialog
      ref={dialog}
      aria-label={title}
      className="m-0 h-dvh max-h-none w-full max-w-none overflow-y-auto bg-base-100 text-base-content"
      onClose={close}
      onKeyDown={(event) => {
        // A pedal that is still held from before closes nothing.
        if (event.key !== 'PageUp' || event.repeat) return;
        event.preventDefault();
        close();
      }}
    >
      <div className="mx-auto flex min-h-full w-full max-w-4xl flex-col px-3 pb-3 sm:px-6">
        <div className="flex items-center justify-between py-2">
          <h1>{title}</h1>
          <button type="button" className="btn btn-ghost btn-square min-h-12 min-w-12" aria-label="Close" onClick={close}>
            <X size={26} aria-hidden />
          </button>
        </div>
        {children}
      </div>
    </dialog>
  );
}
