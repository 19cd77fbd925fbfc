<?php

declare(strict_types=1);

namespace App\Models\Document;

/** The course of a document that is changed in place. */
final readonly class WritableCourse extends Writable
{
    /** With no item, for who is invited, and with one empty release plan, which is its main one. */
    public static function make(string $key, string $title): self
    {
        return new self((object) ['key' => $key, 'title' => $title, 'state' => 'live', 'entry' => 'invite', 'main_plan' => 'main', 'plans' => (object) ['main' => new \stdClass], 'items' => []]);
    }

    public function read(): DocumentCourse
    {
        return new DocumentCourse($this->json);
    }

    /** What its items stand in, as an item has it. */
    public function outline(): WritableItem
    {
        return new WritableItem($this->json);
    }

    public function plan(string $name): ?WritablePlan
    {
        $plan = ($this->json->plans ?? null)->{$name} ?? null;

        return $plan instanceof \stdClass ? new WritablePlan($plan) : null;
    }

    /** @return list<WritablePlan> */
    public function plans(): array
    {
        return array_values(array_filter(array_map($this->plan(...), $this->read()->planNames())));
    }

    /** @param  list<array{string, WritablePlan}>  $plans  names and plans, in order: all that it has from now on */
    public function setPlans(array $plans): void
    {
        $all = new \stdClass;
        foreach ($plans as [$name, $plan]) {
            $all->{$name} = $plan->read()->raw();
        }
        $this->json->plans = $all;
    }

    /** Shuts a door that is open; what else is said of it stays. */
    public function shut(string $door): void
    {
        $is = $this->json->{$door} ?? null;
        if ($is instanceof \stdClass && ($is->open ?? false) === true) {
            $is->open = false;
        }
    }

    /** What guests must say at their door; null: nothing. It is kept in `display`, which the core never reads. */
    public function setGuestPhrase(?string $phrase): void
    {
        $display = ($this->json->display ?? null) instanceof \stdClass ? $this->json->display : new \stdClass;
        unset($display->guest_phrase);
        if ($phrase !== null) {
            $display->guest_phrase = $phrase;
        }
        unset($this->json->display);
        if (get_object_vars($display) !== []) {
            $this->json->display = $display;
        }
    }
}
