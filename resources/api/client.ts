/*
 * A client of a Silent Keep school in one file, for anything that has `fetch`. Generated from its OpenAPI document: do not edit,
 * fetch it anew. The token belongs on a server.
 *
 *   const keep = new SilentKeep('https://keep.example', process.env.KEEP_TOKEN ?? '');
 *   if (await keep.mayRead('clinker', 'l-planes', 'eira@alder.test')) { … }
 */

export type Problem = { type: string; title: string; status: number; detail?: string; parameter?: string; errors?: Array<{ pointer: string; detail: string }> };

export type AboutStatements = { version: Array<string> };

export type Act = { do: 'give' | 'extend' | 'begin' | 'pause' | 'resume' | 'end' | 'withdraw' | 'give-back' | 'change' | 'grant' | 'take-back' | 'finish' | 'try' | 'label' | 'unlabel' | 'observe' | 'unobserve' | 'write'; people: Array<number>; offer?: string | null; pass?: number | null; grant?: number | null; course?: string | null; item?: string | null; from?: string | null; until?: string | null; days?: number | null; good?: boolean; anew?: boolean; stops?: boolean; label?: string | null; observer?: number | null; note?: string | null; subject?: string | null; body?: string | null };

export type ActOutcome = { words: string; count: number; changes: boolean; names: Array<string> };

export type ActPreview = { told: string; people: number; canBeUndone: boolean; long: boolean; outcomes: Array<ActOutcome> };

export type ActTold = { id: number | null; told: string; touched: number };

export type CartridgeTaken = { course: CourseTold; left: Array<string> };

export type ChangedAmong = { looked: number; touched: number; totals: Array<ChangedCount>; causes: Array<ChangedCause> };

export type ChangedCause = { key: string; words: string; items: number; counts: Array<ChangedCount> };

export type ChangedCount = { effect: 'gain' | 'lose' | 'pause' | 'gain_work' | 'lose_work' | 'longer' | 'shorter' | 'sooner' | 'later' | 'never'; words: string; people: number; items: number; some: Array<ChangedPerson> };

export type ChangedPerson = { id: number; name: string; with: number | null };

export type ChangesTold = { course: string; from: string; until: string; finished: boolean; looked: number; of: number; people: ChangedAmong; observers: ChangedAmong | null };

export type CloudEvent = { specversion: '1.0'; id: string; source: string; type: string; data: EventData; time?: string | null } & Record<string, unknown>;

export type CompletionTold = { course: string; item: string; at: string };

export type CourseList = { items: Array<CourseTold>; next: string | null };

export type CourseTold = { key: string; title: string; state: 'draft' | 'live' | 'retired'; revision: number | null; published_at: string | null; has_draft: boolean };

export type DecideForMany = { course: string; people: Array<number>; items?: Array<string> | null; at?: string | null };

export type Decisions = { course: string; at: string; person: number | null; holds_until: string | null; kept_for: number; items: Array<ItemDecision> };

export type DraftTold = { course: string; version: number; changes: Array<string>; publish_at: string | null };

export type EffectCount = { effect: 'gain' | 'lose' | 'pause' | 'gain_work' | 'lose_work' | 'longer' | 'shorter' | 'sooner' | 'later' | 'never'; words: string; count: number; names: Array<string>; people: Array<number> };

export type Erasure = { email: string };

export type ErasureTold = { person: number; erased_at: string };

export type EventData = { person: EventPerson } & Record<string, unknown>;

export type EventList = { items: Array<EventTold>; next: string | null };

export type EventPerson = { id?: number | null; email?: string | null };

export type EventTaken = { id: string; again: boolean };

export type EventTold = { id: number; system: string; state: 'waiting' | 'taken' | 'failed'; tries: number; made_at: string; tried_at: string | null; status: number | null; event: Record<string, unknown> };

export type GrantTold = { id: number; course: string; item: string; from: string; until: string | null };

export type ImportTold = { id: number; kind: 'csv' | 'oneroster'; state: 'new' | 'reading' | 'ready' | 'refused' | 'bringing in' | 'done' | 'taking back' | 'taken back' | 'gone'; rows: number; tally: Record<string, number>; errors: Array<WrongRow>; problem: string | null };

export type ItemDecision = { item: string; state: 'open' | 'locked' | 'hidden'; via: 'staff' | 'pass' | 'grant' | 'anyone' | 'sample' | 'observer' | 'guest' | null; act: boolean; why: Array<'course_draft' | 'course_retired' | 'course_not_open' | 'course_over' | 'draft' | 'not_in_pass' | 'tier' | 'not_for_you' | 'not_yet' | 'held' | 'closed' | 'progress' | 'stuck' | 'observers_shut' | 'observers_not_here' | 'learner_cannot' | 'pass_revoked' | 'pass_paused' | 'pass_ended' | 'pass_not_started' | 'guests_shut' | 'guests_not_here' | 'sample_needs_account' | 'no_pass' | 'not_signed_in'>; next: StateThen | null; words: string | null };

