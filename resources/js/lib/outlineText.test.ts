import { describe, expect, it } from 'vitest';

import { kindsFor, readOutline } from './outlineText';

/** As it would be indented. */
const read = (text: string) => readOutline(text).map(({ depth, title }) => `${'>'.repeat(depth)}${title}`);

describe('outlines that are written elsewhere', () => {
  it.each<[string, string, string[]]>([
    ['plain titles', 'Planes\n\n  \nSaws\r\n', ['Planes', 'Saws']],
    ['blanks', 'Tools\n  Planes\n    Irons\n  Saws\nWood', ['Tools', '>Planes', '>>Irons', '>Saws', 'Wood']],
    ['tabs', 'Tools\n\tPlanes\n\t\tIrons\nWood', ['Tools', '>Planes', '>>Irons', 'Wood']],
    ['uneven blanks', 'Tools\n      Planes\n        Irons\n    Saws', ['Tools', '>Planes', '>>Irons', '>Saws']],
    ['all indented', '    Planes\n    Saws\n      Teeth', ['Planes', 'Saws', '>Teeth']],
    ['bullets', '- Tools\n  * Planes\n  • Saws\n- Wood', ['Tools', '>Planes', '>Saws', 'Wood']],
    ['numbers', '1. Tools\n2. Wood', ['Tools', 'Wood']],
    ['decimal numbers', '1 Tools\n1.1 Planes\n1.1.1 Irons\n1.2 Saws\n2 Wood', ['Tools', '>Planes', '>>Irons', '>Saws', 'Wood']],
    ['number signs', '# Tools\n## Planes\n- Irons\n# Wood', ['Tools', '>Planes', '>>Irons', 'Wood']],
    ['letters', '1) Tools\n  a) Planes\n  b) Saws', ['Tools', '>Planes', '>Saws']],
    ['columns', 'Tools\tPlanes\tIrons\nTools\tPlanes\tSoles\nTools\tSaws\nWood\tLarch', ['Tools', '>Planes', '>>Irons', '>>Soles', '>Saws', 'Wood', '>Larch']],
    ['columns with what repeats left out', 'Tools\tPlanes\n\tSaws\nWood\tLarch', ['Tools', '>Planes', '>Saws', 'Wood', '>Larch']],
    ['columns in which a title comes twice', 'Tools\tPlanes\nTools\tPlanes\nWood\tPlanes', ['Tools', '>Planes', '>Planes', 'Wood', '>Planes']],
    ['a gap', 'Tools\t\tIrons', ['Tools', '>Irons']],
    ['years and numbers in titles', '1904 and after\n3 planes', ['1904 and after', '3 planes']],
    ['nothing', ' \n\t\n', []],
  ])('by %s', (_by, text, rows) => expect(read(text)).toEqual(rows));

  it('cuts what is longer than a title can be', () => expect(readOutline('x'.repeat(300))[0]?.title).toHaveLength(255));

  it('knows what their levels can be', () => {
    expect(kindsFor(1, null)).toEqual([['lesson'], ['module'], ['board']]);
    expect(kindsFor(2, 'module')).toEqual([['module', 'lesson'], ['lesson', 'part'], ['module', 'module']]);
    expect(kindsFor(3, null)[0]).toEqual(['module', 'lesson', 'part']);
    expect(kindsFor(4, null)[0]).toEqual(['module', 'module', 'lesson', 'part']);
    expect(kindsFor(1, 'lesson')).toEqual([['part']]);
    expect(kindsFor(2, 'lesson')).toEqual([]);
  });
});
