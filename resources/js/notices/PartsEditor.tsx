import { Select, Textarea, TextInput } from '@mantine/core';
import { useRef } from 'react';

import type { ButtonDoes, NoticesPage, Part, PartKind } from '../lib/generated/types';
import { say } from '../lib/keepSay';
import { PicturePick } from './PicturePick';
import css from './notices.module.css';
import ui from '../ui/ui.module.css';

const KINDS: PartKind[] = ['words', 'heading', 'text', 'button', 'picture', 'sign-in', 'offers', 'finish', 'samples', 'courses', 'next-run', 'ask', 'open'];
const WRITTEN = new Set<PartKind>(['heading', 'text', 'button', 'picture']);

/** What it is, in words; patterns know no hyphen. */
function called(kind: PartKind): string {
  return say('notices.parts.kind', { kind: kind.replace('-', '_') });
}

interface Props {
  parts: Part[];
  errors: Partial<Record<string, string>>;
  /** Of the course, to which a button can lead; empty for the whole school. */
  rows: NoticesPage['rows'];
  offers: NoticesPage['offers'];
  disabled: boolean;
  onChange: (parts: Part[]) => void;
}

/** What stands on a notice, and in which order. */
export function PartsEditor({ parts, errors, rows, offers, disabled, onChange }: Props) {
  const list = useRef<HTMLOListElement>(null);
  const set = (index: number, part: Partial<Part>) => onChange(parts.map((one, at) => (at === index ? { ...one, ...part } : one)));
  /** The focus goes along with the part that was moved. */
  const move = (index: number, by: -1 | 1) => {
    const next = [...parts];
    const [part] = next.splice(index, 1);
    if (part === undefined) {
      return;
    }
    next.splice(index + by, 0, part);
    onChange(next);
    requestAnimationFrame(() => {
      const buttons = list.current?.children[index + by]?.querySelectorAll<HTMLButtonElement>('button');
      [...(buttons ?? [])].find((button) => !button.disabled)?.focus();
    });
  };
  const missing = KINDS.filter((kind) => WRITTEN.has(kind) || parts.every((part) => part.kind !== kind));
  return (
    <fieldset className={css.parts}>
      <legend>{say('notices.parts.title')}</legend>
      <p className={ui.soft}>{say('notices.parts.told')}</p>
      <ol ref={list}>
        {parts.map((part, index) => (
          // Parts have no name but their place.
          // oxlint-disable-next-line react/no-array-index-key
          <li key={index}>
            <div className={css.partline}>
              <span>{called(part.kind)}</span>
              {!disabled && (
                <span className={css.partacts}>
                  <button type="button" className={ui.linklike} disabled={index === 0} aria-label={say('notices.parts.up_of', { part: called(part.kind) })} onClick={() => move(index, -1)}>
                    {say('notices.parts.up')}
                  </button>
                  <button type="button" className={ui.linklike} disabled={index === parts.length - 1} aria-label={say('notices.parts.down_of', { part: called(part.kind) })} onClick={() => move(index, 1)}>
                    {say('notices.parts.down')}
                  </button>
                  <button type="button" className={ui.linklike} aria-label={say('notices.parts.out_of', { part: called(part.kind) })} onClick={() => onChange(parts.filter((_, at) => at !== index))}>
                    {say('notices.parts.out')}
                  </button>
                </span>
              )}
            </div>
            {part.kind === 'heading' && <TextInput aria-label={say('notices.parts.heading_words')} maxLength={200} value={part.text} error={errors[`parts.${index}.text`]} disabled={disabled} onChange={(event) => set(index, { text: event.currentTarget.value })} />}
            {part.kind === 'text' && <Textarea aria-label={say('notices.parts.text_words')} autosize minRows={2} maxRows={10} maxLength={5000} value={part.text} error={errors[`parts.${index}.text`]} disabled={disabled} onChange={(event) => set(index, { text: event.currentTarget.value })} />}
            {part.kind === 'picture' && <PicturePick token={part.to} label={say('notices.parts.which_picture')} error={errors[`parts.${index}.to`]} disabled={disabled} onPick={(picture) => set(index, { to: picture })} />}
            {part.kind === 'button' && <ButtonFields part={part} index={index} errors={errors} rows={rows} offers={offers} disabled={disabled} onChange={(one) => set(index, one)} />}
          </li>
        ))}
      </ol>
      {errors.parts !== undefined && <p className={ui.wrongly}>{errors.parts}</p>}
      {!disabled && (
        <div className={css.addpart}>
          <Select
            label={say('notices.parts.add')}
            size="xs"
            placeholder={say('notices.parts.which')}
            data={missing.map((kind) => ({ value: kind, label: called(kind) }))}
            value={null}
            onChange={(kind) => kind !== null && onChange([...parts, { kind: kind as PartKind, text: '', does: kind === 'button' ? (rows.length > 0 ? 'lesson' : 'address') : null, to: '' }])}
          />
        </div>
      )}
    </fieldset>
  );
}

interface ButtonFieldsProps extends Omit<Props, 'parts' | 'onChange'> {
  part: Part;
  index: number;
  onChange: (part: Partial<Part>) => void;
}

/** What a button says, what it does, and where it leads. */
function ButtonFields({ part, index, errors, rows, offers, disabled, onChange }: ButtonFieldsProps) {
  const does: ButtonDoes[] = rows.length > 0 ? ['lesson', 'offer', 'address', 'mail'] : ['address', 'mail'];
  const lessons = rows.filter(({ kind }) => kind !== 'module');
  return (
    <div className={css.buttonfields}>
      <TextInput label={say('notices.parts.button_words')} maxLength={60} value={part.text} error={errors[`parts.${index}.text`]} disabled={disabled} onChange={(event) => onChange({ text: event.currentTarget.value })} />
      <Select label={say('notices.parts.does')} allowDeselect={false} data={does.map((value) => ({ value, label: say('notices.parts.does_what', { does: value }) }))} value={part.does} error={errors[`parts.${index}.does`]} disabled={disabled} onChange={(one) => onChange({ does: one as ButtonDoes, to: '' })} />
      {part.does === 'lesson' || part.does === 'offer' ? (
        <Select
          label={say('notices.parts.to')}
          searchable
          allowDeselect={false}
          nothingFoundMessage={say('notices.place.none')}
          data={part.does === 'lesson' ? lessons.map(({ key, title }) => ({ value: key, label: title })) : offers.map(({ key, title }) => ({ value: key, label: title }))}
          value={part.to === '' ? null : part.to}
          error={errors[`parts.${index}.to`]}
          disabled={disabled}
          onChange={(to) => onChange({ to: to ?? '' })}
        />
      ) : (
        <TextInput label={say('notices.parts.to')} maxLength={500} value={part.to} error={errors[`parts.${index}.to`]} disabled={disabled} onChange={(event) => onChange({ to: event.currentTarget.value })} />
      )}
    </div>
  );
}
