import { Head, useForm } from '@inertiajs/react';
import { Button, PasswordInput, Select, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import { Mark } from '../ui/Arch';
import type { BeginPage } from '../lib/generated/types';
import { to } from '../lib/route';

/** The first page of a school that is empty. */
export default function Begin({ code, zones }: BeginPage) {
  const here = new Intl.DateTimeFormat().resolvedOptions().timeZone;
  const form = useForm({ code, name: '', zone: zones.includes(here) ? here : '', currency: 'EUR', administrator: '', email: '', password: '' });
  const { data, errors, setData } = form;
  const begin = (event: FormEvent) => {
    event.preventDefault();
    form.post(to('begin'));
  };
  return (
    <div className="signin">
      <Head title="Begin a school" />
      <main>
        <div className="signin-door begin-door">
          <h1>Begin a school</h1>
          <form onSubmit={begin} noValidate>
            <TextInput label="Name of the school" maxLength={100} autoFocus value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
            <Select
              label="Time zone"
              description="All times of all rules are read in it. It stays: another one would move every opening."
              data={zones}
              searchable
              value={data.zone}
              error={errors.zone}
              onChange={(zone) => setData('zone', zone ?? '')}
            />
            <TextInput label="Currency of what it sells" maxLength={3} value={data.currency} error={errors.currency} onChange={(event) => setData('currency', event.currentTarget.value.toUpperCase())} />
            <TextInput label="Your name" autoComplete="name" maxLength={200} value={data.administrator} error={errors.administrator} onChange={(event) => setData('administrator', event.currentTarget.value)} />
            <TextInput label="Your e-mail address" type="email" autoComplete="username" maxLength={190} value={data.email} error={errors.email} onChange={(event) => setData('email', event.currentTarget.value)} />
            <PasswordInput label="Your password" description="At least twelve characters; a few words make a good one." autoComplete="new-password" value={data.password} error={errors.password} onChange={(event) => setData('password', event.currentTarget.value)} />
            <Button type="submit" loading={form.processing} fullWidth>
              Begin
            </Button>
          </form>
        </div>
        <Mark />
      </main>
    </div>
  );
}
