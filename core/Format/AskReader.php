<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Viewing\Grant;
use SilentKeep\Core\Viewing\Pass;
use SilentKeep\Core\Viewing\PassState;
use SilentKeep\Core\Viewing\TimedLabel;
use SilentKeep\Core\Viewing\Viewer;

/** Reads asks about a plan. Objects are expected as PHP's decoder gives them: stdClass. */
final readonly class AskReader
{
    /** @param  bool  $anyOffer  passes may be of offers that the plan lacks */
    public function __construct(private Plan $plan, private bool $anyOffer = false)
    {
    }

    /** @throws InvalidAsk with the pointer of the first thing that is wrong */
    public function ask(mixed $value): Ask
    {
        $ask = $this->object($value, '');
        $id = $ask->id ?? null;
        if (! is_string($id) && ! is_int($id)) {
            throw InvalidAsk::at('/id', $id === null ? 'is missing' : 'must be text');
        }
        $courseKey = $this->text($ask, 'course', '');
        $course = $this->plan->course($courseKey) ?? throw InvalidAsk::at('/course', 'there is no such course: '.$courseKey);
        $at = $this->instant($ask, 'at', '');
        if (! isset($ask->viewer)) {
            throw InvalidAsk::at('/viewer', 'is missing');
        }

        return new Ask($id, $course, $at, $this->viewer($ask->viewer));
    }

    /** @throws InvalidAsk */
    public function viewer(mixed $value, string $pointer = '/viewer'): Viewer
    {
        $viewer = $this->object($value, $pointer);
        $observed = $viewer->observes ?? null;
        [$labels, $timedLabels] = $this->labels($viewer, $pointer);

        return new Viewer(
            staff: $this->bool($viewer, 'staff', $pointer),
            signedIn: $this->bool($viewer, 'signed_in', $pointer),
            guest: $this->bool($viewer, 'guest', $pointer),
            labels: $labels,
            passes: $this->passes($viewer, $pointer),
            grants: $this->grants($viewer, $pointer),
            done: $this->done($viewer, $pointer),
            observes: $observed === null ? null : $this->observed($observed, $pointer.'/observes'),
            timedLabels: $timedLabels,
        );
    }

    /** Neither its staff nor whom it observes are read. */
    private function observed(mixed $value, string $pointer): Viewer
    {
        $learner = clone $this->object($value, $pointer);
        unset($learner->staff, $learner->observes);

        return $this->viewer($learner, $pointer);
    }

    /** @return array{list<string>, list<TimedLabel>} held for good; held for a time */
    private function labels(\stdClass $viewer, string $pointer): array
    {
        $lasting = $timed = [];
        foreach ($this->list($viewer, 'labels', $pointer) as $index => $value) {
            $here = "{$pointer}/labels/{$index}";
            if (is_string($value)) {
                $lasting[] = $value;

                continue;
            }
            $label = $value instanceof \stdClass ? $value : throw InvalidAsk::at($here, 'must be text, or an object with a label, from and until');
            $timed[] = new TimedLabel(
                $this->text($label, 'label', $here),
                $this->instant($label, 'from', $here),
                isset($label->until) ? $this->instant($label, 'until', $here) : Instant::NEVER,
            );
        }

        return [$lasting, $timed];
    }

    /** @return list<Pass> */
    private function passes(\stdClass $viewer, string $pointer): array
    {
        $passes = [];
        foreach ($this->list($viewer, 'passes', $pointer) as $index => $value) {
            $here = "{$pointer}/passes/{$index}";
            $pass = $this->object($value, $here);
            $offer = $this->text($pass, 'offer', $here);
            if (! $this->anyOffer && $this->plan->offer($offer) === null) {
                throw InvalidAsk::at($here.'/offer', 'there is no such offer: '.$offer);
            }
            $state = isset($pass->state) ? $this->text($pass, 'state', $here) : PassState::Active->value;
            $passes[] = new Pass(
                $offer,
                $this->instant($pass, 'from', $here),
                isset($pass->until) ? $this->instant($pass, 'until', $here) : Instant::NEVER,
                PassState::tryFrom($state) ?? throw InvalidAsk::at($here.'/state', 'must be one of active, paused, revoked'),
                isset($pass->paced_from) ? $this->instant($pass, 'paced_from', $here) : null,
            );
        }

        return $passes;
    }

    /** @return list<Grant> */
    private function grants(\stdClass $viewer, string $pointer): array
    {
        $grants = [];
        foreach ($this->list($viewer, 'grants', $pointer) as $index => $value) {
            $here = "{$pointer}/grants/{$index}";
            $grant = $this->object($value, $here);
            $grants[] = new Grant(
                $this->text($grant, 'item', $here),
                $this->instant($grant, 'from', $here),
                isset($grant->until) ? $this->instant($grant, 'until', $here) : Instant::NEVER,
            );
        }

        return $grants;
    }

    /** @return array<array-key, int> */
    private function done(\stdClass $viewer, string $pointer): array
    {
        $done = [];
        foreach ($this->list($viewer, 'done', $pointer) as $index => $value) {
            $here = "{$pointer}/done/{$index}";
            $entry = $this->object($value, $here);
            $item = $this->text($entry, 'item', $here);
            $done[$item] = min($done[$item] ?? Instant::NEVER, $this->instant($entry, 'at', $here));
        }

        return $done;
    }

    private function object(mixed $value, string $pointer): \stdClass
    {
        return $value instanceof \stdClass ? $value : throw InvalidAsk::at($pointer, 'must be an object');
    }

    private function text(\stdClass $object, string $key, string $pointer): string
    {
        $value = $object->{$key} ?? null;

        return is_string($value) ? $value : throw InvalidAsk::at("{$pointer}/{$key}", $value === null ? 'is missing' : 'must be text');
    }

    private function bool(\stdClass $object, string $key, string $pointer): bool
    {
        $value = $object->{$key} ?? false;

        return is_bool($value) ? $value : throw InvalidAsk::at("{$pointer}/{$key}", 'must be true or false');
    }

    /** @return list<mixed> */
    private function list(\stdClass $object, string $key, string $pointer): array
    {
        $value = $object->{$key} ?? [];

        return is_array($value) ? array_values($value) : throw InvalidAsk::at("{$pointer}/{$key}", 'must be a list');
    }

    private function instant(\stdClass $object, string $key, string $pointer): int
    {
        $text = $this->text($object, $key, $pointer);
        try {
            return Instant::parse($text);
        } catch (InvalidTime $e) {
            throw InvalidAsk::at("{$pointer}/{$key}", $e->getMessage());
        }
    }
}
