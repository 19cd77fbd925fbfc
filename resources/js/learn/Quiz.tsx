import { useForm } from '@inertiajs/react';
import { clsx } from 'clsx';

import { useShared } from '../lib/page';
import type { QuizCard } from '../lib/generated/types';
import { to } from '../lib/route';
import { Button, Tick } from '../ui/Plain';
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
  const form = useForm<{ version: number; answers: number[][] }>({ version: quiz.version, answers: quiz.questions.map(() => []) });
  const choose = (index: number, chosen: number[]) =>
    form.setData((now) => ({ ...now, answers: quiz.questions.map((_, at) => (at === index ? chosen : (now.answers[at] ?? []))) }));
  const missing = quiz.questions.filter((_, index) => (form.data.answers[index] ?? []).length === 0).length;
  return (
    <section className={css.quiz} aria-label={say('quiz.title')}>
      <h2>{say('quiz.title')}</h2>
      <p className={clsx(ui.soft, css.soft)}>{quiz.needed === null ? say('quiz.free') : say('quiz.needed', { needed: quiz.needed })}</p>
      {quiz.last !== null && (
        <p className={quiz.needed === null || quiz.last >= quiz.needed ? css.did : ui.wrongly} role="status">
          {quiz.best !== null && quiz.best > quiz.last ? say('quiz.last_best', { last: quiz.last, best: quiz.best }) : say('quiz.last', { last: quiz.last })}
        </p>
      )}
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, version: quiz.version }));
          form.post(to('lesson.quiz', { course, item }), { preserveScroll: true });
        }}
      >
        {quiz.questions.map((question, index) => {
          const chosen = form.data.answers[index] ?? [];
          const wrong = quiz.wrong.includes(index);
          const told = wrong ? say('quiz.wrong') : undefined;
          // A question has no identity beyond its place.
          const key = `${index}-${question.ask}`;
          return (
            <fieldset key={key} className={css.question} aria-describedby={told === undefined ? undefined : `wrong-${index}`}>
              <legend>{question.ask}</legend>
              {question.several && <p>{say('quiz.several')}</p>}
              {question.answers.map((answer, at) => (
                <Tick
                  key={answer}
                  type={question.several ? 'checkbox' : 'radio'}
                  name={`answers[${index}][]`}
                  value={at}
                  label={answer}
                  disabled={!quiz.can}
                  checked={chosen.includes(at)}
                  onChange={(event) => choose(index, question.several ? [...chosen.filter((one) => one !== at), ...(event.currentTarget.checked ? [at] : [])] : [at])}
                />
              ))}
              {told !== undefined && (
                <p id={`wrong-${index}`} className={ui.wrongly}>
                  {told}
                </p>
              )}
            </fieldset>
          );
        })}
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
