import { Link, router } from '@inertiajs/react';
import { useMemo, useRef, useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import { useShared } from '../../lib/page';
import { isoOf, SchoolTime, wallWords } from '../../lib/time';
import { typedTime } from '../../lib/typedTime';
import type { StandInPage, Vantage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { capital } from '../../lib/words';
import { RulesSeen } from '../../workspace/RulesSeen';
import { StandInPick } from '../../workspace/StandInPick';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import css from '../../workspace/standIn.module.css';
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
  const frame = useRef<HTMLIFrameElement>(null);
  const [copied, setCopied] = useState(false);
  /** Of just what one sees: at its instant, on the page to which one has gone in the frame. */
  const copyLink = () => {
    const shown = /\/view\/([^/]+)$/.exec(frame.current?.contentWindow?.location.pathname ?? '')?.[1];
    const link = withQuery(to('keep.stand-in', { course }), { v: ids, at: isoOf(at), see, item: shown === undefined ? null : decodeURIComponent(shown) });
    void navigator.clipboard?.writeText(window.location.origin + link).then(() => setCopied(true));
  };
  return (
    <KeepShell title={say('workspace.stand_in.stand_in_title', { title })}>
      <section className={css.head} aria-label={say('keep.keep_shell.about')}>
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
          <button type="button" className={ui.linklike} onClick={() => go({ at: null })}>
            {say('workspace.stand_in.back_to_now')}
          </button>
        )}
        <StandInPick key={ids[0]} course={course} label={say('workspace.stand_in.who')} value={vantages[0]} others={others} clearable={false} onPick={(id) => id !== null && go({ v: [id, ...ids.slice(1)] })} />
        <span>{say('workspace.stand_in.beside')}</span>
        <StandInPick key={`beside ${ids[1]}`} course={course} label={say('workspace.stand_in.who_beside')} value={vantages[1]} others={others.filter(({ id }) => id !== ids[0])} clearable onPick={(id) => go({ v: id === null ? ids.slice(0, 1) : [...ids.slice(0, 1), id] })} />
        {hasDraft && <RulesSeen see={see} onSee={(rules) => go({ see: rules })} />}
        <button type="button" className={ui.linklike} onClick={copyLink} onBlur={() => setCopied(false)}>
          {say(copied ? 'workspace.stand_in.copied' : 'workspace.stand_in.copy_link')}
        </button>
        <Link href={withQuery(to('keep.course', { course }), { lens: 'sightlines', v: ids, at: at === now ? null : isoOf(at), see: see === 'published' && hasDraft ? see : null })}>{say('workspace.stand_in.back_to_sightlines')}</Link>
      </section>
      <main className={clsx(css.frames, vantages.length > 1 && css.two)}>
        {vantages.map((vantage, index) => (
          <section key={vantage.id} aria-label={say('workspace.stand_in.what_name_sees', { name: vantage.name })}>
            <h2>{capital(vantage.name)}</h2>
            <p>
              {at === now ? say('workspace.stand_in.see_now') : say('workspace.stand_in.see_on', { when: time.words(at) })}
            </p>
            {/* Our own page, which needs its scripts and the session: a sandbox with both would keep nothing in. */}
            {/* oxlint-disable-next-line react/iframe-missing-sandbox */}
            <iframe ref={index === 0 ? frame : undefined} key={view(vantage)} src={view(vantage)} title={say('workspace.stand_in.course_as_name_sees', { name: vantage.name })} />
          </section>
        ))}
      </main>
    </KeepShell>
  );
}
