import { SegmentedControl, Select } from '@mantine/core';
import { clsx } from 'clsx';
import { useState } from 'react';

import { NoticeBody } from '../learn/NoticeBody';
import { Prose } from '../learn/Prose';
import type { FoundPerson, Glyph, NoticeCase, NoticePart, NoticePreview, NoticesPage, PartKind } from '../lib/generated/types';
import { withQuery } from '../lib/address';
import { say } from '../lib/keepSay';
import { to } from '../lib/route';
import { useAsked } from '../lib/useAsked';
import { Picture } from '../ui/Picture';
import type { NoticeWordsFields } from './NoticeWords';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

/** The wall above it, where it is not a plain one. */
const WALLS: Partial<Record<NoticeCase, Glyph>> = { 'too-early': 'later', 'course-not-open': 'later', ended: 'over', closed: 'over', 'course-over': 'over' };

/** Doors that only somebody who has signed in can meet. */
const SIGNED_IN = new Set<NoticeCase>(['no-pass', 'other-tier', 'other-part', 'too-early', 'held', 'finish-first', 'stuck', 'ended', 'paused', 'withdrawn', 'no-observers']);

/** In pixels, at which it can be looked at; 0: as wide as there is room. */
const WIDTHS = [0, 390, 1280];

interface PreviewProps {
  base: string;
  /** At which the words stand; nothing: the whole course or school. */
  place: { item: string | null; offer: string | null };
  /** The kind of closed door; null: several. */
  met: NoticeCase | null;
  way: string;
  words: NoticeWordsFields;
  address: string;
  vantages: NoticesPage['vantages'];
  rows: NoticesPage['rows'];
}

/** As somebody might meet it, while one types. */
export function NoticePreviewed({ base, place, met, way, words: { heading, titled, text, parts }, address, vantages, rows }: PreviewProps) {
  const [as, setAs] = useState('');
  const [row, setRow] = useState('');
  const [width, setWidth] = useState(0);
  const { last: preview } = useAsked<NoticePreview>(`${base}/preview`, { heading, titled, text, parts, ...place, case: met, as, row }, 250);
  const isShown = way === 'show';
  const shown = preview !== null && as !== '' ? preview.met : null;
  return (
    <section className={ui['notice-preview']} aria-label={say('notices.preview.title')}>
      {isShown && vantages.length > 0 && <Looking base={base} vantages={vantages} rows={rows} as={as} row={row} onAs={setAs} onRow={setRow} />}
      {isShown && <SegmentedControl size="xs" aria-label={say('notices.preview.width')} data={WIDTHS.map((one) => ({ value: `${one}`, label: one === 0 ? say('notices.preview.here') : `${one}` }))} value={`${width}`} onChange={(one) => setWidth(Number(one))} />}
      <div aria-live="polite">
        <p className={ui.soft}>{isShown ? (as === '' ? say('notices.preview.example') : (preview?.told ?? '')) : say('notices.preview.nothing')}</p>
        {isShown && preview !== null && (as === '' || shown !== null) && (
          <div className={css.previewframe}>
            <div className={ui.learn} style={width === 0 ? undefined : { width, maxWidth: 'none' }} inert>
              {shown !== null ? <NoticeBody page={shown} /> : <Example preview={preview} met={met} titled={titled} />}
            </div>
          </div>
        )}
        {isShown && preview !== null && preview.unknown.length > 0 && <p className={ui.wrongly}>{say('notices.preview.unknown', { names: preview.unknown.map((name) => `{${name}}`).join(', ') })}</p>}
        {isShown && preview !== null && preview.findings.length > 0 && (
          <section className={css.dead} aria-label={say('notices.findings.title')}>
            <h3>{say('notices.findings.title')}</h3>
            <ul>
              {preview.findings.map((finding) => (
                <li key={finding}>{finding}</li>
              ))}
            </ul>
          </section>
        )}
        {way === 'sign-in' && <p>{say('notices.preview.sign_in')}</p>}
        {way === 'address' && <p>{address === '' ? say('notices.preview.no_address') : say('notices.preview.address', { address })}</p>}
      </div>
    </section>
  );
}

