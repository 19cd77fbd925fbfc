<?php

declare(strict_types=1);

/*
 * A client of a Silent Keep school in one file, for PHP 8.1 with cURL. Generated from its OpenAPI document: do not edit, fetch it anew.
 *
 *   $keep = new SilentKeep('https://keep.example', getenv('KEEP_TOKEN'));
 *   if ($keep->mayRead('clinker', 'l-planes', 'eira@alder.test')) { … }
 */

/** Why something was refused: problem+json (RFC 9457). */
final class SilentKeepProblem extends RuntimeException
{
    /** @param  array<string, mixed>  $problem  with `type`, `title`, `status` and, where there is more to say, `detail`, `parameter` and `errors` */
    public function __construct(public readonly int $status, public readonly array $problem)
    {
        $said = array_filter([$problem['title'] ?? null, $problem['detail'] ?? null], 'is_string');
        parent::__construct($said === [] ? "Answered {$status}." : implode(' ', $said), $status);
    }
}

/**
 * @phpstan-type Problem array{type: string, title: string, status: int, detail?: string, parameter?: string, errors?: list<array{pointer: string, detail: string}>}
 * @phpstan-type AboutStatements array{version: list<string>}
 * @phpstan-type Act array{do: 'give'|'extend'|'begin'|'pause'|'resume'|'end'|'withdraw'|'give-back'|'change'|'grant'|'take-back'|'finish'|'try'|'label'|'unlabel'|'observe'|'unobserve'|'write', people: list<int>, offer?: string|null, pass?: int|null, grant?: int|null, course?: string|null, item?: string|null, from?: string|null, until?: string|null, days?: int|null, good?: bool, anew?: bool, stops?: bool, label?: string|null, observer?: int|null, note?: string|null, subject?: string|null, body?: string|null}
 * @phpstan-type ActOutcome array{words: string, count: int, changes: bool, names: list<string>}
 * @phpstan-type ActPreview array{told: string, people: int, canBeUndone: bool, long: bool, outcomes: list<ActOutcome>}
 * @phpstan-type ActTold array{id: int|null, told: string, touched: int}
 * @phpstan-type CartridgeTaken array{course: CourseTold, left: list<string>}
 * @phpstan-type ChangedAmong array{looked: int, touched: int, totals: list<ChangedCount>, causes: list<ChangedCause>}
 * @phpstan-type ChangedCause array{key: string, words: string, items: int, counts: list<ChangedCount>}
 * @phpstan-type ChangedCount array{effect: 'gain'|'lose'|'pause'|'gain_work'|'lose_work'|'longer'|'shorter'|'sooner'|'later'|'never', words: string, people: int, items: int, some: list<ChangedPerson>}
 * @phpstan-type ChangedPerson array{id: int, name: string, with: int|null}
 * @phpstan-type ChangesTold array{course: string, from: string, until: string, finished: bool, looked: int, of: int, people: ChangedAmong, observers: ChangedAmong|null}
 * @phpstan-type CloudEvent array{specversion: '1.0', id: string, source: string, type: string, data: EventData, time?: string|null, ...}
 * @phpstan-type CompletionTold array{course: string, item: string, at: string}
 * @phpstan-type CourseList array{items: list<CourseTold>, next: string|null}
 * @phpstan-type CourseTold array{key: string, title: string, state: 'draft'|'live'|'retired', revision: int|null, published_at: string|null, has_draft: bool}
 * @phpstan-type DecideForMany array{course: string, people: list<int>, items?: list<string>|null, at?: string|null}
 * @phpstan-type Decisions array{course: string, at: string, person: int|null, holds_until: string|null, kept_for: int, items: list<ItemDecision>}
 * @phpstan-type DraftTold array{course: string, version: int, changes: list<string>, publish_at: string|null}
 * @phpstan-type EffectCount array{effect: 'gain'|'lose'|'pause'|'gain_work'|'lose_work'|'longer'|'shorter'|'sooner'|'later'|'never', words: string, count: int, names: list<string>, people: list<int>}
 * @phpstan-type Erasure array{email: string}
 * @phpstan-type ErasureTold array{person: int, erased_at: string}
 * @phpstan-type EventData array{person: EventPerson, ...}
 * @phpstan-type EventList array{items: list<EventTold>, next: string|null}
 * @phpstan-type EventPerson array{id?: int|null, email?: string|null}
 * @phpstan-type EventTaken array{id: string, again: bool}
 * @phpstan-type EventTold array{id: int, system: string, state: 'waiting'|'taken'|'failed', tries: int, made_at: string, tried_at: string|null, status: int|null, event: array<string, mixed>}
 * @phpstan-type GrantTold array{id: int, course: string, item: string, from: string, until: string|null}
 * @phpstan-type ImportTold array{id: int, kind: 'csv'|'oneroster', state: 'new'|'reading'|'ready'|'refused'|'bringing in'|'done'|'taking back'|'taken back'|'gone', rows: int, tally: array<string, int>, errors: list<WrongRow>, problem: string|null}
 * @phpstan-type ItemDecision array{item: string, state: 'open'|'locked'|'hidden', via: 'staff'|'pass'|'grant'|'anyone'|'sample'|'observer'|'guest'|null, act: bool, why: list<'course_draft'|'course_retired'|'course_not_open'|'course_over'|'draft'|'not_in_pass'|'tier'|'not_for_you'|'not_yet'|'held'|'closed'|'progress'|'stuck'|'observers_shut'|'observers_not_here'|'learner_cannot'|'pass_revoked'|'pass_paused'|'pass_ended'|'pass_not_started'|'guests_shut'|'guests_not_here'|'sample_needs_account'|'no_pass'|'not_signed_in'>, next: StateThen|null, words: string|null}
 * @phpstan-type LabelTold array{label: string, until: string|null, by_pass: bool, source: string}
 * @phpstan-type ManyDecisions array{course: string, at: string, missing: list<int>, people: list<PersonDecisions>}
 * @phpstan-type NewPerson array{name: string, email: string, labels?: list<string>, offer?: string|null, from?: string|null}
 * @phpstan-type PassTold array{id: int, offer: string, course: string, from: string, until: string|null, state: 'active'|'paused'|'revoked', paced_from: string|null, source: string}
 * @phpstan-type PastDecisions array{course: string, at: string, person: int|null, revision: int, whole_since: string, was_there: bool, items: list<ItemDecision>, known_now: list<ItemDecision>|null}
 * @phpstan-type PeopleFileTold array{id: int, state: 'making'|'ready'|'failed'|'gone', made: int, of: int}
 * @phpstan-type PeopleList array{items: list<PersonTold>, next: string|null}
 * @phpstan-type PersonDecisions array{person: int, items: list<ItemDecision>}
 * @phpstan-type PersonTold array{id: int, name: string, email: string, confirmed: bool, staff: bool}
 * @phpstan-type PersonWhole array{person: PersonTold, labels: list<LabelTold>, passes: list<PassTold>, grants: list<GrantTold>, completions: list<CompletionTold>}
 * @phpstan-type Plan array{format: 'silent-keep.plan/1', school: array<string, mixed>, offers: list<array<string, mixed>>, courses: list<array<string, mixed>>}
 * @phpstan-type PlanChecked array{valid: bool, offences: list<PlanOffence>}
 * @phpstan-type PlanOffence array{pointer: string, detail: string}
 * @phpstan-type Publish array{version: int, receipt?: string|null, note?: string|null, at?: string|null}
 * @phpstan-type RehearsalRow array{item: string, title: string, effects: list<EffectCount>}
 * @phpstan-type RehearsalTold array{course: string, version: int, finished: bool, looked: int, of: int, at: string, losers: int, totals: list<EffectCount>, rows: list<RehearsalRow>, receipt: string|null}
 * @phpstan-type RevisionList array{items: list<RevisionTold>, next: string|null}
 * @phpstan-type RevisionTold array{number: int, published_at: string, author: string|null, note: string|null}
 * @phpstan-type SightlinesTold array{course: string, at: string, rules: 'published'|'draft', vantages: list<VantageSight>, missing: list<string>}
 * @phpstan-type StateThen array{at: string, state: 'open'|'locked'|'hidden'}
 * @phpstan-type Statement array{actor: array<string, mixed>, verb: array<string, mixed>, object: array<string, mixed>, id?: string|null, timestamp?: string|null, ...}
 * @phpstan-type StatementIds list<string>
 * @phpstan-type TextFile string
 * @phpstan-type TokenTold array{name: string, abilities: list<'decide'|'read-courses'|'edit-drafts'|'publish'|'read-people'|'change-people'|'erase-people'|'record-progress'|'read-events'|'replay-events'>, ends: string|null}
 * @phpstan-type Vantage array{id: string, kind: 'visitor'|'guest'|'member'|'holder'|'person'|'observer', title: string, name: string, detail: string|null, offer: string|null, since: int|null, day: int|null, diligent: bool, plan: string|null, labels: list<string>}
 * @phpstan-type VantageSight array{vantage: Vantage, items: list<ItemDecision>}
 * @phpstan-type WrongRow array{line: int, message: string}
 */
