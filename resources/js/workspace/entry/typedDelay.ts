import { typedClock, weekdayOf } from '../../lib/typedTime';

/** Days to be counted from something, as they are typed. */
export interface TypedDelay {
  days: number;
  /** From when; null: not said. */
  from: 'after_start' | 'after_previous' | 'after_open' | null;
  /** Monday is 1. */
  weekday: number | null;
  /** `HH:MM` */
  time: string | null;
}

const FROM: [TypedDelay['from'], RegExp][] = [
  ['after_start', /^(?:after|from|on)?\s*(?:joining|joined|join|the start|start)\b/],
  ['after_previous', /^(?:after|with)?\s*(?:the\s+)?(?:one before|previous one|previous|one above)\b/],
  ['after_open', /^(?:after)?\s*(?:it\s+)?(?:opening|opened|opens)\b/],
];

/** In full, so that half of it says enough. */
const WHOLE: [TypedDelay['from'], string][] = [
  ['after_start', 'after joining'],
  ['after_previous', 'after the one before'],
  ['after_open', 'after opening'],
];

/** So many days cannot be counted (app/Http/Requests/RuleInput.php). */
const MOST = 36500;

/** `14`, `2 weeks`, `7 days after joining, next Mon, 09:00`, `with the one before`; null where it is none of them. */
export function typedDelay(typed: string): TypedDelay | null {
  let rest = typed.trim().toLowerCase().replace(/\s+/g, ' ');
  const counted = /^(\d{1,5})\s*(days?|d|weeks?|w)?(?=\s|,|$)/.exec(rest);
  if (counted === null && !/^(?:on joining|with the (?:one before|previous one))/.test(rest)) {
    return null;
  }
  const days = counted === null ? 0 : Number(counted[1]) * (counted[2]?.startsWith('w') === true ? 7 : 1);
  rest = after(rest, counted?.[0] ?? '');
  let from: TypedDelay['from'] = null;
  for (const [name, words] of FROM) {
    const found = words.exec(rest);
    if (found !== null) {
      from = name;
      rest = after(rest, found[0]);
      break;
    }
  }
  const half = from === null ? /^[a-z ]+$/.exec(rest)?.[0] : undefined;
  const likely = half === undefined ? [] : WHOLE.filter(([, words]) => words.startsWith(half));
  if (likely.length > 0) {
    from = likely.length === 1 ? (likely[0]?.[0] ?? null) : null;
    rest = '';
  }
  const day = /^(?:on )?(?:the )?next ([a-z]{2,9})\b/.exec(rest);
  const weekday = day === null ? null : weekdayOf(day[1] ?? '');
  if (day !== null) {
    rest = after(rest, day[0]);
  }
  const time = rest === '' ? null : typedClock(rest);
  return days > MOST || (rest !== '' && time === null) || (day !== null && weekday === null) ? null : { days, from, weekday, time };
}

function after(text: string, read: string): string {
  return text.slice(read.length).replace(/^[\s,]+/, '');
}
