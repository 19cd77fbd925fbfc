<?php

declare(strict_types=1);

namespace Database\Seeders;

/** A course that is still being made, in a hurry: with one fault of each of several kinds, for the checks to find. */
final class DemoFaults
{
    private function __construct()
    {
    }

    /**
     * @param  \Closure(string): string  $local  `-40 days 09:00` as a wall-clock time
     * @return array{array<string, mixed>, list<array<string, mixed>>} the course and its offers
     */
    public static function course(\Closure $local): array
    {
        $lesson = static fn (string $key, string $title, mixed ...$more): array => ['key' => $key, 'kind' => 'lesson', 'title' => $title, ...$more];

        return [[
            'key' => 'rigging', 'title' => 'Rigging a spritsail', 'state' => 'draft', 'entry' => 'offer', 'sample_needs_account' => true,
            'observer_door' => ['open' => true, 'default' => false], 'tiers' => ['hand', 'rigger'], 'main_plan' => 'weekly',
            'plans' => [
                'weekly' => [
                    'l-rope' => ['opens' => ['rule' => 'after_start', 'days' => 2]],
                    'l-balance' => ['opens' => ['rule' => 'on', 'at' => $local('-40 days 09:00')]],
                    'm-mast' => ['opens' => ['rule' => 'after_start', 'days' => 90]],
                ],
                'spring' => ['m-mast' => ['opens' => ['rule' => 'after_start', 'days' => 14]]],
            ],
            'items' => [
                $lesson('l-rope', 'Which rope for what'),
                $lesson('l-harbour', 'A sail across the harbour', sample: true, only: ['kind' => 'visitor']),
                ['key' => 'm-splices', 'kind' => 'module', 'title' => 'Splices', 'in_order' => true, 'items' => [
                    $lesson('l-eye', 'An eye splice'), $lesson('l-fancy', 'Fancywork', only: ['label' => 'fancywork']), $lesson('l-short', 'A short splice'),
                ]],
                $lesson('l-balance', 'Balance under sail', after: ['all' => ['l-reef']]),
                $lesson('l-reef', 'Two ways to reef', after: ['all' => ['l-balance']]),
                $lesson('l-blocks', 'Turning blocks', only: ['label' => 'oar-bonsu']),
                ['key' => 'm-mast', 'kind' => 'module', 'title' => 'Mast and sprit', 'items' => [$lesson('l-step', 'Stepping the mast'), $lesson('l-shrouds', 'Shrouds and lanyards', tiers: ['rigger'])]],
                ['key' => 'b-loft', 'kind' => 'board', 'title' => 'In the loft', 'guests' => true],
            ],
        ], [['key' => 'sixty-days', 'course' => 'rigging', 'title' => 'Sixty days of rigging', 'tier' => 'hand', 'plan' => 'weekly', 'lasts' => ['days' => 60]], ['key' => 'sixty-more', 'course' => 'rigging', 'title' => 'Sixty days with fancywork', 'tier' => 'hand', 'plan' => 'weekly', 'lasts' => ['days' => 60], 'labels' => ['fancywork']]]];
    }
}
