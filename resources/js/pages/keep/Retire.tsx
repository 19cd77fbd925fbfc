import { Link, useForm } from '@inertiajs/react';
import { Autocomplete, Button, Checkbox, Radio, Stack, TextInput } from '@mantine/core';
import { clsx } from 'clsx';
import { Fragment } from 'react';

import { withQuery } from '../../lib/address';
import type { RetirePage } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { to } from '../../lib/route';
import { KeepShell, PageHead } from '../../ui/KeepShell';
import { WallInput } from '../../ui/WallInput';
import css from '../../publishing/publishing.module.css';
import ui from '../../ui/ui.module.css';

/** What becomes of a course at its end: of its learners, its doors and its address, and what stands there afterwards. */
export default function Retire(page: RetirePage) {
  const { course, title, isRetired, isLive } = page;
  return (
    <KeepShell title={say('courses.retire.title_of', { course: title })}>
      <PageHead>
        <div>
          <div className={ui.title}>
            <h1>{say(isRetired ? 'courses.retire.title_over' : 'courses.retire.title')}</h1>
          </div>
          <p className={ui.doors}>
            {saying(isRetired ? 'courses.retire.told_over' : 'courses.retire.told', {
              course: (
                <Link key="course" href={to('keep.course', { course })}>
                  {title}
                </Link>
              ),
            })}
          </p>
        </div>
      </PageHead>
      <main className={ui.plainpage}>{isRetired || isLive ? <Form key={`${page.version} ${isRetired}`} {...page} /> : <p className={ui.empty}>{say('courses.retire.never_live')}</p>}</main>
    </KeepShell>
  );
}

const KEEPS = ['pass', 'good', 'day', 'nothing'] as const;

function Form(page: RetirePage) {
  const { course, version, isRetired, mayEdit } = page;
  const form = useForm({
    version,
    keep: page.keep,
    lastDay: page.lastDay ?? '',
    shutGuests: page.guestsOpen,
    shutObservers: false,
    takes: page.takes,
    listed: page.listed,
    subject: page.subject,
    address: page.address,
    oldAddress: page.oldAddress,
  });
  const { data, errors, setData } = form;
  const closing = say('courses.retire.closing', { over: isRetired ? 'yes' : 'no' });
  return (
    <form
      className={clsx(ui.review, css.retire)}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        if (isRetired) {
          form.put(to('keep.retire.keep', { course }), { preserveScroll: true });
        } else {
          form.post(to('keep.retire.plan', { course }), { preserveScroll: true });
        }
      }}
    >
      {isRetired ? (
        <p>
          {say('courses.retire.keeps', { keep: page.keep })}{' '}
          {saying('courses.retire.reopen', {
            again: (
              <Link key="again" href={to('keep.run-again', { course })}>
                {say('courses.retire.again')}
              </Link>
            ),
          })}
        </p>
      ) : (
        <>
          <fieldset aria-label={say('courses.retire.learners')}>
            <h2>{say('courses.retire.learners')}</h2>
            <Radio.Group label={say('courses.retire.holders', { count: page.holders })} value={data.keep} error={errors.keep} onChange={(keep) => setData('keep', keep as RetirePage['keep'])}>
              <Stack gap={8} mt={8}>
                {KEEPS.map((keep) => (
                  <Fragment key={keep}>
                    <Radio value={keep} label={say('courses.retire.keep', { keep })} disabled={!mayEdit} />
                    {keep === 'day' && data.keep === 'day' && (
                      <WallInput className={css.lastday} of="day" label={say('courses.retire.last_day')} value={data.lastDay} error={errors.lastDay} disabled={!mayEdit} onWall={(wall) => setData('lastDay', wall)} />
                    )}
                  </Fragment>
                ))}
              </Stack>
            </Radio.Group>
          </fieldset>
          <fieldset aria-label={say('courses.retire.sale')}>
            <h2>{say('courses.retire.sale')}</h2>
            <p>{say('courses.retire.sold', { count: page.sold.length, names: page.sold.join(', ') })}</p>
            {page.bundles.length > 0 && (
              <p>
                {say('courses.retire.bundles', { count: page.bundles.length, names: page.bundles.join(', ') })} <Link href={to('keep.offers')}>{say('courses.retire.to_offers')}</Link>
              </p>
            )}
            {page.guestsOpen && <Checkbox label={say('courses.retire.guests')} checked={data.shutGuests} disabled={!mayEdit} onChange={(event) => setData('shutGuests', event.currentTarget.checked)} />}
            {page.observersOpen && <Checkbox label={say('courses.retire.observers')} checked={data.shutObservers} disabled={!mayEdit} onChange={(event) => setData('shutObservers', event.currentTarget.checked)} />}
            {!page.guestsOpen && !page.observersOpen && <p className={ui.soft}>{say('courses.retire.no_door')}</p>}
          </fieldset>
        </>
      )}
      <fieldset aria-label={closing}>
        <h2>{closing}</h2>
        <p>
          {say('courses.retire.words', { whose: page.words, heading: page.heading === null ? 'none' : 'own', text: page.heading ?? '' })}{' '}
          {mayEdit && <Link href={withQuery(to('keep.course-notices', { course }), { case: 'course-retired' })}>{say('courses.retire.write')}</Link>}
        </p>
        <Autocomplete label={say('courses.retire.subject')} description={say('courses.retire.subject_told')} data={page.subjects} maxLength={60} value={data.subject} error={errors.subject} disabled={!mayEdit} onChange={(subject) => setData('subject', subject)} />
        <p className={ui.soft}>{say('courses.retire.instead', { count: page.instead.length, names: page.instead.join(', ') })}</p>
        <Checkbox label={say('courses.retire.takes')} checked={data.takes} disabled={!mayEdit} onChange={(event) => setData('takes', event.currentTarget.checked)} />
        <Checkbox label={say('courses.retire.listed')} checked={data.listed} disabled={!mayEdit} onChange={(event) => setData('listed', event.currentTarget.checked)} />
        <div className={css.pair}>
          <TextInput label={say('courses.retire.address')} description={say('courses.retire.address_told', { key: page.usualAddress })} maxLength={60} value={data.address} error={errors.address} disabled={!mayEdit} onChange={(event) => setData('address', event.currentTarget.value)} />
          {data.address !== '' && data.address !== page.usualAddress && (
            <Radio.Group label={say('courses.retire.old', { key: page.usualAddress })} value={data.oldAddress} error={errors.oldAddress} onChange={(old) => setData('oldAddress', old as RetirePage['oldAddress'])}>
              <Stack gap={8} mt={8}>
                <Radio value="closing" label={say('courses.retire.old_closing')} disabled={!mayEdit} />
                <Radio value="nothing" label={say('courses.retire.old_nothing')} disabled={!mayEdit} />
              </Stack>
            </Radio.Group>
          )}
        </div>
      </fieldset>
      {mayEdit && (
        <div className={ui['review-acts']}>
          <Button type="submit" loading={form.processing}>
            {say(isRetired ? 'courses.retire.save' : 'courses.retire.go_on')}
          </Button>
        </div>
      )}
    </form>
  );
}
