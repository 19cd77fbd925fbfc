import { Link, router } from '@inertiajs/react';
import { useState } from 'react';
import { clsx } from 'clsx';

import { learnerAddress, withQuery } from '../../lib/address';
import type { FrontCourse, FrontPage } from '../../lib/generated/types';
import { Cover } from '../../front/Cover';
import { Boathouse } from '../../front/Boathouse';
import { LearnerShell } from '../../learn/LearnerShell';
import { to } from '../../lib/route';
import { say } from '../../lib/say';
import css from '../../front/front.module.css';
import ui from '../../ui/ui.module.css';

export default function Front({ heading, text, picture, subjects, courses, over, part }: FrontPage) {
  const [chosen, setChosen] = useState(() => asked(subjects));
  // Of very many the server sends those that are asked for.
  const subject = part?.subject ?? chosen;
  const shown = part !== null || subject === '' ? courses : courses.filter((course) => course.subject === subject);
  const choose = (wanted: string) => {
    if (part !== null) {
      router.visit(subjectAddress(wanted), { preserveScroll: true });
      return;
    }
    setChosen(wanted);
    // To be sent to somebody: the page is the same one.
    window.history.replaceState(window.history.state, '', subjectAddress(wanted));
  };
  return (
    <LearnerShell title="">
      <section className={css.hello}>
        <div>
          <h1>{heading}</h1>
          {text !== '' && <p>{text}</p>}
        </div>
        {picture === null ? <Boathouse className={css.hellopicture} /> : <Cover cover={picture} className={css.hellopicture} sizes="(max-width: 860px) 100vw, 392px" first />}
      </section>
      {subjects.length > 1 && (
        <ul className={css.subjects} aria-label={say('front.subjects')}>
          {['', ...subjects].map((one) => (
            <li key={one}>
              <a
                href={subjectAddress(one)}
                aria-current={one === subject}
                onClick={(event) => {
                  event.preventDefault();
                  choose(one);
                }}
              >
                {one === '' ? say('front.all') : one}
              </a>
            </li>
          ))}
        </ul>
      )}
      <p role="status" className={ui.vh}>
        {subject === '' ? '' : say('front.narrowed', { count: shown.length, subject })}
      </p>
      {courses.length === 0 ? (
        <p className={css.none}>
          <b>{say('front.none')}</b> {say('front.none_yet')}
        </p>
      ) : (
        <ul className={css.cards}>
          {shown.map((course, index) => (
            <Card key={course.key} course={course} first={index < 3} />
          ))}
        </ul>
      )}
      {part !== null && (
        <nav className={css.part} aria-label={part.told}>
          {part.earlier !== null && <Link href={part.earlier}>{part.earlierWords}</Link>}
          <span>{part.told}</span>
          {part.later !== null && <Link href={part.later}>{part.laterWords}</Link>}
        </nav>
      )}
      {over.length > 0 && (
        <section className={css.over} aria-label={say('front.over')}>
          <h2>{say('front.over')}</h2>
          <ul>
            {over.map(({ key, title }) => (
              <li key={key}>
                <Link href={learnerAddress(key)}>{title}</Link>
              </li>
            ))}
          </ul>
        </section>
      )}
    </LearnerShell>
  );
}

/** A narrowed front has an address of its own. */
function subjectAddress(subject: string): string {
  return subject === '' ? to('home') : withQuery(to('home'), { subject });
}

/** The subject that the address asks for, where there is one of that name. */
function asked(subjects: string[]): string {
  const wanted = new URLSearchParams(window.location.search).get('subject') ?? '';
  return subjects.includes(wanted) ? wanted : '';
}

function Card({ course, first }: { course: FrontCourse; first: boolean }) {
  const { title, sentence, cover, takes, mine, state, act, href } = course;
  const next = (
    <>
      {act}
      <span className={ui.vh}>: {title}</span>
    </>
  );
  return (
    <li className={css.card}>
      <Cover cover={cover} className={css.cover} sizes="(max-width: 620px) 100vw, (max-width: 960px) 50vw, 340px" first={first} />
      <div>
        <h2>
          <Link href={learnerAddress(course.key)}>{title}</Link>
        </h2>
        {sentence !== '' && <p>{sentence}</p>}
        <span className={css.takes}>{takes}</span>
        <div className={css.foot}>
          <b className={clsx(mine && css.mine)}>{state}</b>
          {href.startsWith('/') ? <Link href={href}>{next}</Link> : <a href={href}>{next}</a>}
        </div>
      </div>
    </li>
  );
}
