import { describe, expect, it } from 'vitest';

import { to } from './route';

describe('paths of routes', () => {
  it('hold what they take as one part each', () => {
    expect(to('home')).toBe('/');
    expect(to('course', { course: 'clinker' })).toBe('/courses/clinker');
    expect(to('lesson', { course: 'a/b?', item: 'ø' })).toBe('/courses/a%2Fb%3F/%C3%B8');
    expect(to('calendar', { token: 'x' })).toBe('/calendar/x.ics');
    expect(to('cover', { drawing: 'planks', variant: 3 })).toBe('/covers/planks-3.svg');
  });

  it('end before what is left out', () => {
    expect(to('keep.contents', { course: 'clinker' })).toBe('/keep/courses/clinker/contents');
    expect(to('keep.contents', { course: 'clinker', item: 'l-1' })).toBe('/keep/courses/clinker/contents/l-1');
  });

  it('are not made without what they need', () => {
    // @ts-expect-error the item is missing
    expect(() => to('lesson', { course: 'clinker' })).toThrow('takes item');
  });
});
