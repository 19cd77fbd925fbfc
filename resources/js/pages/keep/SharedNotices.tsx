import { Link, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import type { SharedNoticesPage, SharedRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { ToldTabs } from '../../notices/ToldTabs';
import { DialogForm } from '../../ui/DialogForm';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import css from '../../notices/notices.module.css';
import ui from '../../ui/ui.module.css';

/** The notices that many doors share. */
export default function SharedNotices({ notices, mayEdit }: SharedNoticesPage) {
  const [begins, setBegins] = useState(false);
  return (
    <KeepShell title={say('notices.shared.title')}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('notices.shared.title')}</h1>
          </div>
          <p className={ui.doors}>{say('notices.shared.told')}</p>
        </div>
        <ToldTabs here="shared" />
      </PageHead>
      <main className={clsx(ui.plainpage, css.sharedpage)}>
        {notices.length === 0 ? (
          <div className={ui.empty}>
            <p>
              <b>{say('notices.shared.none')}</b> {say('notices.shared.none_told')}
            </p>
          </div>
        ) : (
          <ul className={css.sharedlist}>
            {notices.map((notice) => (
              <li key={notice.id}>
                <Link href={to('keep.shared', { shared: notice.id })}>{notice.name}</Link>
                <span>{say(standing(notice))}</span>
                <span>
                  {say('notices.shared.stands', { places: notice.places })}
                  {notice.courses.length > 0 && `: ${notice.courses.join(', ')}`}
                </span>
                <span>{say('notices.shared.met', { count: notice.met })}</span>
              </li>
            ))}
          </ul>
        )}
        {mayEdit && <Button onClick={() => setBegins(true)}>{say('notices.shared.begin')}</Button>}
      </main>
      {begins && <BeginDialog onClose={() => setBegins(false)} />}
    </KeepShell>
  );
}

function standing({ isLive, isDrafted }: SharedRow) {
  return !isLive ? 'notices.shared.never' : isDrafted ? 'notices.shared.drafted' : 'notices.shared.live';
}

function BeginDialog({ onClose }: { onClose: () => void }) {
  const form = useForm({ name: '', heading: '', text: '', titled: true });
  return (
    <DialogForm title={say('notices.shared.begin')} keep={say('notices.shared.begin')} busy={form.processing} onKeep={() => form.post(to('keep.shared-notices.begin'))} onLeave={onClose}>
      <TextInput label={say('notices.shared.name')} description={say('notices.shared.name_told')} maxLength={100} data-autofocus value={form.data.name} error={form.errors.name} onChange={(event) => form.setData('name', event.currentTarget.value)} />
    </DialogForm>
  );
}
