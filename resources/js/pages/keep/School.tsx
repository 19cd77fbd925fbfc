import { useForm } from '@inertiajs/react';
import { Button, Checkbox, NumberInput, Select, Textarea, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';
import { clsx } from 'clsx';

import { CoverPick } from '../../contents/CoverPick';
import type { SchoolFront, SchoolPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { SchoolTabs } from '../../school/SchoolTabs';
import { ZoneDialog } from '../../school/ZoneDialog';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import ui from '../../ui/ui.module.css';

export default function School({ name, zone, currency, language, guests, contactName, contactEmail, senderName, senderEmail, replyEmail, usualSender, warnDays, graceDays, missedDays, samplePercent, holidays, front, mayRun }: SchoolPage) {
  const form = useForm({ name, currency, language, guests, contactName: contactName ?? '', contactEmail: contactEmail ?? '', senderName: senderName ?? '', senderEmail: senderEmail ?? '', replyEmail: replyEmail ?? '', warnDays: warnDays as number | null, graceDays: graceDays as number | null, missedDays: missedDays as number | null, samplePercent: samplePercent as number | null, holidays });
  const { data, errors, setData } = form;
  const [moves, setMoves] = useState(false);
  return (
    <KeepShell title={say('school.school.school')}>
      <main className={ui.plainpage}>
        <h1>{say('school.school.school')}</h1>
        <SchoolTabs here="school" />
        <form
          className={clsx(ui.review, ui.schoolform)}
          noValidate
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            form.put(to('keep.school'), { preserveScroll: true });
          }}
        >
          <TextInput label={say('keep.name')} maxLength={100} disabled={!mayRun} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
          <TextInput
            label={say('school.school.time_zone')}
            readOnly
            value={zone}
            description={say('school.school.all_wall_clock_times')}
            rightSectionWidth={96}
            rightSection={
              mayRun && (
                <Button variant="default" size="compact-sm" onClick={() => setMoves(true)}>
                  {say('school.zone.change')}
                </Button>
              )
            }
          />
          <TextInput label={say('school.school.currency_of_new_offers')} maxLength={3} disabled={!mayRun} value={data.currency} error={errors.currency} onChange={(event) => setData('currency', event.currentTarget.value.toUpperCase())} />
          <Select label={say('school.school.language')} description={say('school.school.language_told')} allowDeselect={false} disabled={!mayRun} data={[{ value: 'en', label: say('school.school.language_en') }, { value: 'nb', label: say('school.school.language_nb') }]} value={data.language} error={errors.language} onChange={(chosen) => chosen !== null && setData('language', chosen as SchoolPage['language'])} />
          <Checkbox label={say('school.school.guests_may_come_in')} disabled={!mayRun} checked={data.guests} error={errors.guests} onChange={(event) => setData('guests', event.currentTarget.checked)} />
          <div className={ui.pair}>
            <TextInput label={say('school.school.whom_learners_ask')} disabled={!mayRun} value={data.contactName} error={errors.contactName} onChange={(event) => setData('contactName', event.currentTarget.value)} />
            <TextInput label={say('school.school.at_which_address')} type="email" disabled={!mayRun} value={data.contactEmail} error={errors.contactEmail} onChange={(event) => setData('contactEmail', event.currentTarget.value)} />
          </div>
          <div className={ui.pair}>
            <TextInput label={say('school.school.sender_name')} description={say('school.school.sender_name_told')} maxLength={100} disabled={!mayRun} value={data.senderName} error={errors.senderName} onChange={(event) => setData('senderName', event.currentTarget.value)} />
            <TextInput label={say('school.school.sender_email')} description={say('school.school.sender_email_told', { address: usualSender })} type="email" disabled={!mayRun} value={data.senderEmail} error={errors.senderEmail} onChange={(event) => setData('senderEmail', event.currentTarget.value)} />
          </div>
          {data.senderEmail !== '' && <p className={ui.soft}>{say('school.school.sender_hint')}</p>}
          <TextInput label={say('school.school.reply_email')} description={say('school.school.reply_email_told')} type="email" disabled={!mayRun} value={data.replyEmail} error={errors.replyEmail} onChange={(event) => setData('replyEmail', event.currentTarget.value)} />
          <div className={ui.pair}>
            <NumberInput label={say('school.school.warn_so_many_days')} min={0} max={365} allowDecimal={false} disabled={!mayRun} value={data.warnDays ?? ''} error={errors.warnDays} onChange={(days) => setData('warnDays', days === '' ? null : Number(days))} />
            <NumberInput label={say('school.school.erase_so_many_days')} min={0} max={3650} allowDecimal={false} disabled={!mayRun} value={data.graceDays ?? ''} error={errors.graceDays} onChange={(days) => setData('graceDays', days === '' ? null : Number(days))} />
          </div>
          <NumberInput label={say('school.school.end_membership_so_many')} min={0} max={90} allowDecimal={false} disabled={!mayRun} value={data.missedDays ?? ''} error={errors.missedDays} onChange={(days) => setData('missedDays', days === '' ? null : Number(days))} />
          <NumberInput label={say('school.school.sample_percent')} description={say('school.school.sample_percent_told')} min={0} max={100} allowDecimal={false} suffix=" %" disabled={!mayRun} value={data.samplePercent ?? ''} error={errors.samplePercent} onChange={(share) => setData('samplePercent', share === '' ? null : Number(share))} />
          <Textarea label={say('school.school.holidays')} description={say('school.school.holidays_told')} autosize minRows={2} maxRows={12} maxLength={5000} disabled={!mayRun} value={data.holidays} error={errors.holidays} onChange={(event) => setData('holidays', event.currentTarget.value)} />
          {mayRun && (
            <div className={ui['review-acts']}>
              <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
                {say('keep.save')}
              </Button>
            </div>
          )}
        </form>
        {moves && <ZoneDialog zone={zone} onLeave={() => setMoves(false)} />}
        <FrontForm front={front} mayRun={mayRun} />
      </main>
    </KeepShell>
  );
}

/** What stands over the courses, for everybody. */
function FrontForm({ front, mayRun }: { front: SchoolFront; mayRun: boolean }) {
  const { title, text, picture, focusX, focusY } = front;
  const form = useForm({ title, text, picture, focusX, focusY });
  const { data, errors, setData } = form;
  return (
    <form
      className={clsx(ui.review, ui.schoolform)}
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        form.put(to('keep.school.front'), { preserveScroll: true });
      }}
    >
      <h2>{say('school.front.title')}</h2>
      <p className={ui.soft}>{say('school.front.told')}</p>
      <TextInput label={say('school.front.heading')} description={say('school.front.heading_told')} maxLength={120} disabled={!mayRun} value={data.title} error={errors.title} onChange={(event) => setData('title', event.currentTarget.value)} />
      <Textarea label={say('school.front.text')} autosize minRows={2} maxRows={6} maxLength={600} disabled={!mayRun} value={data.text} error={errors.text} onChange={(event) => setData('text', event.currentTarget.value)} />
      <div>
        <b>{say('school.front.picture')}</b>
        <CoverPick cut={{ token: data.picture, x: data.focusX, y: data.focusY }} label={say('school.front.pick')} error={errors.picture} disabled={!mayRun} onCut={(cut) => form.setData((now) => ({ ...now, picture: cut.token, focusX: cut.x, focusY: cut.y }))} />
      </div>
      <div className={ui['review-acts']}>
        <a href={to('home')} target="_blank" rel="noopener">
          {say('school.front.look')}
        </a>
        {mayRun && (
          <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
            {say('keep.save')}
          </Button>
        )}
      </div>
    </form>
  );
}
