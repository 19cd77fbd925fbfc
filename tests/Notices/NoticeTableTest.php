<?php

declare(strict_types=1);

namespace Tests\Notices;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Learning\Reading;
use App\Models\Course;
use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\Person;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\CoursePageBuilder;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use SilentKeep\Core\Deciding\State;
use Tests\TestCase;

/**
 * Every kind of closed door, as every kind of viewer, with words at each level: the right ones are read, and they name no item
 * that is hidden from this viewer, no price or offer that they cannot take, and no date that the core does not confirm.
 */
#[Group('long')]
final class NoticeTableTest extends TestCase
{
    use ClosedDoors;

    /** With everything in it that can stand for something. */
    private const SAYS = '{title}; {course}; {name}; {opens}; {first}; {tiers}; {pass}; {left}; OFFERS {offer}, {offers}, {price}.';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->wordless();
    }

    /** @param  ?\Closure(self): void  $besides */
    #[DataProvider('doors')]
    public function test_the_right_words_are_read_and_tell_nothing_that_is_not_so(NoticeCase $case, ?string $who, string $door, ?string $held, ?\Closure $besides = null): void
    {
        [$key] = explode('/', $door);
        $besides === null ? null : $besides($this);
        $this->inAnotherProcess();
        $course = Course::query()->with('liveRevision')->where('key', $key)->firstOrFail();
        $outline = app(Plans::class)->live($course)->course->outline ?? self::fail();
        $met = [];
        $modules = array_values(array_unique(array_filter(array_map(static fn (int $at): ?string => $outline->depth[$at] > 0 ? $outline->items[$outline->parent[$at]]->key : null, array_keys($outline->items)))));
        $levels = [
            'usual' => [], 'school' => [NoticePlace::school()], 'course' => [NoticePlace::at($course)],
            'module' => array_map(static fn (string $module): NoticePlace => NoticePlace::at($course, $module), $modules),
            'own' => array_map(static fn ($item): NoticePlace => NoticePlace::at($course, $item->key), $outline->items),
        ];
        foreach ($levels as $level => $places) {
            foreach ($places as $place) {
                $this->say($place, $level);
            }
            foreach ($this->viewers($course, $who) as $name => [$view, $person]) {
                $kinds = [];
                foreach ($view->answer->decisions() as $position => $decision) {
                    $kind = NoticeCase::of($decision)->value.' '.min(1, $outline->depth[$position]).' '.(in_array($decision->item, $modules, true) ? 'module' : '');
                    // All doors with words of their own; at other levels one of each kind.
                    if ($decision->state !== State::Locked || ($level !== 'own' && isset($kinds[$kind]))) {
                        continue;
                    }
                    $kinds[$kind] = true;
                    $page = app(CoursePageBuilder::class)->item($course, $view, $decision->item, new Reading('x', '/sign-in', $person));
                    self::assertInstanceOf(NoticePage::class, $page);
                    $met[$page->case] = true;
                    $isModule = in_array($decision->item, $modules, true);
                    // A row that holds others has words of its own once they stand at what it holds them by: itself.
                    $expected = match (true) {
                        $level === 'module' && $isModule => 'module',
                        $level === 'module' && $outline->depth[$position] === 0 => 'course',
                        default => $level,
                    };
                    self::assertSame($expected === 'usual' ? null : "<p>{$expected} {$page->case}", $page->html === null ? null : substr($page->html, 0, strlen("<p>{$expected} {$page->case}")), "{$name} at {$decision->item}");
                    $this->tellsOnlyWhatIsSo($page, $view, $position, "{$name} at {$decision->item}, {$level}");
                }
            }
        }
        self::assertArrayHasKey($case->value, $met, 'The kind of door that this is about was met.');
    }

    private function say(NoticePlace $place, string $level): void
    {
        foreach (NoticeCase::cases() as $case) {
            NoticeText::query()->updateOrCreate(['scope' => $place->scope(), 'case' => $case->value], ['course_id' => $place->course?->id, 'item_key' => $place->item, 'way' => 'show', 'heading' => "{title} {$level}", 'text' => "{$level} {$case->value} ".self::SAYS, 'version' => 1]);
        }
    }

    /** @return array<string, array{LearnerView, ?Person}> */
    private function viewers(Course $course, ?string $who): array
    {
        $viewers = app(Viewers::class);
        $known = [];
        foreach (array_unique(array_filter(['jonas', 'eira', 'ragna', 'gro', 'idun', $who])) as $name) {
            $known[$name] = [$viewers->of($this->person($name), $course), $this->person($name)];
        }
        $all = [
            'a visitor' => [Viewers::visitor(), null],
            'a guest' => [Viewers::guest(), null],
            ...$known,
            'an observer of ragna' => [Viewers::lookingWith($known['jonas'][0], $known['ragna'][0]), null],
        ];
        $views = [];
        foreach ($all as $name => [$viewer, $person]) {
            $view = app(LearnerViews::class)->published($course, $viewer);
            self::assertNotNull($view);
            $views[$name] = [$view, $person];
        }

        return $views;
    }

    private function tellsOnlyWhatIsSo(NoticePage $page, LearnerView $view, int $position, string $where): void
    {
        $said = strip_tags(implode(' ', array_map(static fn ($segment): string => $segment->text, [...$page->heading->segments, ...$page->text->segments])).' '.html_entity_decode((string) $page->html));
        $outline = $view->answer->decider->course->outline;
        foreach ($outline->items as $at => $item) {
            if ($view->answer->state($at) === State::Hidden && ! in_array($item->title, ['', null], true)) {
                self::assertStringNotContainsString((string) $item->title, $said, "{$where}: hidden {$item->key}");
            }
        }
        // What can be taken is offered beside it; nothing else is named as an offer, and at no other price.
        $names = array_map(static fn ($card): string => $card->name, $page->offers);
        $prices = array_map(static fn ($card): string => $card->price, $page->offers);
        if (preg_match('/OFFERS (.*)\./', $said, $found) === 1) {
            foreach (Offer::query()->pluck('name') as $name) {
                self::assertTrue(! is_string($name) || in_array($name, $names, true) || ! str_contains($found[1], $name), "{$where}: {$found[1]}");
            }
            preg_match_all('/\d[\d,.]* [A-Z]{3}|\bfree\b/', $found[1], $money);
            self::assertSame([], array_diff($money[0], array_map(static fn (string $price): string => preg_match('/\d[\d,.]* [A-Z]{3}|\bfree\b/', $price, $one) === 1 ? $one[0] : $price, $prices)), "{$where}: {$found[1]}");
        }
        preg_match_all('/(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d{1,2} [A-Z][a-z]{2}(?: \d{4})?(?:, \d{2}:\d{2})?/', $said, $dates);
        self::assertSame([], array_diff($dates[0], $this->confirmed($view, $position)), "{$where}: {$said}");
    }

    /** @return list<string> all instants that the core itself names for this viewer at this door, in words */
    private function confirmed(LearnerView $view, int $position): array
    {
        $clock = app(SchoolClock::class);
        $course = $view->answer->decider->course;
        $decision = $view->answer->decisions()[$position];
        $pass = $view->pass();
        $snapshot = $view->answer->snapshot();
        $nearest = $snapshot->nearestPass($position) ?? $snapshot->learner()?->nearestPass($position);
        $instants = array_filter([
            $decision->next?->state === State::Open ? $decision->next->at : null,
            $course->opens, $course->closes, $pass?->until,
            $nearest?->schedule->release[$position], $nearest?->schedule->closing[$position],
        ], static fn (?int $at): bool => $at !== null && $at < 32_503_680_000);

        return array_merge(...array_map(static fn (int $at): array => [$clock->words($at), $clock->date($at)], array_values($instants)));
    }
}
