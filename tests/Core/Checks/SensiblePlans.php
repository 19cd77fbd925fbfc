<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use Tests\Core\Documents as D;

/** Seeded plans as somebody who knows what they are about would make them, of every shape that courses have; and the same with one fault in each. */
final class SensiblePlans
{
    /** @var list<array<string, mixed>> what is made, like the others as {@see D::plan()} takes it */
    public array $items = [];

    /** @var array<string, mixed> */
    public array $course = [];

    /** @var list<array<string, mixed>> */
    public array $offers = [];

    /** @var array<string, mixed> what is known besides */
    public array $knows = ['labels' => ['oar-bonus', 'cohort-a']];

    /** @var list<string> lessons in reading order that are for every holder */
    private array $lessons = [];

    private function __construct()
    {
    }

    public static function of(int $seed): self
    {
        mt_srand($seed);
        $plan = new self;
        $plan->outline();
        $plan->sell();
        $plan->pace();
        $plan->openDoors();
        $plan->more();

        return $plan;
    }

    private static function chance(int $percent): bool
    {
        return mt_rand(1, 100) <= $percent;
    }

    private function outline(): void
    {
        $this->items[] = D::board('news');
        $modules = mt_rand(3, 6);
        $inOrder = self::chance(50);
        for ($m = 0; $m < $modules; $m++) {
            $inside = [];
            for ($l = mt_rand(3, 6); $l > 0; $l--) {
                $key = 'l'.count($this->lessons);
                $earlier = $this->lessons;
                $more = ! $inOrder && $earlier !== [] && self::chance(20) ? ['after' => self::chance(70) ? ['all' => [$earlier[array_rand($earlier)]]] : ['any' => array_slice($earlier, -2)]] : [];
                $inside[] = D::lesson($key, ...$more, ...(self::chance(10) ? ['items' => [['key' => "p{$key}", 'kind' => 'part']]] : []));
                $this->lessons[] = $key;
            }
            $more = $m > 0 && ! $inOrder && self::chance(30) ? ['after' => ['all' => ['m'.($m - 1)]]] : [];
            $this->items[] = D::module("m{$m}", $inside, ...$more, ...(self::chance(40) ? ['in_order' => true] : []));
        }
        $this->course['in_order'] = $inOrder;
        if (self::chance(40)) {
            $this->items[] = D::lesson('bonus', only: ['label' => 'oar-bonus'], optional: true, when_closed: 'hide');
        }
        if (self::chance(30)) {
            $this->items[count($this->items) - 1]['draft'] = false;
            $this->items[] = D::lesson('coming', draft: true);
        }
        $this->items[] = D::board('marks', never_for: ['guests']);
    }

    private function sell(): void
    {
        $this->course['entry'] = ['offer', 'offer', 'offer', 'signup', 'invite'][mt_rand(0, 4)];
        $invited = $this->course['entry'] === 'invite';
        $this->offers[] = ['key' => 'full', 'course' => 'c', 'lasts' => [['days' => 365], null][mt_rand(0, 1)]];
        $this->knows['sold'] = $invited ? [] : ['full' => 9900];
        if (self::chance(50)) {
            $this->course['tiers'] = ['apprentice', 'journeyman'];
            $this->offers[0]['tier'] = 'journeyman';
            $this->offers[] = ['key' => 'basic', 'course' => 'c', 'tier' => 'apprentice', 'lasts' => ['days' => 180]];
            $this->knows['sold'] += $invited ? [] : ['basic' => 4900];
            // The last lesson of the last module is for the upper tier.
            $last = (int) array_key_last(array_filter($this->items, static fn (array $item): bool => $item['kind'] === 'module'));
            $of = count($this->items[$last]['items']) - 1;
            $this->items[$last]['items'][$of]['tiers'] = ['journeyman'];
        }
        if (! $invited && self::chance(40)) {
            $this->offers[] = ['key' => 'trial', 'course' => 'c', 'tier' => $this->offers[0]['tier'] ?? null, 'lasts' => ['days' => 14]];
            $this->knows['trials'] = ['trial'];
            $this->knows['sold']['trial'] = 0;
        }
        if (self::chance(40)) {
            $this->items[1]['items'][0]['sample'] = true;
        }
    }

