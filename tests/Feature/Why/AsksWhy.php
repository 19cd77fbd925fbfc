<?php

declare(strict_types=1);

namespace Tests\Feature\Why;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\CourseDocument;
use App\Models\School;
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

/** Asks why an item of a small course is as it is: it has two tiers, one plan and an offer of each. */
trait AsksWhy
{
    private const NOW = '2026-03-10T12:00:00Z';

    protected function school(bool $guests = true): void
    {
        Carbon::setTestNow(self::NOW);
        School::query()->create(['name' => 'Alder & Tide', 'zone' => 'Europe/Oslo', 'guests' => $guests]);
    }

    /**
     * @param  array<string, mixed>  $course  what is not as usual
     * @param  array<string, mixed>  $item  of the lesson `plane`, likewise
     * @param  array<string, mixed>  $plan  entries of the weekly plan
     * @param  array<string, mixed>  $offer  of the offer `basic`, likewise
     */
    protected function scene(Viewer $viewer, array $course = [], array $item = [], array $plan = [], array $offer = []): CellContext
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

        return new CellContext(app(Plans::class)->of($document), $document, $viewer, Instant::parse(self::NOW), app(SchoolClock::class));
    }

    /** @param  array<string, int>  $done */
    protected static function holder(string $from = '2026-03-02T12:00:00Z', string $offer = 'basic', array $done = []): Viewer
    {
        return new Viewer(signedIn: true, passes: [new Pass($offer, Instant::parse($from))], done: $done);
    }

    /** @return list<string> reason codes of the item */
    protected static function codes(CellContext $scene, string $item = 'plane'): array
    {
        return array_map(static fn ($reason): string => $reason->value, $scene->glance->why(self::position($scene, $item)));
    }

    /** @return list<string> the gates that are shut, as "Name: sentence" with the link behind it */
    protected static function shut(CellContext $scene, string $item = 'plane'): array
    {
        $shut = array_filter((new Gates($scene))->of(self::position($scene, $item)), static fn (Gate $gate): bool => ! $gate->passed);

        return array_map(static fn (Gate $gate): string => "{$gate->name}: {$gate->words}".($gate->link === null ? '' : " [{$gate->link->text}]"), array_values($shut));
    }

    /** @return list<string> what would open it, as "title: sentence" */
    protected static function ways(CellContext $scene, string $item = 'plane'): array
    {
        $position = self::position($scene, $item);
        $decision = CompiledDecider::of($scene->decider->prepared)->decide($scene->viewer, $scene->at)[$position];

        return array_map(static fn (PossibleFix $way): string => "{$way->title}: {$way->words}", (new PossibleFixes($scene, app(FindFixes::class)))->of($position, $decision));
    }

    /** @return list<FixByRule> */
    protected static function fixes(CellContext $scene, string $item = 'plane'): array
    {
        return array_map(static fn ($fix): FixByRule => $fix->step(), app(FindFixes::class)->toOpen($scene, self::position($scene, $item)));
    }

    protected static function blind(CellContext $scene): ?string
    {
        $blind = app(BlindSpots::class)->of($scene);

        return $blind === null ? null : $blind->words.($blind->fixed === null ? '' : ' > '.$blind->fixed);
    }

    private static function position(CellContext $scene, string $item): int
    {
        return $scene->outline->positionOf($item) ?? self::fail($item);
    }
}
