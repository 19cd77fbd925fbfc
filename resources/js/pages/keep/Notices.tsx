import { Link, router, useForm } from '@inertiajs/react';
import { Button, Modal, Radio, Textarea, TextInput } from '@mantine/core';
import { useState } from 'react';

import { Prose } from '../../learn/Prose';
import { withQuery } from '../../lib/address';
import type { Glyph, NoticeCase, NoticePreview, NoticeRow, NoticesPage, PlaceholderRow } from '../../lib/generated/types';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';

/** The wall above it, where it is not a plain one. */
const WALLS: Partial<Record<NoticeCase, Glyph>> = { 'too-early': 'later', ended: 'over', closed: 'over', 'course-over': 'over' };

const FROM: Record<string, string> = { usual: 'usual words', school: 'the school’s words', course: 'words of this course' };

/** What people meet at closed doors. */
export default function Notices({ course, title, notices, placeholders, open, mayEdit }: NoticesPage) {
  const base = course === null ? to('keep.notices') : to('keep.course-notices', { course });
  const shown = notices.find((notice) => notice.case === open);
  return (
    <KeepShell title={title === null ? 'Notices' : `Notices of ${title}`}>
      <div className="head">
        <div>
          <div className="title">
            <h1>Notices</h1>
          </div>
          <p className="doors">
            {course === null ? (
              'What people meet at a closed door, in every course that has no words of its own'
            ) : (
              <>
                <Link href={to('keep.course', { course })}>{title}</Link> · what people meet at a closed door of this course ·{' '}
                <Link href={withQuery(to('keep.notices'), { case: open })}>the school’s words</Link>
              </>
            )}
          </p>
        </div>
      </div>
      <main className="notices">
        <nav aria-label="Kinds of closed doors">
          <ul>
            {notices.map((notice) => (
              <li key={notice.case}>
                <Link href={withQuery(base, { case: notice.case })} aria-current={notice.case === open ? 'page' : undefined} preserveScroll>
                  {notice.who}
                  <span>{told(notice)}</span>
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        {shown !== undefined && <NoticeForm key={`${shown.case} ${shown.version}`} notice={shown} base={base} isCourse={course !== null} placeholders={placeholders} mayEdit={mayEdit} />}
      </main>
    </KeepShell>
  );
}

function told(notice: NoticeRow): string {
  const from = FROM[notice.from] ?? notice.from;
  switch (notice.way) {
    case 'sign-in':
      return `sent to sign in (${from})`;
    case 'address':
      return `sent to ${notice.address} (${from})`;
    default:
      return from;
  }
}

interface NoticeFormProps {
  notice: NoticeRow;
  base: string;
  isCourse: boolean;
  placeholders: PlaceholderRow[];
  mayEdit: boolean;
}

function NoticeForm({ notice, base, isCourse, placeholders, mayEdit }: NoticeFormProps) {
  const form = useForm({
    version: notice.version,
    way: notice.way,
    heading: notice.heading === '' ? notice.usualHeading : notice.heading,
    text: notice.text === '' ? notice.usualText : notice.text,
    address: notice.address,
  });
  const { data, errors, setData } = form;
  const [letsGo, setLetsGo] = useState(false);
  const without = isCourse ? 'the school’s words' : 'the usual words';
  return (
    <div className="notice-edit">
      <form
        className="review"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.put(`${base}/${notice.case}`, { preserveScroll: true });
        }}
      >
        <h2>{notice.who}</h2>
        <p className="soft">
          {notice.version > 0 ? (isCourse ? 'This course has words of its own here.' : 'The school has words of its own here.') : `${notice.from === 'school' && isCourse ? 'The school’s words hold here' : 'The usual words hold here'}; what you save takes their place.`} The page answers with {notice.status}.
        </p>
        <Radio.Group label="Whoever meets it" value={data.way} error={errors.way} onChange={(way) => setData('way', way)}>
          <Radio value="show" label="reads a notice, in the frame of the course" disabled={!mayEdit} />
          {notice.canSendToSignIn && <Radio value="sign-in" label="is sent to sign in, and comes back to exactly this page" disabled={!mayEdit} />}
          <Radio value="address" label="is sent to an address" disabled={!mayEdit} />
        </Radio.Group>
        {data.way === 'address' && (
          <TextInput label="Address" description="A page of this site that begins with /, or one that begins with https://" placeholder={to('courses')} maxLength={500} disabled={!mayEdit} value={data.address} error={errors.address} onChange={(event) => setData('address', event.currentTarget.value)} />
        )}
        {data.way === 'show' && (
          <>
            <TextInput label="Heading" maxLength={200} disabled={!mayEdit} value={data.heading} error={errors.heading} onChange={(event) => setData('heading', event.currentTarget.value)} />
            <Textarea label="Text" description="Markdown. Offers, sign-in and whom to ask stand under it by themselves, where they lead somewhere." autosize minRows={4} maxRows={14} maxLength={5000} disabled={!mayEdit} value={data.text} error={errors.text} onChange={(event) => setData('text', event.currentTarget.value)} />
            <details className="placeholders">
              <summary>Names and dates that can stand in it</summary>
              <dl>
                {placeholders.map(({ name, means }) => (
                  <div key={name}>
                    <dt>
                      <button type="button" className="linklike" disabled={!mayEdit} onClick={() => setData('text', `${data.text}{${name}}`)}>
                        {`{${name}}`}
                      </button>
                    </dt>
                    <dd>{means}</dd>
                  </div>
                ))}
              </dl>
            </details>
          </>
        )}
        {mayEdit && (
          <div className="review-acts">
            {notice.version > 0 && (
              <Button type="button" variant="default" onClick={() => setLetsGo(true)}>
                Back to {without}
              </Button>
            )}
            <Button type="submit" loading={form.processing} disabled={notice.version > 0 && !form.isDirty}>
              Save
            </Button>
          </div>
        )}
      </form>
      <Preview base={base} met={notice.case} way={data.way} heading={data.heading} text={data.text} address={data.address} />
      <Modal opened={letsGo} onClose={() => setLetsGo(false)} title={`Back to ${without}?`}>
        <p>What is written here is let go, and whoever meets this door reads {without} from now on.</p>
        <div className="review-acts modal-acts">
          <Button variant="default" onClick={() => setLetsGo(false)} data-autofocus>
            Leave it
          </Button>
          <Button onClick={() => router.delete(`${base}/${notice.case}`, { data: { version: notice.version }, preserveScroll: true, onFinish: () => setLetsGo(false) })}>Back to {without}</Button>
        </div>
      </Modal>
    </div>
  );
}

interface PreviewProps {
  base: string;
  /** The kind of closed door. */
  met: NoticeCase;
  way: string;
  heading: string;
  text: string;
  address: string;
}

/** As somebody might meet it, while one types. */
function Preview({ base, met, way, heading, text, address }: PreviewProps) {
  const { last: preview } = useAsked<NoticePreview>(`${base}/preview`, { heading, text }, 250);
  return (
    <section className="notice-preview" aria-label="Preview" aria-live="polite">
      <p className="soft">{way === 'show' ? 'As Eira Holm might meet it' : 'Nothing is shown'}</p>
      {way === 'show' && preview !== null && (
        <div className="learn">
          <div className="notice">
            <div className={`wall wall-${WALLS[met] ?? 'locked'}`} aria-hidden>
              <i />
            </div>
            <h2>{preview.heading}</h2>
            <Prose html={preview.html} />
          </div>
        </div>
      )}
      {way === 'show' && preview !== null && preview.unknown.length > 0 && <p className="wrongly">Nothing stands for {preview.unknown.map((name) => `{${name}}`).join(', ')}.</p>}
      {way === 'sign-in' && <p>They find themselves at the sign-in page, and afterwards where they wanted to go.</p>}
      {way === 'address' && <p>{address === '' ? 'They are sent to the address, once there is one.' : `They find themselves at ${address}.`}</p>}
    </section>
  );
}
