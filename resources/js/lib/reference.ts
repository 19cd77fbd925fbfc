/** What describes the interface, as far as its page shows it: OpenAPI 3.1. */
export interface ReferenceSchema {
  $ref?: string;
  type?: string | string[];
  format?: string;
  enum?: (string | null)[];
  items?: ReferenceSchema;
  oneOf?: ReferenceSchema[];
  description?: string;
  required?: string[];
  properties?: Record<string, ReferenceSchema>;
}

export interface ReferenceParameter {
  name: string;
  in: 'path' | 'query' | 'header';
  required: boolean;
  description: string;
  schema: ReferenceSchema;
  example?: unknown;
}

type Content = Record<string, { schema: ReferenceSchema; example?: unknown }>;

export interface ReferenceOperation {
  operationId: string;
  tags: string[];
  summary: string;
  description?: string;
  security: Record<string, string[]>[];
  parameters: ReferenceParameter[];
  requestBody?: { content: Content };
  responses: Record<string, { description: string; content?: Content }>;
}

export interface Reference {
  info: { description: string };
  servers: { url: string }[];
  tags: { name: string; description: string }[];
  paths: Record<string, Record<string, ReferenceOperation>>;
  'x-problems': { kind: string; status: number; title: string }[];
  components: { schemas: Record<string, ReferenceSchema> };
}

export interface Call extends ReferenceOperation {
  method: string;
  path: string;
}

/** All operations of a tag, in the order of their addresses. */
export function callsOf(reference: Reference, tag: string): Call[] {
  return Object.entries(reference.paths).flatMap(([path, methods]) =>
    Object.entries(methods)
      .filter(([, operation]) => operation.tags.includes(tag))
      .map(([method, operation]) => ({ ...operation, method: method.toUpperCase(), path })),
  );
}

/** The name of the schema that something is, or is a list of. */
export function shapeOf(schema: ReferenceSchema | undefined): string | null {
  const of = schema?.$ref ?? schema?.items?.$ref ?? schema?.oneOf?.find(({ $ref }) => $ref !== undefined)?.$ref;
  return of === undefined ? null : of.slice(of.lastIndexOf('/') + 1);
}

/** What something may be, in the words of JSON Schema: `list of integer or null`. */
export function typeOf(schema: ReferenceSchema, words: { list: (of: string) => string; or: string }): string {
  if (schema.$ref !== undefined) {
    return shapeOf(schema) ?? '';
  }
  if (schema.oneOf !== undefined) {
    return schema.oneOf.map((one) => typeOf(one, words)).join(` ${words.or} `);
  }
  const types = [schema.type ?? []].flat();
  return types
    .map((type) => (type === 'array' ? words.list(schema.items === undefined ? '' : typeOf(schema.items, words)) : type === 'string' && schema.format !== undefined ? schema.format : type))
    .join(` ${words.or} `);
}

/** Words with code in them, as `code` stands in Markdown, in parts; `at` is where each begins. */
export function partsOf(words: string): { at: number; text: string; code: boolean }[] {
  let at = 0;
  return words.split('`').map((text, index) => {
    const part = { at, text, code: index % 2 === 1 };
    at += text.length + 1;
    return part;
  });
}

/** A request as a command line, from the examples of its parts. */
export function commandOf(call: Call, base: string): string {
  const filled = (where: ReferenceParameter['in']): ReferenceParameter[] => call.parameters.filter((one) => one.in === where && one.example !== undefined);
  const path = filled('path').reduce((address, one) => address.replace(`{${one.name}}`, encodeURIComponent(String(one.example))), call.path);
  const query = filled('query').map((one) => `${one.name}=${encodeURIComponent(String(one.example))}`);
  const [type, content] = Object.entries(call.requestBody?.content ?? {})[0] ?? [undefined, undefined];
  const headers = [
    ...(call.security.some((one) => 'token' in one) ? ['Authorization: Bearer $TOKEN'] : []),
    ...call.parameters.filter((one) => one.in === 'header' && one.required).map((one) => `${one.name}: …`),
    ...(type === undefined ? [] : [`Content-Type: ${type}`]),
  ];
  const body = content?.example === undefined ? '' : ` \\\n  --data '${typeof content.example === 'string' ? content.example : JSON.stringify(content.example)}'`;
  return [`curl ${call.method === 'GET' ? '' : `-X ${call.method} `}'${base}${path}${query.length === 0 ? '' : `?${query.join('&')}`}'`, ...headers.map((one) => `  -H '${one}'`)].join(' \\\n') + body;
}
