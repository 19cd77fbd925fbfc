<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Database\Dialects;
use App\Models\Completion;
use App\Models\Message;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SignInLink;
use App\Standins\Mail\Postbox;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Whoever types an address at a checkout or before a sample has not shown that it is theirs. */
final class WhoseAddressTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_whoever_typed_an_address_first_is_out_once_its_owner_uses_the_link(): void
    {
        $this->buy('owner@elsewhere.test', 'The one who typed it');
        $session = session()->all();
        $visitor = Auth::user();
        $this->get('/courses/clinker/l-planes')->assertOk();

        $this->anotherDevice();
        $this->post($this->linkTo('owner@elsewhere.test'))->assertRedirect();
        $owner = Person::query()->where('email', 'owner@elsewhere.test')->sole();
        $this->assertAuthenticatedAs($owner);
        $this->get('/courses/clinker/l-planes')->assertOk();

        // The first device, with all that its cookie stands for.
        $this->anotherDevice();
        $this->withSession($session);
        self::assertInstanceOf(Person::class, $visitor);
        $this->get('/courses/clinker/l-planes')->assertUnauthorized();
        $this->assertGuest();
    }

    public function test_typing_somebodys_address_opens_nothing_of_theirs(): void
    {
        $eira = $this->person('eira');
        $this->buy('EIRA@alder.test', 'Not Eira');
        self::assertNotSame($eira->id, Auth::id());
        // What Eira holds by her own pass, and what she has finished, is not there; what was bought in this visit is.
        self::assertSame(1, Pass::query()->where('person_id', Auth::id())->count());
        self::assertSame(1, Pass::query()->where('person_id', $eira->id)->count());
        self::assertSame(0, Completion::query()->where('person_id', Auth::id())->count());
        $this->get('/courses/clinker/l-garboard')->assertForbidden();
    }

    public function test_what_was_bought_comes_to_the_account_when_its_owner_says_so(): void
    {
        $eira = $this->person('eira');
        $this->buy('eira@alder.test', 'Eira H.');
        $this->post('/courses/clinker/l-timber/finished');
        $this->anotherDevice();
        $this->post($this->linkTo('eira@alder.test'))->assertRedirect();
        $this->assertAuthenticatedAs($eira);
        self::assertSame(['apprentice-pass', 'tools-only'], Pass::query()->with('offer')->where('person_id', $eira->id)->orderBy('id')->get()->map(static fn (Pass $pass): string => $pass->offer->key)->all());
        self::assertSame('Eira Holm', $eira->refresh()->name);
        self::assertSame(0, Person::query()->whereNotNull('claimed_email')->count());
        self::assertSame(0, DB::table('passes')->leftJoin('people', 'people.id', '=', 'passes.person_id')->whereNull('people.id')->count());
        // What stood there before stands there still: nothing of it was doubled.
        self::assertSame(DB::table('completions')->where('person_id', $eira->id)->count(), DB::table('completions')->where('person_id', $eira->id)->distinct()->count('item_key'));
    }

    /** Known or not: the same status, words, headers and as many letters. */
    /** Under an address that had not been confirmed, a trial could be had a second time. */
    #[DataProvider('claims')]
    public function test_what_is_there_once_for_each_person_stays_so_when_an_address_is_confirmed(string $who, string $offer, string $state): void
    {
        DB::table('offers')->where('key', 'tools-only')->update(['not_after_course' => true]);
        $this->post("/checkout/{$offer}", ['name' => 'Somebody', 'email' => "{$who}@alder.test"])->assertSessionHas('flash.kind', 'done');
        $this->anotherDevice();
        $this->post($this->linkTo("{$who}@alder.test"))->assertRedirect();
        $account = $this->person($who);
        self::assertSame($state, Pass::query()->where('person_id', $account->id)->latest('id')->value('state'));
        self::assertSame($state === 'revoked' ? 1 : 0, DB::table('activities')->where('person_id', $account->id)->where('action', 'pass.withdrawn')->count());
    }

    /** @return array<string, array{string, string, string}> */
    public static function claims(): array
    {
        return [
            'a trial that had ended' => ['nina', 'yard-trial', 'revoked'],
            'a trial, by who holds another pass of its course' => ['eira', 'yard-trial', 'revoked'],
            'a trial, by who has held nothing of it' => ['jonas', 'yard-trial', 'active'],
            'what was paid for, though it is not for who has held a pass' => ['nina', 'tools-only', 'active'],
        ];
    }

    #[DataProvider('forms')]
    public function test_no_answer_tells_whether_an_address_has_an_account(string $address, bool $named): void
    {
        $answers = [];
        // The first one of all asks what is asked once for all requests of this process.
        foreach (['warm@elsewhere.test', 'eira@alder.test', 'nobody@elsewhere.test'] as $email) {
            $this->anotherDevice();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $answer = $this->from('/x')->post($address, ['email' => $email, 'item' => '', ...($named ? ['name' => 'Somebody'] : [])]);
            $queries = count(array_filter(DB::getQueryLog(), static fn (array $one): bool => ! str_contains($one['query'], 'sign_in_links') && ! str_contains($one['query'], 'messages')));
            $flash = session('flash');
            $answers[] = [$answer->getStatusCode(), $answer->headers->get('Location'), str_replace($email, '', is_array($flash) && is_string($flash['text']) ? $flash['text'] : ''), session('errors') === null, $named ? $queries : 0];
        }
        self::assertSame($answers[1], $answers[2]);
    }

    /** @return array<string, array{string, bool}> */
    public static function forms(): array
    {
        return ['checkout' => ['/checkout/tools-only', true], 'sample' => ['/courses/clinker/l-welcome/look', true], 'link' => ['/sign-in/link', false]];
    }

    public function test_a_link_is_looked_up_by_the_queue_so_that_the_time_tells_nothing(): void
    {
        config(['queue.default' => 'database']);
        foreach (['eira@alder.test', 'nobody@elsewhere.test'] as $email) {
            $this->post('/sign-in/link', ['email' => $email])->assertSessionHasNoErrors();
        }
        self::assertSame([2, 0], [DB::table('jobs')->count(), SignInLink::query()->count()]);
    }

    public function test_letters_to_an_address_are_throttled_whoever_asks_for_them_and_whoever_has_it(): void
    {
        foreach (['eira@alder.test', 'nobody@elsewhere.test'] as $email) {
            for ($n = 1; $n <= 4; $n++) {
                $this->anotherDevice("10.0.0.{$n}");
                $this->post('/sign-in/link', ['email' => $email])->assertSessionHasNoErrors();
            }
            $this->anotherDevice('10.0.0.9');
            $this->post('/sign-in/link', ['email' => strtoupper($email)])->assertSessionHasErrors('email');
            $this->post('/checkout/tools-only', ['name' => 'X', 'email' => $email])->assertSessionHasErrors('email');
        }
    }

    public function test_one_source_is_throttled_whatever_the_addresses(): void
    {
        for ($n = 0; $n < 20; $n++) {
            \App\Http\Throttles::letterTo("n{$n}@elsewhere.test", request());
        }
        $this->expectException(\Illuminate\Validation\ValidationException::class);
        \App\Http\Throttles::letterTo('another@elsewhere.test', request());
    }

    public function test_a_link_is_shown_to_nobody_and_kept_as_a_hash(): void
    {
        $this->post('/sign-in/link', ['email' => 'eira@alder.test']);
        $link = $this->linkTo('eira@alder.test');
        $token = basename($link);
        $shown = Message::query()->where('to', 'eira@alder.test')->sole()->body;
        self::assertStringNotContainsString($token, $shown);
        self::assertStringContainsString('[a link that only they were sent]', $shown);
        $this->actingAs($this->person('hege'))->get('/keep/outbox')->assertOk()->assertDontSee($token);
        foreach (Dialects::spoken()->tables() as $table) {
            foreach (DB::table($table)->get() as $row) {
                self::assertStringNotContainsString($token, (string) json_encode($row), $table);
            }
        }
    }

    public function test_using_one_link_ends_the_others(): void
    {
        $this->post('/sign-in/link', ['email' => 'eira@alder.test']);
        $first = $this->linkTo('eira@alder.test');
        $this->travel(1)->minutes();
        $this->post('/sign-in/link', ['email' => 'eira@alder.test']);
        $second = $this->linkTo('eira@alder.test');
        self::assertNotSame($first, $second);
        $this->post($second)->assertRedirect();
        $this->assertAuthenticatedAs($this->person('eira'));
        $this->anotherDevice();
        $this->post($first);
        $this->assertGuest();
    }

    public function test_addresses_in_letters_are_the_configured_ones_whatever_the_host_header_says(): void
    {
        config(['app.url' => 'https://learn.alder.test']);
        $this->post('http://evil.test/sign-in/link', ['email' => 'eira@alder.test'], ['Host' => 'evil.test', 'X-Forwarded-Host' => 'evil.test']);
        $letters = iterator_to_array(app(Postbox::class)->letters('eira@alder.test'), false);
        self::assertStringContainsString('https://learn.alder.test/sign-in/link/', $letters[0]);
        self::assertStringNotContainsString('evil', $letters[0]);
    }

    public function test_a_letter_that_was_not_meant_in_the_end_is_not_sent(): void
    {
        try {
            DB::transaction(function (): void {
                app(\App\People\Accounts\OpenAccount::class)('A', 'a@elsewhere.test', static fn (): string => 'in a test');
                throw new \DomainException('No.');
            });
        } catch (\DomainException) {
            self::assertSame([], Storage::files('mail'));
        }
        self::assertSame(0, Person::query()->where('claimed_email', 'a@elsewhere.test')->count());
    }

    private function buy(string $email, string $name): void
    {
        $this->post('/checkout/tools-only', ['name' => $name, 'email' => $email, 'item' => ''])->assertRedirect('/courses/clinker')->assertSessionHas('flash.kind', 'done');
    }

    private function anotherDevice(string $source = '127.0.0.1'): void
    {
        $this->flushSession();
        Auth::forgetGuards();
        $this->withServerVariables(['REMOTE_ADDR' => $source]);
    }
}
