import { Link, router } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';

import type { AcceptedRow, ChecksPage, FindingRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useReloads } from '../../lib/useReloads';
import { plainText } from '../../lib/words';
import { DialogForm } from '../../ui/DialogForm';
import { FlashNote } from '../../ui/FlashNote';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { Words } from '../../ui/Words';
import css from '../../checks/checks.module.css';
import ui from '../../ui/ui.module.css';

const LEVELS = [
  ['fault', 'found.level.fault'],
  ['doubt', 'found.level.doubt'],
  ['idle', 'found.level.idle'],
] as const;

export default function Checks(page: ChecksPage) {
  const { course, findings, accepted, others, draft, counting, looked, of, mayEdit } = page;
  const [accepting, setAccepting] = useState<FindingRow | null>(null);
  useReloads(counting);
  return (
    <KeepShell title={say('found.of', { title: course.title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('found.title')}</h1>
            <span className={ui.soft}>{say('found.count', { count: findings.length })}</span>
          </div>
          <p className={ui.doors}>
            <Link href={to('keep.course', { course: course.key })}>{course.title}</Link> · {say(draft ? 'found.of_draft' : 'found.of_live')}
          </p>
        </div>
      </PageHead>
      <main className={ui.plainpage}>
        <FlashNote />
        {counting && (
          <p className={ui.soft} role="status">
            {say('found.counting', { looked, of })}
          </p>
        )}
        {findings.length === 0 && (
          <div className={ui.empty}>
            <p>
              <b>{say('found.nothing')}</b> {say('found.nothing_of', { draft: draft ? 'yes' : 'no' })}
            </p>
          </div>
        )}
        {LEVELS.map(([level, words]) => {
          const rows = findings.filter((finding) => finding.level === level);
          return rows.length === 0 ? null : (
            <section key={level} className={css.level} aria-labelledby={`level-${level}`}>
              <h2 id={`level-${level}`}>{say(words)}</h2>
              <ul>
                {rows.map((finding) => (
                  <Found key={finding.subject} finding={finding} course={course.key} version={course.draftVersion} people={of} mayEdit={mayEdit} onAccept={() => setAccepting(finding)} />
                ))}
              </ul>
            </section>
          );
        })}
        {others.length > 0 && (
          <section className={css.level} aria-labelledby="level-others">
            <h2 id="level-others">{say('found.others')}</h2>
            <ul>
              {others.map((other) => (
                <li key={plainText(other.what)}>
                  <div>
                    <p>
                      <Words segments={other.what.segments} titles="b" />
                    </p>
                    {other.why !== '' && <p className={ui.soft}>{other.why}</p>}
                  </div>
                  <div className={css.acts}>
                    <Link href={other.where ?? to('keep.course', { course: course.key })}>{say('found.show')}</Link>
                  </div>
                </li>
              ))}
            </ul>
          </section>
        )}
        {accepted.length > 0 && <Accepted rows={accepted} course={course.key} mayEdit={mayEdit} />}
      </main>
      {accepting !== null && <AcceptDialog finding={accepting} course={course.key} onClose={() => setAccepting(null)} />}
    </KeepShell>
  );
}

function Found({ finding, course, version, people, mayEdit, onAccept }: { finding: FindingRow; course: string; version: number; /** Who are here now. */ people: number; mayEdit: boolean; onAccept: () => void }) {
  const mend = () => router.post(to('keep.draft.fix', { course }), { version, fixes: finding.fixes.map((one) => ({ ...one })) }, { preserveScroll: true });
  return (
    <li>
      <div>
        <p>
          <Words segments={finding.what.segments} titles="b" />
        </p>
        <p className={ui.soft}>
          {finding.why}
          {finding.touched !== null && people > 0 && <> {say('found.touched', { count: finding.touched })}</>}
        </p>
      </div>
      <div className={css.acts}>
        {mayEdit && finding.mend !== null && (
          <Button variant="default" size="compact-sm" onClick={mend} title={plainText(finding.mend)}>
            <span>{saying('found.mend', { what: <Words key="what" segments={finding.mend.segments} /> })}</span>
          </Button>
        )}
        <span>
          <Link href={finding.where}>{finding.whereWords}</Link>
          {mayEdit && (
            <button type="button" className={ui.linklike} onClick={onAccept}>
              {say('found.accept')}
            </button>
          )}
        </span>
      </div>
    </li>
  );
}

function Accepted({ rows, course, mayEdit }: { rows: AcceptedRow[]; course: string; mayEdit: boolean }) {
  return (
    <section className={css.level} aria-labelledby="level-accepted">
      <h2 id="level-accepted">{say('found.accepted')}</h2>
      <ul>
        {rows.map((row) => (
          <li key={row.subject}>
            <div>
              <p>
                <Words segments={row.what.segments} titles="b" />
              </p>
              <p className={ui.soft}>
                {row.reason} · {row.by !== null && `${row.by}, `}
                <time dateTime={row.at}>{row.when}</time>
              </p>
            </div>
            {mayEdit && (
              <div className={css.acts}>
                <button type="button" className={ui.linklike} onClick={() => router.delete(to('keep.checks.look-again', { course, subject: row.subject }), { preserveScroll: true })}>
                  {say('found.look_again')}
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function AcceptDialog({ finding, course, onClose }: { finding: FindingRow; course: string; onClose: () => void }) {
  const [reason, setReason] = useState('');
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string>();
  const keep = () =>
    router.post(
      to('keep.checks.accept', { course }),
      { subject: finding.subject, cause: finding.cause, reason },
      { preserveScroll: true, preserveState: true, onStart: () => setBusy(true), onFinish: () => setBusy(false), onError: (errors) => setError(errors['reason'] ?? Object.values(errors)[0]), onSuccess: onClose },
    );
  return (
    <DialogForm title={say('found.accept')} keep={say('found.accept')} busy={busy} onKeep={keep} onLeave={onClose}>
      <p>
        <Words segments={finding.what.segments} titles="b" />
      </p>
      <TextInput data-autofocus label={say('found.accept_title')} description={say('found.accept_hint')} value={reason} onChange={(event) => setReason(event.currentTarget.value)} error={error} maxLength={255} />
    </DialogForm>
  );
}
