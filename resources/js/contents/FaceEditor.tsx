import { useForm } from '@inertiajs/react';
import { Autocomplete, Button, Textarea, TextInput } from '@mantine/core';
import { clsx } from 'clsx';

import { say } from '../lib/keepSay';
import { learnerAddress } from '../lib/address';
import type { FaceForm, FaceQuestion } from '../lib/generated/types';
import { to } from '../lib/route';
import { CoverPick } from './CoverPick';
import { Preview } from './Preview';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

interface Props {
  course: string;
  title: string;
  face: FaceForm;
  mayEdit: boolean;
}

/** What a course shows of itself: its card on the front, and its page to whoever has not come in. */
export function FaceEditor({ course, title, face, mayEdit }: Props) {
  const { sentence, about, outcomes, questions, subject, cover, focusX, focusY, drawing, contactName, contactEmail, version } = face;
  const form = useForm({ version, sentence, about, outcomes, questions, subject, cover, focusX, focusY, drawing, contactName, contactEmail });
  const { data, setData } = form;
  const errors = form.errors as Record<string, string | undefined>;
  return (
    <div className={clsx(ui['notice-edit'], css['content-edit'])}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.put(to('keep.contents.face', { course }), { preserveScroll: true });
        }}
      >
        <h2>{say('contents.contents.what_course_says_itself')}</h2>
        <Textarea label={say('contents.face.sentence')} description={say('contents.face.sentence_told')} autosize minRows={1} maxLength={200} disabled={!mayEdit} value={data.sentence} error={errors.sentence} onChange={(event) => setData('sentence', event.currentTarget.value.replaceAll('\n', ' '))} />
        <Autocomplete label={say('contents.face.subject')} description={say('contents.face.subject_told')} maxLength={100} disabled={!mayEdit} data={face.subjects} value={data.subject} error={errors.subject} onChange={(value) => setData('subject', value)} />
        <fieldset className={css.coverset}>
          <legend>{say('contents.face.cover')}</legend>
          <CoverPick cut={{ token: data.cover, x: data.focusX, y: data.focusY }} label={say('contents.face.pick')} error={errors.cover} disabled={!mayEdit} onCut={(cut) => form.setData((now) => ({ ...now, cover: cut.token, focusX: cut.x, focusY: cut.y }))} />
          {data.cover === '' && (
            <>
              <p>{say('contents.face.drawn')}</p>
              <div className={css.drawings}>
                {face.drawings.map((one) => (
                  <label key={one.drawing}>
                    <input type="radio" name="drawing" disabled={!mayEdit} checked={data.drawing === one.drawing} onChange={() => setData('drawing', one.drawing)} />
                    <img src={one.address} alt="" />
                    {one.label}
                  </label>
                ))}
              </div>
            </>
          )}
        </fieldset>
        <Textarea label={say('contents.face.outcomes')} description={say('contents.face.outcomes_told')} autosize minRows={3} maxRows={12} disabled={!mayEdit} value={data.outcomes} error={errors.outcomes} onChange={(event) => setData('outcomes', event.currentTarget.value)} />
        <Textarea label={say('contents.face.about')} description={say('contents.face.about_told')} autosize minRows={5} maxRows={24} disabled={!mayEdit} value={data.about} error={errors.about} onChange={(event) => setData('about', event.currentTarget.value)} />
        <Questions questions={data.questions} errors={errors} mayEdit={mayEdit} onSet={(value) => setData('questions', value)} />
        <fieldset className={css.coverset}>
          <legend>{say('contents.face.contact')}</legend>
          <p>{say('contents.face.contact_told')}</p>
          <div className={ui.pair}>
            <TextInput label={say('contents.face.name')} maxLength={100} disabled={!mayEdit} value={data.contactName} error={errors.contactName} onChange={(event) => setData('contactName', event.currentTarget.value)} />
            <TextInput label={say('contents.face.email')} type="email" maxLength={190} disabled={!mayEdit} value={data.contactEmail} error={errors.contactEmail} onChange={(event) => setData('contactEmail', event.currentTarget.value)} />
          </div>
        </fieldset>
        <div className={ui['review-acts']}>
          <a href={learnerAddress(course)} target="_blank" rel="noopener">
            {say('contents.face.look')}
          </a>
          {mayEdit && (
            <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
              {say('keep.save')}
            </Button>
          )}
        </div>
      </form>
      <Preview text={data.about === '' ? title : data.about} />
    </div>
  );
}

interface QuestionsProps {
  questions: FaceQuestion[];
  errors: Record<string, string | undefined>;
  mayEdit: boolean;
  onSet: (questions: FaceQuestion[]) => void;
}

function Questions({ questions, errors, mayEdit, onSet }: QuestionsProps) {
  const set = (index: number, change: Partial<FaceQuestion>) => onSet(questions.map((one, at) => (at === index ? { ...one, ...change } : one)));
  return (
    <fieldset className={css.coverset}>
      <legend>{say('contents.face.questions')}</legend>
      {questions.map((question, index) => (
        // A question has no identity beyond its place.
        // oxlint-disable-next-line react/no-array-index-key
        <div key={index} className={css['quizedit-question']}>
          <TextInput label={say('contents.face.question', { number: index + 1 })} maxLength={300} disabled={!mayEdit} value={question.ask} error={errors[`questions.${index}.ask`]} onChange={(event) => set(index, { ask: event.currentTarget.value })} />
          <Textarea label={say('contents.face.answer', { number: index + 1 })} autosize minRows={2} maxRows={8} maxLength={4000} disabled={!mayEdit} value={question.answer} error={errors[`questions.${index}.answer`]} onChange={(event) => set(index, { answer: event.currentTarget.value })} />
          {mayEdit && (
            <button type="button" className={ui.linklike} aria-label={say('contents.face.out_which', { number: index + 1 })} onClick={() => onSet(questions.filter((_, at) => at !== index))}>
              {say('contents.face.out')}
            </button>
          )}
        </div>
      ))}
      {errors.questions !== undefined && <p className={ui.wrongly}>{errors.questions}</p>}
      {mayEdit && (
        <Button type="button" variant="default" size="xs" onClick={() => onSet([...questions, { ask: '', answer: '' }])}>
          {say('contents.face.one_more')}
        </Button>
      )}
    </fieldset>
  );
}
