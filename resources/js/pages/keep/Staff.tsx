import { router, useForm } from '@inertiajs/react';
import { Button, MultiSelect, Radio, Stack, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import type { Role, StaffCourse, StaffPage, StaffRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { SchoolTabs } from '../../school/SchoolTabs';
import css from '../../school/school.module.css';
import { DialogForm } from '../../ui/DialogForm';
import { KeepShell } from '../../ui/KeepShell';
import ui from '../../ui/ui.module.css';

const ROLES: { value: Role; title: string; may: string }[] = [
  { value: 'administrator', title: say('staff.roles.administrator'), may: say('staff.may.administrator') },
  { value: 'editor', title: say('staff.roles.editor'), may: say('staff.may.editor') },
  { value: 'assistant', title: say('staff.roles.assistant'), may: say('staff.may.assistant') },
  { value: 'looker-on', title: say('staff.roles.looker_on'), may: say('staff.may.looker_on') },
];

/** Who works for the school, as what, and on which courses. */
export default function Staff({ staff, courses, mayRun }: StaffPage) {
  const [open, setOpen] = useState<StaffRow | 'new' | null>(null);
  const [leaves, setLeaves] = useState<StaffRow | null>(null);
  const title = (key: string) => courses.find((course) => course.key === key)?.title ?? key;
  return (
    <KeepShell title={say('staff.title')}>
      <main className={ui.plainpage}>
        <h1>{say('staff.title')}</h1>
        <SchoolTabs here="staff" />
        <p className={ui.soft}>{say('staff.told')}</p>
        {mayRun && (
          <Button mt={10} onClick={() => setOpen('new')}>
            {say('staff.add')}
          </Button>
        )}
        <div className={css.scroll}>
          <table className={clsx(ui.list, css.labels)}>
            <caption className={ui.vh}>{say('staff.told')}</caption>
            <thead>
              <tr>
                <th scope="col">{say('staff.name')}</th>
                <th scope="col">{say('staff.role')}</th>
                <th scope="col">{say('staff.seen')}</th>
                {mayRun && (
                  <th scope="col">
                    <span className={ui.vh}>{say('staff.change')}</span>
                  </th>
                )}
              </tr>
            </thead>
            <tbody>
              {staff.map((row) => (
                <tr key={row.id}>
                  <th scope="row">
                    {row.self ? say('staff.you', { name: row.name }) : row.name}
                    <div className={ui.soft}>{row.email}</div>
                  </th>
                  <td>
                    {ROLES.find(({ value }) => value === row.role)?.title}
                    {row.courses.length > 0 && <div className={ui.soft}>{row.courses.map(title).join(' · ')}</div>}
                  </td>
                  <td>{row.seen ?? say('staff.never')}</td>
                  {mayRun && (
                    <td>
                      <div className={css.rowacts}>
                        <Button variant="default" size="compact-sm" aria-label={say('staff.change_of', { name: row.name })} onClick={() => setOpen(row)}>
                          {say('staff.change')}
                        </Button>
                        {!row.self && (
                          <Button variant="default" size="compact-sm" aria-label={say('staff.remove_named', { name: row.name })} onClick={() => setLeaves(row)}>
                            {say('staff.remove')}
                          </Button>
                        )}
                      </div>
                    </td>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        {open !== null && <RoleDialog row={open === 'new' ? null : open} courses={courses} onLeave={() => setOpen(null)} />}
        {leaves !== null && <LeaveDialog row={leaves} onLeave={() => setLeaves(null)} />}
      </main>
    </KeepShell>
  );
}

/** @param row.row null: somebody is taken on */
function RoleDialog({ row, courses, onLeave }: { row: StaffRow | null; courses: StaffCourse[]; onLeave: () => void }) {
  const form = useForm<{ email: string; name: string; from: Role | ''; role: Role | ''; courses: string[] }>({ email: '', name: '', from: row?.role ?? '', role: row?.role ?? '', courses: row?.courses ?? [] });
  const { data, errors, setData } = form;
  const after = { preserveScroll: true, onSuccess: onLeave };
  return (
    <DialogForm
      title={row === null ? say('staff.add') : say('staff.change_of', { name: row.name })}
      size={560}
      keep={say(row === null ? 'staff.add_keep' : 'staff.keep')}
      busy={form.processing}
      onLeave={onLeave}
      onKeep={() => (row === null ? form.post(to('keep.staff'), after) : form.put(to('keep.staff.change', { person: row.id }), after))}
    >
      {row === null && (
        <>
          <TextInput type="email" label={say('staff.email')} description={say('staff.email_told')} maxLength={190} data-autofocus value={data.email} error={errors.email} onChange={(event) => setData('email', event.currentTarget.value)} />
          <TextInput label={say('staff.new_name')} maxLength={200} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
        </>
      )}
      <Radio.Group label={say('staff.role')} value={data.role} error={errors.role} onChange={(role) => setData('role', role as Role)}>
        <Stack gap={10} mt={6}>
          {ROLES.map(({ value, title, may }) => (
            <Radio key={value} value={value} label={title} description={may} />
          ))}
        </Stack>
      </Radio.Group>
      {data.role === 'editor' && <MultiSelect label={say('staff.courses')} data={courses.map(({ key, title }) => ({ value: key, label: title }))} searchable value={data.courses} error={errors.courses} onChange={(chosen) => setData('courses', chosen)} />}
    </DialogForm>
  );
}

function LeaveDialog({ row, onLeave }: { row: StaffRow; onLeave: () => void }) {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<string | undefined>();
  return (
    <DialogForm
      title={say('staff.remove_of', { name: row.name })}
      keep={say('staff.remove_keep')}
      busy={busy}
      error={refused}
      onLeave={onLeave}
      onKeep={() => router.delete(to('keep.staff.remove', { person: row.id }), { data: { from: row.role }, preserveScroll: true, onStart: () => setBusy(true), onFinish: () => setBusy(false), onError: (errors) => setRefused(errors.role), onSuccess: onLeave })}
    >
      <p>{say('staff.remove_told', { name: row.name })}</p>
    </DialogForm>
  );
}
