<?php

declare(strict_types=1);

/* One of the random courses of bin/bench --shapes, and people in it. */

use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;

/** One random course with what can be said of its shape. */
final class Shape
{
    /** @var list<string> lessons so far */
    private array $lessons = [];

    /** @var array<string, array<string, mixed>> */
    private array $entries = [];

    public readonly Plan $plan;

    public readonly string $told;

    /** @var array<string, int> of one hundred */
    public readonly array $of;

    public function __construct(int $seed)
    {
        mt_srand($seed);
        $this->of = [
            'lessons' => mt_rand(40, 240), 'depth' => mt_rand(1, 4), 'waits' => self::pick([0, 10, 30, 60]), 'inOrder' => self::pick([0, 0, 50, 100]),
            'only' => self::pick([0, 5, 15, 30]), 'tiers' => self::pick([0, 10, 30]), 'hides' => self::pick([0, 20, 60]), 'hidesModules' => self::pick([0, 0, 30]),
            'own' => self::pick([0, 15, 60, 100]), 'closes' => self::pick([0, 0, 5, 50]), 'samples' => self::pick([0, 0, 3]), 'asksDone' => self::pick([0, 0, 0, 1]),
            'asksDates' => self::pick([0, 0, 1]), 'passes' => mt_rand(1, 3), 'timed' => self::pick([0, 0, 50]), 'guests' => self::pick([0, 0, 20]), 'observers' => self::pick([0, 0, 20]),
            'grants' => self::pick([0, 0, 10]), 'opening' => self::pick([0, 1, 2, 3]),
        ];
        $items = [];
        while (count($this->lessons) < $this->of['lessons']) {
            $items[] = $this->module($this->of['depth']);
        }
        $offer = static fn (string $tier): array => ['key' => $tier, 'course' => 'c', 'tier' => $tier, 'plan' => 'own'];
        $this->plan = PlanReader::fromJson((string) json_encode([
            'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true],
            'offers' => array_map($offer, DEEP_TIERS),
            'courses' => [[
                'key' => 'c', 'state' => 'live', 'entry' => 'offer', 'tiers' => DEEP_TIERS, 'main_plan' => 'own', 'plans' => ['own' => (object) $this->entries], 'items' => $items,
                'guest_door' => ['open' => $this->of['guests'] > 0, 'default' => true], 'observer_door' => ['open' => $this->of['observers'] > 0, 'default' => true, 'follow' => true],
            ]],
        ]));
        $this->told = implode(' ', array_map(static fn (string $what, int $much): string => "{$what} {$much}", array_keys($this->of), $this->of));
    }

    /** @return array<string, mixed> */
    private function module(int $depth): array
    {
        $key = 'm'.count($this->entries).'-'.count($this->lessons).'-'.$depth;
        $this->entries[$key] = $this->entry(after: true);
        $items = [];
        for ($n = mt_rand(2, $depth > 1 ? 4 : 10); $n > 0; $n--) {
            $items[] = $depth > 1 ? $this->module($depth - 1) : $this->lesson();
        }

        return ['key' => $key, 'kind' => 'module', 'items' => $items, 'in_order' => self::chance($this->of['inOrder']), ...(self::chance($this->of['hidesModules']) ? ['when_closed' => 'hide'] : [])];
    }

    /** @return array<string, mixed> */
    private function lesson(): array
    {
        $key = 'l'.count($this->lessons);
        $lesson = ['key' => $key, 'kind' => 'lesson'];
        if (self::chance($this->of['tiers'])) {
            $lesson['tiers'] = [self::pick(DEEP_TIERS), self::pick(DEEP_TIERS)];
            $lesson['tiers'] = array_values(array_unique($lesson['tiers']));
        }
        if (self::chance($this->of['only'])) {
            $lesson['only'] = $this->condition();
        }
        if ($this->lessons !== [] && self::chance($this->of['waits'])) {
            $firsts = array_values(array_unique([self::pick($this->lessons), self::pick($this->lessons), self::pick($this->lessons)]));
            $lesson['after'] = self::pick([['all' => [$firsts[0]]], ['all' => $firsts], ['any' => $firsts], ['at_least' => count($firsts), 'of' => $firsts]]);
        }
        if (self::chance($this->of['hides'])) {
            $lesson['when_closed'] = 'hide';
        }
        if (self::chance($this->of['samples'])) {
            $lesson['sample'] = true;
        }
        if (self::chance($this->of['own'])) {
            $this->entries[$key] = $this->entry(after: false);
        }
        $this->lessons[] = $key;

        return $lesson;
    }

