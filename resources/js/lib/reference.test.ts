import { expect, test } from 'vitest';

import document from '../../api/v1.json';
import { callsOf, commandOf, partsOf, shapeOf, typeOf, type Reference } from './reference';

const reference = document as unknown as Reference;
const words = { list: (of: string) => `list of ${of}`, or: 'or' };

test('every operation belongs to a tag and is found by it', () => {
  const found = reference.tags.flatMap(({ name }) => callsOf(reference, name));

  expect(found).toHaveLength(Object.values(reference.paths).flatMap((methods) => Object.keys(methods)).length);
  expect(callsOf(reference, 'decisions').map(({ method, path }) => `${method} ${path}`)).toEqual(['GET /decisions', 'POST /decisions', 'GET /decisions/past']);
});

test.each([
  [{ type: 'string' }, 'string'],
  [{ type: ['string', 'null'], format: 'date-time' }, 'date-time or null'],
  [{ type: 'array', items: { type: 'integer' } }, 'list of integer'],
  [{ type: 'array', items: { $ref: '#/components/schemas/PassTold' } }, 'list of PassTold'],
  [{ oneOf: [{ $ref: '#/components/schemas/StateThen' }, { type: 'null' }] }, 'StateThen or null'],
])('what something may be: %j', (schema, told) => {
  expect(typeOf(schema, words)).toBe(told);
});

test('the shape of something, and of a list of it', () => {
  expect(shapeOf({ type: 'array', items: { $ref: '#/components/schemas/PassTold' } })).toBe('PassTold');
  expect(shapeOf({ type: 'string' })).toBeNull();
});

test('words with code in them', () => {
  expect(partsOf('by `person` or `email`')).toEqual([
    { at: 0, text: 'by ', code: false },
    { at: 4, text: 'person', code: true },
    { at: 11, text: ' or ', code: false },
    { at: 16, text: 'email', code: true },
    { at: 22, text: '', code: false },
  ]);
});

test('a request can be sent as it stands', () => {
  const one = callsOf(reference, 'decisions')[0];

  expect(one && commandOf(one, 'https://keep.example/api/v1')).toBe("curl 'https://keep.example/api/v1/decisions?course=clinker&item=l-garboard&email=eira%40alder.test&words=true' \\\n  -H 'Authorization: Bearer $TOKEN'");
  const undo = callsOf(reference, 'people').find(({ operationId }) => operationId === 'people.undo');
  expect(undo && commandOf(undo, '')).toContain("curl -X DELETE '/people/acts/1'");
});
