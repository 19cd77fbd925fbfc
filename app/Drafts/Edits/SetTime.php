<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use SilentKeep\Core\Format\Pointer;

/** Says when items open or close in a release plan, or leaves it to what they stand in. */
final readonly class SetTime implements Edit
{
    /**
     * @param  'opens'|'closes'  $which
     * @param  list<string>  $items
     * @param  ?\stdClass  $rule  as the plan format has it; null: no rule of its own
     */
    public function __construct(private string $which, private string $plan, private array $items, private ?\stdClass $rule)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        $plan = ($document->course->plans ?? null)->{$this->plan} ?? null;
        if (! $plan instanceof \stdClass) {
            throw CannotEdit::noSuchPlan($this->plan);
        }
        foreach ($this->items as $item) {
            if ($document->item($item) === null) {
                throw CannotEdit::noSuchItem($item);
            }
            $entry = $plan->{$item} ?? null;
            $entry = $entry instanceof \stdClass ? $entry : new \stdClass;
            if ($this->rule === null) {
                unset($entry->{$this->which});
            } else {
                $entry->{$this->which} = clone $this->rule;
            }
            if (get_object_vars($entry) === []) {
                unset($plan->{$item});
            } else {
                $plan->{$item} = $entry;
            }
        }
    }

    public function toArray(): array
    {
        return ['set' => $this->which, 'plan' => $this->plan, 'items' => $this->items, 'to' => $this->rule];
    }

    public function pointer(): string
    {
        return '/courses/0/plans/'.Pointer::escape($this->plan).'/'.Pointer::escape($this->items[0] ?? '').'/'.$this->which;
    }
}
