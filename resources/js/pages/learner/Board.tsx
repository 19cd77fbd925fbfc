import { Link } from '@inertiajs/react';
import { clsx } from 'clsx';

import { Media } from '../../learn/Media';
import { Prose } from '../../learn/Prose';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import { useLearnerAddress } from '../../lib/page';
import type { BoardPage, DateRow, MarkRow } from '../../lib/generated/types';
import { Discussion } from '../../learn/Discussion';
import { CourseSide } from '../../learn/CourseSide';
import { Subscribe } from '../../learn/Subscribe';
import { LearnerShell } from '../../learn/LearnerShell';
import { to } from '../../lib/route';
import { say, saying } from '../../lib/say';
import css from '../../learn/learn.module.css';
import ui from '../../ui/ui.module.css';

export default function Board({ course, item, board, html, media, dates, calendar, canSubscribe, posts, canPost, marks }: BoardPage) {
  useTurns(course.turnsIn);
  const isEmpty = board === 'announcements' && html === '' && media.length === 0;
  return (
    <LearnerShell title={item.title} signIn={withQuery(to('sign-in'), { back: learnerAddress(course.key, item.key) })}>
      <div className={css.two}>
        <CourseSide course={course} here={item.key} />
        <article className={css.lesson} key={item.key}>
          <h1>{item.title}</h1>
          {isEmpty && <p className={clsx(ui.soft, css.soft)}>{say('board.nothing')}</p>}
          <Prose html={html} />
          <Media media={media} course={course.key} item={item.key} />
          {board === 'calendar' && <Dates course={course.key} dates={dates} />}
          {board === 'calendar' && canSubscribe && <Subscribe calendar={calendar} />}
          {board === 'marks' && <Marks course={course.key} called={item.title} marks={marks} />}
          {board === 'discussion' && <Discussion course={course.key} item={item.key} posts={posts} canPost={canPost} />}
        </article>
      </div>
    </LearnerShell>
  );
}

function Dates({ course, dates }: { course: string; dates: DateRow[] }) {
  const address = useLearnerAddress();
  if (dates.length === 0) {
    return <p className={clsx(ui.soft, css.soft)}>{say('board.no_dates')}</p>;
  }
  return (
    <ol className={css.dates}>
      {dates.map(({ at, key, title, opens, instant }) => (
        <li key={`${at} ${key} ${opens}`}>
          <time dateTime={instant}>{at}</time>
          <span>
            {saying(opens ? 'board.opens' : 'board.closes', { item: <Link key="item" href={address(course, key)}>{title}</Link> })}
          </span>
        </li>
      ))}
    </ol>
  );
}

function Marks({ course, called, marks }: { course: string; called: string; marks: MarkRow[] }) {
  const address = useLearnerAddress();
  if (marks.length === 0) {
    return <p className={clsx(ui.soft, css.soft)}>{say('board.no_marks')}</p>;
  }
  return (
    <table className={css.marks} aria-label={called}>
      <thead>
        <tr>
          <th scope="col">{say('board.lesson')}</th>
          <th scope="col">{say('board.finished')}</th>
          <th scope="col">{say('board.quiz')}</th>
        </tr>
      </thead>
      <tbody>
        {marks.map(({ key, title, open, finished, score }) => (
          <tr key={key}>
            <th scope="row">{open ? <Link href={address(course, key)}>{title}</Link> : title}</th>
            <td>{finished ?? <span className={clsx(ui.soft, css.soft)}>{say('board.not_yet')}</span>}</td>
            <td>{score === null ? '' : say('percent', { count: score })}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
