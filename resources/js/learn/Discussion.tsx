import { router, useForm } from '@inertiajs/react';
import { clsx } from 'clsx';
import { useState } from 'react';

import { useShared } from '../lib/page';
import type { PostRow } from '../lib/generated/types';
import { to } from '../lib/route';
import { say } from '../lib/say';
import { uuid } from '../lib/uuid';
import { Button, Textarea } from '../ui/Plain';
import css from './learn.module.css';
import ui from '../ui/ui.module.css';

interface DiscussionProps {
  course: string;
  item: string;
  posts: PostRow[];
  canPost: boolean;
}

/** What was said, each with its answers beneath it. */
export function Discussion({ course, item, posts, canPost }: DiscussionProps) {
  const { standIn } = useShared();
  const may = canPost && standIn === undefined;
  const [at, setAt] = useState<{ id: number; does: 'answers' | 'changes' } | null>(null);
  return (
    <section className={css.posts} aria-label={say('board.said')}>
      {posts.length === 0 && <p className={clsx(ui.soft, css.soft)}>{say('board.nobody')}</p>}
      <ol>
        {posts.map((post) => (
          <li key={post.id} className={clsx(post.answer && css.answer)}>
            {post.taken ? (
              <p className={clsx(ui.soft, css.soft)}>{post.text}</p>
            ) : (
              <>
                <p className={css.said}>
                  <b>{post.who}</b> <time dateTime={post.instant}>{post.at}</time>
                  {post.changed && <i>{say('board.changed')}</i>}
                </p>
                {at?.id === post.id && at.does === 'changes' ? <Change course={course} item={item} post={post} onDone={() => setAt(null)} /> : <p className={css.saying}>{post.text}</p>}
                <p className={css.said}>
                  {may && (
                    <button type="button" className={ui.linklike} aria-label={`${say('board.answer')}: ${post.who}, ${post.at}`} onClick={() => setAt({ id: post.id, does: 'answers' })}>
                      {say('board.answer')}
                    </button>
                  )}
                  {may && post.mayChange && (
                    <button type="button" className={ui.linklike} onClick={() => setAt({ id: post.id, does: 'changes' })}>
                      {say('board.change_post')}
                    </button>
                  )}
                  {post.mine && <TakeBack course={course} item={item} post={post.id} />}
                </p>
              </>
            )}
            {at?.id === post.id && at.does === 'answers' && <Speak course={course} item={item} answers={post} onDone={() => setAt(null)} />}
          </li>
        ))}
      </ol>
      {may && <Speak course={course} item={item} answers={null} />}
    </section>
  );
}

/** Says something new, or answers. What was typed stays until it is said. */
function Speak({ course, item, answers, onDone }: { course: string; item: string; answers: PostRow | null; onDone?: () => void }) {
  const form = useForm<{ text: string; once: string; answers: number | null }>({ text: '', once: uuid(), answers: answers?.id ?? null });
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(to('board.say', { course, item }), {
          preserveScroll: true,
          preserveState: true,
          onSuccess: (page) => {
            if ((page.props as { flash?: { kind: string } | null }).flash?.kind !== 'refused') {
              form.setData({ text: '', once: uuid(), answers: answers?.id ?? null });
              onDone?.();
            }
          },
        });
      }}
    >
      <Textarea label={answers === null ? say('board.say') : say('board.answer_to', { name: answers.who })} rows={3} maxLength={5000} autoFocus={answers !== null} value={form.data.text} error={form.errors.text} onChange={(event) => form.setData('text', event.currentTarget.value)} />
      <p className={css['quiz-acts']}>
        <Button type="submit" loading={form.processing}>
          {say(answers === null ? 'board.post' : 'board.answer')}
        </Button>
        {onDone !== undefined && (
          <Button variant="default" onClick={onDone}>
            {say('board.leave')}
          </Button>
        )}
      </p>
    </form>
  );
}

function Change({ course, item, post, onDone }: { course: string; item: string; post: PostRow; onDone: () => void }) {
  const form = useForm({ text: post.text });
  return (
    <form
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.put(to('board.change', { course, item, post: post.id }), { preserveScroll: true, onSuccess: onDone });
      }}
    >
      <Textarea label={say('board.changed_text')} rows={3} maxLength={5000} autoFocus value={form.data.text} error={form.errors.text} onChange={(event) => form.setData('text', event.currentTarget.value)} />
      <p className={css['quiz-acts']}>
        <Button type="submit" loading={form.processing} disabled={!form.isDirty}>
          {say('board.change_it')}
        </Button>
        <Button variant="default" onClick={onDone}>
          {say('board.leave')}
        </Button>
      </p>
    </form>
  );
}

function TakeBack({ course, item, post }: { course: string; item: string; post: number }) {
  const [sure, setSure] = useState(false);
  return sure ? (
    <span>
      {say('board.sure')}{' '}
      <button type="button" className={ui.linklike} onClick={() => router.delete(to('board.take-back', { course, item, post }), { preserveScroll: true })}>
        {say('board.take_it_back')}
      </button>{' '}
      <button type="button" className={ui.linklike} onClick={() => setSure(false)}>
        {say('board.leave')}
      </button>
    </span>
  ) : (
    <button type="button" className={ui.linklike} onClick={() => setSure(true)}>
      {say('board.take_back')}
    </button>
  );
}
