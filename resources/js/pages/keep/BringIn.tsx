import { Link, useForm } from '@inertiajs/react';
import { Button, FileInput, Select, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';
import { clsx } from 'clsx';

import type { ImportsPage } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import { WallInput } from '../../ui/WallInput';
import css from '../../people/people.module.css';
import ui from '../../ui/ui.module.css';

export default function BringIn({ offers, imports }: ImportsPage) {
  const one = useForm({ name: '', email: '', labels: '', offer: '', from: '' });
  const file = useForm({ file: null as File | null });
  return (
    <KeepShell title={say('imports.bring_in.bring_people_in')}>
      <main className={clsx(ui.plainpage, css.person)}>
        <div className={clsx(ui.pagehead, css.pagehead)}>
          <h1>{say('imports.bring_in.bring_people_in')}</h1>
          <Link href={to('keep.people.list')}>{say('imports.bring_in.back_to_people')}</Link>
        </div>
        <div className={css.personcols}>
          <section>
            <h2>{say('imports.bring_in.one_by_one')}</h2>
            <form
              className={ui.review}
              noValidate
              onSubmit={(event: FormEvent) => {
                event.preventDefault();
                one.post(to('keep.people.list'));
              }}
            >
              <TextInput label={say('keep.name')} maxLength={200} value={one.data.name} error={one.errors.name} onChange={(event) => one.setData('name', event.currentTarget.value)} />
              <TextInput label={say('imports.bring_in.e_mail_address')} type="email" value={one.data.email} error={one.errors.email} onChange={(event) => one.setData('email', event.currentTarget.value)} />
              <TextInput label={say('imports.bring_in.labels_divided_by_commas')} value={one.data.labels} error={one.errors.labels} onChange={(event) => one.setData('labels', event.currentTarget.value)} />
              <div className={ui.pair}>
                <Select label={say('imports.bring_in.offer_left_empty_no')} data={offers.map(({ key, title }) => ({ value: key, label: title }))} value={one.data.offer === '' ? null : one.data.offer} clearable searchable error={one.errors.offer} onChange={(offer) => one.setData('offer', offer ?? '')} />
                <WallInput label={say('imports.bring_in.from_left_empty_now')} value={one.data.from} error={one.errors.from} onWall={(wall) => one.setData('from', wall)} />
              </div>
              <p className={ui.soft}>{say('imports.bring_in.they_sent_link_sign')}</p>
              <div className={clsx(ui['review-acts'], css['review-acts'])}>
                <Button type="submit" loading={one.processing}>
                  {say('imports.bring_in.bring_them_in')}
                </Button>
              </div>
            </form>
          </section>
          <section>
            <h2>{say('imports.bring_in.from_a_file')}</h2>
            <form
              className={ui.review}
              noValidate
              onSubmit={(event: FormEvent) => {
                event.preventDefault();
                file.post(to('keep.imports.upload'));
              }}
            >
              <FileInput label={say('imports.bring_in.csv_with_head_or')} placeholder={say('keep.choose_a_file')} value={file.data.file} error={file.errors.file} onChange={(chosen) => file.setData('file', chosen)} />
              <p className={ui.soft}>{say('imports.bring_in.what_each_row_would')}</p>
              {file.progress !== null && <progress max={100} value={file.progress.percentage ?? 0} aria-label={say('imports.bring_in.sent')} />}
              <div className={clsx(ui['review-acts'], css['review-acts'])}>
                <Button type="submit" loading={file.processing}>
                  {say('imports.bring_in.look_at_the_file')}
                </Button>
              </div>
            </form>
            {imports.length > 0 && (
              <>
                <h2>{say('imports.bring_in.files_so_far')}</h2>
                <ul className={css.held}>
                  {imports.map((line) => (
                    <li key={line.id}>
                      <b>{line.name}</b>
                      <span>
                        {line.when} · {line.state}
                        {line.told !== '' && ` · ${line.told}`}
                      </span>
                      <Link href={to('keep.import', { import: line.id })}>{say(line.goesOn ? 'imports.bring_in.go_on' : 'imports.bring_in.look')}</Link>
                    </li>
                  ))}
                </ul>
              </>
            )}
          </section>
        </div>
      </main>
    </KeepShell>
  );
}
