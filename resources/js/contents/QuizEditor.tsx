import { Button, Checkbox, NumberInput, Select, Textarea, TextInput } from '@mantine/core';

import type { QuizEntry, QuizRulesForm } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { CountInput } from '../ui/CountInput';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

export interface QuizEditorProps {
  quiz: QuizEntry[];
  rules: QuizRulesForm;
  /** By the name of the field, such as `quiz.0.ask`. */
  errors: Record<string, string | undefined>;
  mayEdit: boolean;
  onSet: (quiz: QuizEntry[]) => void;
  onRules: (rules: QuizRulesForm) => void;
}

export function QuizEditor({ quiz, rules, errors, mayEdit, onSet, onRules }: QuizEditorProps) {
  const set = (index: number, changes: Partial<QuizEntry>) => onSet(quiz.map((question, at) => (at === index ? { ...question, ...changes } : question)));
  return (
    <fieldset className={css.quizedit} disabled={!mayEdit}>
      <legend>{say('contents.quiz_editor.quiz')}</legend>
      {quiz.length === 0 && <p className={ui.soft}>{say('contents.quiz_editor.no_questions')}</p>}
      {quiz.map((question, index) => (
        // Questions and answers have no identity beyond their place.
        // oxlint-disable-next-line react/no-array-index-key
        <QuestionEditor key={index} number={index + 1} question={question} errorOf={(field) => errors[`quiz.${index}.${field}`]} mayEdit={mayEdit} onSet={(changes) => set(index, changes)} onOut={() => onSet(quiz.filter((_, at) => at !== index))} />
      ))}
      {mayEdit && (
        <Button type="button" variant="default" size="compact-sm" onClick={() => onSet([...quiz, { kind: 'choice', ask: '', answers: ['', ''], right: [], told: [], within: '' }])}>
          {say('contents.quiz_editor.one_more_question')}
        </Button>
      )}
      {quiz.length > 0 && <RulesEditor rules={rules} errors={errors} mayEdit={mayEdit} onSet={onRules} />}
    </fieldset>
  );
}

interface QuestionEditorProps {
  number: number;
  question: QuizEntry;
  errorOf: (field: string) => string | undefined;
  mayEdit: boolean;
  onSet: (changes: Partial<QuizEntry>) => void;
  onOut: () => void;
}

function QuestionEditor({ number, question, errorOf, mayEdit, onSet, onOut }: QuestionEditorProps) {
  const { kind, ask, answers, told } = question;
  const tell = (at: number, words: string) => onSet({ told: Array.from({ length: Math.max(told.length, at + 1) }, (_, place) => (place === at ? words : (told[place] ?? ''))) });
  return (
    <div className={css['quizedit-question']} role="group" aria-label={say('contents.quiz_editor.question', { number })}>
      <TextInput label={say('contents.quiz_editor.question', { number })} maxLength={1000} value={ask} error={errorOf('ask')} onChange={(event) => onSet({ ask: event.currentTarget.value })} />
      <Select
        label={say('contents.quiz_editor.kind')}
        allowDeselect={false}
        data={[
          { value: 'choice', label: say('contents.quiz_editor.kind_choice') },
          { value: 'number', label: say('contents.quiz_editor.kind_number') },
          { value: 'text', label: say('contents.quiz_editor.kind_text') },
        ]}
        value={kind}
        // What is right of one kind says nothing of another.
        onChange={(chosen) => onSet({ kind: chosen as QuizEntry['kind'], answers: chosen === 'choice' ? ['', ''] : [''], right: [], told: [], within: '' })}
      />
      {kind === 'choice' && <Choices question={question} errorOf={errorOf} mayEdit={mayEdit} onSet={onSet} onTell={tell} />}
      {kind === 'number' && (
        <div className={ui.pair}>
          <TextInput label={say('contents.quiz_editor.number')} maxLength={30} value={answers[0] ?? ''} error={errorOf('answers.0')} onChange={(event) => onSet({ answers: [event.currentTarget.value] })} />
          <TextInput label={say('contents.quiz_editor.within')} maxLength={20} value={question.within} error={errorOf('within')} onChange={(event) => onSet({ within: event.currentTarget.value })} />
        </div>
      )}
      {kind === 'text' && (
        <Textarea label={say('contents.quiz_editor.words')} description={say('contents.quiz_editor.words_told')} autosize minRows={2} value={answers.join('\n')} error={errorOf('answers') ?? errorOf('answers.0')} onChange={(event) => onSet({ answers: event.currentTarget.value.split('\n') })} onBlur={() => onSet({ answers: answers.filter((one) => one.trim() !== '') })} />
      )}
      {kind !== 'choice' && (
        <div className={ui.pair}>
          <TextInput label={say('contents.quiz_editor.told_right')} maxLength={1000} value={told[0] ?? ''} onChange={(event) => tell(0, event.currentTarget.value)} />
          <TextInput label={say('contents.quiz_editor.told_wrong')} maxLength={1000} value={told[1] ?? ''} onChange={(event) => tell(1, event.currentTarget.value)} />
        </div>
      )}
      {(errorOf('right') ?? (kind === 'choice' ? errorOf('answers') : undefined)) !== undefined && <p className={ui.wrongly}>{errorOf('right') ?? errorOf('answers')}</p>}
      {mayEdit && (
        <p>
          {kind === 'choice' && (
            <>
              <button type="button" className={ui.linklike} onClick={() => onSet({ answers: [...answers, ''] })}>
                {say('contents.quiz_editor.one_more_answer')}
              </button>{' '}
              ·{' '}
            </>
          )}
          <button type="button" className={ui.linklike} onClick={onOut}>
            {say('contents.quiz_editor.take_the_question_out')}
          </button>
        </p>
      )}
    </div>
  );
}