final class SilentKeep
{
    private ?CurlHandle $curl = null;

    /** @var array<string, array{bool, float}> answers that may still be kept, and until when */
    private array $kept = [];

    /**
     * @param  string  $school  its address: https://keep.example
     * @param  float  $seconds  for which an answer is waited for
     */
    public function __construct(private readonly string $school, #[SensitiveParameter] private readonly string $token, private readonly float $seconds = 5.0)
    {
    }

    /**
     * Whether somebody may read an item now. Asked once for as long as the answer may be kept.
     *
     * @throws SilentKeepProblem if the course, the item or the person is not there
     */
    public function mayRead(string $course, string $item, string $email): bool
    {
        $key = "{$course} {$item} {$email}";
        if (! isset($this->kept[$key]) || $this->kept[$key][1] <= microtime(true)) {
            $told = $this->decisionsOne(course: $course, item: $item, email: $email);
            $this->kept[$key] = [$told['items'][0]['state'] === 'open', microtime(true) + $told['kept_for']];
        }

        return $this->kept[$key][0];
    }

    /**
     * Who gained and who lost at a course between two instants, and by what.
     *
     * @param  string  $course  Key of the course.
     * @param  string  $from  The earlier instant.
     * @param  string  $until  The later one: not one to come.
     * @return ChangesTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesChanges(string $course, string $from, string $until): array
    {
        /** @var ChangesTold */
        return self::json($this->send('GET', '/courses/{course}/changes', ['course' => $course], ['from' => $from, 'until' => $until], [], null, null));
    }

