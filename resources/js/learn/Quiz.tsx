import { useForm } from '@inertiajs/react';
import { clsx } from 'clsx';

import { useShared } from '../lib/page';
import type { QuizCard, QuizQuestion } from '../lib/generated/types';
import { to } from '../lib/route';
import { Button, TextInput, Tick } from '../ui/Plain';
import { useTurns } from './useTurns';
import { say } from '../lib/say';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

export interface QuizProps {
  quiz: QuizCard;
  course: string;
  item: string;
}

export function Quiz({ quiz, course, item }: QuizProps) {
  const { standIn } = useShared();
  // Once it may be tried again.
  useTurns(quiz.againIn);
  const form = useForm<{ version: number; answers: (number | string)[][] }>({ version: quiz.version, answers: quiz.questions.map(() => []) });
  const answer = (place: number, given: (number | string)[]) => form.setData((now) => ({ ...now, answers: quiz.questions.map((_, at) => (at === place ? given : (now.answers[at] ?? []))) }));
  const missing = quiz.questions.filter(({ place }) => (form.data.answers[place] ?? []).every((given) => given === '')).length;
  return (
    <section className={css.quiz} aria-label={say('quiz.title')}>
      <h2>{say('quiz.title')}</h2>
      <p className={clsx(ui.soft, css.soft)}>
        {quiz.needed === null ? say('quiz.free') : say('quiz.needed', { needed: quiz.needed })} {quiz.left === null ? say('quiz.as_often') : say('quiz.left', { count: quiz.left })}
      </p>
      {quiz.last !== null && <Result quiz={quiz} last={quiz.last} />}
      {quiz.again !== null && <p>{say('quiz.wait', { at: quiz.again })}</p>}
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, version: quiz.version }));
          form.post(to('lesson.quiz', { course, item }), { preserveScroll: true });
        }}
      >
        {quiz.questions.map((question) => (
          <Question key={question.place} question={question} given={form.data.answers[question.place] ?? []} can={quiz.can} onAnswer={(given) => answer(question.place, given)} />
        ))}
        {form.errors.answers !== undefined && <p className={ui.wrongly}>{form.errors.answers}</p>}
        {quiz.can && (
          <div className={css['quiz-acts']}>
            <Button type="submit" loading={form.processing} disabled={standIn !== undefined || missing > 0}>
              {say(quiz.last === null ? 'quiz.hand_in' : 'quiz.again')}
            </Button>
            {missing > 0 && <span className={clsx(ui.soft, css.soft)}>{say('quiz.missing', { count: missing })}</span>}
          </div>
        )}
      </form>
    </section>
  );
}

/** How it went the last time, and what that is called. */
function Result({ quiz: { needed, best, band, bandWords }, last }: { quiz: QuizCard; last: number }) {
  return (
    <div role="status">
      <p className={needed === null || last >= needed ? css.did : ui.wrongly}>
        {band !== '' ? say('quiz.band', { band, last }) : best !== null && best > last ? say('quiz.last_best', { last, best }) : say('quiz.last', { last })}
      </p>
      {bandWords !== '' && <p>{bandWords}</p>}
    </div>
  );
}

interface QuestionProps {
  question: QuizQuestion;
  given: (number | string)[];
  can: boolean;
  onAnswer: (given: (number | string)[]) => void;
}

function Question({ question: { place, kind, ask, answers, several, wrong, told }, given, can, onAnswer }: QuestionProps) {
  const said = [...(wrong ? [say('quiz.wrong')] : []), ...told];
  const words = said.length === 0 ? null : (
    <p id={`told-${place}`} className={wrong ? ui.wrongly : css.did}>
      {said.join(' ')}
    </p>
  );
  if (kind !== 'choice') {
    return (
      <div className={css.question}>
        <TextInput label={ask} description={say(kind === 'number' ? 'quiz.number' : 'quiz.word')} inputMode={kind === 'number' ? 'decimal' : undefined} maxLength={200} autoComplete="off" disabled={!can} value={String(given[0] ?? '')} onChange={(event) => onAnswer([event.currentTarget.value])} />
        {words}
      </div>
    );
  }
  return (
    <fieldset className={css.question} aria-describedby={words === null ? undefined : `told-${place}`}>
      <legend>{ask}</legend>
      {several && <p>{say('quiz.several')}</p>}
      {answers.map((answer, at) => (
        <Tick
          key={answer}
          type={several ? 'checkbox' : 'radio'}
          name={`answers[${place}][]`}
          value={at}
          label={answer}
          disabled={!can}
          checked={given.includes(at)}
          onChange={(event) => onAnswer(several ? [...given.filter((one) => one !== at), ...(event.currentTarget.checked ? [at] : [])] : [at])}
        />
      ))}
      {words}
    </fieldset>
  );
}
