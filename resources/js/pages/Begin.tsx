import { Head, useForm } from '@inertiajs/react';
import { Button, PasswordInput, Select, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import { Mark } from '../ui/Arch';
import type { BeginPage } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import ui from '../ui/ui.module.css';

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
    <div className={ui.signin}>
      <Head title={say('school.begin.begin_a_school')} />
      <main>
        <div className={ui['signin-door']}>
          <h1>{say('school.begin.begin_a_school')}</h1>
          <form onSubmit={begin} noValidate>
            <TextInput label={say('school.begin.name_of_the_school')} maxLength={100} autoFocus value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
            <Select
              label={say('school.begin.time_zone')}
              description={say('school.begin.all_times_all_rules')}
              data={zones}
              searchable
              value={data.zone}
              error={errors.zone}
              onChange={(zone) => setData('zone', zone ?? '')}
            />
            <TextInput label={say('school.begin.currency_what_sells')} maxLength={3} value={data.currency} error={errors.currency} onChange={(event) => setData('currency', event.currentTarget.value.toUpperCase())} />
            <TextInput label={say('school.begin.your_name')} autoComplete="name" maxLength={200} value={data.administrator} error={errors.administrator} onChange={(event) => setData('administrator', event.currentTarget.value)} />
            <TextInput label={say('school.begin.your_e_mail_address')} type="email" autoComplete="username" maxLength={190} value={data.email} error={errors.email} onChange={(event) => setData('email', event.currentTarget.value)} />
            <PasswordInput label={say('school.begin.your_password')} description={say('school.begin.at_least_twelve_characters')} autoComplete="new-password" value={data.password} error={errors.password} onChange={(event) => setData('password', event.currentTarget.value)} />
            <Button type="submit" loading={form.processing} fullWidth>
              {say('school.begin.begin')}
            </Button>
          </form>
        </div>
        <Mark />
      </main>
    </div>
  );
}