type ChoicesProps = Pick<QuestionEditorProps, 'question' | 'errorOf' | 'mayEdit' | 'onSet'> & { onTell: (at: number, words: string) => void };

function Choices({ question, errorOf, mayEdit, onSet, onTell }: ChoicesProps) {
  return question.answers.map((answer, at) => (
    // oxlint-disable-next-line react/no-array-index-key
    <div key={at} className={css['quizedit-answer']}>
      <Checkbox
        aria-label={say('contents.quiz_editor.is_right', { number: at + 1 })}
        checked={question.right.includes(at)}
        onChange={(event) => onSet({ right: event.currentTarget.checked ? [...question.right, at].toSorted((a, b) => a - b) : question.right.filter((one) => one !== at) })}
      />
      <TextInput aria-label={say('contents.quiz_editor.answer', { number: at + 1 })} maxLength={500} value={answer} error={errorOf(`answers.${at}`)} onChange={(event) => onSet({ answers: question.answers.map((one, place) => (place === at ? event.currentTarget.value : one)) })} />
      <TextInput aria-label={say('contents.quiz_editor.told', { number: at + 1 })} placeholder={say('contents.quiz_editor.told_if')} maxLength={1000} value={question.told[at] ?? ''} onChange={(event) => onTell(at, event.currentTarget.value)} />
      {question.answers.length > 2 && mayEdit && (
        <button
          type="button"
          className={ui.linklike}
          aria-label={say('contents.quiz_editor.take_out_answer', { number: at + 1 })}
          onClick={() =>
            onSet({
              answers: question.answers.filter((_, place) => place !== at),
              told: question.told.filter((_, place) => place !== at),
              right: question.right.filter((one) => one !== at).map((one) => (one > at ? one - 1 : one)),
            })
          }
        >
          {say('contents.quiz_editor.out')}
        </button>
      )}
    </div>
  ));
}

/** How often it is tried, and what its results are called. */
function RulesEditor({ rules, errors, mayEdit, onSet }: { rules: QuizRulesForm; errors: QuizEditorProps['errors']; mayEdit: boolean; onSet: (rules: QuizRulesForm) => void }) {
  const band = (index: number, changes: Partial<QuizRulesForm['bands'][number]>) => onSet({ ...rules, bands: rules.bands.map((one, at) => (at === index ? { ...one, ...changes } : one)) });
  return (
    <div className={css['quizedit-question']}>
      <div className={ui.pair}>
        <NumberInput label={say('contents.quiz_editor.tries')} description={say('contents.quiz_editor.tries_told')} min={1} max={100} allowDecimal={false} value={rules.tries ?? ''} error={errors['rules.tries']} onChange={(tries) => onSet({ ...rules, tries: tries === '' ? null : Number(tries) })} />
        <CountInput label={say('contents.quiz_editor.wait')} description={say('contents.quiz_editor.wait_told')} min={0} max={43_200} allowDecimal={false} value={rules.wait} empty={0} error={errors['rules.wait']} onCount={(wait) => onSet({ ...rules, wait })} />
      </div>
      <Checkbox label={say('contents.quiz_editor.shuffle')} checked={rules.shuffle} onChange={(event) => onSet({ ...rules, shuffle: event.currentTarget.checked })} />
      <b>{say('contents.quiz_editor.bands')}</b>
      {rules.bands.map(({ from, name, words }, index) => (
        // oxlint-disable-next-line react/no-array-index-key
        <div key={index} className={css.band} role="group" aria-label={say('contents.quiz_editor.band', { number: index + 1 })}>
          <CountInput label={say('contents.quiz_editor.band_from')} min={0} max={100} allowDecimal={false} value={from} error={errors[`rules.bands.${index}.from`]} onCount={(value) => band(index, { from: value })} />
          <TextInput label={say('contents.quiz_editor.band_name')} maxLength={60} value={name} error={errors[`rules.bands.${index}.name`]} onChange={(event) => band(index, { name: event.currentTarget.value })} />
          <TextInput label={say('contents.quiz_editor.band_words')} maxLength={1000} value={words} onChange={(event) => band(index, { words: event.currentTarget.value })} />
          {mayEdit && (
            <button type="button" className={ui.linklike} aria-label={say('contents.quiz_editor.band_out', { number: index + 1 })} onClick={() => onSet({ ...rules, bands: rules.bands.filter((_, at) => at !== index) })}>
              {say('contents.quiz_editor.out')}
            </button>
          )}
        </div>
      ))}
      {mayEdit && (
        <Button type="button" variant="default" size="compact-sm" onClick={() => onSet({ ...rules, bands: [...rules.bands, { from: rules.bands.length === 0 ? 0 : 50, name: '', words: '' }] })}>
          {say('contents.quiz_editor.one_more_band')}
        </Button>
      )}
    </div>
  );
}
