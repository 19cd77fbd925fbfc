import { useForm } from '@inertiajs/react';
import { NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import type { ActPreview, CoursePick, OfferPick, OutlineRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { uuid } from '../lib/uuid';
import type { Act, Whom } from './acts';
import { OutcomeList } from './OutcomeList';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { DialogForm } from '../ui/DialogForm';
import { WallInput } from '../ui/WallInput';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

export interface ActDialogProps {
  title: string;
  /** What is done, with what is known of it already. */
  act: Act;
  whom: Whom;
  offers: OfferPick[];
  courses: CoursePick[];
  labels: string[];
  /** To be chosen of, where somebody observes. */
  onClose: () => void;
}

/** Which fields an act asks for, beside what is known already. */
const FIELDS: Record<string, string[]> = {
  give: ['offer', 'from', 'anew'],
  extend: ['offer', 'days'],
  pause: ['offer', 'stops'],
  resume: ['offer'],
  end: ['offer'],
  withdraw: ['offer'],
  'give-back': ['offer'],
  change: ['offer'],
  grant: ['item', 'until'],
  'take-back': ['item'],
  finish: ['item', 'note'],
  label: ['label', 'until'],
  unlabel: ['label'],
  write: ['subject', 'body'],
};

/** The fields without which there is nothing to preview yet. */
const NEEDED = new Set(['offer', 'days', 'item', 'label', 'subject', 'body']);

/** Asks for what an act needs, says what it will do to whom, and does it. */
export function ActDialog({ title, act, whom, offers, courses, labels, onClose }: ActDialogProps) {
  const fields = (FIELDS[act.do] ?? []).filter((field) => !(field === 'offer' && act.pass !== undefined && act.do !== 'change') && !(field === 'item' && act.grant !== undefined));
  const form = useForm({
    offer: act.offer ?? '', from: '', until: '', days: (act.days ?? 14) as number | '', anew: false, stops: true, course: act.course ?? courses[0]?.key ?? '', item: act.item ?? '', label: act.label ?? '', subject: act.subject ?? '', body: act.body ?? '', note: '',
  });
  // One dialog does its work once, however often it is clicked.
  const [once] = useState(uuid);
  const { data, setData, errors } = form;
  const body: Record<string, unknown> = { ...whom, do: act.do };
  for (const [key, value] of Object.entries({ pass: act.pass, grant: act.grant, observer: act.observer })) {
    if (value !== undefined) {
      body[key] = value;
    }
  }
  for (const field of fields) {
    body[field] = data[field as keyof typeof data] === '' ? null : data[field as keyof typeof data];
  }
  if (fields.includes('item')) {
    body['course'] = data.course;
  }
  const complete = fields.every((field) => !NEEDED.has(field) || Boolean(data[field as keyof typeof data]));
  const { answer: preview, state } = useAsked<ActPreview>(complete ? to('keep.people.preview') : null, body);
  const perform = () => {
    form.transform(() => ({ ...body, once }));
    form.post(to('keep.people.act'), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  const touched = preview?.outcomes.filter(({ changes }) => changes).reduce((sum, { count }) => sum + count, 0) ?? 0;
  const message = (field: string) => (errors as Record<string, string>)[field];
  const listed = courses.find(({ key }) => key === data.course)?.rows ?? [];
  // Lists of people do not bring every course's rows with them.
  const { answer: fetched, state: fetching } = useAsked<OutlineRow[]>(fields.includes('item') && listed.length === 0 && data.course !== '' ? to('keep.people.rows', { course: data.course }) : null);
  const items = listed.length > 0 ? listed : (fetched ?? []);
  return (
    <DialogForm title={title} size={520} keep={preview === null ? title : preview.long ? say('people.act_dialog.look_what_would_do') : say('people.act_dialog.title_for', { title, people: say('keep.people_counted', { count: touched }) })} busy={form.processing} disabled={preview !== null && !preview.long && touched === 0} onKeep={perform} onLeave={onClose}>
      {fields.includes('offer') && (
        <Select label={say('keep.offer')} data={offers.map(({ key, title: name }) => ({ value: key, label: name }))} value={data.offer} error={message('offer')} searchable selectFirstOptionOnChange data-autofocus onChange={(value) => setData('offer', value ?? '')} />
      )}
      {fields.includes('from') && (
        <WallInput label={say('people.act_dialog.from_left_empty_now')} value={data.from} error={message('from')} onWall={(wall) => setData('from', wall)} />
      )}
      {fields.includes('anew') && (
        <label className={ui.tick}>
          <input type="checkbox" checked={data.anew} onChange={(event) => setData('anew', event.currentTarget.checked)} /> {say('people.act_dialog.anew')}
        </label>
      )}
      {fields.includes('days') && (
        <NumberInput label={say('people.act_dialog.by_how_many_days')} min={1} max={3660} allowDecimal={false} value={data.days} error={message('days')} data-autofocus onChange={(value) => setData('days', value === '' ? '' : Number(value))} />
      )}
      {fields.includes('stops') && (
        <fieldset className={ui.whenlive}>
          <legend>{say('people.act_dialog.meanwhile_its_days')}</legend>
          <label>
            <input type="radio" name="stops" checked={data.stops} onChange={() => setData('stops', true)} /> {say('people.act_dialog.stand_still')}
          </label>
          <label>
            <input type="radio" name="stops" checked={!data.stops} onChange={() => setData('stops', false)} /> {say('people.act_dialog.go_on')}
          </label>
        </fieldset>
      )}
      {fields.includes('item') && (
        <>
          <Select label={say('people.act_dialog.course')} data={courses.map(({ key, title: name }) => ({ value: key, label: name }))} value={data.course} allowDeselect={false} onChange={(value) => setData((now) => ({ ...now, course: value ?? '', item: '' }))} />
          <Select label={say('people.act_dialog.row_with_all_inside')} data={items.map(({ key, title: name }) => ({ value: key, label: name }))} value={data.item} error={message('item')} searchable selectFirstOptionOnChange placeholder={fetching === 'waiting' ? say('people.act_dialog.rows_being_read') : ''} onChange={(value) => setData('item', value ?? '')} />
        </>
      )}
      {fields.includes('label') && (
        <>
          <TextInput label={say('keep.label')} list="labels" maxLength={60} value={data.label} error={message('label')} data-autofocus onChange={(event) => setData('label', event.currentTarget.value)} />
          <datalist id="labels">
            {labels.map((label) => (
              <option key={label}>{label}</option>
            ))}
          </datalist>
        </>
      )}
      {fields.includes('until') && (
        <WallInput label={say('people.act_dialog.until_left_empty_for')} value={data.until} error={message('until')} onWall={(wall) => setData('until', wall)} />
      )}
      {fields.includes('note') && <TextInput label={say('people.act_dialog.note')} maxLength={200} value={data.note} error={message('note')} onChange={(event) => setData('note', event.currentTarget.value)} />}
      {fields.includes('subject') && <TextInput label={say('people.act_dialog.subject')} maxLength={200} value={data.subject} error={message('subject')} data-autofocus onChange={(event) => setData('subject', event.currentTarget.value)} />}
      {fields.includes('body') && <Textarea label={say('people.act_dialog.letter_name_stands_for', { placeholder: '{name}' })} autosize minRows={5} maxRows={14} value={data.body} error={message('body')} onChange={(event) => setData('body', event.currentTarget.value)} />}
      {(message('do') ?? message('people')) !== undefined && <p className={ui.takes}>{message('do') ?? message('people')}</p>}
      <div className={clsx(ui.outcomes, css.outcomes)} role="status">
        {state === 'waiting' && preview === null && <p className={ui.soft}>{say('people.act_dialog.looking_what_would_do')}</p>}
        {preview !== null && (
          <>
            <OutcomeList outcomes={preview.outcomes} />
            {preview.long && <p>{say('people.act_dialog.long', { people: say('keep.people_counted', { count: preview.people }) })}</p>}
            {!preview.canBeUndone && <p className={ui.soft}>{say('people.act_dialog.this_cannot_be_taken')}</p>}
          </>
        )}
      </div>
    </DialogForm>
  );
}
