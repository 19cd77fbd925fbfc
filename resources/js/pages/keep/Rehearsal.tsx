import { Link, useForm } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { type FormEvent, useState } from 'react';

import { keepAddress } from '../../lib/address';
import type { CourseHead, EffectCount, KindRow, RehearsalPage, RehearsalRow, Sentence } from '../../lib/types';
import { counted, plainText } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';

const TAKES = new Set(['lose', 'pause', 'lose_work', 'shorter', 'never', 'later']);

export default function Rehearsal({ course, changes, people, untilWords, totals, rows, kinds, losers, mayEdit }: RehearsalPage) {
  return (
    <KeepShell title={`Rehearsal of ${course.title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>Rehearsal</h1>
          </div>
          <p className="doors">
            <Link href={keepAddress(course.key)}>{course.title}</Link> · looked at {counted(people, 'person', 'people')} who hold something of it,
            ahead to {untilWords}
          </p>
        </div>
      </div>
      <main className="rehearsal review">
        <div className="rehearsal-main">
          <section aria-label="In all">
            <h2>{totals.length === 0 ? 'Nobody who holds something of this course is touched.' : 'Of those who hold something of it'}</h2>
            {totals.length > 0 && <Totals totals={totals} />}
          </section>
          {rows.length > 0 && <Items rows={rows} />}
          {kinds.length > 0 && <Kinds kinds={kinds} />}
        </div>
        <PublishBlock course={course} changes={changes} losers={losers} mayEdit={mayEdit} />
      </main>
    </KeepShell>
  );
}

function Totals({ totals }: { totals: EffectCount[] }) {
  return (
    <ul className="totals">
      {totals.map((total) => (
        <li key={total.effect} className={TAKES.has(total.effect) ? 'takes' : 'gives'}>
          <b>{total.count}</b> {total.words}
        </li>
      ))}
    </ul>
  );
}

function Items({ rows }: { rows: RehearsalRow[] }) {
  return (
    <section aria-label="Item by item">
      <h2>Item by item</h2>
      <ul className="touched">
        {rows.map((row) => (
          <li key={row.title}>
            <b>{row.title}</b>
            <ul>
              {row.effects.map((effect) => (
                <li key={effect.effect} className={TAKES.has(effect.effect) ? 'takes' : 'gives'}>
                  <Named effect={effect} />
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Named({ effect }: { effect: EffectCount }) {
  const more = effect.count - effect.names.length;
  return (
    <details>
      <summary>
        <b>{effect.count}</b> {effect.words}
      </summary>
      <p>
        {effect.names.join(', ')}
        {more > 0 ? ` and ${more} more` : ''}
      </p>
    </details>
  );
}

function Kinds({ kinds }: { kinds: KindRow[] }) {
  return (
    <section aria-label="Kinds of viewers">
      <h2>Those who come anew</h2>
      <ul className="touched">
        {kinds.map((kind) => (
          <li key={kind.who}>
            <b>{kind.who}</b>
            <ul>
              {kind.lines.map((line) => (
                <li key={plainText(line)}>
                  <Words segments={line.segments} />
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}

interface PublishBlockProps {
  course: CourseHead;
  changes: Sentence[];
  losers: number;
  mayEdit: boolean;
}

function PublishBlock({ course, changes, losers, mayEdit }: PublishBlockProps) {
  const [discarding, setDiscarding] = useState(false);
  const form = useForm({ version: course.draftVersion, note: '' });
  const count = counted(changes.length, 'change');
  const publish = (event: FormEvent) => {
    event.preventDefault();
    form.post(keepAddress(course.key, '/revisions'));
  };
  return (
    <aside className="publish">
      <h2>{count} in the draft</h2>
      <ol>
        {changes.map((change) => (
          <li key={plainText(change)}>
            <Words segments={change.segments} />
          </li>
        ))}
      </ol>
      {mayEdit ? (
        <form onSubmit={publish}>
          {losers > 0 && (
            <p className="takes">
              Publishing takes something from {counted(losers, 'person', 'people')}, or puts it off.
            </p>
          )}
          <TextInput
            label="Note for the history (may be left empty)"
            maxLength={255}
            value={form.data.note}
            error={form.errors.note}
            onChange={(event) => form.setData('note', event.currentTarget.value)}
          />
          <Button type="submit" loading={form.processing} fullWidth>
            Publish {count}
          </Button>
          <p>It is live from that moment, and can be taken back in one step.</p>
          {discarding ? (
            <div className="review-acts">
              <span>All {count} would be lost.</span>
              <Button
                type="button"
                variant="outline"
                color="red"
                loading={form.processing}
                onClick={() => form.delete(keepAddress(course.key, '/draft'))}
              >
                Throw {changes.length === 1 ? 'it' : `all ${changes.length}`} away
              </Button>
              <Button type="button" variant="default" onClick={() => setDiscarding(false)}>
                Keep the draft
              </Button>
            </div>
          ) : (
            <button type="button" className="linklike" onClick={() => setDiscarding(true)}>
              Discard the draft…
            </button>
          )}
        </form>
      ) : (
        <p className="soft">Only administrators publish.</p>
      )}
    </aside>
  );
}
