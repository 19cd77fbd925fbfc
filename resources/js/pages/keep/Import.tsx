import { Link, router } from '@inertiajs/react';
import { Button, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';

import { getJson, postJson } from '../../lib/http';
import type { ImportPage, ImportProgress } from '../../lib/generated/types';
import { counted } from '../../lib/words';
import { KeepShell } from '../../ui/KeepShell';
import { to } from '../../lib/route';

const FIELDS = [
  { field: 'name', label: 'Name' },
  { field: 'email', label: 'E-mail address' },
  { field: 'labels', label: 'Labels' },
  { field: 'offer', label: 'Offer' },
  { field: 'start', label: 'Start' },
  { field: 'observes', label: 'Looks in on (addresses)' },
];

export default function Import(page: ImportPage) {
  const { id, kind, name, state, read, head, keys, problem, rows, outcomes, errors, offers } = page;
  const [columns, setColumns] = useState<Record<string, number | null>>(page.columns);
  const [offer, setOffer] = useState(page.offer);
  const [labels, setLabels] = useState('');
  const [classes, setClasses] = useState<Record<string, string>>({});
  const [busy, setBusy] = useState<string | null>(null);
  const [failed, setFailed] = useState<string | null>(null);

  const progress = useImportProgress(id, state);
  const lookAt = async () => {
    setFailed(null);
    setBusy('Reading…');
    const options = { columns, offer, labels: labels.split(',').map((label) => label.trim()).filter((label) => label !== ''), classes };
    const begun = await postJson<ImportProgress>(to('keep.import.read', { import: id }), { options });
    setBusy(null);
    if (begun === null) {
      setFailed('The file could not be read. Please try again.');
    }
    router.reload();
  };
  const bringIn = () => router.post(to('keep.import', { import: id }), {}, { onStart: () => setBusy('Beginning…'), onFinish: () => setBusy(null) });
  return (
    <KeepShell title={name}>
      <main className="plainpage person">
        <div className="pagehead">
          <div>
            <h1>{name}</h1>
            <p className="soft">{kind === 'csv' ? 'CSV' : 'OneRoster 1.1 bundle'}</p>
          </div>
          <Link href={to('keep.bring-in')}>Back</Link>
        </div>
        {state === 'done' ? (
          <p>
            <b>It is brought in:</b> {outcomes.join(', ')}. <Link href={to('keep.people.list')}>To the people</Link>
          </p>
        ) : state === 'reading' || state === 'bringing in' ? (
          <section className="progress">
            <h2>{state === 'reading' ? 'Reading the file' : 'Bringing them in'}</h2>
            <progress {...(state === 'bringing in' ? { max: read, value: progress?.in ?? 0 } : {})} aria-label="Rows" />
            <p role="status">
              {state === 'reading' ? `Read ${counted(progress?.read ?? read, 'row')}.` : `${(progress?.in ?? 0).toLocaleString('en')} of ${counted(read, 'row')} are prepared; then all of them come in at once.`} You can leave this page: it goes on by itself.
            </p>
          </section>
        ) : (
          <div className="personcols">
            <section>
              <h2>{kind === 'csv' ? 'Which column is what' : 'What each class gets'}</h2>
              <div className="review">
                {kind === 'csv'
                  ? FIELDS.map(({ field, label }) => (
                      <label key={field} className="match">
                        <span>{label}</span>
                        <select value={columns[field] ?? ''} onChange={(event) => setColumns({ ...columns, [field]: event.currentTarget.value === '' ? null : Number(event.currentTarget.value) })}>
                          <option value="">not in the file</option>
                          {head.map((column, index) => (
                            <option key={`${column} ${head.indexOf(column) === index ? '' : index}`} value={index}>
                              {column}
                            </option>
                          ))}
                        </select>
                      </label>
                    ))
                  : keys.map((key, index) => (
                      <label key={key} className="match">
                        <span>{head[index]}</span>
                        <select value={classes[key] ?? ''} onChange={(event) => setClasses({ ...classes, [key]: event.currentTarget.value })}>
                          <option value="">nothing: pass it over</option>
                          {offers.map((one) => (
                            <option key={one.key} value={one.key}>
                              {one.title}
                            </option>
                          ))}
                        </select>
                      </label>
                    ))}
                {kind === 'csv' && (
                  <label className="match">
                    <span>Offer for rows that name none</span>
                    <select value={offer} onChange={(event) => setOffer(event.currentTarget.value)}>
                      <option value="">no pass</option>
                      {offers.map((one) => (
                        <option key={one.key} value={one.key}>
                          {one.title}
                        </option>
                      ))}
                    </select>
                  </label>
                )}
                <TextInput label="Labels for everybody, divided by commas" value={labels} onChange={(event) => setLabels(event.currentTarget.value)} />
                <div className="review-acts">
                  <Button variant={state === 'ready' ? 'default' : 'filled'} loading={busy !== null} onClick={() => void lookAt()}>
                    See what it would do
                  </Button>
                </div>
                <p role="status">{busy}</p>
                {failed !== null && <p className="takes">{failed}</p>}
              </div>
            </section>
            <section>
              <h2>What it would do</h2>
              <div className="review">
                {state === 'new' && <p className="soft">Say which column is what, then look.</p>}
                {outcomes.length > 0 && <p>{outcomes.join(', ')}.</p>}
                {state === 'refused' && (
                  <>
                    <p className="takes">
                      <b>{read === 0 ? 'The file has no rows.' : 'Nobody is brought in while a row is wrong.'}</b> Put the file right and choose it again.
                    </p>
                    <ul className="wrong">
                      {errors.map((error) => (
                        <li key={error}>{error}</li>
                      ))}
                    </ul>
                  </>
                )}
                {problem !== null && <p className="takes">{problem}</p>}
                {state === 'ready' && (
                  <div>
                    <Button loading={busy !== null} onClick={bringIn}>
                      Bring in {counted(read, 'row')}
                    </Button>
                  </div>
                )}
              </div>
            </section>
          </div>
        )}
        {rows.length > 0 && (
          <table className="list people">
            <caption className="vh">The first rows of the file and what each would do</caption>
            <thead>
              <tr>
                <th scope="col" className="num">
                  Line
                </th>
                <th scope="col">Name</th>
                <th scope="col">Is</th>
                <th scope="col">Gets</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={`${row.line} ${row.gets} ${row.email}`}>
                  <td className="num">{row.line}</td>
                  <th scope="row">
                    {row.name}
                    <span>{row.email}</span>
                  </th>
                  <td>{row.outcome}</td>
                  <td>{row.gets}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
        {rows.length > 0 && read > rows.length && <p className="soft">The first {rows.length} of {counted(read, 'row')}.</p>}
      </main>
    </KeepShell>
  );
}

/** How far the server has come with what it does by itself; the page is loaded anew once that is over. */
function useImportProgress(id: number, state: string): ImportProgress | null {
  const [progress, setProgress] = useState<ImportProgress | null>(null);
  useEffect(() => {
    if (state !== 'reading' && state !== 'bringing in') {
      return undefined;
    }
    const timer = window.setInterval(() => {
      void getJson<ImportProgress>(to('keep.import.progress', { import: id })).then((now) => {
        setProgress(now);
        if (now !== null && now.state !== state) {
          router.reload();
        }
      });
    }, 700);
    return () => window.clearInterval(timer);
  }, [id, state]);
  return progress;
}