export type LabelTold = { label: string; until: string | null; by_pass: boolean; source: string };

export type ManyDecisions = { course: string; at: string; missing: Array<number>; people: Array<PersonDecisions> };

export type NewPerson = { name: string; email: string; labels?: Array<string>; offer?: string | null; from?: string | null };

export type PassTold = { id: number; offer: string; course: string; from: string; until: string | null; state: 'active' | 'paused' | 'revoked'; paced_from: string | null; source: string };

export type PastDecisions = { course: string; at: string; person: number | null; revision: number; whole_since: string; was_there: boolean; items: Array<ItemDecision>; known_now: Array<ItemDecision> | null };

export type PeopleFileTold = { id: number; state: 'making' | 'ready' | 'failed' | 'gone'; made: number; of: number };

export type PeopleList = { items: Array<PersonTold>; next: string | null };

export type PersonDecisions = { person: number; items: Array<ItemDecision> };

export type PersonTold = { id: number; name: string; email: string; confirmed: boolean; staff: boolean };

export type PersonWhole = { person: PersonTold; labels: Array<LabelTold>; passes: Array<PassTold>; grants: Array<GrantTold>; completions: Array<CompletionTold> };

export type Plan = { format: 'silent-keep.plan/1'; school: Record<string, unknown>; offers: Array<Record<string, unknown>>; courses: Array<Record<string, unknown>> };

export type PlanChecked = { valid: boolean; offences: Array<PlanOffence> };

export type PlanOffence = { pointer: string; detail: string };

export type Publish = { version: number; receipt?: string | null; note?: string | null; at?: string | null };

export type RehearsalRow = { item: string; title: string; effects: Array<EffectCount> };

export type RehearsalTold = { course: string; version: number; finished: boolean; looked: number; of: number; at: string; losers: number; totals: Array<EffectCount>; rows: Array<RehearsalRow>; receipt: string | null };

export type RevisionList = { items: Array<RevisionTold>; next: string | null };

export type RevisionTold = { number: number; published_at: string; author: string | null; note: string | null };

export type SightlinesTold = { course: string; at: string; rules: 'published' | 'draft'; vantages: Array<VantageSight>; missing: Array<string> };

export type StateThen = { at: string; state: 'open' | 'locked' | 'hidden' };

export type Statement = { actor: Record<string, unknown>; verb: Record<string, unknown>; object: Record<string, unknown>; id?: string | null; timestamp?: string | null } & Record<string, unknown>;

export type StatementIds = Array<string>;

export type TextFile = string;

export type TokenTold = { name: string; abilities: Array<'decide' | 'read-courses' | 'edit-drafts' | 'publish' | 'read-people' | 'change-people' | 'erase-people' | 'record-progress' | 'read-events' | 'replay-events'>; ends: string | null };

export type Vantage = { id: string; kind: 'visitor' | 'guest' | 'member' | 'holder' | 'person' | 'observer'; title: string; name: string; detail: string | null; offer: string | null; since: number | null; day: number | null; diligent: boolean; plan: string | null; labels: Array<string> };

export type VantageSight = { vantage: Vantage; items: Array<ItemDecision> };

export type WrongRow = { line: number; message: string };

/** Why something was refused: problem+json (RFC 9457). */
export class SilentKeepProblem extends Error {
  readonly status: number;
  readonly problem: Partial<Problem>;

  constructor(status: number, problem: Partial<Problem>) {
    super([problem.title, problem.detail].filter((said) => said !== undefined).join(' ') || `Answered ${status}.`);
    this.status = status;
    this.problem = problem;
  }
}

type Parts = Record<string, string | number | boolean | null | undefined>;

export class SilentKeep {
  private readonly school: string;
  private readonly token: string;
  /** Answers that may still be kept, and until when. */
  private readonly kept = new Map<string, { open: boolean; until: number }>();

  /** @param school its address: https://keep.example */
  constructor(school: string, token: string) {
    this.school = school.replace(/\/$/, '');
    this.token = token;
  }

  /** Whether somebody may read an item now. Asked once for as long as the answer may be kept. */
  async mayRead(course: string, item: string, email: string): Promise<boolean> {
    const key = `${course} ${item} ${email}`;
    const known = this.kept.get(key);
    if (known !== undefined && known.until > Date.now()) {
      return known.open;
    }
    const told = await this.decisionsOne(course, { item, email });
    const open = told.items[0]?.state === 'open';
    this.kept.set(key, { open, until: Date.now() + told.kept_for * 1000 });
    return open;
  }