    /** @return array<string, mixed> */
    private function condition(): array
    {
        $label = ['label' => 'label-'.mt_rand(1, 8)];

        return match (true) {
            $this->of['asksDone'] === 1 && $this->lessons !== [] && self::chance(30) => ['any' => [$label, ['done' => self::pick($this->lessons)]]],
            $this->of['asksDates'] === 1 && self::chance(30) => ['from' => gmdate('Y-m-d\T09:00', benchNow() + mt_rand(-60, 60) * 86400)],
            default => self::pick([$label, ['not' => $label], ['any' => [$label, ['tier' => 'master']]]]),
        };
    }

    /** @return array<string, mixed> */
    private function entry(bool $after): array
    {
        $days = mt_rand(0, 90);
        $opens = match ($this->of['opening']) {
            0 => ['rule' => 'after_start', 'days' => $days],
            1 => $after ? ['rule' => 'after_previous', 'days' => mt_rand(1, 7), 'time' => '09:00'] : ['rule' => 'after_start', 'days' => $days, 'time' => '08:00'],
            2 => ['rule' => 'after_start', 'days' => $days, 'weekday' => mt_rand(1, 5)],
            default => ['rule' => 'on', 'at' => gmdate('Y-m-d\T09:00', benchNow() + mt_rand(-60, 60) * 86400)],
        };

        return ['opens' => $opens, ...(self::chance($this->of['closes']) ? ['closes' => ['rule' => 'after_open', 'days' => mt_rand(7, 60)]] : [])];
    }

    /** @return list<Viewer> */
    public function viewers(int $count): array
    {
        $viewers = [];
        for ($n = 0; $n < $count; $n++) {
            $learner = $this->learner();
            $viewers[] = match (true) {
                self::chance($this->of['guests']) => new Viewer(guest: true),
                self::chance($this->of['observers']) => new Viewer(signedIn: true, observes: $learner),
                default => $learner,
            };
        }

        return $viewers;
    }

    private function learner(): Viewer
    {
        $now = benchNow();
        $from = $now - mt_rand(0, 110) * 86400 - mt_rand(0, 86400);
        $passes = $done = $labels = $timed = $grants = [];
        for ($n = $this->of['passes']; $n > 0; $n--) {
            $passes[] = new Pass(self::pick(DEEP_TIERS), $from + ($n - 1) * mt_rand(0, 20) * 86400, $from + mt_rand(30, 180) * 86400);
        }
        $share = mt_rand(0, 100);
        foreach ($this->lessons as $lesson) {
            if (self::chance($share)) {
                $done[$lesson] = $from + 3600;
            }
        }
        for ($n = mt_rand(0, 3); $n > 0; $n--) {
            $label = 'label-'.mt_rand(1, 8);
            if (self::chance($this->of['timed'])) {
                $timed[] = new TimedLabel($label, $now - mt_rand(0, 60) * 86400, $now + mt_rand(1, 60) * 86400);
            } else {
                $labels[$label] = $label;
            }
        }
        if (self::chance($this->of['grants'])) {
            $grants[] = new Grant(self::pick($this->lessons), $from, self::chance(50) ? Instant::NEVER : $now + 86400);
        }

        return new Viewer(signedIn: true, labels: array_values($labels), passes: $passes, grants: $grants, done: $done, timedLabels: $timed);
    }

    private static function chance(int $percent): bool
    {
        return mt_rand(1, 100) <= $percent;
    }

    private static function pick(array $of): mixed
    {
        return $of[mt_rand(0, count($of) - 1)];
    }
}
