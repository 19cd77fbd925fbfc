// May this learner read this now? From somebody else's page; the client is the file at /interface/client.ts of the school.
import { SilentKeep } from '../../resources/api/client';

export function door(school: string, token: string): (email: string) => Promise<string> {
  const keep = new SilentKeep(school, token);
  return async (email) => ((await keep.mayRead('clinker', 'l-planes', email)) ? 'Come in.' : 'Not yet.');
}
