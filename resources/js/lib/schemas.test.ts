import Ajv2020 from 'ajv/dist/2020';
import { expect, it } from 'vitest';
import answer from '../../../docs/formats/answer.schema.json';
import ask from '../../../docs/formats/ask.schema.json';
import plan from '../../../docs/formats/plan.schema.json';

it.each(Object.entries({ plan, ask, answer }))('The schema of a %s compiles with a strict validator', (_, schema) => {
    expect(() => new Ajv2020({ strict: true, allErrors: true }).compile(schema)).not.toThrow();
});
