import { Link, router, useForm } from '@inertiajs/react';
import { Button, Modal, Radio, Select, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { NoticeCase, NoticeLevel, NoticeRow, NoticesPage, Part, PlaceholderRow } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { NoticePreviewed } from '../../notices/NoticePreviewed';
import { ToldTabs } from '../../notices/ToldTabs';
import { NoticeWords } from '../../notices/NoticeWords';
import { to } from '../../lib/route';
import css from '../../notices/notices.module.css';
import ui from '../../ui/ui.module.css';

const FROM: Record<NoticeLevel, string> = {
  usual: say('notices.from.usual'),
  school: say('notices.from.school'),
  course: say('notices.from.course'),
  module: say('notices.from.module'),
  own: say('notices.from.own'),
};

/** What people meet at closed doors. */
export default function Notices({ course, title, notices, placeholders, open, mayEdit, item, offer, rows, offers, vantages, shared }: NoticesPage) {
  const base = course === null ? to('keep.notices') : to('keep.course-notices', { course });
  const place: Place = { item, offer };
  const shown = notices.find((notice) => notice.case === open);
  return (
    <KeepShell title={title === null ? say('notices.title') : say('notices.title_of', { course: title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('notices.title')}</h1>
          </div>
          <p className={ui.doors}>
            {course === null
              ? say('notices.school_told')
              : saying('notices.course_told', {
                  course: (
                    <Link key="course" href={to('keep.course', { course })}>
                      {title}
                    </Link>
                  ),
                  school: (
                    <Link key="school" href={withQuery(to('keep.notices'), { case: open })}>
                      {say('notices.school')}
                    </Link>
                  ),
                })}
          </p>
        </div>
        {course === null && <ToldTabs here="doors" />}
      </PageHead>
      <main className={ui.notices}>
        <nav aria-label={say('notices.kinds')}>
          {course !== null && <PlacePicker base={base} open={open} place={place} rows={rows} offers={offers} />}
          <ul>
            {notices.map((notice) => (
              <li key={notice.case}>
                <Link href={withQuery(base, { case: notice.case, ...place })} aria-current={notice.case === open ? 'page' : undefined} preserveScroll>
                  {notice.who}
                  <span>{told(notice)}</span>
                </Link>
              </li>
            ))}
          </ul>
        </nav>
        {shown !== undefined && <NoticeForm key={`${shown.case} ${shown.version} ${item} ${offer}`} notice={shown} base={base} isCourse={course !== null} place={place} placeholders={placeholders} rows={rows} offers={offers} vantages={vantages} shared={shared} mayEdit={mayEdit} />}
      </main>
    </KeepShell>
  );
}

/** Where in a course words stand, and for whom. */
interface Place {
  item: string | null;
  offer: string | null;
}

interface PlacePickerProps {
  base: string;
  open: NoticeCase;
  place: Place;
  rows: NoticesPage['rows'];
  offers: NoticesPage['offers'];
}

/** The whole course or a row of it, for everybody or for the holders of an offer. */
function PlacePicker({ base, open, place, rows, offers }: PlacePickerProps) {
  const show = (next: Partial<Place>) => router.get(withQuery(base, { case: open, ...place, ...next }), {}, { preserveScroll: true });
  return (
    <div className={css.place}>
      <Select
        label={say('notices.place.at')}
        size="xs"
        searchable
        allowDeselect={false}
        nothingFoundMessage={say('notices.place.none')}
        data={[{ value: '', label: say('notices.place.whole') }, ...rows.map(({ key, title, depth }) => ({ value: key, label: `${'\u2003'.repeat(depth)}${title}` }))]}
        value={place.item ?? ''}
        onChange={(item) => show({ item: item === '' ? null : item })}
      />
      {offers.length > 0 && (
        <Select
          label={say('notices.place.for')}
          size="xs"
          allowDeselect={false}
          data={[{ value: '', label: say('notices.place.everybody') }, ...offers.map(({ key, title }) => ({ value: key, label: say('notices.place.holders', { offer: title }) }))]}
          value={place.offer ?? ''}
          onChange={(offer) => show({ offer: offer === '' ? null : offer })}
        />
      )}
    </div>
  );
}

function told(notice: NoticeRow): string {
  const from = notice.forOffer ? say('notices.from.for_offer', { from: FROM[notice.from] }) : FROM[notice.from];
  switch (notice.way) {
    case 'shared':
      return say('notices.from.shared', { name: notice.sharedName ?? '', from });
    case 'sign-in':
      return say('notices.from.sign_in', { from });
    case 'address':
      return say('notices.from.address', { address: notice.address, from });
    default:
      return from;
  }
}

interface NoticeFormProps {
  notice: NoticeRow;
  base: string;
  isCourse: boolean;
  place: Place;
  placeholders: PlaceholderRow[];
  rows: NoticesPage['rows'];
  offers: NoticesPage['offers'];
  vantages: NoticesPage['vantages'];
  shared: NoticesPage['shared'];
  mayEdit: boolean;
}

interface NoticeFields extends Place {
  version: number;
  way: NoticeRow['way'];
  heading: string;
  text: string;
  address: string;
  shared: number | null;
  titled: boolean;
  parts: Part[];
}

function NoticeForm({ notice, base, isCourse, place, placeholders, rows, offers, vantages, shared, mayEdit }: NoticeFormProps) {
  const form = useForm<NoticeFields>({
    ...place,
    version: notice.version,
    way: notice.way,
    heading: notice.heading === '' ? notice.usualHeading : notice.heading,
    text: notice.text === '' ? notice.usualText : notice.text,
    address: notice.address,
    shared: notice.shared,
    titled: notice.titled,
    parts: notice.parts,
  });
  const { data, errors, setData } = form;
  const [letsGo, setLetsGo] = useState(false);
  const isPlace = place.item !== null || place.offer !== null;
  const back = say(isPlace ? 'notices.back.to_wider' : isCourse ? 'notices.back.to_school' : 'notices.back.to_usual');
  return (
    <div className={ui['notice-edit']}>
      <form
        className={ui.review}
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          form.put(`${base}/${notice.case}`, { preserveScroll: true });
        }}
      >
        <h2>{notice.who}</h2>
        <p className={ui.soft}>
          {say(holding(notice, isCourse, isPlace), { status: notice.status })}
        </p>
        <Radio.Group label={say('notices.form.way')} value={data.way} error={errors.way} onChange={(way) => setData('way', way as NoticeRow['way'])}>
          <Radio value="show" label={say('notices.form.show')} disabled={!mayEdit} />
          {notice.canSendToSignIn && <Radio value="sign-in" label={say('notices.form.sign_in')} disabled={!mayEdit} />}
          <Radio value="shared" label={say('notices.form.shared')} description={shared.length === 0 ? say('notices.form.shared_none') : undefined} disabled={!mayEdit || shared.length === 0} />
          <Radio value="address" label={say('notices.form.address')} disabled={!mayEdit} />
        </Radio.Group>
        {data.way === 'shared' && (
          <>
            <Select label={say('notices.form.which')} allowDeselect={false} searchable disabled={!mayEdit} data={shared.map(({ id, name }) => ({ value: `${id}`, label: name }))} value={data.shared === null ? null : `${data.shared}`} error={errors.shared} onChange={(id) => setData('shared', id === null ? null : Number(id))} />
            {data.shared !== null && (
              <p>
                <Link href={to('keep.shared', { shared: data.shared })}>{say('notices.form.shared_edit')}</Link>
              </p>
            )}
          </>
        )}
        {data.way === 'address' && (
          <TextInput label={say('notices.form.address_field')} description={say('notices.form.address_told')} placeholder={to('courses')} maxLength={500} disabled={!mayEdit} value={data.address} error={errors.address} onChange={(event) => setData('address', event.currentTarget.value)} />
        )}
        {data.way === 'show' && (
          <NoticeWords words={data} errors={errors} placeholders={placeholders} rows={rows} offers={offers} disabled={!mayEdit} onChange={(words) => setData((now) => ({ ...now, ...words }))} />
        )}
        {mayEdit && (
          <div className={ui['review-acts']}>
            {notice.version > 0 && (
              <Button type="button" variant="default" onClick={() => setLetsGo(true)}>
                {back}
              </Button>
            )}
            <Button type="submit" loading={form.processing} disabled={notice.version > 0 && !form.isDirty}>
              {say('notices.form.save')}
            </Button>
          </div>
        )}
      </form>
<NoticePreviewed base={base} place={place} met={notice.case} way={data.way} words={data} address={data.address} vantages={vantages} rows={rows} />
      <Modal opened={letsGo} onClose={() => setLetsGo(false)} title={say('notices.back.ask', { back })}>
        <p>{say(isPlace ? 'notices.back.told_wider' : isCourse ? 'notices.back.told_school' : 'notices.back.told_usual')}</p>
        <div className={clsx(ui['review-acts'], ui['modal-acts'])}>
          <Button variant="default" onClick={() => setLetsGo(false)} data-autofocus>
            {say('notices.back.leave')}
          </Button>
          <Button onClick={() => router.delete(`${base}/${notice.case}`, { data: { version: notice.version, ...place }, preserveScroll: true, onFinish: () => setLetsGo(false) })}>{back}</Button>
        </div>
      </Modal>
    </div>
  );
}

/** Whose words hold here, by the key of what is said of it. */
function holding(notice: NoticeRow, isCourse: boolean, isPlace: boolean) {
  if (notice.version > 0) {
    return isPlace ? 'notices.form.own_place' : isCourse ? 'notices.form.own_course' : 'notices.form.own_school';
  }
  switch (notice.from) {
    case 'own':
    case 'module':
    case 'course':
      return 'notices.form.hold_wider';
    case 'school':
      return 'notices.form.hold_school';
    case 'usual':
      return 'notices.form.hold_usual';
  }
}
