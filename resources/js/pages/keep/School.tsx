import { useForm } from '@inertiajs/react';
import { Button, Checkbox, NumberInput, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import type { SchoolPage } from '../../lib/generated/types';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';

export default function School({ name, zone, currency, guests, contactName, contactEmail, warnDays, graceDays, missedDays, mayRun }: SchoolPage) {
  const form = useForm({ name, currency, guests, contactName: contactName ?? '', contactEmail: contactEmail ?? '', warnDays: warnDays as number | null, graceDays: graceDays as number | null, missedDays: missedDays as number | null });
  const { data, errors, setData } = form;
  return (
    <KeepShell title="School">
      <main className="plainpage">
        <h1>School</h1>
        <form
          className="review schoolform"
          noValidate
          onSubmit={(event: FormEvent) => {
            event.preventDefault();
            form.put(to('keep.school'), { preserveScroll: true });
          }}
        >
          <TextInput label="Name" maxLength={100} disabled={!mayRun} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
          <TextInput label="Time zone" disabled value={zone} description="All wall-clock times of all rules are read in it. It cannot be changed: every opening would move." />
          <TextInput label="Currency of new offers" maxLength={3} disabled={!mayRun} value={data.currency} error={errors.currency} onChange={(event) => setData('currency', event.currentTarget.value.toUpperCase())} />
          <Checkbox label="Guests may come in where a course’s guest door is open" disabled={!mayRun} checked={data.guests} error={errors.guests} onChange={(event) => setData('guests', event.currentTarget.checked)} />
          <div className="pair">
            <TextInput label="Whom learners ask" disabled={!mayRun} value={data.contactName} error={errors.contactName} onChange={(event) => setData('contactName', event.currentTarget.value)} />
            <TextInput label="At which address" type="email" disabled={!mayRun} value={data.contactEmail} error={errors.contactEmail} onChange={(event) => setData('contactEmail', event.currentTarget.value)} />
          </div>
          <div className="pair">
            <NumberInput label="Warn so many days before a trial that erases ends" min={0} max={365} allowDecimal={false} disabled={!mayRun} value={data.warnDays ?? ''} error={errors.warnDays} onChange={(days) => setData('warnDays', days === '' ? null : Number(days))} />
            <NumberInput label="Erase so many days after it has ended" min={0} max={3650} allowDecimal={false} disabled={!mayRun} value={data.graceDays ?? ''} error={errors.graceDays} onChange={(days) => setData('graceDays', days === '' ? null : Number(days))} />
          </div>
          <NumberInput label="End a membership so many days after a payment was due that did not come" min={0} max={90} allowDecimal={false} disabled={!mayRun} value={data.missedDays ?? ''} error={errors.missedDays} onChange={(days) => setData('missedDays', days === '' ? null : Number(days))} />
          {mayRun && (
            <div className="review-acts">
              <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
                Save
              </Button>
            </div>
          )}
        </form>
      </main>
    </KeepShell>
  );
}
