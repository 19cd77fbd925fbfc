import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';

import { say, saying } from './say';

describe('words', () => {
  it('count as their language does', () => {
    expect([0, 1, 1234].map((count) => say('front.narrowed', { count, subject: 'Hull' }))).toEqual(['0 courses of Hull', '1 course of Hull', '1,234 courses of Hull']);
    expect(say('quiz.missing', { count: 1 })).toBe('One question is not answered yet.');
  });

  it('take what is put in them as it is', () => {
    expect(say('mine.with', { name: '<b>{Eira}</b> # \'' })).toBe("with <b>{Eira}</b> # '");
  });

  it('hold links and times where the page puts them', () => {
    const { container } = render(<p>{saying('course.opens_next', { item: 'Tools', at: <time key="at">Mon 9 Mar</time> })}</p>);
    expect(container.innerHTML).toBe('<p>Opens next: Tools, <time>Mon 9 Mar</time></p>');
  });
});
