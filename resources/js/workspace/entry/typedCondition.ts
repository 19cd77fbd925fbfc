import type { OfferPick, OutlineRow } from '../../lib/generated/types';
import type { Condition } from '../../lib/condition';
import { say } from '../../lib/keepSay';
import { typedTime } from '../../lib/typedTime';
import { rowsLike } from './typedTitles';

/** What a condition can speak of. */
export interface ConditionContext {
  labels: string[];
  tiers: string[];
  offers: OfferPick[];
  outline: OutlineRow[];
  /** The school's wall clock now. */
  now: string;
  words: (wall: string) => string;
}

export interface TypedCondition {
  condition: Condition;
  /** As cells tell it. */
  words: string;
}

interface Found extends TypedCondition {
  rest: string;
}

const KINDS = new Set(['learner', 'observer', 'guest', 'member', 'visitor']);

const JOINT = /^\s*(?:,\s*(?:and\s+|or\s+)?|\s(and|or)\s+|[&+]\s*)/i;

/**
 * A condition in the words in which cells tell it: `label oars and not label cohort-b`, `who finished Steaming or from 9 Mar`,
 * `(label a or label b) and learners only`. Null where a part of it is nothing that can be asked, and where *and* and *or* stand side
 * by side without parentheses.
 */
export function typedCondition(typed: string, context: ConditionContext): TypedCondition | null {
  const found = group(typed.trim(), context, false);
  return found === null || found.rest.trim() !== '' ? null : { condition: found.condition, words: found.words };
}

/** Parts that are joined, to the end or to the parenthesis that closes them. */
function group(text: string, context: ConditionContext, inner: boolean): Found | null {
  const first = part(text, context);
  if (first === null) {
    return null;
  }
  const parts: TypedCondition[] = [first];
  const modes = new Set<string>();
  let rest = first.rest;
  for (let joint = JOINT.exec(rest); joint !== null; joint = JOINT.exec(rest)) {
    const mode = /\b(and|or)\b/i.exec(joint[0])?.[1]?.toLowerCase();
    const next = part(rest.slice(joint[0].length), context);
    if (next === null) {
      return null;
    }
    if (mode !== undefined) {
      modes.add(mode);
    }
    parts.push(next);
    rest = next.rest;
  }
  if (modes.size > 1) {
    return null;
  }
  const any = modes.has('or');
  const words = parts.map((one) => one.words).join(any ? ' or ' : ' and ');
  return parts.length === 1 ? { ...first, rest } : { condition: { [any ? 'any' : 'all']: parts.map(({ condition }) => condition) }, words: inner ? `(${words})` : words, rest };
}

function part(text: string, context: ConditionContext): Found | null {
  const not = /^not\s+/i.exec(text);
  if (not !== null) {
    const negated = part(text.slice(not[0].length), context);
    return negated === null ? null : { condition: { not: negated.condition }, words: say('entry.condition.not', { what: negated.words }), rest: negated.rest };
  }
  if (text.startsWith('(')) {
    const inside = group(text.slice(1).trimStart(), context, true);
    const closed = inside === null ? null : /^\s*\)/.exec(inside.rest);
    return inside === null || closed === null ? null : { ...inside, rest: inside.rest.slice(closed[0].length) };
  }
  return leaf(text, context);
}

function leaf(text: string, context: ConditionContext): Found | null {
  const label = /^(?:has\s+)?(?:the\s+)?label\s+/i.exec(text);
  if (label !== null) {
    const [name, rest] = named(text.slice(label[0].length), context.labels);
    return name === '' ? null : { condition: { label: name }, words: say('entry.words.label', { label: name }), rest };
  }
  const tier = /^tier\s+/i.exec(text);
  if (tier !== null) {
    const [name, rest] = named(text.slice(tier[0].length), context.tiers);
    return context.tiers.includes(name) ? { condition: { tier: name }, words: say('entry.condition.tier', { tier: name }), rest } : null;
  }
  const offer = /^(?:(?:came\s+)?by\s+)?(?:the\s+)?offer\s+/i.exec(text);
  if (offer !== null) {
    const [name, rest] = named(text.slice(offer[0].length), context.offers.map(({ title }) => title));
    const wanted = context.offers.find(({ title }) => title === name) ?? context.offers.find(({ title }) => title.toLowerCase().startsWith(name.toLowerCase()));
    return wanted === undefined || name === '' ? null : { condition: { offer: wanted.key }, words: say('entry.condition.offer', { offer: wanted.title }), rest };
  }
  const done = /^(?:who\s+|has\s+)?finished\s+/i.exec(text);
  if (done !== null) {
    const rows = context.outline.filter(({ kind }) => kind !== 'board');
    const [name, rest] = named(text.slice(done[0].length), rows.map(({ title }) => title));
    const wanted = rowsLike(name, rows)[0];
    return wanted === undefined ? null : { condition: { done: wanted.key }, words: say('entry.condition.done', { title: wanted.title }), rest };
  }
  const kind = /^(learner|observer|guest|member|visitor|staff)s?(?:\s+only)?(?=$|[\s,&+)])/i.exec(text);
  if (kind !== null) {
    const name = (kind[1] ?? '').toLowerCase();
    return { condition: { kind: name }, words: KINDS.has(name) ? say('entry.condition.kind', { kind: name }) : say('entry.condition.staff'), rest: text.slice(kind[0].length) };
  }
  return dated(text, context);
}

function dated(text: string, { now, words }: ConditionContext): Found | null {
  const found = /^(from|since|until|before)\s+/i.exec(text);
  if (found === null) {
    return null;
  }
  const asked = /^(?:from|since)$/i.test(found[1] ?? '') ? 'from' : 'until';
  // A date may hold a comma: as much of it as is one.
  const ends = [...text.slice(found[0].length).matchAll(/\s+(?:and|or)\s+|[,&+)]|$/gi)].map(({ index }) => index + found[0].length).toReversed();
  for (const end of ends) {
    const at = typedTime(text.slice(found[0].length, end).trim(), now);
    if (at !== null) {
      return { condition: { [asked]: at }, words: asked === 'from' ? say('entry.condition.from', { when: words(at) }) : say('entry.condition.until', { when: words(at) }), rest: text.slice(end) };
    }
  }
  return null;
}

/** A name at the beginning, and what comes after it: the longest that is known, else what stands before the next joint. */
function named(text: string, known: string[]): [name: string, rest: string] {
  const whole = known.filter((name) => text.toLowerCase().startsWith(name.toLowerCase()) && /^(?:$|[\s,&+)])/.test(text.slice(name.length))).toSorted((a, b) => b.length - a.length)[0];
  const piece = whole === undefined ? (/^(.*?)(?=\s*[,&+)]|\s+(?:and|or)(?:\s|$)|$)/i.exec(text)?.[1] ?? '') : text.slice(0, whole.length);
  return [whole ?? piece.trim(), text.slice(piece.length)];
}
