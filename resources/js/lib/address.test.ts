import { describe, expect, it } from 'vitest';

import { learnerAddress, withQuery } from './address';
import { to } from './route';

describe('an address with another query', () => {
  it.each([
    ['/a', { at: 5 }, '/a?at=5'],
    ['/a?at=5&v%5B0%5D=one', { at: null }, '/a?v%5B0%5D=one'],
    ['/a?v%5B0%5D=one&v%5B1%5D=two', { v: ['three'] }, '/a?v%5B%5D=three'],
    ['/a?v[]=one', { v: [] }, '/a'],
    ['/a?q=x', { q: 'a b&c' }, '/a?q=a+b%26c'],
  ])('%s', (address, changes, changed) => {
    expect(withQuery(address, changes)).toBe(changed);
  });
});

describe('an address by its name', () => {
  it('is a path with what it takes, written so that it can be read back', () => {
    expect(to('home')).toBe('/');
    expect(to('keep.course', { course: 'clinker' })).toBe('/keep/courses/clinker');
    expect(to('keep.stand-in.view', { course: 'clinker' })).toBe('/keep/courses/clinker/stand-in/view');
    expect(to('keep.stand-in.view', { course: 'clinker', item: 'l-log' })).toBe('/keep/courses/clinker/stand-in/view/l-log');
    expect(learnerAddress('a/b', 'ø?')).toBe('/courses/a%2Fb/%C3%B8%3F');
  });
});