  /** Who gained and who lost at a course between two instants, and by what. */
  async coursesChanges(course: string, from: string, until: string): Promise<ChangesTold> {
    return JSON.parse(await this.send('GET', '/courses/{course}/changes', { 'course': course }, { 'from': from, 'until': until }, {  })) as ChangesTold;
  }

  /** Whether a plan document is valid and fits this school. */
  async coursesCheck(body: Plan): Promise<PlanChecked> {
    return JSON.parse(await this.send('POST', '/plans/check', {  }, {  }, {  }, body, 'application/json')) as PlanChecked;
  }

  /** Throws the draft away. */
  async coursesDiscardDraft(course: string, ifMatch: string): Promise<void> {
    await this.send('DELETE', '/courses/{course}/draft', { 'course': course }, {  }, { 'If-Match': ifMatch });
  }

  /** The draft of a course. */
  async coursesDraft(course: string): Promise<DraftTold> {
    return JSON.parse(await this.send('GET', '/courses/{course}/draft', { 'course': course }, {  }, {  })) as DraftTold;
  }

  /** Courses. */
  async coursesList(more: { after?: string; limit?: number } = {}): Promise<CourseList> {
    return JSON.parse(await this.send('GET', '/courses', {  }, { 'after': more.after, 'limit': more.limit }, {  })) as CourseList;
  }

