<?php

declare(strict_types=1);

namespace Tests\Sightlines\Why;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\CourseDocument;
use App\Sightlines\Why\BlindSpots;
use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\FindFixes;
use App\Sightlines\Why\FixByRule;
use App\Sightlines\Why\Gate;
use App\Sightlines\Why\Gates;
use App\Sightlines\Why\PossibleFix;
use App\Sightlines\Why\PossibleFixes;
use Illuminate\Support\Carbon;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;
use Tests\Factories\SchoolFactory;

/** Asks why an item of a small course is as it is: it has two tiers, one plan and an offer of each. */
trait AsksWhy
{
    private const NOW = '2026-03-10T12:00:00Z';

    protected function school(bool $guests = true): void
    {
        Carbon::setTestNow(self::NOW);
        SchoolFactory::new()->in('Europe/Oslo')->createOne(['name' => 'Alder & Tide', 'guests' => $guests]);
    }

    /**
     * @param  array<string, mixed>  $course  what is not as usual
     * @param  array<string, mixed>  $item  of the lesson `plane`, likewise
     * @param  array<string, mixed>  $plan  entries of the weekly plan
     * @param  array<string, mixed>  $offer  of the offer `basic`, likewise
     */
    protected function cell(Viewer $viewer, array $course = [], array $item = [], array $plan = [], array $offer = []): CellContext
    {
        $document = CourseDocument::fromJson(json_encode([
            'course' => [
                'key' => 'c', 'title' => 'Clinker', 'state' => 'live', 'entry' => 'offer', 'tiers' => ['basic', 'full'],
                'main_plan' => 'weekly', 'plans' => ['weekly' => (object) $plan],
                'items' => [
                    ['key' => 'start', 'kind' => 'lesson', 'title' => 'Sweeping up'],
                    ['key' => 'tools', 'kind' => 'module', 'title' => 'Tools', 'items' => [
                        ['key' => 'plane', 'kind' => 'lesson', 'title' => 'Tuning a plane', ...$item],
                    ]],
                ],
                ...$course,
            ],
            'offers' => [
                ['key' => 'basic', 'course' => 'c', 'title' => 'Basic pass', 'tier' => 'basic', 'plan' => 'weekly', 'lasts' => ['days' => 100], ...$offer],
                ['key' => 'full', 'course' => 'c', 'title' => 'Full pass', 'tier' => 'full'],
            ],
        ], JSON_THROW_ON_ERROR));

        return new CellContext(app(Plans::class)->ask(app(Plans::class)->of($document), $viewer, Instant::parse(self::NOW)), $document, app(SchoolClock::class));
    }

    /** @param  array<string, int>  $done */
    protected static function holder(string $from = '2026-03-02T12:00:00Z', string $offer = 'basic', array $done = []): Viewer
    {
        return new Viewer(signedIn: true, passes: [new Pass($offer, Instant::parse($from))], done: $done);
    }

    /** @return list<string> reason codes of the item */
    protected static function codes(CellContext $cell, string $item = 'plane'): array
    {
        return array_map(static fn ($reason): string => $reason->value, $cell->snapshot->why(self::position($cell, $item)));
    }

    /** @return list<string> the gates that are shut, as "Name: sentence" with the link behind it */
    protected static function shut(CellContext $cell, string $item = 'plane'): array
    {
        $shut = array_filter((new Gates($cell))->of(self::position($cell, $item)), static fn (Gate $gate): bool => ! $gate->passed);

        return array_map(static fn (Gate $gate): string => "{$gate->name}: {$gate->words}".($gate->link === null ? '' : " [{$gate->link->text}]"), array_values($shut));
    }

    /** @return list<string> what would open it, as "title: sentence" */
    protected static function ways(CellContext $cell, string $item = 'plane'): array
    {
        return array_map(static fn (PossibleFix $way): string => "{$way->title}: {$way->words}", self::fixesOf($cell, $item));
    }

    /** @return list<PossibleFix> */
    protected static function fixesOf(CellContext $cell, string $item = 'plane'): array
    {
        $position = self::position($cell, $item);
        $decision = CompiledDecider::of($cell->decider->prepared)->decide($cell->viewer, $cell->at)[$position];

        return (new PossibleFixes($cell, app(FindFixes::class), static fn (): array => []))->of($position, $decision);
    }

    /** @return list<FixByRule> */
    protected static function fixes(CellContext $cell, string $item = 'plane'): array
    {
        return array_map(static fn ($fix): FixByRule => $fix->step(), app(FindFixes::class)->toOpen($cell, self::position($cell, $item)));
    }

    protected static function blind(CellContext $cell): ?string
    {
        $blind = app(BlindSpots::class)->of($cell);

        return $blind === null ? null : $blind->words.($blind->fixed === null ? '' : ' > '.$blind->fixed);
    }

    private static function position(CellContext $cell, string $item): int
    {
        return $cell->outline->positionOf($item) ?? self::fail($item);
    }
}
