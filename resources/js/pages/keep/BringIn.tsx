import { Link, useForm } from '@inertiajs/react';
import { Button, FileInput, Select, TextInput } from '@mantine/core';
import type { FormEvent } from 'react';

import type { ImportsPage } from '../../lib/generated/types';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';

export default function BringIn({ offers, imports }: ImportsPage) {
  const one = useForm({ name: '', email: '', labels: '', offer: '', from: '' });
  const file = useForm({ file: null as File | null });
  return (
    <KeepShell title="Bring people in">
      <main className="plainpage person">
        <div className="pagehead">
          <h1>Bring people in</h1>
          <Link href={to('keep.people.list')}>Back to people</Link>
        </div>
        <div className="personcols">
          <section>
            <h2>One by one</h2>
            <form
              className="review"
              noValidate
              onSubmit={(event: FormEvent) => {
                event.preventDefault();
                one.post(to('keep.people.list'));
              }}
            >
              <TextInput label="Name" maxLength={200} value={one.data.name} error={one.errors.name} onChange={(event) => one.setData('name', event.currentTarget.value)} />
              <TextInput label="E-mail address" type="email" value={one.data.email} error={one.errors.email} onChange={(event) => one.setData('email', event.currentTarget.value)} />
              <TextInput label="Labels, divided by commas" value={one.data.labels} error={one.errors.labels} onChange={(event) => one.setData('labels', event.currentTarget.value)} />
              <div className="pair">
                <Select label="Offer (left empty: no pass)" data={offers.map(({ key, title }) => ({ value: key, label: title }))} value={one.data.offer} clearable searchable error={one.errors.offer} onChange={(offer) => one.setData('offer', offer ?? '')} />
                <TextInput type="datetime-local" label="From (left empty: now)" value={one.data.from} error={one.errors.from} onChange={(event) => one.setData('from', event.currentTarget.value)} />
              </div>
              <p className="soft">They are sent a link to sign in by.</p>
              <div className="review-acts">
                <Button type="submit" loading={one.processing}>
                  Bring them in
                </Button>
              </div>
            </form>
          </section>
          <section>
            <h2>From a file</h2>
            <form
              className="review"
              noValidate
              onSubmit={(event: FormEvent) => {
                event.preventDefault();
                file.post(to('keep.imports.upload'));
              }}
            >
              <FileInput label="CSV with a head, or a OneRoster 1.1 bundle (ZIP)" placeholder="Choose a file" value={file.data.file} error={file.errors.file} onChange={(chosen) => file.setData('file', chosen)} />
              <p className="soft">What each row would do is shown before anything is done. All of a file is brought in, or nothing; the same file twice changes nothing.</p>
              {file.progress !== null && <progress max={100} value={file.progress.percentage ?? 0} aria-label="Sent" />}
              <div className="review-acts">
                <Button type="submit" loading={file.processing}>
                  Look at the file
                </Button>
              </div>
            </form>
            {imports.length > 0 && (
              <>
                <h2>Files so far</h2>
                <ul className="held">
                  {imports.map((line) => (
                    <li key={line.id}>
                      <b>{line.name}</b>
                      <span>
                        {line.when} · {line.state}
                        {line.told !== '' && ` · ${line.told}`}
                      </span>
                      {line.state !== 'done' && <Link href={to('keep.import', { import: line.id })}>Go on</Link>}
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
