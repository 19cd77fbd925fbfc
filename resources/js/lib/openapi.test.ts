import { Validator } from '@seriousme/openapi-schema-validator';
import { expect, test } from 'vitest';

import document from '../../api/v1.json';

test('the document of the interface is OpenAPI 3.1, as a validator of others reads it', async () => {
  const validator = new Validator();
  const told = await validator.validate(structuredClone(document));

  expect(told.errors ?? []).toEqual([]);
  expect(told.valid).toBe(true);
  expect(validator.version).toBe('3.1');
});

test('that validator finds what is wrong', async () => {
  expect((await new Validator().validate({ openapi: '3.1.0', info: { title: 'A' }, paths: { '/a': { get: { responses: [] } } } })).valid).toBe(false);
});
