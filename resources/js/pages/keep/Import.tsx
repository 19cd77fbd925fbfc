import { Link, router } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { clsx } from 'clsx';

import { postJson } from '../../lib/http';
import type { ImportPage, ImportProgress } from '../../lib/generated/types';
import { say, saying } from '../../lib/keepSay';
import { KeepShell } from '../../ui/KeepShell';
import { FirstRows, GOING_ON, UnderWay, useImportProgress } from '../../people/importing';
import { TakeImportBack } from '../../people/TakeImportBack';
import { shortened } from '../../lib/shortened';
import { to } from '../../lib/route';
import css from '../../people/people.module.css';
import ui from '../../ui/ui.module.css';

const FIELDS = [
  { field: 'name', label: say('keep.name') },
  { field: 'email', label: say('imports.import.e_mail_address') },
  { field: 'labels', label: say('keep.labels') },
  { field: 'offer', label: say('keep.offer') },
  { field: 'start', label: say('imports.import.start') },
  { field: 'observes', label: say('imports.import.looks_in_on_addresses') },
];

export default function Import(page: ImportPage) {
  const { id, kind, name, state, read, head, keys, dates, problem, rows, outcomes, errors, passed, offers, canBeTakenBack } = page;
  const [columns, setColumns] = useState<Record<string, number | null>>(page.columns);
  const [offer, setOffer] = useState(page.offer);
  const [labels, setLabels] = useState(page.labels);
  const [order, setOrder] = useState(dates?.order ?? '');
  const needsAddress = kind === 'csv' && (columns['email'] ?? null) === null;
  const [classes, setClasses] = useState<Record<string, string>>(page.classes);
  const [endings, setEndings] = useState(page.endingsLeft ? 'left' : '');
  const [busy, setBusy] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);

  const progress = useImportProgress(id, state);
  const lookAt = async () => {
    setFailed(null);
    setBusy(say('imports.import.reading'));
    const options = { columns, offer, labels: labels.split(',').map((label) => label.trim()).filter((label) => label !== ''), classes, dates: order === '' ? null : order, endings: endings === '' ? null : endings };
    const begun = await postJson<ImportProgress>(to('keep.import.read', { import: id }), { options });
    setBusy(null);
    if (begun === null) {
      setFailed(say('imports.import.file_could_not_be'));
    }
    router.reload();
  };
  const bringIn = () => router.post(to('keep.import', { import: id }), {}, { onStart: () => setBusy(say('imports.import.beginning')), onFinish: () => setBusy(null) });
  return (
    <KeepShell title={name}>
      <main className={clsx(ui.plainpage, css.person)}>
        <div className={clsx(ui.pagehead, css.pagehead)}>
          <div>
            <h1>{name}</h1>
            <p className={ui.soft}>{kind === 'csv' ? say('imports.import.csv') : say('imports.import.oneroster_1_1_bundle')}</p>
          </div>
          <Link href={to('keep.bring-in')}>{say('imports.import.back')}</Link>
        </div>
        {state === 'done' || state === 'taken back' ? (
          <>
            <p>
              <b>{state === 'done' ? say('imports.import.it_is_brought_in') : say('imports.import.it_is_taken_back')}</b> {outcomes.join(', ')}. <Link href={to('keep.people.list')}>{say('imports.import.to_the_people')}</Link>
            </p>
            {problem !== null && <p className={ui.takes}>{problem}</p>}
            {canBeTakenBack !== null && <TakeImportBack id={id} days={canBeTakenBack} />}
          </>
        ) : GOING_ON.includes(state) ? (
          <UnderWay state={state} read={read} progress={progress} />
        ) : (
          <div className={css.personcols}>
            <section>
              <h2>{kind === 'csv' ? say('imports.import.which_column_is_what') : say('imports.import.what_each_class_gets')}</h2>
              <div className={ui.review}>
                {kind === 'csv'
                  ? FIELDS.map(({ field, label }) => (
                      <label key={field} className={css.match}>
                        <span>{label}</span>
                        <select value={columns[field] ?? ''} onChange={(event) => setColumns({ ...columns, [field]: event.currentTarget.value === '' ? null : Number(event.currentTarget.value) })}>
                          <option value="">{say('imports.import.not_in_the_file')}</option>
                          {head.map((column, index) => (
                            <option key={`${column} ${head.indexOf(column) === index ? '' : index}`} value={index}>
                              {shortened(column, 60)}
                            </option>
                          ))}
                        </select>
                      </label>
                    ))
                  : keys.map((key, index) => (
                      <label key={key} className={css.match}>
                        <span>{shortened(head[index] ?? '', 80)}</span>
                        <select value={classes[key] ?? ''} onChange={(event) => setClasses({ ...classes, [key]: event.currentTarget.value })}>
                          <option value="">{say('imports.import.nothing_pass_it_over')}</option>
                          {offers.map((one) => (
                            <option key={one.key} value={one.key}>
                              {one.title}
                            </option>
                          ))}
                        </select>
                      </label>
                    ))}
                {kind === 'csv' && (
                  <label className={css.match}>
                    <span>{say('imports.import.offer_for_rows_that')}</span>
                    <select value={offer} onChange={(event) => setOffer(event.currentTarget.value)}>
                      <option value="">{say('imports.import.no_pass')}</option>
                      {offers.map((one) => (
                        <option key={one.key} value={one.key}>
                          {one.title}
                        </option>
                      ))}
                    </select>
                  </label>
                )}
                {dates !== null && (
                  <label className={css.match}>
                    <span>{say('imports.import.dates_like', { date: dates.text })}</span>
                    <select value={order} onChange={(event) => setOrder(event.currentTarget.value)}>
                      <option value="">{say('imports.import.which_day')}</option>
                      <option value="dmy">{say('imports.import.day_first', { day: dates.dayFirst })}</option>
                      <option value="mdy">{say('imports.import.month_first', { day: dates.monthFirst })}</option>
                    </select>
                  </label>
                )}
                {kind === 'oneroster' && (
                  <label className={css.match}>
                    <span>{say('imports.import.what_it_ends')}</span>
                    <select value={endings} onChange={(event) => setEndings(event.currentTarget.value)}>
                      <option value="">{say('imports.import.ends_here')}</option>
                      <option value="left">{say('imports.import.ends_left')}</option>
                    </select>
                  </label>
                )}
                {needsAddress && <p className={ui.takes}>{say('imports.import.which_column')}</p>}
                <TextInput label={say('imports.import.labels_for_everybody_divided')} value={labels} onChange={(event) => setLabels(event.currentTarget.value)} />
                <div className={clsx(ui['review-acts'], css['review-acts'])}>
                  <Button variant={state === 'ready' ? 'default' : 'filled'} loading={busy !== null} disabled={needsAddress} onClick={() => void lookAt()}>
                    {say('imports.import.see_what_would_do')}
                  </Button>
                </div>
                <p role="status">{busy}</p>
                {failed !== null && <p className={ui.takes}>{failed}</p>}
              </div>
            </section>
            <section>
              <h2>{say('imports.import.what_it_would_do')}</h2>
              <div className={ui.review}>
                {state === 'new' && <p className={ui.soft}>{say('imports.import.say_which_column_what')}</p>}
                {outcomes.length > 0 && <p>{outcomes.join(', ')}.</p>}
                {state === 'refused' && (
                  <>
                    <p className={ui.takes}>
                      {saying('imports.import.put_right', { what: <b key="what">{read === 0 ? say('imports.import.file_has_no_rows') : say('imports.import.nobody_brought_in_while')}</b> })}
                    </p>
                    {kind === 'csv' && errors.length > 0 && (
                      <p>
                        <a href={to('keep.import.refused', { import: id })}>{say('imports.import.refused_as_file')}</a>
                      </p>
                    )}
                    <ul className={css.wrong}>
                      {errors.map((error) => (
                        <li key={error}>{shortened(error, 300)}</li>
                      ))}
                    </ul>
                  </>
                )}
                {passed.length > 0 && (
                  <>
                    <p>{say('imports.import.passed_over')}</p>
                    <ul className={ui.soft}>
                      {passed.map((one) => (
                        <li key={one}>{shortened(one, 300)}</li>
                      ))}
                    </ul>
                  </>
                )}
                {problem !== null && <p className={ui.takes}>{problem}</p>}
                {state === 'ready' && (
                  <div>
                    <Button loading={busy !== null} onClick={bringIn}>
                      {say('imports.import.bring_in', { rows: say('keep.rows', { count: read }) })}
                    </Button>
                  </div>
                )}
              </div>
            </section>
          </div>
        )}
        <FirstRows rows={rows} read={read} />
      </main>
    </KeepShell>
  );
}