    private function pace(): void
    {
        $kind = mt_rand(0, 3);
        $entries = [];
        $modules = array_values(array_filter($this->items, static fn (array $item): bool => $item['kind'] === 'module'));
        foreach ($modules as $nth => $module) {
            $entries[$module['key']] = match (true) {
                $nth === 0 && $kind !== 2 => ['opens' => ['rule' => 'at_once']],
                $kind === 1 => ['opens' => ['rule' => 'after_start', 'days' => 7 * $nth, 'time' => '09:00']],
                $kind === 2 => ['opens' => ['rule' => 'on', 'at' => sprintf('2026-0%d-16T09:00', 3 + $nth)]],
                default => ['opens' => ['rule' => 'after_previous', 'days' => 7, 'weekday' => 1]],
            };
        }
        if ($kind === 0) {
            return;
        }
        $this->course['plans'] = ['weekly' => $entries];
        $this->course['main_plan'] = 'weekly';
        foreach ($this->offers as $at => $offer) {
            $this->offers[$at]['plan'] = 'weekly';
            if ($kind === 2 && $offer['key'] === 'trial') {
                $this->offers[$at]['lasts'] = ['days' => 60];
            }
            if ($kind === 2 && $offer['key'] === 'basic') {
                $this->offers[$at]['lasts'] = ['days' => 240];
            }
        }
        if ($kind === 2 && self::chance(50)) {
            $this->course['opens'] = '2026-03-01T00:00';
            $this->course['closes'] = '2026-12-01T00:00';
        }
    }

    private function openDoors(): void
    {
        if (self::chance(40)) {
            $this->course['guest_door'] = ['open' => true, 'default' => false];
            $this->items[0]['guests'] = true;
        }
        if (self::chance(40)) {
            $this->course['observer_door'] = ['open' => true, 'default' => true];
        }
    }

    /** What is less usual. */
    private function more(): void
    {
        if (self::chance(15)) {
            $this->offers[] = ['key' => 'one-module', 'course' => 'c', 'tier' => $this->offers[0]['tier'] ?? null, 'scope' => ['m0'], 'plan' => $this->offers[0]['plan'] ?? null];
        }
        if (self::chance(15)) {
            $held = array_fill_keys(array_map(static fn (array $item): string => $item['key'], $this->items), ['opens' => ['rule' => 'held']]);
            $this->course['plans'] = [...$this->course['plans'] ?? [], 'by-hand' => $held];
            $this->offers[] = ['key' => 'taster', 'course' => 'c', 'plan' => 'by-hand'];
        }
        if (self::chance(15)) {
            $this->offers[] = ['key' => 'with-bonus', ...$this->offers[0], 'labels' => ['oar-bonus']];
            $this->offers[count($this->offers) - 1]['key'] = 'with-bonus';
        }
        if (self::chance(15)) {
            $this->items[] = D::lesson('later', only: ['from' => '2026-05-04T09:00'], optional: true);
        }
        if (self::chance(15)) {
            $this->items[] = D::lesson('for-others', only: ['not' => ['label' => 'cohort-a']], optional: true);
        }
        if (self::chance(10) && $this->course['entry'] === 'signup') {
            $this->course['sample_needs_account'] = true;
        }
        if (self::chance(15)) {
            $this->items[] = D::lesson('for-guests', only: ['kind' => 'guest'], guests: true, optional: true);
            $this->course['guest_door'] = ['open' => true, 'default' => false];
        }
        if (self::chance(10)) {
            $this->items[] = D::lesson('for-strangers', only: ['kind' => 'visitor'], sample: true, optional: true);
            $this->course['sample_needs_account'] = false;
        }
    }
}
