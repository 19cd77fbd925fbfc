import { clsx } from 'clsx';

import { Prose } from '../learn/Prose';
import type { Glyph, NoticeCase, NoticePart, NoticePreview, Part, PartKind } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { useAsked } from '../lib/useAsked';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

/** The wall above it, where it is not a plain one. */
const WALLS: Partial<Record<NoticeCase, Glyph>> = { 'too-early': 'later', 'course-not-open': 'later', ended: 'over', withdrawn: 'over', closed: 'over', 'course-over': 'over', 'course-retired': 'over' };

interface PreviewProps {
  base: string;
  /** At which they stand; null: the whole course or school. */
  item: string | null;
  /** The kind of closed door. */
  met: NoticeCase;
  way: string;
  heading: string;
  text: string;
  address: string;
  parts: Part[];
}

/** As somebody might meet it, while one types. */
export function NoticePreviewed({ base, item, met, way, heading, text, address, parts }: PreviewProps) {
  const { last: preview } = useAsked<NoticePreview>(`${base}/preview`, { heading, text, item, parts }, 250);
  return (
    <section className={ui['notice-preview']} aria-label={say('notices.preview.title')} aria-live="polite">
      <p className={ui.soft}>{say(way === 'show' ? 'notices.preview.example' : 'notices.preview.nothing')}</p>
      {way === 'show' && preview !== null && (
        <div className={ui.learn}>
          <div className={ui.notice}>
            <div className={clsx(ui.wall, ui[`wall-${WALLS[met] ?? 'locked'}`])} aria-hidden>
              <i />
            </div>
            <h2>{preview.heading}</h2>
            {preview.parts.filter((part) => canStand(part.kind, met)).map((part, index) => (
              // Parts have no name but their place.
              // oxlint-disable-next-line react/no-array-index-key
              <PreviewPart key={index} part={part} html={preview.html} />
            ))}
          </div>
        </div>
      )}
      {way === 'show' && preview !== null && preview.unknown.length > 0 && <p className={ui.wrongly}>{say('notices.preview.unknown', { names: preview.unknown.map((name) => `{${name}}`).join(', ') })}</p>}
      {way === 'sign-in' && <p>{say('notices.preview.sign_in')}</p>}
      {way === 'address' && <p>{address === '' ? say('notices.preview.no_address') : say('notices.preview.address', { address })}</p>}
    </section>
  );
}

/** Whether a part can ever stand at a kind of door. */
function canStand(kind: PartKind, met: NoticeCase): boolean {
  switch (kind) {
    case 'courses':
    case 'next-run':
      return met === 'course-over' || met === 'course-retired';
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
    case 'button':
      return <p className={css.previewbutton}>{part.label}</p>;
    default:
      return <p className={css.previewpart}>{say('notices.preview.part', { kind: part.kind.replace('-', '_') })}</p>;
  }
}
