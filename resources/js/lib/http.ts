export interface Answer<T> {
  /** Of HTTP; 0 where the server could not be reached. */
  status: number;
  /** Null where it refused. */
  body: T | null;
  /** What it refused, by field. */
  errors: Record<string, string>;
}

/** What the page asks beside its visits. */
async function ask<T>(address: string, init: RequestInit): Promise<Answer<T>> {
  try {
    const answer = await fetch(address, { ...init, headers: { Accept: 'application/json', ...init.headers }, credentials: 'same-origin' });
    const told: unknown = answer.ok || answer.status === 422 ? await answer.json() : null;
    return { status: answer.status, body: answer.ok ? (told as T) : null, errors: answer.ok ? {} : refusals(told) };
  } catch {
    return { status: 0, body: null, errors: {} };
  }
}

/** The first refusal of each field. */
function refusals(told: unknown): Record<string, string> {
  const errors = typeof told === 'object' && told !== null && 'errors' in told && typeof told.errors === 'object' && told.errors !== null ? Object.entries(told.errors) : [];
  return Object.fromEntries(errors.map(([field, messages]) => [field, String(Array.isArray(messages) ? messages[0] : messages)]));
}

function xsrf(): string {
  const token = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
  return decodeURIComponent(token?.split('=')[1] ?? '');
}

/** Null where the server could not be reached or refused. */
export async function getJson<T>(address: string): Promise<T | null> {
  return (await ask<T>(address, {})).body;
}

/** Null where the server could not be reached or refused. */
export async function postJson<T>(address: string, body: unknown): Promise<T | null> {
  return (await send<T>(address, body)).body;
}

/** As postJson, and tells how it ended. It may outlive the page. */
export function send<T>(address: string, body: unknown): Promise<Answer<T>> {
  return ask<T>(address, {
    method: 'POST',
    body: JSON.stringify(body),
    keepalive: true,
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': xsrf() },
  });
}

/** A file with what goes with it. */
export function sendFile<T>(address: string, fields: Record<string, string>, file: File | null): Promise<Answer<T>> {
  const body = new FormData();
  for (const [name, value] of Object.entries(fields)) {
    body.append(name, value);
  }
  if (file !== null) {
    body.append('file', file);
  }
  return ask<T>(address, { method: 'POST', body, headers: { 'X-XSRF-TOKEN': xsrf() } });
}
