import type { Library } from '../../library/index.ts';
import { dayShort } from '../spacing.ts';
import type { TemplateNote } from '../planNote.ts';
import { leftOutInWords } from './may.ts';

/** What a template lost on its way to a trainee, in a sentence. */
export function templateNoteInWords(note: TemplateNote, library: Library): string {
  return note.code === 'day empty'
    ? `${dayShort(note.day)} has nothing left and is not planned.`
    : `“${library.drill(note.drillId).name}” is left out: ${leftOutInWords(note.because, library)}`;
}