interface LookingProps {
  base: string;
  vantages: NoticesPage['vantages'];
  rows: NoticesPage['rows'];
  as: string;
  row: string;
  onAs: (as: string) => void;
  onRow: (row: string) => void;
}

/** As whom it is looked at, and at which row. */
function Looking({ base, vantages, rows, as, row, onAs, onRow }: LookingProps) {
  const [find, setFind] = useState('');
  const wanted = find.trim();
  const { last: people } = useAsked<FoundPerson[]>(wanted.length < 2 ? null : withQuery(to('keep.people', { course: base.split('/')[3] ?? '' }), { q: wanted }), undefined, 200);
  const [known, setKnown] = useState<FoundPerson[]>([]);
  const found = [...(wanted.length < 2 ? [] : (people ?? [])), ...known].filter((one, index, all) => all.findIndex(({ id }) => id === one.id) === index);
  return (
    <div className={css.looking}>
      <Select
        label={say('notices.preview.as')}
        size="xs"
        searchable
        allowDeselect={false}
        data={[
          { value: '', label: say('notices.preview.as_example') },
          ...vantages.map(({ id, name }) => ({ value: id, label: name })),
          ...(found.length === 0 ? [] : [{ group: say('notices.preview.person'), items: found.map(({ id, name }) => ({ value: `person:${id}`, label: name })) }]),
        ]}
        value={as}
        onSearchChange={setFind}
        onChange={(one) => {
          setKnown(found.filter(({ id }) => `person:${id}` === one));
          onAs(one ?? '');
        }}
      />
      {as !== '' && (
        <Select
          label={say('notices.preview.row')}
          size="xs"
          searchable
          allowDeselect={false}
          data={[{ value: '', label: say('notices.preview.row_first') }, ...rows.map(({ key, title, depth }) => ({ value: key, label: `${'\u2003'.repeat(depth)}${title}` }))]}
          value={row}
          onChange={(one) => onRow(one ?? '')}
        />
      )}
    </div>
  );
}

function Example({ preview, met, titled }: { preview: NoticePreview; met: NoticeCase | null; titled: boolean }) {
  return (
    <div className={ui.notice}>
      <div className={clsx(ui.wall, ui[`wall-${(met === null ? undefined : WALLS[met]) ?? 'locked'}`])} aria-hidden>
        <i />
      </div>
      {titled && <h2>{preview.heading}</h2>}
      {preview.parts
        .filter((part) => met === null || canStand(part.kind, met))
        .map((part, index) => (
          // Parts have no name but their place.
          // oxlint-disable-next-line react/no-array-index-key
          <PreviewPart key={index} part={part} html={preview.html} />
        ))}
    </div>
  );
}

/** Whether a part can ever stand at a kind of door. */
function canStand(kind: PartKind, met: NoticeCase): boolean {
  switch (kind) {
    case 'courses':
    case 'next-run':
      return met === 'course-over' || met === 'course-retired';
    case 'sign-in':
      return !SIGNED_IN.has(met);
    case 'finish':
      return met === 'finish-first';
    default:
      return true;
  }
}

/** A part as it might be met; what depends on who meets it is named in its place. */
function PreviewPart({ part, html }: { part: NoticePart; html: string }) {
  switch (part.kind) {
    case 'words':
      return <Prose html={html} />;
    case 'text':
      return <Prose html={part.html ?? ''} />;
    case 'heading':
      return <h3>{part.label}</h3>;
    case 'picture':
      return part.picture === null ? <p className={css.previewpart}>{say('notices.preview.part', { kind: part.kind })}</p> : <Picture picture={part.picture} sizes="400px" />;
    case 'button':
      return <p className={css.previewbutton}>{part.label}</p>;
    default:
      return <p className={css.previewpart}>{say('notices.preview.part', { kind: part.kind.replace('-', '_') })}</p>;
  }
}
