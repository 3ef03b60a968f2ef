import { act, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { beforeEach, expect, it } from 'vitest';
import { discarded, drafted, takenBack } from './drafts.ts';
import { problemFrom } from './problem.ts';
import { createStore } from '../app/store.ts';
import { useDraft } from './useDraft.ts';

beforeEach(() => localStorage.clear());

function hold(store = createStore()) {
  const wrapper = ({ children }: { readonly children: ReactNode }) => <Provider store={store}>{children}</Provider>;
  let made = 0;
  const { result, rerender } = renderHook(({ version }) => useDraft('form', () => ({ start: ++made, text: version }), version), {
    wrapper,
    initialProps: { version: 'one' },
  });
  return { result, rerender };
}

it('starts once, and keeps that start over renders', () => {
  const { result, rerender } = hold();
  const { start } = result.current.value;
  rerender({ version: 'one' });
  expect(result.current).toMatchObject({ value: { start, text: 'one' }, exists: false });
});

it('starts anew from another version while untouched', () => {
  const { result, rerender } = hold();
  rerender({ version: 'two' });
  expect(result.current.value.text).toBe('two');
});

it('keeps what was typed over another version, a reload and a closed tab', () => {
  const { result, rerender } = hold();
  act(() => result.current.change({ start: 7, text: 'typed' }));
  rerender({ version: 'two' });
  expect(result.current).toMatchObject({ value: { text: 'typed' }, exists: true });
  expect(hold(createStore()).result.current.value).toEqual({ start: 7, text: 'typed' });
});

it('lets go only when told', () => {
  const { result } = hold();
  act(() => result.current.change({ start: 7, text: 'typed' }));
  act(() => result.current.discard());
  expect(result.current.exists).toBe(false);
  expect(hold(createStore()).result.current.exists).toBe(false);
});

it('is not brought back by an answer that comes late', () => {
  const { result } = hold();
  act(() => result.current.change({ start: 7, text: 'typed' }));
  act(() => result.current.amend((now) => ({ ...now, text: `${now.text}, sent` })));
  expect(result.current.value.text).toBe('typed, sent');
  act(() => result.current.discard());
  act(() => result.current.amend((now) => ({ ...now, text: 'late' })));
  expect(result.current.exists).toBe(false);
  expect(hold(createStore()).result.current.exists).toBe(false);
});

it('comes back from the bin as it was, unless something new was typed', () => {
  const store = createStore();
  const { result } = hold(store);
  const throwAway = () => {
    act(() => result.current.change({ start: 7, text: 'typed' }));
    act(() => result.current.throwAway());
    return store.getState().bin.thrown;
  };
  const thrown = throwAway();
  expect([result.current.exists, thrown?.value]).toEqual([false, { start: 7, text: 'typed' }]);
  const { returns } = result.current;
  act(() => void (thrown && store.dispatch(takenBack(thrown))));
  expect(result.current).toMatchObject({ exists: true, value: { text: 'typed' }, returns: returns + 1 });
  expect(store.getState().bin.thrown).toBeUndefined();
  throwAway();
  act(() => result.current.change({ start: 8, text: 'anew' }));
  expect(store.getState().bin.thrown).toBeUndefined();
});

it('two tabs never write over each other’s drafts, and what an older program kept together is taken over', () => {
  localStorage.setItem('myokinet.drafts.1', JSON.stringify({ form: { start: 1, text: 'from before' } }));
  const [one, two] = [createStore(), createStore()];
  expect(two.getState().drafts).toEqual({ form: { start: 1, text: 'from before' } });
  one.dispatch(drafted({ key: 'session', value: 'typed in one' }));
  two.dispatch(drafted({ key: 'check', value: 'typed in two' }));
  one.dispatch(discarded('form'));
  expect(createStore().getState().drafts).toEqual({ session: 'typed in one', check: 'typed in two' });
});

it('survives storage that holds nonsense', () => {
  localStorage.setItem('myokinet.draft.form', '{nonsense');
  localStorage.setItem('myokinet.drafts.1', '{nonsense');
  expect(hold().result.current.exists).toBe(false);
});

it('turns what went wrong into one sentence each', () => {
  expect(problemFrom(undefined)).toBeUndefined();
  expect(problemFrom({ status: 'FETCH_ERROR' })?.sentence).toMatch(/kept here; try again/);
  expect(problemFrom({ status: 409, data: { code: 'edited-elsewhere', detail: 'Somebody else saved.' } })?.sentence).toBe(
    'Somebody else saved.',
  );
  expect(problemFrom({ status: 409, data: { code: 'id-reused' } })?.sentence).toMatch(/saved already/);
  expect(problemFrom({ status: 500, data: 'oops' })).toMatchObject({ code: 'unexpected' });
});
