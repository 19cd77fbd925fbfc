import { Link, router } from '@inertiajs/react';
import { useMemo } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import { useShared } from '../../lib/page';
import { isoOf, SchoolTime, wallWords } from '../../lib/time';
import { typedTime } from '../../lib/typedTime';
import type { StandInPage, Vantage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { capital } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import css from '../../workspace/workspace.module.css';
import ui from '../../ui/ui.module.css';

/** The learner's side through other eyes, in a frame that cannot be mistaken for the real thing. */
export default function StandIn({ course, title, vantages, others, at, now, see, offsets, item, hasDraft }: StandInPage) {
  const { school } = useShared();
  const time = useMemo(() => new SchoolTime(offsets, now), [offsets, now]);
  const ids = vantages.map(({ id }) => id);
  const address = (changes: { v?: string[]; at?: number | null; see?: string }) =>
    withQuery(to('keep.stand-in', { course }), { v: changes.v ?? ids, at: changes.at === null ? null : isoOf(changes.at ?? at), see: changes.see ?? see, item });
  const go = (changes: { v?: string[]; at?: number | null; see?: string }) => router.get(address(changes), {}, { preserveState: true, replace: true });
  const view = (vantage: Vantage) => withQuery(to('keep.stand-in.view', item === null ? { course } : { course, item }), { v: [vantage.id], at: isoOf(at), see });
  const beside = others.filter(({ id }) => id !== ids[0]);
  const named = vantages[1] === undefined || beside.some(({ id }) => id === ids[1]) ? beside : [vantages[1], ...beside];
  return (
    <KeepShell title={say('workspace.stand_in.stand_in_title', { title })}>
      <div className={css['standin-head']}>
        <h1>
          {saying('workspace.stand_in.heading', { title: <span key="title">{title}</span> })}
        </h1>
        <label>
          {say('workspace.stand_in.as_of')}{' '}
          <input
            key={at}
            autoComplete="off"
            placeholder={say('keep.dates.like')}
            defaultValue={wallWords(time.wall(at)) ?? ''}
            onBlur={(event) => {
              const wall = typedTime(event.currentTarget.value, time.wall(now));
              const moved = wall === null ? null : time.instant(wall);
              if (moved !== null && wall !== time.wall(at)) {
                go({ at: moved });
              }
            }}
            onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          />{' '}
          {school.zoneName}
        </label>
        {at !== now && (
          <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => go({ at: null })}>
            {say('workspace.stand_in.back_to_now')}
          </button>
        )}
        <label>
          {say('workspace.stand_in.beside')}{' '}
          <select value={ids[1] ?? ''} onChange={(event) => go({ v: event.currentTarget.value === '' ? ids.slice(0, 1) : [...ids.slice(0, 1), event.currentTarget.value] })}>
            <option value="">{say('workspace.stand_in.nobody')}</option>
            {named.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        {hasDraft && (
          <div className={css.seg} role="group" aria-label={say('workspace.stand_in.which_rules_looked_at')}>
            <button type="button" aria-pressed={see === 'published'} onClick={() => go({ see: 'published' })}>
              {say('workspace.stand_in.as_published')}
            </button>
            <button type="button" aria-pressed={see !== 'published'} onClick={() => go({ see: 'draft' })}>
              {say('workspace.stand_in.with_the_changes')}
            </button>
          </div>
        )}
        <Link href={withQuery(to('keep.course', { course }), { lens: 'sightlines', v: ids, at: at === now ? null : isoOf(at), see: see === 'published' && hasDraft ? see : null })}>{say('workspace.stand_in.back_to_sightlines')}</Link>
      </div>
      <main className={clsx(css.standin, vantages.length > 1 && css['two-of-them'])}>
        {vantages.map((vantage) => (
          <section key={vantage.id} aria-label={say('workspace.stand_in.what_name_sees', { name: vantage.name })}>
            <h2>{capital(vantage.name)}</h2>
            <p>
              {at === now ? say('workspace.stand_in.see_now') : say('workspace.stand_in.see_on', { when: time.words(at) })}
            </p>
            {/* Our own page, which needs its scripts and the session: a sandbox with both would keep nothing in. */}
            {/* oxlint-disable-next-line react/iframe-missing-sandbox */}
            <iframe key={view(vantage)} src={view(vantage)} title={say('workspace.stand_in.course_as_name_sees', { name: vantage.name })} />
          </section>
        ))}
      </main>
    </KeepShell>
  );
}
