import { type ReactNode, useEffect, useRef } from 'react';

/** A modal sheet on the platform's own dialog: focus stays inside, Esc closes. */
export function Overlay({
  label,
  close,
  holds = false,
  children,
}: {
  readonly label: string;
  readonly close: () => void;
  /** It holds figures that somebody typed: a tap beside it does not throw them away. */
  readonly holds?: boolean;
  readonly children: ReactNode;
}) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const element = dialog.current;
    if (!element || element.open) return;
    element.showModal();
    // The platform would focus the first thing that can be, which may be a mere container.
    element.querySelector<HTMLElement>('input, button')?.focus();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="modal modal-top sm:pt-24"
      aria-label={label}
      onClose={close}
      onClick={(event) => !holds && event.target === dialog.current && close()}
    >
      <div className="modal-box mx-auto w-full max-w-xl rounded border border-base-300 p-0">{children}</div>
    </dialog>
  );
}
