import { Link, router, useForm } from '@inertiajs/react';
import { Button, CopyButton, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';

import { Media } from '../../learn/Media';
import { Prose } from '../../learn/Prose';
import { useTurns } from '../../learn/useTurns';
import { learnerAddress } from '../../lib/address';
import { useLearnerAddress, useShared } from '../../lib/page';
import type { BoardPage, DateRow, MarkRow, PostRow } from '../../lib/types';
import { uuid } from '../../lib/uuid';
import { CourseSide } from '../../ui/CourseSide';
import { LearnerShell } from '../../ui/LearnerShell';

export default function Board({ course, item, board, html, media, dates, calendar, canSubscribe, posts, canPost, marks }: BoardPage) {
  useTurns(course.turnsIn);
  const isEmpty = board === 'announcements' && html === '' && media.length === 0;
  return (
    <LearnerShell title={item.title} signIn={`/sign-in?back=${encodeURIComponent(learnerAddress(course.key, item.key))}`}>
      <div className="two">
        <CourseSide course={course} here={item.key} />
        <article className="lesson" key={item.key}>
          <h1>{item.title}</h1>
          {isEmpty && <p className="soft">Nothing has been announced yet.</p>}
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
    return <p className="soft">No date lies ahead: nothing here opens or closes by itself.</p>;
  }
  return (
    <ol className="dates">
      {dates.map(({ at, key, title, opens }) => (
        <li key={`${at} ${key} ${opens}`}>
          <time>{at}</time>
          <span>
            <Link href={address(course, key)}>{title}</Link> {opens ? 'opens' : 'closes'}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** A link that a calendar program can follow without signing in. */
function Subscribe({ calendar }: { calendar: string | null }) {
  const form = useForm({});
  const change = () => form.post('/calendar-link', { preserveScroll: true });
  return (
    <section className="subscribe" aria-label="In your own calendar">
      <h2>In your own calendar</h2>
      {calendar === null ? (
        <>
          <p>A calendar program can follow the dates of all your courses by a private link.</p>
          <Button variant="default" loading={form.processing} onClick={change}>
            Make my private link
          </Button>
        </>
      ) : (
        <>
          <p>Give this link to your calendar program. Whoever has it can read your dates, so keep it to yourself.</p>
          <TextInput
            label="Private link"
            readOnly
            value={calendar}
            onFocus={(event) => event.currentTarget.select()}
            rightSection={
              <CopyButton value={calendar}>
                {({ copied, copy }) => (
                  <button type="button" className="linklike" onClick={copy}>
                    {copied ? 'Copied' : 'Copy'}
                  </button>
                )}
              </CopyButton>
            }
            rightSectionWidth={64}
          />
          <p>
            <button type="button" className="linklike" disabled={form.processing} onClick={change}>
              Change the link
            </button>{' '}
            and the old one leads nowhere.
          </p>
        </>
      )}
    </section>
  );
}

function Marks({ course, marks }: { course: string; marks: MarkRow[] }) {
  const address = useLearnerAddress();
  if (marks.length === 0) {
    return <p className="soft">There are no lessons to be marked yet.</p>;
  }
  return (
    <table className="marks">
      <thead>
        <tr>
          <th scope="col">Lesson</th>
          <th scope="col">Finished</th>
          <th scope="col">Quiz, at best</th>
        </tr>
      </thead>
      <tbody>
        {marks.map(({ key, title, open, finished, score }) => (
          <tr key={key}>
            <th scope="row">{open ? <Link href={address(course, key)}>{title}</Link> : title}</th>
            <td>{finished ?? <span className="soft">not yet</span>}</td>
            <td>{score === null ? '' : `${score} %`}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Discussion({ course, item, posts, canPost }: { course: string; item: string; posts: PostRow[]; canPost: boolean }) {
  const { standIn } = useShared();
  const address = `${learnerAddress(course, item)}/posts`;
  const form = useForm<{ text: string; once: string }>({ text: '', once: uuid() });
  return (
    <section className="posts" aria-label="What was said">
      {posts.length === 0 && <p className="soft">Nobody has said anything yet.</p>}
      <ol>
        {posts.map((post) => (
          <li key={post.id}>
            <p className="said">
              <b>{post.who}</b> <time>{post.at}</time>
              {post.mine && <TakeBack address={`${address}/${post.id}`} />}
            </p>
            <p className="saying">{post.text}</p>
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
          <Textarea label="Say something" autosize minRows={3} maxRows={14} maxLength={5000} value={form.data.text} error={form.errors.text} onChange={(event) => form.setData('text', event.currentTarget.value)} />
          <Button type="submit" loading={form.processing}>
            Post it
          </Button>
        </form>
      )}
    </section>
  );
}

function TakeBack({ address }: { address: string }) {
  const [sure, setSure] = useState(false);
  return sure ? (
    <span className="sure">
      It will be gone for everybody.{' '}
      <button type="button" className="linklike" onClick={() => router.delete(address, { preserveScroll: true })}>
        Take it back
      </button>{' '}
      <button type="button" className="linklike" onClick={() => setSure(false)}>
        Leave it
      </button>
    </span>
  ) : (
    <button type="button" className="linklike sure" onClick={() => setSure(true)}>
      Take back
    </button>
  );
}
