import type { BodySide } from '@myokinet/core/anatomy';
import { type Answer, ANSWERS, type QuestionId, questionOf } from '@myokinet/core/safety';
import { useId } from 'react';
import { QUESTION_WORDS } from '@myokinet/core/words';

export interface QuestionRowProps {
  readonly id: QuestionId;
  readonly given: { readonly answer: Answer; readonly side: BodySide } | undefined;
  readonly answer: (answer: Answer, side?: BodySide) => void;
}

const SIDE_WORDS: readonly (readonly [BodySide, string])[] = [
  ['left', 'left'],
  ['right', 'right'],
  ['whole', 'both'],
];

/** One question: no, yes or unsure, and which side where it has sides. */
export function QuestionRow({ id, given, answer }: QuestionRowProps) {
  const name = useId();
  const { sided } = questionOf(id);
  const { text } = QUESTION_WORDS[id];
  const felt = given !== undefined && given.answer !== 'no';
  return (
    <div
      role="radiogroup"
      aria-labelledby={`${name}-text`}
      className={`border-b border-base-300 py-1.5 ${felt ? 'border-s-4 border-s-error bg-error/10 ps-2' : ''}`}
    >
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span id={`${name}-text`} className="min-w-60 flex-1 leading-snug">
          {text}
        </span>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {felt && sided && (
            <select
              className="select select-xs w-20"
              aria-label={`Which side: ${text}`}
              value={given.side}
              onChange={(e) => answer(given.answer, e.target.value as BodySide)}
            >
              {SIDE_WORDS.map(([value, label]) => (
                <option key={value} value={value}>
                  {label}
                </option>
              ))}
            </select>
          )}
          {ANSWERS.map((choice) => (
            <label key={choice} className="flex cursor-pointer items-center gap-1.5">
              <input
                type="radio"
                className="radio radio-sm"
                name={name}
                checked={given?.answer === choice}
                onChange={() => answer(choice, given?.side ?? 'whole')}
              />
              {choice}
            </label>
          ))}
        </div>
      </div>
    </div>
  );
}
