import { Link, useForm } from '@inertiajs/react';
import { Button, Checkbox, Textarea, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { AnswerRow, FormRow, FormsPage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { SetOffPage } from '../../triggers/SetOffPage';
import css from '../../triggers/triggers.module.css';
import ui from '../../ui/ui.module.css';

/** Small public forms, and what was answered. */
export default function Forms({ forms, open, answers, mayEdit }: FormsPage) {
  const [making, setMaking] = useState(false);
  const shown = forms.find(({ id }) => id === open);
  const called = making ? say('setoff.forms.new') : (shown?.name ?? '');
  return (
    <SetOffPage
      here="forms"
      title={say('setoff.forms.title')}
      told={say('setoff.forms.told')}
      fresh={say('setoff.forms.new')}
      onNew={() => setMaking(true)}
      mayEdit={mayEdit}
      none={forms.length === 0 ? [say('setoff.forms.none'), say('setoff.forms.none_told')] : null}
      list={forms.map(({ id, name, on, sent }) => (
        <li key={id} className={clsx(!making && id === open && css.here, !on && css.off)}>
          <Link href={withQuery(to('keep.forms'), { open: id })} aria-current={!making && id === open ? 'page' : undefined} preserveScroll>
            {name}
          </Link>
          <p>{!on && <b>{say('setoff.forms.is_off')}</b>}</p>
          <div className={css.count}>{say('setoff.forms.sent', { count: sent })}</div>
        </li>
      ))}
      aside={
        making || shown !== undefined
          ? {
              name: called,
              children: (
                <>
                  <h2>{called}</h2>
                  {making ? <Editor key="new" form={null} mayEdit={mayEdit} onMade={() => setMaking(false)} /> : <Editor key={`${shown?.id} ${shown?.version}`} form={shown ?? null} mayEdit={mayEdit} />}
                  {!making && shown !== undefined && mayEdit && <Answers form={shown} answers={answers} />}
                </>
              ),
            }
          : null
      }
    />
  );
}

/** What it asks. */
function Editor({ form: kept, mayEdit, onMade }: { form: FormRow | null; mayEdit: boolean; onMade?: () => void }) {
  const form = useForm({ version: kept?.version ?? 0, name: kept?.name ?? '', on: kept?.on ?? true, text: kept?.text ?? '', consent: kept?.consent ?? '', questions: kept?.questions ?? [], thanks: kept?.thanks ?? '' });
  const { data, setData } = form;
  const errors = form.errors as Partial<Record<string, string>>;
  const disabled = !mayEdit;
  const set = (index: number, question: Partial<FormRow['questions'][number]>) => setData('questions', data.questions.map((one, at) => (at === index ? { ...one, ...question } : one)));
  return (
    <form
      className={css.editor}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (kept === null) {
          form.post(to('keep.forms.make'), { onSuccess: () => onMade?.() });
        } else {
          form.put(to('keep.forms.change', { form: kept.id }), { preserveScroll: true });
        }
      }}
    >
      {kept !== null && <p>{saying('setoff.forms.address', { address: <a key="address" href={kept.address}>{kept.address}</a> })}</p>}
      <TextInput label={say('setoff.forms.name')} description={say('setoff.forms.name_told')} maxLength={100} disabled={disabled} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
      <Checkbox label={say('setoff.forms.on')} disabled={disabled} checked={data.on} onChange={(event) => setData('on', event.currentTarget.checked)} />
      <Textarea label={say('setoff.forms.text')} description={say('setoff.forms.markdown')} autosize minRows={2} maxRows={8} maxLength={5000} disabled={disabled} value={data.text} error={errors.text} onChange={(event) => setData('text', event.currentTarget.value)} />
      <TextInput label={say('setoff.forms.consent')} description={say('setoff.forms.consent_told')} maxLength={500} disabled={disabled} value={data.consent} error={errors.consent} onChange={(event) => setData('consent', event.currentTarget.value)} />
      <fieldset>
        <legend>{say('setoff.forms.questions')}</legend>
        <ol className={css.steps}>
          {data.questions.map((question, index) => (
            // Questions have no name but their place.
            // oxlint-disable-next-line react/no-array-index-key
            <li key={index}>
              <TextInput label={say('setoff.forms.ask')} maxLength={300} disabled={disabled} value={question.ask} error={errors[`questions.${index}.ask`]} onChange={(event) => set(index, { ask: event.currentTarget.value })} />
              <div className={css.stepline}>
                <Checkbox label={say('setoff.forms.required')} disabled={disabled} checked={question.required} onChange={(event) => set(index, { required: event.currentTarget.checked })} />
                {!disabled && (
                  <button type="button" className={ui.linklike} onClick={() => setData('questions', data.questions.filter((_, at) => at !== index))}>
                    {say('setoff.forms.out')}
                  </button>
                )}
              </div>
            </li>
          ))}
        </ol>
        {errors.questions !== undefined && <p className={ui.wrongly}>{errors.questions}</p>}
        {!disabled && data.questions.length < 5 && (
          <Button type="button" size="xs" variant="default" onClick={() => setData('questions', [...data.questions, { ask: '', required: false }])}>
            {say('setoff.forms.add')}
          </Button>
        )}
      </fieldset>
      <Textarea label={say('setoff.forms.thanks')} description={say('setoff.forms.markdown')} autosize minRows={2} maxRows={8} maxLength={5000} disabled={disabled} value={data.thanks} error={errors.thanks} onChange={(event) => setData('thanks', event.currentTarget.value)} />
      {!disabled && (
        <div className={ui['review-acts']}>
          <Button type="submit" loading={form.processing} disabled={kept !== null && !form.isDirty}>
            {say(kept === null ? 'setoff.forms.make' : 'keep.save')}
          </Button>
        </div>
      )}
    </form>
  );
}

function Answers({ form, answers }: { form: FormRow; answers: AnswerRow[] }) {
  return (
    <section>
      <h3>{say('setoff.forms.answers')}</h3>
      {answers.length === 0 ? (
        <p className={ui.soft}>{say('setoff.forms.no_answers')}</p>
      ) : (
        <>
          <a href={to('keep.forms.csv', { form: form.id })}>{say('setoff.forms.csv')}</a>
          <ul className={css.runs}>
            {answers.map(({ id, person, name, email, consents, answers: told, when }) => (
              <li key={id}>
                <span className={css.cause}>
                  {when}
                  {consents && ` · ${say('setoff.forms.agrees')}`}
                </span>
                <b>{person === null ? name : <Link href={to('keep.person', { person })}>{name}</Link>}</b>
                <span>{email}</span>
                {told.map((one) => (
                  <span key={one}>{one}</span>
                ))}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
