import { router, useForm } from '@inertiajs/react';
import { Button, Select, Textarea, TextInput } from '@mantine/core';
import { clsx } from 'clsx';

import type { ContentsPage, RelatedForm } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { PicturePick } from '../notices/PicturePick';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

interface Props {
  course: string;
  related: RelatedForm;
  courses: ContentsPage['courses'];
  mayEdit: boolean;
}

/** Another course that is put before the readers of this page. */
export function RelatedEditor({ course, related, courses, mayEdit }: Props) {
  const form = useForm({ version: related.version, item: related.item, other: related.other, heading: related.heading, text: related.text, button: related.button, picture: related.picture });
  const { data, errors, setData } = form;
  const address = to('keep.related.save', { course });
  return (
    <form
      className={clsx(ui.review, css.related)}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.put(address, { preserveScroll: true });
      }}
    >
      <h2>{say('contents.related.title')}</h2>
      <p className={ui.soft}>{say('contents.related.told')}</p>
      {related.finding !== null && <p className={ui.takes}>{related.finding}</p>}
      <Select label={say('contents.related.course')} searchable allowDeselect={false} placeholder={say('contents.related.none')} disabled={!mayEdit} data={courses.map(({ key, title }) => ({ value: key, label: title }))} value={data.other === '' ? null : data.other} error={errors.other} onChange={(other) => setData('other', other ?? '')} />
      {data.other !== '' && (
        <>
          <TextInput label={say('contents.related.heading')} maxLength={200} disabled={!mayEdit} value={data.heading} error={errors.heading} onChange={(event) => setData('heading', event.currentTarget.value)} />
          <Textarea label={say('contents.contents.text')} description={say('contents.contents.markdown')} autosize minRows={2} maxRows={8} maxLength={2000} disabled={!mayEdit} value={data.text} error={errors.text} onChange={(event) => setData('text', event.currentTarget.value)} />
          <TextInput label={say('contents.related.button')} maxLength={60} disabled={!mayEdit} value={data.button} error={errors.button} onChange={(event) => setData('button', event.currentTarget.value)} />
          <div>
            <PicturePick token={data.picture} label={say('contents.related.picture')} error={errors.picture} disabled={!mayEdit} onPick={(picture) => setData('picture', picture)} />
            {data.picture !== '' && mayEdit && (
              <button type="button" className={ui.linklike} onClick={() => setData('picture', '')}>
                {say('contents.related.no_picture')}
              </button>
            )}
          </div>
        </>
      )}
      {mayEdit && data.other !== '' && (
        <div className={ui['review-acts']}>
          {related.version > 0 && (
            <Button type="button" variant="default" onClick={() => router.delete(address, { data: { version: related.version, item: related.item }, preserveScroll: true })}>
              {say('contents.related.take_away')}
            </Button>
          )}
          <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
            {say('keep.save')}
          </Button>
        </div>
      )}
    </form>
  );
}
