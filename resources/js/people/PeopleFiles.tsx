import { Link, router } from '@inertiajs/react';
import { useEffect, useState } from 'react';
import { clsx } from 'clsx';

import type { PeopleFileRow } from '../lib/generated/types';
import { getJson } from '../lib/http';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import css from './people.module.css';
import ui from '../ui/ui.module.css';

/** Milliseconds between two looks at what is being made. */
const EVERY = 1000;

/** Where one stays on the page; what one has clicked is gone afterwards, so the focus goes to where files are asked for. */
const STAYING = { preserveScroll: true, preserveState: true, onFinish: () => requestAnimationFrame(() => document.activeElement === document.body && document.querySelector<HTMLElement>('[data-csv]')?.focus()) };

const addressOf = ({ query }: PeopleFileRow, base: string) => (query === '' ? base : `${base}?${query}`);

const people = (file: PeopleFileRow) => say('keep.people_counted', { count: file.of });

function sizeOf({ bytes }: PeopleFileRow): string {
  return bytes < 1_000_000 ? say('people.files.kilobytes', { size: Math.ceil(bytes / 1000) }) : say('people.files.megabytes', { size: Math.round(bytes / 100_000) / 10 });
}

function howFar(file: PeopleFileRow): string {
  switch (file.state) {
    case 'making':
      return file.made === 0 ? say('people.files.waits', { when: file.when }) : say('people.files.making', { made: file.made, of: file.of });
    case 'ready':
      return say('people.files.ready', { when: file.when });
    default:
      return file.state === 'failed' ? say('people.files.failed') : say('people.files.gone');
  }
}

/** The files that one has had made of people, as far as they are. */
export function PeopleFiles({ files: first }: { files: PeopleFileRow[] }) {
  const [files, setFiles] = useState(first);
  const [given, setGiven] = useState(first);
  if (given !== first) {
    setGiven(first);
    setFiles(first);
  }
  const underWay = files.some(({ state }) => state === 'making');
  useEffect(() => {
    if (!underWay) {
      return undefined;
    }
    let wanted = true;
    let timer = 0;
    const look = () =>
      void getJson<PeopleFileRow[]>(to('keep.people.files')).then((now) => {
        if (wanted) {
          setFiles((before) => now ?? before);
          timer = window.setTimeout(look, EVERY);
        }
      });
    timer = window.setTimeout(look, EVERY);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [underWay]);
  if (files.length === 0) {
    return null;
  }
  return (
    <ul className={css.underway} aria-label={say('people.files.title')}>
      {files.map((file) => (
        <li key={file.id} className={css.file}>
          <Link href={addressOf(file, to('keep.people.list'))}>{say('people.files.file_of', { people: people(file) })}</Link>
          {file.state === 'making' && <progress max={file.of} value={file.made} aria-label={say('people.files.file_of', { people: people(file) })} />}
          <span role="status">{howFar(file)}</span>
          {file.state === 'ready' && (
            <a href={to('keep.people.file', { file: file.id })} download>
              {say('people.files.download', { size: sizeOf(file) })}
            </a>
          )}
          {(file.state === 'failed' || file.state === 'gone') && (
            <button type="button" className={clsx(ui.linklike, css.linklike)} onClick={() => router.post(addressOf(file, to('keep.people.files.ask')), {}, STAYING)}>
              {say('people.files.anew')}
            </button>
          )}
          <button type="button" className={clsx(ui.linklike, css.linklike)} aria-label={say('people.files.let_go_named', { people: people(file) })} onClick={() => router.delete(to('keep.people.file.let-go', { file: file.id }), STAYING)}>
            {say('people.files.let_go')}
          </button>
        </li>
      ))}
    </ul>
  );
}
