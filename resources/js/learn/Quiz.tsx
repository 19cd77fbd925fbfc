import { useForm } from '@inertiajs/react';
import { Button, Checkbox, Radio } from '@mantine/core';

import { learnerAddress } from '../lib/address';
import { useShared } from '../lib/page';
import type { QuizCard } from '../lib/types';

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
    <section className="quiz" aria-label="Quiz">
      <h2>Quiz</h2>
      <p className="soft">{quiz.needed === null ? 'To see for yourself; nothing depends on it.' : `${quiz.needed} % finish the lesson. You can try as often as you like.`}</p>
      {quiz.last !== null && (
        <p className={quiz.needed === null || quiz.last >= quiz.needed ? 'did' : 'wrongly'} role="status">
          {quiz.last} % right{quiz.best !== null && quiz.best > quiz.last && `, ${quiz.best} % at best`}.
        </p>
      )}
      <form
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.transform((data) => ({ ...data, version: quiz.version }));
          form.post(`${learnerAddress(course, item)}/quiz`, { preserveScroll: true });
        }}
      >
        {quiz.questions.map((question, index) => {
          const chosen = (form.data.answers[index] ?? []).map(String);
          const wrong = quiz.wrong.includes(index);
          const told = wrong ? 'Not right the last time.' : undefined;
          // A question has no identity beyond its place.
          const key = `${index}-${question.ask}`;
          return question.several ? (
            <Checkbox.Group key={key} className="question" label={question.ask} description="More than one may be right." error={told} value={chosen} onChange={(values) => choose(index, values)}>
              {question.answers.map((answer, at) => (
                <Checkbox key={answer} value={String(at)} label={answer} disabled={!quiz.can} />
              ))}
            </Checkbox.Group>
          ) : (
            <Radio.Group key={key} className="question" label={question.ask} error={told} value={chosen[0] ?? ''} onChange={(value) => choose(index, [value])}>
              {question.answers.map((answer, at) => (
                <Radio key={answer} value={String(at)} label={answer} disabled={!quiz.can} />
              ))}
            </Radio.Group>
          );
        })}
        {form.errors.answers !== undefined && <p className="wrongly">{form.errors.answers}</p>}
        {quiz.can && (
          <div className="quiz-acts">
            <Button type="submit" size="md" loading={form.processing} disabled={standIn !== undefined || missing > 0}>
              {quiz.last === null ? 'Hand it in' : 'Try again'}
            </Button>
            {missing > 0 && <span className="soft">{missing === 1 ? 'One question is' : `${missing} questions are`} not answered yet.</span>}
          </div>
        )}
      </form>
    </section>
  );
}
