import { Link, router, useForm } from '@inertiajs/react';
import { useState } from 'react';
import { clsx } from 'clsx';

import { Media } from '../../learn/Media';
import { Prose } from '../../learn/Prose';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress, withQuery } from '../../lib/address';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { BoardPage, DateRow, MarkRow, PostRow } from '../../lib/generated/types';
import { uuid } from '../../lib/uuid';
import { CourseSide } from '../../learn/CourseSide';
import { Button, Textarea } from '../../ui/Plain';
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
          {board === 'marks' && <Marks course={course.key} marks={marks} />}
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
      {dates.map(({ at, key, title, opens }) => (
        <li key={`${at} ${key} ${opens}`}>
          <time>{at}</time>
          <span>
            {saying(opens ? 'board.opens' : 'board.closes', { item: <Link key="item" href={address(course, key)}>{title}</Link> })}
          </span>
        </li>
      ))}
    </ol>
  );
}

function Marks({ course, marks }: { course: string; marks: MarkRow[] }) {
  const address = useLearnerAddress();
  if (marks.length === 0) {
    return <p className={clsx(ui.soft, css.soft)}>{say('board.no_marks')}</p>;
  }
  return (
    <table className={css.marks}>
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

function Discussion({ course, item, posts, canPost }: { course: string; item: string; posts: PostRow[]; canPost: boolean }) {
  const { standIn } = useShared();
  const address = to('board.say', { course, item });
  const form = useForm<{ text: string; once: string }>({ text: '', once: uuid() });
  return (
    <section className={css.posts} aria-label={say('board.said')}>
      {posts.length === 0 && <p className={clsx(ui.soft, css.soft)}>{say('board.nobody')}</p>}
      <ol>
        {posts.map((post) => (
          <li key={post.id}>
            <p className={css.said}>
              <b>{post.who}</b> <time>{post.at}</time>
              {post.mine && <TakeBack address={`${address}/${post.id}`} />}
            </p>
            <p className={css.saying}>{post.text}</p>
          </li>
        ))}
      </ol>
      {canPost && standIn === undefined && (
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            form.post(address, { preserveScroll: true, onSuccess: () => form.setData({ text: '', once: uuid() }) });
          }}
        >
          <Textarea label={say('board.say')} rows={3} maxLength={5000} value={form.data.text} error={form.errors.text} onChange={(event) => form.setData('text', event.currentTarget.value)} />
          <Button type="submit" loading={form.processing}>
            {say('board.post')}
          </Button>
        </form>
      )}
    </section>
  );
}

function TakeBack({ address }: { address: string }) {
  const [sure, setSure] = useState(false);
  return sure ? (
    <span className={css.sure}>
      {say('board.sure')}{' '}
      <button type="button" className={ui.linklike} onClick={() => router.delete(address, { preserveScroll: true })}>
        {say('board.take_it_back')}
      </button>{' '}
      <button type="button" className={ui.linklike} onClick={() => setSure(false)}>
        {say('board.leave')}
      </button>
    </span>
  ) : (
    <button type="button" className={clsx(ui.linklike, css.sure)} onClick={() => setSure(true)}>
      {say('board.take_back')}
    </button>
  );
}
