import { Link, router, useForm } from '@inertiajs/react';
import { Button, Checkbox, Radio, Stack, TextInput } from '@mantine/core';
import { clsx } from 'clsx';

import { withQuery } from '../../lib/address';
import type { RunAgainPage, ShiftedDates } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { useAsked } from '../../lib/useAsked';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { WallInput } from '../../ui/WallInput';
import css from '../../publishing/publishing.module.css';
import ui from '../../ui/ui.module.css';

/** All dates of a course moved together, looked at before they are kept; and those who asked to be told. */
export default function RunAgain(page: RunAgainPage) {
  const { course, title, first } = page;
  return (
    <KeepShell title={say('courses.run_again.title_of', { course: title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say('courses.run_again.title')}</h1>
          </div>
          <p className={ui.doors}>
            {saying('courses.run_again.told', {
              course: (
                <Link key="course" href={to('keep.course', { course })}>
                  {title}
                </Link>
              ),
            })}
          </p>
        </div>
      </PageHead>
      <main className={clsx(ui.plainpage, css.runagain)}>
        {first === null && !page.isRetired ? <p className={ui.empty}>{say('courses.run_again.no_dates')}</p> : <Shift {...page} />}
        <Asked {...page} />
      </main>
    </KeepShell>
  );
}

function Shift({ course, title, version, first, next, hasHolidays, isRetired, mayEdit }: RunAgainPage) {
  const form = useForm({ version, first: next, weekdays: true, holidays: hasHolidays, as: 'draft', title: say('courses.run_again.another', { course: title }), reopen: isRetired });
  const { data, errors, setData } = form;
  const { last: moved } = useAsked<ShiftedDates>(data.first === '' ? null : withQuery(to('keep.run-again.dates', { course }), { first: data.first, weekdays: data.weekdays ? 1 : null, holidays: data.holidays ? 1 : null }));
  return (
    <form
      className={ui.review}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        form.post(to('keep.run-again.keep', { course }), { preserveScroll: true });
      }}
    >
      <h2>{say('courses.run_again.dates')}</h2>
      <div className={css.pair}>
        <WallInput of="day" label={say('courses.run_again.first')} value={data.first} error={errors.first} disabled={!mayEdit} onWall={(wall) => setData('first', wall)} />
        <Checkbox label={say('courses.run_again.weekdays')} checked={data.weekdays} disabled={!mayEdit} onChange={(event) => setData('weekdays', event.currentTarget.checked)} />
      </div>
      {hasHolidays ? (
        <Checkbox label={say('courses.run_again.holidays')} checked={data.holidays} disabled={!mayEdit} onChange={(event) => setData('holidays', event.currentTarget.checked)} />
      ) : (
        <p className={ui.soft}>{saying('courses.run_again.no_holidays', { school: <Link key="school" href={to('keep.school')}>{say('courses.run_again.no_holidays_link')}</Link> })}</p>
      )}
      {first !== null && moved !== null && (
        <>
          <p role="status">{say('courses.run_again.moves', { days: Math.abs(moved.days), way: moved.days < 0 ? 'back' : moved.days === 0 ? 'none' : 'on', first: moved.first })}{moved.skipped > 0 && ` ${say('courses.run_again.skipped', { days: moved.skipped })}`}</p>
          <div className={css.shifted}>
            <table className={ui.list}>
              <caption className={ui.vh}>{say('courses.run_again.caption')}</caption>
              <thead>
                <tr>
                  <th scope="col">{say('courses.run_again.what')}</th>
                  <th scope="col">{say('courses.run_again.now')}</th>
                  <th scope="col">{say('courses.run_again.then')}</th>
                </tr>
              </thead>
              <tbody>
                {moved.dates.map((date) => (
                  <tr key={`${date.what} ${date.plan} ${date.before}`}>
                    <td>
                      {date.what}
                      {date.plan !== null && <span className={ui.soft}> · {date.plan}</span>}
                    </td>
                    <td>{date.before}</td>
                    <td>
                      <b>{date.after}</b>
                      {date.holiday && <span className={ui.takes}> {say('courses.run_again.holiday')}</span>}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </>
      )}
      {isRetired && data.as === 'draft' && <Checkbox label={say('courses.run_again.reopen')} checked={data.reopen} disabled={!mayEdit} onChange={(event) => setData('reopen', event.currentTarget.checked)} />}
      <Radio.Group label={say('courses.run_again.where')} value={data.as} error={errors.as} onChange={(as) => setData('as', as)}>
        <Stack gap={8} mt={4}>
          <Radio value="draft" label={say('courses.run_again.as_draft')} disabled={!mayEdit} />
          <Radio value="course" label={say('courses.run_again.as_course')} disabled={!mayEdit} />
        </Stack>
      </Radio.Group>
      {data.as === 'course' && <TextInput label={say('keep.title')} maxLength={255} value={data.title} error={errors.title} disabled={!mayEdit} onChange={(event) => setData('title', event.currentTarget.value)} />}
      {mayEdit && (
        <div className={ui['review-acts']}>
          <Button type="submit" loading={form.processing}>
            {say(data.as === 'draft' ? 'courses.run_again.keep_draft' : 'courses.run_again.keep_course')}
          </Button>
        </div>
      )}
    </form>
  );
}

/** Who asked to be told, and whether people can. */
function Asked({ course, takes, waiting, runs, mayEdit, mayRun }: RunAgainPage) {
  return (
    <section className={ui.review} aria-label={say('courses.run_again.asked')}>
      <h2>{say('courses.run_again.asked')}</h2>
      <p>{say('courses.run_again.waiting', { count: waiting })}</p>
      <p className={ui.soft}>{say(runs ? 'courses.run_again.runs' : 'courses.run_again.does_not_run')}</p>
      <Checkbox
        label={say('courses.run_again.takes')}
        checked={takes}
        disabled={!mayEdit}
        onChange={(event) => router.put(to('keep.run-again.take', { course }), { takes: event.currentTarget.checked }, { preserveScroll: true, preserveState: true })}
      />
      {mayRun && (
        <div className={ui['review-acts']}>
          <Button variant="default" disabled={!runs || waiting === 0} onClick={() => router.post(to('keep.run-again.tell', { course }), {}, { preserveScroll: true })}>
            {say('courses.run_again.tell')}
          </Button>
        </div>
      )}
    </section>
  );
}