    /**
     * Whether a plan document is valid and fits this school.
     *
     * @param  Plan  $body
     * @return PlanChecked
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesCheck(array $body): array
    {
        /** @var PlanChecked */
        return self::json($this->send('POST', '/plans/check', [], [], [], $body, 'application/json'));
    }

    /**
     * Throws the draft away.
     *
     * @param  string  $course  Key of the course.
     * @param  string  $ifMatch  The ETag of what you have read. Where it has changed since, nothing is done.
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesDiscardDraft(string $course, string $ifMatch): void
    {
        $this->send('DELETE', '/courses/{course}/draft', ['course' => $course], [], ['If-Match' => $ifMatch], null, null);
    }

    /**
     * The draft of a course.
     *
     * @param  string  $course  Key of the course.
     * @return DraftTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesDraft(string $course): array
    {
        /** @var DraftTold */
        return self::json($this->send('GET', '/courses/{course}/draft', ['course' => $course], [], [], null, null));
    }

    /**
     * Courses.
     *
     * @param  string|null  $after  Cursor of the list before.
     * @param  int|null  $limit  How many at most: 50, up to 200.
     * @return CourseList
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesList(?string $after = null, ?int $limit = null): array
    {
        /** @var CourseList */
        return self::json($this->send('GET', '/courses', [], ['after' => $after, 'limit' => $limit], [], null, null));
    }

    /**
     * Makes courses of a plan document.
     *
     * @param  Plan  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return CourseList
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesMake(array $body, ?string $idempotencyKey = null): array
    {
        /** @var CourseList */
        return self::json($this->send('POST', '/courses', [], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/json'));
    }

    /**
     * One course.
     *
     * @param  string  $course  Key of the course.
     * @return CourseTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesOne(string $course): array
    {
        /** @var CourseTold */
        return self::json($this->send('GET', '/courses/{course}', ['course' => $course], [], [], null, null));
    }

    /**
     * The rules of a course as a plan document.
     *
     * @param  string  $course  Key of the course.
     * @param  int|null  $revision  Number of a publication. Left out: the one that is live.
     * @param  bool|null  $draft  Whether the draft is wanted instead.
     * @return Plan
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesPlan(string $course, ?int $revision = null, ?bool $draft = null): array
    {
        /** @var Plan */
        return self::json($this->send('GET', '/courses/{course}/plan', ['course' => $course], ['revision' => $revision, 'draft' => $draft], [], null, null));
    }

    /**
     * Publishes the draft.
     *
     * @param  string  $course  Key of the course.
     * @param  Publish  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return RevisionTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesPublish(string $course, array $body, ?string $idempotencyKey = null): array
    {
        /** @var RevisionTold */
        return self::json($this->send('POST', '/courses/{course}/publications', ['course' => $course], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/json'));
    }

    /**
     * Puts a plan document into the draft.
     *
     * @param  string  $course  Key of the course.
     * @param  string  $ifMatch  The ETag of what you have read. Where it has changed since, nothing is done.
     * @param  Plan  $body
     * @return DraftTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesPutDraft(string $course, string $ifMatch, array $body): array
    {
        /** @var DraftTold */
        return self::json($this->send('PUT', '/courses/{course}/draft', ['course' => $course], [], ['If-Match' => $ifMatch], $body, 'application/json'));
    }

    /**
     * What publishing the draft would do to the people.
     *
     * @param  string  $course  Key of the course.
     * @param  string|null  $at  For which instant; left out: at once.
     * @return RehearsalTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesRehearse(string $course, ?string $at = null): array
    {
        /** @var RehearsalTold */
        return self::json($this->send('GET', '/courses/{course}/rehearsal', ['course' => $course], ['at' => $at], [], null, null));
    }

    /**
     * Publications of a course.
     *
     * @param  string  $course  Key of the course.
     * @param  string|null  $after  Cursor of the list before.
     * @param  int|null  $limit  How many at most: 50, up to 200.
     * @return RevisionList
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesRevisions(string $course, ?string $after = null, ?int $limit = null): array
    {
        /** @var RevisionList */
        return self::json($this->send('GET', '/courses/{course}/revisions', ['course' => $course], ['after' => $after, 'limit' => $limit], [], null, null));
    }

    /**
     * A course in the eyes of several viewers, at an instant.
     *
     * @param  string  $course  Key of the course.
     * @param  string|null  $vantages  At most 30, with spaces between them. Left out: the usual ones.
     * @param  'published'|'draft'|null  $rules  Which are looked at. Left out: what is published.
     * @param  string|null  $at  The instant. Left out: now.
     * @return SightlinesTold
     * @throws SilentKeepProblem if it is refused
     */
    public function coursesSightlines(string $course, ?string $vantages = null, ?string $rules = null, ?string $at = null): array
    {
        /** @var SightlinesTold */
        return self::json($this->send('GET', '/courses/{course}/sightlines', ['course' => $course], ['vantages' => $vantages, 'rules' => $rules, 'at' => $at], [], null, null));
    }

    /**
     * What many people may see of a course, at an instant.
     *
     * @param  DecideForMany  $body
     * @return ManyDecisions
     * @throws SilentKeepProblem if it is refused
     */
    public function decisionsMany(array $body): array
    {
        /** @var ManyDecisions */
        return self::json($this->send('POST', '/decisions', [], [], [], $body, 'application/json'));
    }

    /**
     * What one viewer may see of a course, at an instant.
     *
     * @param  string  $course  Key of the course.
     * @param  string|null  $item  Key of the only item that is asked about. Left out: all of them.
     * @param  int|null  $person  Id of whoever looks.
     * @param  string|null  $email  Address of whoever looks.
     * @param  int|null  $observes  Id of the learner with whom that person looks, to whom they are tied.
     * @param  'visitor'|'guest'|'member'|null  $kind  Somebody who holds nothing: not signed in, come by the guest link, or signed in.
     * @param  string|null  $offer  Key of an offer: what whoever takes it would see.
     * @param  string|null  $from  Beginning of the pass by that offer. Left out: the instant that is asked about.
     * @param  string|null  $at  The instant, by the rules and by what is known today; what was told at one that is past stands at `/decisions/past`. Left out: now.
     * @param  bool|null  $words  Whether what is not open says why in words.
     * @return Decisions
     * @throws SilentKeepProblem if it is refused
     */
    public function decisionsOne(string $course, ?string $item = null, ?int $person = null, ?string $email = null, ?int $observes = null, ?string $kind = null, ?string $offer = null, ?string $from = null, ?string $at = null, ?bool $words = null): array
    {
        /** @var Decisions */
        return self::json($this->send('GET', '/decisions', [], ['course' => $course, 'item' => $item, 'person' => $person, 'email' => $email, 'observes' => $observes, 'kind' => $kind, 'offer' => $offer, 'from' => $from, 'at' => $at, 'words' => $words], [], null, null));
    }

    /**
     * What one viewer could see of a course, at an instant that is past.
     *
     * @param  string  $course  Key of the course.
     * @param  string  $at  The instant: not one to come.
     * @param  int|null  $person  Id of whoever looked.
     * @param  int|null  $observes  Id of the learner with whom that person looked; left aside where they were not tied to them then.
     * @param  'visitor'|'guest'|null  $kind  Somebody who held nothing: not signed in, or come by the guest link.
     * @param  bool|null  $words  Whether what was not open says why in words.
     * @return PastDecisions
     * @throws SilentKeepProblem if it is refused
     */
    public function decisionsPast(string $course, string $at, ?int $person = null, ?int $observes = null, ?string $kind = null, ?bool $words = null): array
    {
        /** @var PastDecisions */
        return self::json($this->send('GET', '/decisions/past', [], ['course' => $course, 'at' => $at, 'person' => $person, 'observes' => $observes, 'kind' => $kind, 'words' => $words], [], null, null));
    }

    /**
     * Events that systems of others were told.
     *
     * @param  'waiting'|'taken'|'failed'|null  $state  Those that wait, were taken, or were given up.
     * @param  string|null  $after  Cursor of the list before.
     * @param  int|null  $limit  How many at most: 50, up to 200.
     * @return EventList
     * @throws SilentKeepProblem if it is refused
     */
    public function eventsList(?string $state = null, ?string $after = null, ?int $limit = null): array
    {
        /** @var EventList */
        return self::json($this->send('GET', '/events', [], ['state' => $state, 'after' => $after, 'limit' => $limit], [], null, null));
    }

    /**
     * Tells an event again.
     *
     * @param  int  $event  Number of an event that was told, not its id.
     * @return EventTold
     * @throws SilentKeepProblem if it is refused
     */
    public function eventsReplay(int $event): array
    {
        /** @var EventTold */
        return self::json($this->send('POST', '/events/{event}/replay', ['event' => $event], [], [], null, null));
    }

    /**
     * Brings in all who were read, or nobody.
     *
     * @param  int  $importId  Id of a file that was read.
     * @return ImportTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsBringIn(int $importId): array
    {
        /** @var ImportTold */
        return self::json($this->send('POST', '/imports/{import}/people', ['import' => $importId], [], [], null, null));
    }

    /**
     * Openings and closings of a course for one viewer, as iCalendar.
     *
     * @param  string  $course  Key of the course.
     * @param  string  $vantage  Who looks, as in Sightlines.
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsCalendar(string $course, string $vantage): string
    {
        return $this->send('GET', '/courses/{course}/calendar.ics', ['course' => $course], ['vantage' => $vantage], [], null, null);
    }

    /**
     * Makes a course of a Common Cartridge.
     *
     * @param  string  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return CartridgeTaken
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsCartridge(string $body, ?string $idempotencyKey = null): array
    {
        /** @var CartridgeTaken */
        return self::json($this->send('POST', '/cartridges', [], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/zip'));
    }

    /**
     * Reads a file of people.
     *
     * @param  string  $body
     * @param  string|null  $name  Of the file. Left out: that of its kind.
     * @param  string|null  $offer  Key of the offer for those for whom the file names none.
     * @param  string|null  $labels  For everybody in it, with commas between them.
     * @param  string|null  $classes  Of a bundle: which class is which offer, as CLASS=OFFER, with spaces between them. Other classes are passed over.
     * @param  string|null  $endings  Of a bundle: `left`, and nothing ends by it. Otherwise passes end that files gave to whoever is enrolled no more.
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return ImportTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsImport(string $body, ?string $name = null, ?string $offer = null, ?string $labels = null, ?string $classes = null, ?string $endings = null, ?string $idempotencyKey = null): array
    {
        /** @var ImportTold */
        return self::json($this->send('POST', '/imports', [], ['name' => $name, 'offer' => $offer, 'labels' => $labels, 'classes' => $classes, 'endings' => $endings], ['Idempotency-Key' => $idempotencyKey], $body, 'text/csv'));
    }

    /**
     * How far a file of people has come.
     *
     * @param  int  $importId  Id of a file that was read.
     * @return ImportTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsImportProgress(int $importId): array
    {
        /** @var ImportTold */
        return self::json($this->send('GET', '/imports/{import}', ['import' => $importId], [], [], null, null));
    }

    /**
     * People, as CSV.
     *
     * @param  string|null  $find  A part of name or address.
     * @param  string|null  $holds  Key of an offer: those with an active pass by it.
     * @param  string|null  $label  Those who have it now.
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsPeople(?string $find = null, ?string $holds = null, ?string $label = null): string
    {
        return $this->send('GET', '/people.csv', [], ['find' => $find, 'holds' => $holds, 'label' => $label], [], null, null);
    }

    /**
     * Has a file made of people.
     *
     * @param  string|null  $find  A part of name or address.
     * @param  string|null  $holds  Key of an offer: those with an active pass by it.
     * @param  string|null  $label  Those who have it now.
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return PeopleFileTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsPeopleAsk(?string $find = null, ?string $holds = null, ?string $label = null, ?string $idempotencyKey = null): array
    {
        /** @var PeopleFileTold */
        return self::json($this->send('POST', '/people/files', [], ['find' => $find, 'holds' => $holds, 'label' => $label], ['Idempotency-Key' => $idempotencyKey], null, null));
    }

    /**
     * A file of people that is made.
     *
     * @param  int  $file  Id of a file that was asked for.
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsPeopleFile(int $file): string
    {
        return $this->send('GET', '/people/files/{file}.csv', ['file' => $file], [], [], null, null);
    }

    /**
     * How far a file of people has come.
     *
     * @param  int  $file  Id of a file that was asked for.
     * @return PeopleFileTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsPeopleProgress(int $file): array
    {
        /** @var PeopleFileTold */
        return self::json($this->send('GET', '/people/files/{file}', ['file' => $file], [], [], null, null));
    }

    /**
     * A course in the eyes of several viewers, as CSV.
     *
     * @param  string  $course  Key of the course.
     * @param  string|null  $vantages  At most 30, with spaces between them. Left out: the usual ones.
     * @param  string|null  $at  The instant. Left out: now.
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsSightlines(string $course, ?string $vantages = null, ?string $at = null): string
    {
        return $this->send('GET', '/courses/{course}/sightlines.csv', ['course' => $course], ['vantages' => $vantages, 'at' => $at], [], null, null);
    }

    /**
     * Takes back what a file brought, as far as it has not been changed since.
     *
     * @param  int  $importId  Id of a file that was read.
     * @return ImportTold
     * @throws SilentKeepProblem if it is refused
     */
    public function formatsTakeBack(int $importId): array
    {
        /** @var ImportTold */
        return self::json($this->send('DELETE', '/imports/{import}', ['import' => $importId], [], [], null, null));
    }

    /**
     * Does something to people.
     *
     * @param  Act  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return ActTold
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleAct(array $body, ?string $idempotencyKey = null): array
    {
        /** @var ActTold */
        return self::json($this->send('POST', '/people/acts', [], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/json'));
    }

    /**
     * Erases somebody for good.
     *
     * @param  int  $person  Id of somebody.
     * @param  Erasure  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return ErasureTold
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleErase(int $person, array $body, ?string $idempotencyKey = null): array
    {
        /** @var ErasureTold */
        return self::json($this->send('POST', '/people/{person}/erasure', ['person' => $person], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/json'));
    }

    /**
     * People.
     *
     * @param  string|null  $find  A part of name or address.
     * @param  string|null  $holds  Key of an offer: those with an active pass by it.
     * @param  string|null  $label  Those who have it now.
     * @param  string|null  $after  Cursor of the list before.
     * @param  int|null  $limit  How many at most: 50, up to 200.
     * @return PeopleList
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleList(?string $find = null, ?string $holds = null, ?string $label = null, ?string $after = null, ?int $limit = null): array
    {
        /** @var PeopleList */
        return self::json($this->send('GET', '/people', [], ['find' => $find, 'holds' => $holds, 'label' => $label, 'after' => $after, 'limit' => $limit], [], null, null));
    }

    /**
     * Brings somebody in.
     *
     * @param  NewPerson  $body
     * @param  string|null  $idempotencyKey  Made by whoever asks: what is asked twice with the same key within a day is done once, and answered twice.
     * @return PersonTold
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleMake(array $body, ?string $idempotencyKey = null): array
    {
        /** @var PersonTold */
        return self::json($this->send('POST', '/people', [], [], ['Idempotency-Key' => $idempotencyKey], $body, 'application/json'));
    }

    /**
     * Somebody, with what decides what they may see.
     *
     * @param  int  $person  Id of somebody.
     * @return PersonWhole
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleOne(int $person): array
    {
        /** @var PersonWhole */
        return self::json($this->send('GET', '/people/{person}', ['person' => $person], [], [], null, null));
    }

    /**
     * What an act would do.
     *
     * @param  Act  $body
     * @return ActPreview
     * @throws SilentKeepProblem if it is refused
     */
    public function peoplePreview(array $body): array
    {
        /** @var ActPreview */
        return self::json($this->send('POST', '/people/acts/preview', [], [], [], $body, 'application/json'));
    }

    /**
     * Takes back what was done.
     *
     * @param  int  $act  Id of what was done.
     * @throws SilentKeepProblem if it is refused
     */
    public function peopleUndo(int $act): void
    {
        $this->send('DELETE', '/people/acts/{act}', ['act' => $act], [], [], null, null);
    }

    /**
     * Which versions of xAPI are spoken.
     *
     * @return AboutStatements
     * @throws SilentKeepProblem if it is refused
     */
    public function progressAbout(): array
    {
        /** @var AboutStatements */
        return self::json($this->send('GET', '/xapi/about', [], [], [], null, null));
    }

    /**
     * A statement that was taken.
     *
     * @param  string  $statementId  Its id, a UUID.
     * @param  string  $xapiVersion  The version of xAPI that is spoken.
     * @return Statement
     * @throws SilentKeepProblem if it is refused
     */
    public function progressOne(string $statementId, string $xapiVersion = '1.0.3'): array
    {
        /** @var Statement */
        return self::json($this->send('GET', '/xapi/statements', [], ['statementId' => $statementId], ['X-Experience-API-Version' => $xapiVersion], null, null));
    }

    /**
     * Takes one statement.
     *
     * @param  string  $statementId  Its id, a UUID.
     * @param  Statement  $body
     * @param  string  $xapiVersion  The version of xAPI that is spoken.
     * @throws SilentKeepProblem if it is refused
     */
    public function progressPut(string $statementId, array $body, string $xapiVersion = '1.0.3'): void
    {
        $this->send('PUT', '/xapi/statements', [], ['statementId' => $statementId], ['X-Experience-API-Version' => $xapiVersion], $body, 'application/json');
    }

    /**
     * Takes statements.
     *
     * @param  Statement|list<Statement>  $body
     * @param  string  $xapiVersion  The version of xAPI that is spoken.
     * @return StatementIds
     * @throws SilentKeepProblem if it is refused
     */
    public function progressTake(array $body, string $xapiVersion = '1.0.3'): array
    {
        /** @var StatementIds */
        return self::json($this->send('POST', '/xapi/statements', [], [], ['X-Experience-API-Version' => $xapiVersion], $body, 'application/json'));
    }

    /**
     * What the token may, and until when.
     *
     * @return TokenTold
     * @throws SilentKeepProblem if it is refused
     */
    public function tokenShow(): array
    {
        /** @var TokenTold */
        return self::json($this->send('GET', '/token', [], [], [], null, null));
    }

    /**
     * @param  array<string, mixed>  $path
     * @param  array<string, mixed>  $query
     * @param  array<string, mixed>  $headers
     *
     * @throws SilentKeepProblem
     */
    private function send(string $method, string $address, array $path, array $query, array $headers, mixed $body, ?string $type): string
    {
        foreach ($path as $name => $value) {
            $address = str_replace("{{$name}}", rawurlencode((string) $value), $address);
        }
        $query = array_map(static fn (mixed $value): mixed => is_bool($value) ? ($value ? 'true' : 'false') : $value, array_filter($query, static fn (mixed $value): bool => $value !== null));
        $lines = ["Authorization: Bearer {$this->token}", 'Accept: application/json'];
        foreach (array_filter($headers, static fn (mixed $value): bool => $value !== null) as $name => $value) {
            $lines[] = "{$name}: {$value}";
        }
        // One connection for all that is asked.
        $this->curl ??= curl_init();
        curl_reset($this->curl);
        $options = [CURLOPT_URL => rtrim($this->school, '/').'/api/v1'.$address.($query === [] ? '' : '?'.http_build_query($query, '', '&', PHP_QUERY_RFC3986)), CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT_MS => (int) ($this->seconds * 1000)];
        if ($type !== null) {
            $lines[] = "Content-Type: {$type}";
            $options[CURLOPT_POSTFIELDS] = is_string($body) ? $body : json_encode($body, JSON_THROW_ON_ERROR);
        }
        curl_setopt_array($this->curl, $options + [CURLOPT_HTTPHEADER => $lines]);
        $answer = curl_exec($this->curl);
        $status = (int) curl_getinfo($this->curl, CURLINFO_RESPONSE_CODE);
        if (! is_string($answer)) {
            throw new SilentKeepProblem(0, ['title' => curl_error($this->curl)]);
        }
        if ($status < 200 || $status >= 300) {
            $problem = json_decode($answer, true);
            throw new SilentKeepProblem($status, is_array($problem) ? $problem : []);
        }

        return $answer;
    }

    private static function json(string $answer): mixed
    {
        return json_decode($answer, true, 512, JSON_THROW_ON_ERROR);
    }
}
