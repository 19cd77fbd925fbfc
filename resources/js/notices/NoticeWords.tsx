import { Checkbox, Textarea, TextInput } from '@mantine/core';

import type { CopiedNotice, NoticesPage, Part, PlaceholderRow } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { CopyFrom } from './CopyFrom';
import { PartsEditor } from './PartsEditor';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

export interface NoticeWordsFields {
  heading: string;
  titled: boolean;
  text: string;
  parts: Part[];
}

interface Props {
  words: NoticeWordsFields;
  errors: Partial<Record<string, string>>;
  placeholders: PlaceholderRow[];
  /** Of the course, to which a button can lead; empty where it is not of one. */
  rows: NoticesPage['rows'];
  offers: NoticesPage['offers'];
  disabled: boolean;
  onChange: (words: Partial<NoticeWordsFields>) => void;
}

/** What a notice says, and what stands on it. */
export function NoticeWords({ words, errors, placeholders, rows, offers, disabled, onChange }: Props) {
  const copy = (from: CopiedNotice) => onChange({ heading: from.heading === '' ? words.heading : from.heading, text: from.text === '' ? words.text : from.text, parts: together(words.parts, from.parts) });
  return (
    <>
      <Checkbox label={say('notices.form.titled')} disabled={disabled} checked={words.titled} onChange={(event) => onChange({ titled: event.currentTarget.checked })} />
      {words.titled && <TextInput label={say('notices.form.heading')} placeholder={say('notices.form.as_usual')} maxLength={200} disabled={disabled} value={words.heading} error={errors.heading} onChange={(event) => onChange({ heading: event.currentTarget.value })} />}
      <Textarea label={say('notices.form.text')} description={say('notices.form.text_told')} placeholder={say('notices.form.as_usual')} autosize minRows={4} maxRows={14} maxLength={5000} disabled={disabled} value={words.text} error={errors.text} onChange={(event) => onChange({ text: event.currentTarget.value })} />
      <details className={css.placeholders}>
        <summary>{say('notices.form.placeholders')}</summary>
        <dl>
          {placeholders.map(({ name, means }) => (
            <div key={name}>
              <dt>
                <button type="button" className={ui.linklike} disabled={disabled} onClick={() => onChange({ text: `${words.text}{${name}}` })}>
                  {`{${name}}`}
                </button>
              </dt>
              <dd>{means}</dd>
            </div>
          ))}
        </dl>
      </details>
      <PartsEditor parts={words.parts} errors={errors} rows={rows} offers={offers} disabled={disabled} onChange={(parts) => onChange({ parts })} />
      {!disabled && <CopyFrom onCopy={copy} />}
    </>
  );
}

/** The parts of both: what can stand there once stands there once. */
function together(mine: Part[], theirs: Part[]): Part[] {
  const written = new Set(['heading', 'text', 'button', 'picture']);
  return [...mine, ...theirs.filter((part) => written.has(part.kind) || mine.every((one) => one.kind !== part.kind))].slice(0, 20);
}