  /** Makes courses of a plan document. */
  async coursesMake(body: Plan, more: { idempotencyKey?: string } = {}): Promise<CourseList> {
    return JSON.parse(await this.send('POST', '/courses', {  }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/json')) as CourseList;
  }

  /** One course. */
  async coursesOne(course: string): Promise<CourseTold> {
    return JSON.parse(await this.send('GET', '/courses/{course}', { 'course': course }, {  }, {  })) as CourseTold;
  }

  /** The rules of a course as a plan document. */
  async coursesPlan(course: string, more: { revision?: number; draft?: boolean } = {}): Promise<Plan> {
    return JSON.parse(await this.send('GET', '/courses/{course}/plan', { 'course': course }, { 'revision': more.revision, 'draft': more.draft }, {  })) as Plan;
  }

  /** Publishes the draft. */
  async coursesPublish(course: string, body: Publish, more: { idempotencyKey?: string } = {}): Promise<RevisionTold> {
    return JSON.parse(await this.send('POST', '/courses/{course}/publications', { 'course': course }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/json')) as RevisionTold;
  }

  /** Puts a plan document into the draft. */
  async coursesPutDraft(course: string, ifMatch: string, body: Plan): Promise<DraftTold> {
    return JSON.parse(await this.send('PUT', '/courses/{course}/draft', { 'course': course }, {  }, { 'If-Match': ifMatch }, body, 'application/json')) as DraftTold;
  }

  /** What publishing the draft would do to the people. */
  async coursesRehearse(course: string, more: { at?: string } = {}): Promise<RehearsalTold> {
    return JSON.parse(await this.send('GET', '/courses/{course}/rehearsal', { 'course': course }, { 'at': more.at }, {  })) as RehearsalTold;
  }

  /** Publications of a course. */
  async coursesRevisions(course: string, more: { after?: string; limit?: number } = {}): Promise<RevisionList> {
    return JSON.parse(await this.send('GET', '/courses/{course}/revisions', { 'course': course }, { 'after': more.after, 'limit': more.limit }, {  })) as RevisionList;
  }

  /** A course in the eyes of several viewers, at an instant. */
  async coursesSightlines(course: string, more: { vantages?: string; rules?: 'published' | 'draft'; at?: string } = {}): Promise<SightlinesTold> {
    return JSON.parse(await this.send('GET', '/courses/{course}/sightlines', { 'course': course }, { 'vantages': more.vantages, 'rules': more.rules, 'at': more.at }, {  })) as SightlinesTold;
  }

  /** What many people may see of a course, at an instant. */
  async decisionsMany(body: DecideForMany): Promise<ManyDecisions> {
    return JSON.parse(await this.send('POST', '/decisions', {  }, {  }, {  }, body, 'application/json')) as ManyDecisions;
  }

  /** What one viewer may see of a course, at an instant. */
  async decisionsOne(course: string, more: { item?: string; person?: number; email?: string; observes?: number; kind?: 'visitor' | 'guest' | 'member'; offer?: string; from?: string; at?: string; words?: boolean } = {}): Promise<Decisions> {
    return JSON.parse(await this.send('GET', '/decisions', {  }, { 'course': course, 'item': more.item, 'person': more.person, 'email': more.email, 'observes': more.observes, 'kind': more.kind, 'offer': more.offer, 'from': more.from, 'at': more.at, 'words': more.words }, {  })) as Decisions;
  }

  /** What one viewer could see of a course, at an instant that is past. */
  async decisionsPast(course: string, at: string, more: { person?: number; observes?: number; kind?: 'visitor' | 'guest'; words?: boolean } = {}): Promise<PastDecisions> {
    return JSON.parse(await this.send('GET', '/decisions/past', {  }, { 'course': course, 'at': at, 'person': more.person, 'observes': more.observes, 'kind': more.kind, 'words': more.words }, {  })) as PastDecisions;
  }

  /** Events that systems of others were told. */
  async eventsList(more: { state?: 'waiting' | 'taken' | 'failed'; after?: string; limit?: number } = {}): Promise<EventList> {
    return JSON.parse(await this.send('GET', '/events', {  }, { 'state': more.state, 'after': more.after, 'limit': more.limit }, {  })) as EventList;
  }

  /** Tells an event again. */
  async eventsReplay(event: number): Promise<EventTold> {
    return JSON.parse(await this.send('POST', '/events/{event}/replay', { 'event': event }, {  }, {  })) as EventTold;
  }

  /** Brings in all who were read, or nobody. */
  async formatsBringIn(importId: number): Promise<ImportTold> {
    return JSON.parse(await this.send('POST', '/imports/{import}/people', { 'import': importId }, {  }, {  })) as ImportTold;
  }

  /** Openings and closings of a course for one viewer, as iCalendar. */
  async formatsCalendar(course: string, vantage: string): Promise<string> {
    return this.send('GET', '/courses/{course}/calendar.ics', { 'course': course }, { 'vantage': vantage }, {  });
  }

  /** Makes a course of a Common Cartridge. */
  async formatsCartridge(body: string, more: { idempotencyKey?: string } = {}): Promise<CartridgeTaken> {
    return JSON.parse(await this.send('POST', '/cartridges', {  }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/zip')) as CartridgeTaken;
  }

  /** Reads a file of people. */
  async formatsImport(body: string, more: { name?: string; offer?: string; labels?: string; classes?: string; endings?: string; idempotencyKey?: string } = {}): Promise<ImportTold> {
    return JSON.parse(await this.send('POST', '/imports', {  }, { 'name': more.name, 'offer': more.offer, 'labels': more.labels, 'classes': more.classes, 'endings': more.endings }, { 'Idempotency-Key': more.idempotencyKey }, body, 'text/csv')) as ImportTold;
  }

  /** How far a file of people has come. */
  async formatsImportProgress(importId: number): Promise<ImportTold> {
    return JSON.parse(await this.send('GET', '/imports/{import}', { 'import': importId }, {  }, {  })) as ImportTold;
  }

  /** People, as CSV. */
  async formatsPeople(more: { find?: string; holds?: string; label?: string } = {}): Promise<string> {
    return this.send('GET', '/people.csv', {  }, { 'find': more.find, 'holds': more.holds, 'label': more.label }, {  });
  }

  /** Has a file made of people. */
  async formatsPeopleAsk(more: { find?: string; holds?: string; label?: string; idempotencyKey?: string } = {}): Promise<PeopleFileTold> {
    return JSON.parse(await this.send('POST', '/people/files', {  }, { 'find': more.find, 'holds': more.holds, 'label': more.label }, { 'Idempotency-Key': more.idempotencyKey })) as PeopleFileTold;
  }

  /** A file of people that is made. */
  async formatsPeopleFile(file: number): Promise<string> {
    return this.send('GET', '/people/files/{file}.csv', { 'file': file }, {  }, {  });
  }

  /** How far a file of people has come. */
  async formatsPeopleProgress(file: number): Promise<PeopleFileTold> {
    return JSON.parse(await this.send('GET', '/people/files/{file}', { 'file': file }, {  }, {  })) as PeopleFileTold;
  }

  /** A course in the eyes of several viewers, as CSV. */
  async formatsSightlines(course: string, more: { vantages?: string; at?: string } = {}): Promise<string> {
    return this.send('GET', '/courses/{course}/sightlines.csv', { 'course': course }, { 'vantages': more.vantages, 'at': more.at }, {  });
  }

  /** Takes back what a file brought, as far as it has not been changed since. */
  async formatsTakeBack(importId: number): Promise<ImportTold> {
    return JSON.parse(await this.send('DELETE', '/imports/{import}', { 'import': importId }, {  }, {  })) as ImportTold;
  }

  /** Does something to people. */
  async peopleAct(body: Act, more: { idempotencyKey?: string } = {}): Promise<ActTold> {
    return JSON.parse(await this.send('POST', '/people/acts', {  }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/json')) as ActTold;
  }

  /** Erases somebody for good. */
  async peopleErase(person: number, body: Erasure, more: { idempotencyKey?: string } = {}): Promise<ErasureTold> {
    return JSON.parse(await this.send('POST', '/people/{person}/erasure', { 'person': person }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/json')) as ErasureTold;
  }

  /** People. */
  async peopleList(more: { find?: string; holds?: string; label?: string; after?: string; limit?: number } = {}): Promise<PeopleList> {
    return JSON.parse(await this.send('GET', '/people', {  }, { 'find': more.find, 'holds': more.holds, 'label': more.label, 'after': more.after, 'limit': more.limit }, {  })) as PeopleList;
  }

  /** Brings somebody in. */
  async peopleMake(body: NewPerson, more: { idempotencyKey?: string } = {}): Promise<PersonTold> {
    return JSON.parse(await this.send('POST', '/people', {  }, {  }, { 'Idempotency-Key': more.idempotencyKey }, body, 'application/json')) as PersonTold;
  }

  /** Somebody, with what decides what they may see. */
  async peopleOne(person: number): Promise<PersonWhole> {
    return JSON.parse(await this.send('GET', '/people/{person}', { 'person': person }, {  }, {  })) as PersonWhole;
  }

  /** What an act would do. */
  async peoplePreview(body: Act): Promise<ActPreview> {
    return JSON.parse(await this.send('POST', '/people/acts/preview', {  }, {  }, {  }, body, 'application/json')) as ActPreview;
  }

  /** Takes back what was done. */
  async peopleUndo(act: number): Promise<void> {
    await this.send('DELETE', '/people/acts/{act}', { 'act': act }, {  }, {  });
  }

  /** Which versions of xAPI are spoken. */
  async progressAbout(): Promise<AboutStatements> {
    return JSON.parse(await this.send('GET', '/xapi/about', {  }, {  }, {  })) as AboutStatements;
  }

  /** A statement that was taken. */
  async progressOne(statementId: string, more: { xapiVersion?: string } = {}): Promise<Statement> {
    return JSON.parse(await this.send('GET', '/xapi/statements', {  }, { 'statementId': statementId }, { 'X-Experience-API-Version': more.xapiVersion ?? '1.0.3' })) as Statement;
  }

  /** Takes one statement. */
  async progressPut(statementId: string, body: Statement, more: { xapiVersion?: string } = {}): Promise<void> {
    await this.send('PUT', '/xapi/statements', {  }, { 'statementId': statementId }, { 'X-Experience-API-Version': more.xapiVersion ?? '1.0.3' }, body, 'application/json');
  }

  /** Takes statements. */
  async progressTake(body: Statement | Array<Statement>, more: { xapiVersion?: string } = {}): Promise<StatementIds> {
    return JSON.parse(await this.send('POST', '/xapi/statements', {  }, {  }, { 'X-Experience-API-Version': more.xapiVersion ?? '1.0.3' }, body, 'application/json')) as StatementIds;
  }

  /** What the token may, and until when. */
  async tokenShow(): Promise<TokenTold> {
    return JSON.parse(await this.send('GET', '/token', {  }, {  }, {  })) as TokenTold;
  }

  private async send(method: string, address: string, path: Parts, query: Parts, headers: Parts, body?: unknown, type?: string): Promise<string> {
    const given = (parts: Parts): [string, string][] =>
      Object.entries(parts).flatMap(([name, value]) => (value === undefined || value === null ? [] : [[name, String(value)] as [string, string]]));
    const filled = given(path).reduce((left, [name, value]) => left.replace(`{${name}}`, encodeURIComponent(value)), address);
    const asked = new URLSearchParams(given(query)).toString();
    const answer = await fetch(`${this.school}/api/v1${filled}${asked === '' ? '' : `?${asked}`}`, {
      method,
      headers: { Authorization: `Bearer ${this.token}`, Accept: 'application/json', ...(type === undefined ? {} : { 'Content-Type': type }), ...Object.fromEntries(given(headers)) },
      ...(type === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await answer.text();
    if (!answer.ok) {
      let problem: Partial<Problem> = {};
      try {
        problem = JSON.parse(text) as Partial<Problem>;
      } catch {
        // Something between here and the school answered, not the school.
      }
      throw new SilentKeepProblem(answer.status, problem);
    }
    return text;
  }
}
