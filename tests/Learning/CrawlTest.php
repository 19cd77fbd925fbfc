<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Access\Looker;
use App\Access\Plans;
use App\Access\Viewers;
use App\Access\WhoLooks;
use App\Learning\Contents\MediaAddresses;
use App\Models\BoardPost;
use App\Models\Content;
use App\Models\Course;
use App\Models\CourseFace;
use App\Models\Medium;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Revision;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\Group;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/**
 * Every address of the learner's side, as everybody: no answer carries the text, a question, a post, a medium or its address
 * of an item that the engine does not call open, nor the title of one that it calls hidden. What may be is asked of the
 * engine itself, not of the pages.
 */
#[Group('long')]
final class CrawlTest extends TestCase
{
    private const ACTS = [['finished', []], ['statements', [[]]], ['quiz', ['version' => 1, 'answers' => [[0]]]], ['posts', ['text' => 'Hello']]];

    private int $tried = 0;

    /** @var array<string, true> doors at which somebody has stood for whom just the same is open and known */
    private array $stoodAt = [];

    private int $open = 0;

    private int $known = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        foreach (Revision::query()->get() as $revision) {
            $document = json_decode($revision->document, false, 512, JSON_THROW_ON_ERROR);
            self::assertInstanceOf(\stdClass::class, $document);
            self::entitle($document, (string) $revision->course_id);
            Revision::query()->whereKey($revision->id)->update(['document' => json_encode($document, JSON_THROW_ON_ERROR)]);
        }
        // A revision never changes, so what was compiled of it is kept: the plans of the old titles are thrown away here.
        $this->nothingIsKept();
        $this->inAnotherProcess();
        foreach (Content::query()->get() as $content) {
            $mark = self::mark('HOLDS', $content->course_id, $content->item_key);
            $content->update(['text' => $mark, 'quiz' => $content->quiz === [] ? [] : [['ask' => $mark, 'answers' => [$mark, "{$mark}2"], 'right' => [0]]]]);
        }
        Medium::query()->get()->each(fn (Medium $medium) => $medium->update(['title' => self::mark('HOLDS', $medium->course_id, $medium->item_key), 'captions' => "WEBVTT\n\n00:01.000 --> 00:02.000\n".self::mark('HOLDS', $medium->course_id, $medium->item_key), 'poster' => $medium->path, 'poster_type' => 'image/png']));
        CourseFace::query()->get()->each(fn (CourseFace $face) => $face->update(['sentence' => "FACEx{$face->course_id}x", 'outcomes' => ["FACEx{$face->course_id}x"], 'questions' => [['ask' => "FACEx{$face->course_id}x", 'answer' => 'x']]]));
        BoardPost::query()->get()->each(fn (BoardPost $post) => $post->update(['text' => self::mark('HOLDS', $post->course_id, $post->item_key)]));
        foreach (Course::query()->whereIn('key', ['clinker', 'steam-frames'])->get() as $course) {
            $course->update(['guest_token' => bin2hex(random_bytes(16))]);
        }
    }

    /** Gives every item a title by which it is known again. */
    private static function entitle(\stdClass $node, string $course): void
    {
        if (isset($node->key, $node->kind) && is_string($node->key)) {
            $node->title = self::mark('TITLE', (int) $course, $node->key);
        }
        foreach (get_object_vars($node) as $value) {
            foreach (is_array($value) ? $value : [$value] as $one) {
                if ($one instanceof \stdClass) {
                    self::entitle($one, $course);
                }
            }
        }
    }

    private static function mark(string $what, int $course, string $item): string
    {
        return "{$what}x{$course}x".str_replace('-', '', $item).'x';
    }

    public function test_no_answer_carries_what_is_closed(): void
    {
        $observer = $this->person('jonas');
        foreach (['ragna', 'ask'] as $learner) {
            ObserverTieFactory::new()->between($observer, $this->person($learner))->createOne();
        }
        $this->crawl('a visitor', null);
        $this->crawl('a guest', null, guest: true);
        foreach (Person::query()->whereNull('role')->get() as $person) {
            $this->crawl($person->name, $person);
        }
        foreach (['ragna', 'ask'] as $learner) {
            $this->crawl("an observer of {$learner}", $observer, observed: $this->person($learner));
        }
        self::assertGreaterThan(300, $this->open);
        self::assertGreaterThan(1000, $this->known);
    }

    private function crawl(string $who, ?Person $person, bool $guest = false, ?Person $observed = null): void
    {
        $this->app->make('auth')->forgetGuards();
        $this->flushSession();
        $this->defaultCookies = [];
        if ($person !== null) {
            $this->actingAs($person);
        }
        if ($guest) {
            foreach (Course::query()->whereNotNull('guest_token')->get() as $course) {
                $this->withCookie(WhoLooks::cookie($course), (string) $course->guest_token);
            }
        }
        if ($observed !== null) {
            $this->withSession([WhoLooks::OBSERVED => $observed->id]);
        }
        [$open, $known, $closed] = $this->asked(new Looker($person, $guest, $observed));
        foreach (['/', '/?subject=Hull', '/sitemap.xml', '/robots.txt', '/site.webmanifest', '/courses', ...($person?->calendar_token === null ? [] : ["/calendar/{$person->calendar_token}.ics"])] as $address) {
            $this->look($who, 'GET', $address, $open, $known);
        }
        foreach (Course::query()->get() as $course) {
            $this->look($who, 'GET', "/courses/{$course->key}", $open, $known);
            // A picture is the same for everybody, and there is none of what nobody may know of.
            if ($person === null && ! $guest && preg_grep("/^TITLEx{$course->id}x/", array_keys($known)) === []) {
                $this->get("/share/{$course->key}.png")->assertNotFound();
            }
            $items = [];
            foreach ([...$open, ...$closed] as $mark => [$at, $item]) {
                if ($at === $course->id) {
                    $items[$item] = isset($open[$mark]);
                }
            }
            $may = md5((string) json_encode(preg_grep("/^[A-Z]+x{$course->id}x/", [...array_keys($open), ...array_keys($known)])));
            foreach ($items as $item => $isOpen) {
                // Dozens are shut out of the same: one of them at each door is enough, and all of them at the open ones.
                if (! $isOpen && isset($this->stoodAt["{$may} {$course->id} {$item}"])) {
                    continue;
                }
                $this->stoodAt["{$may} {$course->id} {$item}"] = true;
                $this->look($who, 'GET', "/courses/{$course->key}/{$item}", $open, $known);
                if (! $isOpen) {
                    // One of them at each door, another at the next: all at every door would take minutes.
                    [$act, $with] = self::ACTS[$this->tried++ % count(self::ACTS)];
                    $this->look($who, 'POST', "/courses/{$course->key}/{$item}/{$act}", $open, $known, $with);
                }
            }
            foreach (Offer::query()->where('course_id', $course->id)->whereNotNull('price')->get() as $offer) {
                $this->look($who, 'GET', "/checkout/{$offer->key}?item=".(array_key_last(array_filter($items, static fn (bool $isOpen): bool => ! $isOpen)) ?? ''), $open, $known);
            }
        }
        if ($person !== null) {
            foreach (Medium::query()->get() as $medium) {
                $address = app(MediaAddresses::class)->of($medium, "person {$person->id}");
                $may = isset($open[self::mark('HOLDS', $medium->course_id, $medium->item_key)]);
                foreach (['file' => $address, 'captions' => app(MediaAddresses::class)->of($medium, "person {$person->id}", 'captions'), 'poster' => app(MediaAddresses::class)->of($medium, "person {$person->id}", 'poster')] as $one) {
                    $this->get($one)->assertStatus($may ? 200 : 403);
                }
                $this->get("/media/{$medium->id}")->assertForbidden();
            }
        }
    }

    /**
     * What the engine says, without any page: marks of what is open, of what may be known of, and of what is not open.
     *
     * @return array{array<string, array{int, string}>, array<string, true>, array<string, array{int, string}>}
     */
    private function asked(Looker $looker): array
    {
        $open = $known = $closed = [];
        foreach (Course::query()->with('liveRevision')->get() as $course) {
            $decider = app(Plans::class)->live($course);
            if ($decider === null) {
                $closed[self::mark('HOLDS', $course->id, 'l-spruce')] = [$course->id, 'l-spruce'];

                continue;
            }
            self::assertInstanceOf(Decider::class, $decider);
            $viewer = app(Viewers::class)->lookingAt($this->admitted($looker, $course), $course);
            $decisions = $decider->decide($viewer, now()->getTimestamp());
            foreach ($decider->course->outline->items as $position => $item) {
                $state = $decisions[$position]->state;
                $mark = self::mark('HOLDS', $course->id, $item->key);
                $state === State::Open ? $open[$mark] = [$course->id, $item->key] : $closed[$mark] = [$course->id, $item->key];
                if ($state !== State::Hidden) {
                    $known[self::mark('TITLE', $course->id, $item->key)] = true;
                }
            }
        }

        return [$open, $known, $closed];
    }

    /** A guest is one of the courses whose link they have. */
    private function admitted(Looker $looker, Course $course): Looker
    {
        return new Looker($looker->person, $looker->guest && $course->guest_token !== null, $looker->observed);
    }

    /**
     * @param  array<string, array{int, string}>  $open
     * @param  array<string, true>  $known
     * @param  array<array-key, mixed>  $with
     */
    private function look(string $who, string $method, string $address, array $open, array $known, array $with = []): void
    {
        $this->app->forgetScopedInstances();
        // Some as pages, some as the programs of pages ask.
        $answer = $method === 'POST' ? $this->postJson($address, $with) : $this->get($address);
        $told = stripslashes((string) $answer->getContent()).' '.$answer->headers;
        $where = "{$method} {$address} as {$who}: {$answer->status()}";
        self::assertNotSame(500, $answer->status(), $where);
        preg_match_all('/HOLDSx\d+x\w+?x/', $told, $holds);
        foreach (array_unique($holds[0]) as $mark) {
            self::assertArrayHasKey($mark, $open, $where);
            $this->open++;
        }
        preg_match_all('/TITLEx\d+x\w+?x/', $told, $titles);
        foreach (array_unique($titles[0]) as $mark) {
            self::assertArrayHasKey($mark, $known, $where);
            $this->known++;
        }
        preg_match_all('/FACEx(\d+)x/', $told, $faces);
        foreach (array_unique($faces[1]) as $course) {
            self::assertNotSame([], preg_grep("/^TITLEx{$course}x/", array_keys($known)), "{$where}: the face of a course of which nothing may be known");
        }
        preg_match_all('~/media/(\d+)~', $told, $media);
        foreach (array_unique($media[1]) as $id) {
            $medium = Medium::query()->findOrFail((int) $id);
            self::assertArrayHasKey(self::mark('HOLDS', $medium->course_id, $medium->item_key), $open, $where);
        }
        if ($method === 'POST') {
            self::assertGreaterThanOrEqual(400, $answer->status(), $where);
        }
    }

    /** So that a new address cannot be forgotten here. */
    public function test_every_address_of_the_learners_side_is_crawled_or_named(): void
    {
        $named = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            // Systems of others show a token before they are told anything: Tests\Api\TokensTest.
            if (! str_starts_with($route->uri(), 'keep') && ! str_starts_with($route->uri(), 'api/') && ! in_array($route->uri(), ['up', 'storage/{path}'], true)) {
                $named[] = implode(' ', [...array_diff($route->methods(), ['HEAD']), $route->uri()]);
            }
        }
        sort($named);
        self::assertSame([
            // Write, and lead back to a page above.
            'DELETE courses/{course}/{item}/posts/{post}', 'DELETE next-run/{token}',
            'GET /', 'GET account', 'GET account/data', 'GET begin', 'GET calendar/{token}.ics', 'GET checkout/bundles/{bundle}', 'GET checkout/{offer}', 'GET courses', 'GET courses/{course}', 'GET courses/{course}/{item}',
            // Says what is drawn, and nothing of for whom.
            'GET covers/{drawing}-{variant}.svg',
            // Lead to a page above, or say nothing of courses.
            'GET forms/{token}',
            'GET g/{token}',
            // Say what can be asked, and nothing of what there is.
            'GET interface', 'GET interface/client.{language}', 'GET interface/openapi.json', 'GET interface/plan.schema.json', 'GET interface/story-key.json',
            'GET letters/{person}/{kind}', 'GET look-in/{learner}',
            // Asked for with each medium, and answered alike.
            'GET media/{medium}', 'GET media/{medium}/captions', 'GET media/{medium}/poster',
            // Names the course that its reader asked about.
            'GET next-run/{token}',
            'GET pictures/{token}/{width}', 'GET robots.txt', 'GET share.png', 'GET share/{course}.png',
            'GET sign-in', 'GET sign-in/link/{token}', 'GET site.webmanifest', 'GET sitemap.xml',
            'POST account/sessions', 'POST begin', 'POST calendar-link', 'POST checkout/bundles/{bundle}', 'POST checkout/{offer}',
            'POST courses/{course}/leave', 'POST courses/{course}/next-run',
            'POST courses/{course}/{item}/finished',
            'POST courses/{course}/{item}/look',
            'POST courses/{course}/{item}/posts', 'POST courses/{course}/{item}/quiz', 'POST courses/{course}/{item}/statements',
            'POST forms/{token}', 'POST g/{token}', 'POST language', 'POST letters/{person}/{kind}', 'POST look-with', 'POST sign-in', 'POST sign-in/link', 'POST sign-in/link/{token}', 'POST sign-out',
            'PUT account/letters', 'PUT account/password', 'PUT courses/{course}/{item}/posts/{post}',
        ], $named);
    }
}
