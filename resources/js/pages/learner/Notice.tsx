import { Link, useForm } from '@inertiajs/react';
import { Button } from '@mantine/core';
import { clsx } from 'clsx';

import { Prose } from '../../learn/Prose';
import { useTurns } from '../../learn/useTurns';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { NoticePage } from '../../lib/generated/types';
import { plainText } from '../../lib/words';
import { CourseSide } from '../../learn/CourseSide';
import { AccountFields } from '../../ui/AccountFields';
import { Instead } from '../../learn/Instead';
import { LearnerShell } from '../../learn/LearnerShell';
import { NextRunForm } from '../../learn/NextRunForm';
import { OfferCards } from '../../learn/Offers';
import { Words } from '../../ui/Words';
import { to } from '../../lib/route';
import { say, saying } from '../../lib/say';
import css from '../../learn/learn.module.css';
import ui from '../../ui/ui.module.css';

export default function Notice({ course, item, glyph, case: met, heading, text, html, signIn, contactName, contactEmail, lookAt, offers, signUp, instead }: NoticePage) {
  const address = useLearnerAddress();
  const { standIn } = useShared();
  useTurns(course.turnsIn);
  return (
    <LearnerShell title={plainText(heading)} signIn={signIn}>
      <div className={css.two}>
        <CourseSide course={course} here={item} />
        <section className={clsx(ui.notice, css.notice)}>
          <div className={clsx(ui.wall, ui[`wall-${glyph}`])} aria-hidden>
            <i />
          </div>
          <h1>{plainText(heading)}</h1>
          {html === null ? (
            <p className={css['notice-text']}>
              <Words segments={text.segments} />
            </p>
          ) : (
            <div className={css['notice-text']}>
              <Prose html={html} />
            </div>
          )}
          {signIn !== null && (
            <p>
              {standIn === undefined ? (
                <Button component={Link} href={signIn} size="md">
                  {say('sign_in')}
                </Button>
              ) : (
                <Button size="md" disabled>
                  {say('sign_in')}
                </Button>
              )}
            </p>
          )}
          {met === 'account' && signIn !== null && standIn === undefined && <LookForm course={course.key} item={item} />}
          {offers.length > 0 && <OfferCards offers={offers} />}
          <div className={css['closing-ways']}>
            <Instead courses={instead} />
            <NextRunForm course={course.key} signUp={signUp} />
          </div>
          <ul className={css.or}>
            {contactName !== null && contactEmail !== null && (
              <li>
                {saying('notice.ask', { contact: <a key="contact" href={`mailto:${contactEmail}`}>{say('notice.contact', { name: contactName })}</a> })}
              </li>
            )}
            {lookAt !== null && (
              <li>
                {saying('notice.open', { item: <Link key="item" href={address(course.key, lookAt.key)}>{lookAt.title}</Link> })}
              </li>
            )}
          </ul>
        </section>
      </div>
    </LearnerShell>
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
      <Button type="submit" size="md" loading={form.processing}>
        {say('notice.have_look')}
      </Button>
    </form>
  );
}
