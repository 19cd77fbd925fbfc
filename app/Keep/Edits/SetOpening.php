<?php

declare(strict_types=1);

namespace App\Keep\Edits;

use App\Keep\CourseDocument;
use SilentKeep\Core\Format\Pointer;

/** Says when an item opens in a release plan, or leaves it to what the item stands in. */
final readonly class SetOpening implements Edit
{
    /** @param  ?\stdClass  $rule  as the plan format has it; null: no rule of its own */
    public function __construct(private string $plan, private string $item, private ?\stdClass $rule)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        if ($document->item($this->item) === null) {
            throw CannotEdit::noSuchItem($this->item);
        }
        $plan = ($document->course->plans ?? null)->{$this->plan} ?? null;
        if (! $plan instanceof \stdClass) {
            throw CannotEdit::noSuchPlan($this->plan);
        }
        $entry = $plan->{$this->item} ?? null;
        $entry = $entry instanceof \stdClass ? $entry : new \stdClass;
        if ($this->rule === null) {
            unset($entry->opens);
        } else {
            $entry->opens = $this->rule;
        }
        if (get_object_vars($entry) === []) {
            unset($plan->{$this->item});
        } else {
            $plan->{$this->item} = $entry;
        }
    }

    public function toArray(): array
    {
        return ['set' => 'opens', 'plan' => $this->plan, 'item' => $this->item, 'to' => $this->rule];
    }

    public function pointer(): string
    {
        return '/courses/0/plans/'.Pointer::escape($this->plan).'/'.Pointer::escape($this->item).'/opens';
    }
}
