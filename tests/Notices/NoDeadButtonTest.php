<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Access\WhoLooks;
use App\Models\Course;
use App\Models\Message;
use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\Person;
use App\Notices\NextRuns\AskForNextRun;
use App\Notices\NextRuns\TellOfNextRun;
use App\Notices\NoticeCase;
use App\People\MakePass;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\Group;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/** Every button on every notice, closing page and letter, followed by whoever meets it, to something that works for them. */
#[Group('long')]
final class NoDeadButtonTest extends TestCase
{
    /** One for each that somebody can be: at the beginning, on the way, through, ended, to come, paused, withdrawn; by each offer; with nothing. */
    private const KINDS = ['sunniva', 'eira', 'ylva', 'gro', 'birk', 'liv', 'kaia', 'jorunn', 'solveig', 'nina', 'per', 'idun', 'oda', 'embla', 'runa', 'jonas'];

    private string $who = '';

    private ?Person $person = null;

    /** @var array<string, int> what was followed, by kind */
    private array $followed = ['sign-in' => 0, 'offer' => 0, 'look' => 0, 'instead' => 0, 'next-run' => 0, 'row' => 0, 'notice' => 0, 'closing' => 0, 'button' => 0, 'words' => 0];

    /** @var array<string, true> who was where */
    private array $been = [];

