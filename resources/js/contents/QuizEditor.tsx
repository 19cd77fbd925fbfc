import { Button, Checkbox, TextInput } from '@mantine/core';

import type { QuizEntry } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

export interface QuizEditorProps {
  quiz: QuizEntry[];
  /** By the name of the field, such as `quiz.0.ask`. */
  errors: Record<string, string | undefined>;
  mayEdit: boolean;
  onSet: (quiz: QuizEntry[]) => void;
}

export function QuizEditor({ quiz, errors, mayEdit, onSet }: QuizEditorProps) {
  const set = (index: number, changes: Partial<QuizEntry>) => onSet(quiz.map((question, at) => (at === index ? { ...question, ...changes } : question)));
  return (
    <fieldset className={css.quizedit} disabled={!mayEdit}>
      <legend>{say('contents.quiz_editor.quiz')}</legend>
      {quiz.length === 0 && <p className={ui.soft}>{say('contents.quiz_editor.no_questions')}</p>}
      {quiz.map((question, index) => (
        // Questions and answers have no identity beyond their place.
        // oxlint-disable-next-line react/no-array-index-key
        <div key={index} className={css['quizedit-question']} role="group" aria-label={say('contents.quiz_editor.question', { number: index + 1 })}>
          <TextInput label={say('contents.quiz_editor.question', { number: index + 1 })} maxLength={1000} value={question.ask} error={errors[`quiz.${index}.ask`]} onChange={(event) => set(index, { ask: event.currentTarget.value })} />
          {question.answers.map((answer, at) => (
            // oxlint-disable-next-line react/no-array-index-key
            <div key={at} className={css['quizedit-answer']}>
              <Checkbox
                aria-label={say('contents.quiz_editor.is_right', { number: at + 1 })}
                checked={question.right.includes(at)}
                onChange={(event) => set(index, { right: event.currentTarget.checked ? [...question.right, at].toSorted((a, b) => a - b) : question.right.filter((one) => one !== at) })}
              />
              <TextInput aria-label={say('contents.quiz_editor.answer', { number: at + 1 })} maxLength={500} value={answer} error={errors[`quiz.${index}.answers.${at}`]} onChange={(event) => set(index, { answers: question.answers.map((one, place) => (place === at ? event.currentTarget.value : one)) })} />
              {question.answers.length > 2 && mayEdit && (
                <button
                  type="button"
                  className={ui.linklike}
                  aria-label={say('contents.quiz_editor.take_out_answer', { number: at + 1 })}
                  onClick={() => set(index, { answers: question.answers.filter((_, place) => place !== at), right: question.right.filter((one) => one !== at).map((one) => (one > at ? one - 1 : one)) })}
                >
                  {say('contents.quiz_editor.out')}
                </button>
              )}
            </div>
          ))}
          {(errors[`quiz.${index}.right`] ?? errors[`quiz.${index}.answers`]) !== undefined && <p className={ui.wrongly}>{errors[`quiz.${index}.right`] ?? errors[`quiz.${index}.answers`]}</p>}
          {mayEdit && (
            <p>
              <button type="button" className={ui.linklike} onClick={() => set(index, { answers: [...question.answers, ''] })}>
                {say('contents.quiz_editor.one_more_answer')}
              </button>{' '}
              ·{' '}
              <button type="button" className={ui.linklike} onClick={() => onSet(quiz.filter((_, at) => at !== index))}>
                {say('contents.quiz_editor.take_the_question_out')}
              </button>
            </p>
          )}
        </div>
      ))}
      {mayEdit && (
        <Button type="button" variant="default" size="compact-sm" onClick={() => onSet([...quiz, { ask: '', answers: ['', ''], right: [] }])}>
          {say('contents.quiz_editor.one_more_question')}
        </Button>
      )}
    </fieldset>
  );
}
