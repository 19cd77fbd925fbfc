/** What a single condition asks. */
export const ASKS = ['label', 'tier', 'offer', 'kind', 'done', 'from', 'until'] as const;

export type Ask = (typeof ASKS)[number];

interface Part {
  id: number;
  not: boolean;
}

export interface ConditionAsk extends Part {
  ask: Ask;
  value: string;
}

export interface ConditionGroup extends Part {
  mode: 'all' | 'any';
  parts: ConditionPart[];
}

export type ConditionPart = ConditionAsk | ConditionGroup;

/** A condition as the plan format has it. */
export interface Condition {
  [key: string]: Condition | Condition[] | string;
}

let made = 0;

export function newAsk(ask: Ask = 'label', value = ''): ConditionAsk {
  return { id: ++made, not: false, ask, value };
}

export function newGroup(mode: 'all' | 'any', parts: ConditionPart[] = []): ConditionGroup {
  return { id: ++made, not: false, mode, parts };
}

export function isGroup(part: ConditionPart): part is ConditionGroup {
  return 'parts' in part;
}

function isObject(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function readPart(condition: Record<string, unknown>): ConditionPart {
  if (isObject(condition['not'])) {
    const inner = readPart(condition['not']);
    return { ...inner, not: !inner.not };
  }
  for (const mode of ['all', 'any'] as const) {
    const parts = condition[mode];
    if (Array.isArray(parts)) {
      return newGroup(mode, parts.filter(isObject).map(readPart));
    }
  }
  const ask = ASKS.find((one) => one in condition) ?? 'label';
  return newAsk(ask, typeof condition[ask] === 'string' ? condition[ask] : '');
}

/** As it is edited: always a group outside. */
export function readCondition(condition: Record<string, unknown> | undefined): ConditionGroup {
  if (condition === undefined) {
    return newGroup('all');
  }
  const part = readPart(condition);
  return isGroup(part) && !part.not ? part : newGroup('all', [part]);
}

function writePart(part: ConditionPart): Condition {
  const inner: Condition = isGroup(part) ? { [part.mode]: part.parts.map(writePart) } : { [part.ask]: part.value };
  return part.not ? { not: inner } : inner;
}

/** Null: everyone. */
export function writeCondition(group: ConditionGroup): Condition | null {
  const [only, ...more] = group.parts;
  if (only === undefined) {
    return group.mode === 'all' ? null : { any: [] };
  }
  return more.length === 0 ? writePart(only) : writePart(group);
}

/** Where a part stands in what is written, as refusals name it: `only.all.1.label`. */
export function pathsOf(group: ConditionGroup): Map<number, string> {
  const paths = new Map<number, string>();
  const walk = (part: ConditionPart, at: string) => {
    const here = part.not ? `${at}.not` : at;
    paths.set(part.id, isGroup(part) ? here : `${here}.${part.ask}`);
    if (isGroup(part)) {
      part.parts.forEach((one, index) => walk(one, `${here}.${part.mode}.${index}`));
    }
  };
  const [only, ...more] = group.parts;
  if (only !== undefined && more.length === 0) {
    walk(only, 'only');
  } else {
    walk(group, 'only');
  }
  return paths;
}

/** The group with one of its parts, at any depth, put in another's place; null takes it out. */
export function withPart(group: ConditionGroup, id: number, change: (part: ConditionPart) => ConditionPart | null): ConditionGroup {
  const parts = group.parts.flatMap((part) => {
    if (part.id === id) {
      const changed = change(part);
      return changed === null ? [] : [changed];
    }
    return [isGroup(part) ? withPart(part, id, change) : part];
  });
  return { ...group, parts };
}
