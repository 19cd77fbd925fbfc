import { router, useForm } from '@inertiajs/react';
import { CopyButton, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import type { CourseSettings } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';
import { WallInput } from '../../ui/WallInput';
import css from '../workspace.module.css';
import ui from '../../ui/ui.module.css';

export interface CourseFormProps {
  course: string;
  version: number;
  settings: CourseSettings;
  onClose: () => void;
}

/** The course itself: its state, its season and all its doors, edited together. */
export function CourseForm({ course, version, settings, onClose }: CourseFormProps) {
  const form = useForm({ ...settings, opens: settings.opens ?? '', closes: settings.closes ?? '', guestPhrase: settings.guestPhrase ?? '', version, rule: '' });
  const submit = () => {
    form.post(to('keep.draft.course', { course }), { preserveScroll: true, preserveState: true, onSuccess: onClose });
  };
  const check = (name: 'keepAfterRetiring' | 'sampleNeedsAccount' | 'inOrder' | 'guestsOpen' | 'guestsDefault' | 'observersOpen' | 'observersDefault' | 'observersFollow', label: string) => (
    <Checkbox label={label} checked={form.data[name]} onChange={(event) => form.setData(name, event.currentTarget.checked)} />
  );
  return (
    <DialogForm title={say('edits.course_form.course_who_gets_in')} size={620} keep={say('keep.keep_in_the_draft')} busy={form.processing} onKeep={submit} onLeave={onClose}>
        <TextInput label={say('keep.title')} data-autofocus value={form.data.title} error={form.errors.title} onChange={(event) => form.setData('title', event.currentTarget.value)} />
        <div className={ui.pair}>
          <Select
            label={say('edits.course_form.state')}
            data={[
              { value: 'draft', label: say('edits.course_form.draft_hidden_from_everybody') },
              { value: 'live', label: say('edits.course_form.live') },
              { value: 'retired', label: say('edits.course_form.retired') },
            ]}
            value={form.data.state}
            allowDeselect={false}
            onChange={(state) => form.setData('state', state ?? 'draft')}
          />
          <Select
            label={say('edits.course_form.who_gets_in')}
            data={[
              { value: 'anyone', label: say('edits.course_form.anyone_without_a_pass') },
              { value: 'signup', label: say('edits.course_form.whoever_signs_up') },
              { value: 'offer', label: say('edits.course_form.whoever_takes_an_offer') },
              { value: 'invite', label: say('edits.course_form.by_invitation_only') },
            ]}
            value={form.data.entry}
            allowDeselect={false}
            onChange={(entry) => form.setData('entry', entry ?? 'invite')}
          />
          <WallInput
            label={say('edits.course_form.season_begins_left_empty')}
            value={form.data.opens}
            error={form.errors.opens}
            onWall={(wall) => form.setData('opens', wall)}
          />
          <WallInput
            label={say('edits.course_form.season_ends_left_empty')}
            value={form.data.closes}
            error={form.errors.closes}
            onWall={(wall) => form.setData('closes', wall)}
          />
        </div>
        <TextInput
          label={say('edits.course_form.tiers_with_commas_between')}
          value={form.data.tiers}
          error={form.errors.tiers ?? form.errors.rule}
          onChange={(event) => form.setData('tiers', event.currentTarget.value)}
        />
        <div className={ui.pair}>
          <fieldset>
            <legend>{say('edits.course_form.guest_door')}</legend>
            {check('guestsOpen', say('edits.course_form.open_whoever_has_link'))}
            {check('guestsDefault', say('edits.course_form.they_see_what_says'))}
            <TextInput
              label={say('edits.course_form.pass_phrase_left_empty')}
              autoComplete="off"
              value={form.data.guestPhrase}
              error={form.errors.guestPhrase}
              onChange={(event) => form.setData('guestPhrase', event.currentTarget.value)}
            />
            <GuestLink course={course} link={settings.guestLink} />
          </fieldset>
          <fieldset>
            <legend>{say('edits.course_form.observer_door')}</legend>
            {check('observersOpen', say('edits.course_form.open_to_observers'))}
            {check('observersDefault', say('edits.course_form.they_see_what_says_nothing'))}
            {check('observersFollow', say('edits.course_form.they_see_what_their'))}
          </fieldset>
        </div>
        {check('inOrder', say('edits.course_form.its_modules_one_after'))}
        {check('sampleNeedsAccount', say('edits.course_form.samples_need_an_account'))}
        {check('keepAfterRetiring', say('edits.course_form.those_who_hold_keep'))}
    </DialogForm>
  );
}

/** The link by which guests come. It is no part of the draft: a new one holds at once. */
function GuestLink({ course, link }: { course: string; link: string | null }) {
  const [sure, setSure] = useState(false);
  const make = () => router.post(to('keep.guest-link', { course }), {}, { preserveScroll: true, preserveState: true, onSuccess: () => setSure(false) });
  return link === null ? (
    <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={make}>
      {say('edits.course_form.make_link_for_guests')}
    </button>
  ) : (
    <div className={css.guestlink}>
      <TextInput label={say('edits.course_form.their_link')} readOnly value={link} onFocus={(event) => event.currentTarget.select()} rightSection={<CopyButton value={link}>{({ copied, copy }) => <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={copy}>{copied ? say('edits.course_form.copied') : say('edits.course_form.copy')}</button>}</CopyButton>} rightSectionWidth={64} />
      {sure ? (
        <span>
          {saying('edits.course_form.link_dies', {
              anew: (
                <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={make}>
                  {say('edits.course_form.make_a_new_one')}
                </button>
              ),
            })}
        </span>
      ) : (
        <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => setSure(true)}>
          {say('edits.course_form.change_it')}
        </button>
      )}
    </div>
  );
}
