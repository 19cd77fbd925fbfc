<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Access\Plans;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\Viewer;

/** For tests that look at the grid of Sightlines as a page gets it. */
trait AsksSightlines
{
    /** @param  ?list<string>  $vantages */
    protected function sightlines(string $course, ?array $vantages, ?string $at = null, string $see = 'draft', string $lens = 'sightlines'): \stdClass
    {
        $query = http_build_query(['lens' => $lens, 'see' => $see, ...($vantages === null ? [] : ['v' => $vantages]), ...($at === null ? [] : ['at' => $at])]);
        $grid = json_decode((string) $this->getJson("/keep/courses/{$course}/sightlines?{$query}")->assertOk()->getContent(), false, 512, JSON_THROW_ON_ERROR);

        return $grid instanceof \stdClass ? $grid : self::fail('There is no grid.');
    }

    /**
     * @param  ?list<list<list<int>>>  $cells  null: those of the grid
     */
    private static function turnAt(\stdClass $grid, int $row, int $column, int $at, ?array $cells = null): \stdClass
    {
        $found = null;
        foreach (array_chunk(($cells ?? $grid->cells)[$row][$column], 2) as [$sight, $since]) {
            if ($grid->instants[$since] <= $at) {
                $found = $grid->sights[$sight];
            }
        }

        return $found ?? self::fail('Nothing is told of that instant.');
    }

    /** @return array{string, ?string, bool, list<string>, ?int, ?string} state, via, look only, why, next and then */
    protected static function sightAt(\stdClass $grid, int $row, int $column, int $at): array
    {
        $sight = self::turnAt($grid, $row, $column, $at);

        return [$sight->state, $sight->via, $sight->look, $sight->why, $sight->next, $sight->then];
    }

    /**
     * @param  ?list<list<list<int>>>  $cells
     * @return array{string, ?string} glyph and word
     */
    protected static function shown(\stdClass $grid, int $row, int $column, ?array $cells = null): array
    {
        $sight = self::turnAt($grid, $row, $column, $grid->at, $cells);

        return [$sight->glyph, $sight->word];
    }

    /** @return array<string, mixed> who stands at a vantage, as an ask has them */
    protected function viewerOf(Course $course, string $vantage): array
    {
        $point = VantagePoint::parse($vantage) ?? self::fail($vantage);
        $decider = app(Plans::class)->of(CourseDocument::fromJson((string) $course->liveRevision?->document));

        return self::asked(app(Vantages::class)->stand($course, $decider, [$point])[0]->viewer);
    }

    /** @return array<string, mixed> */
    private static function asked(Viewer $viewer): array
    {
        $done = [];
        foreach ($viewer->done as $item => $at) {
            $done[] = ['item' => (string) $item, 'at' => Instant::format($at)];
        }

        return [
            'staff' => $viewer->staff, 'signed_in' => $viewer->signedIn, 'guest' => $viewer->guest, 'labels' => $viewer->labels,
            'passes' => array_map(static fn (Pass $pass): array => [
                'offer' => $pass->offer, 'from' => Instant::format($pass->from), 'until' => Instant::formatOrNull($pass->until), 'state' => $pass->state->value,
                'paced_from' => $pass->pacedFrom === null ? null : Instant::format($pass->pacedFrom),
            ], $viewer->passes),
            'grants' => array_map(static fn (Grant $grant): array => ['item' => $grant->item, 'from' => Instant::format($grant->from), 'until' => Instant::formatOrNull($grant->until)], $viewer->grants),
            'done' => $done,
            'observes' => $viewer->observes === null ? null : self::asked($viewer->observes),
        ];
    }
}
