import { useForm } from '@inertiajs/react';
import { Button, Checkbox, Radio } from '@mantine/core';
import { clsx } from 'clsx';

import { useShared } from '../lib/page';
import type { QuizCard } from '../lib/generated/types';
import { to } from '../lib/route';
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
  const choose = (index: number, chosen: string[]) =>
    form.setData((now) => ({ ...now, answers: quiz.questions.map((_, at) => (at === index ? chosen.map(Number) : (now.answers[at] ?? []))) }));
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
          const chosen = (form.data.answers[index] ?? []).map(String);
          const wrong = quiz.wrong.includes(index);
          const told = wrong ? say('quiz.wrong') : undefined;
          // A question has no identity beyond its place.
          const key = `${index}-${question.ask}`;
          return question.several ? (
            <Checkbox.Group key={key} className={css.question} label={question.ask} description={say('quiz.several')} error={told} value={chosen} onChange={(values) => choose(index, values)}>
              {question.answers.map((answer, at) => (
                <Checkbox key={answer} value={String(at)} label={answer} disabled={!quiz.can} />
              ))}
            </Checkbox.Group>
          ) : (
            <Radio.Group key={key} className={css.question} label={question.ask} error={told} value={chosen[0] ?? ''} onChange={(value) => choose(index, [value])}>
              {question.answers.map((answer, at) => (
                <Radio key={answer} value={String(at)} label={answer} disabled={!quiz.can} />
              ))}
            </Radio.Group>
          );
        })}
        {form.errors.answers !== undefined && <p className={ui.wrongly}>{form.errors.answers}</p>}
        {quiz.can && (
          <div className={css['quiz-acts']}>
            <Button type="submit" size="md" loading={form.processing} disabled={standIn !== undefined || missing > 0}>
              {say(quiz.last === null ? 'quiz.hand_in' : 'quiz.again')}
            </Button>
            {missing > 0 && <span className={clsx(ui.soft, css.soft)}>{say('quiz.missing', { count: missing })}</span>}
          </div>
        )}
      </form>
    </section>
  );
}
