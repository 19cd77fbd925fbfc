export interface Answer<T> {
  /** Of HTTP; 0 where the server could not be reached. */
  status: number;
  /** Null where it refused. */
  body: T | null;
}

/** What the page asks beside its visits. */
async function ask<T>(address: string, init: RequestInit): Promise<Answer<T>> {
  try {
    const answer = await fetch(address, { ...init, headers: { Accept: 'application/json', ...init.headers }, credentials: 'same-origin' });
    return { status: answer.status, body: answer.ok ? ((await answer.json()) as T) : null };
  } catch {
    return { status: 0, body: null };
  }
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
  const token = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
  return ask<T>(address, {
    method: 'POST',
    body: JSON.stringify(body),
    keepalive: true,
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token?.split('=')[1] ?? '') },
  });
}
