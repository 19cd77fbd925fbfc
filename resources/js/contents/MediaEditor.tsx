import { router, useForm } from '@inertiajs/react';
import { Button, FileInput, Modal, Select, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import type { ContentMedium } from '../lib/generated/types';
import { say, saying } from '../lib/keepSay';
import css from './contents.module.css';
import ui from '../ui/ui.module.css';

export function MediaEditor({ address, media, mayEdit }: { address: string; media: ContentMedium[]; mayEdit: boolean }) {
  const [leaving, setLeaving] = useState<ContentMedium | null>(null);
  const [described, setDescribed] = useState<ContentMedium | null>(null);
  return (
    <section className={clsx(ui.review, css['media-edit'])} aria-label={say('contents.contents.pictures_recordings_videos_and')}>
      <h3>{say('contents.contents.pictures_recordings_videos_and')}</h3>
      {media.length === 0 && <p className={ui.soft}>{say('contents.contents.there_none_what_browsers')}</p>}
      <ol>
        {media.map((medium, index) => (
          <li key={medium.id}>
            <span>
              <a href={medium.href} target="_blank" rel="noopener">
                {medium.title}
              </a>
              <small>{medium.detail}</small>
            </span>
            {mayEdit && (
              <span>
                <button type="button" className={ui.linklike} onClick={() => setDescribed(medium)}>
                  {saying('contents.media.describe', { what: <span className={ui.vh}>{medium.title}</span> })}
                </button>{' '}
                {index > 0 && (
                  <button type="button" className={ui.linklike} onClick={() => router.put(`${address}/${medium.id}`, { up: true }, { preserveScroll: true })}>
                    {saying('contents.contents.up', { what: <span className={ui.vh}>{medium.title}</span> })}
                  </button>
                )}{' '}
                <button type="button" className={ui.linklike} onClick={() => setLeaving(medium)}>
                  {saying('contents.contents.take_out', { what: <span className={ui.vh}>{medium.title}</span> })}
                </button>
              </span>
            )}
          </li>
        ))}
      </ol>
      {described !== null && <Describe key={described.id} address={`${address}/${described.id}`} medium={media.find(({ id }) => id === described.id) ?? described} onClose={() => setDescribed(null)} />}
      {mayEdit && <Upload address={address} key={media.length} />}
      <Modal opened={leaving !== null} onClose={() => setLeaving(null)} title={say('contents.contents.take_out_ask', { title: leaving?.title ?? '' })}>
        <p>{say('contents.contents.no_undo', { what: say(leaving?.kind === 'video' ? 'contents.contents.file_deleted_and_with' : 'contents.contents.the_file_is_deleted') })}</p>
        <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
          <Button variant="default" onClick={() => setLeaving(null)} data-autofocus>
            {say('keep.leave_it')}
          </Button>
          <Button color="red" onClick={() => router.delete(`${address}/${leaving?.id}`, { preserveScroll: true, onFinish: () => setLeaving(null) })}>
            {say('contents.contents.take_it_out')}
          </Button>
        </div>
      </Modal>
    </section>
  );
}

function Upload({ address }: { address: string }) {
  const form = useForm<{ file: File | null; title: string; seconds: number | null }>({ file: null, title: '', seconds: null });
  const choose = async (file: File | null) => {
    const seconds = file === null ? null : await lengthOf(file);
    form.setData((now) => ({ file, seconds, title: now.title === '' && file !== null ? file.name.replace(/\.[^.]*$/, '') : now.title }));
  };
  return (
    <form
      className={css.upload}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(address, { preserveScroll: true });
      }}
    >
      <FileInput label={say('contents.contents.another_file')} placeholder={say('keep.choose_a_file')} clearable value={form.data.file} error={form.errors.file ?? form.errors.seconds} onChange={(file) => void choose(file)} />
      <TextInput label={say('contents.contents.its_title')} maxLength={200} value={form.data.title} error={form.errors.title} onChange={(event) => form.setData('title', event.currentTarget.value)} />
      {form.progress !== null && (
        <progress max={100} value={form.progress.percentage ?? 0}>
          {say('contents.contents.percent', { percent: form.progress.percentage ?? 0 })}
        </progress>
      )}
      <Button type="submit" variant="default" loading={form.processing} disabled={form.data.file === null}>
        {say('contents.contents.put_it_in')}
      </Button>
    </form>
  );
}

/** How long a recording or video plays, as far as this browser can tell. */
function lengthOf(file: File): Promise<number | null> {
  if (!/^(?:audio|video)\//.test(file.type)) {
    return Promise.resolve(null);
  }
  return new Promise((tell) => {
    const player = document.createElement('video');
    const source = URL.createObjectURL(file);
    const told = (seconds: number | null) => {
      URL.revokeObjectURL(source);
      tell(seconds);
    };
    player.preload = 'metadata';
    player.addEventListener('loadedmetadata', () => told(Number.isFinite(player.duration) && player.duration > 0 ? player.duration : null));
    player.addEventListener('error', () => told(null));
    player.src = source;
  });
}

const LANGUAGES = [
  { value: 'en', label: say('school.school.language_en') },
  { value: 'nb', label: say('school.school.language_nb') },
];

/** Its title, what is said in it, and what stands there before it plays. */
function Describe({ address, medium, onClose }: { address: string; medium: ContentMedium; onClose: () => void }) {
  const form = useForm<{ title: string; captions: File | null; language: string; poster: File | null }>({ title: medium.title, captions: null, language: medium.language, poster: null });
  const plays = medium.kind === 'video' || medium.kind === 'audio';
  const without = (what: 'captions' | 'poster') => router.delete(`${address}/${what}`, { preserveScroll: true, preserveState: true });
  return (
    <Modal opened onClose={onClose} title={say('contents.media.title', { title: medium.title })}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.post(address, { preserveScroll: true, onSuccess: onClose });
        }}
      >
        <TextInput label={say('contents.contents.its_title')} maxLength={200} data-autofocus value={form.data.title} error={form.errors.title} onChange={(event) => form.setData('title', event.currentTarget.value)} />
        {plays && (
          <>
            <FileInput label={say('contents.media.captions')} description={say('contents.media.captions_told')} accept=".vtt,text/vtt" clearable placeholder={say(medium.captions ? 'contents.media.others' : 'keep.choose_a_file')} value={form.data.captions} error={form.errors.captions} onChange={(file) => form.setData('captions', file)} />
            <Select label={say('contents.media.language')} allowDeselect={false} data={LANGUAGES} value={form.data.language} onChange={(language) => form.setData('language', language ?? 'en')} />
            {medium.captions && (
              <button type="button" className={ui.linklike} onClick={() => without('captions')}>
                {say('contents.media.no_captions')}
              </button>
            )}
          </>
        )}
        {medium.kind === 'video' && (
          <>
            {medium.poster !== null && <img className={css.ascut} src={medium.poster} alt="" />}
            <FileInput label={say('contents.media.poster')} accept="image/*" clearable placeholder={say('keep.choose_a_file')} value={form.data.poster} error={form.errors.poster} onChange={(file) => form.setData('poster', file)} />
            {medium.poster !== null && (
              <button type="button" className={ui.linklike} onClick={() => without('poster')}>
                {say('contents.media.no_poster')}
              </button>
            )}
          </>
        )}
        <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
          <Button variant="default" onClick={onClose}>
            {say('keep.leave_it')}
          </Button>
          <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
            {say('keep.save')}
          </Button>
        </div>
      </form>
    </Modal>
  );
}
