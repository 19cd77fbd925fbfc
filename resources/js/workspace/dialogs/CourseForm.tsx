import { router, useForm } from '@inertiajs/react';
import { CopyButton, Checkbox, Select, TextInput } from '@mantine/core';
import { useState } from 'react';

import type { CourseSettings } from '../../lib/generated/types';
import { to } from '../../lib/route';
import { DialogForm } from '../../ui/DialogForm';

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
    <DialogForm title="The course: who gets in, and when" size={620} keep="Keep in the draft" busy={form.processing} onKeep={submit} onLeave={onClose}>
        <TextInput label="Title" data-autofocus value={form.data.title} error={form.errors.title} onChange={(event) => form.setData('title', event.currentTarget.value)} />
        <div className="pair">
          <Select
            label="State"
            data={[
              { value: 'draft', label: 'Draft: hidden from everybody' },
              { value: 'live', label: 'Live' },
              { value: 'retired', label: 'Retired' },
            ]}
            value={form.data.state}
            allowDeselect={false}
            onChange={(state) => form.setData('state', state ?? 'draft')}
          />
          <Select
            label="Who gets in"
            data={[
              { value: 'anyone', label: 'Anyone, without a pass' },
              { value: 'signup', label: 'Whoever signs up' },
              { value: 'offer', label: 'Whoever takes an offer' },
              { value: 'invite', label: 'By invitation only' },
            ]}
            value={form.data.entry}
            allowDeselect={false}
            onChange={(entry) => form.setData('entry', entry ?? 'invite')}
          />
          <TextInput
            type="datetime-local"
            label="Season begins (left empty: no beginning)"
            value={form.data.opens}
            error={form.errors.opens}
            onChange={(event) => form.setData('opens', event.currentTarget.value)}
          />
          <TextInput
            type="datetime-local"
            label="Season ends (left empty: no end)"
            value={form.data.closes}
            error={form.errors.closes}
            onChange={(event) => form.setData('closes', event.currentTarget.value)}
          />
        </div>
        <TextInput
          label="Tiers, with commas between them"
          value={form.data.tiers}
          error={form.errors.tiers ?? form.errors.rule}
          onChange={(event) => form.setData('tiers', event.currentTarget.value)}
        />
        <div className="pair">
          <fieldset>
            <legend>Guest door</legend>
            {check('guestsOpen', 'Open to whoever has the link')}
            {check('guestsDefault', 'They see what says nothing of guests')}
            <TextInput
              label="Pass phrase (left empty: the link is enough)"
              autoComplete="off"
              value={form.data.guestPhrase}
              error={form.errors.guestPhrase}
              onChange={(event) => form.setData('guestPhrase', event.currentTarget.value)}
            />
            <GuestLink course={course} link={settings.guestLink} />
          </fieldset>
          <fieldset>
            <legend>Observer door</legend>
            {check('observersOpen', 'Open to observers')}
            {check('observersDefault', 'They see what says nothing of observers')}
            {check('observersFollow', 'They see what their learner sees')}
          </fieldset>
        </div>
        {check('inOrder', 'Its modules one after the other')}
        {check('sampleNeedsAccount', 'Samples need an account')}
        {check('keepAfterRetiring', 'Those who hold it keep it once it is retired')}
    </DialogForm>
  );
}

/** The link by which guests come. It is no part of the draft: a new one holds at once. */
function GuestLink({ course, link }: { course: string; link: string | null }) {
  const [sure, setSure] = useState(false);
  const make = () => router.post(to('keep.guest-link', { course }), {}, { preserveScroll: true, preserveState: true, onSuccess: () => setSure(false) });
  return link === null ? (
    <button type="button" className="linklike" onClick={make}>
      Make a link for guests
    </button>
  ) : (
    <div className="guestlink">
      <TextInput label="Their link" readOnly value={link} onFocus={(event) => event.currentTarget.select()} rightSection={<CopyButton value={link}>{({ copied, copy }) => <button type="button" className="linklike" onClick={copy}>{copied ? 'Copied' : 'Copy'}</button>}</CopyButton>} rightSectionWidth={64} />
      {sure ? (
        <span>
          The present link dies, with all who came by it.{' '}
          <button type="button" className="linklike" onClick={make}>
            Make a new one
          </button>
        </span>
      ) : (
        <button type="button" className="linklike" onClick={() => setSure(true)}>
          Change it…
        </button>
      )}
    </div>
  );
}
