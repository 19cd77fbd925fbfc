import { Popover, TextInput, type TextInputProps } from '@mantine/core';
import { DatePicker, TimePicker } from '@mantine/dates';
import { type KeyboardEvent, useState } from 'react';

import { say } from '../lib/keepSay';
import { useShared } from '../lib/page';
import { wallNow, wallWords } from '../lib/time';
import { typedClock, typedTime } from '../lib/typedTime';
import ui from './ui.module.css';

interface Props extends Omit<TextInputProps, 'value' | 'onChange' | 'rightSection' | 'description' | 'onBlur'> {
  /** `2026-03-09T09:00`, of a day `2026-03-09`, of a time of day `09:00`, on the school's wall clock; empty: none. What could not be read stays as it was typed. */
  value: string;
  onWall: (wall: string) => void;
  /** What is asked for. */
  of?: 'moment' | 'day' | 'clock';
  description?: string;
  /** The focus goes elsewhere. */
  onLeft?: () => void;
}

/** A date and time on the school's clock, typed as one says it (`9 Mar 9:00`, `in 3 weeks`, `next Monday 9`) or picked. */
export function WallInput({ value, onWall, of = 'moment', description, onLeft, ...rest }: Props) {
  const { school } = useShared();
  const [typed, setTyped] = useState<string | null>(null);
  const [picks, setPicks] = useState(false);
  const told = of === 'clock' ? value : (wallWords(value) ?? value);
  const read = (text: string): string | null => {
    if (of === 'clock') {
      return typedClock(text);
    }
    const wall = typedTime(text, wallNow(school.zone));
    return of === 'day' ? (wall?.slice(0, 10) ?? null) : wall;
  };
  const understood = typed === null || typed.trim() === '' ? null : read(typed);
  const reading = understood === null || of === 'clock' ? undefined : (wallWords(understood) ?? undefined);
  // What could not be read is left to be put right.
  const settle = () => setTyped((now) => (now !== null && now.trim() !== '' && understood === null ? now : null));
  return (
    <TextInput
      {...rest}
      autoComplete="off"
      value={typed ?? told}
      placeholder={say(of === 'clock' ? 'keep.dates.clock_like' : 'keep.dates.like')}
      description={reading !== undefined && reading !== typed ? say('keep.dates.is', { when: reading }) : description}
      onChange={({ currentTarget }) => {
        const text = currentTarget.value;
        setTyped(text);
        onWall(text.trim() === '' ? '' : (read(text) ?? text));
      }}
      onBlur={() => [settle(), onLeft?.()]}
      onKeyDown={(event: KeyboardEvent) => event.key === 'Enter' && settle()}
      {...(of === 'clock'
        ? {}
        : {
            rightSection: (
              <Popover opened={picks} onChange={setPicks} withinPortal={false} trapFocus returnFocus position="bottom-end" withArrow>
                <Popover.Target>
                  <button type="button" className={ui.picker} disabled={rest.disabled === true} aria-label={say('keep.dates.pick')} aria-expanded={picks} onClick={() => setPicks(!picks)}>
                    <svg viewBox="0 0 14 14" width="14" height="14" aria-hidden>
                      <path d="M1.5 13V6a5.5 5.5 0 0 1 11 0v7zM1.5 7h11M5 7v6M9 7v6M1.5 10h11" />
                    </svg>
                  </button>
                </Popover.Target>
                <Popover.Dropdown
                  data-picks
                  onKeyDownCapture={(event) => {
                    if (event.key === 'Escape') {
                      event.stopPropagation();
                      setPicks(false);
                    }
                  }}
                >
                  <DatePicker
                    value={/^\d{4}-\d{2}-\d{2}/.exec(value)?.[0] ?? null}
                    {...(/^\d{4}-\d{2}-\d{2}/.test(value) ? { defaultDate: value.slice(0, 10) } : { defaultDate: wallNow(school.zone).slice(0, 10) })}
                    onChange={(day) => {
                      setTyped(null);
                      onWall(day === null ? '' : of === 'day' ? day : `${day}T${/T\d{2}:\d{2}$/.test(value) ? value.slice(11) : '00:00'}`);
                      if (of === 'day') {
                        setPicks(false);
                      }
                    }}
                  />
                  {of === 'moment' && (
                    <TimePicker
                      label={say('keep.dates.clock')}
                      mt={8}
                      value={/T\d{2}:\d{2}$/.test(value) ? value.slice(11) : ''}
                      onChange={(clock) => /^\d{4}-\d{2}-\d{2}T/.test(value) && /^\d{2}:\d{2}/.test(clock) && [setTyped(null), onWall(`${value.slice(0, 10)}T${clock.slice(0, 5)}`)]}
                    />
                  )}
                </Popover.Dropdown>
              </Popover>
            ),
          })}
    />
  );
}
