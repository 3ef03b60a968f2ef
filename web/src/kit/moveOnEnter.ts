import type { KeyboardEvent } from 'react';

/** Enter goes on to the form's next figure, Shift+Enter back; behind the last one waits the submit button. */
export function moveOnEnter(event: KeyboardEvent<HTMLFormElement>): void {
  if (event.key !== 'Enter' || !(event.target instanceof HTMLInputElement) || event.target.dataset.figure === undefined) return;
  event.preventDefault();
  const form = event.currentTarget;
  const figures = [...form.querySelectorAll<HTMLInputElement>('input[data-figure]')];
  const next = figures[figures.indexOf(event.target) + (event.shiftKey ? -1 : 1)];
  if (next) {
    next.focus();
    next.select();
  } else form.querySelector<HTMLButtonElement>('button[type=submit]')?.focus();
}