    /** @var array<string, true> doors that look alike to several people are tried once */
    private array $seen = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        foreach (Course::query()->whereIn('key', ['clinker', 'steam-frames'])->get() as $course) {
            $course->update(['guest_token' => bin2hex(random_bytes(16))]);
        }
        // One course is found at another address, and words of the school's own lead on.
        $this->course('petrol')->update(['address' => 'engines-2025', 'listed_over' => true]);
        foreach (NoticeCase::cases() as $case) {
            NoticeText::query()->create(['scope' => 'school', 'case' => $case->value, 'way' => 'show', 'heading' => '', 'text' => '{title} is closed. Look at [the others](/courses/sails).', 'version' => 1, 'parts' => json_encode([
                ['kind' => 'words'], ['kind' => 'sign-in'], ['kind' => 'offers'], ['kind' => 'finish'], ['kind' => 'samples'], ['kind' => 'courses'], ['kind' => 'next-run'], ['kind' => 'ask'], ['kind' => 'open'],
                ['kind' => 'button', 'text' => 'Launch', 'does' => 'lesson', 'to' => 'l-launch'], ['kind' => 'button', 'text' => 'All of it', 'does' => 'offer', 'to' => 'journeyman-pass'], ['kind' => 'button', 'text' => 'Refit', 'does' => 'address', 'to' => '/courses/winter-refit'],
            ], JSON_THROW_ON_ERROR)]);
        }
    }

    public function test_every_button_leads_to_something_that_works(): void
    {
        $observer = $this->person('jonas');
        ObserverTieFactory::new()->between($observer, $this->person('ragna'))->createOne();
        $this->as('a visitor', null);
        $this->as('a guest', null, guest: true);
        foreach (self::KINDS as $name) {
            $this->as($name, $this->person($name));
        }
        $this->as('an observer', $observer, observed: $this->person('ragna'));
        foreach ($this->followed as $kind => $times) {
            self::assertGreaterThan(0, $times, "Nobody met any: {$kind}.");
        }
    }

    private function as(string $who, ?Person $person, bool $guest = false, ?Person $observed = null): void
    {
        [$this->who, $this->person] = [$who, $person];
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->defaultCookies = [];
        if ($person !== null) {
            $this->actingAs($person);
        }
        foreach ($guest ? Course::query()->whereNotNull('guest_token')->get() : [] as $course) {
            $this->withCookie(WhoLooks::cookie($course), (string) $course->guest_token);
        }
        if ($observed !== null) {
            $this->withSession([WhoLooks::OBSERVED => $observed->id]);
        }
        foreach (array_column([...(array) $this->props('/courses', $person === null ? 302 : 200, 'courses'), ...($person === null ? [...(array) $this->props('/', 200, 'courses'), ...(array) $this->props('/', 200, 'over')] : [])], 'key') as $key) {
            $this->props("/courses/{$key}", 200);
        }
        foreach (Course::query()->where('hidden', false)->orderBy('id')->get() as $course) {
            $this->coursePage($course->getRouteKey());
        }
    }

    private function coursePage(string $course): void
    {
        $response = $this->ask("/courses/{$course}");
        if ($response->status() === 404) {
            return;
        }
        $page = (array) $response->assertOk()->inertiaProps();
        self::assertSame($course, self::at($page, 'course', 'key'));
        foreach ((array) $page['offers'] as $offer) {
            $this->offer($offer);
        }
        if ($page['closing'] !== null) {
            self::assertSame([], $page['offers'], "{$course} is over and sold, to {$this->who}.");
            $this->over($course, (array) $page['closing']);
            $this->followed['closing']++;
        }
        foreach ((array) self::at($page, 'course', 'path') as $row) {
            self::assertIsArray($row);
            $this->row($course, $row, $row['open'] ? 'open' : 'closed');
        }
    }

    /** @param  array<array-key, mixed>  $row */
    private function row(string $course, array $row, string $state): void
    {
        $key = is_string($row['key']) ? $row['key'] : self::fail('A row has a key.');
        $response = $this->ask("/courses/{$course}/{$key}");
        $component = $response->inertiaPage()['component'] ?? '';
        self::assertContains($component, $state === 'open' ? ['learner/Lesson', 'learner/Board'] : ['learner/Notice'], "{$course}/{$key} is {$state}, to {$this->who}.");
        $this->followed['row']++;
        $notice = (array) $response->inertiaProps();
        $alike = md5((string) json_encode([$notice, $this->person === null ? $this->who : 'somebody']));
        if ($component !== 'learner/Notice' || isset($this->seen[$alike])) {
            return;
        }
        $this->seen[$alike] = true;
        $this->notice($course, $key, $notice);
    }

    /** @param  array<array-key, mixed>  $notice */
    private function notice(string $course, string $item, array $notice): void
    {
        $this->followed['notice']++;
        if ($notice['signIn'] !== null) {
            self::assertNull($this->person, "{$this->who} has signed in, and is asked to.");
            self::assertIsString($notice['signIn']);
            self::assertStringContainsString(rawurlencode("/courses/{$course}/{$item}"), str_replace('/', '%2F', rawurldecode((string) parse_url($notice['signIn'], PHP_URL_QUERY))));
            $this->ask($notice['signIn'])->assertOk();
            $this->followed['sign-in']++;
        }
        foreach ((array) $notice['offers'] as $offer) {
            $this->offer($offer);
        }
        if (is_array($notice['lookAt'])) {
            $key = $notice['lookAt']['key'];
            self::assertIsString($key);
            self::assertContains($this->ask("/courses/{$course}/{$key}")->assertOk()->inertiaPage()['component'], ['learner/Lesson', 'learner/Board'], "{$key} is not open to {$this->who}.");
            $this->followed['look']++;
        }
        foreach ((array) $notice['parts'] as $part) {
            self::assertIsArray($part);
            foreach ((array) $part['rows'] as $row) {
                self::assertIsArray($row);
                if (is_string($row['key']) && $this->isNew("/courses/{$course}/{$row['key']}")) {
                    $this->row($course, $row, 'open');
                }
            }
            if (is_string($part['href']) && $this->isNew($part['href'])) {
                $this->ask($part['href'])->assertOk();
                $this->followed['button']++;
            }
        }
        self::assertNotSame('', $notice['contactEmail']);
        $this->over($course, $notice);
        preg_match_all('~href="([^"]+)"~', (string) (is_string($notice['html']) ? $notice['html'] : ''), $links);
        foreach (array_filter($links[1], $this->isNew(...)) as $link) {
            $this->ask($link)->assertOk();
            $this->followed['words']++;
        }
    }

    /** Whether this one has not been there yet: what stands on every notice is followed once. */
    private function isNew(string $address): bool
    {
        $isNew = ! isset($this->been["{$this->who} {$address}"]);
        $this->been["{$this->who} {$address}"] = true;

        return $isNew;
    }

    private function offer(mixed $offer): void
    {
        self::assertIsArray($offer);
        self::assertIsString($offer['href']);
        if (! $this->isNew(strtok($offer['href'], '?').' '.json_encode($offer['price']))) {
            return;
        }
        $checkout = (array) $this->ask($offer['href'])->assertOk()->inertiaProps();
        self::assertNull($checkout['refusal'], "{$offer['href']} is offered to {$this->who}, and refused.");
        self::assertSame($offer['price'], $checkout['price'], "{$offer['href']} has two prices, for {$this->who}.");
        self::assertIsString($checkout['signIn']);
        $this->followed['offer']++;
    }

    /** @param  array<array-key, mixed>  $page  a closing page, or a notice */
    private function over(string $course, array $page): void
    {
        foreach ((array) $page['instead'] as $other) {
            self::assertIsArray($other);
            self::assertIsString($other['key']);
            if (! $this->isNew("/courses/{$other['key']} instead")) {
                continue;
            }
            $this->ask("/courses/{$other['key']}")->assertOk()->assertInertia(fn ($page) => $page->where('closing', null));
            $this->followed['instead']++;
        }
        if ($page['signUp'] !== 'none') {
            self::assertSame($this->person === null ? 'form' : 'account', $page['signUp']);
            $this->app->forgetScopedInstances();
            $this->post("/courses/{$course}/next-run", $page['signUp'] === 'form' ? ['name' => 'Alva', 'email' => 'alva@elsewhere.test'] : [])->assertRedirect()->assertSessionHasNoErrors()->assertSessionHas('flash.kind', 'done');
            $this->followed['next-run']++;
        }
    }

    public function test_every_address_in_a_letter_leads_somewhere(): void
    {
        app(AskForNextRun::class)($this->course(), 'Alva', 'alva@elsewhere.test', null);
        app(TellOfNextRun::class)->some($this->course());
        $this->post('/sign-in/link', ['email' => 'eira@alder.test'])->assertRedirect();
        $this->actingAs($this->person('hege'))->post('/keep/people/acts', ['do' => 'observe', 'people' => [$this->person('ragna')->id], 'observer' => $this->person('jonas')->id])->assertSessionHas('flash.kind', 'done');
        Carbon::setTestNow('2026-03-10T13:00:00Z');
        app(MakePass::class)($this->person('jonas'), Offer::query()->where('key', 'apprentice-pass')->firstOrFail(), now()->getTimestamp());
        // All kinds that are due by themselves, and the warnings of trials.
        Offer::query()->where('key', 'yard-trial')->update(['erases' => true]);
        foreach (['2026-03-11T12:30:00Z', '2026-03-13T12:30:00Z'] as $at) {
            Carbon::setTestNow($at);
            $this->app->forgetScopedInstances();
            Artisan::call('keep:end-trials');
            Artisan::call('keep:write-letters');
        }
        auth()->logout();
        $letters = Message::query()->get();
        self::assertEqualsCanonicalizing(['ended', 'ends-soon', 'next-run', 'observer', 'opened-today', 'pass-given', 'trial-ends'], $letters->pluck('kind')->filter()->unique()->values()->all());
        $followed = 0;
        foreach ($letters as $letter) {
            preg_match_all('~https?://\S+~', $letter->body, $links);
            $reader = $letter->person_id === null ? null : Person::query()->find($letter->person_id);
            foreach ($links[0] as $link) {
                $reader === null ? auth()->logout() : $this->actingAs($reader);
                $answer = $this->ask((string) preg_replace('~^https?://[^/]+~', '', $link));
                self::assertContains($answer->status(), [200, 302], "{$link} in: {$letter->subject}");
                $followed++;
            }
        }
        self::assertGreaterThan(2, $followed);
    }

    private function props(string $address, int $status, string $name = ''): mixed
    {
        $response = $this->ask($address)->assertStatus($status);

        return $status !== 200 ? [] : ($name === '' ? $response->inertiaProps() : $response->inertiaProps($name));
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function ask(string $address): \Illuminate\Testing\TestResponse
    {
        $this->app->forgetScopedInstances();

        return $this->get($address);
    }

    /** @param  array<array-key, mixed>  $page */
    private static function at(array $page, string $part, string $name): mixed
    {
        return is_array($page[$part]) ? $page[$part][$name] ?? null : null;
    }
}
