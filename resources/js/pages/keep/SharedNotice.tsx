import { Link, router, useForm } from '@inertiajs/react';
import { Button, Modal, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { withQuery } from '../../lib/address';
import type { SharedNoticePage, SharedPlaceRow } from '../../lib/generated/types';
import { say } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { NoticePreviewed } from '../../notices/NoticePreviewed';
import { NoticeWords } from '../../notices/NoticeWords';
import { ToldTabs } from '../../notices/ToldTabs';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import css from '../../notices/notices.module.css';
import ui from '../../ui/ui.module.css';

/** Words that many doors share: drafted here, rehearsed, published. */
export default function SharedNotice(page: SharedNoticePage) {
  return (
    <KeepShell title={page.name}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{page.name}</h1>
          </div>
          <p className={ui.doors}>
            <Link href={to('keep.shared-notices')}>{say('notices.shared.all')}</Link>
            {page.published !== null && ` · ${say('notices.shared.published_at', { at: page.published })}`}
            {page.isDrafted && ` · ${say('notices.shared.draft_told')}`}
          </p>
        </div>
        <ToldTabs here="shared" />
      </PageHead>
      <main className={css.sharedone}>
        <Editor key={page.version} page={page} />
      </main>
    </KeepShell>
  );
}

function Editor({ page }: { page: SharedNoticePage }) {
  const { id, version, isLive, isDrafted, places, mayEdit } = page;
  const form = useForm({ version, name: page.name, heading: page.heading, titled: page.titled, text: page.text, parts: page.parts });
  const { data, errors, setData } = form;
  const [asks, setAsks] = useState<'publish' | 'away' | 'let-go' | null>(null);
  const gone = { data: { version }, preserveScroll: true, onFinish: () => setAsks(null) };
  return (
    <div className={ui['notice-edit']}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.put(to('keep.shared.draft', { shared: id }), { preserveScroll: true });
        }}
      >
        <TextInput label={say('notices.shared.name')} description={say('notices.shared.name_told')} maxLength={100} disabled={!mayEdit} value={data.name} error={errors.name} onChange={(event) => setData('name', event.currentTarget.value)} />
        <NoticeWords words={data} errors={errors} placeholders={page.placeholders} rows={[]} offers={[]} disabled={!mayEdit} onChange={(words) => setData((now) => ({ ...now, ...words }))} />
        {mayEdit && (
          <div className={ui['review-acts']}>
            {places.length === 0 && (
              <Button type="button" variant="default" onClick={() => setAsks('let-go')}>
                {say('notices.shared.let_go')}
              </Button>
            )}
            {isDrafted && isLive && (
              <Button type="button" variant="default" onClick={() => setAsks('away')}>
                {say('notices.shared.away')}
              </Button>
            )}
            <Button type="submit" variant={isDrafted && !form.isDirty ? 'default' : 'filled'} loading={form.processing} disabled={!form.isDirty}>
              {say('notices.shared.keep')}
            </Button>
            {isDrafted && (
              <Button type="button" disabled={form.isDirty} title={form.isDirty ? say('notices.shared.unsaved') : undefined} onClick={() => setAsks('publish')}>
                {say('notices.shared.publish')}
              </Button>
            )}
          </div>
        )}
        <section>
          <h2>{say('notices.shared.where')}</h2>
          {places.length === 0 ? <p className={ui.soft}>{say('notices.shared.nowhere')}</p> : <Places rows={places} />}
        </section>
      </form>
      <NoticePreviewed base={to('keep.notices')} place={{ item: null, offer: null }} met={null} way="show" words={data} address="" vantages={[]} rows={[]} />
      {asks === 'publish' && <Rehearsal page={page} onClose={() => setAsks(null)} />}
      {asks === 'away' && <Ask title={say('notices.shared.away')} told={say('notices.shared.away_told')} onClose={() => setAsks(null)} onDo={() => router.delete(to('keep.shared.throw-away', { shared: id }), gone)} />}
      {asks === 'let-go' && <Ask title={say('notices.shared.let_go')} told={say('notices.shared.let_go_told')} onClose={() => setAsks(null)} onDo={() => router.delete(to('keep.shared.let-go', { shared: id }), gone)} />}
    </div>
  );
}

/** Which doors say it differently from now on, and how often they were met. */
function Rehearsal({ page: { id, version, places, doors, more, met }, onClose }: { page: SharedNoticePage; onClose: () => void }) {
  const [busy, setBusy] = useState(false);
  return (
    <Modal opened onClose={onClose} title={say('notices.shared.rehearsal')} size={720}>
      <p>
        {say('notices.shared.change', { places: places.length })} {say('notices.shared.met', { count: met })}
      </p>
      {places.length > 0 && <Places rows={places} />}
      {places.length > 0 && (
        <>
          <h3>{say('notices.shared.doors')}</h3>
          {doors.length === 0 ? <p className={ui.soft}>{say('notices.shared.no_doors')}</p> : <Places rows={doors} />}
          {more > 0 && <p className={ui.soft}>{say('notices.shared.more_doors', { count: more })}</p>}
        </>
      )}
      <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
        <Button variant="default" onClick={onClose}>
          {say('notices.back.leave')}
        </Button>
        <Button
          loading={busy}
          data-autofocus
          onClick={() => {
            router.post(to('keep.shared.publish', { shared: id }), { version }, { preserveScroll: true, onStart: () => setBusy(true), onFinish: () => setBusy(false), onSuccess: onClose });
          }}
        >
          {say('notices.shared.do', { count: doors.length + more })}
        </Button>
      </div>
    </Modal>
  );
}

function Ask({ title, told, onDo, onClose }: { title: string; told: string; onDo: () => void; onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title={title}>
      <p>{told}</p>
      <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
        <Button variant="default" onClick={onClose} data-autofocus>
          {say('notices.back.leave')}
        </Button>
        <Button onClick={onDo}>{title}</Button>
      </div>
    </Modal>
  );
}

function Places({ rows }: { rows: SharedPlaceRow[] }) {
  return (
    <ul className={css.places}>
      {rows.map(({ course, at, item, offer, offerTitle, case: met, who, met: times }) => (
        <li key={`${course} ${item} ${offer} ${met}`}>
          <Link href={withQuery(course === null ? to('keep.notices') : to('keep.course-notices', { course }), { case: met, ...(times === null ? { item, offer } : {}) })}>{at}</Link>
          <span>{offerTitle === null ? who : say('notices.shared.for_holders', { who, offer: offerTitle })}</span>
          {times !== null && <b>{times}</b>}
        </li>
      ))}
    </ul>
  );
}
