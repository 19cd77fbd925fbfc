import { Link, useForm } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Prose } from './Prose';
import { useLearnerAddress, useShared } from '../lib/page';
import type { NoticePage, NoticePart, PathRow } from '../lib/generated/types';
import { plainText } from '../lib/words';
import { AccountFields } from '../ui/AccountFields';
import { Instead } from './Instead';
import { NextRunForm } from './NextRunForm';
import { OfferCards } from './Offers';
import { Button, ButtonLink } from '../ui/Plain';
import { Picture } from '../ui/Picture';
import { Words } from '../ui/Words';
import { to } from '../lib/route';
import { say, saying } from '../lib/say';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

/** What stands in the place of a closed item. */
export function NoticeBody({ page }: { page: NoticePage }) {
  const { glyph, heading, titled } = page;
  return (
    <section className={clsx(ui.notice, css.notice)}>
      <div className={clsx(ui.wall, ui[`wall-${glyph}`])} aria-hidden>
        <i />
      </div>
      <h1 className={titled ? undefined : ui.vh}>{plainText(heading)}</h1>
      {page.parts.map((part, index) => (
        // Parts have no name but their place.
        // oxlint-disable-next-line react/no-array-index-key
        <Part key={index} part={part} page={page} />
      ))}
    </section>
  );
}

/** One part of a notice; the server has left out what leads nowhere. */
function Part({ part, page }: { part: NoticePart; page: NoticePage }) {
  const { course, item, text, html, signIn, contactName, contactEmail, lookAt, offers, signUp, instead } = page;
  const { standIn } = useShared();
  switch (part.kind) {
    case 'words':
      return html === null ? (
        <p className={css['notice-text']}>
          <Words segments={text.segments} />
        </p>
      ) : (
        <div className={css['notice-text']}>
          <Prose html={html} />
        </div>
      );
    case 'text':
      return (
        <div className={css['notice-text']}>
          <Prose html={part.html ?? ''} />
        </div>
      );
    case 'heading':
      return <h2 className={css['notice-heading']}>{part.label}</h2>;
    case 'picture':
      return part.picture === null ? null : <Picture picture={part.picture} sizes="(max-width: 760px) 100vw, 620px" />;
    case 'button':
      return <NoticeButton label={part.label ?? ''} href={part.href ?? ''} />;
    case 'sign-in':
      return (
        <>
          <p className={css.noticebutton}>
            {standIn === undefined && signIn !== null ? (
              <ButtonLink href={signIn}>{say('sign_in')}</ButtonLink>
            ) : (
              <Button disabled>{say('sign_in')}</Button>
            )}
          </p>
          {page.case === 'account' && standIn === undefined && <LookForm course={course.key} item={item} />}
        </>
      );
    case 'offers':
      return <OfferCards offers={offers} />;
    case 'finish':
      return <Rows title={say('notice.finish')} course={course.key} rows={part.rows} />;
    case 'samples':
      return <Rows title={say('notice.samples')} course={course.key} rows={part.rows} />;
    case 'courses':
      return <Instead courses={instead} />;
    case 'next-run':
      return <NextRunForm course={course.key} signUp={signUp} />;
    case 'ask':
      return <p className={css.askline}>{saying('notice.ask', { contact: <a key="contact" href={`mailto:${contactEmail ?? ''}`}>{say('notice.contact', { name: contactName ?? '' })}</a> })}</p>;
    case 'open':
      return lookAt === null ? null : <OpenNow course={course.key} row={lookAt} />;
  }
}

function OpenNow({ course, row }: { course: string; row: PathRow }) {
  const address = useLearnerAddress();
  return <p className={css.askline}>{saying('notice.open', { item: <Link key="item" href={address(course, row.key)}>{row.title}</Link> })}</p>;
}

/** A button of the school's own. Whoever stands in presses none. */
function NoticeButton({ label, href }: { label: string; href: string }) {
  const { standIn } = useShared();
  return (
    <p className={css.noticebutton}>
      {standIn !== undefined ? (
        <Button variant="default" disabled>
          {label}
        </Button>
      ) : (
        <ButtonLink href={href} variant="default">
          {label}
        </ButtonLink>
      )}
    </p>
  );
}

function Rows({ title, course, rows }: { title: string; course: string; rows: PathRow[] }) {
  const address = useLearnerAddress();
  return (
    <section className={css.noticerows} aria-label={title}>
      <h2 className={css['notice-heading']}>{title}</h2>
      <ul>
        {rows.map((row) => (
          <li key={row.key}>
            <Link href={address(course, row.key)}>{row.title}</Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** A sample asks for a name and an address first. */
function LookForm({ course, item }: { course: string; item: string }) {
  const form = useForm({ name: '', email: '' });
  return (
    <form
      className={css.doorform}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(to('lesson.look', { course, item }));
      }}
    >
      <AccountFields data={form.data} errors={form.errors} onSet={(changes) => form.setData((now) => ({ ...now, ...changes }))} />
      <Button type="submit" loading={form.processing}>
        {say('notice.have_look')}
      </Button>
    </form>
  );
}
