/** What the page asks beside its visits. Null where the server could not be reached or refused. */
async function ask<T>(address: string, init: RequestInit): Promise<T | null> {
  try {
    const answer = await fetch(address, { ...init, headers: { Accept: 'application/json', ...init.headers }, credentials: 'same-origin' });
    return answer.ok ? ((await answer.json()) as T) : null;
  } catch {
    return null;
  }
}

export function getJson<T>(address: string): Promise<T | null> {
  return ask<T>(address, {});
}

export function postJson<T>(address: string, body: unknown): Promise<T | null> {
  const token = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN='));
  return ask<T>(address, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token?.split('=')[1] ?? '') },
  });
}
