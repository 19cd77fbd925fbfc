<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Models\Activity;
use App\Models\ActRecord;
use App\Models\Import;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use App\School\Tokens\Ability;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Cartridges\MakesCartridges;
use Tests\TestCase;

/** People, and what is done to them, from outside: as the pages do it. */
final class PeopleTest extends TestCase
{
    use AsksTheInterface;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_lists_are_of_those_who_are_meant(): void
    {
        $ids = fn (string $query): array => array_column($this->body($this->ask('GET', "/people?limit=200{$query}")->assertOk())['items'], 'id');

        self::assertSame(Person::query()->orderBy('id')->pluck('id')->all(), $ids(''));
        self::assertSame([$this->person('eira')->id], $ids('&find=eira'));
        self::assertSame([27, 28], $ids('&holds=refit-crew'));
        self::assertSame([], $ids('&holds=nothing'));
        Label::query()->create(['person_id' => 5, 'label' => 'spring', 'source' => 'by hand']);
        self::assertSame([5], $ids('&label=spring'));
    }

    public function test_a_list_asks_as_often_however_long_it_is(): void
    {
        $asked = function (int $limit): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->ask('GET', "/people?limit={$limit}")->assertOk();

            return count(DB::getQueryLog());
        };
        $asked(1);

        self::assertSame($asked(1), $asked(40));
    }

    public function test_somebody_is_told_whole(): void
    {
        $this->ask('POST', '/people/acts', ['do' => 'label', 'people' => [3], 'label' => 'spring', 'until' => '2026-04-01T00:00:00+02:00'])->assertCreated();
        $this->ask('POST', '/people/acts', ['do' => 'grant', 'people' => [3], 'course' => 'clinker', 'item' => 'l-bonus', 'until' => '2026-05-01T08:00:00Z'])->assertCreated();
        $whole = $this->body($this->ask('GET', '/people/3')->assertOk());

        self::assertSame('eira@alder.test', $whole['person']['email']);
        self::assertSame(['spring', '2026-03-31T22:00:00Z', false], [$whole['labels'][0]['label'], $whole['labels'][0]['until'], $whole['labels'][0]['by_pass']]);
        self::assertSame(['apprentice-pass', 'clinker', 'active', '2026-03-02T12:00:00Z'], [$whole['passes'][0]['offer'], $whole['passes'][0]['course'], $whole['passes'][0]['state'], $whole['passes'][0]['from']]);
        self::assertSame(['clinker', 'l-bonus', '2026-05-01T08:00:00Z'], [$whole['grants'][0]['course'], $whole['grants'][0]['item'], $whole['grants'][0]['until']]);
        $this->ask('GET', '/people/99999')->assertStatus(404);
        $this->ask('GET', '/people/99999999999999999999')->assertStatus(404);
    }

    public function test_somebody_is_brought_in_with_what_they_get(): void
    {
        $made = $this->body($this->ask('POST', '/people', ['name' => ' Vigdis Holm ', 'email' => 'Vigdis@Alder.Test', 'labels' => ['spring'], 'offer' => 'taster', 'from' => '2026-03-20T08:00:00Z'])->assertCreated());
        $whole = $this->body($this->ask('GET', "/people/{$made['id']}"));

        self::assertSame(['Vigdis Holm', 'vigdis@alder.test', true, false], [$made['name'], $made['email'], $made['confirmed'], $made['staff']]);
        self::assertSame(['spring'], array_column($whole['labels'], 'label'));
        self::assertSame(['taster', '2026-03-20T08:00:00Z'], [$whole['passes'][0]['offer'], $whole['passes'][0]['from']]);
        self::assertStringContainsString('/sign-in/link/', $this->linkTo('vigdis@alder.test'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no address' => [['name' => 'A', 'email' => 'nobody'], '/email'];
        yield 'no name' => [['name' => '', 'email' => 'a@alder.test'], '/name'];
        yield 'an offer that is not there' => [['name' => 'A', 'email' => 'a@alder.test', 'offer' => 'nothing'], '/offer'];
        yield 'a label with a comma' => [['name' => 'A', 'email' => 'a@alder.test', 'labels' => ['a,b']], '/labels/0'];
        yield 'a role' => [['name' => 'A', 'email' => 'a@alder.test', 'role' => 'administrator'], '/role'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('wrong')]
    public function test_who_is_not_as_described_is_refused_where_it_is(array $body, string $pointer): void
    {
        $before = Person::query()->count();

        self::assertSame([$pointer], array_column($this->body($this->ask('POST', '/people', $body)->assertStatus(422))['errors'], 'pointer'));
        self::assertSame($before, Person::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, \Closure(self): mixed, mixed}> */
    public static function acts(): iterable
    {
        $pass = static fn (int $id): \Closure => static fn (self $test): array => Pass::query()->findOrFail($id)->only(['state', 'ends_at', 'offer_id']);
        $end = static fn (int $id): \Closure => static fn (self $test): ?string => Pass::query()->findOrFail($id)->ends_at?->format('Y-m-d\TH:i\Z');
        $state = static fn (int $id): \Closure => static fn (self $test): string => Pass::query()->findOrFail($id)->state;
        yield 'give' => [['do' => 'give', 'people' => [10], 'offer' => 'taster'], static fn (self $test): int => Pass::query()->where('person_id', 10)->count(), 2];
        yield 'extend by days' => [['do' => 'extend', 'people' => [3], 'pass' => 1, 'days' => 7], $end(1), '2026-09-05T11:00Z'];
        yield 'extend to an instant' => [['do' => 'extend', 'people' => [3], 'pass' => 1, 'until' => '2026-12-01T08:00:00Z'], $end(1), '2026-12-01T08:00Z'];
        yield 'extend for good' => [['do' => 'extend', 'people' => [3], 'offer' => 'apprentice-pass', 'good' => true], $end(1), null];
        yield 'begin' => [['do' => 'begin', 'people' => [3], 'pass' => 1], static fn (self $test): int => ActRecord::query()->count(), 0];
        yield 'pause' => [['do' => 'pause', 'people' => [3], 'offer' => 'apprentice-pass'], $state(1), 'paused'];
        yield 'resume' => [['do' => 'resume', 'people' => [12], 'pass' => 10], $state(10), 'active'];
        yield 'end' => [['do' => 'end', 'people' => [3], 'pass' => 1], $end(1), '2026-03-10T12:00Z'];
        yield 'withdraw' => [['do' => 'withdraw', 'people' => [3], 'pass' => 1], $state(1), 'revoked'];
        yield 'give back' => [['do' => 'give-back', 'people' => [13], 'pass' => 11], $state(11), 'active'];
        yield 'change' => [['do' => 'change', 'people' => [3], 'pass' => 1, 'offer' => 'journeyman-pass'], static fn (self $test): int => Pass::query()->findOrFail(1)->offer_id, 2];
        yield 'observe' => [['do' => 'observe', 'people' => [3], 'observer' => 43], static fn (self $test): bool => DB::table('observer_ties')->where('learner_id', 3)->where('observer_id', 43)->exists(), true];
        yield 'unlabel' => [['do' => 'unlabel', 'people' => [3], 'label' => 'nothing'], static fn (self $test): int => ActRecord::query()->count(), 0];
    }

    /**
     * @param  array<string, mixed>  $act
     * @param  \Closure(self): mixed  $is
     */
    #[DataProvider('acts')]
    public function test_it_is_done_noted_and_taken_back(array $act, \Closure $is, mixed $after): void
    {
        $before = $is($this);
        $preview = $this->body($this->ask('POST', '/people/acts/preview', $act)->assertOk());
        self::assertSame($before, $is($this));
        $done = $this->body($this->ask('POST', '/people/acts', $act)->assertCreated());

        self::assertSame($after, $is($this));
        self::assertSame($preview['told'], $done['told']);
        if ($done['id'] !== null) {
            self::assertGreaterThan(0, Activity::query()->where('actor_id', $this->person('hege')->id)->where('person_id', $act['people'][0])->count());
            $this->ask('DELETE', "/people/acts/{$done['id']}")->assertStatus(204);
            self::assertSame($before, $is($this));
            $this->ask('DELETE', "/people/acts/{$done['id']}")->assertStatus(409);
        }
    }

    public function test_what_an_act_needs_is_asked_for(): void
    {
        foreach ([[['do' => 'give'], ['/offer']], [['do' => 'extend', 'pass' => 1], ['/days']], [['do' => 'extend', 'days' => 3], ['/pass']], [['do' => 'change', 'offer' => 'taster'], ['/pass']], [['do' => 'grant'], ['/course', '/item']], [['do' => 'take-back'], ['/grant']],
            [['do' => 'label'], ['/label']], [['do' => 'observe'], ['/observer']], [['do' => 'write'], ['/subject', '/body']]] as [$act, $pointers]) {
            self::assertSame($pointers, array_column($this->body($this->ask('POST', '/people/acts', ['people' => [3]] + $act)->assertStatus(422))['errors'], 'pointer'), $act['do']);
        }
        self::assertSame(0, ActRecord::query()->count());
    }

    public function test_it_is_done_to_all_or_to_nobody(): void
    {
        $refused = $this->body($this->ask('POST', '/people/acts', ['do' => 'label', 'people' => [3, 99999], 'label' => 'spring'])->assertStatus(422));

        self::assertSame('/people/1', $refused['errors'][0]['pointer']);
        self::assertSame(0, Label::query()->where('label', 'spring')->count());
        self::assertSame(2, $this->body($this->ask('POST', '/people/acts', ['do' => 'label', 'people' => [3, 4], 'label' => 'spring']))['touched']);
    }

    public function test_a_file_of_people_is_read_and_brought_in(): void
    {
        $token = $this->token(Ability::cases());
        $told = $this->body($this->send('POST', '/imports?offer=taster&labels=spring,%20boats', "name;e-mail\r\nVigdis Holm;vigdis@alder.test\r\nEira;eira@alder.test\r\n", $token, ['Content-Type' => 'text/csv'])->assertStatus(202));
        $import = Import::query()->sole();
        self::assertSame($told['id'], $import->id);
        $read = $this->body($this->ask('GET', "/imports/{$import->id}"));
        self::assertSame(['ready', 2, ['new' => 1, 'known' => 1]], [$read['state'], $read['rows'], $read['tally']]);
        self::assertNull(Person::query()->where('email', 'vigdis@alder.test')->first());

        $this->ask('POST', "/imports/{$import->id}/people")->assertStatus(202);
        self::assertSame('done', $this->body($this->ask('GET', "/imports/{$import->id}"))['state']);
        $made = Person::query()->where('email', 'vigdis@alder.test')->firstOrFail();
        self::assertEqualsCanonicalizing(['spring', 'boats'], Label::query()->where('person_id', $made->id)->pluck('label')->all());
        self::assertSame(1, Pass::query()->where('person_id', $made->id)->count());
        $this->ask('POST', "/imports/{$import->id}/people")->assertStatus(409);
    }

    public function test_a_bundle_of_rosters_is_read_by_its_classes(): void
    {
        $bundle = MakesCartridges::zip([
            'users.csv' => "sourcedId,status,enabledUser,givenName,familyName,email,role\nu1,active,true,Vigdis,Holm,vigdis@alder.test,student\nu2,active,true,Runa,Vik,runa.vik@alder.test,student\n",
            'classes.csv' => "sourcedId,title\nc1,Spring\nc2,Autumn\n",
            'enrollments.csv' => "sourcedId,classSourcedId,userSourcedId,role\ne1,c1,u1,student\ne2,c2,u2,student\n",
        ]);
        $token = $this->token(Ability::cases());
        $zip = ['Content-Type' => 'application/zip'];
        self::assertSame('classes', $this->body($this->send('POST', '/imports?classes=c9%3Dtaster', $bundle, $token, $zip)->assertStatus(422))['parameter']);
        self::assertSame('classes', $this->body($this->send('POST', '/imports?classes=c1%3Dnothing', $bundle, $token, $zip)->assertStatus(422))['parameter']);
        $told = $this->body($this->send('POST', '/imports?classes=c1%3Dtaster', $bundle, $token, $zip)->assertStatus(202));
        self::assertSame(['oneroster', 'ready', ['new' => 1]], [$told['kind'], $told['state'], $told['tally']]);
        $this->ask('POST', "/imports/{$told['id']}/people")->assertStatus(202);

        self::assertSame(['taster'], Pass::query()->where('person_id', Person::query()->where('email', 'vigdis@alder.test')->firstOrFail()->id)->get()->map(static fn (Pass $pass): string => $pass->offer->key)->all());
    }

    public function test_many_are_acted_on_at_once_and_all_of_it_is_taken_back(): void
    {
        $ids = [];
        for ($number = 0; $number < 150; $number++) {
            $ids[] = Person::query()->create(['name' => "Person {$number}", 'email' => "p{$number}@many.test"])->id;
        }
        $act = ['do' => 'give', 'people' => $ids, 'offer' => 'taster', 'from' => '2026-03-12T08:00:30+01:00'];
        $done = $this->body($this->ask('POST', '/people/acts', $act, headers: ['Idempotency-Key' => 'a'])->assertCreated());

        self::assertSame(150, $done['touched']);
        self::assertSame(150, Pass::query()->whereIn('person_id', $ids)->where('starts_at', '2026-03-12 07:00:30')->count());
        self::assertSame($done, $this->body($this->ask('POST', '/people/acts', $act, headers: ['Idempotency-Key' => 'a'])));
        $this->ask('DELETE', "/people/acts/{$done['id']}")->assertStatus(204);
        self::assertSame(0, Pass::query()->whereIn('person_id', $ids)->count());
    }

    public function test_a_file_that_is_none_is_refused_and_not_kept(): void
    {
        $token = $this->token(Ability::cases());
        $before = Storage::files('imports');
        $this->send('POST', '/imports', '', $token, ['Content-Type' => 'text/csv'])->assertStatus(400);
        $this->send('POST', '/imports', "a,b\n1,2\n", $token, ['Content-Type' => 'text/csv'])->assertStatus(422);
        $this->send('POST', '/imports', "PK\x03\x04nonsense", $token, ['Content-Type' => 'application/zip'])->assertStatus(422);
        $this->send('POST', '/imports?offer=nothing', "name,e-mail\n", $token, ['Content-Type' => 'text/csv'])->assertStatus(422);
        $this->send('POST', '/imports', "name,e-mail\n", $token, ['Content-Type' => 'text/html'])->assertStatus(415);

        self::assertSame($before, Storage::files('imports'));
        self::assertSame(0, Import::query()->count());
    }

    public function test_somebody_is_erased_by_number_and_address(): void
    {
        $eira = $this->person('eira');
        $path = "/people/{$eira->id}/erasure";
        $this->ask('POST', $path, ['email' => 'eira@alder.test'], $this->token([Ability::ChangePeople, Ability::ReadPeople]))->assertForbidden();
        self::assertSame('/email', $this->ask('POST', $path, ['email' => 'kaia@alder.test'])->assertUnprocessable()->json('errors.0.pointer'));
        self::assertNull($eira->refresh()->erased_at);
        $told = $this->ask('POST', $path, ['email' => ' Eira@Alder.test'], headers: ['Idempotency-Key' => 'forget'])->assertStatus(202)->json();
        self::assertSame($eira->id, $told['person']);
        // The same once more is the same answer; another one finds nobody.
        self::assertSame($told, $this->ask('POST', $path, ['email' => ' Eira@Alder.test'], headers: ['Idempotency-Key' => 'forget'])->assertStatus(202)->json());
        $this->ask('POST', $path, ['email' => 'eira@alder.test'])->assertStatus(409);
        self::assertSame([0, 1], [Person::query()->where('email', 'eira@alder.test')->count(), DB::table('erased_people')->where('person_id', $eira->id)->count()]);
        $hege = $this->person('hege');
        self::assertSame("person {$hege->id}", DB::table('erased_people')->value('by'));
        $this->ask('POST', "/people/{$hege->id}/erasure", ['email' => 'hege@alder.test'])->assertStatus(409);
        self::assertNull($hege->refresh()->erased_at);
        $this->ask('POST', '/people/987654/erasure', ['email' => 'x@alder.test'])->assertNotFound();
    }
}
